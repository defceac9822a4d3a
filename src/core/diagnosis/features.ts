import { DAY, firstAt, fromSteps, HOUR, type Series, type Track } from '../readings';

/** What one point read, in its quantity’s unit. */
export interface PointTrack {
  readonly series: Series;
  readonly track: Track;
}

/** Figures of a stretch of readings by day and by night. */
export interface Stretch {
  readonly count: number;
  readonly mean: number;
  readonly day: number | null;
  readonly night: number | null;
  readonly low: number;
  readonly high: number;
  /** Sudden rises a day: what a misting looks like to a humidity probe. */
  readonly rises: number;
  /** Mean height of those rises. */
  readonly risen: number;
  /** Share of the time at the top of the scale. */
  readonly full: number;
  /** Mean fall of the excess over the lowest, a share an hour, in the three hours after a rise; null: no rise. */
  readonly falls: number | null;
}

/** How a point was before, and how it is now. */
export interface Course {
  readonly series: Series;
  /** When it was last read, ms since 1970. */
  readonly last: number;
  /** Up to three weeks that end four days ago. */
  readonly base: Stretch | null;
  /** The last day that was read. */
  readonly now: Stretch | null;
  /** When what it was before ends, ms since 1970. */
  readonly baseTo: number;
  /** Robust spread of the means of whole days before. */
  readonly spread: number;
  /**
   * How far the readings of the last six hours and of the last day lie from those of the same hours before, on average;
   * null: too few of either.
   */
  readonly shift: { readonly recent: number | null; readonly day: number | null };
  /** As `shift`, of the hours of light and of the dark alone, in the last day. */
  readonly lightShift: number | null;
  readonly darkShift: number | null;
  /** Since when it has read one and the same value, ms since 1970; null: it has not, for long. */
  readonly flatSince: number | null;
}

const RISE: Record<string, number> = { humidity: 0.03, temperature: 1.5 };

function stretchOf(
  { series, track }: PointTrack,
  from: number,
  to: number,
  isDay: (at: number) => boolean,
): Stretch | null {
  const [i, j] = [firstAt(track.at, from), firstAt(track.at, to)];
  if (j - i < 12) return null;
  let [sum, day, days, night, nights, low, high, full] = [0, 0, 0, 0, 0, Infinity, -Infinity, 0];
  let [rises, risen] = [0, 0];
  let [falls, fallCount] = [0, 0];
  const least = RISE[series.quantity] ?? Infinity;
  const value = (k: number): number => fromSteps(track.steps[k] ?? 0, series.quantity);
  for (let k = i; k < j; k += 1) {
    const v = value(k);
    sum += v;
    low = Math.min(low, v);
    high = Math.max(high, v);
    if (v >= 0.97) full += 1;
    if (isDay(track.at[k] ?? 0)) {
      day += v;
      days += 1;
    } else {
      night += v;
      nights += 1;
    }
  }
  let quiet = -Infinity;
  for (let k = i; k < j; k += 1) {
    const at = track.at[k] ?? 0;
    if (at - quiet < 1.5 * HOUR) continue;
    // The lowest of the half hour before against the highest of the half hour after.
    let [before, after] = [Infinity, -Infinity];
    for (let m = k; m >= i && at - (track.at[m] ?? 0) <= 0.5 * HOUR; m -= 1)
      before = Math.min(before, value(m));
    let top = k;
    for (let m = k + 1; m < j && (track.at[m] ?? 0) - at <= 0.5 * HOUR; m += 1)
      if (value(m) > after) {
        after = value(m);
        top = m;
      }
    if (after - before < least) continue;
    rises += 1;
    risen += after - before;
    quiet = at;
    const peak = track.at[top] ?? 0;
    for (let m = top; m < j; m += 1) {
      if ((track.at[m] ?? 0) - peak < 2.5 * HOUR) continue;
      const hours = ((track.at[m] ?? 0) - peak) / HOUR;
      if (hours < 3.5) {
        falls += (after - value(m)) / Math.max(0.02, after - low) / hours;
        fallCount += 1;
      }
      break;
    }
  }
  const length = Math.max(1, (to - from) / DAY);
  const n = j - i;
  return {
    count: n,
    mean: sum / n,
    day: days > 5 ? day / days : null,
    night: nights > 5 ? night / nights : null,
    low,
    high,
    rises: rises / length,
    risen: rises > 0 ? risen / rises : 0,
    full: full / n,
    falls: fallCount > 0 ? falls / fallCount : null,
  };
}

/** How long one and the same value is read before it counts as flat, ms. */
const FLAT = 8 * HOUR;

