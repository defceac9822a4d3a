import { relativeAt, saturationCurve } from './air';
import type { BoxModel, Cell, Column, RoomNow } from './box';
import { equationsOf, type BoxSystem } from './equations';
import { LATENT_HEAT, MOIST_AIR_HEAT, WATER_DENSITY, DAY } from '../physics/constants';
import { guard } from './guard';
import { airIn, CELLS, heatIn, LAND, startOf, waterIn } from './stores';
import { Stepper, type StepLimits } from './rosenbrock';
import { atOnce, type InSlices } from './slices';
import { AT, chamberAt, counted, firstCounted, givenBy, usedBy } from './states';
import { reader, type Weather } from './weather';

/** s of a day between which something is on. */
export interface Window {
  readonly from: number;
  readonly to: number;
  /** 0 to 1; 1 when it is not said. */
  readonly level?: number;
}

/** What is switched in the course of one day, in the order of the model's lists. */
export interface Timetable {
  readonly day: readonly Window[];
  readonly heaters: readonly (readonly Window[])[];
  readonly wetters: readonly (readonly Window[])[];
  readonly fans: readonly (readonly Window[])[];
  readonly falls: readonly Window[];
  /** When the keeper fills dishes and pools again; null: nobody comes. */
  readonly fills: number | null;
}

export interface SimulationInput {
  readonly box: BoxModel;
  readonly weather: Weather;
  /** By the number of the day, from 0. */
  readonly plan: (day: number) => Timetable;
  readonly days: number;
  /** s between two records. */
  readonly every: number;
  /** Where it begins; null: all as the room is, and at rest. */
  readonly start: Float64Array | null;
  /** Day of the plan it begins with. */
  readonly firstDay?: number;
  /** How much looser than usual a step may be, for long runs; 1 when it is not said. */
  readonly looser?: number;
  /** Called after each day; true ends it there. */
  readonly stop?: (day: number) => boolean;
}

/** Names of what is recorded, with their units: °C, 0 to 1, kg, kg/m², m³/m³, m³/s. */
export const SERIES = [
  'air0',
  'air1',
  'air2',
  'air3',
  'rh0',
  'rh1',
  'rh2',
  'rh3',
  'spot0',
  'spot1',
  'ground0',
  'ground1',
  'felt0',
  'felt1',
  'bed0',
  'bed1',
  'pool0',
  'pool1',
  'top0',
  'top1',
  'mid0',
  'mid1',
  'low0',
  'low1',
  'leaf0',
  'leaf1',
  'leaf2',
  'leaf3',
  'fogged',
  'reservoir',
  'water',
  'exchange',
  'watts',
  'mist',
  'room',
  'roomRh',
] as const;
export type SeriesName = (typeof SERIES)[number];

export interface Run {
  /** s from the start of its first day. */
  readonly t: Float64Array;
  readonly series: Readonly<Record<SeriesName, Float32Array>>;
  /** State at the beginning, and at the end: where the next run may begin. */
  readonly begin: Float64Array;
  readonly end: Float64Array;
  /** What came in, went out and is there now; `off`: what does not add up, as a share of what passed. */
  readonly water: Balance;
  readonly heat: Balance;
  /** Power of each heater at each record, W. */
  readonly powers: readonly Float32Array[];
  /** kg drawn by each wetter, J used by each heater. */
  readonly drawn: readonly number[];
  readonly used: readonly number[];
  /** kg the keeper poured into dishes, pools and moist hides. */
  readonly poured: number;
  /** Air of each small chamber at each record, °C and 0 to 1, and the water of its moss, kg. */
  readonly chambers: readonly ChamberRun[];
  readonly steps: number;
  readonly days: number;
}

export interface ChamberRun {
  readonly piece: string;
  readonly temperature: Float32Array;
  readonly humidity: Float32Array;
  readonly store: Float32Array;
}

export interface Balance {
  readonly in: number;
  readonly out: number;
  readonly change: number;
  readonly off: number;
}

/** Days after which the keeper wets moist hides again (common practice: by the week). */
export const WETS_HIDES = 7;

