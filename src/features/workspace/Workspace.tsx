'use client';

import RedoIcon from '@mui/icons-material/Redo';
import UndoIcon from '@mui/icons-material/Undo';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import Tooltip from '@mui/material/Tooltip';
import dynamic from 'next/dynamic';
import NextLink from 'next/link';
import { usePathname, useRouter } from 'next/navigation';
import { useSnackbar } from 'notistack';
import { memo, useEffect, useState, type ReactNode } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import {
  useBuying,
  useDesigns,
  useEditing,
  useOpenDesign,
  useSaving,
  useStore,
  type SaveState,
  type SessionView,
} from '@/store';
import type { Catalogue } from '@/core/catalogue';
import { fieldWords } from '@/core/compare/fields';
import type { Finding } from '@/core/findings';
import { Ledger } from '@/ui/shell/Ledger';
import { isTaken, KEYS, PLACES } from '@/ui/keys';
import { TopBar } from '@/ui/shell/TopBar';
import { useLater } from '@/ui/useLater';
import { findingPlace, opensIn } from '@/ui/words';
import { useOpenVerdict } from '@/workers/useOpenVerdict';
import type { TwoWindows } from './TwoWindows';

/** Places that ask for what stands in the enclosure. */
const OF_ITS_INSIDE = PLACES.slice(1, -1);

/** Shown in place of what cannot be told. */
const Undescribed = dynamic(() => import('./Undescribed').then((it) => it.Undescribed));

/** Keys hold everywhere but where one types: there they belong to the text. */
const OUTSIDE_TEXT = ['slider', 'radio', 'option', 'menuitem'] as const;

/** The frame of an open enclosure: where one is, what is saved, what it sums to. */
export function Workspace({ tools, children }: { readonly tools: ReactNode; readonly children: ReactNode }) {
  const { design, assessment } = useOpenDesign();
  const { verdict, findings } = useOpenVerdict();
  const path = usePathname();
  const inside = design.brief.described
    ? undefined
    : OF_ITS_INSIDE.find((it) => path.endsWith(`/${it.path}`));

  useEffect(() => {
    document.title = `${design.name} · Rincon`;
  }, [design.name]);

  return (
    <Box
      className="rincon-frame"
      sx={{ height: { md: '100dvh' }, minHeight: '100dvh', display: 'flex', flexDirection: 'column' }}
    >
      <SavingBar id={design.id} name={design.name} tools={tools} />
      <Clashes />
      <Box component="main" sx={{ flex: 1, minHeight: 0, display: 'flex', flexDirection: 'column' }}>
        {inside ? <Undescribed place={inside.label} /> : children}
      </Box>
      <Ledger
        described={design.brief.described}
        assessment={assessment}
        buying={useBuying()}
        verdict={verdict}
        findings={findings}
        findingsHref={`/e/${design.id}/${placeOf(findings)}#findings`}
      />
    </Box>
  );
}

/** What two windows set differently, loaded once there is something of it. */
function Clashes() {
  const any = useSaving().clashes.length > 0;
  const later = useLater();
  const [part, setPart] = useState<{ readonly Shown: typeof TwoWindows }>();
  useEffect(() => {
    if (any)
      void later(
        () => import('./TwoWindows'),
        (it) => setPart({ Shown: it.TwoWindows }),
      );
  }, [any, later]);
  return part ? <part.Shown /> : null;
}

/** Where the gravest of what is to be looked at is shown. */
const placeOf = (findings: readonly Finding[]): string =>
  findingPlace(findings.find((it) => it.severity === 'severe' || it.severity === 'look'));

/** Takes out of the saving what the bar shows, so that the bar is drawn anew only when that changes. */
function SavingBar(props: Omit<BarProps, 'save' | 'undo' | 'redo' | 'refused'>) {
  const { save, undo, redo, refused } = useSaving();
  return <Bar {...props} save={save} undo={undo} redo={redo} refused={refused} />;
}

interface BarProps {
  readonly id: string;
  readonly name: string;
  readonly tools: ReactNode;
  readonly save: SaveState;
  readonly undo: string | undefined;
  readonly redo: string | undefined;
  readonly refused: SessionView['refused'];
}

