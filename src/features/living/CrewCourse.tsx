'use client';

import Box from '@mui/material/Box';
import type { EChartsCoreOption } from 'echarts/core';
import { useCallback, useMemo } from 'react';
import type { CrewKind } from '@/core/catalogue';
import type { CrewHome } from '@/core/living';
import { capital } from '@/core/units';
import { Chart, type Inks, tick } from '@/ui/Chart';
import { daysWord } from '@/ui/days';
import { useReader, type Reader } from '@/ui/units';
import type { CrewAnswer } from '@/workers/living';
import { percent } from './words';

/** Months over which a crew is followed. */
export const MONTHS = 24;

export const round = (value: number, { num }: Reader): string => {
  const step = value >= 1000 ? 100 : value >= 100 ? 10 : 1;
  return num(Math.round(value / step) * step, 0);
};

const LINES = ['moss', 'clay', 'water', 'amber', 'ink'] as const;

export function CrewChart({
  answers,
  kinds,
}: {
  readonly answers: readonly CrewAnswer[];
  readonly kinds: readonly CrewKind[];
}) {
  const reader = useReader();
  const named = useMemo(
    () =>
      answers.flatMap((it) => {
        const kind = kinds.find((row) => row.id === it.kind);
        return kind ? [{ ...it, english: kind.english }] : [];
      }),
    [answers, kinds],
  );
  const option = useCallback(
    (inks: Inks): EChartsCoreOption => ({
      textStyle: { fontFamily: inks.font },
      grid: { left: 52, right: 120, top: 16, bottom: 34 },
      xAxis: {
        type: 'value',
        min: 0,
        max: MONTHS,
        interval: 6,
        name: 'months after they are introduced',
        nameLocation: 'middle',
        nameGap: 22,
        nameTextStyle: { color: inks.quiet },
        axisLabel: { color: inks.quiet, formatter: tick },
        splitLine: { show: false },
      },
      yAxis: {
        type: 'log',
        min: 1,
        name: 'adults',
        nameTextStyle: { color: inks.quiet },
        axisLabel: { color: inks.quiet, formatter: tick },
        splitLine: { lineStyle: { color: inks.rule } },
      },
      series: named.map(({ run, english }, index) => ({
        type: 'line',
        symbol: 'none',
        smooth: false,
        lineStyle: {
          width: 2.25,
          color: inks[LINES[index % LINES.length] ?? 'ink'],
          type: index % 2 === 0 ? 'solid' : 'dashed',
        },
        data: run.day.map((day, i) => [day / 30.44, Math.max(1, run.adults[i] ?? 0)]),
        endLabel: {
          lineHeight: 15,
          show: true,
          formatter: english,
          color: inks.ink,
          width: 112,
          overflow: 'break',
          fontSize: 11,
        },
        labelLayout: { moveOverlap: 'shiftY' },
      })),
    }),
    [named],
  );
  return (
    <Chart
      label={`Adults over ${MONTHS} months: ${named.map((it) => `${it.english} ${round(it.run.adults[0] ?? 0, reader)} to ${round(it.run.adults.at(-1) ?? 0, reader)}`).join('; ')}`}
      height={230}
      option={option}
    />
  );
}

/** When to reseed, when to cull. */
export function Advice({
  answers,
  kinds,
  home,
}: {
  readonly answers: readonly CrewAnswer[] | null;
  readonly kinds: readonly CrewKind[];
  readonly home: CrewHome;
}) {
  if (!answers) return null;
  const lines = answers.flatMap(({ kind: id, run, risk }) => {
    const kind = kinds.find((it) => it.id === id);
    if (!kind) return [];
    const end = run.adults.at(-1) ?? 0;
    if (run.gone !== null)
      return [
        `${kind.english}: gone after ${daysWord(run.gone)}. Reseed it about every ${daysWord(Math.max(30, run.gone * 0.7))}, or take another species.`,
      ];
    if (end < (run.adults[0] ?? 0) * 0.5)
      return [
        `${kind.english}: eaten or starved faster than it breeds. Reseed it every two to three months from a culture.`,
      ];
    if (risk.collapse > 0.1)
      return [
        `${kind.english}: dies out in ${percent(risk.collapse)} of tries within two years. Keep a culture.`,
      ];
    if (kind.protein && end > kind.crowd.value * home.floor * 0.7)
      return [`${kind.english}: swarms. Cull by a third when it shows by day.`];
    return [];
  });
  if (lines.length === 0) return null;
  return (
    <Box component="ul" sx={{ m: 0, pl: 2.5, typography: 'body2' }} aria-label="Reseeding and culling">
      {lines.map((it) => (
        <li key={it}>{capital(it)}</li>
      ))}
    </Box>
  );
}
