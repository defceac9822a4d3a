import type { Design } from '../document';
import { DAY, firstAt, fromSteps } from '../readings';
import type { PointTrack } from './features';
import { mistDays } from './schedule';

/** A box began to be other than it was. */
export interface Onset {
  /** ms since 1970, to about a day. */
  readonly at: number;
  /** How far it stands out from what its days differ by anyway. */
  readonly strength: number;
}

/** Days on either side that a change is looked for between. */
const [BEFORE, AFTER] = [3, 2];
/** Days that are looked back over. */
const REACH = 34;
/** Days in a row beyond which more tell nothing more. */
const FEW = 5;
/** From here up it is a change and no weather; what its days differ by at the least, and what a change comes to: °C and humidity. */
const CLEAR = 5.5;
const LEAST = {
  temperature: { spread: 0.3, step: 0.9 },
  humidity: { spread: 0.018, step: 0.045 },
  mist: { spread: 0.008, step: 0.018 },
} as const;

const median = (sorted: readonly number[]): number => {
  const middle = sorted.length >> 1;
  return sorted.length % 2 === 1
    ? (sorted[middle] ?? 0)
    : ((sorted[middle - 1] ?? 0) + (sorted[middle] ?? 0)) / 2;
};
const medianOf = (all: readonly number[]): number => median([...all].sort((a, b) => a - b));

/** Means of whole days, the last one first: of all of the day, of its light and of its dark. */
function daysOf(
  { series, track }: PointTrack,
  last: number,
  isDay: (at: number) => boolean,
): readonly (readonly (number | null)[])[] {
  const whole: (number | null)[] = [];
  const light: (number | null)[] = [];
  const dark: (number | null)[] = [];
  for (let day = 0; day < REACH; day += 1) {
    const [i, j] = [firstAt(track.at, last - (day + 1) * DAY), firstAt(track.at, last - day * DAY + 1)];
    let [lit, lits, unlit, unlits] = [0, 0, 0, 0];
    for (let k = i; k < j; k += 1) {
      const value = fromSteps(track.steps[k] ?? 0, series.quantity);
      if (isDay(track.at[k] ?? 0)) {
        lit += value;
        lits += 1;
      } else {
        unlit += value;
        unlits += 1;
      }
    }
    const enough = lits >= 6 && unlits >= 6;
    light.push(enough ? lit / lits : null);
    dark.push(enough ? unlit / unlits : null);
    whole.push(enough ? (lit / lits + unlit / unlits) / 2 : null);
  }
  return [whole, light, dark];
}

/**
 * The step that tells a course of days best, the last one first: the parting that leaves least of them unexplained by the
 * medians before and after it. `strength` is the difference of those over what days differ by within either, by their
 * median absolute deviation, so that a step does not widen the measure it is taken by.
 */
export function stepIn(
  days: readonly (number | null)[],
  least: { readonly spread: number; readonly step: number },
): { readonly day: number; readonly strength: number; readonly by: number } | null {
  let best: { day: number; cost: number; by: number; off: readonly number[]; few: number } | null = null;
  for (let day = AFTER; day <= days.length - BEFORE; day += 1) {
    const late = days.slice(0, day).filter((it) => it !== null);
    const early = days.slice(day).filter((it) => it !== null);
    if (late.length < AFTER || early.length < BEFORE) continue;
    const [now, then] = [medianOf(late), medianOf(early)];
    const off = [...late.map((it) => Math.abs(it - now)), ...early.map((it) => Math.abs(it - then))];
    const cost = off.reduce((sum, it) => sum + it, 0);
    if (best === null || cost < best.cost)
      best = { day, cost, by: now - then, off, few: Math.min(late.length, early.length) };
  }
  if (!best || Math.abs(best.by) < least.step) return null;
  const spread = Math.max(least.spread, 1.4826 * medianOf(best.off));
  // Days hang together: of many in a row few are worth as much as if they were drawn each by itself.
  const worth = Math.sqrt(Math.min(FEW, best.few));
  return { day: best.day, by: best.by, strength: (Math.abs(best.by) / spread) * worth };
}

/** When a box changed for good, from all that is read in it and in its room; null: it did not, as far as can be told. */
export function onsetOf(
  points: readonly PointTrack[],
  isDay: (at: number) => boolean,
  design: Pick<Design, 'climate'>,
): Onset | null {
  let best: Onset | null = null;
  for (const point of points) {
    const { quantity } = point.series;
    const last = point.track.at.at(-1);
    if (last === undefined || (quantity !== 'temperature' && quantity !== 'humidity')) continue;
    const courses = [
      ...daysOf(point, last, isDay).map((days) => ({ days, least: LEAST[quantity] })),
      { days: mistDays(point, design, isDay, REACH), least: LEAST.mist },
    ];
    for (const { days, least } of courses) {
      const step = stepIn(days, least);
      if (step && step.strength >= CLEAR && step.strength > (best?.strength ?? 0))
        best = { at: last - step.day * DAY, strength: step.strength };
    }
  }
  return best;
}
