'use client';

import { memo, useRef, type KeyboardEvent, type PointerEvent, type ReactNode } from 'react';
import type { Body, Piece } from '@/core/document';
import type { PieceResult } from '@/core/scape';
import type { Vec } from '@/core/pieces';
import { length } from '@/core/units';
import { useEarth } from '../../theme/useEarth';
import { useReader, type Reader } from '../../units';
import { nextGesture } from '../Handle';
import { acrossOf, flat, moved, upOf, type Projection } from './projection';

/** What can be done to pieces in a drawing. */
export interface PieceTools {
  readonly selected: string | null;
  readonly onSelect: (piece: string | null) => void;
  /** Puts a piece somewhere: without `z` it keeps what bears it. Calls of one drag share a gesture. */
  readonly onMove: (
    piece: string,
    to: { readonly x: number; readonly y: number; readonly z?: number },
    gesture: string,
  ) => void;
  readonly onStretch: (piece: string, end: 'foot' | 'head', to: Vec, gesture: string) => void;
  readonly onBody: (piece: string, body: Body, gesture: string) => void;
  readonly onRemove: (piece: string) => void;
}

/** px of the whole drawing. */
interface Size {
  readonly width: number;
  readonly height: number;
}

const STEP = 0.005;
const FINE = 0.001;
/** Over what it would come to rest on again, m. */
const LIFT = 0.015;

