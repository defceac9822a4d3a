'use client';

import { memo } from 'react';
import { useEarth } from '../theme/useEarth';
import { UNITS } from '@/core/units';
import { useReader } from '../units';

interface Props {
  readonly axis: 'up' | 'across';
  /** px of the two ends, and of the line itself on the other axis. */
  readonly from: number;
  readonly to: number;
  readonly at: number;
  readonly metres: number;
}

/** Steps that read well, in the reader's unit; the finest that leaves about 40 px between numbers. */
const STEPS = [1, 2, 3, 4, 5, 6, 8, 10, 12, 15, 20, 24, 25, 30, 48, 50, 100, 200, 250, 500, 1000];

/** A ruler in the reader's unit. */
export const Ruler = memo(function Ruler({ axis, from, to, at, metres }: Props) {
  const earth = useEarth();
  const { prefs } = useReader();
  const unit = UNITS[prefs.length];
  const whole = metres / unit.factor;
  const pxPerUnit = Math.abs(to - from) / whole;
  const inch = prefs.length === 'in';
  const step =
    STEPS.filter((it) => (inch ? [1, 2, 3, 4, 6, 12, 24, 48].includes(it) : it === 1 || it % 5 === 0)).find(
      (it) => it * pxPerUnit >= 38,
    ) ?? 1000;
  const ticks = Array.from({ length: Math.floor(whole / step + 1e-6) + 1 }, (_, index) => index * step);
  const px = (value: number): number => from + ((to - from) * value) / whole;

  return (
    <g stroke={earth.quiet} strokeWidth={1} aria-hidden>
      {axis === 'up' ? <path d={`M ${at} ${from} V ${to}`} /> : <path d={`M ${from} ${at} H ${to}`} />}
      {ticks.map((value) =>
        axis === 'up' ? (
          <g key={value}>
            <path d={`M ${at - 5} ${px(value)} H ${at}`} />
            <text
              x={at - 9}
              y={px(value) + 4}
              textAnchor="end"
              fontSize={12}
              fill={earth.quiet}
              stroke="none"
            >
              {value === 0 ? `0 ${unit.symbol}` : value}
            </text>
          </g>
        ) : (
          <g key={value}>
            <path d={`M ${px(value)} ${at} V ${at + 5}`} />
            {value > 0 && whole - value > step * 0.35 && (
              <text
                x={px(value)}
                y={at + 19}
                textAnchor="middle"
                fontSize={12}
                fill={earth.quiet}
                stroke="none"
              >
                {value}
              </text>
            )}
          </g>
        ),
      )}
    </g>
  );
});
