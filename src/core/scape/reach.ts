import type { Enclosure } from '../document/schema';
import { openingsOf } from './fits';
import type { Placed } from '../pieces/place';
import type { Vec } from '../pieces/solid';

/** An arm reaches in to the shoulder, a flat hand is so thick (from memory), m. */
export const ARM = 0.6;
const HAND = 0.03;
const STEPS = 9;

/** Whether a point lies in a piece or within a hand of it. */
function blocks({ solid }: Placed, x: number, y: number, z: number): boolean {
  const { bounds } = solid;
  if (
    x < bounds.x0 - HAND ||
    x > bounds.x1 + HAND ||
    y < bounds.y0 - HAND ||
    y > bounds.y1 + HAND ||
    z < bounds.z0 - HAND ||
    z > bounds.z1 + HAND
  )
    return false;
  const reach = solid.reachAt(x, y);
  return reach !== undefined && z > reach[0] - HAND && z < reach[1] + HAND;
}

export interface Reached {
  /** Straight from the nearest clear place of an opening, m; Infinity when nothing is clear. */
  readonly distance: number;
  readonly from: 'front' | 'top' | undefined;
}

/**
 * Whether a hand gets to a place: straight lines from a grid of places of every opening; the shortest that no piece
 * lies in. Thin branches are reached around, so only what is broader than a hand counts.
 * @param skip the piece that is reached for
 */
export function reachTo(to: Vec, box: Enclosure, pieces: readonly Placed[], skip?: string): Reached {
  const bars = pieces.filter(
    (it) =>
      it.piece.id !== skip && !isThin(it) && it.piece.kind !== 'feeding-place' && it.solid.volume > 1e-5,
  );
  const ways: { readonly from: Vec; readonly side: 'front' | 'top'; readonly distance: number }[] = [];
  for (const { side, at } of openingsOf(box)) {
    const n = 5;
    for (let i = 0; i < n; i += 1) {
      for (let j = 0; j < n; j += 1) {
        const s = (i + 0.5) / n;
        const t = (j + 0.5) / n;
        const from: Vec = {
          x: at.x0 + (at.x1 - at.x0) * s,
          y: at.y0 + (at.y1 - at.y0) * t,
          z: side === 'front' ? at.z0 + (at.z1 - at.z0) * t : at.z0,
        };
        ways.push({ from, side, distance: Math.hypot(to.x - from.x, to.y - from.y, to.z - from.z) });
      }
    }
  }
  ways.sort((a, b) => a.distance - b.distance);
  const clear = ways.find(({ from }) => !bars.some((bar) => inTheWay(bar, from, to)));
  return clear ? { distance: clear.distance, from: clear.side } : { distance: Infinity, from: undefined };
}

/** Narrower than a hand can be led around. */
function isThin({ piece: { body } }: Placed): boolean {
  if (body.shape === 'rod') return body.diameter < 0.06;
  if (body.shape === 'plank') return body.breadth < 0.06;
  return Math.max(body.width, body.depth) < 0.06;
}

/** The last tenth of the way is at the thing itself. */
function inTheWay(bar: Placed, from: Vec, to: Vec): boolean {
  for (let k = 0; k < STEPS; k += 1) {
    const t = (k / STEPS) * 0.9;
    if (blocks(bar, from.x + (to.x - from.x) * t, from.y + (to.y - from.y) * t, from.z + (to.z - from.z) * t))
      return true;
  }
  return false;
}
