import clipping, { type MultiPolygon } from 'polygon-clipping';
import type { Corners, Point } from '../document/schema';
import { highest, lowest } from './corners';

/** An upright rectangle of the floor: x to the right from the left wall, y to the back from the front, m. */
export interface Rect {
  readonly x0: number;
  readonly x1: number;
  readonly y0: number;
  readonly y1: number;
}

/** Part of the floor: polygons, each an outer ring and its holes. */
export type Area = MultiPolygon;

/** ∫1, ∫x, ∫y, ∫xy over an area: all it takes to integrate a bilinear surface exactly. */
export interface Moments {
  readonly area: number;
  readonly x: number;
  readonly y: number;
  readonly xy: number;
}

export const rectOf = (width: number, depth: number): Rect => ({ x0: 0, x1: width, y0: 0, y1: depth });

export const areaOfRect = ({ x0, x1, y0, y1 }: Rect): Area => [
  [
    [
      [x0, y0],
      [x1, y0],
      [x1, y1],
      [x0, y1],
      [x0, y0],
    ],
  ],
];

/** The upright rectangle around an outline; never of no width, so that a surface over it stays defined. */
export function boundsOf(outline: readonly Point[]): Rect {
  const xs = outline.map((point) => point.x);
  const ys = outline.map((point) => point.y);
  const [x0, y0] = [Math.min(...xs), Math.min(...ys)];
  return { x0, x1: Math.max(x0 + 1e-6, ...xs), y0, y1: Math.max(y0 + 1e-6, ...ys) };
}

/** Height of a surface, given at the corners of `field`, at a place of the floor; it runs on beyond the field. */
export function heightAt(surface: Corners, field: Rect, x: number, y: number): number {
  const u = (x - field.x0) / (field.x1 - field.x0);
  const v = (y - field.y0) / (field.y1 - field.y0);
  const front = surface.frontLeft * (1 - u) + surface.frontRight * u;
  const back = surface.backLeft * (1 - u) + surface.backRight * u;
  return front * (1 - v) + back * v;
}

/** The same surface, given at the corners of another field: exact, since both are bilinear in x and y. */
export const refield = (surface: Corners, from: Rect, to: Rect): Corners => ({
  frontLeft: heightAt(surface, from, to.x0, to.y0),
  frontRight: heightAt(surface, from, to.x1, to.y0),
  backLeft: heightAt(surface, from, to.x0, to.y1),
  backRight: heightAt(surface, from, to.x1, to.y1),
});

/** m by which corners are moved where an outline cannot be cut as it is; then ten times as far. */
const NUDGE = 1e-7;
const NUDGES = 4;
/** m² that may be missing where an area is parted. */
const MISSING = 1e-7;

/**
 * What an area shares with an outline, and what is left of it. An outline that crosses or touches itself may make the sweep
 * over its corners lose its order: it fails, or gives areas that do not add up. Moved by less than the thickness of a hair
 * it is parted like any other; one that cannot be covers nothing.
 */
function part(from: Area, by: Area): { readonly shared: Area; readonly left: Area } {
  const whole = momentsOf(from).area;
  for (let nudge = 0; nudge <= NUDGES; nudge += 1) {
    const own = nudge === 0 ? by : nudged(by, NUDGE * 10 ** (nudge - 1));
    try {
      const [shared, left] = [clipping.intersection(from, own), clipping.difference(from, own)];
      const [a, b] = [momentsOf(shared).area, momentsOf(left).area];
      if (a >= -MISSING && b >= -MISSING && Math.abs(whole - a - b) <= MISSING) return { shared, left };
    } catch {
      // The next one is moved a little further.
    }
  }
  return { shared: [], left: from };
}

/** Each corner moved so far, in directions that do not repeat; where an outline ends it begins. */
const nudged = (area: Area, far: number): Area =>
  area.map((polygon) =>
    polygon.map((ring) =>
      ring.map(([x, y], i): [number, number] => {
        const turn = 2.4 * (i % Math.max(1, ring.length - 1));
        return [x + far * Math.cos(turn), y + far * Math.sin(turn)];
      }),
    ),
  );

/** Moments of an area by Green's theorem, ring by ring; holes count against it whichever way they run. */
export function momentsOf(area: Area): Moments {
  // The same areas are asked for at every frame of a drag.
  const known = moments.get(area);
  if (known) return known;
  const made = addUp(area);
  moments.set(area, made);
  return made;
}

const moments = new WeakMap<Area, Moments>();

