import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import {
  contentAt,
  emptyWater,
  fluxBetween,
  hydraulicsOf,
  makeHydraulics,
  readWater,
  type Flux,
  type Hydraulics,
} from './hydraulics';
import { blendOf, conductivityAt, heldAt, type Blend } from './water';
import { DAY } from '../physics/constants';

/** Carsel & Parrish 1988, Water Resour. Res. 24: 755; α 1/cm, Ks cm/day. */
const SOILS = {
  sand: { residual: 0.045, saturated: 0.43, alpha: 0.145, n: 2.68, ks: 712.8, from: 8, to: 40 },
  'sandy loam': { residual: 0.065, saturated: 0.41, alpha: 0.075, n: 1.89, ks: 106.1, from: 10, to: 300 },
  loam: { residual: 0.078, saturated: 0.43, alpha: 0.036, n: 1.56, ks: 24.96, from: 30, to: 1000 },
} as const;
const perDay = 0.01 / DAY;
const blend = (it: (typeof SOILS)[keyof typeof SOILS]): Blend => ({
  porosity: it.saturated,
  held: (suction) => heldAt(it, suction),
});
const flux: Flux = { rate: 0, byUpper: 0, byLower: 0 };

/**
 * A soil of Gardner 1958 (Soil Sci. 85: 228): K = Ks·e^(−a·h), and θ alike, so that closed forms exist: Φ = K/a.
 */
const [KS, A, DRY, WET] = [1e-5, 5, 0.05, 0.45];
function gardner(): Hydraulics {
  const count = 4000;
  const share = (i: number): number => Math.max(1e-9, i / (count - 1));
  const of = (by: (part: number) => number): Float64Array =>
    Float64Array.from({ length: count }, (_, i) => by(share(i)));
  return {
    porosity: WET,
    residual: DRY,
    saturated: KS,
    first: DRY,
    perStep: (count - 1) / (WET - DRY),
    last: count - 1,
    suction: of((part) => -Math.log(part) / A),
    conductivity: of((part) => KS * part),
    potential: of((part) => (KS * part) / A),
    humidity: of(() => 1),
    bySuction: { first: 0, perStep: 1, values: new Float64Array(2) },
  };
}
const node = (soil: Hydraulics, theta: number, half: number) => {
  const water = emptyWater();
  readWater(soil, theta, water);
  return { soil, water, half };
};

