import type { Catalogue } from '../catalogue';
import type { Design } from '../document/schema';
import { ratioAt } from './air';
import type { BoxModel } from './box';
import { readyOf } from './forecast';
import { settle } from './settle';
import { simulate, type Run } from './simulate';
import type { Weather } from './weather';
import { DAY } from '../physics/constants';

/** What a logger wrote, evenly or not: s from midnight of its first day, °C, 0 to 1. */
export interface Reading {
  readonly t: number;
  readonly temperature: number;
  readonly humidity: number;
  /** Of the room at the same time, when it was logged too. */
  readonly roomTemperature?: number;
  readonly roomHumidity?: number;
}

export interface Factors {
  readonly exchange: number;
  readonly wetness: number;
  readonly gain: number;
}

export interface Fit {
  readonly factors: Factors;
  /** Root mean square over the days it was fitted to and those it was not: K, and share of humidity. */
  readonly before: Errors;
  readonly after: Errors;
  /** Mean error on days that were not used. */
  readonly left: { readonly humidity: number; readonly temperature: number };
  readonly fittedDays: number;
  readonly heldDays: number;
  /** Whether the record tells exchange and wetness apart. */
  readonly apart: boolean;
  /** Model at the readings' times, before and after, for the picture. */
  readonly shown: {
    readonly t: readonly number[];
    readonly humidity: readonly number[];
    readonly temperature: readonly number[];
    readonly before: { readonly humidity: readonly number[]; readonly temperature: readonly number[] };
    readonly after: { readonly humidity: readonly number[]; readonly temperature: readonly number[] };
    /** s at which the days begin that were not used. */
    readonly heldFrom: number;
  };
}

interface Errors {
  readonly temperature: number;
  readonly humidity: number;
}

const HOUR = 3600;
/** s by which a cheap probe is late (common practice; fitted records show 2 to 6 min). */
const LAG = 180;

export interface CalibrationInput {
  readonly design: Design;
  readonly readings: readonly Reading[];
  /** Day of the year of the first reading. */
  readonly from: number;
  /** Where the probe was: cell of the model. */
  readonly cell: 0 | 1 | 2 | 3;
}

/** Room hour by hour out of the record where it has one, otherwise as the design says. */
function roomOf(
  { readings, design, from }: CalibrationInput,
  catalogue: Catalogue,
  days: number,
  box: BoxModel,
): Weather {
  const ready = readyOf(design, catalogue, from);
  const usual = ready.weather(days + 1, null);
  const logged = readings.filter((it) => it.roomTemperature !== undefined && it.roomHumidity !== undefined);
  if (logged.length < 4) return usual;
  const count = usual.temperature.length;
  const temperature = new Float64Array(count);
  const ratio = new Float64Array(count);
  let at = 0;
  for (let hour = 0; hour < count; hour += 1) {
    const t = hour * HOUR;
    while (at + 1 < logged.length && (logged[at + 1]?.t ?? Infinity) <= t) at += 1;
    const a = logged[at]!;
    const b = logged[Math.min(logged.length - 1, at + 1)]!;
    const part = b.t > a.t ? Math.min(1, Math.max(0, (t - a.t) / (b.t - a.t))) : 0;
    const mix = (of: (it: Reading) => number | undefined): number =>
      (of(a) ?? 0) * (1 - part) + (of(b) ?? 0) * part;
    temperature[hour] = mix((it) => it.roomTemperature);
    ratio[hour] = ratioAt(
      temperature[hour] ?? 20,
      mix((it) => it.roomHumidity),
      box.pressure,
    );
  }
  return { ...usual, temperature, ratio };
}

/**
 * Fits exchange, wetness and gain to a record by damped least squares (Levenberg–Marquardt on their logarithms), the
 * probe's lag counted. Two days in three are fitted to; the last third only judges.
 */
