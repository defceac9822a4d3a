import { animalThrough } from '../brief';
import type { Catalogue } from '../catalogue';
import { isDayIn } from '../climate';
import type { Design } from '../document/schema';
import { settingsAt } from '../document/seasonal';
import { onsetOf } from '../diagnosis/onset';
import { cut, DAY, type Series, type Track } from '../readings';
import { keepsMoist } from '../verdict/criteria';
import { lookAhead } from './ahead';
import { aheadInputOf } from './asked';
import { crossingsOf, type Crossing } from './crossings';
import type { Outlook } from './types';

/** The week to come of one enclosure, by the clock. */
export interface Week {
  readonly outlooks: readonly DatedOutlook[];
  /** Limits that may be passed, the soonest first. */
  readonly crossings: readonly Crossing[];
  /** How many days of the record the same look ahead was tried on. */
  readonly tried: number;
  /** ms since 1970 since when the box is otherwise than it was, and which alone is gone by; null: it is as it was. */
  readonly since: number | null;
  /** ms since 1970 at which the bottle of the misting system runs dry; null: not in this week, or not known. */
  readonly dry: number | null;
}

/** An outlook at even moments: ms since 1970 of the first, and between two. */
export interface DatedOutlook extends Omit<Outlook, 't'> {
  readonly from: number;
  readonly every: number;
}

/** Chance under which a limit is not told of: it was passed in no course, or in one by its mirror alone. */
const WORTH_TELLING = 0.2;

/** A change is known to about a day; a record of less than so many days more is kept whole from it on, ms. */
const [ABOUT, LEAST] = [DAY, 1.5 * DAY];

/** What a point read since its box is otherwise than it was: what it did before tells of another box. */
function sinceThen<T extends { readonly track: Track }>(point: T, since: number | null, now: number): T {
  if (since === null) return point;
  const from = now - since > ABOUT + LEAST ? since + ABOUT : since;
  return { ...point, track: cut(point.track, from, Infinity) };
}

/**
 * The next seven days of an enclosure from its drawing, what its points have read, and its log.
 * @param filled ms since 1970 at which the log has the bottle filled last; null: it does not say
 * @param offset ms by which the clock on the wall is ahead of UTC at a moment
 * @param now ms since 1970
 * @returns null where nothing was read that can be looked ahead from
 * @throws ImpossibleClimate where no enclosure comes to what it would
 */
export function weekAhead(
  design: Design,
  catalogue: Catalogue,
  points: readonly { readonly series: Series; readonly track: Track }[],
  filled: number | null,
  offset: (utc: number) => number,
  now: number,
): Week | null {
  const isDay = isDayIn(design.climate);
  const since = onsetOf(points, isDay, settingsAt(design, now))?.at ?? null;
  const asked = aheadInputOf(
    design,
    points.map((it) => sinceThen(it, since, now)),
    filled,
    offset,
    now,
  );
  if (!asked) return null;
  const { input, begins } = asked;
  const { outlooks, courses, tried, dry } = lookAhead(input, catalogue);
  const animalAt = animalThrough(design, catalogue);
  const has = keepsMoist(design);
  const of = new Map(points.map(({ series }) => [series.id, series]));
  const crossings = outlooks.flatMap((outlook, i) => {
    const series = of.get(outlook.series);
    return series ? crossingsOf(outlook, courses[i] ?? [], begins, series, animalAt, isDay, has) : [];
  });
  const short = (values: readonly number[]): readonly number[] =>
    values.map((it) => Math.round(it * 1e4) / 1e4);
  return {
    outlooks: outlooks.map(({ series, quantity, t, middle, low, high }) => ({
      series,
      quantity,
      from: begins + (t[0] ?? 0) * 1000,
      every: ((t[1] ?? 0) - (t[0] ?? 0)) * 1000,
      middle: short(middle),
      low: short(low),
      high: short(high),
    })),
    crossings: crossings.filter((it) => it.chance >= WORTH_TELLING).sort((a, b) => a.from - b.from),
    tried,
    since,
    dry: dry === null ? null : begins + dry * 1000,
  };
}
