import { DAY, firstAt, fromSteps, HOUR, type MeasuringPlace, type ReadQuantity } from '../readings';
import type { Kept } from './weeks';

/** How two boxes differ at one kind of place, hour by hour of the hours that both read. */
export interface Paired {
  readonly quantity: ReadQuantity;
  readonly place: MeasuringPlace;
  /** Whole days of which both read enough. */
  readonly days: number;
  /** Mean of the second less the first, by day and by night. */
  readonly day: number | null;
  readonly night: number | null;
  /** The least difference that so many days and two such probes could have shown. */
  readonly shows: number;
  /** Standard deviation of the difference of a day, by day or by night, the larger. */
  readonly spread: number;
  /** It is more than that. */
  readonly differs: boolean;
  /** What is wrong with the readings of one of them, by its number; null: nothing. */
  readonly fault: { readonly side: 0 | 1; readonly why: 'stuck' | 'only by day' | 'only by night' } | null;
}

/**
 * By how much two probes of a kind differ when nothing else does, as one standard deviation of their difference: half of
 * ±0.5 °C and ±3 points as makers state them for common sensors, times the root of two (common practice).
 */
const PROBES: Partial<Record<ReadQuantity, number>> = { temperature: 0.35, humidity: 0.021 };
/** Hours of one day that both must have read, of its light and of its dark. */
const ENOUGH = 3;
/** Hours of one and the same value, or share of them, after which a probe is stuck. */
const [STUCK, MOST_STUCK] = [24, 0.5];
/** Days that hang together: so many in a row tell as much as one. */
const TOGETHER = 2;
/** Two-sided 95 % points of Student’s t by degrees of freedom (Fisher and Yates, Statistical Tables, table III). */
const T = [12.71, 4.3, 3.18, 2.78, 2.57, 2.45, 2.36, 2.31, 2.26, 2.23];
const tOf = (freedom: number): number =>
  T[Math.max(0, Math.floor(freedom) - 1)] ?? (freedom < 30 ? 2.1 : 1.98);

/** The least difference that two such probes could show after so many days, where days differ by so much. */
export const showsAfter = (
  { quantity, spread }: Pick<Paired, 'quantity' | 'spread'>,
  days: number,
): number => {
  const worth = Math.max(1.5, days / TOGETHER);
  return Math.hypot((tOf(worth - 1) * spread) / Math.sqrt(worth), 1.96 * (PROBES[quantity] ?? 0));
};

/** Means of whole hours: many readings in one weigh no more than few in another. */
function hoursOf(point: Kept['points'][number], from: number, to: number): ReadonlyMap<number, number> {
  const { track, series } = point;
  const sums = new Map<number, { sum: number; count: number }>();
  for (let k = firstAt(track.at, from); k < track.at.length && (track.at[k] ?? 0) <= to; k += 1) {
    const hour = Math.floor((track.at[k] ?? 0) / HOUR);
    const own = sums.get(hour) ?? { sum: 0, count: 0 };
    own.sum += fromSteps(track.steps[k] ?? 0, series.quantity);
    own.count += 1;
    sums.set(hour, own);
  }
  return new Map([...sums].map(([hour, { sum, count }]) => [hour, sum / count]));
}

/** What is wrong with a probe over a span. */
function faultOf(
  hours: ReadonlyMap<number, number>,
  quantity: ReadQuantity,
  isDay: (at: number) => boolean,
): 'stuck' | 'only by day' | 'only by night' | null {
  const values = [...hours].sort((a, b) => a[0] - b[0]);
  let [run, longest] = [0, 0];
  for (let i = 1; i < values.length; i += 1) {
    run = Math.abs((values[i]?.[1] ?? 0) - (values[i - 1]?.[1] ?? 0)) < 1e-9 ? run + 1 : 0;
    longest = Math.max(longest, run);
  }
  // Air that is full reads one and the same for good reason.
  const full = quantity === 'humidity' && (values.at(-1)?.[1] ?? 0) >= 0.98;
  if (longest >= STUCK && longest > MOST_STUCK * values.length && !full) return 'stuck';
  const lit = values.filter(([hour]) => isDay((hour + 0.5) * HOUR)).length;
  if (lit === values.length) return 'only by day';
  return lit === 0 ? 'only by night' : null;
}

/** Two boxes at every kind of place that both read in a span. */
export function pairedOf(a: Kept, b: Kept, from: number, to: number): readonly Paired[] {
  const kinds = new Set(a.points.map(({ series }) => `${series.quantity} ${series.place}`));
  return [...kinds].flatMap((kind): Paired[] => {
    const of = (kept: Kept) =>
      kept.points
        .filter(({ series }) => `${series.quantity} ${series.place}` === kind)
        .map((point) => ({ point, hours: hoursOf(point, from, to) }))
        .reduce<{ point: Kept['points'][number]; hours: ReadonlyMap<number, number> } | null>(
          (best, it) => (best && best.hours.size >= it.hours.size ? best : it),
          null,
        );
    const [x, y] = [of(a), of(b)];
    if (!x || !y) return [];
    const { quantity, place } = x.point.series;
    if (PROBES[quantity] === undefined) return [];
    const why = [faultOf(x.hours, quantity, a.isDay), faultOf(y.hours, quantity, b.isDay)] as const;
    const fault =
      why[0] !== null
        ? { side: 0 as const, why: why[0] }
        : why[1] !== null
          ? { side: 1 as const, why: why[1] }
          : null;
    const daily = new Map<number, { light: number[]; dark: number[] }>();
    for (const [hour, value] of x.hours) {
      const other = y.hours.get(hour);
      if (other === undefined) continue;
      const at = (hour + 0.5) * HOUR;
      const own = daily.get(Math.floor(at / DAY)) ?? { light: [], dark: [] };
      (a.isDay(at) ? own.light : own.dark).push(other - value);
      daily.set(Math.floor(at / DAY), own);
    }
    const mean = (all: readonly number[]): number => all.reduce((sum, it) => sum + it, 0) / all.length;
    const parts = (['light', 'dark'] as const).map((part) => {
      const days = [...daily.values()].flatMap((it) => (it[part].length >= ENOUGH ? [mean(it[part])] : []));
      if (days.length < 2) return null;
      const middle = mean(days);
      const spread = Math.sqrt(days.reduce((sum, it) => sum + (it - middle) ** 2, 0) / (days.length - 1));
      return { middle, days: days.length, spread, shows: showsAfter({ quantity, spread }, days.length) };
    });
    const known = parts.filter((it) => it !== null);
    if (known.length === 0) return [];
    return [
      {
        quantity,
        place,
        days: Math.max(...known.map((it) => it.days)),
        day: parts[0]?.middle ?? null,
        night: parts[1]?.middle ?? null,
        shows: Math.max(...known.map((it) => it.shows)),
        spread: Math.max(...known.map((it) => it.spread)),
        differs: fault?.why !== 'stuck' && known.some((it) => Math.abs(it.middle) > it.shows),
        fault,
      },
    ];
  });
}
