'use client';

import ArrowBackIcon from '@mui/icons-material/ArrowBack';
import ArrowForwardIcon from '@mui/icons-material/ArrowForward';
import CheckIcon from '@mui/icons-material/Check';
import CloseIcon from '@mui/icons-material/Close';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import IconButton from '@mui/material/IconButton';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { BuildPlan } from '@/core/plan';
import { dayWords } from '@/ui/days';
import { useEditing, useSaving } from '@/store';
import { StepFacts } from './StepFacts';

interface Props {
  readonly plan: BuildPlan;
  readonly today: string;
  readonly onClose: () => void;
  /** Moving in is an act of its own; null: here it is a step like the others. */
  readonly onMoveIn: (() => void) | null;
}

/** One step at a time, large, for wet hands. A tick is written at once and says so when it is. */
export function AtTheBench({ plan, today, onClose, onMoveIn }: Props) {
  const { edit } = useEditing();
  const { save } = useSaving();
  const order = [...plan.steps].sort((a, b) => a.timed.start - b.timed.start || a.timed.end - b.timed.end);
  const [at, setAt] = useState(() =>
    Math.max(
      0,
      order.findIndex((it) => ['not begun', 'under way'].includes(it.state) && it.open),
    ),
  );
  const index = Math.min(at, order.length - 1);
  const it = order[index];
  if (!it) return null;
  const { step, done, state } = it;
  const isSettled = state === 'done' || state === 'left out';
  const isMoveIn = step.id === 'move-in' && onMoveIn !== null && !isSettled;
  const waits = step.wait !== null && state !== 'waiting';
  const words = isMoveIn
    ? 'Move in…'
    : done !== null
      ? `Done ${dayWords(done)}`
      : state === 'left out'
        ? 'Left out'
        : state === 'waiting'
          ? 'The wait is over'
          : waits
            ? 'Work done'
            : 'Done';
  const change = isSettled
    ? { done: null, worked: null, skipped: null }
    : waits
      ? { worked: today }
      : { done: today };
  return (
    <Dialog fullScreen open onClose={onClose} aria-labelledby="bench-step">
      <Box sx={{ display: 'flex', flexDirection: 'column', height: '100%', bgcolor: 'earth.paper' }}>
        <Box
          sx={{
            display: 'flex',
            alignItems: 'center',
            gap: 1,
            px: 2,
            py: 1,
            borderBottom: 1,
            borderColor: 'earth.rule',
          }}
        >
          <Box sx={{ flex: 1, color: 'earth.quiet', fontVariantNumeric: 'tabular-nums' }}>
            Step {index + 1} of {order.length} ·{' '}
            {save.state === 'saved' ? 'saved' : save.state === 'saving' ? 'saving' : 'not saved'}
          </Box>
          <IconButton aria-label="Leave the bench" onClick={onClose} sx={{ width: 48, height: 48 }}>
            <CloseIcon />
          </IconButton>
        </Box>
        <Box
          sx={{ flex: 1, overflow: 'auto', px: 2, py: 2, maxWidth: 720, mx: 'auto', width: '100%' }}
          tabIndex={0}
          role="group"
          aria-label="What to do"
        >
          <Typography
            id="bench-step"
            component="h2"
            sx={{ fontFamily: 'h1.fontFamily', fontSize: '1.6rem', fontWeight: 700, lineHeight: 1.15 }}
          >
            {step.title}
          </Typography>
          {!it.open && state === 'not begun' && (
            <Box sx={{ mt: 1, color: 'earth.clay', fontWeight: 600 }}>Comes after what is not done yet.</Box>
          )}
          {state === 'waiting' && (
            <Box sx={{ mt: 1, fontWeight: 600 }}>
              Waiting for {step.waitFor ?? 'it'}, likely until {dayWords(it.to)}.
            </Box>
          )}
          <StepFacts it={it} large />
        </Box>
        <Box
          sx={{
            display: 'grid',
            gridTemplateColumns: '64px 1fr 64px',
            gap: 1,
            p: 1.5,
            borderTop: 1,
            borderColor: 'earth.rule',
            maxWidth: 720,
            mx: 'auto',
            width: '100%',
          }}
        >
          <Button
            variant="outlined"
            aria-label="Step before"
            disabled={index === 0}
            onClick={() => setAt(index - 1)}
            sx={{ minHeight: 64, minWidth: 0 }}
          >
            <ArrowBackIcon />
          </Button>
          <Button
            variant={isSettled ? 'outlined' : 'contained'}
            startIcon={<CheckIcon />}
            onClick={() => {
              if (isMoveIn) onMoveIn();
              else edit({ edit: 'markStep', change: { step: step.id, change } });
            }}
            sx={{ minHeight: 64, fontSize: '1.1rem' }}
          >
            {words}
          </Button>
          <Button
            variant="outlined"
            aria-label="Next step"
            disabled={index >= order.length - 1}
            onClick={() => setAt(index + 1)}
            sx={{ minHeight: 64, minWidth: 0 }}
          >
            <ArrowForwardIcon />
          </Button>
        </Box>
      </Box>
    </Dialog>
  );
}
