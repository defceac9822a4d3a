'use client';

import type { EChartsCoreOption } from 'echarts/core';
import { useCallback, useMemo } from 'react';
import type { CrewKind } from '@/core/catalogue';
import { Chart, type Inks, tick } from '@/ui/Chart';
import { useReader, type Reader } from '@/ui/units';
import type { CrewAnswer } from '@/workers/living';

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
