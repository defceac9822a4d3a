import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { calibrate, UnfitRecord, type Fit } from '@/core/calibration';
import { CASES, inputOf } from './calibrationCases';

/**
 * Records of an independent generator (two zones, a film of water, walls and vents by coefficients of its own), built other
 * than its drawing says. Its figures stand in docs/testing.md.
 */
const fits: readonly { readonly name: string; readonly fit: Fit }[] = CASES.map((it, i) => ({
  name: it.name,
  fit: calibrate(inputOf(it, 100 + i), catalogue),
}));
const line = ({ name, fit }: (typeof fits)[number]): string =>
  `${name}: ${fit.leftOf.map((it) => `${it.temperature?.toFixed(2)} K ${((it.humidity ?? 0) * 100).toFixed(1)} %`).join(', ')}; ${Object.entries(
    fit.factors,
  )
    .map(([factor, value]) => `${factor} ${value.toFixed(2)}`)
    .join(' ')}`;
const words = fits.map(line).join('\n');

describe('ten enclosures of another make, calibrated by two probes', () => {
  it('on the last days, which were not used, both probes are within 1 K in at least eight of ten', () => {
    const near = fits.filter(({ fit }) => fit.leftOf.every((it) => (it.temperature ?? 9) <= 1));
    expect(near.length, words).toBeGreaterThanOrEqual(8);
    expect(Math.max(...fits.flatMap(({ fit }) => fit.leftOf.map((it) => it.temperature ?? 9)))).toBeLessThan(
      1.2,
    );
  });
  it('and within 10 points of humidity in all, where they were off by up to 43 before', () => {
    const left = fits.flatMap(({ fit }) => fit.leftOf.map((it) => it.humidity ?? 1));
    expect(Math.max(...left), words).toBeLessThan(0.1);
    expect(left.reduce((sum, it) => sum + it, 0) / left.length, words).toBeLessThan(0.062);
    expect(Math.max(...fits.map(({ fit }) => fit.before.humidity ?? 0))).toBeGreaterThan(0.3);
  });
  it('of each it says in which direction its leak is other than drawn', () => {
    const exchange = (name: RegExp): readonly number[] =>
      fits.filter((it) => name.test(it.name)).map(({ fit }) => fit.factors.exchange);
    expect(Math.max(...exchange(/half the leak/)), words).toBeLessThan(
      Math.min(...exchange(/twice the leak/)),
    );
  });
  it('at least three and a half days judge each, and clocks that go right are left alone', () => {
    for (const { name, fit } of fits) {
      expect(fit.heldDays, name).toBeGreaterThan(3.5);
      expect(fit.clock, name).toBe(0);
    }
  });
});

describe('a file of another enclosure', () => {
  const BOXES = [0, 2, 4, 7].map((i) => CASES[i]).filter((it) => it !== undefined);
  it('is refused in at least nine of twelve, and never passes for one that is read well', () => {
    const told = BOXES.flatMap((a, i) =>
      BOXES.flatMap((b, k) => {
        if (i === k) return [];
        const read = inputOf({ ...a, change: () => ({}), days: 6 }, 200 + i);
        const own = inputOf({ ...b, change: () => ({}), days: 6 }, 200 + k);
        try {
          const fit = calibrate({ ...read, design: own.design }, catalogue);
          return [{ name: `${a.name} as ${b.name}`, left: fit.left.humidity ?? 0, refused: false }];
        } catch (error) {
          expect(error).toBeInstanceOf(UnfitRecord);
          return [{ name: `${a.name} as ${b.name}`, left: 1, refused: true }];
        }
      }),
    );
    expect(told).toHaveLength(12);
    expect(told.filter((it) => it.refused).length, JSON.stringify(told)).toBeGreaterThanOrEqual(9);
    for (const it of told) expect(it.left, it.name).toBeGreaterThan(0.04);
  });
});
