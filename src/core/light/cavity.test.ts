import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bounce, cavityOf, upwardLook } from './cavity';
import { landingOf, PATCHES, type Scene } from './rays';
import type { Lamp } from './field';

const size = fc.record({
  width: fc.double({ min: 0.2, max: 3, noNaN: true }),
  depth: fc.double({ min: 0.2, max: 2, noNaN: true }),
  height: fc.double({ min: 0.25, max: 2.5, noNaN: true }),
  floor: fc.double({ min: 0, max: 0.15, noNaN: true }),
});
const boxed = (it: { width: number; depth: number; height: number; floor: number }) =>
  cavityOf({ ...it, tier: it.floor + 0.45 * (it.height - it.floor) });

describe('view factors', () => {
  it('of a cube: 0.1998 straight across, 0.2000 to each side (Howell, catalogue of configuration factors, C-11 and C-14)', () => {
    const { views } = cavityOf({ width: 1, depth: 1, height: 1, floor: 0, tier: 0.5 });
    const from = (ground: readonly number[], to: readonly number[]): number =>
      ground.reduce(
        (sum, i) => sum + to.reduce((part, j) => part + views[i * PATCHES + j]!, 0) / ground.length,
        0,
      );
    expect(from([0, 1], [2, 3])).toBeCloseTo(0.1998, 4);
    expect(from([0, 1], [4, 5])).toBeCloseTo(0.2, 4);
    expect(from([0, 1], [12, 13, 14, 15])).toBeCloseTo(0.2, 4);
  });
  it('of wide plates close together: nearly all (1 across at 0.1 of their side: 0.8270)', () => {
    const { views } = cavityOf({ width: 1, depth: 1, height: 0.1, floor: 0, tier: 0.05 });
    expect((views[2]! + views[3]! + views[PATCHES + 2]! + views[PATCHES + 3]!) / 2).toBeCloseTo(0.827, 3);
  });
  it('property: each patch sees the rest of the box and nothing else, and both ways alike', () => {
    fc.assert(
      fc.property(size, (it) => {
        const { views, areas } = boxed(it);
        for (let i = 0; i < PATCHES; i += 1) {
          let sum = 0;
          for (let j = 0; j < PATCHES; j += 1) {
            sum += views[i * PATCHES + j]!;
            expect(areas[i]! * views[i * PATCHES + j]!).toBeCloseTo(areas[j]! * views[j * PATCHES + i]!, 9);
          }
          expect(sum).toBeCloseTo(1, 6);
        }
      }),
      { numRuns: 40 },
    );
  });
  it('property: a point of the ground sees walls and lid, and nothing else', () => {
    fc.assert(
      fc.property(size, fc.double({ min: 0.05, max: 0.95, noNaN: true }), (it, part) => {
        const cavity = boxed(it);
        const all = new Float64Array(PATCHES).fill(1);
        expect(
          upwardLook(cavity, all, part * cavity.width, (1 - part) * cavity.depth, cavity.floor),
        ).toBeCloseTo(1, 6);
        expect(
          upwardLook(cavity, all, part * cavity.width, part * cavity.depth, cavity.tier + 0.01),
        ).toBeCloseTo(1, 6);
      }),
      { numRuns: 40 },
    );
  });
});

describe('light thrown back', () => {
  it('property: in a box of one reflectance, lit evenly, there is 1/(1 − ρ) of it (an integrating sphere’s relation)', () => {
    fc.assert(
      fc.property(size, fc.double({ min: 0, max: 0.95, noNaN: true }), (it, rho) => {
        const cavity = boxed(it);
        const { meeting } = bounce(cavity, new Float64Array(PATCHES).fill(rho), cavity.areas);
        meeting.forEach((flux, i) => expect(flux / cavity.areas[i]!).toBeCloseTo(1 / (1 - rho), 4));
      }),
      { numRuns: 40 },
    );
  });
  it('property: what comes in is taken up or kept by leaves, whatever reflects', () => {
    fc.assert(
      fc.property(
        size,
        fc.array(fc.double({ min: 0, max: 0.9, noNaN: true }), { minLength: 16, maxLength: 16 }),
        fc.double({ min: 0.2, max: 1, noNaN: true }),
        (it, rho, clear) => {
          const cavity = boxed(it);
          const { meeting, kept } = bounce(cavity, rho, cavity.areas, clear);
          const taken = meeting.reduce((sum, flux, i) => sum + flux * (1 - rho[i]!), 0);
          expect(taken + kept).toBeCloseTo(
            cavity.areas.reduce((sum, area) => sum + area, 0),
            4,
          );
        },
      ),
      { numRuns: 40 },
    );
  });
});

describe('rays of a lamp', () => {
  const lamp = (told: Partial<Lamp>): Lamp => ({
    id: 'lamp',
    form: 'panel',
    x: 0.3,
    y: 0.225,
    z: 0.43,
    length: 0.4,
    along: 'x',
    half: 0.3,
    uvIndex: 0,
    reference: 0.3,
    lumens: 1000,
    light: 'led',
    radiant: 8,
    passes: { uv: 1, light: 1, heat: 1 },
    ...told,
  });
  const scene: Scene = {
    width: 0.6,
    depth: 0.45,
    height: 0.45,
    ground: [0.1, 0.1],
    tier: 0.25,
    leafDensity: [0, 0, 0, 0],
    bodies: [],
  };
  const all = { passes: 1, extinction: 0.5 };
  it('every ray ends somewhere, alike on both sides of a lamp in the middle', () => {
    for (const form of ['bulb', 'panel', 'tube'] as const) {
      const { patches, leaves, bodies, missed } = landingOf(lamp({ form }), scene, all);
      const sum = [...patches, ...leaves, ...bodies].reduce((total, it) => total + it, missed);
      expect(sum).toBeCloseTo(1, 9);
      expect(patches[0]).toBeCloseTo(patches[1]!, 9);
      expect(patches[4]! + patches[5]!).toBeCloseTo(patches[6]! + patches[7]!, 9);
    }
  });
  it('leaves keep 1 − e^(−LAI/2) of what falls straight through them', () => {
    const spot = lamp({ form: 'bulb', half: 0.01 });
    const thick: Scene = { ...scene, leafDensity: [0, 10, 0, 10] };
    const { leaves, patches } = landingOf(spot, thick, all);
    // 0.18 m of a density of 10 is a leaf area of 1.8.
    expect(leaves.reduce((sum, it) => sum + it, 0)).toBeCloseTo(1 - Math.exp(-0.9), 2);
    expect(patches[0]! + patches[1]!).toBeCloseTo(Math.exp(-0.9), 2);
  });
  it('of a lamp over the lid, gauze keeps its share and what passes beside the box is missed', () => {
    const over = lamp({ form: 'bulb', half: 0.6, z: 0.6, x: 0.05 });
    const landing = landingOf(over, scene, { passes: 0.6, extinction: 0.5 });
    expect(landing.missed).toBeGreaterThan(0.2);
    expect(landing.lid).toBeCloseTo(0.4 * (1 - landing.missed), 9);
  });
});
