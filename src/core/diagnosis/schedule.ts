import type { Design } from '../document';
import { DAY, firstAt, fromSteps, HOUR, type ReadQuantity } from '../readings';
import type { PointTrack } from './features';

const MINUTE = HOUR / 60;
/** Before a misting is due, and how long after it humidity may rise. */
const [JUST_BEFORE, SOON] = [25 * MINUTE, 50 * MINUTE];
/** Mean rise at a misting from which on it can be seen at all, and times it must have been seen. */
const [SEEN, TIMES] = [0.018, 6];

/** Moments at which day began, by the clock of the box. */
export function mornings(from: number, to: number, isDay: (at: number) => boolean): readonly number[] {
  const found: number[] = [];
  const step = 10 * MINUTE;
  for (let at = from; at < to; at += step)
    if (isDay(at + step) && !isDay(at)) {
      // To the minute.
      let own = at;
      while (own < at + step && !isDay(own)) own += MINUTE;
      found.push(own);
    }
  return found;
}

/** Minutes after a lamp goes on or off in which air dries and dampens for that alone. */
const UNREST = 45;

/** Hours after each misting at which nothing is misted and all else is as it is then: a fan that runs in turns is in the same one. */
function idleAfter({ mist, day, devices }: Design['climate']): number {
  const turn = devices.find((it) => it.duty && it.timer.by !== 'always')?.duty?.every;
  const away = (hours: number): number =>
    Math.min(
      ...mist.times.flatMap(({ at }) =>
        [...mist.times.map((it) => it.at), day.on, day.off].map((other) => {
          const off = Math.abs(at + 60 * hours - other) % 1440;
          return Math.min(off, 1440 - off);
        }),
      ),
    );
  const options = turn
    ? [-3, -2, -1, 1, 2, 3].map((times) => (times * turn) / 60)
    : [-3, -2.5, -2, -1.5, 1.5, 2, 2.5];
  return options.reduce((best, it) => (away(it) > away(best) ? it : best));
}

/** Mean and count of the rises of humidity at the times mistings are due, so many hours later than they should be. */
function risesAt(
  { series, track }: PointTrack,
  due: readonly number[],
  late: number,
): { readonly mean: number; readonly count: number; readonly error: number } {
  const value = (k: number): number => fromSteps(track.steps[k] ?? 0, series.quantity);
  let [sum, squares, count] = [0, 0, 0];
  for (const moment of due) {
    const at = moment + late * HOUR;
    const [a, b, c] = [
      firstAt(track.at, at - JUST_BEFORE),
      firstAt(track.at, at),
      firstAt(track.at, at + SOON),
    ];
    if (b - a < 1 || c - b < 2) continue;
    let before = 0;
    for (let k = a; k < b; k += 1) before += value(k) / (b - a);
    let top = -Infinity;
    for (let k = b; k < c; k += 1) top = Math.max(top, value(k));
    sum += top - before;
    squares += (top - before) ** 2;
    count += 1;
  }
  const mean = count > 0 ? sum / count : 0;
  const spread = count > 1 ? Math.sqrt(Math.max(0, squares / count - mean * mean)) : 0.05;
  return { mean, count, error: Math.max(0.006, spread) / Math.sqrt(Math.max(1, count)) };
}

export interface MistingSeen {
  /** How strong mistings are at the times they are due, against before: 1 as strong; null: they could not be seen before. */
  readonly share: number | null;
  /** By how much that may be wrong. */
  readonly error: number;
  /** Hours later (or earlier) at which they are seen instead. */
  readonly late: number | null;
}

/** Whether it is known when it is misted, day by day. */
export const isTimed = ({ climate: { mist, day } }: Pick<Design, 'climate'>): boolean =>
  mist.by === 'nozzles' && mist.times.length > 0 && mist.everyDays === 1 && day.by === 'clock';

/** The times mistings are due between two moments, those that no lamp is switched at, where there are any. */
function duesOf(
  { track }: PointTrack,
  { mist, day }: Design['climate'],
  isDay: (at: number) => boolean,
): (from: number, to: number) => readonly number[] {
  const last = track.at.at(-1) ?? 0;
  const all = mornings(Math.max(track.at[0] ?? last, last - 34 * DAY), last, isDay);
  const quiet = mist.times.filter(({ at }) =>
    [day.on, day.off].every((it) => at - it < 0 || at - it > UNREST),
  );
  const times = quiet.length > 0 ? quiet : mist.times;
  return (from, to) =>
    all
      .flatMap((morning) => times.map((it) => morning + (it.at - day.on) * MINUTE))
      .filter((it) => it >= from && it < to);
}

