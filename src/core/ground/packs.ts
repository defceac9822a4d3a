import type { Basis, VolumePack } from '../catalogue';

export interface PackChoice {
  readonly packs: readonly { readonly pack: VolumePack; readonly count: number }[];
  /** What the packs hold together, m³. */
  readonly volume: number;
  readonly leftOver: number;
  readonly price: number;
}

interface Priced {
  readonly price: { readonly basis: Basis };
}

/**
 * Choices that are on offer: of packs whose price the builder wrote down, and all of them where he wrote none. A typical
 * price is no offer: it does not take the place of a pack a shop was asked for.
 */
export function offered<T>(choices: readonly T[], packOf: (choice: T) => Priced): readonly T[] {
  const asked = choices.filter((it) => packOf(it).price.basis === 'measured');
  return asked.length > 0 ? asked : choices;
}

const EPS = 1e-12;
/** Nobody opens another bag for a millilitre, m³. */
const TRIFLE = 1e-6;

/**
 * Whole packs that cover a need at the lowest price; of equally dear choices, the one with least left over.
 * Branch and bound over the counts: exact for any number of pack sizes.
 * @param need m³, loose
 * @param packs sizes on offer, at least one
 */
export function choosePacks(need: number, packs: readonly VolumePack[]): PackChoice {
  if (packs.length === 0) throw new RangeError('a material needs at least one pack size');
  const sorted = [...packs].sort((a, b) => a.price.value / a.volume - b.price.value / b.volume);
  const rates = sorted.map((pack) => pack.price.value / pack.volume);
  let best: { counts: number[]; price: number; volume: number } | undefined;

  const better = (price: number, volume: number): boolean =>
    best === undefined ||
    price < best.price - 1e-9 ||
    (price < best.price + 1e-9 && volume < best.volume - EPS);

  const visit = (at: number, counts: number[], price: number, volume: number): void => {
    const open = need - volume;
    if (open <= TRIFLE) {
      if (better(price, volume)) best = { counts, price, volume };
      return;
    }
    const pack = sorted[at];
    const rate = rates[at];
    if (pack === undefined || rate === undefined) return;
    // Everything from here on costs at least this much a litre.
    if (best !== undefined && price + open * rate > best.price + 1e-9) return;
    for (let count = Math.ceil(open / pack.volume - 1e-9); count >= 0; count -= 1) {
      visit(at + 1, [...counts, count], price + count * pack.price.value, volume + count * pack.volume);
    }
  };
  visit(0, [], 0, 0);

  const chosen = best ?? { counts: [], price: 0, volume: 0 };
  return {
    packs: sorted.flatMap((pack, index) => {
      const count = chosen.counts[index] ?? 0;
      return count > 0 ? [{ pack, count }] : [];
    }),
    volume: chosen.volume,
    leftOver: Math.max(0, chosen.volume - need),
    price: chosen.price,
  };
}
