import { relativeAt } from './air';
import type { BoxModel, Cell, Column, RoomNow } from './box';
import { equationsOf, type BoxSystem } from './equations';
import { heatIn, startOf, waterIn } from './stores';
import { Stepper } from './rosenbrock';
import { AT, counted, firstCounted } from './states';
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

export interface Asked {
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
  /** State at the end: where the next run may begin. */
  readonly end: Float64Array;
  /** What came in, went out and is there now; `off`: what does not add up, as a share of what passed. */
  readonly water: Balance;
  readonly heat: Balance;
  /** Power of each heater at each record, W. */
  readonly powers: readonly Float32Array[];
  /** kg drawn by each wetter, J used by each heater. */
  readonly drawn: readonly number[];
  readonly used: readonly number[];
  /** kg the keeper poured into dishes and pools. */
  readonly poured: number;
  readonly steps: number;
  readonly days: number;
}

export interface Balance {
  readonly in: number;
  readonly out: number;
  readonly change: number;
  readonly off: number;
}

const DAY = 86_400;
const WATER = 998;

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

/** Runs a box through its days. */
export function simulate(asked: Asked): Run {
  const { box, weather, plan, days, every } = asked;
  const system = equationsOf(box);
  const read = reader(weather);
  system.setRoom(read);
  const room: RoomNow = { temperature: 20, ratio: 0.007, sun: 0 };
  read(0, room);
  const y = asked.start ? Float64Array.from(asked.start) : startOf(box, room.temperature, room.ratio);
  const stepper = new Stepper(system, {
    least: 0.5,
    most: Math.min(1800, Math.max(600, every)),
    looser: asked.looser ?? 1,
  });
  for (let i = firstCounted(box); i < y.length; i += 1) y[i] = 0;
  const sumOf = (what: Parameters<typeof counted>[1]): number => y[counted(box, what)] ?? 0;
  const before = { water: waterIn(box, y), heat: heatIn(box, y) };
  const record = recorder(box, system, Math.floor((days * DAY) / every) + 1);
  const drawn = box.wetters.map(() => 0);
  const used = box.heaters.map(() => 0);
  let poured = 0;
  let passed = 0;

  read(0, room);
  const first = asked.firstDay ?? 0;
  switchTo(system, plan(first), 0);
  record.take(0, y, room);
  let nextRecord = every;
  let done = 0;
  for (let day = 0; day < days; day += 1) {
    const table = plan(first + day);
    const midnight = day * DAY;
    const moments = [0, ...momentsOf(table), DAY];
    for (let i = 0; i + 1 < moments.length; i += 1) {
      const from = moments[i] ?? 0;
      const to = moments[i + 1] ?? DAY;
      switchTo(system, table, from);
      if (table.fills === from && from > 0) poured += fill(box, y);
      if (i > 0) stepper.restart();
      let t = from;
      while (t < to) {
        const until = Math.min(to, nextRecord - midnight);
        if (until > t) stepper.advance(y, midnight + t, midnight + until);
        for (let k = 0; k < drawn.length; k += 1) {
          const on = system.switches.wetters[k] ?? 0;
          if (on > 0) {
            const kg = (box.wetters[k]?.rate ?? 0) * on * system.duty(y, 'wetters', k) * (until - t);
            drawn[k] = (drawn[k] ?? 0) + kg;
            record.wets(kg);
          }
        }
        for (let k = 0; k < used.length; k += 1) {
          const on = system.switches.heaters[k] ?? 0;
          if (on > 0)
            used[k] =
              (used[k] ?? 0) + (box.heaters[k]?.power ?? 0) * on * system.duty(y, 'heaters', k) * (until - t);
        }
        t = until;
        if (midnight + t >= nextRecord - 1e-6) {
          read(nextRecord, room);
          record.take(nextRecord, y, room);
          nextRecord += every;
        }
      }
    }
    done = day + 1;
    passed = Math.abs(sumOf('vapourOut'));
    if (asked.stop?.(day)) break;
  }
  const sums = {
    waterIn: sumOf('waterIn') + poured,
    waterOut: sumOf('vapourOut') + sumOf('liquidOut'),
    heatIn: sumOf('power') + sumOf('sun'),
    heatOut: sumOf('heatOut'),
  };
  const after = { water: waterIn(box, y), heat: heatIn(box, y) };
  return {
    ...record.done(),
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

/** Fills dishes and pools again; kg poured. */
function fill(box: BoxModel, y: Float64Array): number {
  let poured = 0;
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
  let wetted = 0;
  const theta = (y: Float64Array, column: Column, node: number): number => {
    const { area, soil } = box.columns[column];
    const thickness = soil[node]?.thickness ?? 0;
    return area > 1e-4 ? (y[AT.soilWater(column, node)] ?? 0) / (WATER * area * thickness) : 0;
  };
  const leafFilm = (y: Float64Array, cell: Cell): number => {
    const { leaves } = box.cells[cell];
    return leaves > 1e-3 ? (y[AT.leafFilm(cell)] ?? 0) / leaves : 0;
  };
  const panes = box.cells.reduce((sum, it) => sum + it.pane.area, 0);
  return {
    /** kg given since the last record. */
    wets(kg: number) {
      wetted += kg;
    },
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
        set(`ground${column}`, y[AT.soilT(column, 0)] ?? 0);
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
      set('mist', wetted);
      wetted = 0;
      set('room', room.temperature);
      set('roomRh', relativeAt(room.temperature, room.ratio, box.pressure));
      n += 1;
    },
    done() {
      return { t: t.slice(0, n), series: mapSeries(series, n), powers: powers.map((it) => it.slice(0, n)) };
    },
  };
}

const mapSeries = (series: Record<SeriesName, Float32Array>, n: number) =>
  Object.fromEntries(SERIES.map((name) => [name, series[name].slice(0, n)])) as Record<
    SeriesName,
    Float32Array
  >;

/** Water in the soil and the bed, kg. */
export function stored(y: Float64Array): number {
  let sum = y[AT.reservoir] ?? 0;
  for (let i = AT.soilWater(0, 0); i <= AT.soilWater(1, 3); i += 1) sum += y[i] ?? 0;
  return sum;
}

/**
 * Brings a box to where its weather keeps it: the same days over and over until the water in the soil stands, 60 days at
 * most. The first weeks of a fresh soil are a transient that says nothing about the box. After every second block the
 * soil is carried on to where its drying tends (Aitken's extrapolation), so that months need not be played through.
 */
export function settle(asked: Omit<Asked, 'start' | 'days' | 'every' | 'stop'>, most = 60): Float64Array {
  let y: Float64Array | null = null;
  let before: Float64Array | null = null;
  const block = 3;
  for (let day = 0; day < most; day += block) {
    const from: Float64Array | null = y;
    const run = simulate({ ...asked, days: block, every: 3600, start: from });
    y = run.end;
    if (!from) continue;
    // Less than one part in five hundred a day: it stands.
    const after = stored(y);
    if (Math.abs(after - stored(from)) / block < Math.max(0.002 * after, 1e-4)) break;
    if (before) {
      leap(asked.box, before, from, y);
      before = null;
    } else before = from;
  }
  return y ?? startOf(asked.box, 20, 0.007);
}

/** Carries each layer of soil on to the end of a geometric approach, within what soil can hold. */
function leap(box: BoxModel, before: Float64Array, from: Float64Array, y: Float64Array): void {
  for (const column of [0, 1] as const) {
    const { area, soil } = box.columns[column];
    soil.forEach(({ thickness, porosity, residual }, node) => {
      const at = AT.soilWater(column, node);
      const kg = WATER * area * thickness;
      const now = y[at] ?? 0;
      const first = (from[at] ?? 0) - (before[at] ?? 0);
      const second = now - (from[at] ?? 0);
      // Steady change is carried on for a month at most; a change that turns is left alone.
      const ratio = Math.abs(first) > 1e-12 ? Math.min(0.9, Math.max(0, second / first)) : 0;
      const next = now + (second * ratio) / (1 - ratio);
      y[at] = Math.min(Math.max(next, Math.min(residual * kg, now)), Math.max(porosity * kg, now));
    });
  }
}
