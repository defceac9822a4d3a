import { findDeviceKind, type Catalogue } from '../catalogue';
import type { Design } from '../document';
import { HOUR, type MeasuringPlace } from '../readings';
import { courseOf, driftOf, partingOf, type Course, type PointTrack } from './features';
import { onsetOf, type Onset } from './onset';
import { dayShift, isTimed, mistingSeen } from './schedule';
import type { SignId } from './types';
import { difference, message, type Message } from '../units';

/** What the readings of a box come to, all together. */
export interface Facts {
  readonly temperatures: readonly Course[];
  readonly humidities: readonly Course[];
  readonly others: readonly Course[];
  readonly room: readonly Course[];
  /** K and share by which the box is warmer and wetter than it was; null: not known. */
  readonly warmer: number | null;
  readonly wetter: number | null;
  /** K of that which lies within what its days differ by anyway. */
  readonly usualTemperature: number;
  readonly usualWet: number;
  /** Sudden rises of humidity, against before: 1 as many; null: there were none, or none are known. */
  readonly mists: number | null;
  /** By how much that may be wrong. */
  readonly mistsOff: number;
  /** The same, of those that were due since a moment; null where nobody knows when they are due. */
  readonly mistsSince: (from: number) => { readonly mists: number | null; readonly mistsOff: number };
  /** Share of the daily rise of warmth that is missing by day; null: there is none to miss. */
  readonly lampsMissing: number | null;
  /** K by which its nights are warmer than they were; null: not known. */
  readonly nightWarmer: number | null;
  /** K by which its days are warmer than its nights. */
  readonly dailyRise: number;
  /** Points that parted from the others of their kind. */
  readonly parted: readonly {
    readonly course: Course;
    readonly by: number;
    readonly growing: number;
    readonly steady: number;
    /** Day by day, over up to two weeks. */
    readonly slow: ReturnType<typeof driftOf>;
  }[];
  /** Since when the box is otherwise for good; null: it is not, or only since some hours. */
  readonly onset: Onset | null;
  /** Hours by which lamps and mistings come later than they are set; null: they do not, as far as is seen. */
  readonly late: number | null;
  readonly now: number;
  /** When anything was heard last; now, where that was long ago. */
  readonly asOf: number;
}

/** Whether a probe is silent while it should be heard. */
export const isSilent = ({ series, last }: Course, { asOf }: Pick<Facts, 'asOf'>): boolean =>
  series.source !== null && asOf - last > SILENT * HOUR;

/** null of none. */
export const median = (all: readonly number[]): number | null => {
  const sorted = [...all].sort((a, b) => a - b);
  const middle = sorted.length >> 1;
  if (sorted.length === 0) return null;
  return sorted.length % 2 === 1
    ? (sorted[middle] ?? null)
    : ((sorted[middle - 1] ?? 0) + (sorted[middle] ?? 0)) / 2;
};
/** Those that are known. */
export const known = (all: readonly (number | null | undefined)[]): number[] =>
  all.filter((it): it is number => it !== null && it !== undefined);

/** Hours without a word after which one probe is silent, or all of them: a hub misses some hours now and then. */
const [SILENT, ALL_SILENT] = [3, 12];

/** What a probe that is flat, silent or gone astray says is not what the box does. */
const trusted = (course: Course, asOf: number): boolean =>
  course.flatSince === null && asOf - course.last < SILENT * HOUR;

/** The larger of what the last six hours and the last day say. */
const shiftOf = ({ shift }: Course, usual: number): number | null => {
  const { recent, day } = shift;
  if (day === null) return recent;
  return recent !== null && Math.abs(day) < usual && Math.abs(recent) > 2 * usual ? recent : day;
};

const IN_BOX: ReadonlySet<MeasuringPlace> = new Set(['warm', 'cool', 'canopy', 'basking', 'hide']);

