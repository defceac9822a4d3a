'use client';

import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import CompareArrowsIcon from '@mui/icons-material/CompareArrows';
import { useMemo } from 'react';
import { allDifferencesOf, progressOf } from '@/core/compare';
import type { Design } from '@/core/document';
import { DAY, firstAt, type Track } from '@/core/readings';
import { useComparisons, useSeries, useStore, useTracks } from '@/store';
import { dayWords } from '@/ui/days';
import { useToday } from '@/ui/useToday';
import { CardList, CardRow } from './CardList';

/** Planned comparisons: how far they have come, and what spoils them. */
export function Comparisons({ designs }: { readonly designs: readonly Design[] | undefined }) {
  const { catalogue } = useStore();
  const { open } = useComparisons();
  const today = useToday();
  const all = useSeries(null);
  const series = useMemo(
    () => all?.filter((it) => open.some(({ of }) => of.includes(it.design))),
    [all, open],
  );
  const since = useMemo(() => Date.parse(`${today}T00:00:00Z`) - 2 * DAY, [today]);
  const tracks = useTracks(series, since);
  const told = useMemo(
    () =>
      open.flatMap((own) => {
        const both = own.of.map((id) => designs?.find((it) => it.id === id));
        const [first, second] = both;
        if (!first || !second) return [];
        const progress = progressOf(own, allDifferencesOf([first, second], catalogue), today);
        const silent = (tracks ? (series ?? []) : [])
          .filter((it) => own.of.includes(it.design) && !wasRead(tracks?.get(it.id)))
          .map((it) => `${it.name} of ${(it.design === first.id ? first : second).name}`);
        return [{ own, first, second, progress, silent }];
      }),
    [open, designs, catalogue, today, series, tracks],
  );
  if (told.length === 0) return null;
  return (
    <Box component="section" aria-labelledby="comparisons">
      <Typography variant="h2" id="comparisons" sx={{ mb: 0.75 }}>
        Comparisons
      </Typography>
      <CardList>
        {told.map(({ own, first, second, progress: { day, days, isOver, changed }, silent }) => (
          <CardRow
            key={own.id}
            mark={<CompareArrowsIcon sx={{ color: 'earth.moss' }} aria-hidden />}
            title={
              isOver
                ? `${first.name} and ${second.name}: the comparison is over`
                : `${first.name} and ${second.name}: day ${day} of ${days}`
            }
            more={
              <>
                {changed.length > 0
                  ? `Changed since it began: ${changed.join(', ')}. `
                  : 'All else has stayed as it was. '}
                {!isOver && silent.length > 0 && `Not read for a day: ${silent.join(', ')}. `}
                {isOver ? 'See what it shows, and end it.' : `Until ${dayWords(own.until)}.`}
              </>
            }
            href={`/compare?of=${own.of.join(',')}&since=${own.since}&until=${own.until}`}
            action="See"
          />
        ))}
      </CardList>
    </Box>
  );
}

const wasRead = (track: Track | undefined): boolean =>
  track !== undefined && firstAt(track.at, Date.now() - DAY) < track.at.length;
