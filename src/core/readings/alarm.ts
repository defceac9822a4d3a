import type { Animal, Range } from '../catalogue';
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
  temperature: 1,
  humidity: 0.05,
  uvIndex: 0.3,
  soilWater: 0.05,
  mass: 0,
};

/** The animal’s own band at a place, by day or night; null: nothing is asked of it there. */
export function bandAt(
  animal: Animal | undefined,
  place: MeasuringPlace,
  quantity: ReadQuantity,
  day: boolean,
): Band | null {
  if (!animal || place === 'room' || place === 'scale') return null;
  const { climate } = animal;
  const of = (it: { readonly value: Range }): Band => it.value;
  if (quantity === 'humidity') {
    if (place === 'soil') return null;
    const own = of(day ? climate.humidityDay : climate.humidityNight);
    // A moist hide is meant to be wetter than the box.
    return place === 'hide' ? { low: own.low, high: null } : own;
  }
  if (quantity === 'uvIndex') {
    // What it meets on average at least, and at most at any time.
    const { mean, maximum } = UV_ZONES[climate.uvZone.value as UvZone];
    return day && place === 'basking' ? { low: mean[0] > 0 ? mean[0] : null, high: maximum[1] } : null;
  }
  if (quantity !== 'temperature' || place === 'soil') return null;
  if (!day) return of(climate.night);
  if (place === 'basking') return climate.basking ? of(climate.basking) : of(climate.warm);
  return of(place === 'warm' || place === 'canopy' ? climate.warm : climate.cool);
}

export interface Alarm {
  readonly series: string;
  readonly side: 'low' | 'high';
  /** When it began, ms since 1970, and when it ended; null: it stands. */
  readonly from: number;
  readonly to: number | null;
  /** The farthest it went. */
  readonly worst: number;
}

/** How long after lights on and off either band will do, ms: a box is not warm at once. */
const TURN = 2 * 3_600_000;

const wider = (a: Band | null | undefined, b: Band | null | undefined): Band | null =>
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
 * @param isDay whether it is day in the box at a moment
 */
export function alarmsOf(
  series: Series,
  track: Track,
  animal: Animal | undefined,
  isDay: (at: number) => boolean,
): readonly Alarm[] {
  if (series.alarm && !series.alarm.on) return [];
  const margin = series.alarm ? 0 : MARGIN[series.quantity];
  const bands = [false, true].map((day): Band | null =>
    series.alarm
      ? { low: series.alarm.low, high: series.alarm.high }
      : bandAt(animal, series.place, series.quantity, day),
  );
  const found: Alarm[] = [];
  let open: { side: 'low' | 'high'; from: number; worst: number; counted: boolean } | null = null;
  for (let i = 0; i < track.at.length; i += 1) {
    const at = track.at[i] ?? 0;
    const value = fromSteps(track.steps[i] ?? 0, series.quantity);
    const day = isDay(at) ? 1 : 0;
    const band = isDay(at - TURN) === (day === 1) ? bands[day] : wider(bands[0], bands[1]);
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
      if (side) open = { side, from: at, worst: value, counted: false };
    }
  }
  if (open?.counted)
    found.push({ series: series.id, side: open.side, from: open.from, to: null, worst: open.worst });
  return found;
}

function close(
  found: Alarm[],
  series: string,
  open: { side: 'low' | 'high'; from: number; worst: number; counted: boolean } | null,
  at: number,
): null {
  if (open?.counted) found.push({ series, side: open.side, from: open.from, to: at, worst: open.worst });
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
