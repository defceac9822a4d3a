'use client';

import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import NextLink from 'next/link';
import { memo } from 'react';
import { ANSWER_WORDS, wordOf } from '@/core/verdict';
import { length } from '@/core/units';
import { useStore } from '@/store';
import { useReader } from '@/ui/units';
import { verdictInk } from '@/ui/VerdictMark';
import { animalsWord, opensIn, STAGE_WORD } from '@/ui/words';
import { useVerdict } from '@/workers/useVerdict';
import type { RackRow } from './arranged';
import { dueWords } from './dueWords';

interface Props {
  readonly label: string;
  readonly rows: readonly RackRow[];
  readonly chosen: ReadonlySet<string> | null;
  readonly onToggle: (id: string) => void;
}

/** Enclosures one below the other: more of them at a glance. On a phone each takes two lines. */
export function RackList({ label, rows, chosen, onToggle }: Props) {
  return (
    <Box
      component="ul"
      aria-label={label}
      sx={{
        listStyle: 'none',
        p: 0,
        m: 0,
        bgcolor: 'earth.card',
        border: 1,
        borderColor: 'earth.rule',
        borderRadius: '12px',
      }}
    >
      {rows.map((row) => (
        <Row
          key={row.design.id}
          row={row}
          isChosen={chosen === null ? null : chosen.has(row.design.id)}
          onToggle={onToggle}
        />
      ))}
    </Box>
  );
}

interface RowProps {
  readonly row: RackRow;
  /** null: none are being chosen. */
  readonly isChosen: boolean | null;
  readonly onToggle: (id: string) => void;
}

const Row = memo(
  function Row({ row: { design, species, due }, isChosen, onToggle }: RowProps) {
    const { catalogue } = useStore();
    const { write } = useReader();
    const verdict = useVerdict(design, catalogue, false);
    const { enclosure: box, brief } = design;
    const size = [box.width, box.depth, box.height]
      .map((it) => write(length(it), { bare: true, decimals: 0 }))
      .join('×');
    const where = [brief.place.room, brief.place.shelf].filter((it) => it !== '').join(', ');
    const said = dueWords(due);
    return (
      <Box
        component="li"
        sx={{
          display: 'grid',
          gridTemplateColumns: {
            xs: `${isChosen === null ? '' : '40px '}minmax(0, 1fr) auto`,
            md: `${isChosen === null ? '' : '40px '}minmax(0, 1.2fr) minmax(0, 1.6fr) minmax(0, 1.2fr) 120px minmax(0, 1fr) 96px`,
          },
          alignItems: 'center',
          columnGap: 2,
          px: 2,
          py: 0.75,
          minHeight: 44,
          contentVisibility: 'auto',
          containIntrinsicSize: 'auto 44px',
          '&:not(:first-of-type)': { borderTop: 1 },
          '&&': { borderColor: 'earth.rule' },
          typography: 'body2',
        }}
      >
        {isChosen !== null && (
          <Checkbox
            size="small"
            checked={isChosen}
            onChange={() => onToggle(design.id)}
            sx={{ gridRow: { xs: '1 / span 2', md: 'auto' } }}
            slotProps={{ input: { 'aria-label': `Choose ${design.name}` } }}
          />
        )}
        <Box
          component={NextLink}
          href={`/e/${design.id}/${opensIn(design)}`}
          sx={{
            fontWeight: 650,
            color: 'earth.ink',
            textDecoration: 'none',
            overflow: 'hidden',
            textOverflow: 'ellipsis',
            whiteSpace: 'nowrap',
            '&:hover': { textDecoration: 'underline' },
          }}
        >
          {design.name}
        </Box>
        <Box sx={{ color: 'earth.quiet', order: { xs: 3, md: 'initial' } }}>
          {species ? animalsWord(brief.count, species) : 'no animal yet'}
          {brief.stage === 'inhabited' ? '' : `, ${STAGE_WORD[brief.stage]}`}
        </Box>
        <Box sx={{ color: 'earth.quiet', display: { xs: 'none', md: 'block' } }}>{where}</Box>
        <Box
          sx={{
            fontWeight: 600,
            color: (due?.late ?? 0) > 0 ? 'earth.amber' : 'earth.moss',
            order: { xs: 2, md: 'initial' },
            textAlign: { xs: 'right', md: 'left' },
          }}
        >
          {said}
        </Box>
        <Box
          sx={{
            color: verdictInk(verdict),
            order: { xs: 4, md: 'initial' },
            textAlign: { xs: 'right', md: 'left' },
          }}
        >
          {ANSWER_WORDS[wordOf(verdict)]}
        </Box>
        <Box sx={{ color: 'earth.quiet', textAlign: 'right', display: { xs: 'none', md: 'block' } }}>
          {size}
        </Box>
      </Box>
    );
  },
  (a, b) =>
    a.isChosen === b.isChosen &&
    a.onToggle === b.onToggle &&
    a.row.design === b.row.design &&
    a.row.species === b.row.species &&
    a.row.due?.now === b.row.due?.now &&
    a.row.due?.late === b.row.due?.late,
);
