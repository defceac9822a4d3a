import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { UNITS } from '../units';
import * as corners from './corners';
import { cutFromRoll, sheetsFor } from './cut';
import { emptyMass, interiorVolume, shapesOf } from '../enclosure';
import { mixNeed, single } from './mix';
import { normalise } from './parts';
import { choosePacks } from './packs';
import type { Enclosure } from '../document/schema';
import type { VolumePack } from '../catalogue';

const depth = fc.double({ min: 0, max: 0.5, noNaN: true });
const surface = fc.record({ frontLeft: depth, frontRight: depth, backLeft: depth, backRight: depth });

describe('layer volumes, worked by hand', () => {
  it('0.45 × 0.45 m, 5 cm flat, is 10.125 L', () => {
    expect(0.45 * 0.45 * corners.mean(corners.level(0.05)) * 1000).toBeCloseTo(10.125, 12);
  });
  it('60 mm in front to 120 mm behind on the same floor is 18.225 L', () => {
    expect(0.45 * 0.45 * corners.mean(corners.sloped(0.06, 0.12)) * 1000).toBeCloseTo(18.225, 12);
  });
  // Trade facts (common practice): one small bag on a floor a foot square. Quarts from NIST Handbook 44.
  it.each([
    ['dry', UNITS.dryQuart.factor, 0, 47.4],
    ['liquid', UNITS.liquidQuart.factor, 0, 40.7],
    ['dry', UNITS.dryQuart.factor, 0.15, 40.3],
    ['liquid', UNITS.liquidQuart.factor, 0.15, 34.6],
  ])('4 %s quarts on 12 × 12 in, settling %d, stand %d mm deep', (_, quart, settling, mm) => {
    const deep = (4 * quart * (1 - settling)) / (12 * 0.0254) ** 2;
    expect(deep * 1000).toBeCloseTo(mm, 1);
  });

  it('the mean of the corners is the mean of the bilinear surface', () => {
    fc.assert(
      fc.property(surface, (it) => {
        const n = 40;
        let sum = 0;
        for (let i = 0; i < n; i += 1) {
          for (let j = 0; j < n; j += 1) {
            const u = (i + 0.5) / n;
            const v = (j + 0.5) / n;
            const front = it.frontLeft * (1 - u) + it.frontRight * u;
            const back = it.backLeft * (1 - u) + it.backRight * u;
            sum += front * (1 - v) + back * v;
          }
        }
        return Math.abs(sum / (n * n) - corners.mean(it)) < 1e-12;
      }),
      { numRuns: 50 },
    );
  });
});