export function calibrate(
  asked: CalibrationInput,
  catalogue: Catalogue,
  onProgress: (share: number) => void = () => undefined,
): Fit {
  const { design, readings, from, cell } = asked;
  const first = readings[0];
  const last = readings.at(-1);
  if (!first || !last || last.t - first.t < DAY)
    throw new Error('a record of at least one whole day is needed');
  const days = Math.max(1, Math.ceil((last.t + 1) / DAY));
  const ready = readyOf({ ...design, climate: { ...design.climate, calibration: null } }, catalogue, from);
  const weather = roomOf(asked, catalogue, days, ready.box);
  const heldFrom = days >= 3 ? Math.floor((days * 2) / 3) * DAY : days * DAY * 0.67;
  const every = 900;

  const model = (log: readonly number[]): { humidity: number[]; temperature: number[] } => {
    const [exchange = 1, wetness = 1, gain = 1] = log.map(Math.exp);
    const box: BoxModel = { ...ready.box, factors: { exchange, wetness, gain } };
    const start = settle(
      { box, weather, plan: ready.plan, looser: 4, cycle: ready.cycle, keptSoil: ready.keptSoil },
      24,
    );
    const run = simulate({ box, weather, plan: ready.plan, days, every, start, looser: 2 });
    return atReadings(run, readings, cell);
  };
  const residuals = (found: ReturnType<typeof model>, used: (t: number) => boolean): number[] =>
    readings.flatMap((it, i) =>
      used(it.t)
        ? [(found.humidity[i]! - it.humidity) / 0.03, (found.temperature[i]! - it.temperature) / 0.7]
        : [],
    );
  const fitted = (t: number): boolean => t < heldFrom;
  let point = [0, 0, 0];
  const before = model(point);
  let found = before;
  let r = residuals(found, fitted);
  const sum = (values: readonly number[]): number => values.reduce((all, it) => all + it * it, 0);
  let best = sum(r);
  let damping = 0.05;
  let spread: number[][] = [];
  const rounds = 9;
  // Pulled gently towards one: what the record does not tell stays as it was calculated.
  const pull = 0.4;
  for (let round = 0; round < rounds; round += 1) {
    onProgress(round / rounds);
    const step = 0.06;
    const columns = point.map((_, k) => {
      const moved = residuals(model(point.map((it, j) => (j === k ? it + step : it))), fitted);
      return moved.map((it, i) => (it - (r[i] ?? 0)) / step);
    });
    spread = columns.map((a) => columns.map((b) => a.reduce((all, it, i) => all + it * (b[i] ?? 0), 0)));
    const slope = columns.map(
      (a, k) => a.reduce((all, it, i) => all + it * (r[i] ?? 0), 0) + pull * (point[k] ?? 0),
    );
    let better = false;
    for (let tries = 0; tries < 5 && !better; tries += 1) {
      const normal = spread.map((row, i) => row.map((it, j) => (i === j ? it * (1 + damping) + pull : it)));
      const move = solve3(
        normal,
        slope.map((it) => -it),
      );
      const next = point.map((it, k) =>
        Math.min(3, Math.max(-3, it + Math.min(1, Math.max(-1, move[k] ?? 0)))),
      );
      const other = model(next);
      const off = residuals(other, fitted);
      if (sum(off) < best) {
        better = true;
        const gained = best - sum(off);
        [point, found, r, best] = [next, other, off, sum(off)];
        damping = Math.max(1e-4, damping / 4);
        if (gained < 1e-3 * best) round = rounds;
      } else damping *= 5;
    }
    if (!better) break;
  }
  onProgress(1);
  const [exchange = 1, wetness = 1, gain = 1] = point.map(Math.exp);
  const held = (t: number): boolean => t >= heldFrom;
  return {
    factors: { exchange, wetness, gain },
    before: errors(before, readings, () => true),
    after: errors(found, readings, () => true),
    left: meanErrors(found, readings, held),
    fittedDays: Math.round(heldFrom / DAY),
    heldDays: days - Math.round(heldFrom / DAY),
    apart: tellsApart(spread),
    shown: {
      t: readings.map((it) => it.t),
      humidity: readings.map((it) => it.humidity),
      temperature: readings.map((it) => it.temperature),
      before,
      after: found,
      heldFrom,
    },
  };
}

