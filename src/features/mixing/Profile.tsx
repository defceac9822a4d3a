'use client';

import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { EChartsCoreOption } from 'echarts/core';
import { useCallback } from 'react';
import { airlessHeight, drainedMeans, type Blend } from '@/core/ground';
import { fromSi, length, percent, unitFor, UNITS } from '@/core/units';
import { Chart, type Inks, tick } from '@/ui/Chart';
import { useReader } from '@/ui/units';
import { COLOURS, LETTERS } from './words';

interface Props {
  readonly blends: readonly (Blend | undefined)[];
  /** The same by the other published table, where one of their soils stands in it. */
  readonly others: readonly (Blend | undefined)[];
  /** m */
  readonly depth: number;
}

const STEPS = 40;
const DASHES = ['solid', 'dashed', 'dotted'] as const;

/** Water up the soil once it was watered through and drained over an open bed, for this depth. */
export function Profile({ blends, others, depth }: Props) {
  const { prefs, write } = useReader();
  const unit = UNITS[unitFor('length', prefs)];
  const option = useCallback(
    (inks: Inks): EChartsCoreOption => {
      const axis = {
        type: 'value' as const,
        axisLabel: { color: inks.quiet, fontSize: 11, fontFamily: inks.font, formatter: tick },
        splitLine: { lineStyle: { color: inks.rule } },
        nameTextStyle: { color: inks.quiet, fontSize: 11, fontFamily: inks.font },
      };
      return {
        grid: { left: 40, right: 14, top: 10, bottom: 40 },
        xAxis: {
          ...axis,
          name: 'water, % of the soil',
          nameLocation: 'middle',
          nameGap: 24,
          min: 0,
          max: 100,
        },
        yAxis: {
          ...axis,
          name: `${unit.symbol} over the bed`,
          nameLocation: 'middle',
          nameGap: 28,
          min: 0,
          max: Math.round(fromSi(depth, unit) * 100) / 100,
        },
        series: blends.flatMap((blend, index) => {
          if (!blend) return [];
          const colour = inks[COLOURS[index] ?? 'moss'];
          const line = Array.from({ length: STEPS + 1 }, (_, step) => {
            const height = (depth * step) / STEPS;
            return [blend.held(height * 100) * 100, fromSi(height, unit)];
          });
          return [
            {
              type: 'line',
              silent: true,
              symbol: 'none',
              lineStyle: { color: colour, width: 2.5, type: DASHES[index] },
              data: line,
              endLabel: {
                show: true,
                formatter: LETTERS[index],
                color: colour,
                fontWeight: 700,
                fontFamily: inks.font,
                distance: 4,
              },
            },
          ];
        }),
      };
    },
    [blends, depth, unit],
  );
  return (
    <Box>
      <Chart
        label={`Water up ${write(length(depth))} of soil, once drained. The sentence below says it in words.`}
        height={196}
        option={option}
      />
      <Box component="ul" sx={{ listStyle: 'none', p: 0, m: 0, mt: 0.5 }}>
        {blends.map((blend, index) => (
          <Typography component="li" variant="body2" key={LETTERS[index]} sx={{ color: 'earth.quiet' }}>
            <b>{LETTERS[index]}</b>{' '}
            {blend
              ? saidOf(blend, others[index] ?? blend, depth, write)
              : 'holds something whose curve is not known'}
          </Typography>
        ))}
      </Box>
    </Box>
  );
}

function saidOf(
  blend: Blend,
  other: Blend,
  depth: number,
  write: ReturnType<typeof useReader>['write'],
): string {
  const { air, capacity } = drainedMeans([{ blend, thickness: depth }]);
  const heights = [blend, other].map((it) => Math.min(depth, airlessHeight(it)));
  const [least, most] = [Math.min(...heights), Math.max(...heights)];
  const where =
    least >= depth - 1e-4
      ? 'airless all through'
      : most < 0.003
        ? 'open down to the bed'
        : most - least < 0.001
          ? `the lowest ${write(length(most))} airless`
          : `the lowest ${write(length(least))} to ${write(length(most))} airless, by one published table or another`;
  return `keeps ${write(percent(capacity))} of water and ${write(percent(air))} of air in this depth; ${where}.`;
}
