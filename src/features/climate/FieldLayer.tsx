'use client';

import { contours } from 'd3-contour';
import { memo, useMemo } from 'react';
import type { Field } from '@/core/light';

/** A quantity as it is laid over the drawing. */
export interface Scale {
  readonly name: string;
  /** Where one colour ends and the next begins, and the colours: one more than there are limits. */
  readonly limits: readonly number[];
  readonly colours: readonly string[];
  readonly write: (value: number) => string;
}

const blend = (from: string, to: string, part: number): string => {
  const rgb = (hex: string): number[] => [1, 3, 5].map((at) => Number.parseInt(hex.slice(at, at + 2), 16));
  const [a, b] = [rgb(from), rgb(to)];
  return `rgb(${a.map((it, i) => Math.round(it + ((b[i] ?? 0) - it) * part)).join(' ')})`;
};

/** Colours between a few, evenly. */
export const ramp = (stops: readonly string[], count: number): string[] =>
  Array.from({ length: count }, (_, i) => {
    const at = (i / Math.max(1, count - 1)) * (stops.length - 1);
    const low = Math.min(stops.length - 2, Math.floor(at));
    return blend(stops[low] ?? '#888888', stops[low + 1] ?? '#888888', at - low);
  });

interface Props {
  readonly field: Field;
  readonly scale: Scale;
  /** px of the lower left corner, px a metre, and metres of the side one looks at. */
  readonly left: number;
  readonly floor: number;
  readonly perMetre: number;
  readonly across: number;
  readonly height: number;
  readonly prefix: string;
  /** What the animal wants; beyond it the drawing is hatched. */
  readonly band: { readonly low: number; readonly high: number } | null;
}

const pathOf = (coordinates: number[][][][], px: (column: number, row: number) => string): string =>
  coordinates
    .map((polygon) => polygon.map((ring) => `M${ring.map(([a = 0, b = 0]) => px(a, b)).join('L')}Z`).join(''))
    .join('');

/** A field over the drawing, in bands with lines between them, hatched where it lies outside what the animal wants. */
export const FieldLayer = memo(function FieldLayer(props: Props) {
  const { field, scale, prefix, band, left, floor, perMetre, across, height } = props;
  const { columns, rows, values } = field;
  const drawn = useMemo(() => {
    const list = Array.from(values);
    const px = (column: number, row: number): string =>
      `${(left + (column / columns) * across * perMetre).toFixed(1)},${(floor - (row / rows) * height * perMetre).toFixed(1)}`;
    const least = Math.min(...list);
    const shapes = contours()
      .size([columns, rows])
      .thresholds([least - 1, ...scale.limits])(list);
    const bands = shapes.map((it, index) => ({
      fill: scale.colours[index] ?? '#888888',
      path: pathOf(it.coordinates, px),
    }));
    const over = band && contours().size([columns, rows]).contour(list, band.high);
    const under =
      band &&
      contours()
        .size([columns, rows])
        .contour(
          list.map((it) => -it),
          -band.low,
        );
    return {
      bands,
      outside: [over, under].map((it) => (it ? pathOf(it.coordinates, px) : '')).join(''),
    };
  }, [values, columns, rows, left, floor, perMetre, across, height, scale, band]);
  return (
    <g pointerEvents="none" aria-hidden>
      <defs>
        <pattern
          id={`${prefix}-hatch`}
          width={8}
          height={8}
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <line x1={0} y1={0} x2={0} y2={8} stroke="#23281F" strokeWidth={1.4} opacity={0.55} />
        </pattern>
      </defs>
      {/* Each band lies on the one before: laid over the drawing together, not one by one. */}
      <g opacity={0.56}>
        {drawn.bands.map(({ fill, path }, index) => (
          <path key={index} d={path} fill={fill} stroke="#23281F" strokeOpacity={0.35} strokeWidth={0.6} />
        ))}
      </g>
      {drawn.outside !== '' && <path d={drawn.outside} fill={`url(#${prefix}-hatch)`} />}
    </g>
  );
});
