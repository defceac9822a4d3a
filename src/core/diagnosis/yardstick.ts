import type { Catalogue } from '../catalogue';
import {
  dewPoint,
  ImpossibleClimate,
  isPlugged,
  momentOf,
  ratioAt,
  readAt,
  readyOf,
  settling,
  simulating,
  type InSlices,
  type Ready,
  type Run,
  type Timetable,
} from '../climate';
import type { Design } from '../document';
import { DAY } from '../physics/constants';
import type { MeasuringPlace } from '../readings';

/** Parts of a day readings are compared by: the light and the dark, each in two halves. */
export const PARTS_OF_DAY = 4;

/** What a place reads in each part of its day: °C of air, and of the dew point of it. */
export interface PlaceDay {
  readonly warmth: readonly number[];
  readonly dew: readonly number[];
}

/** What a fault changes, by the forecast: K at each place. */
export interface PlayedFault {
  readonly cause: string;
  readonly change: ReadonlyMap<MeasuringPlace, PlaceDay>;
}

/** A design played through with each fault it can have. */
export interface Yardstick {
  readonly sound: ReadonlyMap<MeasuringPlace, PlaceDay>;
  readonly faults: readonly PlayedFault[];
  /** Causes of faults that no enclosure would come to as the forecast has them: rules alone tell of those. */
  readonly unplayed: ReadonlySet<string>;
}

/** Which part of the day a moment lies in. @param phase s since it grew light, of a day */
export function partOf(phase: number, light: number): number {
  if (phase < light) return phase < light / 2 ? 0 : 1;
  return phase < (light + DAY) / 2 ? 2 : 3;
}

/** How a fault is played: what is switched, how the box is changed, how the room is. */
interface Playing {
  readonly cause: string;
  readonly plan?: (table: Timetable, ready: Ready) => Timetable;
  readonly box?: (box: Ready['box'], ready: Ready) => Ready['box'];
  /** K and share of its vapour by which the room differs. */
  readonly room?: { readonly warmer: number; readonly vapour: number };
  /** Left out: a box that has nothing of the kind cannot have it. */
  readonly if?: (ready: Ready) => boolean;
}

const never: readonly [] = [];
const always = [{ from: 0, to: DAY }] as const;
/** Whether a heater is a lamp one sees by: what gives heat and no light goes on through the dark. */
const isLamp = (ready: Ready, i: number): boolean =>
  ready.model.lit.some((it) => !it.kind.dark && it.device.id === ready.model.heaterDevices[i]?.id);
/** Heaters that a thermostat holds; those without light alone, where there are any. */
function held(ready: Ready): readonly boolean[] {
  const all = ready.box.heaters.map((it) => it.control !== null);
  const dark = all.map((it, i) => it && !isLamp(ready, i));
  return dark.some(Boolean) ? dark : all;
}
const exchanged =
  (times: number) =>
  (box: Ready['box']): Ready['box'] => ({
    ...box,
    factors: { ...box.factors, exchange: times * box.factors.exchange },
  });
const isHeld = (ready: Ready): boolean => ready.box.heaters.some((it) => it.control !== null);
/** Whether a wetter mists or fogs: a jug does neither. */
const mists = (ready: Ready, i: number): boolean => !ready.box.wetters[i]?.jug;
const isMisted = (ready: Ready): boolean =>
  ready.plan(0).wetters.some((it, i) => mists(ready, i) && it.length > 0);
const isFanned = (ready: Ready): boolean => ready.box.fans.length > 0;

