import type { Animal, Catalogue } from '../catalogue';
import { pressureAt, ratioAt, relativeAt, wetBulb } from '../climate/air';
import { lightHours } from '../climate/timetable';
import { ALL_SEASONS, dayOfSeason, profileOf, standingOf, type Season } from '../climate/roomProfile';
import { weatherOf } from '../climate/weather';
import type { Design } from '../document/schema';
import { BEARS, criteriaOf, HOLDS, TOLERANCE, type Criterion, type CriterionId } from './criteria';
import { JUDGING, type Playing } from './year';

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

/** An hour of the room. */
interface Hour {
  readonly day: boolean;
  readonly t: number;
  readonly ratio: number;
}

const mean = (hours: readonly Hour[], of: (it: Hour) => number): number =>
  hours.reduce((sum, it) => sum + of(it), 0) / Math.max(1, hours.length);

/** The room in a season, its hours told by the light of the box: its mean day, or the days of its weathers. */
function hoursOf(
  design: Design,
  catalogue: Catalogue,
  season: Season,
  { seeds, days }: Pick<Playing, 'seeds' | 'days'> = { seeds: null, days: 1 },
): readonly Hour[] {
  const profile = profileOf(design, catalogue);
  const pressure = pressureAt(design.climate.room.altitude);
  const from = dayOfSeason(season, design.climate.room.latitude);
  const { from: on, to: off } = lightHours(design.climate, from);
  return (seeds ?? [null]).flatMap((seed) => {
    const room = weatherOf({
      profile,
      // The sun on its panes can be kept off.
      standing: { ...standingOf(design), window: null },
      pressure,
      from,
      days,
      seed,
      front: 0,
    });
    return Array.from({ length: 24 * days }, (_, hour) => ({
      day: (hour % 24) * 3600 >= on && (hour % 24) * 3600 < off,
      t: room.temperature[hour] ?? 0,
      ratio: room.ratio[hour] ?? 0,
    }));
  });
}

/** The room as a criterion meets it: hour by hour, at the warmest that is allowed where it is about damp; in order. */
function valuesOf(
  hours: readonly Hour[],
  { id }: Criterion,
  warmest: (day: boolean) => number,
  pressure: number,
): readonly number[] {
  const byDay = id === 'cool' || id === 'humidity-day';
  const damp = id === 'humidity-day' || id === 'humidity-night';
  return hours
    .filter((it) => it.day === byDay)
    .map((it) => (damp ? relativeAt(Math.max(it.t, warmest(byDay)), it.ratio, pressure) : it.t))
    .sort((a, b) => a - b);
}

/** What the room alone can put out of reach. */
const FROM_ROOM: readonly CriterionId[] = ['cool', 'night', 'humidity-day', 'humidity-night'];

const warmestOf =
  (criteria: readonly Criterion[], edge: 'wanted' | 'borne') =>
  (day: boolean): number =>
    (criteria.find((it) => it.id === (day ? 'warm' : 'night'))?.[edge].high ?? 40) + TOLERANCE.temperature;

/** Share of the way to its wet bulb that a box was seen to cool by mist, fog and a fan; and points that warmth and air dry besides. */
const HELPED = { cooled: 0.45, dried: 0.03 } as const;

/**
 * Places whose wanted band no fitting reaches in this room: its own mean day is beyond it for longer than a box that holds
 * may be, with what evaporation can do counted. As `season criterion`.
 */
export function outOfReach(design: Design, animal: Animal, catalogue: Catalogue): ReadonlySet<string> {
  const criteria = criteriaOf(animal, { moistHide: false });
  const pressure = pressureAt(design.climate.room.altitude);
  const found = new Set<string>();
  for (const season of ALL_SEASONS) {
    const hours = hoursOf(design, catalogue, season);
    for (const criterion of criteria) {
      const { id, wanted, measure } = criterion;
      const own = hours.filter((it) => it.day === (id === 'cool' || id === 'humidity-day'));
      const [t, ratio] = [mean(own, (it) => it.t), mean(own, (it) => it.ratio)];
      const helped =
        measure === 'humidity' ? HELPED.dried : HELPED.cooled * Math.max(0, t - wetBulb(t, ratio, pressure));
      const most = wanted.high + TOLERANCE[measure] + helped;
      if (!FROM_ROOM.includes(id) || (measure === 'humidity' && most >= 1)) continue;
      const values = valuesOf(hours, criterion, warmestOf(criteria, 'wanted'), pressure);
      const share = values.filter((it) => it > most).length / Math.max(1, values.length);
      if (share > 1 - HOLDS) found.add(`${season} ${id}`);
    }
  }
  return found;
}

/**
 * With everything off and open a box is as its room. Warmth and vapour can be added to it, hardly taken away: so where the
 * room, in the weathers of a verdict, is warmer than the kind bears for longer than it bears it, or holds so much vapour
 * that it is too damp at the warmest it bears, no fitting helps. What evaporation cools is not counted on: it is there
 * only while water and dry air are.
 */
export function boundOf(design: Design, animal: Animal, catalogue: Catalogue): Bound | null {
  const criteria = criteriaOf(animal, { moistHide: false });
  const pressure = pressureAt(design.climate.room.altitude);
  const warmest = warmestOf(criteria, 'borne');
  const found: Bound[] = [];
  for (const season of ALL_SEASONS) {
    const hours = hoursOf(design, catalogue, season, JUDGING);
    for (const criterion of criteria) {
      const { id, borne, measure } = criterion;
      const damp = measure === 'humidity';
      const most = borne.high + TOLERANCE[measure];
      if (!FROM_ROOM.includes(id) || (damp && most >= 1)) continue;
      const values = valuesOf(hours, criterion, warmest, pressure);
      if (values.length === 0) continue;
      const share = values.filter((it) => it > most).length / values.length;
      if (share <= 1 - BEARS) continue;
      const byDay = id === 'cool' || id === 'humidity-day';
      // Brought down until all but the hours it may be outside are borne.
      const at = values[Math.min(values.length - 1, Math.floor(BEARS * values.length))] ?? most;
      const own = hours.filter((it) => it.day === byDay);
      const room = damp ? mean(own, (it) => relativeAt(it.t, it.ratio, pressure)) : mean(own, (it) => it.t);
      found.push({
        what: damp ? 'too damp' : 'too warm',
        season,
        criterion: id,
        share,
        borne: borne.high,
        room,
        cure: damp
          ? relativeAt(
              mean(own, (it) => it.t),
              ratioAt(warmest(byDay), most, pressure),
              pressure,
            )
          : room - (at - most),
      });
    }
  }
  const worst = found.sort((a, b) => b.share - a.share || b.room - b.borne - (a.room - a.borne))[0];
  if (!worst) return null;
  // What would do must do in every season and by day and night: brought down by the most that any of them asks.
  const down = Math.max(...found.filter((it) => it.what === worst.what).map((it) => it.room - it.cure));
  return { ...worst, cure: worst.room - down };
}
