'use client';

import { dayAfter, daysTill } from '@/core/time';
import Box from '@mui/material/Box';
import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { type BuildPlan, type PlannedStep } from '@/core/plan';
import { dayWords } from '@/ui/days';

interface Props {
  readonly plan: BuildPlan;
  readonly today: string;
  readonly selected: string | null;
  readonly onSelect: (step: string) => void;
  /** Puts a step to a later day; what follows moves with it. */
  readonly onMove: (step: string, day: string) => void;
}

/** px for the names of steps: less on a phone. */
const LABEL = { wide: 236, narrow: 128 } as const;
const label = 'var(--label)';

/** Steps over the days: work dark, waiting light; a bar is dragged or moved by arrow keys, and all after it follows. */
export function Timeline({ plan, today, selected, onSelect, onMove }: Props) {
  const first = plan.steps.reduce((least, it) => Math.min(least, it.timed.start), 0);
  const span = Math.max(7, plan.schedule.length - first + 2);
  const now = daysTill(plan.start, today) - first;
  const weeks = Array.from({ length: Math.ceil(span / 7) + 1 }, (_, index) => index * 7).filter(
    (it) => it <= span,
  );
  const every = Math.max(1, Math.ceil(weeks.length / 9));
  return (
    <Box
      role="group"
      aria-label="Timeline of the build"
      sx={{
        '--label': { xs: `${LABEL.narrow}px`, md: `${LABEL.wide}px` },
        bgcolor: 'earth.card',
        border: 1,
        borderColor: 'earth.rule',
        borderRadius: '12px',
        py: 1,
        position: 'relative',
        overflow: 'hidden',
      }}
    >
      <Box sx={{ position: 'relative', height: 22, ml: label, mr: 2 }} aria-hidden>
        {weeks.map(
          (day, index) =>
            index % every === 0 &&
            day < span - 2 && (
              <Box
                key={day}
                sx={{
                  position: 'absolute',
                  left: `${(day / span) * 100}%`,
                  typography: 'caption',
                  color: 'earth.quiet',
                  whiteSpace: 'nowrap',
                  // On a phone there is room for every fourth.
                  display: { xs: index % (every * 4) === 0 ? 'block' : 'none', md: 'block' },
                }}
              >
                {new Date(`${dayAfter(plan.start, first + day)}T12:00:00Z`).toLocaleDateString(undefined, {
                  day: 'numeric',
                  month: 'short',
                  timeZone: 'UTC',
                })}
              </Box>
            ),
        )}
      </Box>
      {now >= 0 && now <= span && (
        <Box
          aria-hidden
          sx={{
            position: 'absolute',
            top: 30,
            bottom: 8,
            left: `calc(${label} + (100% - ${label} - 16px) * ${now / span})`,
            borderLeft: '2px dashed',
            borderColor: 'earth.clay',
          }}
        />
      )}
      {[...plan.steps]
        .sort((a, b) => a.timed.start - b.timed.start || a.timed.end - b.timed.end)
        .map((it) => (
          <Row
            key={it.step.id}
            {...{ it, plan, first, span, today, onSelect, onMove }}
            chosen={it.step.id === selected}
          />
        ))}
    </Box>
  );
}

interface RowProps extends Pick<Props, 'plan' | 'today' | 'onSelect' | 'onMove'> {
  readonly it: PlannedStep;
  readonly first: number;
  readonly span: number;
  readonly chosen: boolean;
}

function Row({ it, plan, first, span, chosen, onSelect, onMove }: RowProps) {
  const { step, timed, work, state, from, to } = it;
  const isSettled = state === 'done' || state === 'left out';
  const drag = useRef<{ readonly x: number; readonly from: string } | null>(null);
  const long = Math.max(0.35, timed.end - timed.start);
  const critical = plan.path.has(step.id) && !isSettled;
  // Waiting, its work is behind it.
  const worked = state === 'waiting' ? 0 : work;
  const shift = (day: string): void => {
    if (state === 'not begun') onMove(step.id, day);
  };
  const onKeyDown = (event: KeyboardEvent): void => {
    if (event.key === 'Enter' || event.key === ' ') {
      event.preventDefault();
      onSelect(step.id);
      return;
    }
    const by = { ArrowRight: 1, ArrowLeft: -1 }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    shift(dayAfter(from, by * (event.shiftKey ? 7 : 1)));
  };
  const daysOf = (event: PointerEvent<HTMLElement>): number => {
    // The lane it lies in is as wide as all the days.
    const wide = event.currentTarget.parentElement?.clientWidth ?? 600;
    return Math.round(((event.clientX - (drag.current?.x ?? 0)) / wide) * span);
  };
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: `${label} 1fr`,
        alignItems: 'center',
        minHeight: 26,
        pr: 2,
        bgcolor: chosen ? 'earth.mossWash' : 'transparent',
      }}
    >
      <Box
        sx={{
          typography: 'body2',
          pl: 1.5,
          pr: 1,
          overflow: 'hidden',
          textOverflow: 'ellipsis',
          whiteSpace: 'nowrap',
          color: isSettled ? 'earth.quiet' : 'earth.ink',
          textDecoration: isSettled ? 'line-through' : 'none',
        }}
      >
        {step.title}
      </Box>
      <Box sx={{ position: 'relative', height: 20 }}>
        <Box
          role="button"
          tabIndex={0}
          data-step={step.id}
          aria-pressed={chosen}
          aria-label={`${step.title}, ${dayWords(from)} to ${dayWords(to)}${state === 'not begun' ? '' : `, ${state}`}${critical ? ', on the longest chain' : ''}`}
          onClick={() => onSelect(step.id)}
          onKeyDown={onKeyDown}
          onPointerDown={(event) => {
            event.currentTarget.setPointerCapture(event.pointerId);
            drag.current = { x: event.clientX, from };
          }}
          onPointerUp={(event) => {
            const held = drag.current;
            if (!held) return;
            const by = daysOf(event);
            drag.current = null;
            if (by !== 0) shift(dayAfter(held.from, by));
          }}
          onPointerCancel={() => {
            drag.current = null;
          }}
          sx={{
            position: 'absolute',
            top: 3,
            height: 14,
            left: `${((timed.start - first) / span) * 100}%`,
            width: `${(long / span) * 100}%`,
            minWidth: 8,
            borderRadius: '5px',
            overflow: 'hidden',
            cursor: state === 'not begun' ? 'grab' : 'pointer',
            touchAction: 'none',
            border: 1,
            borderColor: critical ? 'earth.clay' : 'earth.moss',
            bgcolor: isSettled ? 'earth.rule' : 'earth.mossWash',
            '&:focus-visible': { outline: '2px solid', outlineColor: 'earth.clay', outlineOffset: 2 },
          }}
        >
          <Box
            sx={{
              height: '100%',
              width: `${Math.min(100, (worked / long) * 100)}%`,
              minWidth: worked > 0 ? 4 : 0,
              bgcolor: isSettled ? 'earth.quiet' : critical ? 'earth.clay' : 'earth.moss',
            }}
          />
        </Box>
      </Box>
    </Box>
  );
}