/** Every moment of a day at which something is switched. */
export function momentsOf(table: Timetable): readonly number[] {
  const all = [
    ...table.day,
    ...table.heaters.flat(),
    ...table.wetters.flat(),
    ...table.fans.flat(),
    ...table.falls,
  ].flatMap(({ from, to }) => [from, to]);
  if (table.fills !== null) all.push(table.fills);
  return [...new Set(all.filter((t) => t > 0 && t < DAY))].sort((a, b) => a - b);
}

const levelAt = (windows: readonly Window[], t: number): number => {
  for (const { from, to, level } of windows) if (t >= from && t < to) return level ?? 1;
  return 0;
};

/** Sets the switches to what the timetable says at a moment of the day. */
export function switchTo(system: BoxSystem, table: Timetable, t: number): void {
  const { switches } = system;
  switches.day = levelAt(table.day, t);
  switches.falls = levelAt(table.falls, t);
  for (let i = 0; i < switches.heaters.length; i += 1)
    switches.heaters[i] = levelAt(table.heaters[i] ?? [], t);
  for (let i = 0; i < switches.wetters.length; i += 1)
    switches.wetters[i] = levelAt(table.wetters[i] ?? [], t);
  for (let i = 0; i < switches.fans.length; i += 1) switches.fans[i] = levelAt(table.fans[i] ?? [], t);
}

const prepared = new WeakMap<
  BoxModel,
  { readonly system: BoxSystem; readonly stepper: (limits: StepLimits) => Stepper }
>();

/** The equations of a box and the order they are solved in, made once for each model. */
function preparedFor(box: BoxModel) {
  let found = prepared.get(box);
  if (!found) {
    const system = equationsOf(box);
    let made: Stepper | undefined;
    found = {
      system,
      stepper: (limits) => {
        made = made ? made.again(limits) : new Stepper(system, limits);
        return made;
      },
    };
    prepared.set(box, found);
  }
  return found;
}

/** A state to begin from. One of a box with other devices is taken over without their probes. */
function startFrom(box: BoxModel, start: Float64Array | null, room: RoomNow): Float64Array {
  const fresh = startOf(box, room.temperature, room.ratio);
  if (!start) return fresh;
  if (start.length === fresh.length) return Float64Array.from(start);
  fresh.set(start.subarray(0, AT.probes));
  return fresh;
}

/** Runs a box through its days. */
export const simulate = (asked: SimulationInput): Run => atOnce(simulating(asked));

/**
 * The same in slices, one for each record. The equations of a box are shared by all runs of the same model: only one of
 * them may be under way.
 */
