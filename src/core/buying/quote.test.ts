import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { demoDesigns } from '@/catalogue/demo';
import { assess } from '../assess';
import { buyingOf } from './buying';
import { quoteOf, type Terms } from './quote';

const TERMS: Terms = { rate: 40, margin: 0.2, tax: { name: 'VAT', share: 0.19 }, roundTo: 5 };

describe('what a job is charged at', () => {
  it('of one: goods, box, hours, a margin on all of it, rounded up, then the tax', () => {
    // 120 + 90 + 6.5 h × 40 = 470; + 20 % = 564; up to 565; 19 % of it is 107.35.
    expect(quoteOf({ count: 1, goods: 120, box: 90, minutes: 390 }, TERMS)).toEqual({
      goods: 120,
      boxes: 90,
      hours: 6.5,
      work: 260,
      margin: expect.closeTo(94, 9),
      rounding: expect.closeTo(1, 9),
      each: 565,
      net: 565,
      tax: 107.35,
      total: 672.35,
    });
  });
  it('of five the goods are those of all, the rest five times; each has the same price', () => {
    const quote = quoteOf({ count: 5, goods: 480, box: 90, minutes: 390 }, TERMS);
    // (480 + 450 + 1300) × 1.2 / 5 = 535.2, up to 540.
    expect(quote).toMatchObject({ each: 540, net: 2700, tax: 513, total: 3213, hours: 32.5 });
  });
  it('a price that is a multiple already stays; without rounding it is to the hundredth', () => {
    const plain: Terms = { rate: 0, margin: 0, tax: null, roundTo: 0 };
    expect(quoteOf({ count: 3, goods: 100, box: 0, minutes: 0 }, plain)).toMatchObject({
      each: 33.33,
      net: 99.99,
      tax: 0,
      total: 99.99,
    });
    expect(quoteOf({ count: 1, goods: 0.1 + 0.2, box: 0, minutes: 0 }, { ...plain, roundTo: 0.1 }).each).toBe(
      0.3,
    );
  });
  it('its lines come to its sum, whatever the terms', () => {
    const share = fc.double({ min: 0, max: 3, noNaN: true });
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 50 }),
        fc.double({ min: 0, max: 5000, noNaN: true }),
        fc.integer({ min: 0, max: 6000 }),
        share,
        share,
        fc.constantFrom(0, 0.5, 1, 5, 10),
        (count, goods, minutes, margin, taxed, roundTo) => {
          const terms: Terms = { rate: 37.5, margin, tax: { name: 'x', share: taxed }, roundTo };
          const told = quoteOf({ count, goods, box: 12, minutes }, terms);
          const { boxes, work, margin: put, rounding } = told;
          expect(told.goods + boxes + work + put + rounding).toBeCloseTo(told.net, 6);
          expect(told.net).toBeCloseTo(told.each * count, 6);
          expect(told.total).toBeCloseTo(told.net + told.tax, 6);
          // Rounded up by less than one step of each; without one to the hundredth.
          const step = roundTo > 0 ? roundTo : 0.01;
          expect(rounding).toBeLessThan(count * step + 1e-6);
          if (roundTo > 0) expect(rounding).toBeGreaterThan(-0.01 * count);
        },
      ),
      { seed: 26 },
    );
  });
});

describe('goods for several of one design', () => {
  it.each(demoDesigns(catalogue).map((it) => [it.name, it] as const))(
    '%s: five need five times of everything, and cost no more than five bought one by one',
    (_, design) => {
      const build = { design, assessment: assess(design, catalogue) };
      const needed = (count: number): ReadonlyMap<string, number> => {
        const all = new Map<string, number>();
        for (const row of buyingOf(
          Array.from({ length: count }, () => build),
          catalogue,
          {},
          0.1,
        ).rows)
          if (row.measure !== 'roll') all.set(row.key, (all.get(row.key) ?? 0) + row.needed);
        return all;
      };
      const [one, five] = [needed(1), needed(5)];
      expect([...five.keys()].sort()).toEqual([...one.keys()].sort());
      for (const [key, amount] of one) {
        const all = five.get(key)!;
        // One bought plant is divided into several: of five enclosures it may take fewer than five.
        if (key.startsWith('plant:')) {
          expect(all, key).toBeGreaterThanOrEqual(amount);
          expect(all, key).toBeLessThanOrEqual(5 * amount);
        } else expect(all, key).toBeCloseTo(5 * amount, 6);
      }
      const price = (count: number) =>
        buyingOf(
          Array.from({ length: count }, () => build),
          catalogue,
          {},
          0.1,
        ).price;
      expect(price(5)).toBeLessThanOrEqual(5 * price(1) + 1e-6);
      expect(price(5)).toBeGreaterThan(2 * price(1));
    },
  );
});
