'use client';

import { useRef, type KeyboardEvent } from 'react';
import type { Frame } from '@/ui/section/Section';
import { useEarth } from '@/ui/theme/useEarth';

interface Props {
  readonly across: number;
  readonly up: number;
  readonly frame: Frame;
  /** What it reads, in words. */
  readonly reads: string;
  readonly onMove: (across: number, up: number) => void;
}

const KEYS: Record<string, readonly [number, number]> = {
  ArrowRight: [1, 0],
  ArrowLeft: [-1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};

/** A probe to put anywhere in the drawing. */
export function ProbeMark({ across, up, frame, reads, onMove }: Props) {
  const earth = useEarth();
  const held = useRef(false);
  const [x, y] = [frame.x(across), frame.y(up)];
  const put = (a: number, u: number): void =>
    onMove(Math.min(frame.across, Math.max(0, a)), Math.min(frame.height, Math.max(0, u)));
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={`Probe: ${reads}`}
      data-probe
      style={{ cursor: 'move', touchAction: 'none' }}
      onKeyDown={(event: KeyboardEvent) => {
        const way = KEYS[event.key];
        if (!way) return;
        event.preventDefault();
        const step = event.shiftKey ? 0.002 : 0.01;
        put(across + way[0] * step, up + way[1] * step);
      }}
      onPointerDown={(event) => {
        event.stopPropagation();
        event.currentTarget.setPointerCapture(event.pointerId);
        held.current = true;
      }}
      onPointerMove={(event) => {
        if (!held.current) return;
        const at = frame.at(event);
        put(at.across, at.up);
      }}
      onPointerUp={() => {
        held.current = false;
      }}
      onPointerCancel={() => {
        held.current = false;
      }}
    >
      <circle
        cx={x}
        cy={y}
        r={13}
        fill={earth.card}
        fillOpacity={0.75}
        stroke={earth.ink}
        strokeWidth={1.5}
      />
      <path
        d={`M ${x - 8} ${y} H ${x + 8} M ${x} ${y - 8} V ${y + 8}`}
        stroke={earth.ink}
        strokeWidth={1.5}
      />
      <circle cx={x} cy={y} r={2.5} fill={earth.clay} />
    </g>
  );
}