/** A robust spread: the median absolute deviation, as a standard deviation of what is normal. */
function spreadOf(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  const middle = sorted[sorted.length >> 1] ?? 0;
  const off = values.map((it) => Math.abs(it - middle)).sort((a, b) => a - b);
  return 1.4826 * (off[off.length >> 1] ?? 0);
}

/**
 * The course of a point.
 * @param isDay whether it is day in the box at a moment
 * @param onset when the box began to be otherwise, ms since 1970; null: not known
 */
export function courseOf(
  point: PointTrack,
  isDay: (at: number) => boolean,
  onset: number | null = null,
): Course | null {
  const { series, track } = point;
  const last = track.at.at(-1);
  if (last === undefined) return null;
  // What began within four days is not to be its own measure; where less is known, what came before the day that is looked at.
  const usual = last - (track.at[0] ?? last) > 6.5 * DAY ? last - 4 * DAY : last - DAY;
  // A fault that is weeks old never becomes what is usual.
  const baseTo = onset === null ? usual : Math.min(usual, onset);
  const means: number[] = [];
  for (let day = 0; day < 21; day += 1) {
    const it = stretchOf(point, baseTo - (day + 1) * DAY, baseTo - day * DAY, isDay);
    if (it) means.push(it.mean);
  }
  let since = track.at.length - 1;
  while (since > 0 && track.steps[since - 1] === track.steps[since]) since -= 1;
  const flat = last - (track.at[since] ?? 0) >= FLAT && track.at.length - since >= 12;
  const full = series.quantity === 'humidity' && fromSteps(track.steps.at(-1) ?? 0, 'humidity') >= 0.98;
  return {
    series,
    last,
    base: stretchOf(point, Math.max(baseTo - 21 * DAY, track.at[0] ?? 0), baseTo, isDay),
    now: stretchOf(point, last - DAY, last + 1, isDay),
    spread: spreadOf(means),
    baseTo,
    ...shiftsOf(point, baseTo, last, isDay),
    flatSince: flat && !full ? (track.at[since] ?? 0) : null,
  };
}

/**
 * How far one point went away from another of its kind: their difference of the last six hours less that of the same
 * hours before, and how much it still grows a day, by a straight line through the last thirty hours; `steady` is the
 * share of it that the line explains. null: too little of both.
 */
export function partingOf(
  a: PointTrack,
  b: PointTrack,
): { readonly by: number; readonly growing: number; readonly steady: number } | null {
  const last = Math.min(a.track.at.at(-1) ?? 0, b.track.at.at(-1) ?? 0);
  const mean = ({ series, track }: PointTrack, from: number, to: number): number | null => {
    const [i, j] = [firstAt(track.at, from), firstAt(track.at, to)];
    if (j - i < 4) return null;
    let sum = 0;
    for (let k = i; k < j; k += 1) sum += fromSteps(track.steps[k] ?? 0, series.quantity);
    return sum / (j - i);
  };
  const apart = (from: number): number | null => {
    const [x, y] = [mean(a, from, from + PART), mean(b, from, from + PART)];
    return x === null || y === null ? null : x - y;
  };
  const bins: number[] = [];
  for (let k = 0; k < 10; k += 1) {
    const from = last - (10 - k) * PART;
    const now = apart(from);
    const before = [4, 5, 6, 7, 8].flatMap((days) => apart(from - days * DAY) ?? []);
    if (now !== null && before.length > 0)
      bins.push(now - before.reduce((sum, it) => sum + it, 0) / before.length);
  }
  if (bins.length < 8) return null;
  const n = bins.length;
  const meanX = (n - 1) / 2;
  const meanY = bins.reduce((sum, it) => sum + it, 0) / n;
  const [top, bottom, whole] = bins.reduce(
    ([x, y, z], it, i) => [x + (i - meanX) * (it - meanY), y + (i - meanX) ** 2, z + (it - meanY) ** 2],
    [0, 0, 0],
  );
  const slope = top / bottom;
  return {
    by: ((bins.at(-1) ?? 0) + (bins.at(-2) ?? 0)) / 2,
    growing: (slope * DAY) / PART,
    // What a step tells better than a line is no drift.
    steady: whole < 1e-12 || whole - slope * top > stepped(bins) ? 0 : (slope * top) / whole,
  };
}

/** What is left of a course by the best single step, squared and summed. */
function stepped(values: readonly number[]): number {
  let least = Infinity;
  for (let at = 1; at < values.length; at += 1) {
    const off = (part: readonly number[]): number => {
      const mean = part.reduce((sum, it) => sum + it, 0) / part.length;
      return part.reduce((sum, it) => sum + (it - mean) ** 2, 0);
    };
    least = Math.min(least, off(values.slice(0, at)) + off(values.slice(at)));
  }
  return least;
}

