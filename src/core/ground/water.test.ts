import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { demoDesigns } from '@/catalogue/demo';
import { assess } from '../assess';
import type { RetentionCurve } from '../catalogue';
import type { Mix } from '../document';
import { applyEdit, mixOfRecipe } from '../edits';
import {
  airlessHeight,
  airlessZone,
  blendOf,
  blendToo,
  conductivityAt,
  drainedAt,
  drainedMeans,
  heldAt,
  LEAST_AIR,
  type Blend,
} from './water';

/** Carsel & Parrish 1988, Water Resour. Res. 24: 755, means of each texture; α in 1/cm. */
const SAND: RetentionCurve = { residual: 0.045, saturated: 0.43, alpha: 0.145, n: 2.68 };
const SANDY_LOAM: RetentionCurve = { residual: 0.065, saturated: 0.41, alpha: 0.075, n: 1.89 };
const LOAM: RetentionCurve = { residual: 0.078, saturated: 0.43, alpha: 0.036, n: 1.56 };
const blend = (curve: RetentionCurve): Blend => ({
  porosity: curve.saturated,
  held: (suction) => heldAt(curve, suction),
});

const curve = fc.record({
  residual: fc.double({ min: 0, max: 0.3, noNaN: true }),
  saturated: fc.double({ min: 0.35, max: 0.95, noNaN: true }),
  alpha: fc.double({ min: 0.005, max: 5, noNaN: true }),
  n: fc.double({ min: 1.05, max: 4, noNaN: true }),
});

describe('retention, van Genuchten 1980', () => {
  it.each([
    ['sand', SAND, 10, 0.2143],
    ['sand', SAND, 100, 0.0493],
    ['loam', LOAM, 10, 0.4074],
    ['loam', LOAM, 100, 0.2421],
    ['sandy loam', SANDY_LOAM, 10, 0.3431],
    ['sandy loam', SANDY_LOAM, 100, 0.1218],
  ])('%s of Carsel & Parrish 1988 at %#', (_, soil, suction, water) => {
    expect(heldAt(soil, suction)).toBeCloseTo(water, 4);
  });

  it('closed form: at αh = 1 it is θr + (θs − θr)·2^(−m), exactly; at no suction saturated', () => {
    fc.assert(
      fc.property(curve, (it) => {
        const m = 1 - 1 / it.n;
        const exact = it.residual + (it.saturated - it.residual) * 2 ** -m;
        return (
          Math.abs(heldAt(it, 1 / it.alpha) - exact) < 1e-12 && Math.abs(heldAt(it, 0) - it.saturated) < 1e-12
        );
      }),
    );
  });

  it('more suction never holds more; conductivity falls with it from the saturated one', () => {
    fc.assert(
      fc.property(
        curve,
        fc.double({ min: 0, max: 200, noNaN: true }),
        fc.double({ min: 0, max: 200, noNaN: true }),
        (it, a, b) => {
          const [low, high] = [Math.min(a, b), Math.max(a, b)];
          return (
            heldAt(it, high) <= heldAt(it, low) + 1e-12 &&
            conductivityAt(it, 10, high) <= conductivityAt(it, 10, low) + 1e-9
          );
        },
      ),
    );
    // Ks of sand, 712.8 cm/day, from the same table.
    expect(conductivityAt(SAND, 712.8, 0)).toBeCloseTo(712.8, 9);
  });
});

