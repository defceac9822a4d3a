'use client';

import Box from '@mui/material/Box';
import type { EChartsCoreOption } from 'echarts/core';
import { useColorScheme } from '@mui/material/styles';
import { useEffect, useRef } from 'react';
import { inksOf, NoChart, tick, type Inks } from './Chart';
import { useECharts } from './useECharts';

export interface TimeWindow {
  /** ms since 1970 */
  readonly from: number;
  readonly to: number;
}

interface Props {
  /** What it shows, for those who do not see it. The figures stand beside it in words. */
  readonly label: string;
  readonly height: number;
  readonly window: TimeWindow;
  /** Called once a move has come to rest. */
  readonly onWindow: (window: TimeWindow) => void;
  readonly option: (inks: Inks) => EChartsCoreOption;
}

/** How long a move rests before what it shows is fetched anew, ms. */
const REST = 160;

/** Curves over time that are moved with the mouse, the finger or the wheel, on a canvas: years of them stay smooth. */
export function TimeChart({ label, height, window: shown, onWindow, option }: Props) {
  const { host, chart, missing } = useECharts('canvas');
  const told = useRef(onWindow);
  const at = useRef(shown);
  const { mode, systemMode } = useColorScheme();

  useEffect(() => {
    told.current = onWindow;
    at.current = shown;
  });

  useEffect(() => {
    if (!chart) return undefined;
    let rest: ReturnType<typeof setTimeout> | undefined;
    chart.on('datazoom', () => {
      clearTimeout(rest);
      rest = setTimeout(() => {
        const { dataZoom } = chart.getOption() as {
          readonly dataZoom?: readonly { readonly startValue?: number; readonly endValue?: number }[];
        };
        const { startValue, endValue } = dataZoom?.[0] ?? {};
        const { from, to } = at.current;
        if (startValue !== undefined && endValue !== undefined && (startValue !== from || endValue !== to))
          told.current({ from: startValue, to: endValue });
      }, REST);
    });
    return () => clearTimeout(rest);
  }, [chart]);

  useEffect(() => {
    if (!host.current) return;
    const inks = inksOf(host.current);
    const axis = { color: inks.quiet, fontFamily: inks.font, fontSize: 11, hideOverlap: true };
    const { xAxis, yAxis, ...rest } = option(inks) as {
      readonly xAxis?: object;
      readonly yAxis?: object;
    };
    chart?.setOption(
      {
        animation: false,
        grid: { left: 44, right: 14, top: 14, bottom: 26 },
        dataZoom: [
          {
            type: 'inside',
            startValue: shown.from,
            endValue: shown.to,
            minValueSpan: 3_600_000,
            filterMode: 'none',
          },
        ],
        xAxis: {
          type: 'time',
          axisLabel: axis,
          axisLine: { lineStyle: { color: inks.rule } },
          ...xAxis,
        },
        yAxis: {
          type: 'value',
          scale: true,
          axisLabel: { ...axis, formatter: tick },
          splitLine: { lineStyle: { color: inks.rule } },
          ...yAxis,
        },
        ...rest,
      },
      { notMerge: true },
    );
  }, [host, chart, option, shown, mode, systemMode]);

  return missing ? (
    <NoChart label={label} height={height} />
  ) : (
    <Box ref={host} role="img" aria-label={label} sx={{ width: '100%', height, touchAction: 'pan-y' }} />
  );
}
