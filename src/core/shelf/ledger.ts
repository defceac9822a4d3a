import { z } from 'zod';
import { DAY_MS } from '../physics/constants';

const text = z.string().max(200);
const id = z.string().min(1).max(120);

/**
 * One line of the shelf's book. What is there now follows from the lines; nothing is ever struck out of the book, an
 * undone line is kept and not counted.
 */
export const ShelfMove = z.strictObject({
  id,
  /** When, ms since 1970. */
  at: z.number().int().min(0),
  /** Lines of one doing: bought together, taken for one build. They are undone together. */
  batch: id,
  kind: z.enum(['receipt', 'use', 'count']),
  material: z.string().min(1).max(80),
  /** m³ of loose goods, m of roll or pipe, count of sheets. Of a count: what was found. */
  amount: z.number().finite().min(0).max(1e6),
  /** What was done, in words. */
  label: text,
  /** The enclosure it was taken for. */
  design: id.nullable(),
  /** Of a receipt: the day it was opened, and the day it should be used by. */
  opened: z.iso.date().nullable(),
  bestBefore: z.iso.date().nullable(),
  undone: z.boolean(),
});
export type ShelfMove = z.infer<typeof ShelfMove>;

/** What is left of one receipt. */
export interface Lot {
  readonly move: ShelfMove;
  readonly left: number;
}

export interface Stock {
  readonly material: string;
  /** Below nothing where more was taken than the book had. */
  readonly amount: number;
  /** What can be told apart, the one to use first in front. */
  readonly lots: readonly Lot[];
}

const EPS = 1e-9;

/** What is on the shelf, by material, from all its lines in the order of time. */
export function stockOf(moves: readonly ShelfMove[]): ReadonlyMap<string, Stock> {
  const stocks = new Map<string, { amount: number; lots: { move: ShelfMove; left: number }[] }>();
  const inTime = moves
    .filter((move) => !move.undone)
    .map((move, index) => ({ move, index }))
    .sort((a, b) => a.move.at - b.move.at || a.index - b.index);
  for (const { move } of inTime) {
    const stock = stocks.get(move.material) ?? { amount: 0, lots: [] };
    stocks.set(move.material, stock);
    if (move.kind === 'receipt') {
      // What was owed comes off the new bag first.
      const left = Math.max(0, Math.min(move.amount, stock.amount + move.amount));
      stock.amount += move.amount;
      if (left > EPS) stock.lots.push({ move, left });
    } else if (move.kind === 'use') {
      stock.amount -= move.amount;
      draw(stock.lots, move.amount);
    } else {
      const there = stock.lots.reduce((sum, lot) => sum + lot.left, 0);
      stock.amount = move.amount;
      if (move.amount < there) draw(stock.lots, there - move.amount);
      else if (move.amount > there + EPS) stock.lots.push({ move, left: move.amount - there });
    }
    stock.lots = stock.lots.filter((lot) => lot.left > EPS).sort(firstToUse);
  }
  return new Map([...stocks].map(([material, stock]) => [material, { material, ...stock }]));
}

/** What stands open, then what spoils first, then what has stood longest. */
function firstToUse(a: Lot, b: Lot): number {
  const open = Number(b.move.opened !== null) - Number(a.move.opened !== null);
  const spoils = (a.move.bestBefore ?? '9999').localeCompare(b.move.bestBefore ?? '9999');
  return open || spoils || a.move.at - b.move.at;
}

function draw(lots: { move: ShelfMove; left: number }[], amount: number): void {
  let open = amount;
  for (const lot of [...lots].sort(firstToUse)) {
    const taken = Math.min(lot.left, open);
    lot.left -= taken;
    open -= taken;
  }
}

/** The shelf as the lists ask for it: what is there, nothing below nothing. */
export function shelfAmounts(stocks: ReadonlyMap<string, Stock>): Readonly<Record<string, number>> {
  return Object.fromEntries(
    [...stocks.values()].flatMap(({ material, amount }) => (amount > EPS ? [[material, amount]] : [])),
  );
}

export interface Taking {
  readonly material: string;
  readonly amount: number;
  readonly there: number;
  /** How far the shelf would go below nothing. */
  readonly short: number;
}

/** What taking these amounts would do, so that it can be said before it is done. */
export function takingOf(
  needs: Readonly<Record<string, number>>,
  stocks: ReadonlyMap<string, Stock>,
): readonly Taking[] {
  return Object.entries(needs)
    .filter(([, amount]) => amount > EPS)
    .map(([material, amount]) => {
      const there = stocks.get(material)?.amount ?? 0;
      return { material, amount, there, short: Math.max(0, amount - Math.max(0, there)) };
    });
}

/** A book opened with a count of each, from the plain amounts of earlier versions; what cannot be one is left out. */
export function bookFromAmounts(amounts: unknown, at: number): ShelfMove[] {
  if (typeof amounts !== 'object' || amounts === null) return [];
  return Object.entries(amounts).flatMap(([material, amount]) => {
    const move = ShelfMove.safeParse({
      id: `count-${material}`,
      at,
      batch: `count-${material}`,
      kind: 'count',
      material,
      amount,
      label: 'Taken over from before there was a book',
      design: null,
      opened: null,
      bestBefore: null,
      undone: false,
    });
    return move.success ? [move.data] : [];
  });
}

/** A day count from one ISO date to another; negative when the second is earlier. */
const daysTill = (from: string, to: string): number =>
  Math.round((Date.parse(`${to}T00:00:00Z`) - Date.parse(`${from}T00:00:00Z`)) / DAY_MS);

/** Days to a lot's best-before date, from a day; undefined without one. */
export const daysLeft = ({ move }: Lot, today: string): number | undefined =>
  move.bestBefore === null ? undefined : daysTill(today, move.bestBefore);