describe('drained over an open bed', () => {
  it('mean of 15 cm: sand 0.2865, with 0.1435 of air; loam 0.4136, with 0.0164', () => {
    const sand = drainedMeans([{ blend: blend(SAND), thickness: 0.15 }]);
    expect(sand.capacity).toBeCloseTo(0.2865, 4);
    expect(sand.air).toBeCloseTo(0.1435, 4);
    const loam = drainedMeans([{ blend: blend(LOAM), thickness: 0.15 }]);
    expect(loam.capacity).toBeCloseTo(0.4136, 4);
    expect(loam.air).toBeCloseTo(0.0164, 4);
  });

  it('by the other published table (Schaap et al. 2001, class means): 25.7 cm in sand, 60 in sandy loam, 144 in loam', () => {
    // As a reviewer worked them out, by the same formula; looked for up to a metre, deeper is no enclosure.
    for (const [id, here, there] of [
      ['washed-sand', 0.058, 0.257],
      ['loamy-sand', 0.074, 0.328],
      ['topsoil', 0.139, 0.6],
      ['loam', 0.366, 1.44],
    ] as const) {
      const mix = {
        recipe: null,
        parts: [{ material: id, parts: 1 }],
        packingLoss: 0,
        water: 0.2,
      } as unknown as Mix;
      expect(airlessHeight(blendOf(mix, catalogue)!), id).toBeCloseTo(here, 2);
      expect(Math.abs(airlessHeight(blendToo(mix, catalogue)!) / Math.min(1, there) - 1), id).toBeLessThan(
        0.02,
      );
    }
    const coir = { recipe: null, parts: [{ material: 'coir', parts: 1 }], packingLoss: 0 } as unknown as Mix;
    expect(blendToo(coir, catalogue)).toBeUndefined();
  });

  it('airless height: 5.8 cm in sand, 13.8 in sandy loam, 36.6 in loam, whatever the depth', () => {
    expect(airlessHeight(blend(SAND)) * 100).toBeCloseTo(5.8, 1);
    expect(airlessHeight(blend(SANDY_LOAM)) * 100).toBeCloseTo(13.8, 1);
    expect(airlessHeight(blend(LOAM)) * 100).toBeCloseTo(36.6, 1);
    for (const depth of [0.1, 0.2, 0.4])
      expect(airlessZone([{ blend: blend(SAND), thickness: depth }])).toBeCloseTo(0.058, 3);
    // Shallower than its airless height, it is airless all through.
    expect(airlessZone([{ blend: blend(LOAM), thickness: 0.1 }])).toBe(0.1);
  });

  it('more depth never means less air at the top', () => {
    const depth = fc.double({ min: 0.01, max: 0.5, noNaN: true });
    fc.assert(
      fc.property(curve, depth, depth, (it, a, b) => {
        const top = (thickness: number): number =>
          drainedAt([{ blend: blend(it), thickness }], thickness)!.air;
        return top(Math.max(a, b)) >= top(Math.min(a, b)) - 1e-12;
      }),
    );
  });

  it('a coarse layer under a fine one helps, a fine one under a coarse one does not', () => {
    const [coarse, fine] = ['chunky-epiphyte', 'plain-base'].map((id) =>
      blendOf(mixOfRecipe(id, catalogue), catalogue)!,
    );
    const zone = (...blends: Blend[]): number =>
      airlessZone(blends.map((it) => ({ blend: it, thickness: 0.1 })));
    expect(zone(coarse!, fine!)).toBeLessThan(0.02);
    expect(zone(fine!, coarse!)).toBeGreaterThan(0.05);
  });

  it('water kept over the underside of the soil lifts the airless zone with it', () => {
    const design = demoDesigns(catalogue)[1]!;
    const drowned = applyEdit(design, { edit: 'setWaterDepth', change: { depth: 0.16 } }, catalogue);
    const dry = assess(design, catalogue).moisture!;
    const wet = assess(drowned, catalogue).moisture!;
    expect(wet.datum).toBeCloseTo(0.16, 12);
    expect(wet.column[5]!.water).toBeGreaterThan(dry.column[5]!.water);
  });
});

describe('blends', () => {
  it('half sand, half loam: θ is the mean of the two at every suction, α and n are not', () => {
    const mix = {
      recipe: null,
      parts: [
        { material: 'washed-sand', parts: 0.85 },
        { material: 'topsoil', parts: 0.95 },
      ],
      packingLoss: 0,
    };
    // 0.85·(1 − 0.05) and 0.95·(1 − 0.15) settle to equal volumes.
    for (const suction of [2, 10, 50]) {
      expect(blendOf(mix, catalogue)!.held(suction)).toBeCloseTo(
        (heldAt(SAND, suction) + heldAt(SANDY_LOAM, suction)) / 2,
        12,
      );
    }
  });

  it('by hand: a packing loss of a tenth takes a tenth of the volume out of the pores', () => {
    const mix = { recipe: null, parts: [{ material: 'washed-sand', parts: 1 }], packingLoss: 0.1 };
    // 1 − (1 − 0.43)/0.9 = 0.36667
    expect(blendOf(mix, catalogue)!.porosity).toBeCloseTo(0.366667, 6);
  });

  it('stay between their parts, but for the declared packing loss', () => {
    const soils = catalogue.materials.filter((row) => row.roles.includes('mix')).map((row) => row.id);
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.constantFrom(...soils), { minLength: 2, maxLength: 5 }),
        fc.double({ min: 0.5, max: 100, noNaN: true }),
        (ids, suction) => {
          const mix = {
            recipe: null,
            parts: ids.map((material, index) => ({ material, parts: index + 1 })),
            packingLoss: 0,
          };
          const held = ids.map((id) =>
            heldAt(catalogue.materials.find((row) => row.id === id)!.retention!.value, suction),
          );
          const mean = blendOf(mix, catalogue)!.held(suction);
          return mean >= Math.min(...held) - 1e-9 && mean <= Math.max(...held) + 1e-9;
        },
      ),
    );
  });

  it('a blend with a material that has no curve has none', () => {
    expect(
      blendOf({ recipe: null, parts: [{ material: 'unheard-of', parts: 1 }], packingLoss: 0 }, catalogue),
    ).toBeUndefined();
  });
});

