import { DAY, HOUR } from '../physics/constants';
import type { AheadQuantity } from './types';

/** A look ahead that was tried: on which day; how far ahead, s; at what time, s; by how much it was off. */
export interface Tried {
  readonly origin: number;
  readonly ahead: number;
  readonly at: number;
  readonly off: number;
}

/** h ahead up to which one spread holds. */
const UP_TO = [6, 24, 48, 96, 168] as const;
/** Spread where nothing was tried yet, K and share of humidity (estimated), and how many trials that is worth. */
const BEFORE: Readonly<Record<AheadQuantity, readonly number[]>> = {
  temperature: [0.4, 0.7, 0.9, 1.05, 1.2],
  humidity: [0.035, 0.055, 0.065, 0.075, 0.085],
};
const WORTH = 2;
/** Degrees of freedom it stands for: it is firmer than what one day tells. */
const FIRM = 4;
/** Parts of a day that are told apart. */
const PARTS = 8;

const daysOf = (tried: readonly Tried[]): number => new Set(tried.map((it) => it.origin)).size;

/**
 * Of Student’s distribution, how many spreads nine in ten lie within, by its degrees of freedom (Abramowitz & Stegun 1964,
 * 26.7.5, its first three terms at 1.645).
 */
export const nineInTen = (freedom: number): number =>
  1.645 + 1.524 / freedom + 1.42 / freedom ** 2 + 0.984 / freedom ** 3;

/**
 * How wide a look ahead is at a moment, as half of the interval that holds nine times in ten: by what the same look ahead
 * was off by in this record, which counts for more the more days it was tried on.
 */
export function spreadOf(
  tried: readonly Tried[],
  quantity: AheadQuantity,
): (ahead: number, at: number) => number {
  const partOf = (at: number): number => Math.floor(((((at % DAY) + DAY) % DAY) / DAY) * PARTS);
  let widest = 0;
  const halves = UP_TO.map((to, k) => {
    const from = (UP_TO[k - 1] ?? 0) * HOUR;
    const own = tried.filter((it) => it.ahead > from && it.ahead <= to * HOUR);
    const days = daysOf(own);
    const mean = own.reduce((sum, it) => sum + it.off ** 2, 0) / Math.max(1, own.length);
    const before = BEFORE[quantity][k] ?? 1;
    const spread = Math.sqrt((WORTH * before ** 2 + days * mean) / (WORTH + days));
    widest = Math.max(widest, spread * nineInTen(FIRM + days));
    return widest;
  });
  const all = tried.reduce((sum, it) => sum + it.off ** 2, 0) / Math.max(1, tried.length);
  const days = daysOf(tried);
  // Some hours are surer than others: after mistings it is off by more.
  const parts = Array.from({ length: PARTS }, (_, part) => {
    const own = tried.filter((it) => partOf(it.at) === part);
    if (own.length === 0 || all <= 0) return 1;
    const mean = own.reduce((sum, it) => sum + it.off ** 2, 0) / own.length;
    return Math.sqrt((WORTH + (days * mean) / all) / (WORTH + days));
  });
  const middles = UP_TO.map((to, k) => ((UP_TO[k - 1] ?? 0) + to) / 2);
  return (ahead, at) => {
    const hours = ahead / HOUR;
    let k = 0;
    while (k < middles.length - 1 && hours > (middles[k + 1] ?? 0)) k += 1;
    const [a, b] = [middles[k] ?? 0, middles[k + 1] ?? Infinity];
    const part = b === Infinity ? 0 : Math.min(1, Math.max(0, (hours - a) / (b - a)));
    return ((halves[k] ?? 0) * (1 - part) + (halves[k + 1] ?? 0) * part) * (parts[partOf(at)] ?? 1);
  };
}
