import type { Animal, Catalogue } from '../catalogue';
import { ratioAt, relativeAt } from '../climate/air';
import { lightHours } from '../climate/timetable';
import { dayOfSeason, profileOf, standingOf, type Season } from '../climate/roomProfile';
import { weatherOf } from '../climate/weather';
import { pressureAt } from '../climate/air';
import type { Design } from '../design/schema';
import { BEARS, criteriaOf, TOLERANCE, type CriterionId } from './criteria';
import { ALL_SEASONS } from './year';

/** Why no fitting of this box can make it bearable: the room itself is beyond what the kind bears. */
export interface Bound {
  readonly what: 'too warm' | 'too damp';
  readonly season: Season;
  readonly criterion: CriterionId;
  /** Share of its hours in which the room is beyond. */
  readonly share: number;
  /** What is borne, and what the room comes to in the middle of those hours: °C or 0 to 1. */
  readonly borne: number;
  readonly room: number;
  /** What the room would have to be brought to: °C or 0 to 1. */
  readonly cure: number;
}

/**
 * With everything off and open a box is as its room. Warmth and vapour can be added to it, hardly taken away: so where the
 * room, on its mean day of a season, is warmer than the kind bears for longer than it bears it, or holds so much vapour
 * that it is too damp at the warmest it bears, no fitting helps. What evaporation cools is not counted on: it is there
 * only while water and dry air are.
 */
export function boundOf(design: Design, animal: Animal, catalogue: Catalogue): Bound | null {
  const criteria = criteriaOf(animal, { moistHide: false });
  const profile = profileOf(design, catalogue);
  const pressure = pressureAt(design.climate.room.altitude);
  const found: Bound[] = [];
  for (const season of ALL_SEASONS) {
    const from = dayOfSeason(season, design.climate.room.latitude);
    const room = weatherOf({
      profile,
      // The sun on its panes can be kept off.
      standing: { ...standingOf(design), window: null },
      pressure,
      from,
      days: 1,
      seed: null,
      front: 0,
    });
    const { from: on, to: off } = lightHours(design.climate, from);
    const hours = Array.from({ length: 24 }, (_, hour) => ({
      day: hour * 3600 >= on && hour * 3600 < off,
      t: room.temperature[hour] ?? 0,
      ratio: room.ratio[hour] ?? 0,
    }));
    const warmest = (day: boolean): number =>
      criteria.find((it) => it.id === (day ? 'warm' : 'night'))?.borne.high ?? 40;
    for (const criterion of criteria) {
      const { id, borne, measure } = criterion;
      const damp = id === 'humidity-day' || id === 'humidity-night';
      if (id !== 'cool' && id !== 'night' && !damp) continue;
      const byDay = id === 'cool' || id === 'humidity-day';
      const most = borne.high + TOLERANCE[measure];
      if (damp && most >= 1) continue;
      const values = hours
        .filter((it) => it.day === byDay)
        .map((it) =>
          damp
            ? relativeAt(Math.max(it.t, warmest(byDay) + TOLERANCE.temperature), it.ratio, pressure)
            : it.t,
        )
        .sort((a, b) => a - b);
      if (values.length === 0) continue;
      const share = values.filter((it) => it > most).length / values.length;
      if (share <= 1 - BEARS) continue;
      // Brought down until all but the hours it may be outside are borne.
      const at = values[Math.min(values.length - 1, Math.floor(BEARS * values.length))] ?? most;
      const own = hours.filter((it) => it.day === byDay);
      const mean = (of: (it: (typeof own)[number]) => number): number =>
        own.reduce((sum, it) => sum + of(it), 0) / Math.max(1, own.length);
      const room0 = damp ? mean((it) => relativeAt(it.t, it.ratio, pressure)) : mean((it) => it.t);
      found.push({
        what: damp ? 'too damp' : 'too warm',
        season,
        criterion: id,
        share,
        borne: borne.high,
        room: room0,
        cure: damp
          ? relativeAt(
              mean((it) => it.t),
              ratioAt(warmest(byDay) + TOLERANCE.temperature, most, pressure),
              pressure,
            )
          : room0 - (at - most),
      });
    }
  }
  const worst = found.sort((a, b) => b.share - a.share || b.room - b.borne - (a.room - a.borne))[0];
  if (!worst) return null;
  // What would do must do in every season and by day and night: brought down by the most that any of them asks.
  const down = Math.max(...found.filter((it) => it.what === worst.what).map((it) => it.room - it.cure));
  return { ...worst, cure: worst.room - down };
}
