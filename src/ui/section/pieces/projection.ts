import type { Vec } from '@/core/pieces';

type PieceView = 'front' | 'side' | 'plan';

/** From metres in the box to px of a drawing. */
export interface Projection {
  readonly view: PieceView;
  /** px of the drawing's left edge, and of its lower one. */
  readonly left: number;
  readonly floor: number;
  /** px per metre */
  readonly scale: number;
}

type Flat = readonly [x: number, y: number];

const ACROSS: Record<PieceView, 'x' | 'y'> = { front: 'x', side: 'y', plan: 'x' };
const UP: Record<PieceView, 'y' | 'z'> = { front: 'z', side: 'z', plan: 'y' };

export const acrossOf = (view: PieceView) => ACROSS[view];
export const upOf = (view: PieceView) => UP[view];

/** px of a place. */
export const flat = ({ view, left, floor, scale }: Projection, at: Vec): Flat => [
  left + at[ACROSS[view]] * scale,
  floor - at[UP[view]] * scale,
];

/** How near a place is to who looks: larger is nearer. */
export const nearness = (view: PieceView, at: Vec): number =>
  view === 'front' ? -at.y : view === 'side' ? at.x : at.z;

/** A place put somewhere in the drawing: what cannot be seen in this view stays as it is. */
export function moved(view: PieceView, at: Vec, across: number, up: number): Vec {
  if (view === 'front') return { ...at, x: across, z: up };
  if (view === 'side') return { ...at, y: across, z: up };
  return { ...at, x: across, y: up };
}

/** A repeatable stream of numbers from 0 to 1 for a name, so that a piece keeps its looks. */
export function streamOf(name: string): () => number {
  let state = 2166136261;
  for (const letter of name) state = Math.imul(state ^ (letter.codePointAt(0) ?? 0), 16777619) >>> 0;
  return () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return state / 4294967296;
  };
}

/** The outline around some points. */
export function hull(points: readonly Flat[]): Flat[] {
  const sorted = [...points].sort((a, b) => a[0] - b[0] || a[1] - b[1]);
  const turn = (o: Flat, a: Flat, b: Flat): number =>
    (a[0] - o[0]) * (b[1] - o[1]) - (a[1] - o[1]) * (b[0] - o[0]);
  const half = (all: readonly Flat[]): Flat[] => {
    const out: Flat[] = [];
    for (const point of all) {
      while (out.length >= 2) {
        const [a, b] = [out.at(-2), out.at(-1)];
        if (!a || !b || turn(a, b, point) > 0) break;
        out.pop();
      }
      out.push(point);
    }
    out.pop();
    return out;
  };
  return [...half(sorted), ...half([...sorted].reverse())];
}

const n = (value: number): string => value.toFixed(1);

export const polygon = (points: readonly Flat[]): string =>
  points.length === 0 ? '' : `M${points.map(([x, y]) => `${n(x)} ${n(y)}`).join('L')}Z`;

/** A closed line that bends softly through the middles between its points. */
export function soft(points: readonly Flat[]): string {
  const middle = (a: Flat, b: Flat): Flat => [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2];
  const [first] = points;
  const last = points.at(-1);
  if (!first || !last) return '';
  const start = middle(last, first);
  return `M${n(start[0])} ${n(start[1])}${points
    .map((point, index) => {
      const to = middle(point, points[(index + 1) % points.length] ?? first);
      return `Q${n(point[0])} ${n(point[1])} ${n(to[0])} ${n(to[1])}`;
    })
    .join('')}Z`;
}
