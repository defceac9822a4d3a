import { animalThrough } from '../brief';
import type { Animal, Catalogue } from '../catalogue';
import type { Design } from '../document/schema';
import { criteriaOf, keepsMoist, TOLERANCE, type CriterionId } from '../verdict/criteria';
import { UV_ZONES, type UvZone } from '../light';
import { fromSteps, type Track } from './track';
import type { MeasuringPlace, ReadQuantity, Series } from './series';

/** What a reading should lie within; null: open on that side. */
export interface Band {
  readonly low: number | null;
  readonly high: number | null;
}

/** How far outside the animal’s band it alarms, and how far inside again before it ends: what keeps it from flickering. */
const MARGIN: Record<ReadQuantity, number> = {
  temperature: TOLERANCE.temperature,
  humidity: TOLERANCE.humidity,
  uvIndex: 0.3,
  soilWater: 0.05,
  mass: 0,
};

/** Bands of a place: what is wanted there, and what is borne without harm. */
export interface PlaceBands {
  readonly wanted: Band;
  readonly borne: Band;
}

/**
 * What a verdict asks of the air at a place, by day or night; null: nothing is asked of it there.
 * @param has whether a hide keeps moist: it answers for drier air
 */
export function bandsAt(
  animal: Animal | undefined,
  place: MeasuringPlace,
  quantity: ReadQuantity,
  day: boolean,
  has: { readonly moistHide: boolean } = { moistHide: false },
): PlaceBands | null {
  if (!animal || place === 'room' || place === 'scale') return null;
  if (quantity === 'uvIndex') {
    // What it meets on average at least, and at most at any time.
    const { mean, maximum } = UV_ZONES[animal.climate.uvZone.value as UvZone];
    const met = { low: mean[0] > 0 ? mean[0] : null, high: maximum[1] };
    return day && place === 'basking' ? { wanted: met, borne: met } : null;
  }
  if (place === 'soil' || (quantity !== 'humidity' && quantity !== 'temperature')) return null;
  const criteria = criteriaOf(animal, has);
  const of = (id: CriterionId): PlaceBands | null =>
    criteria.find((it) => it.id === id && it.measure === quantity) ?? null;
  if (quantity === 'humidity') {
    const own = of(day ? 'humidity-day' : 'humidity-night');
    // A moist hide is meant to be wetter than the box.
    return place === 'hide' && own
      ? (of('hide') ?? {
          wanted: { low: own.wanted.low, high: null },
          borne: { low: own.borne.low, high: null },
        })
      : own;
  }
  if (!day) return of('night');
  if (place === 'basking') return of('basking') ?? of('warm');
  const [warm, cool] = [of('warm'), of('cool')];
  // What lives in the branches is judged there: of the ground below nothing is asked but that it is no colder nor warmer.
  if (place === 'warm' && animal.life.value === 'climbing' && warm && cool)
    return {
      wanted: { low: cool.wanted.low, high: warm.wanted.high },
      borne: { low: cool.borne.low, high: warm.borne.high },
    };
  return of(place === 'warm' || place === 'canopy' ? 'warm' : 'cool');
}

/** What is wanted of the places of an enclosure at any moment: of its animal as it lives then, at rest or awake. */
export function bandsThrough(
  design: Design,
  catalogue: Catalogue,
): (place: MeasuringPlace, quantity: ReadQuantity, day: boolean, at: number) => Band | null {
  const animalAt = animalThrough(design, catalogue);
  const has = keepsMoist(design);
  const known = new Map<Animal, Map<string, Band | null>>();
  return (place, quantity, day, at) => {
    const animal = animalAt(at);
    if (!animal) return null;
    const bands = known.get(animal) ?? new Map<string, Band | null>();
    known.set(animal, bands);
    const key = `${place} ${quantity} ${day}`;
    const found = bands.get(key);
    if (found !== undefined) return found;
    const band = bandAt(animal, place, quantity, day, has);
    bands.set(key, band);
    return band;
  };
}

/** What is wanted of a place, by day or night; null: nothing is asked of it there. */
export const bandAt = (...asked: Parameters<typeof bandsAt>): Band | null =>
  bandsAt(...asked)?.wanted ?? null;

/** Who lives in an enclosure at a moment, with what it wants then; undefined: nobody, or it is not told. */
export type AnimalAt = (at: number) => Animal | undefined;

export interface Alarm {
  readonly series: string;
  readonly side: 'low' | 'high';
  /** When it began, ms since 1970, and when it ended; null: it stands. */
  readonly from: number;
  readonly to: number | null;
  /** The farthest it went. */
  readonly worst: number;
  /** That is beyond what the animal bears, not only beyond what it wants. */
  readonly harm: boolean;
}

