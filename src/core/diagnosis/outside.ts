import type { Catalogue } from '../catalogue';
import { animalThrough } from '../brief';
import type { Design } from '../document';
import { bandsAt, DAY, firstAt, fromSteps } from '../readings';
import { difference, message } from '../units';
import { keepsMoist } from '../verdict/criteria';
import type { PointTrack } from './features';
import type { Outside } from './types';

/** Days that are looked at, and readings of a day or a night that must lie in them. */
const [DAYS, FEWEST] = [3, 24];
/** By how much a mean may lie outside and still be well: K, and share of humidity. */
const NEAR = { temperature: 1, humidity: 0.05 } as const;

/**
 * Places that are not as the animal wants them over the last days, changed or not: a box that was always too hot never
 * differs from what it was. By the means of day and night; what peaks for an hour is an alarm’s.
 */
export function outsideOf(
  design: Design,
  catalogue: Catalogue,
  points: readonly PointTrack[],
  isDay: (at: number) => boolean,
  now: number,
): readonly Outside[] {
  const animal = animalThrough(design, catalogue)(now);
  if (!animal) return [];
  const has = keepsMoist(design);
  return points.flatMap(({ series, track }) => {
    const { quantity, place } = series;
    if (quantity !== 'temperature' && quantity !== 'humidity') return [];
    const last = track.at.at(-1);
    if (last === undefined || now - last > DAY) return [];
    return [true, false].flatMap((day): readonly Outside[] => {
      const bands = bandsAt(animal, place, quantity, day, has);
      if (!bands) return [];
      let [sum, count] = [0, 0];
      for (let k = firstAt(track.at, last - DAYS * DAY); k < track.at.length; k += 1) {
        if (isDay(track.at[k] ?? 0) !== day) continue;
        sum += fromSteps(track.steps[k] ?? 0, quantity);
        count += 1;
      }
      if (count < FEWEST) return [];
      const mean = sum / count;
      const { wanted, borne } = bands;
      const above = wanted.high === null ? 0 : mean - wanted.high;
      const below = wanted.low === null ? 0 : wanted.low - mean;
      const by = Math.max(above, below);
      if (by <= NEAR[quantity]) return [];
      const side = above > below ? 'high' : 'low';
      const harm =
        side === 'high' ? borne.high !== null && mean > borne.high : borne.low !== null && mean < borne.low;
      const of = `${series.name}, ${day ? 'by day' : 'by night'}`;
      const points = Math.round(100 * by);
      const words =
        quantity === 'temperature'
          ? side === 'high'
            ? message`${of}: ${difference(by, 1)} warmer on average than it is to be`
            : message`${of}: ${difference(by, 1)} colder on average than it is to be`
          : side === 'high'
            ? message`${of}: humidity ${points} points higher on average than it is to be`
            : message`${of}: humidity ${points} points lower on average than it is to be`;
      return [{ series: series.id, words, side, harm }];
    });
  });
}