export function* simulating(asked: SimulationInput): InSlices<Run> {
  const { box, weather, plan, days, every } = asked;
  const { system, stepper: prepared } = preparedFor(box);
  const read = reader(weather);
  system.setRoom(read);
  const room: RoomNow = { temperature: 20, ratio: 0.007, sun: 0 };
  read(0, room);
  const y = startFrom(box, asked.start, room);
  const stepper = prepared({
    least: 0.5,
    most: Math.min(1800, Math.max(600, every)),
    looser: asked.looser ?? 1,
  });
  for (let i = firstCounted(box); i < y.length; i += 1) y[i] = 0;
  const sumOf = (what: Parameters<typeof counted>[1]): number => y[counted(box, what)] ?? 0;
  const begin = Float64Array.from(y);
  const before = { water: waterIn(box, y), heat: heatIn(box, y) };
  const record = recorder(box, system, Math.floor((days * DAY) / every) + 1);
  let poured = 0;
  let passed = 0;

  read(0, room);
  const first = asked.firstDay ?? 0;
  switchTo(system, plan(first), 0);
  record.take(0, y, room);
  let nextRecord = every;
  const fanned = box.fans.length > 0;
  let done = 0;
  for (let day = 0; day < days; day += 1) {
    const table = plan(first + day);
    const midnight = day * DAY;
    const moments = [0, ...momentsOf(table), DAY];
    for (let i = 0; i + 1 < moments.length; i += 1) {
      const from = moments[i] ?? 0;
      const to = moments[i + 1] ?? DAY;
      switchTo(system, table, from);
      if (table.fills === from && from > 0) poured += fill(box, y, (first + day) % WETS_HIDES === 0);
      if (i > 0) stepper.restart();
      let t = from;
      while (t < to) {
        const until = Math.min(to, nextRecord - midnight);
        if (until > t) stepper.advance(y, midnight + t, midnight + until);
        t = until;
        if (midnight + t >= nextRecord - 1e-6) {
          guard(box, y, system.exchange(y, midnight + t), fanned, midnight + t);
          condense(box, y);
          read(nextRecord, room);
          record.take(nextRecord, y, room);
          nextRecord += every;
          yield;
        }
      }
    }
    done = day + 1;
    passed = Math.abs(sumOf('vapourOut'));
    if (asked.stop?.(day)) break;
  }
  const drawn = box.wetters.map((_, k) => y[givenBy(box, k)] ?? 0);
  const used = box.heaters.map((_, k) => y[usedBy(box, k)] ?? 0);
  const all = (values: readonly number[]): number => values.reduce((sum, it) => sum + it, 0);
  const sums = {
    waterIn: all(drawn) + poured,
    waterOut: sumOf('vapourOut') + sumOf('liquidOut'),
    heatIn: all(used) + sumOf('sun'),
    heatOut: sumOf('heatOut'),
  };
  const after = { water: waterIn(box, y), heat: heatIn(box, y) };
  return {
    ...record.done(),
    begin,
    end: y,
    water: balance(sums.waterIn, sums.waterOut, after.water - before.water, Math.max(passed, before.water)),
    heat: balance(sums.heatIn, sums.heatOut, after.heat - before.heat, before.heat),
    drawn,
    used,
    poured,
    steps: stepper.count.taken + stepper.count.refused,
    days: done,
  };
}

/**
 * What a step has left over saturation becomes fog, as it would within seconds: vapour, drops and the heat that is set
 * free close to rounding.
 */
function condense(box: BoxModel, y: Float64Array): void {
  const curve = saturationCurve(box.pressure);
  for (const cell of CELLS) {
    const over = (y[AT.ratio(cell)] ?? 0) - curve.at(y[AT.airT(cell)] ?? 0);
    if (over <= 0) continue;
    const drops = over / (1 + (LATENT_HEAT * curve.slope) / MOIST_AIR_HEAT);
    y[AT.ratio(cell)]! -= drops;
    y[AT.fog(cell)]! += drops * airIn(box, cell);
    y[AT.airT(cell)]! += (drops * LATENT_HEAT) / MOIST_AIR_HEAT;
  }
}

/** Fills dishes and pools again, and by the week the moss of moist hides; kg poured. */
function fill(box: BoxModel, y: Float64Array, hides: boolean): number {
  let poured = 0;
  if (hides)
    box.chambers.forEach(({ holds }, index) => {
      const { store } = chamberAt(box, index);
      const short = holds - (y[store] ?? 0);
      if (short <= 0) return;
      y[store] = holds;
      poured += short;
    });
  for (const column of [0, 1] as const) {
    const short = box.columns[column].pool.full - (y[AT.pool(column)] ?? 0);
    if (short <= 0) continue;
    y[AT.pool(column)] = box.columns[column].pool.full;
    poured += short;
  }
  return poured;
}

function balance(into: number, out: number, change: number, scale: number): Balance {
  const size = Math.max(Math.abs(into), Math.abs(out), scale, 1e-12);
  return { in: into, out, change, off: Math.abs(into - out - change) / size };
}

