'use client';

import MoreHorizIcon from '@mui/icons-material/MoreHoriz';
import Box from '@mui/material/Box';
import IconButton from '@mui/material/IconButton';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import Typography from '@mui/material/Typography';
import NextLink from 'next/link';
import { useRef, useState } from 'react';
import { findAnimal, type Catalogue } from '@/core/catalogue';
import type { Design } from '@/core/document';
import { allFindings } from '@/core/verdict';
import { fileName, writeSingle } from '@/files';
import { counted, length } from '@/core/units';
import { belongingsOf, ownRows, useStore } from '@/store';
import { download } from '@/ui/download';
import { useElementSize } from '@/ui/useElementSize';
import { useReader } from '@/ui/units';
import { useInSight } from '@/ui/useInSight';
import { useTurn } from '@/ui/useTurn';
import { VerdictMark } from '@/ui/VerdictMark';
import { animalsWord, STAGE_WORD } from '@/ui/words';
import { useVerdict } from '@/workers/useVerdict';
import { assessed } from './assessed';
import { Picture } from './Picture';

interface Props {
  readonly design: Design;
  readonly catalogue: Catalogue;
  readonly onDuplicate: (design: Design) => void;
  readonly onPutAway: (design: Design) => void;
  readonly onDelete: (design: Design) => void;
}

/** Boxes up to this size share one scale, so that a tall one looks tall, m. */
const SHARED_SPAN = 0.95;

const fineWords = (count: number): string => `${counted(count, 'point')} checked and fine`;

/** One enclosure on the rack: its section, who lives there, and the first thing to know. */
export function Card({ design, catalogue, onDuplicate, onPutAway, onDelete }: Props) {
  const { db, settings } = useStore();
  const assessment = assessed(design, catalogue);
  const { write, tell } = useReader();
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  // Made when it is first asked for, and then kept: it gives the focus back as it closes.
  const [menu, setMenu] = useState(false);
  const frame = useRef<HTMLDivElement>(null);
  const { width } = useElementSize(frame);
  const animal = findAnimal(catalogue, design.brief.animal);
  const box = design.enclosure;
  const span = Math.max(SHARED_SPAN, box.width, box.height);
  const seen = useInSight(frame);
  const near = useInSight(frame, '400px');
  // Drawn when it first comes near, and kept; one enclosure after the other, so that none holds up the scrolling.
  const [wanted, setWanted] = useState(near);
  if (near && !wanted) setWanted(true);
  const drawn = useTurn(wanted);
  const verdict = useVerdict(design, catalogue, seen);
  const findings = allFindings(assessment.findings, verdict);
  const open = findings.filter((it) => it.severity === 'severe' || it.severity === 'look');
  // What rules find that the answer above does not say.
  const graver = assessment.findings.find((it) => it.severity === 'severe');
  const size = [box.width, box.depth, box.height]
    .map((it) => write(length(it), { bare: true, decimals: 0 }))
    .join('×');
  const close = (): void => setAnchor(null);
  return (
    <Box
      component="li"
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
        containIntrinsicSize: 'auto 372px',
        '&:hover': { borderColor: 'earth.moss' },
      }}
    >
      <Box ref={frame} sx={{ borderBottom: 1, borderColor: 'earth.rule', px: 2, pt: 1.5, pb: 1 }}>
        {width > 0 && drawn ? (
          <Picture {...{ design, assessment, catalogue, span }} width={width - 32} />
        ) : (
          <Box sx={{ height: 200 }} />
        )}
      </Box>
      <Box sx={{ px: 1.9, pt: 1.25, pb: 1.5 }}>
        <Box sx={{ display: 'flex', alignItems: 'baseline', justifyContent: 'space-between', gap: 1 }}>
          <Typography variant="h2" noWrap>
            <Box
              component={NextLink}
              href={`/e/${design.id}/ground`}
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
            {STAGE_WORD[design.brief.stage]}
          </Typography>
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
        </Box>
        <Box sx={{ mt: 0.75, minHeight: 58 }}>
          <VerdictMark state={verdict} />
          <Typography variant="body2" sx={{ color: 'earth.quiet', pl: 1.6 }}>
            {open.length > 0
              ? `${open.length} to check${graver ? `: ${tell(graver.what)}` : ''}`
              : verdict.at === 'known' && verdict.verdict.answer === 'holds'
                ? 'Nothing to fix.'
                : fineWords(findings.filter((it) => it.severity === 'fine').length)}
          </Typography>
        </Box>
      </Box>
      {menu && (
        <Menu anchorEl={anchor} open={anchor !== null} onClose={close}>
          <MenuItem
            onClick={() => {
              close();
              onDuplicate(design);
            }}
          >
            Duplicate
          </MenuItem>
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
              onPutAway(design);
            }}
          >
            {design.brief.putAway ? 'Bring back' : 'Put away'}
          </MenuItem>
          <MenuItem
            onClick={() => {
              close();
              onDelete(design);
            }}
          >
            Delete
          </MenuItem>
        </Menu>
      )}
    </Box>
  );
}
