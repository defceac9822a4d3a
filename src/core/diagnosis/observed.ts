import { DAY, firstAt, fromSteps, HOUR, type MeasuringPlace } from '../readings';
import type { Design } from '../document';
import type { PointTrack } from './features';
import { onsetOf } from './onset';
import { mornings } from './schedule';
import { PARTS_OF_DAY, partOf, type PlaceDay } from './yardstick';

/** One thing that is compared: warmth or dew point of a place in one part of the day. */
export interface Measure {
  readonly place: MeasuringPlace;
  readonly what: 'warmth' | 'dew';
  readonly part: number;
}

/** How readings differ from what they were at the same hours, and by how much they differ anyway. */
export interface Observed {
  readonly measures: readonly Measure[];
  /** K */
  readonly change: readonly number[];
  /** What was usual, °C. */
  readonly usual: readonly number[];
  /** K²: what weather moves all of it by, warmth and dew apart, and each by itself. */
  readonly common: { readonly warmth: number; readonly dew: number };
  readonly own: readonly number[];
  /** What each would differ by if the whole day came so many hours later, K. */
  readonly later: readonly (readonly number[])[];
  /** Since when it is looked at, ms since 1970. */
  readonly from: number;
}

/** °C of dew from °C and relative humidity: Magnus’ formula with the constants of the guide of the WMO (No. 8). */
function dewOf(celsius: number, relative: number): number {
  const gamma = Math.log(Math.max(0.02, Math.min(1, relative))) + (17.62 * celsius) / (243.12 + celsius);
  return (243.12 * gamma) / (17.62 - gamma);
}

interface Course {
  readonly place: MeasuringPlace;
  readonly what: Measure['what'];
  readonly at: Float64Array;
  readonly value: Float64Array;
}

/** Warmth and dew point of every place, as they were read: moisture is told from warmth by the dew point. */
function coursesOf(points: readonly PointTrack[]): readonly Course[] {
  const found: Course[] = [];
  const done = new Set<MeasuringPlace>();
  for (const { series, track } of points) {
    const { place } = series;
    if (series.quantity !== 'temperature' || done.has(place)) continue;
    done.add(place);
    const warmth = Float64Array.from(track.steps, (it) => fromSteps(it, 'temperature'));
    found.push({ place, what: 'warmth', at: track.at, value: warmth });
    const damp = points.find((it) => it.series.place === place && it.series.quantity === 'humidity');
    if (!damp) continue;
    const at: number[] = [];
    const dew: number[] = [];
    for (let i = 0; i < damp.track.at.length; i += 1) {
      const t = damp.track.at[i] ?? 0;
      const k = Math.min(track.at.length - 1, firstAt(track.at, t));
      if (k < 0 || Math.abs((track.at[k] ?? 0) - t) > BESIDE) continue;
      at.push(t);
      dew.push(dewOf(warmth[k] ?? 20, fromSteps(damp.track.steps[i] ?? 0, 'humidity')));
    }
    found.push({ place, what: 'dew', at: Float64Array.from(at), value: Float64Array.from(dew) });
  }
  return found;
}

/** How far apart temperature and humidity may be read and still be of one moment, ms. */
const BESIDE = 0.6 * HOUR;
/** Parts of a day that what is usual is told by; days it is told from; readings a part of the day is told by at the least. */
const [BINS, LOOKS_BACK, FEWEST] = [48, 14, 4];
/** Hours that a timer may be off by. */
const SHIFTS = [-4, -3, -2, 2, 3, 4];
/** What rooms differ by from day to day, and places of a box among themselves, K; a prior worth so many days. */
const [ROOM, ALONE, WORTH] = [{ warmth: 0.7, dew: 1.3 }, { warmth: 0.25, dew: 0.4 }, 4];
/** What is usual was told from the same days: they differ from it by a little less than others do. */
const TOLD_BY_ITSELF = 1.3;

const within = (at: number, morning: number): number => (((at - morning) % DAY) + DAY) % DAY;

/** What was usual of a course, by the parts of its day. */
interface Usual {
  readonly at: (moment: number) => number | null;
  /** Mean over one part of the day, of this day or of one that comes some hours later. */
  readonly mean: (part: number, later: number) => number | null;
}

