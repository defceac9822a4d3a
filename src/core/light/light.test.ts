import fc from 'fast-check';
import { getTimes } from 'suncalc';
import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import {
  dailyLight,
  dayLength,
  fieldOf,
  LUX_PER_PPFD,
  ppfdFrom,
  seenFrom,
  sunAt,
  tubeAt,
  tubeRatio,
  underLeaves,
  UV_ZONES,
  uvFrom,
  type Lamp,
} from '.';

const lamp = (told: Partial<Lamp> = {}): Lamp => ({
  id: 'lamp',
  form: 'tube',
  x: 0.5,
  y: 0.25,
  z: 0.6,
  length: 0.55,
  along: 'x',
  half: 0.3,
  uvIndex: 3,
  reference: 0.3,
  lumens: 1000,
  light: 'fluorescent',
  radiant: 20,
  passes: { uv: 1, light: 1, heat: 1 },
  ...told,
});

describe('UV of a tube', () => {
  // Keitz’ relation in the mid-plane, worked from the formula of lamp-measuring protocols.
  it.each([
    [0.55, 0.3, 0.2, 0.5831],
    [0.55, 0.45, 0.15, 0.222],
    [0.85, 0.4, 0.3, 0.6909],
  ])('%f m long: at %f m against %f m it is %f', (length, at, than, ratio) => {
    expect(tubeRatio(length, at, than)).toBeCloseTo(ratio, 4);
  });
  it('far away it falls with the square', () => {
    expect(tubeRatio(0.55, 20, 10)).toBeCloseTo(0.25, 3);
  });
  it('is what many small pieces of it give together', () => {
    // Each piece as a Lambert strip: cos²θ/r² of its length; the closed form is twice that integral.
    const [length, along, off] = [0.6, 0.1, 0.25];
    let sum = 0;
    const n = 4000;
    for (let i = 0; i < n; i += 1) {
      const s = -length / 2 + ((i + 0.5) * length) / n - along;
      const r2 = s * s + off * off;
      sum += ((off * off) / r2 / r2) * (length / n);
    }
    expect(tubeAt(length, along, off)).toBeCloseTo(2 * sum, 5);
  });
  it('under its middle at the reference distance it is its index; aside a level receiver gets less', () => {
    const tube = lamp();
    expect(uvFrom(tube, 0.5, 0.25, 0.3)).toBeCloseTo(3, 9);
    expect(uvFrom(tube, 0.5, 0.45, 0.3)).toBeLessThan(3 * tubeRatio(0.55, Math.hypot(0.3, 0.2), 0.3));
    expect(uvFrom(tube, 0.5, 0.25, 0.7)).toBe(0);
  });
  it('a compact lamp falls with the square of the distance', () => {
    const bulb = lamp({ form: 'bulb' });
    expect(uvFrom(bulb, 0.5, 0.25, 0)).toBeCloseTo(3 / 4, 9);
  });
  it('zones as published, for every animal that carries one (Ferguson 2010, Baines 2016)', () => {
    expect(UV_ZONES[1]).toEqual({ mean: [0, 0.7], maximum: [0.6, 1.4] });
    expect(UV_ZONES[2]).toEqual({ mean: [0.7, 1.0], maximum: [1.1, 3.0] });
    expect(UV_ZONES[3]).toEqual({ mean: [1.0, 2.6], maximum: [2.9, 7.4] });
    expect(UV_ZONES[4]).toEqual({ mean: [2.6, 3.5], maximum: [4.5, 9.5] });
    for (const animal of catalogue.animals)
      expect(UV_ZONES).toHaveProperty(String(animal.climate.uvZone.value));
  });
});

describe('plant light', () => {
  it('lux a µmol as published (Thimijan & Heins 1983)', () => {
    expect([LUX_PER_PPFD.sun, LUX_PER_PPFD.fluorescent, LUX_PER_PPFD.incandescent]).toEqual([54, 74, 50]);
  });
  it('100 µmol over 12 h are 4.32 mol; leaves of index 2 leave 37 % (Monsi & Saeki, k 0.5)', () => {
    expect(dailyLight(100, 12)).toBeCloseTo(4.32, 9);
    expect(underLeaves(2)).toBeCloseTo(Math.exp(-1), 12);
  });
  it('what a strip sends down is about its lumens', () => {
    // Over a wide plane half a metre under it: most of the lumens of a strip that shines downwards.
    const strip = lamp({ form: 'panel', lumens: 1000, x: 0, y: 0, z: 0.5 });
    let sum = 0;
    const step = 0.05;
    for (let x = -6; x < 6; x += step)
      for (let y = -6; y < 6; y += step) sum += ppfdFrom(strip, x, y, 0) * 74 * step * step;
    // Lambert: all of it, but for what flies beyond the plane.
    expect(sum / 1000).toBeGreaterThan(0.97);
    expect(sum / 1000).toBeLessThan(1.002);
  });
});