const PLAYINGS: readonly Playing[] = [
  {
    cause: 'power',
    plan: (table, ready) => ({
      ...table,
      heaters: table.heaters.map(() => never),
      wetters: table.wetters.map((it, i) => (isPlugged(ready.model, i) ? never : it)),
      fans: table.fans.map(() => never),
      falls: never,
    }),
    if: (ready) => ready.box.heaters.length > 0,
  },
  {
    cause: 'lamps-off',
    plan: (table, ready) => ({
      ...table,
      heaters: table.heaters.map((it, i) => (isLamp(ready, i) ? never : it)),
    }),
    if: (ready) => ready.model.lit.length > 0,
  },
  {
    cause: 'heat-off',
    plan: (table, ready) => ({
      ...table,
      heaters: table.heaters.map((it, i) => (held(ready)[i] ? never : it)),
    }),
    if: isHeld,
  },
  {
    cause: 'heat-stuck',
    plan: (table, ready) => ({
      ...table,
      heaters: table.heaters.map((it, i) => (held(ready)[i] ? always : it)),
    }),
    box: (box, ready) => ({
      ...box,
      heaters: box.heaters.map((it, i) => (held(ready)[i] ? { ...it, control: null } : it)),
    }),
    if: isHeld,
  },
  {
    cause: 'thermostat-drifted',
    box: (box) => ({
      ...box,
      heaters: box.heaters.map((it) => ({
        ...it,
        control: it.control && {
          ...it.control,
          day: it.control.day === null ? null : it.control.day + 2.5,
          night: it.control.night === null ? null : it.control.night + 2.5,
        },
      })),
    }),
    if: isHeld,
  },
  {
    cause: 'no-mist',
    plan: (table, ready) => ({
      ...table,
      wetters: table.wetters.map((it, i) => (mists(ready, i) ? never : it)),
    }),
    if: isMisted,
  },
  {
    cause: 'mist-weak',
    box: (box) => ({
      ...box,
      wetters: box.wetters.map((it) => (it.jug ? it : { ...it, rate: 0.45 * it.rate })),
    }),
    if: isMisted,
  },
  {
    cause: 'mist-stuck',
    plan: (table) => ({ ...table, wetters: table.wetters.map((it, i) => (i === 0 ? always : it)) }),
    if: isMisted,
  },
  {
    cause: 'stale-air',
    box: exchanged(0.2),
  },
  {
    cause: 'stale-air',
    plan: (table) => ({ ...table, fans: table.fans.map(() => never) }),
    if: isFanned,
  },
  { cause: 'lid-open', box: exchanged(5) },
  {
    cause: 'fan-stuck',
    plan: (table) => ({ ...table, fans: table.fans.map(() => always) }),
    if: isFanned,
  },
  { cause: 'room-hot', room: { warmer: 4, vapour: 1 } },
  { cause: 'room-cold', room: { warmer: -4, vapour: 1 } },
  { cause: 'room-dry', room: { warmer: 0, vapour: 0.55 } },
];

/** Days a fault is played; the last of them is what it comes to. */
const PLAYED = 2;
const EVERY = 1800;
/** K under which a fault changes nothing that anyone would notice. */
const NOTICED = 0.15;

/** Heat that stays and water that dries, of what is forecast, that are tried on what was usual. */
const [GAINS, WETNESSES] = [
  [1, 0.4, 0.65, 1.6, 2.5, 4],
  [1, 0.25, 0.5, 2, 4],
];

/** A run of some calm days, loosely. */
function* trial(ready: Ready): InSlices<Run> {
  const start = yield* settling(ready, 4);
  const weather = ready.weather(PLAYED + 1, null);
  return yield* simulating({
    box: ready.box,
    weather,
    plan: ready.plan,
    days: PLAYED,
    every: EVERY,
    start,
    looser: 4,
  });
}

/** A run that may come to what no enclosure does; null: it did. */
function* possible(run: InSlices<Run>): InSlices<Run | null> {
  try {
    return yield* run;
  } catch (error) {
    if (error instanceof ImpossibleClimate) return null;
    throw error;
  }
}

/** What a box is like, as nearly as its usual days tell: a forecast of another one is no yardstick for its faults. */
function* likeUsual(
  asked: Ready,
  at: (run: Run, ready: Ready) => ReadonlyMap<MeasuringPlace, PlaceDay>,
  usual: ReadonlyMap<MeasuringPlace, PlaceDay>,
): InSlices<Ready> {
  const off = (played: ReadonlyMap<MeasuringPlace, PlaceDay>, what: keyof PlaceDay): number => {
    const gaps = [...usual].flatMap(([place, day]) =>
      place === 'room'
        ? []
        : day[what].map((value, part) => value - (played.get(place)?.[what][part] ?? value)),
    );
    // The level of warmth is the room’s; what its own heat does is told by how its days and sides differ.
    const level = what === 'warmth' ? gaps.reduce((sum, it) => sum + it, 0) / Math.max(1, gaps.length) : 0;
    return gaps.reduce((sum, it) => sum + (it - level) ** 2, 0);
  };
  let best = asked;
  for (const [what, factor, tried] of [
    ['warmth', 'gain', GAINS],
    ['dew', 'wetness', WETNESSES],
  ] as const) {
    let least = Infinity;
    const from = best;
    for (const by of tried) {
      const own = { ...from.box.factors, [factor]: from.box.factors[factor] * by };
      const ready = { ...from, box: { ...from.box, factors: own } };
      const run = yield* possible(trial(ready));
      const far = run ? off(at(run, ready), what) : Infinity;
      if (far < 0.97 * least) [least, best] = [far, ready];
    }
  }
  return best;
}

