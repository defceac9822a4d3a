import { STEP, type ReadQuantity } from './series';

/** Readings as two columns, in the order of time, each moment once. */
export interface Track {
  /** ms since 1970 */
  readonly at: Float64Array;
  /** Whole steps of the quantity. */
  readonly steps: Int32Array;
}

export const EMPTY_TRACK: Track = { at: new Float64Array(0), steps: new Int32Array(0) };

export const toSteps = (value: number, quantity: ReadQuantity): number => Math.round(value / STEP[quantity]);
export const fromSteps = (steps: number, quantity: ReadQuantity): number => steps * STEP[quantity];

/**
 * Brings readings into order, each moment once; of two values at one moment the later in the list is meant, as a logger
 * that writes a line again corrects it.
 */
export function trackOf(at: ArrayLike<number>, steps: ArrayLike<number>, count = at.length): Track {
  let sorted = true;
  for (let i = 1; i < count && sorted; i += 1) sorted = (at[i] ?? 0) > (at[i - 1] ?? 0);
  if (sorted) return { at: Float64Array.from(slice(at, count)), steps: Int32Array.from(slice(steps, count)) };
  const order = Uint32Array.from({ length: count }, (_, i) => i).sort(
    (a, b) => (at[a] ?? 0) - (at[b] ?? 0) || a - b,
  );
  const outAt = new Float64Array(count);
  const outSteps = new Int32Array(count);
  let n = 0;
  for (const from of order) {
    const t = at[from] ?? 0;
    if (n > 0 && outAt[n - 1] === t) n -= 1;
    outAt[n] = t;
    outSteps[n] = steps[from] ?? 0;
    n += 1;
  }
  return { at: outAt.slice(0, n), steps: outSteps.slice(0, n) };
}

const slice = (list: ArrayLike<number>, count: number): ArrayLike<number> =>
  list.length === count ? list : Array.prototype.slice.call(list, 0, count);

/**
 * Two sets of readings of one point as one. Where both read at one moment and differ the higher is kept: neither is more
 * right, and so every device comes to the same whatever the order they are merged in.
 */
export function mergeTracks(a: Track, b: Track): Track {
  if (a.at.length === 0) return b;
  if (b.at.length === 0) return a;
  const at = new Float64Array(a.at.length + b.at.length);
  const steps = new Int32Array(at.length);
  let [i, j, n] = [0, 0, 0];
  while (i < a.at.length || j < b.at.length) {
    const left = a.at[i] ?? Infinity;
    const right = b.at[j] ?? Infinity;
    at[n] = Math.min(left, right);
    steps[n] = Math.max(
      left <= right ? (a.steps[i] ?? 0) : -Infinity,
      right <= left ? (b.steps[j] ?? 0) : -Infinity,
    );
    if (left <= right) i += 1;
    if (right <= left) j += 1;
    n += 1;
  }
  return { at: at.slice(0, n), steps: steps.slice(0, n) };
}

/** Part of a track from a moment on and before another. */
export function cut({ at, steps }: Track, from: number, to: number): Track {
  const [i, j] = [firstAt(at, from), firstAt(at, to)];
  return { at: at.subarray(i, j), steps: steps.subarray(i, j) };
}

/** Index of the first moment not before t. */
export function firstAt(at: Float64Array, t: number): number {
  let [low, high] = [0, at.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((at[middle] ?? 0) < t) low = middle + 1;
    else high = middle;
  }
  return low;
}

export const HOUR = 3_600_000;
export const DAY = 24 * HOUR;
/** A block holds a week, counted from the first Thursday of 1970. */
export const WEEK = 7 * DAY;
export const weekOf = (at: number): number => Math.floor(at / WEEK);

/** A track parted at the ends of weeks. */
export function byWeek(track: Track): ReadonlyMap<number, Track> {
  const weeks = new Map<number, Track>();
  let i = 0;
  while (i < track.at.length) {
    const week = weekOf(track.at[i] ?? 0);
    const j = firstAt(track.at, (week + 1) * WEEK);
    weeks.set(week, { at: track.at.subarray(i, j), steps: track.steps.subarray(i, j) });
    i = j;
  }
  return weeks;
}

/** Lowest, mean and highest of each stretch that holds a reading; `at` is where the stretch begins. */
export interface Summary {
  readonly at: Float64Array;
  readonly low: Int32Array;
  readonly mean: Int32Array;
  readonly high: Int32Array;
  readonly count: Int32Array;
}

/** A track by stretches of equal length, ms. */
export function summarise({ at, steps }: Track, span: number): Summary {
  const starts: number[] = [];
  const [low, mean, high, count]: [number[], number[], number[], number[]] = [[], [], [], []];
  let i = 0;
  while (i < at.length) {
    const start = Math.floor((at[i] ?? 0) / span) * span;
    let [least, most, sum, n] = [Infinity, -Infinity, 0, 0];
    for (; i < at.length && (at[i] ?? 0) < start + span; i += 1) {
      const value = steps[i] ?? 0;
      least = Math.min(least, value);
      most = Math.max(most, value);
      sum += value;
      n += 1;
    }
    starts.push(start);
    low.push(least);
    high.push(most);
    mean.push(Math.round(sum / n));
    count.push(n);
  }
  return {
    at: Float64Array.from(starts),
    low: Int32Array.from(low),
    mean: Int32Array.from(mean),
    high: Int32Array.from(high),
    count: Int32Array.from(count),
  };
}

/** How long a silence is one: three times the usual distance of two readings, and at least two minutes. */
export function gapOver(at: Float64Array): number {
  if (at.length < 3) return Infinity;
  const apart = Float64Array.from(
    { length: at.length - 1 },
    (_, i) => (at[i + 1] ?? 0) - (at[i] ?? 0),
  ).sort();
  return Math.max(120_000, 3 * (apart[apart.length >> 1] ?? 0));
}
