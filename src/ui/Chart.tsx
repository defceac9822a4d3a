'use client';

import Box from '@mui/material/Box';
import { init, use as register, type ECharts, type EChartsCoreOption } from 'echarts/core';
import { LineChart, ScatterChart } from 'echarts/charts';
import { GridComponent, MarkAreaComponent, MarkLineComponent } from 'echarts/components';
import { LabelLayout } from 'echarts/features';
import { SVGRenderer } from 'echarts/renderers';
import { useColorScheme } from '@mui/material/styles';
import { useEffect, useRef } from 'react';

register([
  LineChart,
  ScatterChart,
  GridComponent,
  MarkAreaComponent,
  MarkLineComponent,
  LabelLayout,
  SVGRenderer,
]);

const ticks = new Intl.NumberFormat(undefined, { maximumFractionDigits: 3 });

/** The figures of an axis, as the reader’s country writes them. */
export const tick = (value: number): string => ticks.format(value);

/** The colours of the scheme as they stand, read from the page: a chart cannot follow a variable. */
export interface Inks {
  readonly ink: string;
  readonly quiet: string;
  readonly rule: string;
  readonly card: string;
  readonly moss: string;
  readonly mossWash: string;
  readonly clay: string;
  readonly water: string;
  readonly amber: string;
  readonly font: string;
}

interface Props {
  /** What it shows, for those who do not see it. The figures stand beside it in words. */
  readonly label: string;
  readonly height: number;
  readonly option: (inks: Inks) => EChartsCoreOption;
}

const PALETTE = ['ink', 'quiet', 'rule', 'card', 'moss', 'mossWash', 'clay', 'water', 'amber'] as const;

/** The inks as they stand on the page around an element. */
export function inksOf(element: HTMLElement): Inks {
  const style = getComputedStyle(element);
  const colours = Object.fromEntries(
    PALETTE.map((name) => [name, style.getPropertyValue(`--mui-palette-earth-${name}`).trim() || '#808080']),
  ) as Record<(typeof PALETTE)[number], string>;
  return { ...colours, font: style.fontFamily };
}

/** A picture drawn by ECharts in the colours of the scheme. */
export function Chart({ label, height, option }: Props) {
  const host = useRef<HTMLDivElement>(null);
  const chart = useRef<ECharts | undefined>(undefined);
  const { mode, systemMode } = useColorScheme();

  useEffect(() => {
    const element = host.current;
    if (!element) return;
    const made = init(element, undefined, { renderer: 'svg' });
    chart.current = made;
    const observer = new ResizeObserver(() => made.resize());
    observer.observe(element);
    return () => {
      observer.disconnect();
      made.dispose();
      chart.current = undefined;
    };
  }, []);

  useEffect(() => {
    if (!host.current) return;
    chart.current?.setOption({ animation: false, ...option(inksOf(host.current)) }, { notMerge: true });
  }, [option, mode, systemMode]);

  return <Box ref={host} role="img" aria-label={label} sx={{ width: '100%', height }} />;
}
