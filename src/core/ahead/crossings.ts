import { alarmsOf, toSteps, trackOf, type Alarm, type AnimalAt, type Series } from '../readings';
import type { Outlook } from './types';

/** A limit that a point may pass in the days ahead: it would alarm then. */
export interface Crossing {
  readonly series: string;
  readonly side: 'low' | 'high';
  /** How likely it is passed, as far as so few courses tell. */
  readonly chance: number;
  /** In the middle of those: ms since 1970 at which it first is, on how many days, and the farthest it goes. */
  readonly from: number;
  readonly days: number;
  readonly worst: number;
  /** In most of those it is more than the animal bears. */
  readonly harm: boolean;
}

const DAY_MS = 86_400_000;

/**
 * Where a point may leave the band that it alarms by: each of its courses is judged as readings are.
 * @param courses as likely as each other, at the moments of the outlook
 * @param begins ms since 1970 of the midnight its moments count from
 */
export function crossingsOf(
  { t, quantity }: Pick<Outlook, 't' | 'quantity'>,
  courses: readonly (readonly number[])[],
  begins: number,
  series: Series,
  animalAt: AnimalAt,
  isDay: (at: number) => boolean,
  has: { readonly moistHide: boolean },
): readonly Crossing[] {
  const at = t.map((it) => begins + it * 1000);
  const judged = courses.map((course) =>
    alarmsOf(
      series,
      trackOf(
        at,
        course.map((it) => toSteps(it, quantity)),
      ),
      animalAt,
      isDay,
      has,
    ),
  );
  return (['low', 'high'] as const).flatMap((side): Crossing[] => {
    const passed = judged
      .map((alarms) => alarms.filter((it) => it.side === side))
      .filter((it) => it.length > 0);
    if (passed.length === 0) return [];
    const worst = passed.map((own) =>
      side === 'low' ? Math.min(...own.map((it) => it.worst)) : Math.max(...own.map((it) => it.worst)),
    );
    return [
      {
        series: series.id,
        side,
        chance: chanceOf(passed.length / courses.length, courses.length / 2),
        from: middleOf(passed.map((own) => own[0]?.from ?? 0)),
        days: Math.round(middleOf(passed.map((own) => daysOf(own, at[0] ?? 0, at.at(-1) ?? 0)))),
        worst: middleOf(worst),
        harm: passed.filter((own) => own.some((it) => it.harm)).length > passed.length / 2,
      },
    ];
  });
}

/** By Laplace’s rule of succession: what came in all of six courses is not certain, nor impossible what came in none. */
const chanceOf = (share: number, courses: number): number => (share * courses + 1) / (courses + 2);

/** In how many of the stretches of a day from the first moment on any of them stands. */
function daysOf(alarms: readonly Alarm[], begins: number, end: number): number {
  const days = new Set<number>();
  for (const { from, to } of alarms)
    for (let at = from; at < (to ?? end); at += DAY_MS / 24) days.add(Math.floor((at - begins) / DAY_MS));
  return days.size;
}

function middleOf(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.floor((sorted.length - 1) / 2)] ?? Number.NaN;
}
