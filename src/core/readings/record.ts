import { dayAhead } from '../time';
import { fromSteps, type Track } from './track';
import { DAY_MS, DAY } from '../physics/constants';

/** What was read at one place. */
export interface Recorded {
  readonly temperature: Track;
  readonly humidity: Track;
}

/** What a logger wrote, evenly or not: s from midnight of its first day, °C, 0 to 1. */
interface Reading {
  readonly t: number;
  readonly temperature: number;
  readonly humidity: number;
}

/** Readings of a climate by the clock on the wall, from midnight of their first day. */
export interface ClimateRecord {
  readonly readings: readonly Reading[];
  /** Day of the year it begins with, and its date. */
  readonly from: number;
  readonly date: string;
}

/** ms between two readings of one thing, between which another is read off a straight line. */
const APART = 3_600_000;
/** ms between two readings that are kept, and days: enough to fit three numbers by. */
const EVERY = 590_000;
const DAYS = 21;

/**
 * Temperature and humidity of one place as one record, each at the moments of the temperature; the last three weeks of it,
 * no more than one reading in ten minutes.
 * @param offset ms by which the clock on the wall is ahead of UTC at a moment
 * @returns null where it covers less than a day
 */
export function recordOf(
  { temperature, humidity }: Recorded,
  offset: (utc: number) => number,
): ClimateRecord | null {
  const last = temperature.at.at(-1) ?? 0;
  const damp = along(humidity);
  const ahead = offset(last);
  const since = Math.floor((last + ahead - DAYS * DAY_MS) / DAY_MS) * DAY_MS - ahead;
  const found: (Omit<Reading, 't'> & { readonly at: number })[] = [];
  temperature.at.forEach((at, i) => {
    if (at < since || at - (found.at(-1)?.at ?? -Infinity) < EVERY) return;
    const h = damp(at);
    if (h === null) return;
    found.push({
      at,
      temperature: fromSteps(temperature.steps[i] ?? 0, 'temperature'),
      humidity: fromSteps(h, 'humidity'),
    });
  });
  const first = found[0];
  const end = found.at(-1);
  if (!first || !end || end.at - first.at < DAY_MS) return null;
  const begins = first.at + offset(first.at);
  const midnight = Math.floor(begins / DAY_MS) * DAY_MS;
  const date = new Date(midnight);
  return {
    readings: found.map(({ at, ...it }) => ({ ...it, t: (at - first.at + begins - midnight) / 1000 })),
    from: Math.floor((midnight - Date.UTC(date.getUTCFullYear(), 0, 1)) / DAY_MS) + 1,
    date: dayAhead(midnight, 0),
  };
}

/** Reads a track at later and later moments, in steps, on a straight line between two readings; null where none are near. */
function along(track: Track): (at: number) => number | null {
  let next = 0;
  return (moment) => {
    const { at, steps } = track;
    while (next < at.length && (at[next] ?? 0) < moment) next += 1;
    const [before, after] = [at[next - 1], at[next]];
    const [low, high] = [steps[next - 1] ?? 0, steps[next] ?? 0];
    if (after === moment) return high;
    if (before === undefined || after === undefined || after - before > APART) {
      // Two instruments that do not write at the same moment: the nearer, if it is near.
      const nearBefore = before !== undefined && moment - before <= APART / 2;
      const nearAfter = after !== undefined && after - moment <= APART / 2;
      return nearBefore ? low : nearAfter ? high : null;
    }
    return low + ((high - low) * (moment - before)) / (after - before);
  };
}

/** The record of a room as twelve months: those it has, and the rest by the nearest it has. */
export function roomOfRecord({ readings, date }: ClimateRecord): {
  readonly temperature: number[];
  readonly humidity: number[];
  /** K that a day goes up and down from its middle, in the mean. */
  readonly swing: number;
} {
  const sums = Array.from({ length: 12 }, () => ({ t: 0, h: 0, n: 0 }));
  const byDay = new Map<number, { low: number; high: number }>();
  for (const it of readings) {
    const at = new Date(Date.parse(date) + it.t * 1000);
    const sum = sums[at.getUTCMonth()];
    if (sum) {
      sum.t += it.temperature;
      sum.h += it.humidity;
      sum.n += 1;
    }
    const day = Math.floor(it.t / DAY);
    const range = byDay.get(day) ?? { low: Infinity, high: -Infinity };
    byDay.set(day, { low: Math.min(range.low, it.temperature), high: Math.max(range.high, it.temperature) });
  }
  const known = sums.flatMap((it, month) => (it.n > 0 ? [month] : []));
  const nearest = (month: number): { t: number; h: number; n: number } => {
    const apart = (other: number): number => Math.min(Math.abs(month - other), 12 - Math.abs(month - other));
    const best = known.reduce((a, b) => (apart(b) < apart(a) ? b : a), known[0] ?? 0);
    return sums[best] ?? { t: 20, h: 0.5, n: 1 };
  };
  const months = Array.from({ length: 12 }, (_, month) => nearest(month));
  const swings = [...byDay.values()].map((it) => (it.high - it.low) / 2);
  return {
    temperature: months.map((it) => it.t / it.n),
    humidity: months.map((it) => it.h / it.n),
    swing: Math.min(15, swings.reduce((sum, it) => sum + it, 0) / Math.max(1, swings.length)),
  };
}
