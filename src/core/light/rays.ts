import type { Lamp, Point3 } from './field';

/**
 * Light and drops as straight rays through a box: quarters of air with leaves in them, bodies, walls, lid and ground.
 * A quarter is side · 2 + tier: side 0 left, 1 right, met in the middle of the width; tier 0 low, 1 high. Lengths in m.
 */
export interface Scene {
  readonly width: number;
  readonly depth: number;
  readonly height: number;
  /** Surface of the ground, or of water, of both sides; where the tiers meet. */
  readonly ground: readonly [left: number, right: number];
  readonly tier: number;
  /** One side of all leaves for each m³ of a quarter, 1/m. */
  readonly leafDensity: readonly [number, number, number, number];
  readonly bodies: readonly Body[];
}

/** Something solid by the box around it, and the share of that box's floor it covers. */
export interface Body {
  readonly bounds: {
    readonly x0: number;
    readonly x1: number;
    readonly y0: number;
    readonly y1: number;
    readonly z0: number;
    readonly z1: number;
  };
  readonly opaque: number;
  readonly quarter: number;
}

/**
 * The sixteen patches a box is looked at in: 0, 1 ground left and right; 2, 3 lid; 4, 5 left wall low and high; 6, 7
 * right; 8 to 11 front, 12 to 15 back, each by quarter.
 */
export const PATCHES = 16;

/** Where rays end. Each entry is a share of what was sent. */
export interface Landing {
  readonly patches: Float64Array;
  /** By quarter: kept by leaves, and met by bodies. */
  readonly leaves: Float64Array;
  readonly bodies: Float64Array;
  /** Kept back by what lies on the lid; and what never came into the box. */
  lid: number;
  missed: number;
}

export const emptyLanding = (): Landing => ({
  patches: new Float64Array(PATCHES),
  leaves: new Float64Array(4),
  bodies: new Float64Array(4),
  lid: 0,
  missed: 0,
});

/**
 * Leaves turned every way cover half of their one-sided area, seen from anywhere (spherical leaf angles: Ross 1981; the
 * k of Monsi & Saeki 1953).
 */
export const LEAF_EXTINCTION = 0.5;

export interface Ray {
  readonly from: Point3;
  readonly way: Point3;
  readonly weight: number;
}

export interface CastOptions {
  /** What the lid lets through, of rays that begin above it. */
  readonly passes: number;
  /** Extinction of leaves for what is sent, for each leaf area; 0.5 where leaves keep all they meet. */
  readonly extinction: number;
}

/** Follows one ray and adds where it ends. */
export function cast(scene: Scene, { from, way, weight }: Ray, options: CastOptions, into: Landing): void {
  const { width, depth, height, tier } = scene;
  let { x, y, z } = from;
  let w = weight;
  if (z > height) {
    if (way.z >= 0) {
      into.missed += w;
      return;
    }
    const t = (height - z) / way.z;
    x += t * way.x;
    y += t * way.y;
    z = height;
    if (x < 0 || x > width || y < 0 || y > depth) {
      into.missed += w;
      return;
    }
    into.lid += w * (1 - options.passes);
    w *= options.passes;
  }
  x = Math.min(width, Math.max(0, x));
  y = Math.min(depth, Math.max(0, y));
  const middle = width / 2;
  // The nearest face ahead.
  let end = Infinity;
  let face: 'left' | 'right' | 'front' | 'back' | 'lid' | 'ground' = 'ground';
  const meets = (t: number, what: typeof face): void => {
    if (t < end) {
      end = t;
      face = what;
    }
  };
  if (way.x > 1e-9) meets((width - x) / way.x, 'right');
  else if (way.x < -1e-9) meets(-x / way.x, 'left');
  if (way.y > 1e-9) meets((depth - y) / way.y, 'back');
  else if (way.y < -1e-9) meets(-y / way.y, 'front');
  if (way.z > 1e-9) meets((height - z) / way.z, 'lid');
  else if (way.z < -1e-9) {
    const [left, right] = scene.ground;
    const l = Math.max(0, (left - z) / way.z);
    const r = Math.max(0, (right - z) / way.z);
    const toLeft = x + l * way.x < middle;
    const toRight = x + r * way.x >= middle;
    meets(toLeft && toRight ? Math.min(l, r) : toLeft ? l : toRight ? r : Math.min(l, r), 'ground');
  }
  if (!(end < Infinity)) end = 0;
  // What it passes: quarters change at the middle and between the tiers; bodies begin where their box is met.
  const stops: { readonly t: number; readonly body: Body | null }[] = [];
  const stop = (t: number, body: Body | null): void => {
    if (t > 0 && t < end) stops.push({ t, body });
  };
  if (Math.abs(way.x) > 1e-9) stop((middle - x) / way.x, null);
  if (Math.abs(way.z) > 1e-9) stop((tier - z) / way.z, null);
  for (const body of scene.bodies) {
    const t = enters(body.bounds, x, y, z, way);
    if (t !== null) stop(Math.max(1e-9, t), body);
  }
  stops.push({ t: end, body: null });
  if (stops.length > 1) stops.sort((a, b) => a.t - b.t);
  let at = 0;
  for (const { t, body } of stops) {
    const half = (at + t) / 2;
    const quarter = (x + half * way.x < middle ? 0 : 2) + (z + half * way.z < tier ? 0 : 1);
    const kept = w * (1 - Math.exp(-options.extinction * (scene.leafDensity[quarter] ?? 0) * (t - at)));
    into.leaves[quarter]! += kept;
    w -= kept;
    if (body) {
      into.bodies[body.quarter]! += w * body.opaque;
      w *= 1 - body.opaque;
    }
    at = t;
  }
  const ex = x + end * way.x;
  const ez = z + end * way.z;
  const side = ex < middle ? 0 : 1;
  const high = ez < tier ? 0 : 1;
  into.patches[patchOf(face, side, high)]! += w;
}

