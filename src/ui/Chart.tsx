'use client';

import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { EChartsCoreOption } from 'echarts/core';
import { useColorScheme } from '@mui/material/styles';
import { useEffect } from 'react';
import { useECharts } from './useECharts';

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

/** In place of a chart whose library could not be loaded. */
export const NoChart = ({ label, height }: Pick<Props, 'label' | 'height'>) => (
  <Typography
    variant="body2"
    role="status"
    sx={{ minHeight: height, display: 'grid', placeContent: 'center', color: 'earth.quiet' }}
  >
    {label}: the chart could not be loaded. Check the connection, then load the page again.
  </Typography>
);

/** A picture drawn by ECharts in the colours of the scheme. */
export function Chart({ label, height, option }: Props) {
  const { host, chart, missing } = useECharts('svg');
  const { mode, systemMode } = useColorScheme();

  useEffect(() => {
    if (!host.current) return;
    chart?.setOption({ animation: false, ...option(inksOf(host.current)) }, { notMerge: true });
  }, [host, chart, option, mode, systemMode]);

  return missing ? (
    <NoChart label={label} height={height} />
  ) : (
    <Box ref={host} role="img" aria-label={label} sx={{ width: '100%', height }} />
  );
}
