import { findDeviceKind, type Catalogue } from '../catalogue';
import type { Design } from '../document';
import { HOUR, type MeasuringPlace } from '../readings';
import { courseOf, partingOf, type Course, type PointTrack } from './features';
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
  /** Share of the daily rise of warmth that is missing by day; null: there is none to miss. */
  readonly lampsMissing: number | null;
  /** K by which its days are warmer than its nights. */
  readonly dailyRise: number;
  /** Points that parted from the others of their kind. */
  readonly parted: readonly {
    readonly course: Course;
    readonly by: number;
    readonly growing: number;
    readonly steady: number;
  }[];
  readonly now: number;
}

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

/** What a probe that is flat, silent or gone astray says is not what the box does. */
const trusted = (course: Course, now: number): boolean =>
  course.flatSince === null && now - course.last < 3 * HOUR;

/** The larger of what the last six hours and the last day say. */
const shiftOf = ({ shift }: Course, usual: number): number | null => {
  const { recent, day } = shift;
  if (day === null) return recent;
  return recent !== null && Math.abs(day) < usual && Math.abs(recent) > 2 * usual ? recent : day;
};

const IN_BOX: ReadonlySet<MeasuringPlace> = new Set(['warm', 'cool', 'canopy', 'basking', 'hide']);

export function factsOf(points: readonly PointTrack[], isDay: (at: number) => boolean, now: number): Facts {
  const courses = points.flatMap((point) => {
    const course = courseOf(point, isDay);
    return course ? [{ point, course }] : [];
  });
  const inBox = courses.filter((it) => IN_BOX.has(it.course.series.place));
  const of = (quantity: string) => inBox.filter((it) => it.course.series.quantity === quantity);
  const parted = (['temperature', 'humidity'] as const).flatMap((quantity) => {
    const same = of(quantity).filter((it) => trusted(it.course, now));
    if (same.length < 2) return [];
    return same.flatMap(({ point, course }) => {
      const ways = same
        .filter((it) => it.course !== course)
        .flatMap((it) => partingOf(point, it.point) ?? []);
      const by = median(ways.map((it) => it.by));
      const growing = median(ways.map((it) => it.growing));
      const steady = median(ways.map((it) => it.steady));
      return by === null || growing === null || steady === null ? [] : [{ course, by, growing, steady }];
    });
  });
  const temperatures = of('temperature').map((it) => it.course);
  const humidities = of('humidity').map((it) => it.course);
  const sound = (all: readonly Course[]): readonly Course[] => all.filter((it) => trusted(it, now));
  const usualTemperature = Math.max(0.9, 2.4 * (median(temperatures.map((it) => it.spread)) ?? 0));
  const usualWet = Math.max(0.045, 2.4 * (median(humidities.map((it) => it.spread)) ?? 0));
  const mists = median(
    known(
      sound(humidities).map(({ base, now: own }) =>
        base && own && base.rises * base.risen >= 0.09 && own.full < 0.5
          ? // Their number and what they come to in a day: a weak one is not none, a chance one is not a misting.
            (own.rises / base.rises + (own.rises * own.risen) / (base.rises * base.risen)) / 2
          : null,
      ),
    ),
  );
  const risesOf = sound(temperatures).flatMap(({ base: it }) =>
    it && it.day !== null && it.night !== null ? [it.day - it.night] : [],
  );
  const swings = known(
    sound(temperatures).map(({ base: it, lightShift }) =>
      it && it.day !== null && it.night !== null && lightShift !== null && it.day - it.night > 1.2
        ? -lightShift / (it.day - it.night)
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
    lampsMissing: median(swings),
    dailyRise: median(risesOf) ?? 0,
    parted,
    now,
  };
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
    else if (facts.now - it.last > 3 * HOUR && it.series.source !== null)
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
export function isParted({ course, by, growing, steady }: Facts['parted'][number], facts: Facts): boolean {
  const humid = course.series.quantity === 'humidity';
  // Far away, and going on: what parts for a reason within the box stays where it came to.
  if (Math.abs(by) < (humid ? 0.1 : 2) || Math.sign(by) !== Math.sign(growing)) return false;
  if (Math.abs(growing) < (humid ? 0.06 : 1.2) || steady < 0.6) return false;
  // Of two that parted, the one that left what it used to read.
  const own = Math.abs(course.shift.day ?? 0);
  const others = facts.parted
    .filter((it) => it.course !== course && it.course.series.quantity === course.series.quantity)
    .map((it) => Math.abs(it.course.shift.day ?? 0));
  return others.every((it) => own > it);
}

/** Whether anything mists or fogs, by hand or by itself. */
export const isMisted = (design: Design, catalogue: Catalogue): boolean =>
  design.climate.mist.times.length > 0 ||
  design.climate.devices.some((it) => {
    const kind = findDeviceKind(catalogue, it.kind);
    return kind?.form === 'nozzle' || kind?.form === 'fogger';
  });
