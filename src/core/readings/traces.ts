import { dayAhead } from '../time';
import { DAY_MS, HOUR } from '../physics/constants';
import { fromSteps, type Track } from './track';
import type { ReadQuantity } from './series';

/** One quantity at one place: s from midnight of the first day by the clock on the wall, °C or 0 to 1. */
export interface Trace {
  readonly t: readonly number[];
  readonly value: readonly number[];
}

/** Traces that begin with one midnight. */
export interface Traced {
  /** Day of the year of that midnight, and its date. */
  readonly from: number;
  readonly date: string;
  /** ms since 1970 of that midnight. */
  readonly begins: number;
  /** In the order the tracks were given; null: nothing was read in that time. */
  readonly traces: readonly (Trace | null)[];
}

/** ms over which readings are brought into one mean, and days that are kept of them. */
const [STRETCH, DAYS] = [900_000, 21];

/**
 * Several tracks by one clock: the last three weeks of them, as means of a quarter of an hour. Where nothing was read
 * there is nothing: gaps stay gaps.
 * @param offset ms by which the clock on the wall is ahead of UTC at a moment
 * @returns null where there is no reading at all
 */
export function tracesOf(
  tracks: readonly { readonly track: Track | null; readonly quantity: ReadQuantity }[],
  offset: (utc: number) => number,
): Traced | null {
  const lasts = tracks.flatMap(({ track }) => track?.at.at(-1) ?? []);
  if (lasts.length === 0) return null;
  const last = Math.max(...lasts);
  const since = last - DAYS * DAY_MS;
  const firsts = tracks.flatMap(({ track }) => track?.at.find((at) => at >= since) ?? []);
  const first = Math.min(...firsts);
  const ahead = offset(first);
  const midnight = Math.floor((first + ahead) / DAY_MS) * DAY_MS;
  const begins = midnight - ahead;
  const traces = tracks.map(({ track, quantity }): Trace | null => {
    if (!track) return null;
    const t: number[] = [];
    const value: number[] = [];
    let [bin, sum, when, count] = [-Infinity, 0, 0, 0];
    const close = (): void => {
      if (count === 0) return;
      t.push(when / count / 1000);
      value.push(sum / count);
      [sum, when, count] = [0, 0, 0];
    };
    track.at.forEach((at, i) => {
      if (at < since) return;
      const own = at - begins;
      const next = Math.floor(own / STRETCH);
      if (next !== bin) close();
      bin = next;
      sum += fromSteps(track.steps[i] ?? 0, quantity);
      when += own;
      count += 1;
    });
    close();
    return t.length > 0 ? { t, value } : null;
  });
  const date = new Date(midnight);
  return {
    traces,
    begins,
    from: Math.floor((midnight - Date.UTC(date.getUTCFullYear(), 0, 1)) / DAY_MS) + 1,
    date: dayAhead(midnight, 0),
  };
}

/** s between two readings up to which what lies between is read off a straight line; a longer hole tells nothing. */
const HOLE = 12 * HOUR;

/** A trace at later and later moments, on a straight line; null in a hole. */
export function along({ t, value }: Trace): (at: number) => number | null {
  let i = 0;
  return (at) => {
    while (i + 1 < t.length && (t[i + 1] ?? Infinity) <= at) i += 1;
    const [a, b] = [t[i] ?? 0, t[i + 1] ?? Infinity];
    if (at < a) return a - at < HOLE ? (value[i] ?? null) : null;
    if (b - a > HOLE) return at - a < HOUR ? (value[i] ?? null) : null;
    return (value[i] ?? 0) + (((value[i + 1] ?? 0) - (value[i] ?? 0)) * (at - a)) / (b - a);
  };
}
