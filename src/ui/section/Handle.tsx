'use client';

import { useEarth } from '../theme/useEarth';
import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { length } from '@/core/units';
import { useReader } from '../units';

interface Props {
  readonly label: string;
  readonly x: number;
  readonly y: number;
  /** Thickness here now, and the most it can be, m. */
  readonly value: number;
  readonly max: number;
  /** Thickness under the pointer, m. */
  readonly metresAt: (event: PointerEvent<SVGElement>) => number;
  readonly onShift: (by: number, gesture: string) => void;
}

const STEP = 0.005;
const FINE = 0.001;
let gestures = 0;

/** Tells one drag or key press from the next, so that each is one step of undo. */
export function nextGesture(): number {
  gestures += 1;
  return gestures;
}

/** A knob on the top of a layer: dragged, or moved by arrow keys in 5 mm (Shift: 1 mm). */
export function Handle({ label, x, y, value, max, metresAt, onShift }: Props) {
  const earth = useEarth();
  const { write } = useReader();
  const drag = useRef<{ gesture: string; offset: number }>(null);

  const moveTo = (wanted: number, gesture: string): void => {
    const to = Math.round(Math.min(max, Math.max(0, wanted)) / FINE) * FINE;
    if (Math.abs(to - value) > 1e-6) onShift(to - value, gesture);
  };

  const onKeyDown = (event: KeyboardEvent): void => {
    const up = event.key === 'ArrowUp' || event.key === 'ArrowRight';
    const down = event.key === 'ArrowDown' || event.key === 'ArrowLeft';
    if (!up && !down) return;
    event.preventDefault();
    moveTo(value + (up ? 1 : -1) * (event.shiftKey ? FINE : STEP), `key ${nextGesture()}`);
  };

  return (
    <g
      role="slider"
      tabIndex={0}
      aria-label={label}
      aria-orientation="vertical"
      aria-valuemin={0}
      aria-valuemax={Math.round(max * 1000)}
      aria-valuenow={Math.round(value * 1000)}
      aria-valuetext={write(length(value))}
      className="rincon-handle"
      style={{ cursor: 'ns-resize', touchAction: 'none' }}
      onKeyDown={onKeyDown}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        drag.current = { gesture: `drag ${nextGesture()}`, offset: metresAt(event) - value };
      }}
      onPointerMove={(event) => {
        if (drag.current) moveTo(metresAt(event) - drag.current.offset, drag.current.gesture);
      }}
      onPointerUp={() => (drag.current = null)}
      onPointerCancel={() => (drag.current = null)}
    >
      <circle cx={x} cy={y} r={16} fill="transparent" />
      <circle className="knob" cx={x} cy={y} r={7} fill={earth.card} stroke={earth.moss} strokeWidth={2.5} />
    </g>
  );
}