/** Days that a slow drift is looked for in, at the least and at the most. */
const [DRIFTS, LONGEST] = [3, 14];

/**
 * How one point goes away from another of its kind day by day: what their difference has come to, how much of it came in a
 * day, and how much better a steady line tells it than a step does (1: all, 0: no better). null: too little of both.
 */
export function driftOf(
  a: PointTrack,
  b: PointTrack,
): { readonly by: number; readonly aDay: number; readonly steady: number } | null {
  const last = Math.min(a.track.at.at(-1) ?? 0, b.track.at.at(-1) ?? 0);
  const mean = ({ series, track }: PointTrack, day: number): number | null => {
    const [i, j] = [firstAt(track.at, last - (day + 1) * DAY), firstAt(track.at, last - day * DAY)];
    if (j - i < 24) return null;
    let sum = 0;
    for (let k = i; k < j; k += 1) sum += fromSteps(track.steps[k] ?? 0, series.quantity);
    return sum / (j - i);
  };
  // The oldest first.
  const apart: number[] = [];
  for (let day = LONGEST + 6; day >= 0; day -= 1) {
    const [x, y] = [mean(a, day), mean(b, day)];
    if (x !== null && y !== null) apart.push(x - y);
  }
  let best: { by: number; aDay: number; steady: number } | null = null;
  for (let days = DRIFTS; days <= Math.min(LONGEST, apart.length - 1); days += 1) {
    const before = apart.slice(0, apart.length - days);
    const level =
      before.length > 0 ? (before.sort((p, q) => p - q)[before.length >> 1] ?? 0) : (apart[0] ?? 0);
    const own = apart.slice(-days).map((it) => it - level);
    // A line from nothing, and the best step: which tells it better?
    const [xy, xx] = own.reduce(([p, q], it, i) => [p + (i + 1) * it, q + (i + 1) ** 2], [0, 0]);
    const aDay = xy / xx;
    const line = own.reduce((sum, it, i) => sum + (it - aDay * (i + 1)) ** 2, 0);
    let step = Infinity;
    for (let at = 0; at < days; at += 1) {
      const late = own.slice(at);
      const height = late.reduce((sum, it) => sum + it, 0) / late.length;
      step = Math.min(
        step,
        own.reduce((sum, it, i) => sum + (i < at ? it : it - height) ** 2, 0),
      );
    }
    const by = own.at(-1) ?? 0;
    const steady = step > 1e-12 ? 1 - line / step : 0;
    if (!best || steady * Math.abs(by) > best.steady * Math.abs(best.by)) best = { by, aDay, steady };
  }
  return best;
}

/** Readings of two points are compared by stretches of three hours. */
const PART = 3 * HOUR;

/** The readings of now against those of the same hour of the day before. */
function shiftsOf(
  { series, track }: PointTrack,
  baseTo: number,
  last: number,
  isDay: (at: number) => boolean,
): Pick<Course, 'shift' | 'lightShift' | 'darkShift'> {
  const sums = new Float64Array(24);
  const counts = new Float64Array(24);
  const hourOf = (at: number): number => Math.floor((at / HOUR) % 24);
  for (let k = firstAt(track.at, baseTo - 14 * DAY); k < firstAt(track.at, baseTo); k += 1) {
    const hour = hourOf(track.at[k] ?? 0);
    sums[hour] = (sums[hour] ?? 0) + fromSteps(track.steps[k] ?? 0, series.quantity);
    counts[hour] = (counts[hour] ?? 0) + 1;
  }
  const over = (from: number, which: (at: number) => boolean): number | null => {
    let [sum, n] = [0, 0];
    for (let k = firstAt(track.at, Math.max(from, baseTo)); k < track.at.length; k += 1) {
      const at = track.at[k] ?? 0;
      const hour = hourOf(at);
      if (!which(at) || (counts[hour] ?? 0) < 2) continue;
      sum += fromSteps(track.steps[k] ?? 0, series.quantity) - (sums[hour] ?? 0) / (counts[hour] ?? 1);
      n += 1;
    }
    return n < 6 ? null : sum / n;
  };
  return {
    shift: { recent: over(last - 6 * HOUR, () => true), day: over(last - DAY, () => true) },
    lightShift: over(last - DAY, isDay),
    darkShift: over(last - DAY, (at) => !isDay(at)),
  };
}
