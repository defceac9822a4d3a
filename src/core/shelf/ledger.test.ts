import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { daysLeft, shelfAmounts, ShelfMove, stockOf, takingOf } from '.';

let count = 0;
const move = (kind: ShelfMove['kind'], amount: number, told: Partial<ShelfMove> = {}): ShelfMove => {
  count += 1;
  return ShelfMove.parse({
    id: `m${count}`,
    at: count,
    batch: `b${count}`,
    kind,
    material: 'coir',
    amount,
    label: '',
    design: null,
    opened: null,
    bestBefore: null,
    undone: false,
    ...told,
  });
};
const coir = (...moves: ShelfMove[]) => stockOf(moves).get('coir')!;

describe('the book of the shelf', () => {
  it('receipts add, uses take, a count says what is so', () => {
    expect(coir(move('receipt', 0.02), move('use', 0.005)).amount).toBeCloseTo(0.015, 12);
    expect(coir(move('receipt', 0.02), move('use', 0.005), move('count', 0.012)).amount).toBe(0.012);
    expect(coir(move('count', 0.01), move('receipt', 0.02)).amount).toBeCloseTo(0.03, 12);
  });

  it('more taken than was there is owed, not forgotten; the lists see nothing there', () => {
    const moves = [move('receipt', 0.004), move('use', 0.01)];
    expect(coir(...moves).amount).toBeCloseTo(-0.006, 12);
    expect(coir(...moves).lots).toEqual([]);
    expect(shelfAmounts(stockOf(moves))).toEqual({});
    // The next bag pays it back first.
    const paid = coir(...moves, move('receipt', 0.02));
    expect(paid.amount).toBeCloseTo(0.014, 12);
    expect(paid.lots[0]!.left).toBeCloseTo(0.014, 12);
  });

  it('an open bag goes first, then what spoils first, then the oldest', () => {
    const old = move('receipt', 0.01);
    const open = move('receipt', 0.01, { opened: '2026-10-01' });
    const soon = move('receipt', 0.01, { bestBefore: '2027-01-01' });
    expect(coir(old, open, soon).lots.map((lot) => lot.move.id)).toEqual([open.id, soon.id, old.id]);
    const after = coir(old, open, soon, move('use', 0.015));
    expect(after.lots.map((lot) => [lot.move.id, lot.left])).toEqual([
      [soon.id, expect.closeTo(0.005, 12)],
      [old.id, expect.closeTo(0.01, 12)],
    ]);
  });

  it('says before it is done how far a taking goes below nothing', () => {
    const stocks = stockOf([move('receipt', 0.004)]);
    expect(takingOf({ coir: 0.01, sand: 0.002, peat: 0 }, stocks)).toEqual([
      { material: 'coir', amount: 0.01, there: 0.004, short: expect.closeTo(0.006, 12) },
      { material: 'sand', amount: 0.002, there: 0, short: 0.002 },
    ]);
  });

  it('counts the days to a date across a change of the clocks', () => {
    const lot = { move: move('receipt', 1, { bestBefore: '2026-11-30' }), left: 1 };
    expect(daysLeft(lot, '2026-11-23')).toBe(7);
    expect(daysLeft(lot, '2026-12-01')).toBe(-1);
    expect(daysLeft({ move: move('receipt', 1), left: 1 }, '2026-12-01')).toBeUndefined();
    expect(daysLeft({ move: move('receipt', 1, { bestBefore: '2026-10-26' }), left: 1 }, '2026-10-24')).toBe(
      2,
    );
  });

  it('whatever is written: lots add up to what is there; undoing any batch is as if it had never been', () => {
    const any = fc.array(
      fc.record({
        kind: fc.constantFrom('receipt' as const, 'use' as const, 'count' as const),
        amount: fc.double({ min: 0, max: 0.05, noNaN: true }),
        opened: fc.constantFrom(null, '2026-01-01'),
      }),
      { minLength: 1, maxLength: 25 },
    );
    fc.assert(
      fc.property(any, fc.nat(), (told, pick) => {
        const moves = told.map(({ kind, amount, opened }) => move(kind, amount, { opened }));
        const { amount, lots } = coir(...moves);
        const inLots = lots.reduce((sum, lot) => sum + lot.left, 0);
        expect(inLots).toBeCloseTo(Math.max(0, amount), 7);
        const gone = pick % moves.length;
        const without = stockOf(moves.filter((_, index) => index !== gone)).get('coir');
        const undone = stockOf(moves.map((it, index) => (index === gone ? { ...it, undone: true } : it))).get(
          'coir',
        );
        expect(undone?.amount).toBe(without?.amount);
      }),
    );
  });
});
