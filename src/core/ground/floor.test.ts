import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Corners, Point } from '../document';
import { level, sloped } from './corners';
import {
  areaOfRect,
  boundsOf,
  extremes,
  floorplan,
  heightAt,
  momentsOf,
  rectOf,
  refield,
  spansOf,
  volumeBelow,
  volumeUnder,
  within,
  type Area,
  type Rect,
} from './floor';

const floor = rectOf(0.6, 0.45);
const whole = areaOfRect(floor);
const metres = fc.double({ min: 0, max: 0.4, noNaN: true });
const surface: fc.Arbitrary<Corners> = fc.record({
  frontLeft: metres,
  frontRight: metres,
  backLeft: metres,
  backRight: metres,
});
const point: fc.Arbitrary<Point> = fc.record({
  x: fc.double({ min: 0, max: 0.6, noNaN: true }),
  y: fc.double({ min: 0, max: 0.45, noNaN: true }),
});
/** Off the hundredth of a millimetre that outlines are drawn to: a place on an edge is of both parts or of neither. */
const between: fc.Arbitrary<Point> = fc.record({
  x: fc.integer({ min: 0, max: 599 }).map((n) => (n + 0.43717) / 1000),
  y: fc.integer({ min: 0, max: 449 }).map((n) => (n + 0.61183) / 1000),
});
const outline = fc.array(point, { minLength: 3, maxLength: 9 });

/** The same integral the slow way: n × n places in the middle of as many cells, asked one by one. */
function sampled(area: Area, field: Rect, n: number, of: (x: number, y: number) => number): number {
  const cell = ((field.x1 - field.x0) * (field.y1 - field.y0)) / (n * n);
  let sum = 0;
  for (let i = 0; i < n; i += 1) {
    for (let j = 0; j < n; j += 1) {
      const x = field.x0 + ((i + 0.5) / n) * (field.x1 - field.x0);
      const y = field.y0 + ((j + 0.5) / n) * (field.y1 - field.y0);
      if (within(area, x, y)) sum += of(x, y) * cell;
    }
  }
  return sum;
}

const triangle: Area = [
  [
    [
      [0, 0],
      [0.6, 0],
      [0, 0.45],
    ],
  ],
];

describe('moments of an area', () => {
  it('of a rectangle and of a right triangle, by hand', () => {
    expect(momentsOf(whole)).toEqual({
      area: expect.closeTo(0.27, 12),
      x: expect.closeTo(0.27 * 0.3, 12),
      y: expect.closeTo(0.27 * 0.225, 12),
      xy: expect.closeTo((0.6 ** 2 / 2) * (0.45 ** 2 / 2), 12),
    });
    // A = bh/2, ∫x = A·b/3, ∫y = A·h/3, ∫xy = b²h²/24
    const m = momentsOf(triangle);
    expect(m.area).toBeCloseTo(0.135, 12);
    expect(m.x).toBeCloseTo(0.135 * 0.2, 12);
    expect(m.y).toBeCloseTo(0.135 * 0.15, 12);
    expect(m.xy).toBeCloseTo((0.6 * 0.45) ** 2 / 24, 12);
  });

  it('a hole counts against its outside, whichever way its corners run', () => {
    const ring: [number, number][] = [
      [0.1, 0.1],
      [0.3, 0.1],
      [0.3, 0.2],
      [0.1, 0.2],
    ];
    for (const hole of [ring, [...ring].reverse()]) {
      const pierced: Area = [[...(whole[0] ?? []), hole]];
      expect(momentsOf(pierced).area).toBeCloseTo(0.27 - 0.02, 12);
    }
  });
});