describe('the fitted curves', () => {
  const { suctions, materials } = JSON.parse(readFileSync('data/retention-points.json', 'utf8')) as {
    suctions: number[];
    materials: Record<string, { porosity: number; held: number[] }>;
  };
  it.each(Object.keys(materials))('%s stays within 0.015 of the points it was fitted to', (id) => {
    const row = catalogue.materials.find((it) => it.id === id)!;
    expect(row.retention!.basis).toBe('estimated');
    suctions.forEach((suction, index) => {
      expect(Math.abs(heldAt(row.retention!.value, suction) - materials[id]!.held[index]!)).toBeLessThan(
        0.015,
      );
    });
    expect(row.retention!.value.saturated).toBe(materials[id]!.porosity);
  });
  it('everything soil is mixed from has a curve, and one published where a source gives it', () => {
    for (const row of catalogue.materials)
      if (row.roles.includes('mix')) expect(row.retention, row.name).toBeDefined();
    expect(catalogue.materials.find((row) => row.id === 'washed-sand')!.retention).toEqual({
      value: SAND,
      basis: 'published',
      source: 'carsel-parrish-1988',
    });
  });
});

describe('shipped mixes in a porometer 7.6 cm tall', () => {
  // Ranges of the Southern Nursery Association's Best Management Practices guide (Yeager et al.) for container media:
  // air-filled porosity 0.10–0.30, container capacity 0.45–0.65, total porosity 0.50–0.85.
  it.each(catalogue.recipes.filter((it) => it.family === 'wet').map((it) => it.id))(
    '%s, made to stand over water, holds air and water as a container medium does',
    (id) => {
      const means = drainedMeans([
        { blend: blendOf(mixOfRecipe(id, catalogue), catalogue)!, thickness: 0.076 },
      ]);
      expect(means.air).toBeGreaterThan(LEAST_AIR);
      expect(means.air).toBeLessThan(0.35);
      expect(means.capacity).toBeGreaterThan(0.45);
      expect(means.capacity).toBeLessThan(0.65);
      expect(means.porosity).toBeLessThan(0.87);
    },
  );
});

describe('shipped mixes beside the ideal substrate', () => {
  // de Boodt & Verdonck 1972, Acta Hortic. 26: 37: total porosity 0.85, air 0.20 to 0.30 at 10 cm of suction, easily
  // available water (between 10 and 50 cm) 0.20 to 0.30. It is meant for pots that are watered daily: ground that is misted
  // for years over an open bed is built more open on purpose, so it holds more air and less water than that.
  const at = (id: string) => {
    const blend = blendOf(mixOfRecipe(id, catalogue), catalogue)!;
    return {
      porosity: blend.porosity,
      air: blend.porosity - blend.held(10),
      easy: blend.held(10) - blend.held(50),
    };
  };
  const of = (family: string) => catalogue.recipes.filter((it) => it.family === family).map((it) => it.id);

  it.each(of('wet'))('%s: as many pores, at least as much air, and water left for roots', (id) => {
    const { porosity, air, easy } = at(id);
    expect(porosity).toBeGreaterThan(0.8);
    expect(porosity).toBeLessThan(0.88);
    expect(air).toBeGreaterThanOrEqual(0.2);
    expect(air).toBeLessThan(0.5);
    expect(easy).toBeGreaterThan(0.08);
    expect(easy).toBeLessThan(0.3);
  });

  it('middling mixes lie nearer to it, and dry ground is no pot soil at all', () => {
    for (const id of ['coir-bark-leaf', 'forest-floor']) {
      expect(at(id).air).toBeGreaterThan(0.15);
      expect(at(id).easy).toBeGreaterThan(0.2);
    }
    for (const id of ['soil-sand-clay', 'granite-wash', 'sand-and-clay'])
      expect(at(id).air).toBeLessThan(0.1);
  });
});