function usualOf(
  course: Course,
  from: number,
  to: number,
  morning: number,
  part: (at: number) => number,
): Usual | null {
  const sums = new Float64Array(BINS);
  const counts = new Float64Array(BINS);
  const bin = (at: number): number => Math.floor((within(at, morning) / DAY) * BINS) % BINS;
  for (let k = firstAt(course.at, from); k < firstAt(course.at, to); k += 1) {
    const b = bin(course.at[k] ?? 0);
    sums[b] = (sums[b] ?? 0) + (course.value[k] ?? 0);
    counts[b] = (counts[b] ?? 0) + 1;
  }
  if (counts.filter((it) => it > 0).length < BINS * 0.8) return null;
  const of = (b: number): number | null => ((counts[b] ?? 0) > 0 ? (sums[b] ?? 0) / (counts[b] ?? 1) : null);
  return {
    at: (moment) => of(bin(moment)),
    mean: (own, later) => {
      let [sum, n] = [0, 0];
      for (let b = 0; b < BINS; b += 1) {
        if (part(morning + ((b + 0.5) / BINS) * DAY) !== own) continue;
        const value = of((b - Math.round((later / 24) * BINS) + BINS) % BINS);
        if (value === null) continue;
        sum += value;
        n += 1;
      }
      return n > 0 ? sum / n : null;
    },
  };
}

/**
 * How the readings from a moment on differ from what was usual before another; null: too little is known of either.
 * @param from ms since 1970, where what is looked at begins
 * @param baseTo where what is usual ends
 * @param last where what is looked at ends
 */
export function observe(
  points: readonly PointTrack[],
  isDay: (at: number) => boolean,
  from: number,
  baseTo: number,
  last: number,
): Observed | null {
  const morning = mornings(last - 3 * DAY, last, isDay).at(-1);
  if (morning === undefined) return null;
  let dusk = morning;
  while (isDay(dusk + HOUR / 6) && dusk < morning + DAY) dusk += HOUR / 6;
  const part = (at: number): number => partOf(within(at, morning) / 1000, (dusk - morning) / 1000);
  const baseFrom = baseTo - LOOKS_BACK * DAY;
  const span = last - from;
  const measures: Measure[] = [];
  const change: number[] = [];
  const usual: number[] = [];
  const later: number[][] = SHIFTS.map(() => []);
  const pasts: (readonly (number | null)[])[] = [];
  for (const course of coursesOf(points)) {
    const known = usualOf(course, baseFrom, baseTo, morning, part);
    if (!known) continue;
    const window = (a: number, z: number): readonly (number | null)[] => {
      const off = new Float64Array(PARTS_OF_DAY);
      const count = new Float64Array(PARTS_OF_DAY);
      for (let k = firstAt(course.at, a); k < course.at.length && (course.at[k] ?? 0) <= z; k += 1) {
        const base = known.at(course.at[k] ?? 0);
        if (base === null) continue;
        const p = part(course.at[k] ?? 0);
        off[p] = (off[p] ?? 0) + (course.value[k] ?? 0) - base;
        count[p] = (count[p] ?? 0) + 1;
      }
      return Array.from(off, (sum, p) => ((count[p] ?? 0) >= FEWEST ? sum / (count[p] ?? 1) : null));
    };
    const now = window(from, last);
    // Windows of as long, at the same hours of earlier days: what it differs by anyway.
    const past: (readonly (number | null)[])[] = [];
    for (let days = 0; days < LOOKS_BACK; days += 1) {
      const end = last - (Math.ceil((last - baseTo) / DAY) + days) * DAY;
      if (end - span < Math.max(baseFrom, course.at[0] ?? 0)) break;
      past.push(window(end - span, end));
    }
    for (let p = 0; p < PARTS_OF_DAY; p += 1) {
      const own = now[p];
      const mean = known.mean(p, 0);
      if (own === null || own === undefined || mean === null) continue;
      measures.push({ place: course.place, what: course.what, part: p });
      change.push(own);
      usual.push(mean);
      SHIFTS.forEach((hours, i) => {
        const moved = course.place === 'room' ? null : known.mean(p, hours);
        later[i]?.push(moved === null ? 0 : moved - mean);
      });
      pasts.push(past.map((it) => it[p] ?? null));
    }
  }
  return measures.length < 2 ? null : { measures, change, usual, ...scatterOf(measures, pasts), later, from };
}

