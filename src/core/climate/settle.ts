import { WATER_DENSITY } from '../physics/constants';
import { contentAt, emptyWater, readWater } from '../ground/hydraulics';
import type { BoxModel, Column } from './box';
import { simulating, type SimulationInput, type Run, type Timetable, type Window } from './simulate';
import { atOnce, type InSlices } from './slices';
import { AT } from './states';
import { COLUMNS, LAND, startOf } from './stores';

type Settles = Omit<SimulationInput, 'start' | 'days' | 'every' | 'stop'> & {
  /** Where a like box came to: the nearer, the sooner it is at rest. */
  readonly start?: Float64Array | null;
  /** Days after which the plan repeats: its mist. */
  readonly cycle?: number;
  /** The keeper pours what keeps the soil as damp as it was filled; what it gains beyond that nobody takes out. */
  readonly keptSoil?: boolean;
  /** s between two records of its days; 2 h when it is not said. */
  readonly every?: number;
};

export interface AtRest {
  readonly state: Float64Array;
  /** The last day that was played: the next would be like it. */
  readonly last: Run;
}

/** m³/m³ a day, over its depth, by which soil may still change: it stands. */
const STANDS = 8e-4;
/** Days before the soil is looked at: air, wood and glass come to rest within them. */
const WARMS_UP = 2;
/** The same, where the soil is kept as it was: the box rests then. */
const KEPT_DAYS = 3;

/**
 * Brings a box to where its weather keeps it: the same day over and over until its soil no longer changes. The first
 * weeks of a fresh soil are a transient that says nothing about the box. What is misted every so many days is given in
 * parts every day. Within a day or two water shares itself out between the layers of a soil; how much there is in all
 * takes months: so each half's whole is carried towards the day it would repeat, by doubled strides until it lies
 * between two amounts and by false position from then on (the Illinois rule: Dowell & Jarratt 1971, BIT 11: 168), its layers
 * moved along their own curves. The bed is kept at its level, as the keeper keeps it.
 * @param most days that are played at the most, one or more
 */
export const comeToRest = (asked: Settles, most?: number): AtRest => atOnce(comingToRest(asked, most));

/** The same in slices. */
export function* comingToRest(asked: Settles, most = 30): InSlices<AtRest> {
  const { box, cycle = 1, keptSoil = false, every = 7200 } = asked;
  const table = asked.plan(0);
  const daily = cycle > 1 ? spread(table, asked.plan(1), cycle) : table;
  const soils = COLUMNS.filter((column) => box.columns[column].area > LAND).map((column) =>
    soilOf(box, column),
  );
  const first = asked.start ? 1 : keptSoil ? KEPT_DAYS : WARMS_UP;
  let before: Float64Array | null = asked.start ?? null;
  // Of its states only the water of the soil is looked at: how it was filled.
  const filled = keptSoil ? startOf(box, 20, 0.007) : null;
  for (let day = 0; ; day += 1) {
    const last: Run = yield* simulating({ ...asked, plan: () => daily, days: 1, every, start: before });
    const y = last.end;
    y[AT.reservoir] = box.reservoir.start;
    let stands = day >= first;
    for (const soil of soils) {
      if (filled && soil.whole(y) <= soil.whole(filled)) {
        for (const { at } of soil.layers) y[at] = filled[at] ?? 0;
        continue;
      }
      if (!before || day < first) continue;
      const had = soil.whole(before);
      const gained = soil.whole(y) - had;
      if (Math.abs(gained) < STANDS * soil.volume) continue;
      const next = soil.next(had, gained);
      stands = false;
      soil.carry(y, filled ? Math.max(soil.whole(filled), next) : next);
    }
    if (stands || day + 1 >= most) return { state: y, last };
    before = y;
  }
}

/** Where a box comes to rest. */
export const settle = (asked: Settles, most?: number): Float64Array => comeToRest(asked, most).state;

/** The soil of one half as a whole: how much water it holds, how much it should be tried with next. Volumes as kg of water. */
function soilOf(box: BoxModel, column: Column) {
  const { area, soil } = box.columns[column];
  const layers = soil.map((node, index) => ({
    at: AT.soilWater(column, index),
    kg: WATER_DENSITY * area * node.thickness,
    soil: node.soil,
    water: emptyWater(),
  }));
  const volume = layers.reduce((sum, it) => sum + it.kg, 0);
  const least = soil.reduce((sum, it, i) => sum + it.residual * (layers[i]?.kg ?? 0), 0);
  const full = layers.reduce((sum, it) => sum + it.soil.porosity * it.kg, 0);
  const whole = (y: Float64Array): number => layers.reduce((sum, { at }) => sum + (y[at] ?? 0), 0);
  /** Amounts tried, with what a day added to each: the driest that lost, the wettest that gained. */
  let loses: { x: number; f: number } | null = null;
  let gains: { x: number; f: number } | null = null;
  let stride = 4;
  return {
    layers,
    volume,
    whole,
    /** Amount that is tried next, after a day added so much to it. */
    next(x: number, f: number): number {
      if (f < 0) {
        if (gains && x <= gains.x) gains = null;
        else if (gains && loses) gains.f /= 2;
        loses = { x, f };
      } else {
        if (loses && x >= loses.x) loses = null;
        else if (loses && gains) loses.f /= 2;
        gains = { x, f };
      }
      if (loses && gains) return gains.x + ((loses.x - gains.x) * gains.f) / (gains.f - loses.f);
      const far = x + stride * f;
      stride *= 2;
      return Math.min(x + 0.6 * (full - x), Math.max(x - 0.4 * (x - least), far));
    },
    /** Moves all layers along their curves, alike in the logarithm of suction, until the whole is so much. */
    carry(y: Float64Array, wanted: number): void {
      const places = layers.map(({ at, kg, soil: own, water }) => {
        readWater(own, (y[at] ?? 0) / kg, water);
        return Math.asinh(Math.max(0, water.suction) / BENDS);
      });
      const moved = (by: number): number[] =>
        layers.map(
          ({ kg, soil: own }, i) =>
            kg * contentAt(own, BENDS * Math.sinh(Math.max(0, (places[i] ?? 0) + by))),
        );
      let [wet, dry] = [-20, 20];
      for (let i = 0; i < 40; i += 1) {
        const by = (wet + dry) / 2;
        if (moved(by).reduce((sum, it) => sum + it, 0) > wanted) wet = by;
        else dry = by;
      }
      moved((wet + dry) / 2).forEach((kg, i) => {
        const layer = layers[i];
        if (layer) y[layer.at] = kg;
      });
    },
  };
}

/** m of suction under which layers are moved by the same suction, over which by the same share of it (numerical). */
const BENDS = 0.1;

/** A day that gives of every day of a cycle its share: mist that runs on some days only, more faintly on all. */
function spread(first: Timetable, second: Timetable, cycle: number): Timetable {
  const alike = (a: readonly Window[], b: readonly Window[]): boolean =>
    a.length === b.length && a.every((it, i) => it.from === b[i]?.from && it.to === b[i]?.to);
  return {
    ...first,
    wetters: first.wetters.map((windows, i) =>
      alike(windows, second.wetters[i] ?? [])
        ? windows
        : windows.map((it) => ({ ...it, level: (it.level ?? 1) / cycle })),
    ),
  };
}
