import type { Device } from '../document/climateSchema';
import type { Placed } from '../pieces/place';
import type { Site } from '../pieces/place';

export interface Drop {
  readonly x: number;
  readonly y: number;
  readonly z: number;
  readonly on: 'ground' | 'water' | 'left' | 'right' | 'back' | 'front' | 'piece';
}

/** Where a nozzle's cone falls: the places its rays meet, as much water to each. */
export interface Spray {
  readonly from: { readonly x: number; readonly y: number; readonly z: number };
  readonly drops: readonly Drop[];
}

const RINGS = 6;
const ROUND = 16;

/**
 * Follows the rays of a cone that points straight down until each meets a wall, a piece, the ground or water. Rays are
 * even over the cone's solid angle (rings of equal cos θ, mirrored left and right, front and back); drops are taken to
 * fly straight.
 * @param half half of the cone's angle, radians
 * @param highest over which there is neither ground nor water, m
 */
export function sprayOf(
  at: Device['at'],
  half: number,
  box: { readonly width: number; readonly depth: number; readonly height: number },
  site: Site,
  pieces: readonly Placed[],
  highest = box.height,
): Spray {
  const from = {
    x: Math.min(box.width - 0.01, Math.max(0.01, at.x)),
    y: Math.min(box.depth - 0.01, Math.max(0.01, at.y)),
    z: Math.min(box.height - 0.005, at.z),
  };
  const drops: Drop[] = [];
  for (let ring = 0; ring < RINGS; ring += 1) {
    const cos = 1 - ((ring + 0.5) / RINGS) * (1 - Math.cos(half));
    const sin = Math.sqrt(1 - cos * cos);
    for (let ray = 0; ray < ROUND; ray += 1) {
      const turn = (2 * Math.PI * (ray + 0.5)) / ROUND;
      drops.push(
        fly(from, { x: sin * Math.cos(turn), y: sin * Math.sin(turn), z: -cos }, box, site, pieces, highest),
      );
    }
  }
  return { from, drops };
}

const STEP = 0.012;

function fly(
  from: { readonly x: number; readonly y: number; readonly z: number },
  way: { readonly x: number; readonly y: number; readonly z: number },
  { width, depth }: { readonly width: number; readonly depth: number },
  site: Site,
  pieces: readonly Placed[],
  highest: number,
): Drop {
  for (let s = STEP; ; s += STEP) {
    const x = from.x + s * way.x;
    const y = from.y + s * way.y;
    const z = from.z + s * way.z;
    if (x <= 0) return { x: 0, y, z, on: 'left' };
    if (x >= width) return { x: width, y, z, on: 'right' };
    if (y <= 0) return { x, y: 0, z, on: 'front' };
    if (y >= depth) return { x, y: depth, z, on: 'back' };
    if (z <= highest) {
      const water = site.waterAt(x, y);
      if (water !== undefined && z <= water) return { x, y, z: water, on: 'water' };
      if (z <= site.groundAt(x, y)) return { x, y, z, on: 'ground' };
    }
    for (const { solid } of pieces) {
      const b = solid.bounds;
      if (x < b.x0 || x > b.x1 || y < b.y0 || y > b.y1 || z < b.z0 || z > b.z1) continue;
      const reach = solid.reachAt(x, y);
      if (reach && z >= reach[0] && z <= reach[1]) return { x, y, z, on: 'piece' };
    }
    if (z <= 0) return { x, y, z: 0, on: 'ground' };
  }
}

/** Whether drops reach a place of the ground: nothing stands between it and any nozzle whose cone it lies in. */
export function wetAt(
  place: { readonly x: number; readonly y: number; readonly z: number },
  nozzles: readonly { readonly at: Device['at']; readonly half: number }[],
  pieces: readonly Placed[],
): boolean {
  return nozzles.some(({ at, half }) => {
    const d = { x: place.x - at.x, y: place.y - at.y, z: place.z - at.z };
    const long = Math.hypot(d.x, d.y, d.z);
    if (-d.z / long < Math.cos(half)) return false;
    for (let s = STEP; s < long - STEP; s += STEP) {
      const x = at.x + (s / long) * d.x;
      const y = at.y + (s / long) * d.y;
      const z = at.z + (s / long) * d.z;
      for (const { solid } of pieces) {
        const reach = solid.reachAt(x, y);
        if (reach && z >= reach[0] && z <= reach[1]) return false;
      }
    }
    return true;
  });
}