const Bar = memo(function Bar({ id, name, tools, save, undo, redo, refused }: BarProps) {
  const { enqueueSnackbar } = useSnackbar();
  const { travel, retry } = useEditing();
  const { catalogue } = useStore();
  const path = usePathname();
  const router = useRouter();
  const base = `/e/${id}`;

  useEffect(() => {
    if (refused)
      enqueueSnackbar(`Not taken over. ${placeWords(refused.place, catalogue)}: ${refused.message}.`, {
        variant: 'warning',
      });
  }, [refused, catalogue, enqueueSnackbar]);

  useHotkeys(
    [...KEYS.places.bound],
    (_, hotkey) => {
      const place = PLACES[Number(hotkey.keys?.[0]) - 1];
      if (place) router.push(`${base}/${place.path}`);
    },
    { useKey: true, enableOnFormTags: OUTSIDE_TEXT, ignoreEventWhen: isTaken },
    [base],
  );
  useHotkeys(
    KEYS.undo.bound,
    () => void travel(-1),
    { preventDefault: true, enableOnFormTags: OUTSIDE_TEXT },
    [travel],
  );
  useHotkeys(
    KEYS.redo.bound,
    () => void travel(1),
    { preventDefault: true, enableOnFormTags: OUTSIDE_TEXT },
    [travel],
  );

  return (
    <>
      <TopBar
        open={<Switcher id={id} name={name} />}
        places={PLACES.map((place, index) => ({
          href: `${base}/${place.path}`,
          label: place.label,
          digit: index + 1,
          current: path.endsWith(`/${place.path}`),
        }))}
        tools={
          <>
            <SaveMark save={save} />
            <Box
              sx={{
                border: 1,
                borderColor: 'earth.rule',
                borderRadius: '14px',
                bgcolor: 'earth.card',
                display: 'flex',
              }}
            >
              <Step
                label={undo ? `Undo ${undo}` : 'Nothing to undo'}
                off={!undo}
                onClick={() => void travel(-1)}
              >
                <UndoIcon sx={{ fontSize: 18 }} />
              </Step>
              <Step
                label={redo ? `Redo ${redo}` : 'Nothing to redo'}
                off={!redo}
                onClick={() => void travel(1)}
              >
                <RedoIcon sx={{ fontSize: 18 }} />
              </Step>
            </Box>
            {tools}
          </>
        }
      />
      {save.state === 'failed' && (
        <Box
          role="alert"
          sx={{
            display: 'flex',
            flexWrap: 'wrap',
            alignItems: 'center',
            gap: 1,
            px: { xs: 1.5, md: 2.5 },
            py: 0.5,
            color: 'earth.clay',
            borderBottom: 1,
            borderColor: 'earth.clay',
            typography: 'body2',
          }}
        >
          Not saved: {save.message}.
          <Button size="small" variant="outlined" onClick={retry}>
            Try again
          </Button>
        </Box>
      )}
    </>
  );
});

/** A place of the document as it is called on the screens: numbers in lists tell nobody anything. */
const placeWords = (place: string, catalogue: Catalogue): string =>
  fieldWords(
    place.split(/[.[\]]+/).filter((it) => it !== '' && !/^\d+$/.test(it)),
    [],
    catalogue,
  );

interface StepProps {
  readonly label: string;
  readonly off: boolean;
  readonly onClick: () => void;
  readonly children: ReactNode;
}

function Step({ label, off, onClick, children }: StepProps) {
  return (
    <Tooltip title={label}>
      <span>
        <IconButton size="small" aria-label={label} disabled={off} onClick={onClick} sx={{ px: 1 }}>
          {children}
        </IconButton>
      </span>
    </Tooltip>
  );
}

/** When the last edit reached the browser's storage. Never says saved before it is. */
function SaveMark({ save }: { readonly save: SaveState }) {
  const text =
    save.state === 'saving'
      ? 'saving'
      : save.state === 'failed'
        ? 'not saved'
        : `saved ${new Date(save.at).toLocaleTimeString(undefined, { hour: '2-digit', minute: '2-digit' })}`;
  return (
    <Box data-save={save.state} sx={{ color: 'earth.quiet', typography: 'body2', whiteSpace: 'nowrap' }}>
      {text}
    </Box>
  );
}

/** Which enclosure is open, and the way to another. */
function Switcher({ id, name }: { readonly id: string; readonly name: string }) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  return (
    <>
      <Button
        variant="outlined"
        aria-haspopup="menu"
        aria-label={`Enclosure: ${name}`}
        onClick={(event) => setAnchor(event.currentTarget)}
        sx={{ maxWidth: 200, flexShrink: 0 }}
      >
        <Box component="span" sx={{ overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' }}>
          {name}
        </Box>
      </Button>
      <Menu anchorEl={anchor} open={anchor !== null} onClose={() => setAnchor(null)}>
        {anchor !== null && <Others id={id} onPick={() => setAnchor(null)} />}
      </Menu>
    </>
  );
}

/** Read only while the menu is open: a rack is not fetched again at every edit. */
function Others({ id, onPick }: { readonly id: string; readonly onPick: () => void }) {
  const designs = useDesigns() ?? [];
  return (
    <>
      {designs.flatMap((it) =>
        it.state === 'ready' ? (
          <MenuItem
            key={it.row.id}
            component={NextLink}
            href={`/e/${it.row.id}/${opensIn(it.row.design)}`}
            selected={it.row.id === id}
            onClick={onPick}
          >
            {it.row.design.name}
          </MenuItem>
        ) : (
          []
        ),
      )}
    </>
  );
}