describe('volumes over an outline', () => {
  it('a wedge over a triangle, by hand', () => {
    // height 0.1·y/0.45 over the triangle: 0.1/0.45 · ∫y = 0.1/0.45 · 0.135 · 0.15
    expect(volumeUnder(sloped(0, 0.1), floor, momentsOf(triangle))).toBeCloseTo(0.0045, 12);
  });

  it('is what adding up many small columns gives, for any slopes and outline', () => {
    fc.assert(
      fc.property(surface, outline, (top, points) => {
        const { regions } = floorplan(0.6, 0.45, [points]);
        const area = regions[0]!;
        const exact = volumeUnder(top, floor, momentsOf(area));
        const slow = sampled(area, floor, 160, (x, y) => heightAt(top, floor, x, y));
        return Math.abs(exact - slow) < 0.006 * 0.27 * 0.4;
      }),
      { numRuns: 25 },
    );
  });

  it('a surface given over another field is the same surface', () => {
    fc.assert(
      fc.property(surface, point, (top, { x, y }) => {
        const field = { x0: 0.1, x1: 0.35, y0: 0.2, y1: 0.31 };
        const again = refield(top, floor, field);
        return Math.abs(heightAt(again, field, x, y) - heightAt(top, floor, x, y)) < 1e-12;
      }),
    );
  });
});

describe('water under a surface', () => {
  it('a wedge 0 to 10 cm, water at 5 cm: half full triangle and half full slab', () => {
    // mean of min(5, 10v) over v = 2.5/2 + 5/2 = 3.75 cm, by hand
    expect(volumeBelow(sloped(0, 0.1), floor, whole, 0.05) / 0.27).toBeCloseTo(0.0375, 6);
    const across = { frontLeft: 0, backLeft: 0, frontRight: 0.1, backRight: 0.1 };
    expect(volumeBelow(across, floor, whole, 0.05) / 0.27).toBeCloseTo(0.0375, 12);
  });

  it('over everything it is the volume, under everything the slab', () => {
    fc.assert(
      fc.property(surface, outline, (top, points) => {
        const area = floorplan(0.6, 0.45, [points]).regions[0]!;
        const moments = momentsOf(area);
        return (
          Math.abs(volumeBelow(top, floor, area, 1) - volumeUnder(top, floor, moments)) < 1e-9 &&
          Math.abs(volumeBelow(level(1), floor, area, 0.2) - 0.2 * moments.area) < 1e-9
        );
      }),
      { numRuns: 60 },
    );
  });

  it('is what adding up many small columns gives, and grows with the level', () => {
    fc.assert(
      fc.property(surface, outline, metres, metres, (top, points, a, b) => {
        const area = floorplan(0.6, 0.45, [points]).regions[0]!;
        const low = volumeBelow(top, floor, area, Math.min(a, b));
        const high = volumeBelow(top, floor, area, Math.max(a, b));
        const slow = sampled(area, floor, 160, (x, y) => Math.min(b, heightAt(top, floor, x, y)));
        const fast = volumeBelow(top, floor, area, b);
        return low <= high + 1e-9 && Math.abs(fast - slow) < 0.006 * 0.27 * 0.4;
      }),
      { numRuns: 25 },
    );
  });
});

describe('lowest and highest of a surface over an area', () => {
  it('lie on the outline: at a corner, or where an edge turns', () => {
    // A saddle x·y seen along the diagonal of a triangle: highest in the middle of its long edge.
    const saddle = { frontLeft: 0, frontRight: 0, backLeft: 0, backRight: 1 };
    const { low, high } = extremes(saddle, floor, triangle);
    expect(low).toBeCloseTo(0, 12);
    expect(high).toBeCloseTo(0.25, 12);
  });

  it('bound every place inside', () => {
    fc.assert(
      fc.property(surface, outline, fc.array(point, { maxLength: 40 }), (top, points, places) => {
        const area = floorplan(0.6, 0.45, [points]).regions[0]!;
        const { low, high } = extremes(top, floor, area);
        return places
          .filter(({ x, y }) => within(area, x, y))
          .every(({ x, y }) => {
            const height = heightAt(top, floor, x, y);
            return height >= low - 1e-9 && height <= high + 1e-9;
          });
      }),
      { numRuns: 80 },
    );
  });
});

