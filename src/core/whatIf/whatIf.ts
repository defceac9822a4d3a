import { findAnimal, type Catalogue } from '../catalogue';
import type { Design } from '../document/schema';
import { criteriaOf, keepsMoist, TOLERANCE, type CriterionId } from '../verdict/criteria';
import { bandsOf, type Bands } from '../climate/climateSummary';
import type { HeaterModel, WetterModel } from '../climate/box';
import { readyOf, settled, type Ready } from '../climate/forecast';
import { dayOfSeason, type Season } from '../climate/roomProfile';
import { simulate, type Run, type SeriesName, type Timetable } from '../climate/simulate';
import { humidityAtRecord, zonesFor, type Zones } from '../climate/zones';
import { DAY } from '../physics/constants';

export const WHAT_IFS = [
  {
    id: 'power-cut',
    name: 'The power fails',
    why: 'All that has a plug stops at four in the morning.',
    days: 3,
  },
  {
    id: 'stuck-nozzle',
    name: 'A nozzle sticks open',
    why: 'Mist runs on until the bottle is dry, or for a day from the mains.',
    days: 2,
  },
  { id: 'dry-bottle', name: 'The bottle runs dry', why: 'Nothing is misted or fogged any more.', days: 7 },
  { id: 'heat-wave', name: 'A heat wave', why: 'The room stands 8 K warmer for a week.', days: 7 },
  {
    id: 'dry-winter',
    name: 'Dry heating air',
    why: 'The room loses 15 points of humidity for a week.',
    days: 7,
  },
  {
    id: 'stuck-thermostat',
    name: 'A thermostat sticks on',
    why: 'Every heater runs at full power, day and night.',
    days: 2,
  },
  {
    id: 'week-away',
    name: 'Nobody comes for a week',
    why: 'Dishes are not filled, nothing is misted by hand, bottles only last as long as they do.',
    days: 7,
  },
] as const;
export type WhatIfId = (typeof WHAT_IFS)[number]['id'];

/** Something an animal cannot bear for long. */
export interface Limit {
  readonly what:
    | 'too hot'
    | 'too cold'
    | 'too dry'
    | 'too wet'
    | 'nothing to drink'
    | 'water over the barrier'
    | 'soil dry';
  /** h after it began; null: not within the drill. */
  readonly after: number | null;
  /** The value that counts: °C, 0 to 1 or kg. */
  readonly worst: number;
}

export interface WhatIfResult {
  readonly id: WhatIfId;
  readonly run: Run;
  /** h from the start of the run at which it begins. */
  readonly began: number;
  readonly limits: readonly Limit[];
  /** What would buy time, and how many hours of it; the most useful first. */
  readonly buys: readonly {
    readonly what: string;
    readonly hours: number;
  }[];
  /** Where the animal is met: what the chart shows and the limits are counted by. */
  readonly zones: Zones;
}

/**
 * Beyond what a box is too hot, cold, dry or wet, day or night: what the verdict calls borne, by its tolerance. Without an
 * animal, what a mild moist box is held to, and as much beyond it as most kinds bear (from memory).
 */
function bearsOf(design: Design, catalogue: Catalogue) {
  const animal = findAnimal(catalogue, design.brief.animal);
  if (!animal) {
    const { cool, night, humidityDay, humidityNight } = bandsOf(undefined);
    return {
      hot: Math.max(cool.high, night.high) + 4,
      cold: Math.min(cool.low, night.low) - 4,
      dry: Math.min(humidityDay.low, humidityNight.low) - 0.2,
      wet: 2,
    };
  }
  const criteria = criteriaOf(animal, keepsMoist(design));
  const of = (ids: readonly CriterionId[], edge: 'low' | 'high'): readonly number[] =>
    criteria.filter((it) => ids.includes(it.id)).map((it) => it.borne[edge]);
  const wettest = Math.max(...of(['humidity-day', 'humidity-night'], 'high'));
  return {
    hot: animal.climate.heat?.value ?? Math.max(...of(['cool', 'night'], 'high')) + TOLERANCE.temperature,
    cold: Math.min(...of(['cool', 'night'], 'low')) - TOLERANCE.temperature,
    dry: Math.min(...of(['humidity-day', 'humidity-night'], 'low')) - TOLERANCE.humidity,
    wet: wettest >= 1 ? 2 : wettest + TOLERANCE.humidity,
  };
}

/** It began after a day as usual. */
const BEGAN = 4;