describe('how soil holds and passes water', () => {
  it.each(Object.entries(SOILS))(
    '%s: Mualem’s conductivity from its curve is the closed form of van Genuchten 1980, eq. 8',
    (_, it) => {
      const soil = makeHydraulics(blend(it), it.ks * perDay);
      // Between the last pores, which are taken to empty evenly, and what is all but dry.
      for (let suction = it.from; suction <= it.to; suction *= 1.5) {
        const theta = heldAt(it, suction);
        const own = node(soil, theta, 0.01).water;
        expect((own.suction * 100) / suction).toBeCloseTo(1, 1);
        expect(own.conductivity / (conductivityAt(it, it.ks, suction) * perDay)).toBeGreaterThan(0.85);
        expect(own.conductivity / (conductivityAt(it, it.ks, suction) * perDay)).toBeLessThan(1.15);
      }
    },
  );

  it('content and suction are one curve, full soil presses, and dry soil passes nothing', () => {
    const mix = catalogue.recipes[0]!;
    const soil = hydraulicsOf(
      blendOf({ parts: mix.parts, packingLoss: mix.packingLoss.value } as never, catalogue) ??
        blend(SOILS.loam),
    );
    for (const suction of [0.02, 0.1, 0.5, 2, 20]) {
      const { water } = node(soil, contentAt(soil, suction), 0.01);
      expect(water.suction / suction).toBeCloseTo(1, 2);
    }
    expect(node(soil, soil.porosity + 0.02, 0.01).water.suction).toBeLessThan(0);
    expect(node(soil, soil.residual, 0.01).water.conductivity).toBe(0);
  });

  it('at rest over water, suction equals height and nothing moves', () => {
    const soil = makeHydraulics(blend(SOILS.loam));
    const at = (height: number) => node(soil, contentAt(soil, height), 0.02);
    fluxBetween(at(0.14), at(0.1), flux);
    expect(Math.abs(flux.rate) / at(0.1).water.conductivity).toBeLessThan(0.02);
  });

  it('between two soils nothing bends at rest: the slope just over it is the slope just under it, and as it is told', () => {
    const [fine, coarse] = [makeHydraulics(blend(SOILS.loam)), makeHydraulics(blend(SOILS.sand))];
    // Gravity is held where the upper soil sucks harder by the way between the two middles.
    const upper = (lift: number) => node(fine, contentAt(fine, 0.2 + 0.04 + lift), 0.02);
    const lower = node(coarse, contentAt(coarse, 0.2), 0.02);
    const rate = (lift: number): number => {
      fluxBetween(upper(lift), lower, flux);
      return flux.rate;
    };
    const slopes = [-4e-5, 4e-5].map((at) => (rate(at + 2e-5) - rate(at - 2e-5)) / 4e-5);
    expect(slopes[0]).toBeLessThan(0);
    expect(slopes[1]! / slopes[0]!).toBeGreaterThan(0.8);
    expect(slopes[1]! / slopes[0]!).toBeLessThan(1.25);
    const theta = contentAt(fine, 0.24);
    const more = 1e-7;
    fluxBetween(node(fine, theta + more, 0.02), lower, flux);
    const above = flux.rate;
    fluxBetween(node(fine, theta - more, 0.02), lower, flux);
    const slope = (above - flux.rate) / (2 * more);
    fluxBetween(node(fine, theta, 0.02), lower, flux);
    expect(flux.byUpper / slope).toBeCloseTo(1, 2);
  });

  it.each([4, 20])(
    'steady rise from a water table, %i nodes: Gardner 1958, E = Ks/(e^(aL) − 1) at a dry top, within 5 %% (10 with four)',
    (count) => {
      const soil = gardner();
      const [long, each] = [0.4, 0.4 / count];
      // Upwards from the table: the flux each pair must pass gives the next node's content.
      const rises = (rate: number): boolean => {
        let below = { soil, water: emptyWater(), half: 0 };
        readWater(soil, WET, below.water);
        for (let i = 0; i < count; i += 1) {
          let [dry, wet] = [DRY, WET];
          const half = each / 2;
          const passes = (theta: number): number => {
            fluxBetween(node(soil, theta, half), { ...below, half: i === 0 ? 0 : half }, flux);
            return -flux.rate;
          };
          if (passes(DRY) < rate) return false;
          for (let k = 0; k < 60; k += 1) {
            const middle = (dry + wet) / 2;
            if (passes(middle) > rate) dry = middle;
            else wet = middle;
          }
          below = { ...node(soil, (dry + wet) / 2, half), half };
        }
        // And the half node from the topmost middle to the dry face.
        fluxBetween({ ...node(soil, DRY, 0), half: 0 }, { ...below, half: each / 2 }, flux);
        return -flux.rate >= rate;
      };
      let [low, high] = [0, KS];
      for (let k = 0; k < 50; k += 1) {
        const middle = (low + high) / 2;
        if (rises(middle)) low = middle;
        else high = middle;
      }
      const exact = KS / (Math.exp(A * long) - 1);
      expect(low / exact).toBeGreaterThan(count === 4 ? 0.9 : 0.95);
      expect(low / exact).toBeLessThan(count === 4 ? 1.1 : 1.05);
    },
  );

  it('infiltration into dry soil: Philip 1957 (Soil Sci. 83: 345), I = S·√t + ½·ΔK·t, within 5 %', () => {
    // A soil of even diffusivity D = Ks/(a·Δθ) has S = 2·Δθ·√(D/π).
    const soil = gardner();
    const count = 120;
    const each = 0.003;
    const theta = new Float64Array(count).fill(DRY + 1e-6);
    const top = { ...node(soil, WET, 0), half: 0 };
    const [dt, until] = [0.25, 900];
    let taken = 0;
    const nodes = Array.from({ length: count }, () => ({ soil, water: emptyWater(), half: each / 2 }));
    for (let t = 0; t < until; t += dt) {
      nodes.forEach((it, i) => readWater(soil, theta[i]!, it.water));
      let above = 0;
      fluxBetween(top, nodes[0]!, flux);
      above = flux.rate;
      taken += above * dt;
      for (let i = 0; i < count; i += 1) {
        let below = 0;
        if (i + 1 < count) {
          fluxBetween(nodes[i]!, nodes[i + 1]!, flux);
          below = flux.rate;
        }
        theta[i]! += ((above - below) * dt) / each;
        above = below;
      }
    }
    const range = WET - DRY;
    const diffusivity = KS / (A * range);
    const exact = 2 * range * Math.sqrt((diffusivity * until) / Math.PI) + 0.5 * KS * until;
    expect(taken / exact).toBeGreaterThan(0.95);
    expect(taken / exact).toBeLessThan(1.05);
  });

  it('a coarse layer under a fine one stays dry until the fine one is nearly full (the capillary barrier)', () => {
    const [fine, coarse] = [makeHydraulics(blend(SOILS.loam)), makeHydraulics(blend(SOILS.sand))];
    fluxBetween(node(fine, heldAt(SOILS.loam, 60), 0.02), node(coarse, heldAt(SOILS.sand, 100), 0.02), flux);
    const barred = flux.rate;
    fluxBetween(node(fine, heldAt(SOILS.loam, 5), 0.02), node(coarse, heldAt(SOILS.sand, 100), 0.02), flux);
    expect(flux.rate).toBeGreaterThan(100 * barred);
  });
});
