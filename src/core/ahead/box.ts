import type { Catalogue } from '../catalogue';
import {
  ratioAt,
  readyOf,
  settled,
  sharesOf,
  simulate,
  type ClimateModel,
  type Ready,
  type Run,
  type SeriesName,
  type Weather,
} from '../climate';
import { seasonOn } from '../document/seasonal';
import { DAY, HOUR } from '../physics/constants';
import { along } from '../readings';
import { offOf, type Curve } from './curve';
import { patternOf, type Offs } from './pattern';
import type { AheadInput, AheadPoint } from './types';

/** Days that are looked ahead. */
export const DAYS_AHEAD = 7;
/** s between two moments that are played. */
export const EVERY = 900;
/** How much looser than usual a step may be. */
const LOOSER = 4;

/** A stretch of days that was played, and the s at which it begins. */
interface Stretch {
  readonly begins: number;
  readonly run: Run;
}

/** An enclosure that can be played over any days of a record and the week after it. */
export function boxOf(asked: AheadInput, catalogue: Catalogue) {
  const { design, from, now, room, points } = asked;
  const total = Math.floor(now / DAY) + DAYS_AHEAD + 1;
  const models = new Map<string | undefined, ClimateModel>();
  const readies = new Map<number, Ready>();
  /** As the box is set in the part of the year that begins with a day of the record. */
  const readyFrom = (day: number): Ready => {
    const season = seasonOn(design, from + day)?.id;
    const known = readies.get(day) ?? readyOf(design, catalogue, from + day, undefined, models.get(season));
    models.set(season, known.model);
    readies.set(day, known);
    return known;
  };
  const first = readyFrom(0);
  const usual = first.weather(total + 1, null);
  const hours = usual.temperature.length;
  const warmth = hourly(room.temperature, hours);
  const damp = hourly(room.humidity, hours);
  const { pressure } = first.box;
  const vapour = damp.map((it, i) =>
    it === null ? null : ratioAt(warmth[i] ?? usual.temperature[i] ?? 20, Math.max(0, it), pressure),
  );
  const offs = (read: readonly (number | null)[], as: Float64Array): Offs => {
    const known = read.flatMap((it, i) => (it === null ? [] : [i]));
    return { t: known.map((i) => i * HOUR), off: known.map((i) => (read[i] ?? 0) - (as[i] ?? 0)) };
  };
  const warmOffs = offs(warmth, usual.temperature);
  const vapourOffs = offs(vapour, usual.ratio);

  /** The room as far as it is known at a moment, and as it will go on from then. */
  const roomAt = (at: number): Weather => {
    const [warmer, damper] = [patternOf(warmOffs, at), patternOf(vapourOffs, at)];
    const mix = (
      read: readonly (number | null)[],
      as: Float64Array,
      off: (at: number) => number,
    ): Float64Array => as.map((it, i) => (i * HOUR <= at ? (read[i] ?? null) : null) ?? it + off(i * HOUR));
    return {
      ...usual,
      temperature: mix(warmth, usual.temperature, warmer),
      ratio: mix(vapour, usual.ratio, damper).map((it) => Math.max(1e-4, it)),
    };
  };

  /** Plays days, each part of the year with its own settings, and keeps the state at every midnight. */
  const play = (
    weather: Weather,
    day: number,
    to: number,
    start: Float64Array | null,
    phase: number,
  ): { readonly runs: readonly Stretch[]; readonly states: Readonly<Record<number, Float64Array>> } => {
    const runs: Stretch[] = [];
    const states: Record<number, Float64Array> = {};
    let y = start;
    for (let at = day; at < to; at += 1) {
      let begins = at;
      while (begins > 0 && seasonOn(design, from + begins - 1)?.id === seasonOn(design, from + at)?.id)
        begins -= 1;
      const { box, plan } = readyFrom(begins);
      const left = {
        ...weather,
        temperature: weather.temperature.subarray(at * 24),
        ratio: weather.ratio.subarray(at * 24),
        sun: weather.sun.subarray(at * 24),
      };
      if (y) states[at] = y;
      const run = simulate({
        box,
        weather: left,
        plan,
        days: 1,
        every: EVERY,
        start: y,
        looser: LOOSER,
        firstDay: at - begins + phase,
      });
      runs.push({ begins: at * DAY, run });
      y = run.end;
    }
    return { runs, states };
  };

  const { width, height } = design.enclosure;
  const shares = points.map(({ where }) =>
    where === 'spot' || where === 'room'
      ? []
      : sharesOf({ model: first.model, warm: design.scape.warm, width, height }, where),
  );
  const spot: SeriesName = first.box.columns[0].spot.area > 0 ? 'spot0' : 'spot1';
  const namesOf = (
    { where, quantity }: AheadPoint,
    own: readonly number[],
  ): readonly (readonly [SeriesName, number])[] =>
    where === 'room'
      ? [[quantity === 'temperature' ? 'room' : 'roomRh', 1]]
      : where === 'spot'
        ? [[spot, 1]]
        : own.map((share, cell) => [
            `${quantity === 'temperature' ? 'air' : 'rh'}${cell}` as SeriesName,
            share,
          ]);

  /** What a point would have read. */
  const curveOf = (k: number, runs: readonly Stretch[]): Curve => {
    const point = points[k];
    const names = point ? namesOf(point, shares[k] ?? []) : [];
    // The first moment of a day is the last of the day before.
    const places = runs.flatMap(({ begins, run }, r) =>
      Array.from(run.t, (t, i) => ({ t: begins + t, run, i })).slice(r === 0 ? 0 : 1),
    );
    return {
      t: Float64Array.from(places, (it) => it.t),
      value: Float64Array.from(places, ({ run, i }) =>
        names.reduce((sum, [name, share]) => sum + share * (run.series[name][i] ?? 0), 0),
      ),
    };
  };

  /** All days from rest; what is misted every so many days, on those that fit the readings best. */
  const phased = (weather: Weather) => {
    const start = settled(first, LOOSER, 24, null);
    const phases = Array.from({ length: first.cycle }, (_, phase) => phase);
    const tell = points.some((it) => it.quantity === 'humidity');
    const all = (tell ? phases : [0]).map((phase) => ({ phase, ...play(weather, 0, total, start, phase) }));
    const missed = ({ runs }: (typeof all)[number]): number =>
      points.reduce((sum, point, k) => {
        const { off } = offOf(point.trace, curveOf(k, runs));
        const mean = off.reduce((a, b) => a + b, 0) / Math.max(1, off.length);
        return point.quantity === 'humidity' ? sum + off.reduce((a, b) => a + (b - mean) ** 2, 0) : sum;
      }, 0);
    const best = all.reduce((a, b) => (missed(b) < missed(a) ? b : a));
    const states: Readonly<Record<number, Float64Array>> = { ...best.states, 0: start };
    return { ...best, states };
  };

  /** When the bottle that wetters draw from is empty. */
  const dryAt = (runs: readonly Stretch[], filled: number | null): number | null => {
    const { bottle } = design.climate.mist;
    if (filled === null || bottle === null) return null;
    const drawn = runs.map(({ run }) =>
      first.box.wetters.reduce((sum, it, i) => sum + (it.bottle === null ? 0 : (run.drawn[i] ?? 0)), 0),
    );
    const mean = drawn.reduce((sum, it) => sum + it, 0) / Math.max(1, drawn.length);
    if (mean <= 1e-6) return null;
    // What was drawn before the record begins is that of its mean day.
    let left = bottle * 1000 - (filled < 0 ? (-filled / DAY) * mean : 0);
    for (let day = Math.max(0, Math.floor(filled / DAY)); day < drawn.length; day += 1) {
      const own = drawn[day] ?? 0;
      const share = day === Math.floor(filled / DAY) ? 1 - (filled / DAY - day) : 1;
      if (left - own * share < 0) return (day + 1 - share + Math.max(0, left) / Math.max(1e-9, own)) * DAY;
      left -= own * share;
    }
    return null;
  };
  /** Whether it is set otherwise on a day of the week after one. */
  const changesAfter = (day: number): boolean =>
    Array.from({ length: DAYS_AHEAD }, (_, i) => seasonOn(design, from + day + i + 1)?.id).some(
      (it) => it !== seasonOn(design, from + day)?.id,
    );
  return { roomAt, play, phased, curveOf, dryAt, changesAfter };
}

/** A trace at every full hour; null in its holes and after its end. */
function hourly(trace: AheadInput['room']['temperature'], hours: number): readonly (number | null)[] {
  if (!trace || trace.t.length === 0) return Array.from({ length: hours }, () => null);
  const read = along(trace);
  const last = trace.t.at(-1) ?? 0;
  return Array.from({ length: hours }, (_, hour) => (hour * HOUR > last ? null : read(hour * HOUR)));
}