function recorder(box: BoxModel, system: BoxSystem, count: number) {
  const t = new Float64Array(count);
  const series = Object.fromEntries(SERIES.map((name) => [name, new Float32Array(count)])) as Record<
    SeriesName,
    Float32Array
  >;
  const powers = box.heaters.map(() => new Float32Array(count));
  let n = 0;
  let given = 0;
  const chambers = box.chambers.map(({ piece }) => ({
    piece,
    temperature: new Float32Array(count),
    humidity: new Float32Array(count),
    store: new Float32Array(count),
  }));
  const theta = (y: Float64Array, column: Column, node: number): number => {
    const { area, soil } = box.columns[column];
    const thickness = soil[node]?.thickness ?? 0;
    return area > LAND ? (y[AT.soilWater(column, node)] ?? 0) / (WATER_DENSITY * area * thickness) : 0;
  };
  const leafFilm = (y: Float64Array, cell: Cell): number => {
    const { leaves } = box.cells[cell];
    return leaves > 1e-3 ? (y[AT.leafFilm(cell)] ?? 0) / leaves : 0;
  };
  const panes = box.cells.reduce((sum, it) => sum + it.pane.area, 0);
  return {
    take(time: number, y: Float64Array, room: RoomNow) {
      if (n >= count) return;
      t[n] = time;
      const at = n;
      const set = (name: SeriesName, value: number): void => void (series[name][at] = value);
      for (const cell of [0, 1, 2, 3] as const) {
        set(`air${cell}`, y[AT.airT(cell)] ?? 0);
        set(`rh${cell}`, relativeAt(y[AT.airT(cell)] ?? 0, y[AT.ratio(cell)] ?? 0, box.pressure));
        set(`leaf${cell}`, leafFilm(y, cell));
      }
      for (const column of [0, 1] as const) {
        set(`spot${column}`, y[AT.spotT(column)] ?? 0);
        const ground = y[AT.soilT(column, 0)] ?? 0;
        const air = y[AT.airT((2 * column) as Cell)] ?? 0;
        set(`ground${column}`, ground);
        set(
          `felt${column}`,
          (air + (box.columns[column].area > LAND ? ground : (y[AT.poolT(column)] ?? air))) / 2,
        );
        set(`bed${column}`, y[AT.bedT(column)] ?? 0);
        set(`pool${column}`, y[AT.poolT(column)] ?? 0);
        set(`top${column}`, theta(y, column, 0));
        set(`mid${column}`, theta(y, column, 1));
        set(`low${column}`, theta(y, column, 3));
      }
      const film = [0, 1, 2, 3].reduce((sum, cell) => sum + (y[AT.paneFilm(cell as Cell)] ?? 0), 0);
      set('fogged', panes > 0 ? film / panes : 0);
      set('reservoir', y[AT.reservoir] ?? 0);
      set('water', (y[AT.pool(0)] ?? 0) + (y[AT.pool(1)] ?? 0));
      set('exchange', system.exchange(y, time));
      let watts = 0;
      box.heaters.forEach((heater, i) => {
        const own = heater.power * (system.switches.heaters[i] ?? 0) * system.duty(y, 'heaters', i);
        watts += own;
        const power = powers[i];
        if (power) power[at] = own;
      });
      set('watts', watts);
      let all = 0;
      for (let k = 0; k < box.wetters.length; k += 1)
        if (!box.wetters[k]?.jug) all += y[givenBy(box, k)] ?? 0;
      set('mist', all - given);
      given = all;
      chambers.forEach((it, index) => {
        const { t: temperature, ratio, store } = chamberAt(box, index);
        it.temperature[at] = y[temperature] ?? 0;
        it.humidity[at] = relativeAt(y[temperature] ?? 0, y[ratio] ?? 0, box.pressure);
        it.store[at] = y[store] ?? 0;
      });
      set('room', room.temperature);
      set('roomRh', relativeAt(room.temperature, room.ratio, box.pressure));
      n += 1;
    },
    done() {
      return {
        t: t.slice(0, n),
        series: mapSeries(series, n),
        powers: powers.map((it) => it.slice(0, n)),
        chambers: chambers.map((it) => ({
          piece: it.piece,
          temperature: it.temperature.slice(0, n),
          humidity: it.humidity.slice(0, n),
          store: it.store.slice(0, n),
        })),
      };
    },
  };
}

const mapSeries = (series: Record<SeriesName, Float32Array>, n: number) =>
  Object.fromEntries(SERIES.map((name) => [name, series[name].slice(0, n)])) as Record<
    SeriesName,
    Float32Array
  >;