/** What earlier days differed by: all of it together, and each measure by itself. */
function scatterOf(
  measures: readonly Measure[],
  pasts: readonly (readonly (number | null)[])[],
): Pick<Observed, 'common' | 'own'> {
  const days = Math.max(0, ...pasts.map((it) => it.length));
  const common = { warmth: 0, dew: 0 };
  const own = new Array<number>(measures.length).fill(0);
  for (const what of ['warmth', 'dew'] as const) {
    const of = measures.flatMap((it, i) => (it.what === what ? [i] : []));
    let [sum, count] = [0, 0];
    const off = of.map(() => ({ sum: 0, count: 0 }));
    for (let day = 0; day < days; day += 1) {
      const row = of.map((i) => pasts[i]?.[day] ?? null);
      const all = row.filter((it) => it !== null);
      if (all.length === 0) continue;
      const mean = all.reduce((a, b) => a + b, 0) / all.length;
      sum += mean * mean;
      count += 1;
      row.forEach((it, k) => {
        const at = off[k];
        if (it === null || !at) return;
        at.sum += (it - mean) ** 2;
        at.count += 1;
      });
    }
    common[what] = (TOLD_BY_ITSELF * sum + WORTH * ROOM[what] ** 2) / (count + WORTH);
    of.forEach((i, k) => {
      const at = off[k] ?? { sum: 0, count: 0 };
      own[i] = (TOLD_BY_ITSELF * at.sum + WORTH * ALONE[what] ** 2) / (at.count + WORTH);
    });
  }
  return { common, own };
}

/** What the places of a box read in the parts of its usual days; a place of which too little is known is left out. */
export function usualDays(
  points: readonly PointTrack[],
  isDay: (at: number) => boolean,
  design: Pick<Design, 'climate'>,
): ReadonlyMap<MeasuringPlace, PlaceDay> {
  const last = Math.max(...points.map((it) => it.track.at.at(-1) ?? -Infinity));
  const baseTo = baseEnds(points, onsetOf(points, isDay, design)?.at ?? null, last);
  const seen = observe(points, isDay, last - DAY, baseTo, last);
  const found = new Map<MeasuringPlace, { warmth: number[]; dew: number[] }>();
  seen?.measures.forEach(({ place, what, part }, i) => {
    const own = found.get(place) ?? { warmth: [], dew: [] };
    own[what][part] = seen.usual[i] ?? 0;
    found.set(place, own);
  });
  const whole = (all: readonly number[]): boolean =>
    Array.from({ length: PARTS_OF_DAY }, (_, part) => all[part]).every((it) => it !== undefined);
  return new Map([...found].filter(([, { warmth, dew }]) => whole(warmth) && whole(dew)));
}

/** Hours that are looked at: of several the one in which it stands out most, the longest first. */
const SPANS = [24, 15, 12, 9];
/** By how much a shorter one must stand out more. */
const MORE = 1.1;
/** Days that what is usual ends before the last reading, where nobody knows when it changed; at the least where one does. */
const [UNKNOWN, KNOWN] = [4, 2];

/** How far something stands out: its square over what it differs by anyway, on average. */
export const standsOut = ({ measures, change, own, common }: Observed): number =>
  measures.reduce(
    (sum, it, i) =>
      it.place === 'room' ? sum : sum + (change[i] ?? 0) ** 2 / ((own[i] ?? 1) + common[it.what]),
    0,
  ) / measures.length;

/** Where what is usual ends. */
function baseEnds(points: readonly PointTrack[], onset: number | null, last: number): number {
  const first = Math.min(...points.map((it) => it.track.at[0] ?? Infinity));
  if (last - first <= (UNKNOWN + 3) * DAY) return last - DAY;
  return onset === null ? last - UNKNOWN * DAY : Math.min(onset, last - KNOWN * DAY);
}

/**
 * What the readings of the last hours differ by, over the span in which they differ most; null: less than some days are known.
 * @param onset since when the box is otherwise, ms since 1970; null: not known
 * @param last when anything was heard last
 */
export function observed(
  points: readonly PointTrack[],
  isDay: (at: number) => boolean,
  onset: number | null,
  last: number,
): Observed | null {
  const baseTo = baseEnds(points, onset, last);
  let best: { readonly seen: Observed; readonly far: number } | null = null;
  for (const hours of SPANS) {
    const seen = observe(points, isDay, last - hours * HOUR, baseTo, last);
    if (!seen) continue;
    const far = standsOut(seen);
    if (!best || far > MORE * best.far) best = { seen, far };
  }
  return best?.seen ?? null;
}
