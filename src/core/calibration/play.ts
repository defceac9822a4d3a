import type { Catalogue } from '../catalogue';
import { ratioAt, readyOf, settled, sharesOf, simulate, type Ready, type Weather } from '../climate';
import { DAY, HOUR } from '../physics/constants';
import { along, type Trace } from '../readings';
import type { CalibrationInput, Probe, Quantity, Where } from './types';

/** What is sought: logarithms of the factors, K the room is warmer, and the logarithm of the factor of its vapour. */
export type Point = readonly [
  exchange: number,
  wetness: number,
  gain: number,
  warmer: number,
  vapour: number,
];

/** One quantity of one probe. */
export interface Told {
  readonly name: string;
  readonly quantity: Quantity;
  readonly where: Where;
  readonly trace: Trace;
}

export const toldBy = (probes: readonly Probe[]): readonly Told[] =>
  probes.flatMap(({ name, where, temperature, humidity }) => [
    ...(temperature ? [{ name, where, quantity: 'temperature' as const, trace: temperature }] : []),
    ...(humidity ? [{ name, where, quantity: 'humidity' as const, trace: humidity }] : []),
  ]);

/** What each trace would have read at its moments. */
export type Played = readonly (readonly number[])[];

const EVERY = 300;
/** s by which a cheap probe may be late: that which fits best is taken (common practice: 1 to 15 min). */
const LAGS = [60, 180, 360, 600, 900] as const;
/** The room hour by hour as it was read, and where it was not as the design says, off by what is sought. */
function roomOf(usual: Weather, room: CalibrationInput['room'], pressure: number, point: Point): Weather {
  const warmth = room.temperature ? along(room.temperature) : () => null;
  const damp = room.humidity ? along(room.humidity) : () => null;
  const temperature = new Float64Array(usual.temperature.length);
  const ratio = new Float64Array(temperature.length);
  for (let hour = 0; hour < temperature.length; hour += 1) {
    const [t, rh] = [warmth(hour * HOUR), damp(hour * HOUR)];
    const own = t ?? (usual.temperature[hour] ?? 20) + point[3];
    temperature[hour] = own;
    ratio[hour] =
      rh === null ? (usual.ratio[hour] ?? 0) * Math.exp(point[4]) : ratioAt(own, Math.max(0, rh), pressure);
  }
  return { ...usual, temperature, ratio };
}

/** Plays a box through the days of its readings, from where it stands at rest. */
export function playerOf(asked: CalibrationInput, told: readonly Told[], catalogue: Catalogue) {
  const { design, from, room } = asked;
  const drawn = readyOf({ ...design, climate: { ...design.climate, calibration: null } }, catalogue, from);
  const last = Math.max(...told.map(({ trace }) => trace.t.at(-1) ?? 0));
  const days = Math.max(1, Math.ceil((last + 1) / DAY));
  const usual = drawn.weather(days + 1, null);
  const { width, height } = design.enclosure;
  const box = { model: drawn.model, warm: design.scape.warm, width, height };
  const shares = told.map(({ where }) => sharesOf(box, where));
  let rest: Float64Array | null = null;
  /** @throws ImpossibleClimate where no enclosure comes to what it would. */
  const play = (point: Point): Played => {
    const factors = { exchange: Math.exp(point[0]), wetness: Math.exp(point[1]), gain: Math.exp(point[2]) };
    const weather = roomOf(usual, room, drawn.box.pressure, point);
    const ready: Ready = { ...drawn, box: { ...drawn.box, factors }, weather: () => weather };
    // Points lie near each other: each begins where the last came to rest.
    rest = settled(ready, 4, 24, rest);
    const { plan } = drawn;
    const run = simulate({ box: ready.box, weather, plan, days, every: EVERY, start: rest, looser: 4 });
    const cells = [0, 1, 2, 3] as const;
    const of = {
      temperature: cells.map((cell) => run.series[`air${cell}`]),
      humidity: cells.map((cell) => run.series[`rh${cell}`]),
    };
    return told.map(({ quantity, trace }, k) => {
      const mixed = Float64Array.from(run.t, (_, i) =>
        of[quantity].reduce((sum, own, cell) => sum + (shares[k]?.[cell] ?? 0) * (own[i] ?? 0), 0),
      );
      return asRead(mixed, trace);
    });
  };
  return { drawn, play };
}

/** As a probe reads it, late by the lag that fits best. */
function asRead(values: Float64Array, { t, value }: Trace): readonly number[] {
  let best: readonly number[] = [];
  let least = Infinity;
  for (const lag of LAGS) {
    const keep = Math.exp(-EVERY / lag);
    const late = new Float64Array(values.length);
    late[0] = values[0] ?? 0;
    for (let i = 1; i < late.length; i += 1)
      late[i] = keep * (late[i - 1] ?? 0) + (1 - keep) * (values[i] ?? 0);
    const found = t.map((at) => {
      const place = Math.min(late.length - 1, Math.max(0, at / EVERY));
      const low = Math.floor(place);
      const part = place - low;
      return (late[low] ?? 0) * (1 - part) + (late[Math.min(late.length - 1, low + 1)] ?? 0) * part;
    });
    const off = found.reduce((sum, it, i) => sum + (it - (value[i] ?? 0)) ** 2, 0);
    if (off < least) [least, best] = [off, found];
  }
  return best;
}
