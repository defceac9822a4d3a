import { DAY, HOUR } from '../physics/constants';

/** By how much something was off at moments, s, in their order. */
export interface Offs {
  readonly t: readonly number[];
  readonly off: readonly number[];
}

/** s: how long it stays off as it is this hour, these days, and in this way by the hour of the day (estimated). */
const [NEAR, LATELY, SHAPE] = [3 * HOUR, 1.5 * DAY, 5 * DAY];
/** s after which what it was off by lately has faded into what it was off by all the time. */
const FADES = 5 * DAY;
/** Days at which the way it is off by the time of day is believed half. */
const BELIEVED = 1;

/** Stretches of a day that are told apart: as fine as readings are kept, for a misting is over in an hour. */
const PARTS = 96;
const partOf = (t: number): number => Math.floor(((((t % DAY) + DAY) % DAY) / DAY) * PARTS);

/**
 * What something will be off by after a moment, from what it was off by before: as it is now, for some hours; as lately; by
 * the time of day; and in the end as it always was.
 * @returns 0 where nothing was read before that moment
 */
export function patternOf({ t, off }: Offs, until: number): (at: number) => number {
  let last = -1;
  let [all, lately, sum, weight] = [0, 0, 0, 0];
  for (let i = 0; i < t.length && (t[i] ?? Infinity) <= until; i += 1) {
    const w = Math.exp(((t[i] ?? 0) - until) / LATELY);
    all += off[i] ?? 0;
    lately += w * (off[i] ?? 0);
    weight += w;
    sum += 1;
    last = i;
  }
  if (last < 0) return () => 0;
  const level = lately / weight;
  const ever = all / sum;
  const shape = new Float64Array(PARTS);
  const heard = new Float64Array(PARTS);
  const days = Array.from({ length: PARTS }, () => new Set<number>());
  let [mean, heardAll] = [0, 0];
  for (let i = 0; i <= last; i += 1) {
    const at = t[i] ?? 0;
    const w = Math.exp((at - until) / SHAPE);
    const part = partOf(at);
    shape[part] = (shape[part] ?? 0) + w * (off[i] ?? 0);
    heard[part] = (heard[part] ?? 0) + w;
    days[part]?.add(Math.floor(at / DAY));
    mean += w * (off[i] ?? 0);
    heardAll += w;
  }
  mean /= heardAll;
  const byPart = shape.map((it, part) => {
    const known = days[part]?.size ?? 0;
    const own = heard[part] ?? 0;
    return own > 0 ? (it / own - mean) * (known / (known + BELIEVED)) : 0;
  });
  const shapeAt = (at: number): number => {
    // Between the middles of two of them.
    const place = ((((at % DAY) + DAY) % DAY) / DAY) * PARTS - 0.5;
    const low = Math.floor(place);
    const part = place - low;
    return (
      (byPart[(low + PARTS) % PARTS] ?? 0) * (1 - part) + (byPart[(low + PARTS + 1) % PARTS] ?? 0) * part
    );
  };
  const lastAt = t[last] ?? 0;
  const left = (off[last] ?? 0) - level - shapeAt(lastAt);
  return (at) => {
    const ahead = Math.max(0, at - until);
    const faded = Math.exp(-ahead / FADES);
    return (
      level * faded + ever * (1 - faded) + shapeAt(at) + left * Math.exp(-Math.max(0, at - lastAt) / NEAR)
    );
  };
}
