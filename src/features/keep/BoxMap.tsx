'use client';

import Box from '@mui/material/Box';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { useRef, useState, type KeyboardEvent, type ReactNode } from 'react';
import { useOpenDesign, useStore } from '@/store';
import { Section, type Frame, type View } from '@/ui/section/Section';
import { useElementSize } from '@/ui/useElementSize';

/** A place in the box, m from its left front lower corner. */
export interface Spot {
  readonly x: number;
  readonly y: number;
  readonly z: number;
}

interface Props {
  /** What is set in the drawing, in words. */
  readonly label: string;
  readonly value: Spot | null;
  readonly onChange?: (spot: Spot) => void;
  readonly height?: number;
  /** Drawn besides, given where a place lies in the picture. */
  readonly marks?: (
    place: (spot: Spot) => { readonly x: number; readonly y: number },
    frame: Frame,
  ) => ReactNode;
}

const KEYS: Record<string, readonly [number, number]> = {
  ArrowRight: [1, 0],
  ArrowLeft: [-1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};

/** The section drawing with a place in it that is set by a click, a tap or the arrow keys. */
export function BoxMap({ label, value, onChange, height = 280, marks }: Props) {
  const { catalogue } = useStore();
  const { design, assessment } = useOpenDesign();
  const [view, setView] = useState<View>('front');
  const host = useRef<HTMLDivElement>(null);
  const { width } = useElementSize(host);
  const { width: across, depth, height: high } = design.enclosure;
  const spot = value ?? { x: across / 2, y: depth / 2, z: high / 3 };
  const held = useRef(false);
  const put = (a: number, up: number): void => {
    const clamp = (it: number, most: number): number => Math.min(most, Math.max(0, it));
    const z = clamp(up, high);
    onChange?.(view === 'front' ? { ...spot, x: clamp(a, across), z } : { ...spot, y: clamp(a, depth), z });
  };
  const over = (frame: Frame): ReactNode => {
    const place = (it: Spot): { x: number; y: number } => ({
      x: frame.x(view === 'front' ? it.x : it.y),
      y: frame.y(it.z),
    });
    const at = place(spot);
    return (
      <>
        {marks?.(place, frame)}
        {onChange && (
          <>
            <rect
              x={frame.x(0)}
              y={frame.y(high)}
              width={frame.x(frame.across) - frame.x(0)}
              height={frame.y(0) - frame.y(high)}
              fill="transparent"
              style={{ cursor: 'crosshair', touchAction: 'none' }}
              onPointerDown={(event) => {
                event.currentTarget.setPointerCapture(event.pointerId);
                held.current = true;
                const to = frame.at(event);
                put(to.across, to.up);
              }}
              onPointerMove={(event) => {
                if (!held.current) return;
                const to = frame.at(event);
                put(to.across, to.up);
              }}
              onPointerUp={() => (held.current = false)}
              onPointerCancel={() => (held.current = false)}
            />
            <g
              role="button"
              tabIndex={0}
              aria-label={`${label}: ${Math.round(100 * (view === 'front' ? spot.x : spot.y))} cm ${view === 'front' ? 'from the left' : 'from the front'}, ${Math.round(100 * spot.z)} cm up. Arrow keys move it.`}
              onKeyDown={(event: KeyboardEvent) => {
                const way = KEYS[event.key];
                if (!way) return;
                event.preventDefault();
                const step = event.shiftKey ? 0.002 : 0.01;
                put((view === 'front' ? spot.x : spot.y) + way[0] * step, spot.z + way[1] * step);
              }}
              style={{ pointerEvents: 'none', opacity: value ? 1 : 0.45 }}
            >
              <circle
                cx={at.x}
                cy={at.y}
                r={9}
                fill="var(--mui-palette-earth-card)"
                stroke="var(--mui-palette-earth-clay)"
                strokeWidth={2.5}
              />
              <circle cx={at.x} cy={at.y} r={3} fill="var(--mui-palette-earth-clay)" />
            </g>
          </>
        )}
      </>
    );
  };
  return (
    <Box ref={host} sx={{ position: 'relative', minWidth: 0 }}>
      <Section
        design={design}
        assessment={assessment}
        catalogue={catalogue}
        view={view}
        width={Math.max(200, width)}
        height={height}
        over={over}
      />
      <ToggleButtonGroup
        exclusive
        size="small"
        aria-label="Seen from"
        value={view}
        onChange={(_, next: View | null) => next && setView(next)}
        sx={{ position: 'absolute', right: 8, top: 4, bgcolor: 'earth.card' }}
      >
        <ToggleButton value="front">Front</ToggleButton>
        <ToggleButton value="side">Side</ToggleButton>
      </ToggleButtonGroup>
    </Box>
  );
}