export function factsOf(
  points: readonly PointTrack[],
  isDay: (at: number) => boolean,
  now: number,
  design: Pick<Design, 'climate'>,
): Facts {
  const onset = onsetOf(points, isDay, design);
  const courses = points.flatMap((point) => {
    const course = courseOf(point, isDay, onset?.at ?? null);
    return course ? [{ point, course }] : [];
  });
  const latest = Math.max(...courses.map((it) => it.course.last));
  const asOf = now - latest > ALL_SILENT * HOUR ? now : latest;
  const inBox = courses.filter((it) => IN_BOX.has(it.course.series.place));
  const of = (quantity: string) => inBox.filter((it) => it.course.series.quantity === quantity);
  const parted = (['temperature', 'humidity'] as const).flatMap((quantity) => {
    const same = of(quantity).filter((it) => trusted(it.course, asOf));
    if (same.length < 2) return [];
    return same.flatMap(({ point, course }) => {
      const rest = same.filter((it) => it.course !== course);
      const ways = rest.flatMap((it) => partingOf(point, it.point) ?? []);
      const slow = rest.flatMap((it) => driftOf(point, it.point) ?? []);
      const by = median(ways.map((it) => it.by));
      const growing = median(ways.map((it) => it.growing));
      const steady = median(ways.map((it) => it.steady));
      return by === null || growing === null || steady === null
        ? []
        : [{ course, by, growing, steady, slow: slow[0] ?? null }];
    });
  });
  const temperatures = of('temperature').map((it) => it.course);
  const humidities = of('humidity').map((it) => it.course);
  const sound = (all: readonly Course[]): readonly Course[] => all.filter((it) => trusted(it, asOf));
  const usualTemperature = Math.max(0.9, 2.9 * (median(temperatures.map((it) => it.spread)) ?? 0));
  const usualWet = Math.max(0.045, 2.9 * (median(humidities.map((it) => it.spread)) ?? 0));
  const heard = of('humidity').filter((it) => trusted(it.course, asOf));
  const mistsFrom = (from?: number) => {
    const due = heard.map((it) => mistingSeen(it.point, design, it.course.baseTo, isDay, from));
    return {
      due,
      mists: median(known(due.map((it) => it.share))),
      mistsOff: median(due.flatMap((it) => (it.share === null ? [] : [it.error]))) ?? 0.5,
    };
  };
  const { due, mists: atDue, mistsOff } = mistsFrom();
  const mists = isTimed(design) ? atDue : mistsCounted(sound(humidities));
  const risesOf = sound(temperatures).flatMap(({ base: it }) =>
    it && it.day !== null && it.night !== null ? [it.day - it.night] : [],
  );
  const swings = known(
    sound(temperatures).map(({ base: it, lightShift, darkShift }) =>
      // What the nights lost as well was not the lamps’.
      it && it.day !== null && it.night !== null && lightShift !== null && it.day - it.night > 1.2
        ? (Math.min(0, darkShift ?? 0) - lightShift) / (it.day - it.night)
        : null,
    ),
  );
  return {
    temperatures,
    humidities,
    others: courses.filter((it) => !inBox.includes(it)).map((it) => it.course),
    room: courses.map((it) => it.course).filter((it) => it.series.place === 'room'),
    warmer: median(known(sound(temperatures).map((it) => shiftOf(it, usualTemperature)))),
    wetter: median(known(sound(humidities).map((it) => shiftOf(it, usualWet)))),
    usualTemperature,
    usualWet,
    mists,
    mistsOff,
    mistsSince: (from) => (isTimed(design) ? mistsFrom(from) : { mists: null, mistsOff }),
    lampsMissing: median(swings),
    nightWarmer: median(known(sound(temperatures).map((it) => it.darkShift))),
    dailyRise: median(risesOf) ?? 0,
    parted,
    onset,
    asOf,
    late: lateBy(
      inBox.filter((it) => trusted(it.course, asOf)),
      median(known(due.map((it) => it.late))),
    ),
    now,
  };
}

/** Mistings by the sudden rises of humidity alone, where nobody knows when they are due. */
const mistsCounted = (humidities: readonly Course[]): number | null =>
  median(
    known(
      humidities.map(({ base, now: own }) =>
        base && own && base.rises * base.risen >= 0.09 && own.full < 0.5
          ? // Their number and what they come to in a day: a weak one is not none, a chance one is not a misting.
            (own.rises / base.rises + (own.rises * own.risen) / (base.rises * base.risen)) / 2
          : null,
      ),
    ),
  );

/** Share of the difference of two days that a shift of the whole day must explain, and hours of it at the least. */
const [EXPLAINS, SHIFTED] = [0.6, 1.5];

