'use client';

import ArrowBackIcon from '@mui/icons-material/ArrowBack';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import TextField from '@mui/material/TextField';
import { useSearchParams } from 'next/navigation';
import { useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import { seek } from '../seek';

export interface Item {
  readonly id: string;
  readonly name: string;
  /** Said beside the name: a second name, an amount. */
  readonly hint?: string;
  /** Names it is found by as well. */
  readonly also?: readonly string[];
  /** Written by the builder. */
  readonly own?: boolean;
}

interface Props {
  readonly label: string;
  readonly items: readonly Item[];
  readonly selected: string | null;
  readonly onSelect: (id: string) => void;
  /** Said when somebody is about to search. */
  readonly onSeek?: () => void;
  /** Above the list, beside its search. */
  readonly tools?: ReactNode;
  readonly children: ReactNode;
}

const plain = (text: string): string =>
  text
    .normalize('NFKD')
    .replace(/[\u0300-\u036f]/g, '')
    .toLowerCase();

/** A long list with a search on the left, what is picked on the right. */
export function ListDetail({ label, items, selected, onSelect, onSeek, tools, children }: Props) {
  const [sought, setSought] = useState('');
  // On a phone the list is one step, what is picked the next; on a desk both stand side by side.
  const [isOpen, setOpen] = useState(useSearchParams().get('row') === selected);
  const back = useRef<HTMLButtonElement>(null);
  const from = useRef<HTMLButtonElement>(null);
  useEffect(() => {
    const next = isOpen ? back.current : from.current;
    // One that is not in sight is none to go to.
    if (next?.offsetParent) next.focus();
  }, [isOpen]);
  const found = useMemo(() => {
    const words = plain(sought).split(/\s+/).filter(Boolean);
    const exact = items.filter((item) =>
      words.every((word) =>
        plain([item.name, item.hint ?? '', ...(item.also ?? [])].join(' ')).includes(word),
      ),
    );
    // Only what nothing is called to the letter is sought with slips of spelling forgiven.
    return exact.length > 0
      ? exact
      : seek(items, sought, (item) => [item.name, item.hint ?? '', ...(item.also ?? [])]);
  }, [items, sought]);
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: { md: '340px minmax(0, 1fr)' },
        gap: 2.5,
        alignItems: 'start',
      }}
    >
      <Box
        component="section"
        aria-label={label}
        sx={{ minWidth: 0, display: { xs: isOpen ? 'none' : 'block', md: 'block' } }}
      >
        <Box sx={{ display: 'flex', gap: 1, mb: 1 }}>
          <TextField
            label={`Find in ${label.toLowerCase()}`}
            value={sought}
            onFocus={onSeek}
            onChange={(event) => setSought(event.target.value)}
            sx={{ flex: 1 }}
          />
          {tools}
        </Box>
        <Box
          component="ul"
          aria-label={label}
          sx={{
            listStyle: 'none',
            p: 0.5,
            m: 0,
            bgcolor: 'earth.card',
            border: 1,
            borderColor: 'earth.rule',
            borderRadius: '12px',
            maxHeight: { md: 'calc(100dvh - 236px)' },
            overflow: 'auto',
          }}
        >
          {found.map((item) => (
            <li key={item.id}>
              <ButtonBase
                aria-pressed={item.id === selected}
                onClick={(event) => {
                  from.current = event.currentTarget;
                  onSelect(item.id);
                  setOpen(true);
                }}
                sx={{
                  width: '100%',
                  minHeight: 34,
                  px: 1.25,
                  gap: 1,
                  borderRadius: '8px',
                  justifyContent: 'flex-start',
                  textAlign: 'left',
                  fontFamily: 'inherit',
                  fontSize: '0.9rem',
                  '&:hover': { bgcolor: 'earth.paper' },
                  '&[aria-pressed=true]': { bgcolor: 'earth.mossWash', fontWeight: 650 },
                }}
              >
                <Box component="span" sx={{ flex: 1, py: 0.5 }}>
                  {item.name}
                  {item.own && (
                    <Box component="span" sx={{ color: 'earth.clay', fontSize: '0.78rem', ml: 1 }}>
                      your own
                    </Box>
                  )}
                </Box>
                {item.hint && (
                  <Box component="span" sx={{ color: 'earth.quiet', fontSize: '0.8rem', textAlign: 'right' }}>
                    {item.hint}
                  </Box>
                )}
              </ButtonBase>
            </li>
          ))}
          {found.length === 0 && (
            <Box component="li" sx={{ p: 1.5, color: 'earth.quiet' }}>
              Nothing here is called “{sought}”.
            </Box>
          )}
        </Box>
      </Box>
      <Box sx={{ minWidth: 0, display: { xs: isOpen ? 'block' : 'none', md: 'block' } }}>
        <Button
          ref={back}
          startIcon={<ArrowBackIcon />}
          onClick={() => setOpen(false)}
          sx={{ display: { md: 'none' }, minHeight: 44, mb: 0.5 }}
        >
          Back to the list
        </Button>
        {children}
      </Box>
    </Box>
  );
}

/** The card on the right. */
export function DetailCard({ label, children }: { readonly label: string; readonly children: ReactNode }) {
  return (
    <Box
      component="section"
      aria-label={label}
      sx={{
        bgcolor: 'earth.card',
        border: 1,
        borderColor: 'earth.rule',
        borderRadius: '12px',
        p: 2.25,
        minWidth: 0,
      }}
    >
      {children}
    </Box>
  );
}
