import type { Enclosure } from '../document/schema';
import type { Bounds } from '../pieces/solid';
import type { Body } from '../document/scapeSchema';
import { axisOf } from '../pieces/solid';

/** A way into the box for hands and for what is put in, m. */
export interface Opening {
  readonly side: 'front' | 'top';
  /** Two sides of the clear opening. */
  readonly width: number;
  readonly height: number;
  /** Where it lies. */
  readonly at: Bounds;
}

/** Sliding panes cover each other by so much, m (common practice). */
const PASS = 0.03;

/**
 * Where one gets in: between sill and upper frame of doors, half of them where they slide; and the top where the lid
 * comes off. A box with neither has its lid taken off all the same.
 */
export function openingsOf(box: Enclosure): readonly Opening[] {
  const { width, depth, height, made } = box;
  const all: Opening[] = [];
  if (box.build === 'walk-in') {
    const tall = Math.min(2, height);
    const wide = Math.min(0.7, width);
    all.push({
      side: 'front',
      width: wide,
      height: tall,
      at: { x0: (width - wide) / 2, x1: (width + wide) / 2, y0: 0, y1: 0, z0: 0, z1: tall },
    });
    return all;
  }
  if (box.front === 'doors') {
    const sill = Math.min(height * 0.6, Math.max(made.ventLow, box.watertightHeight));
    const upper = Math.max(sill + 0.02, height - made.ventHigh);
    all.push({
      side: 'front',
      width: made.doors === 'sliding' ? Math.max(0.02, width / 2 - PASS) : width,
      height: upper - sill,
      // One pane or the other: a hand gets in along all of the front.
      at: { x0: 0, x1: width, y0: 0, y1: 0, z0: sill, z1: upper },
    });
  }
  if (box.top !== 'solid' || box.front === 'fixed') {
    all.push({
      side: 'top',
      width,
      height: depth,
      at: { x0: 0, x1: width, y0: 0, y1: depth, z0: height, z1: height },
    });
  }
  return all;
}

/** The three sizes of a body as it is carried, smallest first, m. */
export function carried(body: Body): readonly [number, number, number] {
  const sizes =
    body.shape === 'block'
      ? [body.width, body.depth, body.height]
      : body.shape === 'rod'
        ? [body.diameter, body.diameter, axisOf(body.run, body.rise).long]
        : [body.thickness, body.breadth, axisOf(body.run, body.rise).long];
  const [a = 0, b = 0, c = 0] = sizes.sort((p, q) => p - q);
  return [a, b, c];
}

/** Whether a body goes through one of the ways in, narrow side first, and can be turned inside. */
export function goesIn(body: Body, box: Enclosure): boolean {
  const [a, b, c] = carried(body);
  const inside = Math.hypot(box.width, box.depth, box.height);
  return openingsOf(box).some(({ width, height }) => {
    const [narrow, wide] = width < height ? [width, height] : [height, width];
    return a <= narrow + 1e-9 && b <= wide + 1e-9 && c <= inside + 1e-9;
  });
}

/** How far a body sticks out of the box, m; 0 when it is inside. */
export function sticksOut({ x0, x1, y0, y1, z0, z1 }: Bounds, box: Enclosure): number {
  return Math.max(0, -x0, -y0, -z0, x1 - box.width, y1 - box.depth, z1 - box.height);
}
