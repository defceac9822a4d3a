'use client';

import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import TrendingUpIcon from '@mui/icons-material/TrendingUp';
import OpacityIcon from '@mui/icons-material/Opacity';
import type { ReactNode } from 'react';
import type { Crossing } from '@/core/ahead';
import type { Design } from '@/core/document';
import type { Series } from '@/core/readings';
import { useReader } from '@/ui/units';
import { CardList, CardRow } from './CardList';
import type { Standing } from './useAlarms';
import { useWeeks } from './useWeeks';
import { bottleWords, crossingTitle, crossingWords, EVEN } from './weekWords';

interface Told {
  readonly key: string;
  readonly at: number;
  readonly design: Design;
  readonly title: string;
  readonly more: string;
  readonly icon: ReactNode;
}

/** What will likely leave its band in the next seven days, and does not stand outside it now. */
export function Ahead({
  designs,
  standing,
}: {
  readonly designs: readonly Design[] | undefined;
  readonly standing: readonly Standing[];
}) {
  const reader = useReader();
  const coming = useWeeks(designs);
  const stands = (series: string, side: Crossing['side']): boolean =>
    standing.some((it) => it.series.id === series && it.alarm?.side === side);
  const told = coming
    .flatMap(({ design, points, state }): Told[] => {
      if (state.at !== 'ready') return [];
      const { crossings, dry } = state.week;
      const named = new Map<string, Series>(points.map((it) => [it.id, it]));
      const limits = crossings.flatMap((it): Told[] => {
        const series = named.get(it.series);
        if (!series || it.chance < EVEN || stands(it.series, it.side)) return [];
        return [
          {
            key: `${it.series} ${it.side}`,
            at: it.from,
            design,
            title: crossingTitle(it, series.name),
            more: crossingWords(it, series, reader),
            icon: <TrendingUpIcon sx={{ color: 'earth.amber' }} aria-hidden />,
          },
        ];
      });
      return dry === null
        ? limits
        : [
            ...limits,
            {
              key: `${design.id} bottle`,
              at: dry,
              design,
              ...bottleWords(dry),
              icon: <OpacityIcon sx={{ color: 'earth.water' }} aria-hidden />,
            },
          ];
    })
    .sort((a, b) => a.at - b.at);
  if (told.length === 0) return null;
  return (
    <Box component="section" aria-labelledby="ahead">
      <Typography variant="h2" id="ahead" sx={{ mb: 0.75 }}>
        Coming in the next seven days
      </Typography>
      <CardList>
        {told.map(({ key, design, title, more, icon }) => (
          <CardRow
            key={key}
            data-ahead={key}
            mark={icon}
            title={`${design.name}: ${title}`}
            more={more}
            href={`/e/${design.id}/keep?tab=readings`}
            action="See"
          />
        ))}
      </CardList>
    </Box>
  );
}
