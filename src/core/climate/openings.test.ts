import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { firstDesign } from '@/catalogue/testing';
import { findGauze } from '../catalogue';
import type { Design } from '../document';
import { exchangeOf } from './openings';
import { stackLaw } from './vents';

const base = firstDesign('pogona-vitticeps', 'middle');
const boxed = (
  change: Partial<Design['enclosure']>,
  made: Partial<Design['enclosure']['made']> = {},
): Design => ({
  ...base,
  climate: { ...base.climate, vents: [] },
  enclosure: {
    ...base.enclosure,
    width: 1.2,
    depth: 0.6,
    height: 0.6,
    material: 'timber',
    top: 'solid',
    front: 'doors',
    screened: [],
    made: { ...base.enclosure.made, ventLow: 0, ventHigh: 0, ...made },
    ...change,
  },
});

describe('ways of air', () => {
  it('a strip is open over 0.65 of its width, its frame takes the rest (common practice)', () => {
    const { exchange } = exchangeOf(boxed({}, { ventLow: 0.02, ventHigh: 0.03 }), catalogue, 0.1);
    const sheet = findGauze(catalogue, 'punched-sheet')!;
    const gauze = { open: sheet.open.value, wire: sheet.wire.value };
    // By hand: 1.2 · 0.02 · 0.65 = 156 cm² at 11 cm, 1.2 · 0.03 · 0.65 = 234 cm² at 58.5 cm.
    const hand = stackLaw({ area: 0.0156, height: 0.11, gauze }, { area: 0.0234, height: 0.585, gauze });
    for (const key of ['rise', 'linear', 'square'] as const)
      expect(exchange.stack![key] / hand![key], key).toBeCloseTo(1, 9);
  });
  it('a solid top with nothing open lets air through joints alone', () => {
    const { exchange } = exchangeOf(boxed({}), catalogue, 0.1);
    expect(exchange.stack).toBeNull();
    expect(exchange.top).toBe(0);
    expect(exchange.leak).toBeGreaterThan(0);
  });
  it('a gauze top half covered is open over half its floor, times what the gauze is open', () => {
    const { exchange } = exchangeOf(boxed({ top: 'mesh', topCover: 0.5, material: 'glass' }), catalogue, 0.1);
    const gauze = findGauze(catalogue, base.climate.topGauze)!;
    expect(exchange.top).toBeCloseTo(1.2 * 0.6 * 0.5 * gauze.open.value * 0.6, 12);
  });
});