/** Plays a drill through from the settled box. */
export function playWhatIf(
  id: WhatIfId,
  design: Design,
  catalogue: Catalogue,
  season: Season,
  seed: number,
  stopped: () => boolean = () => false,
): WhatIfResult {
  const from = dayOfSeason(season, design.climate.room.latitude);
  const ready = readyOf(design, catalogue, from);
  const start = settled(ready);
  const bears = bearsOf(design, catalogue);
  const played = play(id, ready, design, start, seed);
  const limits = limitsOf(played, ready.bands, ready, bears);
  const first = firstOf(limits);
  const buys: { what: string; hours: number }[] = [];
  for (const { what, change } of REMEDIES[id]) {
    if (stopped()) break;
    const altered = change(design);
    if (!altered) continue;
    const other = readyOf(altered, catalogue, from);
    const again = firstOf(limitsOf(play(id, other, altered, start, seed), other.bands, other, bears));
    const hours = Math.min(again, span(id)) - Math.min(first, span(id));
    if (hours > 0.4) buys.push({ what, hours });
  }
  buys.sort((a, b) => b.hours - a.hours);
  return { id, run: played, began: BEGAN, limits, buys, zones: zonesFor(ready.bands) };
}

const span = (id: WhatIfId): number => (WHAT_IFS.find((it) => it.id === id)?.days ?? 1) * 24 - BEGAN;
const firstOf = (limits: readonly Limit[]): number =>
  limits.reduce((least, it) => (it.after === null ? least : Math.min(least, it.after)), Infinity);

/** The same box under what goes wrong. Devices are changed by the timetable, so that all else stays as it was. */
function play(id: WhatIfId, ready: Ready, design: Design, start: Float64Array, seed: number): Run {
  const days = WHAT_IFS.find((it) => it.id === id)?.days ?? 1;
  const shift =
    id === 'heat-wave'
      ? { temperature: 8, humidity: 0 }
      : id === 'dry-winter'
        ? { temperature: 0, humidity: -0.15 }
        : null;
  const calm = ready.weather(days + 1, seed);
  const weather = shift
    ? {
        ...calm,
        temperature: calm.temperature.map((it, i) => (i >= BEGAN ? it + shift.temperature : it)),
        ratio: calm.ratio.map((it, i) => (i >= BEGAN && shift.humidity < 0 ? it * 0.62 : it)),
      }
    : calm;
  const from = BEGAN * 3600;
  const off = (day: number) => (day === 0 ? [{ from: 0, to: from }] : []);
  const cut = (windows: Timetable['wetters'][number], day: number) =>
    day === 0
      ? windows.filter((it) => it.from < from).map((it) => ({ ...it, to: Math.min(it.to, from) }))
      : [];
  const { bottle } = design.climate.mist;
  const perDay = (table: Timetable): number =>
    table.wetters.reduce(
      (sum, windows, i) =>
        sum + windows.reduce((s, it) => s + it.to - it.from, 0) * (ready.box.wetters[i]?.rate ?? 0),
      0,
    );
  const box = id === 'stuck-thermostat' ? { ...ready.box, heaters: ready.box.heaters.map(stuck) } : ready.box;
  const openFor = (wetter: WetterModel): number =>
    bottle === null ? DAY : (bottle * 1000) / Math.max(1e-6, wetter.rate);
  const plan = (day: number): Timetable => {
    const table = ready.plan(day);
    switch (id) {
      case 'power-cut':
        return {
          ...table,
          heaters: table.heaters.map((it) => cut(it, day)),
          // A hand sprayer needs no plug.
          wetters: table.wetters.map((it, i) => (ready.model.wetterDevices[i] === null ? it : cut(it, day))),
          fans: table.fans.map((it) => cut(it, day)),
          falls: cut(table.falls, day),
        };
      case 'stuck-nozzle':
        return {
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
        };
      case 'dry-bottle':
        return { ...table, wetters: table.wetters.map((it) => cut(it, day)) };
      case 'stuck-thermostat':
        return {
          ...table,
          heaters: table.heaters.map(() => [...off(day), { from: day === 0 ? from : 0, to: DAY }]),
        };
      case 'week-away': {
        const left = bottle === null ? Infinity : bottle * 1000 - day * perDay(table);
        return {
          ...table,
          fills: null,
          wetters: table.wetters.map((it, i) =>
            ready.model.wetterDevices[i] === null ||
            ready.model.wetterDevices[i]?.kind === 'hand-sprayer' ||
            left <= 0
              ? []
              : it,
          ),
        };
      }
      default:
        return table;
    }
  };
  return simulate({ box, weather, plan, days, every: 900, start });
}

const stuck = (heater: HeaterModel): HeaterModel => ({ ...heater, control: null });