describe('sharing out the floor', () => {
  it('every place belongs to one part, and the areas add up to the floor', () => {
    fc.assert(
      fc.property(
        fc.array(outline, { maxLength: 5 }),
        fc.array(between, { maxLength: 30 }),
        (outlines, places) => {
          const { rest, regions } = floorplan(0.6, 0.45, outlines);
          const areas = [rest, ...regions];
          const sum = areas.reduce((total, area) => total + momentsOf(area).area, 0);
          if (Math.abs(sum - 0.27) > 1e-6) return false;
          return places.every(({ x, y }) => areas.filter((area) => within(area, x, y)).length === 1);
        },
      ),
      { numRuns: 120 },
    );
  });

  it('a later region covers an earlier one, and what reaches beyond the walls is cut off', () => {
    const square = (x: number, y: number, side: number): Point[] => [
      { x, y },
      { x: x + side, y },
      { x: x + side, y: y + side },
      { x, y: y + side },
    ];
    const { regions, rest } = floorplan(0.6, 0.45, [
      square(0, 0, 0.2),
      square(0.1, 0.1, 0.2),
      square(0.5, 0.35, 0.2),
    ]);
    expect(regions.map((area) => momentsOf(area).area)).toEqual([
      expect.closeTo(0.03, 9),
      expect.closeTo(0.04, 9),
      expect.closeTo(0.01, 9),
    ]);
    expect(momentsOf(rest).area).toBeCloseTo(0.27 - 0.08, 9);
  });

  it('keeps the same plan for the same outlines, and makes another for others', () => {
    const points = [
      { x: 0, y: 0 },
      { x: 0.3, y: 0 },
      { x: 0, y: 0.3 },
    ];
    const first = floorplan(0.6, 0.45, [points]);
    expect(floorplan(0.6, 0.45, [points])).toBe(first);
    expect(floorplan(0.7, 0.45, [points])).not.toBe(first);
    expect(floorplan(0.6, 0.45, [points.map((it) => ({ ...it }))])).not.toBe(first);
  });
});

describe('a cut through the floor', () => {
  it('runs through each part once and leaves nothing out', () => {
    fc.assert(
      fc.property(
        fc.array(outline, { maxLength: 4 }),
        fc.double({ min: 0.001, max: 0.449, noNaN: true }),
        (outlines, at) => {
          const { rest, regions } = floorplan(0.6, 0.45, outlines);
          const spans = [rest, ...regions]
            .flatMap((area) => spansOf(area, { along: 'x', at }))
            .sort((a, b) => a[0] - b[0]);
          const length = spans.reduce((sum, [from, to]) => sum + to - from, 0);
          const apart = spans.every(
            (span, index) => index === 0 || span[0] >= (spans[index - 1]?.[1] ?? 0) - 1e-6,
          );
          return Math.abs(length - 0.6) < 1e-4 && apart;
        },
      ),
      { numRuns: 120 },
    );
  });

  it('along the other way too', () => {
    expect(spansOf(triangle, { along: 'y', at: 0.3 })).toEqual([
      [expect.closeTo(0, 9), expect.closeTo(0.225, 9)],
    ]);
  });
});

describe('the rectangle around an outline', () => {
  it('is never of no width, so that a surface over it stays defined', () => {
    const line = boundsOf([
      { x: 0.2, y: 0.1 },
      { x: 0.2, y: 0.1 },
      { x: 0.2, y: 0.3 },
    ]);
    expect(line.x1).toBeGreaterThan(line.x0);
    expect(Number.isFinite(heightAt(level(0.1), line, 0.2, 0.2))).toBe(true);
  });
});

it('outlines that cross and touch themselves and each other still part the floor, all of it and nothing twice', () => {
  const corner = (grid: number) =>
    fc.record({
      x: fc.integer({ min: 0, max: grid }).map((it) => (0.45 * it) / grid),
      y: fc.integer({ min: 0, max: grid }).map((it) => (0.45 * it) / grid),
    });
  const outline = fc
    .constantFrom(8, 20, 1000)
    .chain((grid) => fc.array(corner(grid), { minLength: 3, maxLength: 12 }));
  fc.assert(
    fc.property(fc.array(outline, { minLength: 1, maxLength: 3 }), (outlines) => {
      const { rest, regions } = floorplan(0.45, 0.45, outlines);
      const sum = [rest, ...regions].reduce((all, it) => all + momentsOf(it).area, 0);
      expect(sum).toBeCloseTo(0.45 * 0.45, 5);
    }),
    { numRuns: 2000, seed: 9 },
  );
});