/** How much humidity rose at the mistings of each day, the last day first, over what it rises by anyway; null: too few are read. */
export function mistDays(
  point: PointTrack,
  { climate }: Pick<Design, 'climate'>,
  isDay: (at: number) => boolean,
  days: number,
): readonly (number | null)[] {
  if (!isTimed({ climate }) || point.series.quantity !== 'humidity') return [];
  const last = (point.track.at.at(-1) ?? 0) - SOON;
  const due = duesOf(point, climate, isDay);
  const away = idleAfter(climate);
  return Array.from({ length: days }, (_, day) => {
    const own = due(last - (day + 1) * DAY, last - day * DAY);
    const [wet, dry] = [risesAt(point, own, 0), risesAt(point, own, away)];
    return wet.count === 0 || dry.count === 0 ? null : wet.mean - dry.mean;
  });
}

/** Mistings at the times they are due: what the design says of them against what a humidity probe saw. */
export function mistingSeen(
  point: PointTrack,
  { climate }: Pick<Design, 'climate'>,
  baseTo: number,
  isDay: (at: number) => boolean,
  from = -Infinity,
): MistingSeen {
  const last = point.track.at.at(-1) ?? 0;
  const unknown = { share: null, error: 0, late: null };
  if (!isTimed({ climate })) return unknown;
  const dueOf = duesOf(point, climate, isDay);
  const before = risesAt(point, dueOf(-Infinity, baseTo), 0);
  const idle = risesAt(point, dueOf(-Infinity, baseTo), idleAfter(climate));
  if (before.count < TIMES || before.mean - Math.max(0, idle.mean) < SEEN) return unknown;
  const now = dueOf(Math.max(baseTo, from, last - 3.2 * DAY), last - SOON);
  const seen = risesAt(point, now, 0);
  if (seen.count === 0) return unknown;
  const strength = (mean: number): number => (mean - idle.mean) / (before.mean - idle.mean);
  const share = Math.max(0, strength(seen.mean));
  const others = [-4, -3, -2, 2, 3, 4].map((late) => ({
    late,
    own: strength(risesAt(point, now, late).mean),
  }));
  const best = others.reduce((a, b) => (b.own > a.own ? b : a));
  const error = Math.hypot(seen.error, before.error, idle.error) / (before.mean - idle.mean);
  return { share, error, late: share < 0.4 && best.own > 0.7 ? best.late : null };
}

/** Parts of a day that a course is compared by. */
const PARTS = 48;
/** Hours either way that a day may have shifted by. */
const MOST = 5;

const least: Partial<Record<ReadQuantity, number>> = { temperature: 1.5, humidity: 0.08 };

/**
 * Hours by which the whole day of a point comes later than before, and the share of the difference that is explained by it;
 * null: too little is read, or its days are too flat to tell.
 */
export function dayShift(
  { series, track }: PointTrack,
  baseTo: number,
): { readonly late: number; readonly explains: number } | null {
  const last = track.at.at(-1) ?? 0;
  const profile = (from: number, to: number): readonly (number | null)[] => {
    const sums = new Float64Array(PARTS);
    const counts = new Float64Array(PARTS);
    for (let k = firstAt(track.at, from); k < firstAt(track.at, to); k += 1) {
      const part = Math.floor((((track.at[k] ?? 0) % DAY) / DAY) * PARTS);
      sums[part] = (sums[part] ?? 0) + fromSteps(track.steps[k] ?? 0, series.quantity);
      counts[part] = (counts[part] ?? 0) + 1;
    }
    return Array.from(sums, (sum, i) => ((counts[i] ?? 0) > 0 ? sum / (counts[i] ?? 1) : null));
  };
  const before = profile(baseTo - 10 * DAY, baseTo);
  const now = profile(Math.max(baseTo, last - 1.02 * DAY), last + 1);
  const known = before.filter((it) => it !== null);
  if (known.length < PARTS * 0.9 || now.filter((it) => it !== null).length < PARTS * 0.8) return null;
  if (Math.max(...known) - Math.min(...known) < (least[series.quantity] ?? Infinity)) return null;
  // What moved up or down as a whole is another thing: only the shape of the day is compared.
  const off = (parts: number): number => {
    const gaps: number[] = [];
    for (let i = 0; i < PARTS; i += 1) {
      const [a, b] = [before[(i - parts + PARTS) % PARTS], now[i]];
      if (a !== null && a !== undefined && b !== null && b !== undefined) gaps.push(b - a);
    }
    const mean = gaps.reduce((sum, it) => sum + it, 0) / gaps.length;
    return gaps.reduce((sum, it) => sum + (it - mean) ** 2, 0) / gaps.length;
  };
  const still = off(0);
  let [best, late] = [still, 0];
  for (let parts = -MOST * 2; parts <= MOST * 2; parts += 1) {
    const own = off(parts);
    if (own < best) [best, late] = [own, parts / 2];
  }
  return { late, explains: still > 1e-9 ? 1 - best / still : 0 };
}
