'use client';

import MoreHorizIcon from '@mui/icons-material/MoreHoriz';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import IconButton from '@mui/material/IconButton';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import Typography from '@mui/material/Typography';
import dynamic from 'next/dynamic';
import NextLink from 'next/link';
import { memo, useRef, useState, type DragEvent } from 'react';
import { findAnimal, type Catalogue } from '@/core/catalogue';
import type { Design } from '@/core/document';
import { allFindings } from '@/core/verdict';
import { fileName, writeSingle } from '@/files';
import { counted, length } from '@/core/units';
import { belongingsOf, ownRows, useStore } from '@/store';
import { download } from '@/ui/download';
import { NameField } from '@/ui/fields/NameField';
import { useReader } from '@/ui/units';
import { useInSight } from '@/ui/useInSight';
import { restWords } from '@/ui/restWords';
import { VerdictMark } from '@/ui/VerdictMark';
import { animalsWord, opensIn, STAGE_WORD } from '@/ui/words';
import { useVerdict } from '@/workers/useVerdict';
import { useAssessed } from './assessed';
import { CardPicture } from './Picture';
import { CARD_HEIGHT } from './RackSkeleton';

const MoreLikeIt = dynamic(() => import('./MoreLikeIt').then((it) => it.MoreLikeIt));

interface Props {
  readonly design: Design;
  readonly catalogue: Catalogue;
  readonly onDuplicate: (design: Design) => Promise<unknown>;
  readonly onRename: (design: Design, name: string) => Promise<unknown>;
  readonly onPutAway: (design: Design) => Promise<unknown>;
  readonly onDelete: (design: Design) => Promise<unknown>;
  /** What is to be done today; empty: nothing. */
  readonly due?: string;
  readonly isLate?: boolean;
  /** Whether it is among those that are chosen; null: none are being. */
  readonly isChosen?: boolean | null;
  readonly onToggle?: (id: string) => void;
  /** In its keeper's own order it is put elsewhere, by so many places; left out: it has no order of its own. */
  readonly onMove?: (id: string, by: number) => void;
  /** It is dropped here: to stand before this one. */
  readonly onPut?: (id: string, before: string) => void;
}

/** What is dragged from one place of the rack to another. */
const DRAGGED = 'application/x-rincon-enclosure';

const fineWords = (count: number): string => `${counted(count, 'point')} checked and fine`;

/** One enclosure on the rack: its section, who lives there, and the first thing to know. */
export const Card = memo(function Card({
  design,
  catalogue,
  due = '',
  isLate = false,
  isChosen = null,
  onToggle,
  onPut,
  ...actions
}: Props) {
  const { today } = useStore();
  const { write, tell } = useReader();
  const frame = useRef<HTMLLIElement>(null);
  const animal = findAnimal(catalogue, design.brief.animal);
  const box = design.enclosure;
  const seen = useInSight(frame);
  const assessment = useAssessed(design, catalogue, seen);
  const verdict = useVerdict(design, catalogue, seen);
  const findings = allFindings(assessment?.findings ?? [], verdict);
  const open = findings.filter((it) => it.severity === 'severe' || it.severity === 'look');
  // What rules find that the answer above does not say.
  const graver = assessment?.findings.find((it) => it.severity === 'severe');
  const size = [box.width, box.depth, box.height]
    .map((it) => write(length(it), { bare: true, decimals: 0 }))
    .join('×');
  return (
    <Box
      component="li"
      ref={frame}
      {...(onPut && {
        draggable: true,
        onDragStart: (event: DragEvent) => event.dataTransfer.setData(DRAGGED, design.id),
        onDragOver: (event: DragEvent) => {
          if (event.dataTransfer.types.includes(DRAGGED)) event.preventDefault();
        },
        onDrop: (event: DragEvent) => {
          event.preventDefault();
          onPut(event.dataTransfer.getData(DRAGGED), design.id);
        },
      })}
      sx={{
        position: 'relative',
        border: 1,
        borderColor: 'earth.rule',
        borderRadius: '14px',
        bgcolor: 'earth.card',
        overflow: 'hidden',
        display: 'flex',
        flexDirection: 'column',
        // Far from sight it is neither laid out nor painted.
        contentVisibility: 'auto',
        containIntrinsicSize: `auto ${CARD_HEIGHT}px`,
        '&:hover': { borderColor: 'earth.moss' },
      }}
    >
      <CardPicture {...{ design, assessment, catalogue }} />
      {due !== '' && (
        <Box
          sx={{
            position: 'absolute',
            top: 10,
            right: 10,
            px: 1.1,
            py: 0.2,
            borderRadius: '9px',
            bgcolor: 'earth.card',
            border: 1,
            borderColor: isLate ? 'earth.amber' : 'earth.rule',
            color: isLate ? 'earth.amber' : 'earth.moss',
            typography: 'body2',
            fontWeight: 650,
          }}
        >
          {due}
        </Box>
      )}
      {isChosen !== null && (
        <Checkbox
          checked={isChosen}
          onChange={() => onToggle?.(design.id)}
          slotProps={{ input: { 'aria-label': `Choose ${design.name}` } }}
          sx={{
            position: 'absolute',
            top: 6,
            left: 6,
            zIndex: 2,
            bgcolor: 'earth.card',
            '&:hover': { bgcolor: 'earth.card' },
          }}
        />
      )}
      <Box sx={{ px: 1.9, pt: 1.25, pb: 1.5 }}>
        <Box sx={{ display: 'flex', alignItems: 'baseline', justifyContent: 'space-between', gap: 1 }}>
          <Typography variant="h2" noWrap>
            <Box
              component={NextLink}
              href={`/e/${design.id}/${opensIn(design)}`}
              sx={{
                color: 'inherit',
                textDecoration: 'none',
                '&::after': { content: '""', position: 'absolute', inset: 0 },
                '&:focus-visible::after': {
                  outline: '2px solid',
                  outlineColor: 'earth.clay',
                  outlineOffset: -3,
                  borderRadius: '14px',
                },
              }}
            >
              {design.name}
            </Box>
          </Typography>
          <Typography variant="body2" sx={{ color: 'earth.quiet', whiteSpace: 'nowrap' }}>
            {size}
          </Typography>
        </Box>
        <Box sx={{ display: 'flex', alignItems: 'center', justifyContent: 'space-between' }}>
          <Typography variant="body2" sx={{ color: 'earth.quiet' }} noWrap>
            {animal ? animalsWord(design.brief.count, animal.english) : 'no animal yet'} ·{' '}
            {restWords(design, animal, today, true) ?? STAGE_WORD[design.brief.stage]}
          </Typography>
          <CardMenu design={design} {...actions} />
        </Box>
        <Box sx={{ mt: 0.75, minHeight: 58 }}>
          <VerdictMark state={verdict} />
          <Typography variant="body2" sx={{ color: 'earth.quiet', pl: 1.6 }}>
            {assessment === undefined
              ? 'Being checked'
              : assessment === null
                ? 'Could not be checked. Open it to see why.'
                : open.length > 0
                  ? `${open.length} to check${graver ? `: ${tell(graver.what)}` : ''}`
                  : verdict.at === 'known' && verdict.verdict.answer === 'holds'
                    ? 'Nothing to fix.'
                    : !design.brief.described
                      ? 'Kept as it is.'
                      : fineWords(findings.filter((it) => it.severity === 'fine').length)}
          </Typography>
        </Box>
      </Box>
    </Box>
  );
});