describe('the sun', () => {
  it('day length against the referee: 0.1 h to 50°, 0.15 h to 60°', () => {
    for (const latitude of [-60, -45, -20, 0, 15, 35, 50, 60]) {
      for (let day = 5; day <= 365; day += 15) {
        const date = new Date(Date.UTC(2025, 0, day, 12));
        const { sunrise, sunset } = getTimes(date, latitude, 0);
        const hours = (sunset!.getTime() - sunrise!.getTime()) / 3.6e6;
        const long = hours < 0 ? hours + 24 : hours;
        expect(Math.abs(dayLength(latitude, day) - long)).toBeLessThan(Math.abs(latitude) <= 50 ? 0.1 : 0.15);
      }
    }
  });
  it('stands highest at noon, in the south of the north', () => {
    const noon = sunAt(50, 172, 12);
    expect((noon.up * 180) / Math.PI).toBeCloseTo(63.4, 0);
    expect(noon.bearing).toBeCloseTo(Math.PI, 6);
    expect(sunAt(50, 172, 0).up).toBeLessThan(0);
  });
});

describe('fields', () => {
  const plane = { view: 'front', cut: 0.25, width: 1, height: 0.5 } as const;
  it('each cell is the sum of the lamps at its middle', () => {
    const lamps = [lamp(), lamp({ id: 'b', form: 'bulb', x: 0.2 })];
    const { values } = fieldOf('uv', lamps, plane, 10, 5);
    const at = { x: 0.35, z: 0.25 };
    expect(values[2 * 10 + 3]).toBeCloseTo(
      lamps.reduce((sum, it) => sum + uvFrom(it, at.x, 0.25, at.z), 0),
      5,
    );
  });
  it('property: nearer under a lamp never gives less, and nothing is negative', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('tube' as const, 'bulb' as const, 'panel' as const),
        fc.double({ min: 0.05, max: 0.5, noNaN: true }),
        fc.double({ min: 0.01, max: 0.2, noNaN: true }),
        (form, depth, less) => {
          const it = lamp({ form });
          const near = uvFrom(it, it.x, it.y, it.z - depth);
          const far = uvFrom(it, it.x, it.y, it.z - depth - less);
          expect(far).toBeGreaterThanOrEqual(0);
          expect(near).toBeGreaterThanOrEqual(far);
        },
      ),
    );
  });
  it('a slab under a bulb shades what lies under it, not what lies beside', () => {
    const slab = {
      bounds: { x0: 0.4, x1: 0.6, y0: 0.15, y1: 0.35, z0: 0.3, z1: 0.32 },
      reachAt: (x: number, y: number): readonly [number, number] | undefined =>
        x > 0.4 && x < 0.6 && y > 0.15 && y < 0.35 ? [0.3, 0.32] : undefined,
    };
    const bulb = lamp({ form: 'bulb' });
    expect(seenFrom(bulb, [slab], { x: 0.5, y: 0.25, z: 0.1 })).toBe(0);
    expect(seenFrom(bulb, [slab], { x: 0.95, y: 0.25, z: 0.1 })).toBe(1);
    const tube = seenFrom(lamp(), [slab], { x: 0.62, y: 0.25, z: 0.1 });
    expect(tube).toBeGreaterThan(0);
    expect(tube).toBeLessThan(1);
  });
});

describe('a field on a grid', () => {
  it('is at every cell what its lamps give at that point, whichever way they run', () => {
    const lamps = (['tube', 'bulb', 'panel'] as const).flatMap((form) =>
      (['x', 'y'] as const).map((along) => lamp({ form, along, uvIndex: form === 'panel' ? 0 : 3 })),
    );
    for (const view of ['front', 'side'] as const) {
      const plane = { view, cut: 0.22, width: 0.9, height: 0.5 } as const;
      for (const [name, at] of [
        ['uv', uvFrom],
        ['ppfd', ppfdFrom],
      ] as const) {
        const { values } = fieldOf(name, lamps, plane, 9, 5);
        values.forEach((value, i) => {
          const s = (((i % 9) + 0.5) * 0.9) / 9;
          const z = ((Math.floor(i / 9) + 0.5) * 0.5) / 5;
          const by = lamps.reduce(
            (sum, it) => sum + (view === 'front' ? at(it, s, 0.22, z) : at(it, 0.22, s, z)),
            0,
          );
          expect(value / by).toBeCloseTo(1, 5);
        });
      }
    }
  });
});