export function patchOf(
  face: 'left' | 'right' | 'front' | 'back' | 'lid' | 'ground',
  side: 0 | 1,
  tier: 0 | 1,
): number {
  switch (face) {
    case 'ground':
      return side;
    case 'lid':
      return 2 + side;
    case 'left':
      return 4 + tier;
    case 'right':
      return 6 + tier;
    case 'front':
      return 8 + side * 2 + tier;
    case 'back':
      return 12 + side * 2 + tier;
  }
}

/** Where a ray enters an upright box, from outside it; null: it does not. */
function enters(b: Body['bounds'], x: number, y: number, z: number, way: Point3): number | null {
  let low = 0;
  let high = Infinity;
  for (const [o, d, min, max] of [
    [x, way.x, b.x0, b.x1],
    [y, way.y, b.y0, b.y1],
    [z, way.z, b.z0, b.z1],
  ] as const) {
    if (Math.abs(d) < 1e-9) {
      if (o < min || o > max) return null;
      continue;
    }
    const one = (min - o) / d;
    const other = (max - o) / d;
    low = Math.max(low, Math.min(one, other));
    high = Math.min(high, Math.max(one, other));
  }
  return low < high ? low : null;
}

/** Rays of a lamp: rings about its axis, and places along it. */
const RINGS = 6;
const ROUND = 8;
const ALONG = [-1 / 3, 0, 1 / 3] as const;
/** Of a tube in its fitting: half goes down of itself, and half of the rest by the reflector (from memory). */
export const TUBE_DOWN = 0.75;

/**
 * A lamp as rays whose weights sum to the share that leaves it downwards: a bulb by its beam, a strip or panel by the
 * cosine (Lambert), a tube all round its axis with half of what goes up thrown back.
 */
export function raysOf(lamp: Lamp): readonly Ray[] {
  const rays: Ray[] = [];
  if (lamp.form === 'bulb') {
    const widest = Math.min(Math.PI / 2 - 0.02, 2.6 * lamp.half);
    let sum = 0;
    for (let i = 0; i < RINGS; i += 1) {
      const angle = ((i + 0.5) * widest) / RINGS;
      const weight = 2 ** -((angle / lamp.half) ** 2) * Math.sin(angle);
      sum += weight * ROUND;
      for (let j = 0; j < ROUND; j += 1) {
        const turn = (2 * Math.PI * (j + 0.5)) / ROUND;
        rays.push({
          from: lamp,
          way: {
            x: Math.sin(angle) * Math.cos(turn),
            y: Math.sin(angle) * Math.sin(turn),
            z: -Math.cos(angle),
          },
          weight,
        });
      }
    }
    return rays.map((it) => ({ ...it, weight: it.weight / sum }));
  }
  for (const part of ALONG) {
    const from = {
      x: lamp.x + (lamp.along === 'x' ? part * lamp.length : 0),
      y: lamp.y + (lamp.along === 'y' ? part * lamp.length : 0),
      z: lamp.z,
    };
    if (lamp.form === 'panel') {
      for (let i = 0; i < RINGS; i += 1) {
        // Rings of the same flux: sin² runs evenly.
        const sin = Math.sqrt((i + 0.5) / RINGS);
        for (let j = 0; j < ROUND; j += 1) {
          const turn = (2 * Math.PI * (j + 0.5)) / ROUND;
          rays.push({
            from,
            way: { x: sin * Math.cos(turn), y: sin * Math.sin(turn), z: -Math.sqrt(1 - sin * sin) },
            weight: 1 / (RINGS * ROUND * ALONG.length),
          });
        }
      }
      continue;
    }
    // Round the axis: as much at every turn below it; along it by the sine of the angle to it.
    let sum = 0;
    const first = rays.length;
    for (let i = 0; i < RINGS; i += 1) {
      const angle = ((i + 0.5) * Math.PI) / RINGS;
      const weight = Math.sin(angle) * Math.sin(angle);
      for (let j = 0; j < ROUND; j += 1) {
        const turn = (Math.PI * (j + 0.5)) / ROUND;
        const axial = Math.cos(angle);
        const across = Math.sin(angle) * Math.cos(turn);
        sum += weight;
        rays.push({
          from,
          way: {
            x: lamp.along === 'x' ? axial : across,
            y: lamp.along === 'x' ? across : axial,
            z: -Math.sin(angle) * Math.sin(turn),
          },
          weight,
        });
      }
    }
    for (let i = first; i < rays.length; i += 1) {
      const ray = rays[i];
      if (ray) rays[i] = { ...ray, weight: (ray.weight / sum) * (TUBE_DOWN / ALONG.length) };
    }
  }
  return rays;
}

/** Where the light of a lamp lands first. */
export function landingOf(lamp: Lamp, scene: Scene, options: CastOptions): Landing {
  const landing = emptyLanding();
  let sent = 0;
  for (const ray of raysOf(lamp)) {
    sent += ray.weight;
    cast(scene, ray, options, landing);
  }
  landing.missed += Math.max(0, 1 - sent);
  return landing;
}