function addUp(area: Area): Moments {
  const sum = { area: 0, x: 0, y: 0, xy: 0 };
  for (const polygon of area) {
    polygon.forEach((ring, index) => {
      const one = { area: 0, x: 0, y: 0, xy: 0 };
      for (let i = 0; i < ring.length; i += 1) {
        const [ax, ay] = ring[i] ?? [0, 0];
        const [bx, by] = ring[(i + 1) % ring.length] ?? [0, 0];
        const cross = ax * by - bx * ay;
        one.area += cross / 2;
        one.x += ((ax + bx) * cross) / 6;
        one.y += ((ay + by) * cross) / 6;
        one.xy += (cross * (ax * (2 * ay + by) + bx * (ay + 2 * by))) / 24;
      }
      const sign = (index === 0 ? 1 : -1) * (one.area < 0 ? -1 : 1);
      sum.area += sign * one.area;
      sum.x += sign * one.x;
      sum.y += sign * one.y;
      sum.xy += sign * one.xy;
    });
  }
  return sum;
}

export const minus = (a: Moments, b: Moments): Moments => ({
  area: a.area - b.area,
  x: a.x - b.x,
  y: a.y - b.y,
  xy: a.xy - b.xy,
});

/** ∫ surface over an area, m³: exact for a bilinear surface and any outline. */
export function volumeUnder(surface: Corners, field: Rect, over: Moments): number {
  const w = field.x1 - field.x0;
  const d = field.y1 - field.y0;
  const { frontLeft: a, frontRight, backLeft, backRight } = surface;
  const b = frontRight - a;
  const c = backLeft - a;
  const e = backRight - frontRight - backLeft + a;
  // u = (x − x0)/w, v = (y − y0)/d
  const u = (over.x - field.x0 * over.area) / w;
  const v = (over.y - field.y0 * over.area) / d;
  const uv = (over.xy - field.x0 * over.y - field.y0 * over.x + field.x0 * field.y0 * over.area) / (w * d);
  return a * over.area + b * u + c * v + e * uv;
}

const STRIPS = 24;

/**
 * ∫ min(level, surface) over an area, m³. Exact along x; Simpson's rule with 24 strips along y between every two
 * corners of the outline.
 */
export function volumeBelow(surface: Corners, field: Rect, over: Area, level: number): number {
  // Wholly under the level or wholly over it, as a level bed is: nothing to cut through.
  if (highest(surface) <= level) return volumeUnder(surface, field, momentsOf(over));
  if (lowest(surface) >= level) return level * momentsOf(over).area;
  const edges: (readonly [number, number, number, number])[] = [];
  const stops = new Set<number>();
  for (const polygon of over) {
    for (const ring of polygon) {
      for (let i = 0; i < ring.length; i += 1) {
        const [ax, ay] = ring[i] ?? [0, 0];
        const [bx, by] = ring[(i + 1) % ring.length] ?? [0, 0];
        stops.add(ay);
        if (Math.abs(ay - by) > 1e-12) edges.push(ay < by ? [ax, ay, bx, by] : [bx, by, ax, ay]);
      }
    }
  }
  const ys = [...stops].sort((a, b) => a - b);
  let total = 0;
  for (let at = 0; at + 1 < ys.length; at += 1) {
    const low = ys[at] ?? 0;
    const high = ys[at + 1] ?? 0;
    if (high - low < 1e-9) continue;
    let sum = 0;
    for (let i = 0; i <= STRIPS; i += 1) {
      const y = low + ((high - low) * i) / STRIPS;
      const weight = i === 0 || i === STRIPS ? 1 : i % 2 === 1 ? 4 : 2;
      const middle = (low + high) / 2;
      // Which edges bound the strip is asked in its middle, where no corner can confuse it.
      const crossings = edges
        .filter(([, ay, , by]) => ay <= middle && by >= middle)
        .map(([ax, ay, bx, by]) => ax + ((bx - ax) * (y - ay)) / (by - ay))
        .sort((a, b) => a - b);
      for (let pair = 0; pair + 1 < crossings.length; pair += 2) {
        const from = crossings[pair] ?? 0;
        const to = crossings[pair + 1] ?? 0;
        const a = heightAt(surface, field, from, y);
        const b = heightAt(surface, field, to, y);
        sum += weight * (to - from) * meanBelow(a, b, level);
      }
    }
    total += (sum * (high - low)) / (3 * STRIPS);
  }
  return total;
}

/** Mean of min(level, x) for x running straight from a to b. */
function meanBelow(a: number, b: number, level: number): number {
  const low = Math.min(a, b);
  const high = Math.max(a, b);
  if (level >= high) return (a + b) / 2;
  if (level <= low) return level;
  const run = (level - low) / (high - low);
  return (run * (low + level)) / 2 + (1 - run) * level;
}

/**
 * Lowest and highest of a surface over an area, m. A bilinear surface has no peak inside: they lie on the outline, at a
 * corner or where the height turns along an edge.
 */
