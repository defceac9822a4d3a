'use client';

import { contours } from 'd3-contour';
import { useMemo, useRef, type KeyboardEvent, type PointerEvent, type ReactNode } from 'react';
import type { Assessment } from '@/core/assess';
import type { Catalogue } from '@/core/catalogue';
import type { Corners, Design, Point, Region } from '@/core/document';
import {
  boundsOf,
  corners,
  heightAt,
  liftOutMiddle,
  momentsOf,
  type Area,
  type Part,
  type Rect,
} from '@/core/ground';
import type { PlantedResult } from '@/core/living';
import { length } from '@/core/units';
import { useEarth } from '../theme/useEarth';
import { useReader } from '../units';
import { nextGesture } from './Handle';
import { type PieceTools } from './pieces/ResizeHandles';

/** How metres of the floor lie in the picture, px. */
export interface PlanFrame {
  readonly x: (metres: number) => number;
  readonly y: (metres: number) => number;
  readonly scale: number;
  readonly at: (event: PointerEvent<SVGElement>) => Point;
}

export interface PlanProps {
  readonly design: Design;
  readonly assessment: Assessment;
  readonly catalogue: Catalogue;
  readonly width: number;
  readonly height: number;
  /** The region that is picked; null: the rest of the floor. */
  readonly region?: string | null;
  readonly onRegion?: (region: string | null) => void;
  /** Gives a region another outline. Calls of one drag share a gesture. */
  readonly onOutline?: (region: string, outline: readonly Point[], gesture: string) => void;
  readonly onMove?: (region: string, x: number, y: number, gesture: string) => void;
  readonly pieces?: PieceTools | undefined;
  readonly background?: string | null;
  readonly plants?: readonly PlantedResult[];
  /** Drawn over all of it, in its measures. */
  readonly over?: (frame: PlanFrame) => ReactNode;
}

const GRID = 48;
const STEP = 0.005;
const FINE = 0.001;

type ToPx = (metres: number) => number;

/** The uppermost layer of a part of the floor. */
export const topOf = (part: Part) => part.stack.at(-1)?.layer;

/** A part of the floor as a path, px. */
export const pathOf = (area: Area, x: ToPx, y: ToPx): string =>
  area
    .flat()
    .map((ring) => `M${ring.map(([a, b]) => `${x(a).toFixed(2)} ${y(b).toFixed(2)}`).join('L')}Z`)
    .join('');

/** Whether a corner of the enclosure lies in a part of its floor. */
export function cornerIn(area: Area, corner: string, { width, depth }: Design['enclosure']): boolean {
  const at = [corner.endsWith('Left') ? 0 : width, corner.startsWith('front') ? 0 : depth];
  return area.some((polygon) =>
    polygon.some((ring) =>
      ring.some(([a, b]) => Math.abs(a - (at[0] ?? 0)) < 1e-4 && Math.abs(b - (at[1] ?? 0)) < 1e-4),
    ),
  );
}

interface ContoursProps {
  readonly part: Part;
  readonly step: number;
  readonly clip: string;
  readonly path: string;
  readonly x: ToPx;
  readonly y: ToPx;
}

/** Lines of equal height over one part of the floor. */
export function Contours({ part, step, clip, path, x, y }: ContoursProps) {
  const { surface, field } = part;
  const lines = useMemo(() => contourPaths(surface, step), [surface, step]);
  if (lines.length === 0) return null;
  return (
    <>
      <clipPath id={clip}>
        <path d={path} clipRule="evenodd" />
      </clipPath>
      <g clipPath={`url(#${clip})`} pointerEvents="none">
        <g
          transform={`translate(${x(field.x0)} ${y(field.y1)}) scale(${x(field.x1) - x(field.x0)} ${y(field.y0) - y(field.y1)})`}
          fill="none"
          stroke="#F6F2E8"
        >
          {lines.map((line) => (
            <path
              key={line.level}
              d={line.path}
              vectorEffect="non-scaling-stroke"
              strokeWidth={1.25}
              opacity={0.85}
            />
          ))}
        </g>
      </g>
    </>
  );
}