describe('mixing by parts', () => {
  const mix = (parts: Record<string, number>, packingLoss = 0) => ({
    recipe: null,
    parts: Object.entries(parts).map(([material, count]) => ({ material, parts: count })),
    packingLoss,
  });

  it('70, 30 and 10 become 63.6, 27.3 and 9.1 (trade fact, by hand: 70/110, 30/110, 10/110)', () => {
    const shares = normalise(mix({ topsoil: 70, 'washed-sand': 30, 'burrowing-clay': 10 }));
    expect(shares.map((it) => Math.round(it.share * 1000) / 10)).toEqual([63.6, 27.3, 9.1]);
  });
  it('15 bags of 0.75 cu ft and 6 of 0.5 are 79 to 21 by volume, not 15 to 6', () => {
    const shares = normalise(mix({ topsoil: 15 * 0.75, 'washed-sand': 6 * 0.5 }));
    expect(shares.map((it) => Math.round(it.share * 100))).toEqual([79, 21]);
  });
  it('two ingredients, by hand: 10 L placed of equal parts settling 15 and 5 %, packing loss 10 %', () => {
    // yield = (0.5·0.85 + 0.5·0.95)·0.9 = 0.81; loose = 10/0.81 = 12.3457 L; each 6.17284 L
    const need = mixNeed(mix({ coir: 1, 'washed-sand': 1 }, 0.1), 0.01, catalogue);
    expect(need.yield).toBeCloseTo(0.81, 12);
    expect(need.loose * 1000).toBeCloseTo(12.345679, 6);
    expect(need.ingredients.map((it) => it.loose * 1000)).toEqual([
      expect.closeTo(6.17284, 5),
      expect.closeTo(6.17284, 5),
    ]);
    // Solids are conserved: 6.17284 L · (80 + 1430) kg/m³ in 10 L placed.
    expect(need.placedDensity).toBeCloseTo((6.17284e-3 * (80 + 1430)) / 0.01, 2);
  });

  const ids = catalogue.materials.filter((row) => row.roles.includes('mix')).map((row) => row.id);
  const anyMix = fc.record({
    recipe: fc.constant(null),
    parts: fc.uniqueArray(fc.constantFrom(...ids), { minLength: 1, maxLength: 6 }).chain((chosen) =>
      fc.tuple(
        ...chosen.map((material) =>
          fc.record({
            material: fc.constant(material),
            parts: fc.double({ min: 0.1, max: 100, noNaN: true }),
          }),
        ),
      ),
    ),
    packingLoss: fc.double({ min: 0, max: 0.28, noNaN: true }),
  });
  it('what is measured out settles to what was wanted, and its shares sum to one', () => {
    fc.assert(
      fc.property(anyMix, fc.double({ min: 1e-4, max: 2, noNaN: true }), (it, placed) => {
        const need = mixNeed(it, placed, catalogue);
        const settled = need.ingredients.reduce((sum, part) => {
          const row = catalogue.materials.find((material) => material.id === part.material)!;
          return sum + part.loose * (1 - row.settling.value);
        }, 0);
        const shares = need.ingredients.reduce((sum, part) => sum + part.share, 0);
        return (
          Math.abs(settled * (1 - it.packingLoss) - placed) < 1e-9 &&
          Math.abs(shares - 1) < 1e-9 &&
          need.loose >= placed - 1e-12
        );
      }),
    );
  });
  it('a layer of one material is that material', () => {
    const need = mixNeed(single('charcoal'), 0.0095, catalogue);
    expect(need.loose).toBeCloseTo(0.01, 12); // 5 % settling
  });
});

describe('cutting', () => {
  it('by hand: 65 × 50 cm from a roll 60 cm wide is one strip 65 cm long', () => {
    expect(cutFromRoll({ width: 0.65, depth: 0.5 }, 0.6, 0.05)).toMatchObject({
      strips: 1,
      along: 'width',
      rollLength: 0.65,
    });
  });
  it('by hand: 100 × 80 cm from 60 cm takes two strips of 80, overlapping 5', () => {
    const cut = cutFromRoll({ width: 1, depth: 0.8 }, 0.6, 0.05);
    expect(cut).toMatchObject({ strips: 2, along: 'depth' });
    expect(cut.rollLength).toBeCloseTo(1.6, 12);
    expect(cut.stripBreadth).toBeCloseTo(0.525, 12); // (100 + 5)/2
    // Two strips of 125 cm, although three of 65 would take 55 cm less roll: a join is where soil gets through.
    expect(cutFromRoll({ width: 1.25, depth: 0.65 }, 0.6, 0.05)).toMatchObject({ strips: 2, along: 'width' });
    expect(() => cutFromRoll({ width: 1, depth: 1 }, 0.05, 0.05)).toThrow(RangeError);
  });
  it('strips fit the roll, cover the piece, and no roll is wasted below nothing', () => {
    const side = fc.double({ min: 0.1, max: 4, noNaN: true });
    fc.assert(
      fc.property(
        side,
        side,
        fc.double({ min: 0.3, max: 2, noNaN: true }),
        fc.double({ min: 0, max: 0.2, noNaN: true }),
        (width, deep, roll, overlap) => {
          const cut = cutFromRoll({ width, depth: deep }, roll, overlap);
          const across = cut.along === 'width' ? deep : width;
          const covered = cut.strips * cut.stripBreadth - (cut.strips - 1) * overlap;
          return (
            cut.stripBreadth <= roll + 1e-9 &&
            Math.abs(covered - across) < 1e-9 &&
            cut.waste >= -1e-9 &&
            cut.waste < 1
          );
        },
      ),
    );
  });
  it('sheets, by hand: 0.9 × 0.45 from 0.6 × 0.6 takes two; from 1.2 × 0.6 one', () => {
    expect(sheetsFor({ width: 0.9, depth: 0.45 }, { width: 0.6, length: 0.6 })).toBe(2);
    expect(sheetsFor({ width: 0.9, depth: 0.45 }, { width: 1.2, length: 0.6 })).toBe(1);
  });
});

