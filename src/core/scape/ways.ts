import type { Back } from '../pieces/backs';
import type { Placed } from '../pieces/place';
import type { Bounds } from '../pieces/solid';
import type { Wants } from './wants';

interface Box {
  readonly width: number;
  readonly depth: number;
}

/** Gap between two boxes, m; 0 where they touch or overlap. */
function gap(a: Bounds, b: Bounds): { across: number; up: number } {
  const off = (a0: number, a1: number, b0: number, b1: number): number => Math.max(0, b0 - a1, a0 - b1);
  return {
    across: Math.hypot(off(a.x0, a.x1, b.x0, b.x1), off(a.y0, a.y1, b.y0, b.y1)),
    up: off(a.z0, a.z1, b.z0, b.z1),
  };
}

/** How far an animal gets from one thing to the next, m: half its length, a little more when it climbs well. */
export const stepOf = ({ length, climbs }: Wants): number =>
  Math.max(0.02, length * (climbs === 'poorly' ? 0.3 : 0.6));

/** Steeper than this, one that climbs poorly slides off a piece: rise over run. */
const STEEP = 1;

/** A thing the animal can go up, from its lower end to its upper. */
function passable({ solid, piece }: Placed, wants: Wants, rough: boolean): boolean {
  if (wants.climbs === 'glass') return true;
  if (piece.body.shape === 'block') {
    // A block is stepped on to, or climbed where claws hold.
    return solid.bounds.z1 - solid.bounds.z0 <= stepOf(wants) || (rough && wants.climbs === 'rough');
  }
  const { run, rise } = piece.body;
  const level = Math.hypot(run.x, run.y);
  if (wants.climbs === 'rough') return rough || Math.abs(rise) <= level * 0.5;
  return Math.abs(rise) <= level * STEEP;
}

/**
 * Pieces the animal can get up to from the ground: step by step over what touches or all but touches. Walls count for
 * those that climb glass, rough backgrounds for those that climb what is rough.
 */
export function waysUp(
  pieces: readonly Placed[],
  backs: readonly Back[],
  box: Box,
  wants: Wants,
  isRough: (placed: Placed) => boolean,
): ReadonlySet<string> {
  const step = stepOf(wants);
  const reached = new Set<string>();
  const touchesWall = ({ x0, x1, y0, y1 }: Bounds): boolean =>
    x0 < step || y0 < step || x1 > box.width - step || y1 > box.depth - step;
  const open: Placed[] = [];
  const take = (placed: Placed): void => {
    if (reached.has(placed.piece.id)) return;
    reached.add(placed.piece.id);
    open.push(placed);
  };
  for (const placed of pieces) {
    const { solid, ground } = placed;
    const low = solid.bounds.z0 - ground;
    const onWall = wants.climbs === 'glass' && touchesWall(solid.bounds);
    const onBack =
      wants.climbs !== 'poorly' &&
      backs.some((back) => {
        const { across, up } = gap(solid.bounds, back.solid.bounds);
        // The background itself must begin within a step of the ground.
        return across <= step && up <= step && back.solid.bounds.z0 - ground <= step;
      });
    if (low <= step || onWall || onBack) take(placed);
  }
  while (open.length > 0) {
    const from = open.pop();
    if (!from || !passable(from, wants, isRough(from))) continue;
    for (const to of pieces) {
      if (reached.has(to.piece.id)) continue;
      const { across, up } = gap(from.solid.bounds, to.solid.bounds);
      if (across <= step && up <= step) take(to);
    }
  }
  return reached;
}