/** Hours by which the days of a box come later: by most of its temperatures, or by its mistings. */
function lateBy(
  inBox: readonly { readonly point: PointTrack; readonly course: Course }[],
  mistLate: number | null,
): number | null {
  const shifts = inBox
    .filter((it) => it.course.series.quantity === 'temperature')
    .flatMap((it) => dayShift(it.point, it.course.baseTo) ?? []);
  const clear = shifts.filter((it) => it.explains >= EXPLAINS && Math.abs(it.late) >= SHIFTED);
  if (clear.length > 0 && clear.length * 2 >= shifts.length) return median(clear.map((it) => it.late));
  // Where the lamps’ days can be told they decide: air dries and dampens for other reasons at every hour.
  return shifts.length > 0 ? null : mistLate;
}

/** Share of the rises of humidity under which it is as good as not misted. */
export const NO_MIST = 0.4;

/** Share of the daily rise of warmth whose lack means that the lamps are off. */
export const LAMPS_GONE = 0.55;

/** Signs that readings give by themselves. */
export function signsRead(
  facts: Facts,
  misted: boolean,
): readonly { readonly sign: SignId; readonly words: Message }[] {
  const found: { sign: SignId; words: Message }[] = [];
  const { warmer, wetter, usualTemperature, usualWet } = facts;
  if (warmer !== null && warmer > usualTemperature)
    found.push({ sign: 'hot', words: message`${difference(warmer, 1)} warmer than at these hours before` });
  if (warmer !== null && warmer < -usualTemperature)
    found.push({ sign: 'cold', words: message`${difference(-warmer, 1)} colder than at these hours before` });
  else if (facts.lampsMissing !== null && facts.lampsMissing > LAMPS_GONE)
    found.push({ sign: 'cold', words: message`by day it does not grow warm as it did` });
  if (wetter !== null && wetter > usualWet)
    found.push({
      sign: 'wet',
      words: message`humidity ${Math.round(100 * wetter)} points higher than at these hours before`,
    });
  if (wetter !== null && wetter < -usualWet)
    found.push({
      sign: 'dry',
      words: message`humidity ${Math.round(-100 * wetter)} points lower than at these hours before`,
    });
  else if (misted && facts.mists !== null && facts.mists < NO_MIST && (wetter ?? 0) < usualWet)
    found.push({ sign: 'dry', words: message`humidity no longer rises as it does when it is misted` });
  for (const it of [...facts.temperatures, ...facts.humidities, ...facts.others]) {
    if (it.flatSince !== null)
      found.push({ sign: 'probe', words: message`${it.series.name} reads one and the same for hours` });
    else if (isSilent(it, facts))
      found.push({
        sign: 'probe',
        words: message`${it.series.name} has not been heard for ${Math.round((facts.now - it.last) / HOUR)} h`,
      });
  }
  for (const it of facts.parted)
    if (isParted(it, facts))
      found.push({
        sign: 'probe',
        words: message`${it.course.series.name} goes away from the others of its kind`,
      });
  return found;
}

/** Whether a point truly left the others of its kind, and goes on leaving them. */
export function isParted(
  { course, by, growing, steady, slow }: Facts['parted'][number],
  facts: Facts,
): boolean {
  const humid = course.series.quantity === 'humidity';
  const drifts =
    slow !== null &&
    slow.steady > 0.5 &&
    Math.abs(slow.by) >= (humid ? 0.06 : 0.9) &&
    Math.sign(slow.by) === Math.sign(slow.aDay);
  if (drifts) return leftAlone(course, facts);
  // Far away, and going on: what parts for a reason within the box stays where it came to.
  if (Math.abs(by) < (humid ? 0.1 : 2) || Math.sign(by) !== Math.sign(growing)) return false;
  if (Math.abs(growing) < (humid ? 0.06 : 1.2) || steady < 0.6) return false;
  return leftAlone(course, facts);
}

/** Of two that parted, the one that left what it used to read. */
function leftAlone(course: Course, facts: Facts): boolean {
  const own = Math.abs(course.shift.day ?? 0);
  const others = facts.parted
    .filter((it) => it.course !== course && it.course.series.quantity === course.series.quantity)
    .map((it) => Math.abs(it.course.shift.day ?? 0));
  // Where the others left as well, something happened to all of them.
  const usual = course.series.quantity === 'humidity' ? facts.usualWet : facts.usualTemperature;
  return others.every((it) => own > it && it < usual);
}

/** Whether anything mists or fogs, by hand or by itself. */
export const isMisted = (design: Design, catalogue: Catalogue): boolean =>
  design.climate.mist.times.length > 0 ||
  design.climate.devices.some((it) => {
    const kind = findDeviceKind(catalogue, it.kind);
    return kind?.form === 'nozzle' || kind?.form === 'fogger';
  });