function limitsOf(
  { t, series }: Run,
  bands: Bands,
  { model, box }: Ready,
  bears: ReturnType<typeof bearsOf>,
): readonly Limit[] {
  const hours = (i: number): number => (t[i] ?? 0) / 3600 - BEGAN;
  const seek = (
    what: Limit['what'],
    value: (i: number) => number,
    beyond: (value: number) => boolean,
    worse: (a: number, b: number) => number,
  ): Limit => {
    let worst = value(0);
    let after: number | null = null;
    for (let i = 0; i < t.length; i += 1) {
      const it = value(i);
      worst = worse(worst, it);
      if (after === null && hours(i) >= 0 && beyond(it)) after = hours(i);
    }
    return { what, after, worst };
  };
  const s = (name: SeriesName) => (i: number) => series[name][i] ?? 0;
  const coolest = (i: number): number => Math.min(s('air0')(i), s('air2')(i), s('air1')(i), s('air3')(i));
  const warmest = (i: number): number => Math.max(s('air0')(i), s('air2')(i));
  const damp = (i: number): number => humidityAtRecord({ series }, zonesFor(bands), i);
  const limits: Limit[] = [
    // An animal goes where it is coolest: it is too hot when even there it is.
    seek('too hot', coolest, (it) => it > bears.hot, Math.max),
    seek('too cold', warmest, (it) => it < bears.cold, Math.min),
    seek('too dry', damp, (it) => it < bears.dry, Math.min),
    seek('too wet', damp, (it) => it > bears.wet, Math.max),
  ];
  if (box.columns.some((it) => it.pool.area > 1e-3))
    limits.push(
      seek(
        'nothing to drink',
        s('water'),
        (it) => it < 0.02 * box.columns.reduce((sum, c) => sum + c.pool.full, 0),
        Math.min,
      ),
    );
  if (model.bedFull > 0 && box.reservoir.takes === 'bed')
    limits.push(seek('water over the barrier', s('reservoir'), (it) => it > model.bedFull * 0.98, Math.max));
  if (box.columns[0].start[1] > 0.12) {
    const dry = (i: number): number => Math.min(s('mid0')(i), s('mid1')(i));
    const least = box.columns[0].soil[1].residual + 0.02;
    limits.push(seek('soil dry', dry, (it) => it < least && least < (series.mid0[0] ?? 0), Math.min));
  }
  return limits;
}

type Remedy = { readonly what: string; readonly change: (design: Design) => Design | null };

const withBox = (design: Design, change: Partial<Design['enclosure']>): Design => ({
  ...design,
  enclosure: { ...design.enclosure, ...change },
});
const closed: Remedy = {
  what: 'Cover the top',
  change: (design) => (design.enclosure.topCover < 0.9 ? withBox(design, { topCover: 0.95 }) : null),
};
const opened: Remedy = {
  what: 'Uncover the top',
  change: (design) => (design.enclosure.topCover > 0.1 ? withBox(design, { topCover: 0 }) : null),
};
const lagged: Remedy = {
  what: 'Blankets round the enclosure',
  // Like a centimetre of felt on every wall.
  change: (design) =>
    withBox(design, {
      wallThickness: Math.min(
        0.2,
        design.enclosure.wallThickness + (design.enclosure.material === 'glass' ? 0.15 : 0.03),
      ),
      topCover: 0.95,
    }),
};
const larger: Remedy = {
  what: 'A bottle twice as large',
  change: (design) =>
    design.climate.mist.bottle === null
      ? null
      : {
          ...design,
          climate: {
            ...design.climate,
            mist: { ...design.climate.mist, bottle: Math.min(2, design.climate.mist.bottle * 2) },
          },
        },
};
const smaller: Remedy = {
  what: 'Heaters of half the power',
  change: (design) => ({
    ...design,
    climate: {
      ...design.climate,
      devices: design.climate.devices.map((it) => (it.thermostat ? { ...it, power: it.power / 2 } : it)),
    },
  }),
};
const halfBottle: Remedy = {
  what: 'A bottle of two litres instead of the present one',
  change: (design) =>
    (design.climate.mist.bottle ?? 1) <= 0.002
      ? null
      : { ...design, climate: { ...design.climate, mist: { ...design.climate.mist, bottle: 0.002 } } },
};
const shaded: Remedy = {
  what: 'Lamps off by day',
  change: (design) => ({
    ...design,
    climate: {
      ...design.climate,
      devices: design.climate.devices.map((it) => (it.timer.by === 'day' ? { ...it, dim: 0 } : it)),
    },
  }),
};
const moreMist: Remedy = {
  what: 'Mist half as long again',
  change: (design) => ({
    ...design,
    climate: {
      ...design.climate,
      mist: {
        ...design.climate.mist,
        times: design.climate.mist.times.map((it) => ({ ...it, seconds: it.seconds * 1.5 })),
      },
    },
  }),
};

const REMEDIES: Record<WhatIfId, readonly Remedy[]> = {
  'power-cut': [closed, lagged],
  'stuck-nozzle': [halfBottle, opened],
  'dry-bottle': [closed, larger],
  'heat-wave': [opened, shaded],
  'dry-winter': [closed, moreMist],
  'stuck-thermostat': [smaller, opened],
  'week-away': [closed, larger],
};
