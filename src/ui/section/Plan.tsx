'use client';

import { contours } from 'd3-contour';
import { useId, useMemo, useRef, type KeyboardEvent, type PointerEvent, type ReactNode } from 'react';
import type { Assessment } from '@/core/assess';
import type { Catalogue } from '@/core/catalogue';
import type { Corners, Design, Point, Region } from '@/core/design';
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
import { length, UNITS } from '@/core/units';
import { useEarth } from '../theme/useEarth';
import { useReader } from '../units';
import { nextGesture } from './Handle';
import { Ruler } from './Ruler';
import { BackLayer } from './pieces/BackLayer';
import { PieceEnds, type PieceTools } from './pieces/Grasp';
import { PieceLayer } from './pieces/PieceLayer';
import { PlantLayer } from './plants/PlantLayer';
import { textureOf, TexturePatterns } from './textures';

interface Props {
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

/** How metres of the floor lie in the picture, px. */
export interface PlanFrame {
  readonly x: (metres: number) => number;
  readonly y: (metres: number) => number;
  readonly scale: number;
  readonly at: (event: PointerEvent<SVGElement>) => Point;
}

const MARGIN = { left: 56, right: 40, top: 40, bottom: 56 };
const GRID = 48;
const STEP = 0.005;
const FINE = 0.001;

/** The ground from above, the front at the bottom, with lines of equal height. */
export function Plan(props: Props) {
  const { design, assessment, catalogue, width, height, region: picked = null, onRegion } = props;
  const earth = useEarth();
  const { write, prefs } = useReader();
  const prefix = useId().replaceAll(':', '');
  const box = design.enclosure;
  const scale = Math.min(
    (width - MARGIN.left - MARGIN.right) / box.width,
    (height - MARGIN.top - MARGIN.bottom) / box.depth,
  );
  const left = MARGIN.left + (width - MARGIN.left - MARGIN.right - box.width * scale) / 2;
  const back = MARGIN.top + (height - MARGIN.top - MARGIN.bottom - box.depth * scale) / 2;
  const front = back + box.depth * scale;
  const right = left + box.width * scale;
  const x = (metres: number): number => left + metres * scale;
  const y = (metres: number): number => front - metres * scale;
  const { parts } = assessment.ground;
  const { surface } = assessment;
  const rest = parts.some((part) => part.region === null && topOf(part)?.kind !== 'water');
  const low = Math.min(...parts.map((part) => part.low));
  const high = Math.max(...parts.map((part) => part.high));
  const step = prefs.length === 'in' ? UNITS.in.factor : 0.01;
  const chosen = parts.find((part) => part.region !== null && part.region.id === picked);
  const projection = { view: 'plan', left, floor: front, scale } as const;
  const grasped = assessment.scape.pieces.find((it) => it.placed.piece.id === props.pieces?.selected);

  return (
    <svg
      width={width}
      height={height}
      viewBox={`0 0 ${width} ${height}`}
      role="group"
      data-scale={scale}
      aria-label={`${design.name} from above, ${write(length(box.width))} by ${write(length(box.depth))}; the ground stands ${write(length(low))} to ${write(length(high))} high`}
      style={{ display: 'block', maxWidth: '100%' }}
    >
      <defs>
        <TexturePatterns
          prefix={prefix}
          textures={parts.flatMap((part) => {
            const top = topOf(part);
            return top ? [textureOf(top, catalogue)] : [];
          })}
          scale={Math.max(scale, 350)}
        />
      </defs>
      {parts.map((part) => {
        const top = topOf(part);
        const id = part.region?.id ?? 'rest';
        return (
          <g key={id}>
            <path
              d={pathOf(part.outline, x, y)}
              fillRule="evenodd"
              fill={top ? `url(#${prefix}-${textureOf(top, catalogue)})` : earth.sky}
              onClick={onRegion && (() => onRegion(part.region?.id ?? null))}
              style={onRegion && { cursor: 'pointer' }}
            />
            {top?.kind !== 'water' && (
              <Contours
                part={part}
                step={step}
                clip={`${prefix}-${id}`}
                {...{ x, y }}
                path={pathOf(part.outline, x, y)}
              />
            )}
          </g>
        );
      })}
      <Outlet design={design} {...{ x, y, scale }} ink={earth.ink} />
      {parts.map(
        (part) =>
          part.region && (
            <Outlined
              key={part.region.id}
              {...{ onRegion, onMove: props.onMove, onOutline: props.onOutline, width, height }}
              part={part}
              region={part.region}
              chosen={part === chosen}
              {...{ x, y, scale }}
            />
          ),
      )}
      <BackLayer
        backs={assessment.scape.backs}
        projection={projection}
        prefix={prefix}
        selected={props.background ?? null}
      />
      <PieceLayer
        design={design}
        assessment={assessment}
        projection={projection}
        size={{ width, height }}
        prefix={prefix}
        tools={props.pieces}
        cut={0}
        plain={false}
      />
      {grasped && props.pieces && (
        <PieceEnds
          piece={grasped.placed.piece}
          result={grasped}
          tools={props.pieces}
          projection={projection}
          size={{ width, height }}
        />
      )}
      <clipPath id={`${prefix}-floor`}>
        <rect x={left} y={back} width={right - left} height={front - back} />
      </clipPath>
      <g clipPath={`url(#${prefix}-floor)`}>
        <PlantLayer plants={props.plants ?? assessment.living.plants} view="plan" {...{ x, y, scale }} />
      </g>
      <rect
        x={left}
        y={back}
        width={right - left}
        height={front - back}
        fill="none"
        stroke={earth.ink}
        strokeWidth={2.5}
        pointerEvents="none"
      />
      {rest &&
        (
          [
            ['backLeft', left, back - 8, 'start'],
            ['backRight', right, back - 8, 'end'],
            ['frontLeft', left, front - 8, 'start'],
            ['frontRight', right, front - 8, 'end'],
          ] as const
        )
          .filter(([corner]) => !parts.some((part) => part.region && cornerIn(part.outline, corner, box)))
          .map(([corner, atX, atY, anchor]) => (
            <text
              key={corner}
              x={atX + (anchor === 'start' ? 6 : -6)}
              y={atY}
              textAnchor={anchor}
              fontSize={12}
              fontWeight={650}
              fill={corner.startsWith('back') ? earth.ink : '#FFFFFF'}
              stroke={corner.startsWith('back') ? 'none' : '#23281F'}
              strokeWidth={3}
              paintOrder="stroke"
              pointerEvents="none"
            >
              {write(length(surface[corner]))} high
            </text>
          ))}
      <Ruler axis="up" from={front} to={back} at={left - 12} metres={box.depth} />
      <Ruler axis="across" from={left} to={right} at={front + 14} metres={box.width} />
      <text x={(left + right) / 2} y={front + 51} textAnchor="middle" fontSize={12} fill={earth.quiet}>
        front
      </text>
      <text x={(left + right) / 2} y={back - 8} textAnchor="middle" fontSize={12} fill={earth.quiet}>
        back · a line each {write(length(step))}
      </text>
      {props.over?.({
        x,
        y,
        scale,
        at: (event) => {
          const svg = event.currentTarget.ownerSVGElement ?? event.currentTarget;
          const frame = svg.getBoundingClientRect();
          return {
            x: ((event.clientX - frame.left) * (width / frame.width) - left) / scale,
            y: (front - (event.clientY - frame.top) * (height / frame.height)) / scale,
          };
        },
      })}
    </svg>
  );
}

type ToPx = (metres: number) => number;

const topOf = (part: Part) => part.stack.at(-1)?.layer;

const pathOf = (area: Area, x: ToPx, y: ToPx): string =>
  area
    .flat()
    .map((ring) => `M${ring.map(([a, b]) => `${x(a).toFixed(2)} ${y(b).toFixed(2)}`).join('L')}Z`)
    .join('');

function cornerIn(area: Area, corner: string, { width, depth }: Design['enclosure']): boolean {
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
function Contours({ part, step, clip, path, x, y }: ContoursProps) {
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
  readonly onRegion: Props['onRegion'] | undefined;
  readonly onOutline: Props['onOutline'] | undefined;
  readonly onMove: Props['onMove'] | undefined;
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
function Outlined(props: OutlinedProps & { readonly region: Region }) {
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
function Outlet({ design, x, y, scale, ink }: OutletProps) {
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