export function extremes(surface: Corners, field: Rect, over: Area): { low: number; high: number } {
  const [least, most] = [lowest(surface), highest(surface)];
  if (most - least < 1e-12 && over.length > 0) return { low: least, high: most };
  let low = Infinity;
  let high = -Infinity;
  const see = (height: number): void => {
    low = Math.min(low, height);
    high = Math.max(high, height);
  };
  for (const polygon of over) {
    for (const ring of polygon) {
      for (let i = 0; i < ring.length; i += 1) {
        const [ax, ay] = ring[i] ?? [0, 0];
        const [bx, by] = ring[(i + 1) % ring.length] ?? [0, 0];
        const start = heightAt(surface, field, ax, ay);
        const middle = heightAt(surface, field, (ax + bx) / 2, (ay + by) / 2);
        const end = heightAt(surface, field, bx, by);
        see(start);
        // Along an edge the height is a parabola: turn = −b / 2a of h(t) = start + b·t + a·t².
        const a = 2 * (start + end - 2 * middle);
        const turn = Math.abs(a) > 1e-12 ? -(end - start - a) / (2 * a) : -1;
        if (turn > 0 && turn < 1) {
          see(heightAt(surface, field, ax + (bx - ax) * turn, ay + (by - ay) * turn));
        }
      }
    }
  }
  return low === Infinity ? { low: 0, high: 0 } : { low, high };
}

/** Whether a place lies in an area (even-odd). */
export function within(area: Area, x: number, y: number): boolean {
  let inside = false;
  for (const polygon of area) {
    for (const ring of polygon) {
      for (let i = 0; i < ring.length; i += 1) {
        const [ax, ay] = ring[i] ?? [0, 0];
        const [bx, by] = ring[(i + 1) % ring.length] ?? [0, 0];
        if (ay > y !== by > y && x < ax + ((bx - ax) * (y - ay)) / (by - ay)) inside = !inside;
      }
    }
  }
  return inside;
}

/** Where a straight cut through the floor lies in an area: pairs from–to along the cut, in order, m. */
export function spansOf(
  area: Area,
  cut: { readonly along: 'x' | 'y'; readonly at: number },
): [number, number][] {
  const crossings: number[] = [];
  for (const polygon of area) {
    for (const ring of polygon) {
      for (let i = 0; i < ring.length; i += 1) {
        const a = ring[i] ?? [0, 0];
        const b = ring[(i + 1) % ring.length] ?? [0, 0];
        const [along, off] = cut.along === 'x' ? [0, 1] : [1, 0];
        const [from, to] = [a[off] ?? 0, b[off] ?? 0];
        if (from > cut.at === to > cut.at) continue;
        crossings.push(
          (a[along] ?? 0) + (((b[along] ?? 0) - (a[along] ?? 0)) * (cut.at - from)) / (to - from),
        );
      }
    }
  }
  crossings.sort((a, b) => a - b);
  const spans: [number, number][] = [];
  for (let pair = 0; pair + 1 < crossings.length; pair += 2) {
    const [from, to] = [crossings[pair] ?? 0, crossings[pair + 1] ?? 0];
    if (to - from > 1e-6) spans.push([from, to]);
  }
  return spans;
}

export interface Floorplan {
  /** What is left to the rest of the floor. */
  readonly rest: Area;
  /** What is seen of each region, in order: a later one lies over an earlier one. */
  readonly regions: readonly Area[];
}

/** To a hundredth of a millimetre: corners that all but meet are what clipping stumbles over. */
const snap = (metres: number): number => Math.round(metres * 1e5) / 1e5;
const ringOf = (outline: readonly Point[]): Area => [
  [outline.map((point): [number, number] => [snap(point.x), snap(point.y)])],
];

let last:
  { width: number; depth: number; outlines: readonly (readonly Point[])[]; plan: Floorplan } | undefined;

/**
 * Divides the floor among the regions, so that every place belongs to exactly one: a later region covers an earlier
 * one, and what reaches beyond the walls is cut off. Outlines that cross themselves count by the even-odd rule.
 */
export function floorplan(width: number, depth: number, outlines: readonly (readonly Point[])[]): Floorplan {
  // While a layer is dragged the outlines are the very same objects at every frame.
  if (
    last?.width === width &&
    last.depth === depth &&
    last.outlines.length === outlines.length &&
    last.outlines.every((outline, index) => outline === outlines[index])
  ) {
    return last.plan;
  }
  const floor = areaOfRect(rectOf(width, depth));
  let rest: Area = floor;
  const regions: Area[] = [];
  for (let index = outlines.length - 1; index >= 0; index -= 1) {
    const own = ringOf(outlines[index] ?? []);
    const { shared, left } = part(rest, own);
    regions.unshift(shared);
    rest = left;
  }
  const plan = { rest, regions };
  last = { width, depth, outlines, plan };
  return plan;
}