const WAYS: Record<string, readonly [across: number, up: number]> = {
  ArrowRight: [1, 0],
  ArrowLeft: [-1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};

interface ResizeHandlesProps {
  readonly result: PieceResult;
  readonly chosen: boolean;
  readonly tools: PieceTools;
  readonly projection: Projection;
  readonly size: Size;
  readonly children: ReactNode;
}

/** A piece one can take hold of: dragged, or moved by arrow keys in 5 mm (Shift: 1 mm). */
export function ResizeHandles({ result, chosen, tools, projection, size, children }: ResizeHandlesProps) {
  const { write } = useReader();
  const drag = useRef<{
    gesture: string;
    frame: DOMRect | undefined;
    across: number;
    up: number;
    gone: boolean;
  }>(null);
  const { piece, solid, base, on } = result.placed;
  const { view } = projection;
  const here: Vec = { ...piece.at, z: base };

  const put = (across: number, up: number, gesture: string): void => {
    const to = moved(view, here, across, up);
    tools.onMove(piece.id, view === 'plan' ? { x: to.x, y: to.y } : to, gesture);
  };
  const onKeyDown = (event: KeyboardEvent): void => {
    if (event.key === 'Enter' || event.key === ' ') {
      event.preventDefault();
      tools.onSelect(chosen ? null : piece.id);
      return;
    }
    if (event.key === 'Delete' || event.key === 'Backspace') {
      event.preventDefault();
      tools.onRemove(piece.id);
      return;
    }
    const step = event.shiftKey ? FINE : STEP;
    const gesture = `key ${nextGesture()}`;
    if (event.key === 'PageUp' || event.key === 'PageDown') {
      event.preventDefault();
      const by = event.key === 'PageUp' ? step : -step;
      if (view === 'front') tools.onMove(piece.id, { x: piece.at.x, y: piece.at.y + by }, gesture);
      else if (view === 'side') tools.onMove(piece.id, { x: piece.at.x - by, y: piece.at.y }, gesture);
      else tools.onMove(piece.id, { ...here, z: base + (by > 0 ? Math.max(by, LIFT) : by) }, gesture);
      return;
    }
    const way = WAYS[event.key];
    if (!way) return;
    event.preventDefault();
    const across = here[acrossOf(view)] + way[0] * step;
    const lift = way[1] > 0 && view !== 'plan' && on !== 'wall' && on !== 'lid' ? Math.max(step, LIFT) : step;
    if (way[1] === 0 && view !== 'plan') {
      const to = moved(view, here, across, base);
      tools.onMove(piece.id, { x: to.x, y: to.y }, gesture);
    } else put(across, here[upOf(view)] + way[1] * lift, gesture);
  };

  return (
    <g
      role="button"
      tabIndex={0}
      aria-pressed={chosen}
      aria-label={pieceWords(result, write)}
      className="rincon-piece"
      data-piece={piece.id}
      style={{ cursor: chosen ? 'move' : 'pointer', touchAction: 'none' }}
      onKeyDown={onKeyDown}
      onPointerDown={(event) => {
        event.stopPropagation();
        event.currentTarget.setPointerCapture(event.pointerId);
        const frame = frameOf(event);
        const at = metresAt(event, frame, projection, size);
        drag.current = {
          gesture: `drag ${nextGesture()}`,
          frame,
          across: at.across - here[acrossOf(view)],
          up: at.up - here[upOf(view)],
          gone: false,
        };
        if (!chosen) tools.onSelect(piece.id);
      }}
      onPointerMove={(event) => {
        const held = drag.current;
        if (!held) return;
        const at = metresAt(event, held.frame, projection, size);
        const across = at.across - held.across;
        const up = at.up - held.up;
        // A click that trembles moves nothing.
        if (
          !held.gone &&
          Math.hypot(across - here[acrossOf(view)], up - here[upOf(view)]) * projection.scale < 4
        )
          return;
        held.gone = true;
        put(across, up, held.gesture);
      }}
      onPointerUp={() => (drag.current = null)}
      onPointerCancel={() => (drag.current = null)}
    >
      {children}
      {chosen && <Frame solid={solid} projection={projection} />}
    </g>
  );
}

const Frame = memo(function Frame({
  solid,
  projection,
}: {
  readonly solid: PieceResult['placed']['solid'];
  readonly projection: Projection;
}) {
  const { bounds } = solid;
  const [x0, y1] = flat(projection, { x: bounds.x0, y: bounds.y0, z: bounds.z0 });
  const [x1, y0] = flat(projection, { x: bounds.x1, y: bounds.y1, z: bounds.z1 });
  return (
    <g pointerEvents="none" fill="none" className="rincon-handle">
      <rect
        x={x0 - 4}
        y={y0 - 4}
        width={x1 - x0 + 8}
        height={y1 - y0 + 8}
        rx={5}
        stroke="#FFFFFF"
        strokeWidth={3.5}
        opacity={0.7}
      />
      <rect
        x={x0 - 4}
        y={y0 - 4}
        width={x1 - x0 + 8}
        height={y1 - y0 + 8}
        rx={5}
        stroke="#23281F"
        strokeWidth={1.4}
        strokeDasharray="6 4"
      />
    </g>
  );
});

/** The drawing on screen, read once as something is taken hold of: asking at every move would lay out the page each time. */
const frameOf = (event: PointerEvent<SVGElement>): DOMRect | undefined =>
  event.currentTarget.ownerSVGElement?.getBoundingClientRect();

/** Where a pointer is, m. */
function metresAt(
  event: PointerEvent<SVGElement>,
  frame: DOMRect | undefined,
  { left, floor, scale }: Projection,
  size: Size,
): { across: number; up: number } {
  if (!frame) return { across: 0, up: 0 };
  return {
    across: ((event.clientX - frame.left) * (size.width / frame.width) - left) / scale,
    up: (floor - (event.clientY - frame.top) * (size.height / frame.height)) / scale,
  };
}

const STANDS: Record<PieceResult['placed']['on'], string> = {
  floor: 'stands on the floor',
  ground: 'stands in the ground',
  piece: 'stands on another piece',
  wall: 'held by a wall',
  lid: 'hangs from the lid',
  water: 'floats',
};

/** A piece as it is read out: what it is, where it is, what bears it. */
function pieceWords({ placed }: PieceResult, write: Reader['write']): string {
  const { piece, solid, on } = placed;
  const { bounds } = solid;
  return `${piece.name}, ${STANDS[on]}; ${write(length(bounds.x0))} from the left, ${write(length(bounds.y0))} from the front, ${write(length(Math.max(0, bounds.z0)))} up; ${write(length(bounds.x1 - bounds.x0))} × ${write(length(bounds.y1 - bounds.y0))} × ${write(length(bounds.z1 - bounds.z0))}`;
}

interface EndsProps {
  readonly piece: Piece;
  readonly result: PieceResult;
  readonly tools: PieceTools;
  readonly projection: Projection;
  readonly size: Size;
}

/** Knobs at the ends of the chosen long piece, or at the corner of a chosen block. */
export function PieceEnds({ piece, result, tools, projection, size }: EndsProps) {
  const { solid } = result.placed;
  const { body } = piece;
  if (body.shape !== 'block') {
    return (
      <>
        {(['foot', 'head'] as const).map((end) => (
          <Knob
            key={end}
            label={`${end === 'foot' ? 'Foot' : 'Head'} of ${piece.name}`}
            at={solid[end]}
            projection={projection}
            size={size}
            onPut={(across, up, gesture) =>
              tools.onStretch(piece.id, end, moved(projection.view, solid[end], across, up), gesture)
            }
          />
        ))}
      </>
    );
  }
  const { view } = projection;
  const corner: Vec = {
    x: solid.bounds.x1,
    y: view === 'plan' ? solid.bounds.y1 : solid.bounds.y1,
    z: solid.bounds.z1,
  };
  const clamped = (value: number): number => Math.round(Math.min(5, Math.max(0.01, value)) * 1000) / 1000;
  return (
    <Knob
      label={`Size of ${piece.name}`}
      at={corner}
      projection={projection}
      size={size}
      onPut={(across, up, gesture) => {
        const broad = clamped(2 * Math.abs(across - solid.foot[acrossOf(view)]));
        const next =
          view === 'plan'
            ? { width: broad, depth: clamped(2 * Math.abs(up - solid.foot.y)) }
            : {
                [view === 'front' ? 'width' : 'depth']: broad,
                height: clamped(up - solid.bounds.z0),
              };
        tools.onBody(piece.id, { ...body, ...next }, gesture);
      }}
    />
  );
}

interface KnobProps {
  readonly label: string;
  readonly at: Vec;
  readonly projection: Projection;
  readonly size: Size;
  readonly onPut: (across: number, up: number, gesture: string) => void;
}

function Knob({ label, at, projection, size, onPut }: KnobProps) {
  const earth = useEarth();
  const { write } = useReader();
  const held = useRef<{ readonly gesture: string; readonly frame: DOMRect | undefined }>(null);
  const [x, y] = flat(projection, at);
  const { view } = projection;
  const here = { across: at[acrossOf(view)], up: at[upOf(view)] };
  return (
    <g
      className="rincon-handle"
      role="button"
      tabIndex={0}
      aria-label={`${label}, ${write(length(here.across))} across, ${write(length(here.up))} ${view === 'plan' ? 'back' : 'up'}. Arrow keys move it`}
      style={{ cursor: 'grab', touchAction: 'none' }}
      onKeyDown={(event) => {
        const way = WAYS[event.key];
        if (!way) return;
        event.preventDefault();
        const step = event.shiftKey ? FINE : STEP;
        onPut(here.across + way[0] * step, here.up + way[1] * step, `key ${nextGesture()}`);
      }}
      onPointerDown={(event) => {
        event.stopPropagation();
        event.currentTarget.setPointerCapture(event.pointerId);
        held.current = { gesture: `drag ${nextGesture()}`, frame: frameOf(event) };
      }}
      onPointerMove={(event) => {
        if (held.current === null) return;
        const to = metresAt(event, held.current.frame, projection, size);
        onPut(to.across, to.up, held.current.gesture);
      }}
      onPointerUp={() => (held.current = null)}
      onPointerCancel={() => (held.current = null)}
    >
      <circle cx={x} cy={y} r={14} fill="transparent" />
      <circle className="knob" cx={x} cy={y} r={6} fill={earth.card} stroke={earth.moss} strokeWidth={2.5} />
    </g>
  );
}
