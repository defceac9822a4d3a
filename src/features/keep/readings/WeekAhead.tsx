'use client';

import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Week } from '@/core/ahead';
import type { ReadQuantity, Series } from '@/core/readings';
import { localDay } from '@/core/time';
import { counted } from '@/core/units';
import { dayWords } from '@/ui/days';
import { useReader } from '@/ui/units';
import type { WeekState } from '@/workers/weeks';
import { crossingTitle, crossingWords } from '../weekWords';

/** What the next seven days of the points in view come to, in words. */
export function WeekAhead({
  state,
  points,
  quantity,
}: {
  readonly state: WeekState | null;
  readonly points: readonly Series[];
  readonly quantity: ReadQuantity;
}) {
  const reader = useReader();
  if (state === null || state.at === 'none' || (quantity !== 'temperature' && quantity !== 'humidity'))
    return null;
  const named = new Map(points.map((it) => [it.id, it]));
  const crossings =
    state.at === 'ready'
      ? state.week.crossings.flatMap((it) => {
          const series = named.get(it.series);
          return series ? [{ it, series }] : [];
        })
      : [];
  const looked = state.at === 'ready' ? state.week.outlooks.filter((it) => named.has(it.series)).length : 0;
  if (state.at === 'ready' && looked === 0) return null;
  return (
    <Box component="section" aria-labelledby="week-ahead">
      <Typography variant="body2" component="h2" id="week-ahead" sx={{ fontWeight: 600 }}>
        The next seven days
      </Typography>
      <Typography
        variant="body2"
        sx={{ color: 'earth.quiet', mb: crossings.length > 0 ? 0.5 : 0 }}
        role="status"
      >
        {state.at === 'working'
          ? 'Looking ahead…'
          : state.at === 'failed'
            ? `It could not be looked ahead: ${state.message}`
            : `${crossings.length === 0 ? 'Nothing here is expected to leave its band. ' : ''}${basisWords(state.week)}`}
      </Typography>
      {crossings.length > 0 && (
        <Box component="ul" sx={{ m: 0, pl: 2.25, typography: 'body2' }}>
          {crossings.map(({ it, series }) => (
            <li key={`${it.series} ${it.side}`}>
              <Box component="span" sx={{ fontWeight: 600 }}>
                {crossingTitle(it, series.name)}.
              </Box>{' '}
              <Box component="span" sx={{ color: 'earth.quiet' }}>
                {crossingWords(it, series, reader)}
              </Box>
            </li>
          ))}
        </Box>
      )}
    </Box>
  );
}

const basisWords = ({ tried, since }: Week): string => {
  const basis =
    tried === 0
      ? 'Shaded is where nine of ten readings should lie; there are too few days to have tried it, so that is an estimate.'
      : `Shaded is where nine of ten readings should lie, by how far the same look ahead was off on ${counted(tried, 'day')} of this record.`;
  return since === null
    ? basis
    : `${basis} It goes by what was read since about ${dayWords(localDay(since))}, when the enclosure became otherwise than it was.`;
};
