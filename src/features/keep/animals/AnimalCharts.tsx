'use client';

import { localDay } from '@/core/time';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { EChartsCoreOption } from 'echarts/core';
import { useCallback, useMemo } from 'react';
import { dayOfLine, type Entry } from '@/core/log';
import { linesAbout, type AnimalRecord } from '@/core/records';
import { Chart, type Inks, tick } from '@/ui/Chart';
import { useReader } from '@/ui/units';
import { onAxis, readingWords } from '@/ui/readingWords';

interface Props {
  readonly animal: AnimalRecord;
  readonly log: readonly Entry[];
}

const axes = (inks: Inks) => {
  const label = { color: inks.quiet, fontFamily: inks.font, fontSize: 11, hideOverlap: true };
  return {
    grid: { left: 40, right: 12, top: 12, bottom: 24 },
    xAxis: { type: 'time', axisLabel: label, axisLine: { lineStyle: { color: inks.rule } } },
    yAxis: {
      type: 'value',
      axisLabel: { ...label, formatter: tick },
      splitLine: { lineStyle: { color: inks.rule } },
    },
  };
};

/** Its weight over time, with sheds and moves marked. */
export function WeightChart({ animal, log }: Props) {
  const reader = useReader();
  const axis = useMemo(() => onAxis('mass', { prefs: reader.prefs }), [reader.prefs]);
  const weights = useMemo(
    () => log.filter((it) => it.animal === animal.id && it.kind === 'weight' && it.values.mass !== null),
    [log, animal.id],
  );
  const [first, last] = [weights[0], weights.at(-1)];
  const sheds = useMemo(
    () => log.filter((it) => it.animal === animal.id && it.kind === 'shed'),
    [log, animal.id],
  );
  const option = useCallback(
    (inks: Inks): EChartsCoreOption => {
      const { yAxis, ...rest } = axes(inks);
      return {
        ...rest,
        yAxis: { ...yAxis, scale: true },
        series: [
          {
            type: 'line',
            data: weights.map((it) => [it.at, Number(axis.value(it.values.mass ?? 0).toFixed(2))]),
            symbolSize: 6,
            lineStyle: { color: inks.moss, width: 2 },
            itemStyle: { color: inks.moss },
            markLine: {
              silent: true,
              symbol: 'none',
              label: { show: false },
              data: sheds.map((it) => ({ xAxis: it.at, lineStyle: { color: inks.clay, type: 'dotted' } })),
            },
          },
        ],
      };
    },
    [weights, sheds, axis],
  );
  const change =
    first && last && first !== last
      ? ((last.values.mass ?? 0) - (first.values.mass ?? 0)) / Math.max(1e-6, first.values.mass ?? 0)
      : null;
  return (
    <Box component="section" aria-label="Weight">
      <Typography variant="body2" component="h3" sx={{ fontWeight: 600 }}>
        Weight, {axis.unit}
        <Box component="span" sx={{ fontWeight: 400, color: 'earth.quiet' }}>
          {' '}
          {last
            ? `${readingWords(last.values.mass ?? 0, 'mass', reader)} last${change === null ? '' : `, ${change >= 0 ? '+' : '−'}${Math.round(Math.abs(100 * change))} % since ${new Date(first?.at ?? 0).toLocaleDateString()}`}`
            : `not weighed yet: “weighed ${axis.unit === 'oz' ? '1.5 oz' : '42 g'}” above, or use the form`}
          {sheds.length > 0 ? '; dotted, sheds' : ''}
        </Box>
      </Typography>
      {weights.length > 1 && <Chart label={`Weight of ${animal.name}`} height={150} option={option} />}
    </Box>
  );
}

/** What it was given and took, meal by meal; refusals stand out. */
export function MealChart({ animal, log }: Props) {
  const [meals, refused] = useMemo(() => mealsOf(animal, log), [animal, log]);
  const option = useCallback(
    (inks: Inks): EChartsCoreOption => ({
      ...axes(inks),
      series: [
        {
          type: 'scatter',
          symbol: 'rect',
          symbolSize: 8,
          data: meals
            .filter((it) => !refused.includes(it) && it.values.count !== null)
            .map((it) => [it.at, (it.values.count ?? 0) - (it.values.left ?? 0)]),
          itemStyle: { color: inks.moss },
        },
        {
          type: 'scatter',
          symbol: 'triangle',
          symbolSize: 10,
          data: refused.map((it) => [it.at, 0]),
          itemStyle: { color: inks.clay },
        },
      ],
    }),
    [meals, refused],
  );
  return (
    <Box component="section" aria-label="Meals">
      <Typography variant="body2" component="h3" sx={{ fontWeight: 600 }}>
        Meals
        <Box component="span" sx={{ fontWeight: 400, color: 'earth.quiet' }}>
          {' '}
          {meals.length === 0
            ? 'none written down yet'
            : `${meals.length} written down, ${refused.length} refused (triangles); squares, what was taken`}
        </Box>
      </Typography>
      {meals.length > 1 && <Chart label={`Meals of ${animal.name}`} height={150} option={option} />}
    </Box>
  );
}

/** Its meals, and those of them it refused. Meals of a box are those of all who lived in it on their day. */
function mealsOf(animal: AnimalRecord, log: readonly Entry[]): readonly [readonly Entry[], readonly Entry[]] {
  const meals = linesAbout(animal, log, (it) => dayOfLine(it, localDay)).filter((it) => it.kind === 'feed');
  const refused = meals.filter(
    ({ values }) => values.refused === true || (values.count !== null && values.left === values.count),
  );
  return [meals, refused];
}
