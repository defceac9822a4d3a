import type { Solid } from '../pieces/solid';

/** So much of touching does not count, m. */
const ALLOWED = 0.004;

/** So much of one body's columns runs through another, 0 to 1; a few millimetres of touching do not count. */
export function overlapShare(a: Solid, b: Solid): number {
  const p = a.bounds;
  const q = b.bounds;
  if (p.x1 < q.x0 || q.x1 < p.x0 || p.y1 < q.y0 || q.y1 < p.y0 || p.z1 < q.z0 || q.z1 < p.z0) return 0;
  let within = 0;
  let all = 0;
  for (const { x, y, area, low, high } of a.columns) {
    all += (high - low) * area;
    const reach = b.reachAt(x, y);
    if (!reach) continue;
    const thick = Math.min(high, reach[1]) - Math.max(low, reach[0]);
    if (thick > ALLOWED) within += thick * area;
  }
  return all > 0 ? within / all : 0;
}

const known = new WeakMap<Solid, WeakMap<Solid, number>>();

/** The larger share of two bodies that lies in the other. Kept while both stand where they stood. */
export function clashOf(a: Solid, b: Solid): number {
  let others = known.get(a);
  if (!others) {
    others = new WeakMap();
    known.set(a, others);
  }
  const before = others.get(b);
  if (before !== undefined) return before;
  const share = Math.max(overlapShare(a, b), overlapShare(b, a));
  others.set(b, share);
  return share;
}
