'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Chip from '@mui/material/Chip';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import {
  planComparison,
  PLANNED_WEEKS,
  progressOf,
  showsAfter,
  type Difference,
  type Paired,
  type PlannedComparison,
} from '@/core/compare';
import type { Design } from '@/core/document';
import { counted, difference, message, number } from '@/core/units';
import { useComparisons } from '@/store';
import { dayWords } from '@/ui/days';
import { useAct } from '@/ui/useAct';
import { PLACE_WORD, QUANTITY_WORD } from '@/ui/readingWords';
import { useReader } from '@/ui/units';
import { useToday } from '@/ui/useToday';

/** A comparison of these two that is planned ahead, or how far the one that was has come. */
export function PlanAhead({
  designs: [first, second],
  differences,
  paired,
}: {
  readonly designs: readonly [Design, Design];
  readonly differences: readonly Difference[];
  readonly paired: readonly Paired[];
}) {
  const { open } = useComparisons();
  const own = open.find((it) => it.of.includes(first.id) && it.of.includes(second.id));
  return (
    <Box component="section" aria-labelledby="ahead">
      <Typography variant="h2" id="ahead" sx={{ mb: 0.5 }}>
        {own ? 'The planned comparison' : 'Plan a comparison'}
      </Typography>
      {own ? (
        <Running own={own} differences={differences} />
      ) : (
        <Planning of={[first.id, second.id]} differences={differences} paired={paired} />
      )}
    </Box>
  );
}

function Planning({
  of,
  differences,
  paired,
}: {
  readonly of: readonly [string, string];
  readonly differences: readonly Difference[];
  readonly paired: readonly Paired[];
}) {
  const reader = useReader();
  const today = useToday();
  const { plan, close } = useComparisons();
  const act = useAct();
  const [weeks, setWeeks] = useState<number>(2);
  const show = (it: Paired): string => {
    const least = showsAfter(it, 7 * weeks);
    return it.quantity === 'humidity'
      ? reader.tell(message`${number(Math.round(100 * least), 0)} points`)
      : reader.tell(message`${difference(least, 1)}`);
  };
  const begin = (): void => {
    const made = planComparison({ id: crypto.randomUUID(), of, weeks }, differences, today);
    void act('The comparison begins today', async () => {
      await plan(made);
      return () => close(made.id);
    });
  };
  return (
    <Box sx={{ display: 'grid', gap: 1, justifyItems: 'start' }}>
      <Typography variant="body2" sx={{ color: 'earth.quiet' }}>
        {differences.length === 0
          ? 'The designs are alike: change the one thing you want to know about in one of them first, or learn how far chance goes.'
          : differences.length === 1
            ? 'They differ in one thing: good. All else is to stay as it is until the end; what changes is told on Today.'
            : `They differ in ${differences.length} things. Make all but one alike first, or nothing can be laid to any one of them.`}
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.25, alignItems: 'center', mt: 0.75 }}>
        <Box role="group" aria-label="How long" sx={{ display: 'flex', gap: 0.75 }}>
          {PLANNED_WEEKS.map((it) => (
            <Chip
              key={it}
              label={counted(it, 'week')}
              color={it === weeks ? 'primary' : 'default'}
              variant={it === weeks ? 'filled' : 'outlined'}
              aria-pressed={it === weeks}
              onClick={() => setWeeks(it)}
            />
          ))}
        </Box>
        <Button variant="contained" onClick={begin}>
          Begin today
        </Button>
      </Box>
      <Typography variant="body2" sx={{ color: 'earth.quiet' }}>
        {paired.length === 0
          ? 'What could show by then is not known: nothing was read in both yet. Hang like probes in like places.'
          : 'By then a difference could show from:'}
      </Typography>
      {paired.length > 0 && (
        <Box component="ul" aria-label="What could show" sx={{ m: 0, pl: 2.25, typography: 'body2' }}>
          {paired.map((it) => (
            <li key={`${it.quantity} ${it.place}`}>
              {QUANTITY_WORD[it.quantity]}, {PLACE_WORD[it.place].toLowerCase()}: {show(it)}
            </li>
          ))}
        </Box>
      )}
    </Box>
  );
}

function Running({
  own,
  differences,
}: {
  readonly own: PlannedComparison;
  readonly differences: readonly Difference[];
}) {
  const today = useToday();
  const { close, reopen } = useComparisons();
  const act = useAct();
  const { day, days, isOver, changed } = progressOf(own, differences, today);
  return (
    <Box sx={{ display: 'grid', gap: 0.75, justifyItems: 'start' }}>
      <Typography>
        {isOver
          ? `It ended on ${dayWords(own.until)}. What was read in those days stands above.`
          : `Day ${day} of ${days}, until ${dayWords(own.until)}.`}{' '}
        {changed.length === 0
          ? 'All else has stayed as it was.'
          : `Changed since it began: ${changed.join(', ')}. What differs can no longer be laid to one thing.`}
      </Typography>
      <Button
        variant={isOver ? 'contained' : 'outlined'}
        onClick={() =>
          void act('The comparison is ended', async () => {
            await close(own.id);
            return () => reopen(own.id);
          })
        }
      >
        End it
      </Button>
    </Box>
  );
}