describe('whole packs', () => {
  const packs = (...sizes: [litres: number, price: number][]): VolumePack[] =>
    sizes.map(([litres, price]) => ({
      id: `${litres}`,
      form: 'bag',
      volume: litres / 1000,
      price: { value: price, basis: 'estimated' },
    }));

  it('by hand: 12 L from 5 L at 5 and 10 L at 8 is one of each', () => {
    const choice = choosePacks(0.012, packs([5, 5], [10, 8]));
    expect(choice.packs.map((it) => [it.pack.id, it.count])).toEqual([
      ['10', 1],
      ['5', 1],
    ]);
    expect(choice.price).toBe(13);
    expect(choice.leftOver * 1000).toBeCloseTo(3, 9);
  });
  it('of two equally dear choices the one with less left over; nothing is bought for nothing', () => {
    expect(choosePacks(0.009, packs([5, 5], [10, 10], [12, 10])).volume * 1000).toBeCloseTo(10, 9);
    expect(choosePacks(0, packs([5, 5]))).toMatchObject({ packs: [], price: 0 });
    expect(() => choosePacks(0.01, [])).toThrow(RangeError);
  });
  it('is as cheap as trying every count', () => {
    const offer = fc.tuple(fc.integer({ min: 1, max: 12 }), fc.integer({ min: 1, max: 20 }));
    fc.assert(
      fc.property(
        fc.array(offer, { minLength: 1, maxLength: 3 }),
        fc.integer({ min: 1, max: 40 }),
        (offers, need) => {
          const rows = packs(...offers);
          let best = Infinity;
          const all = (at: number, volume: number, price: number): void => {
            if (volume >= need) best = Math.min(best, price);
            else if (at < offers.length) {
              const [size, cost] = offers[at]!;
              for (let count = 0; count <= Math.ceil(need / size); count += 1)
                all(at + 1, volume + count * size, price + count * cost);
            }
          };
          all(0, 0, 0);
          const choice = choosePacks(need / 1000, rows);
          return Math.abs(choice.price - best) < 1e-9 && choice.volume * 1000 >= need - 1e-9;
        },
      ),
    );
  });
});

describe('the enclosure', () => {
  const box: Enclosure = {
    build: 'box',
    width: 0.6,
    depth: 0.45,
    height: 0.6,
    stands: 'upright',
    screened: [],
    panels: [],
    material: 'glass',
    wallThickness: 0.005,
    top: 'open',
    topCover: 0,
    front: 'fixed',
    watertightHeight: 0.6,
    emptyMass: null,
    standRating: null,
    made: { doors: 'sliding', ventLow: 0, ventHigh: 0, bores: [], board: 'birch-plywood', seal: 'none' },
  };
  it('by hand: 5 mm glass, 60 × 45 × 60 cm without a lid', () => {
    // (2·(0.6 + 0.45)·0.6 + 0.6·0.45) m² · 0.005 m · 2500 kg/m³ (EN 572-1) = 1.53 · 12.5
    expect(emptyMass(box)).toEqual({ kg: expect.closeTo(19.125, 9), weighed: false });
    expect(emptyMass({ ...box, emptyMass: 21 })).toEqual({ kg: 21, weighed: true });
    expect(interiorVolume(box) * 1000).toBeCloseTo(162, 9);
  });
  it('a volume offers shapes that hold it, flat ones and tall ones', () => {
    const shapes = shapesOf(10 * UNITS.gal.factor);
    for (const it of shapes)
      expect((it.width * it.depth * it.height) / (10 * UNITS.gal.factor)).toBeCloseTo(1, 1);
    expect(shapes.some((it) => it.height > it.width)).toBe(true);
    expect(shapes.some((it) => it.width > 1.5 * it.height)).toBe(true);
  });
});