interface OutlinedProps {
  readonly width: number;
  readonly height: number;
  readonly onRegion: PlanProps['onRegion'] | undefined;
  readonly onOutline: PlanProps['onOutline'] | undefined;
  readonly onMove: PlanProps['onMove'] | undefined;
  readonly part: Part;
  readonly chosen: boolean;
  readonly x: ToPx;
  readonly y: ToPx;
  readonly scale: number;
}

const ARROWS: Record<string, readonly [number, number]> = {
  ArrowRight: [1, 0],
  ArrowLeft: [-1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};

/** The name and outline of a region: dragged whole, or corner by corner; by arrow keys 5 mm (Shift: 1 mm). */
export function Outlined(props: OutlinedProps & { readonly region: Region }) {
  const { part, region, chosen, x, y, scale, height, onRegion, onMove, onOutline } = props;
  const earth = useEarth();
  const { write } = useReader();
  const drag = useRef<{ gesture: string; at: Point; corner: number | null }>(null);
  const bounds = boundsOf(region.outline);
  // Named in the middle of what is seen of it.
  const seen = momentsOf(part.outline);
  const edits = chosen && onMove !== undefined && onOutline !== undefined;

  const metresAt = (event: PointerEvent<SVGElement>): Point => {
    const svg = event.currentTarget.ownerSVGElement;
    if (!svg) return { x: 0, y: 0 };
    const frame = svg.getBoundingClientRect();
    return {
      x: ((event.clientX - frame.left) * (props.width / frame.width) - x(0)) / scale,
      y: (y(0) - (event.clientY - frame.top) * (height / frame.height)) / scale,
    };
  };
  const grasp = (event: PointerEvent<SVGElement>, corner: number | null): void => {
    event.stopPropagation();
    event.currentTarget.setPointerCapture(event.pointerId);
    drag.current = { gesture: `drag ${nextGesture()}`, at: metresAt(event), corner };
  };
  const follow = (event: PointerEvent<SVGElement>): void => {
    const held = drag.current;
    if (!held) return;
    const to = metresAt(event);
    const by = { x: round(to.x - held.at.x), y: round(to.y - held.at.y) };
    if (by.x === 0 && by.y === 0) return;
    held.at = { x: held.at.x + by.x, y: held.at.y + by.y };
    if (held.corner === null) onMove?.(region.id, by.x, by.y, held.gesture);
    else onOutline?.(region.id, moved(region.outline, held.corner, by), held.gesture);
  };
  const release = (): void => {
    drag.current = null;
  };
  const onKey = (event: KeyboardEvent, corner: number | null): void => {
    const way = ARROWS[event.key];
    if (!way) return;
    event.preventDefault();
    const size = event.shiftKey ? FINE : STEP;
    const by = { x: way[0] * size, y: way[1] * size };
    const gesture = `key ${nextGesture()}`;
    if (corner === null) onMove?.(region.id, by.x, by.y, gesture);
    else onOutline?.(region.id, moved(region.outline, corner, by), gesture);
  };

  return (
    <g>
      <path
        d={pathOf(part.outline, x, y)}
        fill="transparent"
        stroke={chosen ? '#FFFFFF' : '#23281F'}
        strokeWidth={chosen ? 2.25 : 1.25}
        strokeDasharray={chosen ? '7 4' : undefined}
        role="button"
        tabIndex={0}
        aria-pressed={chosen}
        aria-label={`${region.name}, ${write(length(bounds.x1 - bounds.x0))} by ${write(length(bounds.y1 - bounds.y0))}, ${write(length(bounds.x0))} from the left, ${write(length(bounds.y0))} from the front${chosen ? '. Arrow keys move it' : ''}`}
        style={{ cursor: edits ? 'move' : 'pointer', touchAction: edits ? 'none' : undefined }}
        onClick={() => onRegion?.(region.id)}
        onKeyDown={(event) => {
          if (event.key === 'Enter' || event.key === ' ') {
            event.preventDefault();
            onRegion?.(region.id);
          } else if (edits) onKey(event, null);
        }}
        {...(edits
          ? {
              onPointerDown: (event: PointerEvent<SVGElement>) => grasp(event, null),
              onPointerMove: follow,
              onPointerUp: release,
              onPointerCancel: release,
            }
          : {})}
      />
      <text
        x={x(seen.x / seen.area)}
        y={y(seen.y / seen.area) + 4}
        textAnchor="middle"
        fontSize={12}
        fontWeight={650}
        fill="#FFFFFF"
        stroke="#23281F"
        strokeWidth={3}
        paintOrder="stroke"
        pointerEvents="none"
      >
        {region.name}
      </text>
      {edits &&
        region.outline.map((point, index) => (
          <g
            key={index}
            className="rincon-handle"
            role="button"
            tabIndex={0}
            aria-label={`Corner ${index + 1} of ${region.name}, ${write(length(point.x))} from the left, ${write(length(point.y))} from the front. Arrow keys move it`}
            style={{ cursor: 'move', touchAction: 'none' }}
            onKeyDown={(event) => onKey(event, index)}
            onPointerDown={(event) => grasp(event, index)}
            onPointerMove={follow}
            onPointerUp={release}
            onPointerCancel={release}
          >
            <circle cx={x(point.x)} cy={y(point.y)} r={12} fill="transparent" />
            <circle
              className="knob"
              cx={x(point.x)}
              cy={y(point.y)}
              r={5.5}
              fill={earth.card}
              stroke={earth.moss}
              strokeWidth={2}
            />
          </g>
        ))}
    </g>
  );
}

const round = (metres: number): number => Math.round(metres / FINE) * FINE;

const moved = (outline: readonly Point[], corner: number, by: Point): Point[] =>
  outline.map((point, index) =>
    index === corner ? { x: Math.max(0, point.x + by.x), y: Math.max(0, point.y + by.y) } : point,
  );

interface OutletProps {
  readonly design: Design;
  readonly x: ToPx;
  readonly y: ToPx;
  readonly scale: number;
  readonly ink: string;
}

/** Where the water can leave, from above. */
export function Outlet({ design, x, y, scale, ink }: OutletProps) {
  const { outlet } = design.ground;
  const style = {
    fill: '#DDE3DC',
    fillOpacity: 0.8,
    stroke: ink,
    strokeWidth: 1.25,
    pointerEvents: 'none',
  } as const;
  if (outlet.kind === 'siphon') {
    return (
      <circle
        cx={x(outlet.at.x)}
        cy={y(outlet.at.y)}
        r={Math.max(3, (outlet.diameter / 2) * scale)}
        {...style}
      />
    );
  }
  if (outlet.kind === 'lift-out') {
    const middle = liftOutMiddle(outlet, design.enclosure);
    return (
      <rect
        x={x(middle.x - outlet.width / 2)}
        y={y(middle.y + outlet.depth / 2)}
        width={outlet.width * scale}
        height={outlet.depth * scale}
        {...style}
        fillOpacity={0.35}
        strokeDasharray="4 3"
      />
    );
  }
  return null;
}

const UNIT: Rect = { x0: 0, x1: 1, y0: 0, y1: 1 };

/**
 * Lines of equal height of a bilinear surface, as paths over a unit square with the back at its top. The grid reaches a
 * cell beyond the field on every side, so that where a ring closes along its edge lies outside and is clipped away.
 */
function contourPaths(surface: Corners, step: number): { level: number; path: string }[] {
  const along = (index: number): number => (index - 1) / (GRID - 3);
  const values = Array.from({ length: GRID * GRID }, (_, index) =>
    heightAt(surface, UNIT, along(index % GRID), 1 - along(Math.floor(index / GRID))),
  );
  const [low, high] = [corners.lowest(surface), corners.highest(surface)];
  const levels: number[] = [];
  for (let level = Math.ceil((low + 1e-6) / step) * step; level < high - 1e-6; level += step)
    levels.push(level);
  // The grid's points lie at the middle of its cells.
  const point = ([a = 0, b = 0]: readonly number[]): string =>
    `${along(a - 0.5).toFixed(4)} ${along(b - 0.5).toFixed(4)}`;
  return contours()
    .size([GRID, GRID])
    .thresholds(levels)(values)
    .map(({ value, coordinates }) => ({
      level: value,
      path: coordinates
        .flat()
        .map((ring) => `M${ring.map(point).join('L')}`)
        .join(''),
    }));
}