/**
 * Plays a design with each fault it can have, from where it stands when it is sound: what probes at its places would read.
 * @param dayOfYear of the readings it is held against
 * @param usual what its places read while nothing was wrong; null: not known, the design is played as it is drawn
 */
export function* playingFaults(
  design: Design,
  catalogue: Catalogue,
  dayOfYear: number,
  places: readonly MeasuringPlace[],
  usual: ReadonlyMap<MeasuringPlace, PlaceDay> | null = null,
): InSlices<Yardstick> {
  const drawn = readyOf(design, catalogue, dayOfYear);
  const light = drawn.plan(0).day[0] ?? { from: 0, to: DAY / 2 };
  const dayOf = (run: Run, own: Ready) => daysAt(run, own, design, light, places);
  const ready = usual ? yield* likeUsual(drawn, dayOf, usual) : drawn;
  const start = yield* settling(ready);
  const calm = ready.weather(PLAYED + 1, null);
  const at = (run: Run) => dayOf(run, ready);
  const sound = at(
    yield* simulating({ box: ready.box, weather: calm, plan: ready.plan, days: PLAYED, every: EVERY, start }),
  );
  const faults: PlayedFault[] = [];
  const unplayed = new Set<string>();
  for (const it of PLAYINGS) {
    if (it.if && !it.if(ready)) continue;
    const run = yield* possible(
      simulating({
        box: it.box ? it.box(ready.box, ready) : ready.box,
        weather: it.room
          ? {
              ...calm,
              temperature: calm.temperature.map((t) => t + (it.room?.warmer ?? 0)),
              ratio: calm.ratio.map((ratio) => ratio * (it.room?.vapour ?? 1)),
            }
          : calm,
        plan: (day) => (it.plan ? it.plan(ready.plan(day), ready) : ready.plan(day)),
        days: PLAYED,
        every: EVERY,
        start,
      }),
    );
    if (!run) {
      unplayed.add(it.cause);
      continue;
    }
    const change = new Map(
      [...at(run)].map(([place, day]) => {
        const usual = sound.get(place);
        const less = (a: readonly number[], b: readonly number[] = []) =>
          a.map((value, i) => value - (b[i] ?? 0));
        return [place, { warmth: less(day.warmth, usual?.warmth), dew: less(day.dew, usual?.dew) }];
      }),
    );
    const most = Math.max(
      ...[...change.values()].flatMap((day) => [...day.warmth, ...day.dew].map(Math.abs)),
    );
    // A fan that always runs cannot be stuck: what changes nothing is not behind what changed.
    if (most > NOTICED) faults.push({ cause: it.cause, change });
  }
  return { sound, faults, unplayed };
}

/** What each place reads in the parts of the last day of a run. */
function daysAt(
  run: Run,
  ready: Ready,
  design: Design,
  light: { readonly from: number; readonly to: number },
  places: readonly MeasuringPlace[],
): ReadonlyMap<MeasuringPlace, PlaceDay> {
  const { width, depth, height } = design.enclosure;
  const { groundHeight, tierHeight, box } = ready.model;
  const ground = Math.max(...groundHeight);
  const warm = design.scape.warm === 'right' ? 0.8 : 0.2;
  const low = ground + 0.3 * (tierHeight - ground);
  const high = tierHeight + 0.5 * (height - tierHeight);
  const where = (place: MeasuringPlace) => ({
    x: (place === 'cool' ? 1 - warm : place === 'hide' || place === 'canopy' ? 0.5 : warm) * width,
    y: depth / 2,
    z: place === 'canopy' ? high : low,
  });
  return new Map(
    places.map((place) => {
      const sums = Array.from({ length: PARTS_OF_DAY }, () => [0, 0, 0]);
      for (let i = 0; i < run.t.length; i += 1) {
        const t = run.t[i] ?? 0;
        if (t <= (PLAYED - 1) * DAY) continue;
        const own = sums[partOf((((t - light.from) % DAY) + DAY) % DAY, light.to - light.from)];
        if (!own) continue;
        const read =
          place === 'room'
            ? { temperature: run.series.room[i] ?? 20, humidity: run.series.roomRh[i] ?? 0.5 }
            : readAt(momentOf(ready, run, i, { width, height, warm: design.scape.warm }), where(place));
        own[0] = (own[0] ?? 0) + read.temperature;
        own[1] =
          (own[1] ?? 0) + dewPoint(ratioAt(read.temperature, read.humidity, box.pressure), box.pressure);
        own[2] = (own[2] ?? 0) + 1;
      }
      const mean = (k: 0 | 1) => sums.map((own) => (own[k] ?? 0) / Math.max(1, own[2] ?? 1));
      return [place, { warmth: mean(0), dew: mean(1) }];
    }),
  );
}
