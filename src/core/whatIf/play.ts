import { isPlugged } from '../climate/climateModel';
import type { HeaterModel, WetterModel } from '../climate/box';
import type { Ready } from '../climate/forecast';
import { simulate, type Run, type Timetable } from '../climate/simulate';
import { byMonth, OUTDOORS, type Weather } from '../climate/weather';
import type { Design } from '../document/schema';
import { DAY } from '../physics/constants';
import { ROOMS, WHAT_IFS, type RoomKeeps, type WhatIfId } from './types';

/** It began after a day as usual, at this hour. */
export const BEGAN = 4;
/** K by which a heat wave is warmer; share of its vapour that heated winter air keeps. */
const [HEAT_WAVE, DRY_AIR] = [8, 0.62];
const ORDER: readonly WhatIfId[] = [
  'heat-wave',
  'dry-winter',
  'week-away',
  'stuck-thermostat',
  'stuck-nozzle',
  'dry-bottle',
  'power-cut',
];

/** Days that are played. */
export const daysOf = (ids: readonly WhatIfId[]): number =>
  Math.max(1, ...WHAT_IFS.filter((it) => ids.includes(it.id)).map((it) => it.days));

/**
 * The same box under what goes wrong, each beside the others. Devices are changed by the timetable, so that all else stays
 * as it was.
 */
export function play(
  ids: readonly WhatIfId[],
  ready: Ready,
  design: Design,
  start: Float64Array,
  seed: number,
  room: RoomKeeps,
): Run {
  const days = daysOf(ids);
  const has = (id: WhatIfId): boolean => ids.includes(id);
  const calm = ready.weather(days + 1, seed);
  const { hours } = ROOMS[room];
  const warmer = has('heat-wave') ? HEAT_WAVE : 0;
  const out = byMonth(OUTDOORS, ready.from);
  const weather = {
    ...calm,
    temperature: calm.temperature.map((it, i) => {
      if (i < BEGAN) return it;
      const own = it + warmer;
      // A room does not warm up because its heating failed.
      return has('power-cut') && hours < Infinity && own > out
        ? out + (own - out) * Math.exp(-(i - BEGAN) / hours)
        : own;
    }),
    ratio: calm.ratio.map((it, i) => (i >= BEGAN && has('dry-winter') ? it * DRY_AIR : it)),
  };
  const from = BEGAN * 3600;
  const cut = (windows: Timetable['wetters'][number], day: number) =>
    day === 0
      ? windows.filter((it) => it.from < from).map((it) => ({ ...it, to: Math.min(it.to, from) }))
      : [];
  const { bottle } = design.climate.mist;
  /** kg a day out of the bottle of the nozzles; a fogger has its own. */
  const perDay = (table: Timetable): number =>
    table.wetters.reduce((sum, windows, i) => {
      const wetter = ready.box.wetters[i];
      const on = windows.reduce((s, it) => s + it.to - it.from, 0);
      return wetter && wetter.bottle !== null ? sum + on * wetter.rate : sum;
    }, 0);
  const bottled = (i: number): boolean => {
    const wetter = ready.box.wetters[i];
    return wetter !== undefined && (wetter.bottle !== null || wetter.tank !== undefined);
  };
  const box = has('stuck-thermostat') ? { ...ready.box, heaters: ready.box.heaters.map(stuck) } : ready.box;
  const held = has('stuck-thermostat') ? heldShares(ready, start, weather) : [];
  const lasts = has('week-away') ? ownBottlesLast(ready, start, weather) : [];
  const openFor = (wetter: WetterModel): number =>
    bottle === null ? DAY : (bottle * 1000) / Math.max(1e-6, wetter.rate);
  const wrong: Readonly<Record<WhatIfId, (table: Timetable, day: number) => Timetable>> = {
    'heat-wave': (table) => table,
    'dry-winter': (table) => table,
    'power-cut': (table, day) => ({
      ...table,
      heaters: table.heaters.map((it) => cut(it, day)),
      wetters: table.wetters.map((it, i) => (isPlugged(ready.model, i) ? cut(it, day) : it)),
      fans: table.fans.map((it) => cut(it, day)),
      falls: cut(table.falls, day),
    }),
    'stuck-nozzle': (table, day) => ({
      ...table,
      wetters: table.wetters.map((it, i) => {
        const wetter = ready.box.wetters[i];
        if (i !== 0 || !wetter) return it;
        const until = from + openFor(wetter);
        const begins = day * DAY;
        const a = Math.max(0, from - begins);
        const b = Math.min(DAY, until - begins);
        return b > a ? [{ from: a, to: b }] : [];
      }),
    }),
    'dry-bottle': (table, day) => ({
      ...table,
      wetters: table.wetters.map((it, i) => (bottled(i) ? cut(it, day) : it)),
    }),
    'stuck-thermostat': (table, day) => ({
      ...table,
      heaters: table.heaters.map((_, i) => [
        ...(day === 0 ? [{ from: 0, to: from, level: held[i] ?? 0 }] : []),
        { from: day === 0 ? from : 0, to: DAY },
      ]),
    }),
    'week-away': (table, day) => {
      const left = bottle === null ? Infinity : bottle * 1000 - day * perDay(ready.plan(day));
      return {
        ...table,
        fills: null,
        wetters: table.wetters.map((it, i) => {
          const device = ready.model.wetterDevices[i];
          if (!isPlugged(ready.model, i) || device?.kind === 'hand-sprayer') return [];
          if (ready.box.wetters[i]?.bottle !== null) return left <= 0 ? [] : it;
          // Until its own bottle, full at the beginning, is empty.
          const until = (lasts[i] ?? Infinity) - day * DAY;
          return it
            .filter(({ from: on }) => on < until)
            .map((own) => ({ ...own, to: Math.min(own.to, until) }));
        }),
      };
    },
  };
  // What stops a thing comes after what lets it run on: a heater that sticks gives nothing without power.
  const inOrder = ORDER.filter(has);
  const plan = (day: number): Timetable =>
    inOrder.reduce((table, id) => wrong[id](table, day), ready.plan(day));
  return simulate({ box, weather, plan, days, every: 900, start });
}

const stuck = (heater: HeaterModel): HeaterModel => ({ ...heater, control: null });

/** s that the bottle of its own lasts each wetter, by what it draws on a day when nothing is wrong; Infinity: it has none. */
function ownBottlesLast(ready: Ready, start: Float64Array, weather: Weather): readonly number[] {
  const { box, plan } = ready;
  if (box.wetters.every((it) => it.tank === undefined)) return [];
  const { drawn } = simulate({ box, weather, plan, days: 1, every: 900, start });
  return box.wetters.map(({ tank }, i) =>
    tank === undefined ? Infinity : (tank / Math.max(1e-9, drawn[i] ?? 0)) * DAY,
  );
}

/** Share of its power each heater gives while its thermostat still holds it, in the hours before it sticks. */
function heldShares(ready: Ready, start: Float64Array, weather: Weather): readonly number[] {
  const { box, plan } = ready;
  const run = simulate({ box, weather, plan, days: 1, every: 900, start });
  const count = run.t.findIndex((t) => t > BEGAN * 3600);
  return box.heaters.map(({ power }, i) => {
    const given = [...(run.powers[i] ?? [])].slice(0, count);
    const mean = given.reduce((sum, it) => sum + it, 0) / Math.max(1, given.length);
    return power > 0 ? Math.min(1, mean / power) : 0;
  });
}