const MOVES = [
  ['Move before', -1],
  ['Move behind', 1],
] as const;

/** What may be done with an enclosure from the rack. It hangs on nothing a verdict tells: it is not drawn anew for one. */
const CardMenu = memo(function CardMenu({
  design,
  onDuplicate,
  onRename,
  onPutAway,
  onDelete,
  onMove,
}: Omit<Props, 'catalogue' | 'due' | 'isLate' | 'isChosen' | 'onToggle' | 'onPut'>) {
  const { db, settings } = useStore();
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  // Made when it is first asked for, and then kept: it gives the focus back as it closes.
  const [menu, setMenu] = useState(false);
  const [renaming, setRenaming] = useState(false);
  const [more, setMore] = useState(false);
  const close = (): void => setAnchor(null);
  return (
    <>
      <IconButton
        size="small"
        aria-label={`More for ${design.name}`}
        aria-haspopup="menu"
        onClick={(event) => {
          setMenu(true);
          setAnchor(event.currentTarget);
        }}
        sx={{ zIndex: 1, mr: -0.75 }}
      >
        <MoreHorizIcon fontSize="small" />
      </IconButton>
      {menu && (
        <Menu anchorEl={anchor} open={anchor !== null} onClose={close}>
          <MenuItem
            onClick={() => {
              close();
              setRenaming(true);
            }}
          >
            Rename
          </MenuItem>
          {onMove &&
            MOVES.map(([word, by]) => (
              <MenuItem
                key={word}
                onClick={() => {
                  close();
                  onMove(design.id, by);
                }}
              >
                {word}
              </MenuItem>
            ))}
          <MenuItem
            onClick={() => {
              close();
              void onDuplicate(design);
            }}
          >
            Duplicate
          </MenuItem>
          <MenuItem
            onClick={() => {
              close();
              setMore(true);
            }}
          >
            More like it
          </MenuItem>
          {design.brief.animal && (
            <MenuItem component={NextLink} href={`/new?after=${design.id}&as=larger`} onClick={close}>
              Plan a larger one
            </MenuItem>
          )}
          {design.brief.animal && (
            <MenuItem component={NextLink} href={`/new?after=${design.id}&as=quarantine`} onClick={close}>
              Plan a quarantine tub
            </MenuItem>
          )}
          <MenuItem
            onClick={() => {
              close();
              void belongingsOf(db, design.id).then((own) =>
                download(fileName(design.name), writeSingle(design, ownRows(settings), new Date(), own)),
              );
            }}
          >
            Export
          </MenuItem>
          <MenuItem
            onClick={() => {
              close();
              void onPutAway(design);
            }}
          >
            {design.brief.putAway ? 'Bring back' : 'Archive'}
          </MenuItem>
          <MenuItem
            onClick={() => {
              close();
              void onDelete(design);
            }}
          >
            Delete
          </MenuItem>
        </Menu>
      )}
      {more && <MoreLikeIt design={design} onClose={() => setMore(false)} />}
      {renaming && (
        <Dialog open onClose={() => setRenaming(false)} fullWidth maxWidth="xs" aria-labelledby="rename">
          <DialogTitle id="rename">Rename</DialogTitle>
          <DialogContent sx={{ pt: '8px !important' }}>
            <NameField
              label="Name"
              autoFocus
              fullWidth
              value={design.name}
              onCommit={(name) => void onRename(design, name)}
            />
          </DialogContent>
          <DialogActions>
            <Button variant="contained" onClick={() => setRenaming(false)}>
              Done
            </Button>
          </DialogActions>
        </Dialog>
      )}
    </>
  );
});