/** The model where and when the probe read, late by its lag. */
function atReadings({ t, series }: Run, readings: readonly Reading[], cell: 0 | 1 | 2 | 3) {
  const every = (t[1] ?? 900) - (t[0] ?? 0);
  const late = (values: Float32Array): Float32Array => {
    const out = new Float32Array(values.length);
    const keep = Math.exp(-every / LAG);
    out[0] = values[0] ?? 0;
    for (let i = 1; i < values.length; i += 1)
      out[i] = keep * (out[i - 1] ?? 0) + (1 - keep) * (values[i] ?? 0);
    return out;
  };
  const read = (values: Float32Array, at: number): number => {
    const place = Math.min(values.length - 1, Math.max(0, at / every));
    const low = Math.floor(place);
    const part = place - low;
    return (values[low] ?? 0) * (1 - part) + (values[Math.min(values.length - 1, low + 1)] ?? 0) * part;
  };
  const rh = late(series[`rh${cell}`]);
  const air = late(series[`air${cell}`]);
  return {
    humidity: readings.map((it) => read(rh, it.t)),
    temperature: readings.map((it) => read(air, it.t)),
  };
}

type Found = ReturnType<typeof atReadings>;

function errors(found: Found, readings: readonly Reading[], used: (t: number) => boolean): Errors {
  let [h, t, n] = [0, 0, 0];
  readings.forEach((it, i) => {
    if (!used(it.t)) return;
    h += ((found.humidity[i] ?? 0) - it.humidity) ** 2;
    t += ((found.temperature[i] ?? 0) - it.temperature) ** 2;
    n += 1;
  });
  return { humidity: Math.sqrt(h / Math.max(1, n)), temperature: Math.sqrt(t / Math.max(1, n)) };
}

function meanErrors(found: Found, readings: readonly Reading[], used: (t: number) => boolean): Errors {
  let [h, t, n] = [0, 0, 0];
  readings.forEach((it, i) => {
    if (!used(it.t)) return;
    h += Math.abs((found.humidity[i] ?? 0) - it.humidity);
    t += Math.abs((found.temperature[i] ?? 0) - it.temperature);
    n += 1;
  });
  return { humidity: h / Math.max(1, n), temperature: t / Math.max(1, n) };
}

/** A small system by elimination with pivots. */
function solve3(a: readonly (readonly number[])[], b: readonly number[]): number[] {
  const n = b.length;
  const m = a.map((row, i) => [...row, b[i] ?? 0]);
  for (let k = 0; k < n; k += 1) {
    let pivot = k;
    for (let i = k + 1; i < n; i += 1) if (Math.abs(m[i]![k]!) > Math.abs(m[pivot]![k]!)) pivot = i;
    [m[k], m[pivot]] = [m[pivot]!, m[k]!];
    for (let i = k + 1; i < n; i += 1) {
      const by = m[i]![k]! / (m[k]![k]! || 1e-12);
      for (let j = k; j <= n; j += 1) m[i]![j]! -= by * m[k]![j]!;
    }
  }
  const x = new Array<number>(n).fill(0);
  for (let i = n - 1; i >= 0; i -= 1) {
    let sum = m[i]![n]!;
    for (let j = i + 1; j < n; j += 1) sum -= m[i]![j]! * x[j]!;
    x[i] = sum / (m[i]![i]! || 1e-12);
  }
  return x;
}

/** Steady humidity fixes only the ratio of wetness to exchange: their columns are then nearly one. */
function tellsApart(spread: readonly (readonly number[])[]): boolean {
  const [a, b] = [spread[0]?.[0] ?? 0, spread[1]?.[1] ?? 0];
  const cross = spread[0]?.[1] ?? 0;
  return a > 0 && b > 0 && Math.abs(cross) / Math.sqrt(a * b) < 0.985;
}
