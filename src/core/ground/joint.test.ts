import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { demoDesigns } from '@/catalogue/demo';
import { assess } from '../assess';
import { jointLists } from './joint';
import { nestOnRoll, type Placed } from './nest';

const builds = demoDesigns(catalogue).map((design) => {
  const { ground, lists } = assess(design, catalogue);
  return { design, ground, lists };
});

const overlap = (a: Placed, b: Placed): boolean =>
  a.across < b.across + b.breadth - 1e-9 &&
  b.across < a.across + a.breadth - 1e-9 &&
  a.along < b.along + b.length - 1e-9 &&
  b.along < a.along + a.length - 1e-9;

describe('several barriers on one roll', () => {
  it('by hand: two of 50 × 50 and one of 65 × 50 on a roll of 1.2 m take two rows, 65 + 50 cm', () => {
    const nesting = nestOnRoll(
      [
        { id: 'a', width: 0.5, depth: 0.5 },
        { id: 'b', width: 0.65, depth: 0.5 },
        { id: 'c', width: 0.5, depth: 0.5 },
      ],
      1.2,
    )!;
    // b lies lengthwise with a beside it (1.0 of 1.2 m); c starts the next row. Across: 0.65 + 0.5 = 1.15, then 0.5: shorter.
    expect(nesting.rollLength).toBeCloseTo(1, 12);
    expect(nesting.waste).toBeCloseTo(1 - (0.25 + 0.25 + 0.325) / 1.2, 12);
  });

  it('no piece overlaps another or leaves the roll; no more roll than one after the other', () => {
    const side = fc.double({ min: 0.1, max: 1.5, noNaN: true });
    const pieces = fc.array(fc.record({ width: side, depth: side }), { minLength: 1, maxLength: 12 });
    fc.assert(
      fc.property(pieces, fc.double({ min: 0.5, max: 2, noNaN: true }), (sizes, roll) => {
        const named = sizes.map((it, index) => ({ id: String(index), ...it }));
        const nesting = nestOnRoll(named, roll);
        const possible = named.every((it) => Math.min(it.width, it.depth) <= roll);
        if (!nesting) return !possible;
        const { placed, rollLength, waste } = nesting;
        const inside = placed.every(
          (it) => it.across + it.breadth <= roll + 1e-9 && it.along + it.length <= rollLength + 1e-9,
        );
        const apart = placed.every((a, i) => placed.every((b, j) => i >= j || !overlap(a, b)));
        const single = named.reduce((sum, it) => sum + Math.max(it.width, it.depth), 0);
        return (
          placed.length === named.length &&
          inside &&
          apart &&
          rollLength <= single + 1e-9 &&
          waste > -1e-9 &&
          waste < 1
        );
      }),
    );
  });
});

describe('one purchase for several enclosures', () => {
  it('needs what they need together, and never costs more than apart', () => {
    const joint = jointLists(builds, catalogue);
    const needed = (material: string): number =>
      builds.reduce(
        (sum, { lists }) =>
          sum +
          (lists.buy.find((row) => row.material === material && row.need.unit === 'volume')?.need.amount ??
            0),
        0,
      );
    for (const row of joint.buy) {
      if (row.need.unit !== 'volume') continue;
      expect(row.need.amount).toBeCloseTo(needed(row.material), 12);
      expect(row.leftOver).toBeGreaterThanOrEqual(0);
    }
    expect(joint.price).toBeLessThan(joint.apart);
    expect(joint.apart).toBeCloseTo(
      builds.reduce((sum, it) => sum + it.lists.price, 0),
      9,
    );
  });

  it('three enclosures share one roll of mesh', () => {
    const { rolls } = jointLists(builds, catalogue);
    expect(rolls).toHaveLength(1);
    expect(rolls[0]!.nesting.placed.map((it) => it.id).sort()).toEqual(['Bog shelf', 'Hedge', 'Limestone']);
    expect(rolls[0]!.count * rolls[0]!.roll.length).toBeGreaterThanOrEqual(
      rolls[0]!.nesting.rollLength - 1e-9,
    );
  });

  it('of one enclosure it is that enclosure’s own list', () => {
    const one = builds.slice(3);
    expect(jointLists(one, catalogue).price).toBeCloseTo(one[0]!.lists.price, 9);
    expect(jointLists([], catalogue)).toEqual({ buy: [], rolls: [], price: 0, apart: 0 });
  });
});
