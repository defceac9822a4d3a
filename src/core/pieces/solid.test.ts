import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Body } from '../document/scapeSchema';
import { solidOf } from './solid';
import { anyBody } from '../scape/testing';

const AT = { x: 0.5, y: 0.4 };
const rod = (run: number, rise: number, diameter: number, wall: number | null = null): Body => ({
  shape: 'rod',
  run: { x: run, y: 0 },
  rise,
  diameter,
  wall,
});
const block = (
  form: 'box' | 'round' | 'boulder' | 'dome',
  width: number,
  depth: number,
  height: number,
  wall: number | null = null,
  turn = 0,
): Body => ({ shape: 'block', form, width, depth, height, turn, wall });

describe('bodies', () => {
  it('volumes by the formulas of the textbooks: cylinder, box, ellipsoid, half of one', () => {
    expect(solidOf(rod(0, 0.3, 0.1), AT, 0).volume).toBeCloseTo(Math.PI * 0.05 ** 2 * 0.3, 9);
    expect(solidOf(block('box', 0.2, 0.1, 0.05), AT, 0).volume).toBeCloseTo(0.001, 9);
    // 4/3·π·a·b·c
    expect(solidOf(block('boulder', 0.2, 0.1, 0.06), AT, 0).volume).toBeCloseTo(
      (4 / 3) * Math.PI * 0.1 * 0.05 * 0.03,
      9,
    );
    expect(solidOf(block('dome', 0.2, 0.1, 0.06), AT, 0).volume).toBeCloseTo(
      (2 / 3) * Math.PI * 0.1 * 0.05 * 0.06,
      9,
    );
    const tube = solidOf(rod(0.25, 0, 0.1, 0.015), AT, 0);
    expect(tube.encloses).toBeCloseTo(Math.PI * 0.035 ** 2 * 0.25, 9);
    expect(tube.stuff + tube.encloses).toBeCloseTo(tube.volume, 12);
  });

  it('surfaces: a sphere of 10 cm has π·d², a cube 6·a²; Thomsen’s formula is exact for spheres', () => {
    expect(solidOf(block('boulder', 0.1, 0.1, 0.1), AT, 0).surface).toBeCloseTo(Math.PI * 0.01, 8);
    expect(solidOf(block('box', 0.1, 0.1, 0.1), AT, 0).surface).toBeCloseTo(0.06, 9);
    // A round of equal axes is a cylinder.
    expect(solidOf(block('round', 0.1, 0.1, 0.2), AT, 0).surface).toBeCloseTo(
      2 * Math.PI * 0.0025 + Math.PI * 0.1 * 0.2,
      8,
    );
    expect(solidOf(rod(0.3, 0, 0.04), AT, 0).surface).toBeCloseTo(
      Math.PI * 0.04 * 0.3 + 2 * Math.PI * 0.0004,
      8,
    );
  });

  it('a lying rod shades its length by its thickness, a standing one its round', () => {
    expect(solidOf(rod(0.3, 0, 0.04), AT, 0).shades).toBeCloseTo(0.012, 9);
    expect(solidOf(rod(0, 0.3, 0.04), AT, 0).shades).toBeCloseTo(Math.PI * 0.0004, 9);
  });

  it('the underside of the foot stands where it is put', () => {
    expect(solidOf(rod(0.3, 0, 0.04), AT, 0.1).bounds.z0).toBeCloseTo(0.1, 9);
    expect(solidOf(rod(0, 0.3, 0.04), AT, 0.1).bounds.z0).toBeCloseTo(0.1, 9);
    const leaning = solidOf(rod(0.3, 0.3, 0.04), AT, 0.1);
    expect(leaning.bounds.z0).toBeCloseTo(0.1, 9);
    expect(leaning.head.z - leaning.foot.z).toBeCloseTo(0.3, 9);
  });

  it('columns add up to the body, lie within its bounds, and agree with asking place by place', () => {
    fc.assert(
      fc.property(anyBody(), fc.double({ min: 0, max: 0.5, noNaN: true }), (body, base) => {
        const solid = solidOf(body, AT, base);
        const sum = solid.columns.reduce((all, it) => all + it.area * (it.high - it.low), 0);
        expect(sum).toBeCloseTo(solid.volume, 10);
        const { x0, x1, y0, y1, z0, z1 } = solid.bounds;
        const hair = 1e-9;
        expect(
          solid.columns.filter(
            ({ x, y, low, high }) =>
              x < x0 - hair ||
              x > x1 + hair ||
              y < y0 - hair ||
              y > y1 + hair ||
              low < z0 - hair ||
              high > z1 + hair,
          ),
        ).toEqual([]);
      }),
    );
  });

  it('one tilted by less than can be seen is upright, its axes square', () => {
    const plank: Body = {
      shape: 'plank',
      run: { x: 0, y: 5.9e-12 },
      rise: -0.0001,
      breadth: 0.04,
      thickness: 0.005,
    };
    const { columns, bounds } = solidOf(plank, AT, 0);
    for (const { low, high } of columns) {
      expect(low).toBeGreaterThanOrEqual(bounds.z0 - 1e-12);
      expect(high).toBeLessThanOrEqual(bounds.z1 + 1e-12);
    }
  });

  it('the volume cut into columns is the body’s, against throwing darts', () => {
    // 20,000 darts at a leaning branch and a turned boulder: within 4 % of the formula.
    for (const body of [rod(0.3, 0.2, 0.06), block('boulder', 0.3, 0.15, 0.1, null, 0.7)]) {
      const { bounds, reachAt, volume } = solidOf(body, AT, 0.1);
      let seed = 7;
      const next = (): number => (seed = (seed * 16807) % 2147483647) / 2147483647;
      let hits = 0;
      const darts = 20_000;
      for (let i = 0; i < darts; i += 1) {
        const reach = reachAt(
          bounds.x0 + (bounds.x1 - bounds.x0) * next(),
          bounds.y0 + (bounds.y1 - bounds.y0) * next(),
        );
        const z = bounds.z0 + (bounds.z1 - bounds.z0) * next();
        if (reach && z > reach[0] && z < reach[1]) hits += 1;
      }
      const box = (bounds.x1 - bounds.x0) * (bounds.y1 - bounds.y0) * (bounds.z1 - bounds.z0);
      expect((hits / darts) * box).toBeGreaterThan(volume * 0.96);
      expect((hits / darts) * box).toBeLessThan(volume * 1.04);
    }
  });
});
