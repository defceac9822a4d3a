import { describe, expect, it } from 'vitest';
import { AIR_DENSITY, GRAVITY } from '../physics/constants';
import { equationsOf } from './equations';
import { AT } from './states';
import { airIn, startOf } from './stores';
import { boxOf } from './testing';

/** A closed box: nothing moves its air but itself. */
const box = {
  ...boxOf({ cover: 1, poolArea: 0 }),
  exchange: { stack: null, top: 0, topDraught: 0, sideDraught: [0, 0] as const, leak: 0, stir: 0 },
};
const system = equationsOf(box);
system.setRoom((_, into) => Object.assign(into, { temperature: 25, ratio: 0.01, sun: 0 }));

/** kg/s of air that two cells exchange, by how a little fog in one comes to the other. */
function exchanged(from: 0 | 1 | 2 | 3, to: 0 | 1 | 2 | 3, warmer: number): number {
  const still = startOf(box, 25, 0.01);
  still[AT.airT(from)]! += warmer;
  const [before, after] = [new Float64Array(system.size), new Float64Array(system.size)];
  system.evaluate(0, still, before, null);
  const fogged = Float64Array.from(still);
  const fog = 1e-9;
  fogged[AT.fog(from)]! += fog;
  system.evaluate(0, fogged, after, null);
  return ((after[AT.fog(to)]! - before[AT.fog(to)]!) / fog) * airIn(box, from);
}

describe('air that mixes in a closed box', () => {
  const { floor, height } = box.cells[0];
  it('between tiers: 2 mm/s where it is as warm below, and a tenth of √(g·ΔT·H/T) more where it is warmer', () => {
    expect(exchanged(0, 1, 0)).toBeCloseTo(AIR_DENSITY * floor * 0.002, 6);
    // 4 K: rising has set in by 4 / 4.2.
    const rises = 0.1 * Math.sqrt((GRAVITY * 4 * height) / 293) * (4 / 4.2);
    expect(exchanged(0, 1, 4)).toBeCloseTo(AIR_DENSITY * floor * (0.002 + rises), 5);
    // Warm air above stays there.
    expect(exchanged(1, 0, 4)).toBeCloseTo(AIR_DENSITY * floor * 0.002, 6);
  });
  it('between halves: 2 mm/s and 0.06 of √(g·ΔT·H/T), never still', () => {
    const across = Math.sqrt(floor * 2) * height;
    for (const warmer of [0, 3]) {
      const apart = Math.sqrt(warmer ** 2 + 0.2 ** 2);
      const drift = 0.06 * Math.sqrt((GRAVITY * apart * height) / 293);
      expect(exchanged(0, 2, warmer)).toBeCloseTo(AIR_DENSITY * across * (0.002 + drift), 5);
    }
  });
});