/** How long after lights on and off either band will do, ms: a box is not warm at once. */
const TURN = 2 * 3_600_000;

const wider = (a: Band | null, b: Band | null): Band | null =>
  !a || !b
    ? null
    : {
        low: a.low === null || b.low === null ? null : Math.min(a.low, b.low),
        high: a.high === null || b.high === null ? null : Math.max(a.high, b.high),
      };

/** How long a reading must lie outside before it counts, ms: a door that is opened is no alarm. */
const HOLD = 20 * 60_000;

/**
 * Alarms of one point. One begins when readings have lain outside the band by the margin for twenty minutes, and ends
 * when one lies inside the band again; by night the night's band holds.
 * @param animalAt who lives there at a moment, with what it wants then: at rest it wants other air
 * @param isDay whether it is day in the box at a moment
 */
export function alarmsOf(
  series: Series,
  track: Track,
  animalAt: AnimalAt,
  isDay: (at: number) => boolean,
  has: { readonly moistHide: boolean } = { moistHide: false },
): readonly Alarm[] {
  if (series.alarm && !series.alarm.on) return [];
  const margin = series.alarm ? 0 : MARGIN[series.quantity];
  const askedOf = (animal: Animal | undefined): readonly (PlaceBands | null)[] =>
    [false, true].map((day): PlaceBands | null => {
      if (!series.alarm) return bandsAt(animal, series.place, series.quantity, day, has);
      const own = { low: series.alarm.low, high: series.alarm.high };
      return { wanted: own, borne: { low: null, high: null } };
    });
  let of: { readonly animal: Animal | undefined; readonly asked: ReturnType<typeof askedOf> } | undefined;
  const now = (at: number, edge: 'wanted' | 'borne'): Band | null => {
    const animal = animalAt(at);
    if (!of || of.animal !== animal) of = { animal, asked: askedOf(animal) };
    const { asked } = of;
    const day = isDay(at) ? 1 : 0;
    const [night, light] = [asked[0]?.[edge] ?? null, asked[1]?.[edge] ?? null];
    return isDay(at - TURN) === (day === 1) ? (day === 1 ? light : night) : wider(night, light);
  };
  const found: Alarm[] = [];
  let open: Open | null = null;
  for (let i = 0; i < track.at.length; i += 1) {
    const at = track.at[i] ?? 0;
    const value = fromSteps(track.steps[i] ?? 0, series.quantity);
    const band = now(at, 'wanted');
    if (!band) {
      open = close(found, series.id, open, at);
      continue;
    }
    if (open) {
      const edge = open.side === 'low' ? band.low : band.high;
      const inside = edge === null || (open.side === 'low' ? value >= edge : value <= edge);
      if (inside) open = close(found, series.id, open, at);
      else {
        open.worst = open.side === 'low' ? Math.min(open.worst, value) : Math.max(open.worst, value);
        open.harm ||= beyond(value, now(at, 'borne'), margin);
        if (at - open.from >= HOLD) open.counted = true;
      }
    }
    if (!open) {
      const side =
        band.low !== null && value < band.low - margin
          ? 'low'
          : band.high !== null && value > band.high + margin
            ? 'high'
            : null;
      if (side)
        open = {
          side,
          from: at,
          worst: value,
          harm: beyond(value, now(at, 'borne'), margin),
          counted: false,
        };
    }
  }
  if (open?.counted)
    found.push({
      series: series.id,
      side: open.side,
      from: open.from,
      to: null,
      worst: open.worst,
      harm: open.harm,
    });
  return found;
}

interface Open {
  readonly side: 'low' | 'high';
  readonly from: number;
  worst: number;
  harm: boolean;
  counted: boolean;
}

const beyond = (value: number, band: Band | null, margin: number): boolean =>
  band !== null &&
  ((band.low !== null && value < band.low - margin) || (band.high !== null && value > band.high + margin));

function close(found: Alarm[], series: string, open: Open | null, at: number): null {
  if (open?.counted)
    found.push({
      series,
      side: open.side,
      from: open.from,
      to: at,
      worst: open.worst,
      harm: open.harm,
    });
  return null;
}

/** Hours of the day in which nothing sounds, from and to, 0 to 24; to may lie on the next day. */
export interface QuietHours {
  readonly from: number;
  readonly to: number;
}

export const isQuiet = (hour: number, quiet: QuietHours | null): boolean =>
  quiet !== null &&
  (quiet.from <= quiet.to ? hour >= quiet.from && hour < quiet.to : hour >= quiet.from || hour < quiet.to);
