import { grownIn } from '../brief';
import { findDeviceKind, type Catalogue } from '../catalogue';
import type { Design } from '../document/schema';
import { UV_ZONES, type UvZone } from '../light';
import type { Entry } from '../log';
import { DAY_MS } from '../physics/constants';

/** A UV index read where the animal is, on a day counted from any one. */
export interface UvReading {
  readonly day: number;
  readonly index: number;
}

/**
 * Days from the last reading until the UV index falls under what is needed: a tube loses a share of what it has in equal
 * times (exponential decline; least squares of the logarithm). 0: it is under it now; null: the readings do not tell,
 * being too few, too close together (under a fortnight), or not falling.
 */
export function daysOfUvLeft(readings: readonly UvReading[], needed: number): number | null {
  const usable = readings.filter((it) => it.index > 0).sort((a, b) => a.day - b.day);
  const last = usable.at(-1);
  const [first] = usable;
  if (!first || !last) return null;
  if (last.index < needed) return 0;
  if (last.day - first.day < 14 || usable.length < 2) return null;
  const n = usable.length;
  const meanDay = usable.reduce((sum, it) => sum + it.day, 0) / n;
  const meanLog = usable.reduce((sum, it) => sum + Math.log(it.index), 0) / n;
  const [top, bottom] = usable.reduce(
    ([a, b], it) => [a + (it.day - meanDay) * (Math.log(it.index) - meanLog), b + (it.day - meanDay) ** 2],
    [0, 0],
  );
  const slope = top / bottom;
  if (slope >= -1e-5) return null;
  const then = (Math.log(needed) - meanLog) / slope + meanDay;
  return Math.max(0, then - last.day);
}

/** What the meter says of the UV lamps of a box. */
export interface MeteredLamp {
  /** Day by which it is to be replaced, ISO 8601. */
  readonly day: string;
  /** UV index that is needed at the animal’s back. */
  readonly needed: number;
  readonly readings: number;
  /** Day up to which they tell anything: as far beyond the last as that lies beyond the first. */
  readonly upTo: string;
}

/**
 * When a lamp is to be replaced, of what its meter and the calendar say: sooner by either; later than the calendar only as
 * far as the readings reach.
 */
export function lampDay({ day, upTo }: MeteredLamp, byCalendar: string): string {
  if (day <= byCalendar) return day;
  const reach = day < upTo ? day : upTo;
  return reach > byCalendar ? reach : byCalendar;
}

/**
 * By when UV lamps are to be replaced, by what a meter read since they were fitted.
 * @param dayOf the keeper's own day of a moment, ms since 1970
 * @returns null: it does not tell, or nothing is needed
 */
export function meteredLamp(
  design: Design,
  log: readonly Entry[],
  catalogue: Catalogue,
  dayOf: (at: number) => string,
): MeteredLamp | null {
  const animal = grownIn(design, catalogue);
  const lamps = design.climate.devices.filter((it) => findDeviceKind(catalogue, it.kind)?.group === 'uv');
  if (!animal || lamps.length === 0) return null;
  const needed = UV_ZONES[animal.climate.uvZone.value as UvZone].mean[0];
  if (needed <= 0) return null;
  const fitted = Math.max(...lamps.map((it) => (it.since === null ? 0 : Date.parse(it.since))));
  const readings = log
    .filter((it) => it.values.uvIndex !== null && it.at >= fitted && !it.gone)
    .map((it) => ({ day: it.at / DAY_MS, index: it.values.uvIndex ?? 0 }));
  const left = daysOfUvLeft(readings, needed);
  const last = readings.at(-1);
  const [first] = readings;
  if (left === null || !last || !first) return null;
  const day = Math.min(last.day + left, last.day + 3650);
  return {
    day: dayOf(day * DAY_MS),
    needed,
    readings: readings.length,
    upTo: dayOf((2 * last.day - first.day) * DAY_MS),
  };
}
