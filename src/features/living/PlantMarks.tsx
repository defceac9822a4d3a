'use client';

import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import type { PlantSpot } from '@/core/document';
import type { PlantedResult } from '@/core/living';
import { length } from '@/core/units';
import { nextGesture } from '@/ui/section/Handle';
import { useEarth } from '@/ui/theme/useEarth';
import { useReader } from '@/ui/units';

export interface PlantTools {
  readonly selected: string | null;
  readonly onSelect: (plant: string | null) => void;
  readonly onMove: (plant: string, spot: PlantSpot, gesture: string) => void;
  readonly onRemove: (plant: string) => void;
}

/** Where a pointer is, m: across and up in front and side, across and back in plan. */
interface Frame {
  readonly x: (metres: number) => number;
  readonly y: (metres: number) => number;
  readonly scale: number;
  readonly at: (event: PointerEvent<SVGElement>) => readonly [number, number];
}

interface Props {
  readonly plants: readonly PlantedResult[];
  readonly view: 'front' | 'side' | 'plan';
  readonly frame: Frame;
  readonly tools: PlantTools;
}

const STEP = 0.01;
const FINE = 0.001;
const KEYS: Record<string, readonly [number, number]> = {
  ArrowRight: [1, 0],
  ArrowLeft: [-1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};

/** A spot moved in a view. Upwards moves what hangs on a wall up, and what stands in the ground to the back. */
function moved(
  it: PlantedResult,
  view: Props['view'],
  by: readonly [number, number],
  keys: boolean,
): PlantSpot {
  const { spot } = it.planted;
  if (spot.on === 'wall') {
    const along = (spot.wall === 'back') === (view === 'front') || (view === 'plan' && spot.wall === 'back');
    const [dx, dy] = by;
    if (view === 'plan')
      return { ...spot, across: Math.max(0, spot.across + (spot.wall === 'back' ? dx : dy)) };
    return {
      ...spot,
      across: Math.max(0, along ? spot.across + dx : spot.across),
      height: Math.max(0, spot.height + dy),
    };
  }
  const { x, y } = spot.at;
  const [dx, dy] = by;
  if (view === 'plan') return { ...spot, at: { x: Math.max(0, x + dx), y: Math.max(0, y + dy) } };
  // By keys, up and down go back and forth; a pointer in the section only moves across.
  const deep = keys ? dy : 0;
  return view === 'front'
    ? { ...spot, at: { x: Math.max(0, x + dx), y: Math.max(0, y + deep) } }
    : { ...spot, at: { x: Math.max(0, x + deep), y: Math.max(0, y + dx) } };
}

/** Plants to be picked, dragged, and moved by arrow keys. */
export function PlantMarks({ plants, view, frame, tools }: Props) {
  return (
    <g>
      {plants.map((it) => (
        <Mark key={it.planted.id} {...{ it, view, frame, tools }} />
      ))}
    </g>
  );
}

function Mark({ it, view, frame, tools }: Omit<Props, 'plants'> & { readonly it: PlantedResult }) {
  const earth = useEarth();
  const { write } = useReader();
  const drag = useRef<{
    readonly gesture: string;
    at: readonly [number, number];
    spot: PlantedResult;
  } | null>(null);
  const { planted } = it;
  const chosen = tools.selected === planted.id;
  const x = frame.x(view === 'side' ? it.y : it.x);
  const y = view === 'plan' ? frame.y(it.y) : frame.y(it.z);
  const wide = Math.max(22, it.width * frame.scale);
  // Moss on a wall spreads round its middle.
  const flat = planted.spot.on === 'wall' && it.plant?.form === 'moss' && view !== 'plan';
  const tall = view === 'plan' ? wide : flat ? wide * 0.7 : Math.max(22, it.height * frame.scale);
  const top = view === 'plan' || flat ? y - tall / 2 : it.hangs ? y : y - tall;

  const onKeyDown = (event: KeyboardEvent): void => {
    if (event.key === 'Enter' || event.key === ' ') {
      event.preventDefault();
      tools.onSelect(chosen ? null : planted.id);
      return;
    }
    if (event.key === 'Delete' || event.key === 'Backspace') {
      event.preventDefault();
      tools.onRemove(planted.id);
      return;
    }
    const way = KEYS[event.key];
    if (!way) return;
    event.preventDefault();
    const step = event.shiftKey ? FINE : STEP;
    tools.onMove(planted.id, moved(it, view, [way[0] * step, way[1] * step], true), `key ${nextGesture()}`);
  };
  return (
    <g
      role="button"
      tabIndex={0}
      aria-pressed={chosen}
      aria-label={`${planted.name}, ${write(length(it.x))} from the left, ${write(length(it.y))} from the front, ${write(length(it.height))} high`}
      className="rincon-piece"
      data-plant={planted.id}
      style={{ cursor: chosen ? 'move' : 'pointer', touchAction: 'none' }}
      onKeyDown={onKeyDown}
      onPointerDown={(event) => {
        event.stopPropagation();
        event.currentTarget.setPointerCapture(event.pointerId);
        drag.current = { gesture: `drag ${nextGesture()}`, at: frame.at(event), spot: it };
        tools.onSelect(planted.id);
      }}
      onPointerMove={(event) => {
        const held = drag.current;
        if (!held) return;
        const to = frame.at(event);
        const by = [to[0] - held.at[0], to[1] - held.at[1]] as const;
        if (Math.abs(by[0]) + Math.abs(by[1]) < 0.002) return;
        tools.onMove(planted.id, moved(held.spot, view, by, false), held.gesture);
      }}
      onPointerUp={() => {
        drag.current = null;
      }}
      onPointerCancel={() => {
        drag.current = null;
      }}
    >
      <rect x={x - wide / 2} y={top} width={wide} height={tall} fill="transparent" />
      {chosen && (
        <rect
          x={x - wide / 2 - 3}
          y={top - 3}
          width={wide + 6}
          height={tall + 6}
          rx={6}
          fill="none"
          stroke={earth.ink}
          strokeWidth={1.5}
          strokeDasharray="5 3"
        />
      )}
    </g>
  );
}
