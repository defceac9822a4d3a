import { ratioAt } from './air';
import type { RoomNow } from './box';
import { seededRandom, normal } from '../random';
import { sunAt } from '../light/dayLength';

/** A room through the year: twelve months of middle temperature, °C, and relative humidity, 0 to 1. */
export interface RoomProfile {
  readonly temperature: readonly number[];
  readonly humidity: readonly number[];
  /** Half of what it swings in a day, K; lowest towards six in the morning. */
  readonly swing: number;
  /** K by which it is let cool outside the hours of use; null: kept all day. */
  readonly setback: {
    readonly by: number;
    readonly from: number;
    readonly to: number;
    readonly weekends: boolean;
  } | null;
  /** Day-to-day scatter: K, and share of humidity. */
  readonly scatter: readonly [kelvin: number, humidity: number];
}

/** How a box stands in its room. */
export interface Standing {
  /** Bearing a window looks to whose sun reaches the box, degrees from north by east; null: none does. */
  readonly window: number | null;
  /** Share of its front the sun falls on. */
  readonly sunlit: number;
  /** By a radiator, or against an outside wall. */
  readonly radiator: boolean;
  readonly outsideWall: boolean;
  readonly latitude: number;
}

/** The room hour by hour. */
export interface Weather {
  /** Seconds from the start at which it begins, and between two values. */
  readonly step: number;
  readonly temperature: Float64Array;
  readonly ratio: Float64Array;
  /** W of sun that comes in. */
  readonly sun: Float64Array;
}

const HOUR = 3600;
const MONTH = 365.25 / 12;

/** Value of a yearly curve at a day of the year, between the middles of months. */
export function byMonth(values: readonly number[], day: number): number {
  const at = (((day - MONTH / 2) / MONTH) % 12) + 12;
  const low = Math.floor(at) % 12;
  const part = at - Math.floor(at);
  return (values[low] ?? 0) * (1 - part) + (values[(low + 1) % 12] ?? 0) * part;
}

export interface WeatherInput {
  readonly profile: RoomProfile;
  readonly standing: Standing;
  /** Pa */
  readonly pressure: number;
  /** Day of the year it begins with, and how many days. */
  readonly from: number;
  readonly days: number;
  /** null: every day is the mean one; −n: as far the other way as n on each day, so that a pair has the mean. */
  readonly seed: number | null;
  /** Area of the front that the sun meets, m². */
  readonly front: number;
  /** K and share of humidity by which all of it differs: heat wave, dry winter. */
  readonly shift?: { readonly temperature: number; readonly humidity: number };
}

/** The room over so many days. Temperature and humidity scatter from day to day as weather does, by the seed. */
export function weatherOf(asked: WeatherInput): Weather {
  const { profile, standing, pressure, from, days, seed, front, shift } = asked;
  const next = seed === null ? null : seededRandom(Math.abs(seed));
  const way = seed !== null && seed < 0 ? -1 : 1;
  const count = Math.ceil(days * 24) + 25;
  const temperature = new Float64Array(count);
  const ratio = new Float64Array(count);
  const sun = new Float64Array(count);
  let warm = 0;
  let damp = 0;
  let clear = 0.6;
  for (let i = 0; i < count; i += 1) {
    const hour = i % 24;
    const day = from + Math.floor(i / 24);
    if (hour === 0 && next) {
      // Tomorrow is three quarters like today.
      warm = 0.75 * warm + 0.66 * profile.scatter[0] * way * normal(next);
      damp = 0.75 * damp + 0.66 * profile.scatter[1] * way * normal(next);
      clear = Math.min(1, Math.max(0.05, 0.6 + 0.3 * way * normal(next)));
    }
    const year = ((day - 1) % 365) + 1;
    let t = byMonth(profile.temperature, year) + warm;
    const winter = Math.max(0, Math.min(1, (18 - byMonth(OUTDOORS, year)) / 15));
    const rh = Math.min(
      0.98,
      Math.max(0.08, byMonth(profile.humidity, year) * (1 + damp) + (shift?.humidity ?? 0)),
    );
    // Water in the air is that of the day's mean; warmth alone moves the relative humidity within a day.
    const w = ratioAt(t, rh, pressure);
    t += profile.swing * Math.cos(((hour - 15) / 12) * Math.PI);
    if (profile.setback && unused(profile.setback, hour, day)) t -= profile.setback.by * winter;
    if (standing.radiator) t += 2.5 * winter * (hour >= 6 && hour < 22 ? 1 : 0.4);
    if (standing.outsideWall) t -= 1.5 * winter;
    temperature[i] = t + (shift?.temperature ?? 0);
    ratio[i] = w;
    sun[i] = standing.window === null ? 0 : sunThrough(standing, year, hour) * front * clear;
  }
  return { step: HOUR, temperature, ratio, sun };
}

/** Out of doors in a temperate year, °C by month: decides when heating runs, and how far a room cools without it (from memory). */
export const OUTDOORS = [1, 2, 6, 10, 14, 18, 20, 19, 15, 10, 5, 2];

const unused = (setback: NonNullable<RoomProfile['setback']>, hour: number, day: number): boolean =>
  hour < setback.from || hour >= setback.to || (setback.weekends && day % 7 >= 5);

/** Of direct sun, W/m²: through a window and the box's own pane. */
const THROUGH = 0.7 * 0.8;

/** W/m² of clear sun that falls on an upright pane behind a window; 0 when it looks elsewhere. */
export function sunThrough({ window, sunlit, latitude }: Standing, day: number, hour: number): number {
  if (window === null) return 0;
  const { up, bearing } = sunAt(latitude, day, hour);
  if (up <= 0.02) return 0;
  const facing = Math.cos(up) * Math.cos(bearing - (window * Math.PI) / 180);
  // Clear sky by air mass: 1353·0.7^(AM^0.678), Meinel & Meinel 1976 (from memory).
  const beam = 1353 * 0.7 ** ((1 / Math.sin(up)) ** 0.678);
  return facing <= 0 ? 0 : beam * facing * THROUGH * sunlit;
}

/** Reads a weather at any moment, between its hours. */
export function reader({ step, temperature, ratio, sun }: Weather): (t: number, into: RoomNow) => void {
  const last = temperature.length - 1;
  const at = (values: Float64Array, low: number, part: number): number =>
    (values[low] ?? 0) * (1 - part) + (values[low + 1] ?? values[low] ?? 0) * part;
  return (t, into) => {
    const place = Math.min(last - 1e-9, Math.max(0, t / step));
    const low = Math.floor(place);
    const part = place - low;
    into.temperature = at(temperature, low, part);
    into.ratio = at(ratio, low, part);
    into.sun = at(sun, low, part);
  };
}
