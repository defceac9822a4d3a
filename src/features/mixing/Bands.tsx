'use client';

import Box from '@mui/material/Box';
import type { EChartsCoreOption } from 'echarts/core';
import { useCallback } from 'react';
import {
  PROPERTIES,
  standingOf,
  type MixProperties,
  type Property,
  type State,
  type Target,
  type Targets,
} from '@/core/mixing';
import { BasisMark } from '@/ui/BasisMark';
import { Chart, type Inks } from '@/ui/Chart';
import { PlainTable } from '@/ui/PlainTable';
import { useReader, type Reader } from '@/ui/units';
import { COLOURS, LETTERS, propertyText, propertyWord, SHAPES, STANDING_WORD } from './words';

interface Props {
  readonly mixes: readonly MixProperties[];
  readonly targets: Targets;
  readonly state: State;
}

/** Height of a table's row, so that each mark stands beside its figures. */
const ROW = 36;
/** How far beyond its band a mark is still drawn, in widths of the band. */
const REACH = 0.75;

/** Where mixes stand against the bands of the animal's family: the strip is where each should lie. */
export function Bands({ mixes, targets, state }: Props) {
  const reader = useReader();
  const rows = PROPERTIES.flatMap((property) => {
    const target = targets[property];
    return target ? [{ property, target }] : [];
  });
  const option = useCallback(
    (inks: Inks): EChartsCoreOption => optionOf(rows, mixes, inks),
    // The rows follow from the targets.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [targets, mixes],
  );
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', sm: 'minmax(0, 1fr) auto' },
        columnGap: 1.5,
      }}
    >
      {/* Of no use where it does not stand beside its rows. */}
      <Box sx={{ pt: `${ROW}px`, display: { xs: 'none', sm: 'block' } }}>
        <Chart
          label="Where each mix lies against its band. The figures stand in the table beside it."
          height={rows.length * ROW}
          option={option}
        />
      </Box>
      <Box
        role="group"
        aria-label="What they will be like, table"
        tabIndex={0}
        sx={{ overflowX: 'auto', '& td, & th': { px: '6px !important', py: '0 !important' } }}
      >
        <PlainTable label="What they will be like">
          <thead>
            <tr>
              <th scope="col">what counts</th>
              <th scope="col" className="number">
                should be
              </th>
              {mixes.map((_, index) => (
                <th scope="col" className="number" key={LETTERS[index]}>
                  {LETTERS[index]}
                </th>
              ))}
              <td />
            </tr>
          </thead>
          <tbody>
            {rows.map(({ property, target }) => (
              <tr key={property}>
                <th scope="row">{propertyWord(property, state, reader)}</th>
                <td className="number" style={{ fontSize: '0.82rem' }}>
                  {wanted(property, target, reader)}
                </td>
                {mixes.map((mix, index) => (
                  <Value key={LETTERS[index]} property={property} value={mix[property]} target={target} />
                ))}
                <td>
                  <BasisMark basis={target.basis} source={target.source} />
                </td>
              </tr>
            ))}
          </tbody>
        </PlainTable>
      </Box>
    </Box>
  );
}

/** “10 – 30 %”: the unit once, where both ends have the same. */
function wanted(property: Property, { range: { low, high } }: Target, reader: Reader): string {
  const [from, to] = [propertyText(property, low, reader), propertyText(property, high, reader)];
  const unit = /\u00a0.+$/.exec(to)?.[0] ?? '';
  return `${unit && from.endsWith(unit) ? from.slice(0, -unit.length) : from} – ${to}`;
}

interface ValueProps {
  readonly property: Property;
  readonly value: number | undefined;
  readonly target: Target;
}

function Value({ property, value, target }: ValueProps) {
  const reader = useReader();
  if (value === undefined) return <td className="number">not known</td>;
  const standing = standingOf(property, value, target.range);
  return (
    <td className="number">
      <Box
        component="span"
        sx={{ color: standing === 'within' ? 'earth.ink' : 'earth.clay', fontWeight: 600 }}
      >
        {propertyText(property, value, reader)}
      </Box>
      <Box
        component="span"
        sx={{
          display: 'inline-block',
          width: 30,
          ml: 0.5,
          textAlign: 'left',
          fontSize: '0.76rem',
          color: 'earth.clay',
        }}
      >
        {standing !== 'within' && STANDING_WORD[standing]}
      </Box>
    </td>
  );
}

function optionOf(
  rows: readonly { readonly property: Property; readonly target: Target }[],
  mixes: readonly MixProperties[],
  inks: Inks,
): EChartsCoreOption {
  const count = rows.length;
  // Rows from the top down, as the table reads.
  const at = (row: number): number => count - 1 - row;
  return {
    grid: { left: 0, right: 0, top: 0, bottom: 0 },
    xAxis: { type: 'value', min: -REACH, max: 1 + REACH, show: false },
    yAxis: {
      type: 'value',
      min: -0.5,
      max: count - 0.5,
      interval: 1,
      axisLabel: { show: false },
      axisLine: { show: false },
      axisTick: { show: false },
      splitLine: { show: false },
    },
    series: [
      {
        type: 'scatter',
        silent: true,
        symbolSize: 0,
        data: [],
        // One strip for all: each row is drawn on a scale of its own, on which its band is the strip.
        markArea: {
          silent: true,
          itemStyle: { color: inks.mossWash },
          data: [[{ xAxis: 0 }, { xAxis: 1 }]],
        },
        markLine: {
          silent: true,
          symbol: 'none',
          label: { show: false },
          lineStyle: { color: inks.rule, type: 'solid', width: 1 },
          data: rows.slice(1).map((_, row) => ({ yAxis: at(row) - 0.5 })),
        },
      },
      ...mixes.map((mix, index) => ({
        type: 'scatter',
        silent: true,
        symbol: SHAPES[index],
        symbolSize: 19,
        z: 5 - index,
        itemStyle: {
          color: inks[COLOURS[index] ?? 'moss'],
          borderColor: inks.card,
          borderWidth: 1.5,
          opacity: 1,
        },
        label: {
          show: true,
          formatter: LETTERS[index],
          color: inks.card,
          fontSize: 10,
          fontWeight: 700,
          fontFamily: inks.font,
          offset: index === 2 ? [0, 2] : [0, 0],
        },
        data: rows.flatMap(({ property, target: { range } }, row) => {
          const value = mix[property];
          if (value === undefined) return [];
          const along = (value - range.low) / (range.high - range.low);
          // Marks that would cover one another stand a little apart.
          const near = mixes.slice(0, index).filter((other) => {
            const theirs = other[property];
            return (
              theirs !== undefined && Math.abs((theirs - range.low) / (range.high - range.low) - along) < 0.09
            );
          }).length;
          const shown = Math.min(1 + REACH - 0.08, Math.max(-REACH + 0.08, along));
          return [{ value: [shown, at(row) - near * 0.24] }];
        }),
      })),
    ],
  };
}
