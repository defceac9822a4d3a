import type { Catalogue } from '../catalogue';
import type { Climate, Design, Device } from '../design/schema';
import { answersOf, type Answers } from './answers';
import { chance } from './chance';
import { readyOf, settled, type Ready } from './forecast';
import { dayOfSeason, type Season } from './roomProfile';
import { simulate, stored } from './simulate';
import { findDeviceKind } from '../catalogue';

/** One way to run a box. */
export interface Candidate {
  readonly times: Climate['mist']['times'];
  readonly cover: number;
  /** Minutes of every ninety, of the fan there is; null: none, or as it is. */
  readonly fan: number | null;
}

/** What a candidate came to over the weeks it was tried in; means over weeks, worst of weeks where said. */
export interface Score {
  readonly candidate: Candidate;
  /** Share of hours within the band. */
  readonly inside: number;
  /** Of the worst week. */
  readonly worst: number;
  /** kg a day. */
  readonly water: number;
  /** h of wet leaves a night. */
  readonly wetByNight: number;
  readonly wetPerDay: number;
  readonly fogged: number;
  /** Days until the bed is full, in the worst week; Infinity: never. */
  readonly bedDays: number;
  /** Water of the driest middle soil over what it keeps, m³/m³. */
  readonly soil: number;
  /** kg a day that soil and bed lose meanwhile. */
  readonly borrowed: number;
  readonly weeks: number;
  /** The lower, the better. */
  readonly cost: number;
}

export interface Choice extends Score {
  readonly kind: 'best' | 'sparing' | 'dry nights';
}

export interface SolveAsked {
  readonly design: Design;
  /** Where practitioners want leaves dry by night. */
  readonly dryNights: boolean;
  readonly candidates: number;
  readonly weeks: number;
  readonly seed: number;
}

const HOUR = 60;
/** Mist hours that are tried: after lights on, noon, afternoon, evening, and by night. */
const PATTERNS: readonly (readonly number[])[] = [
  [8.2],
  [9],
  [19],
  [8.2, 19],
  [8.2, 18],
  [9, 17],
  [8.2, 13, 19],
  [8.2, 12, 16, 19],
  [8.2, 13, 18],
  [8.2, 11, 14, 17, 20],
  [2, 8, 14, 20],
  [8.2, 21.5],
  [8.2, 13, 22],
  [9, 12, 15, 18],
  [7, 19.5],
];
const SECONDS = [4, 6, 9, 13, 18, 25, 35, 50, 70];
const COVERS = [0, 0.25, 0.5, 0.65, 0.75, 0.85, 0.95];
const FANS = [0, 10, 30, 60];

/** The fan whose turns may be changed. */
export const fanOf = ({ climate }: Design, catalogue: Catalogue): Device | undefined =>
  climate.devices.find((it) => {
    const kind = findDeviceKind(catalogue, it.kind);
    return kind?.form === 'fan' && kind.id !== 'fan-stirring' && it.humidistat === null;
  });

/** Ways to try, the present one first; the same for the same seed. */
export function candidatesFor(
  { design, candidates, seed }: SolveAsked,
  catalogue: Catalogue,
): readonly Candidate[] {
  const { mist } = design.climate;
  const { top, topCover } = design.enclosure;
  const fan = fanOf(design, catalogue);
  const covers = top === 'solid' ? [topCover] : COVERS;
  const fans = fan ? FANS : [null];
  const shift = (design.climate.day.on - 8 * HOUR) | 0;
  const all: Candidate[] = [];
  for (const hours of PATTERNS) {
    for (const seconds of SECONDS) {
      for (const cover of covers) {
        for (const turn of fans) {
          all.push({
            times: hours.map((at) => ({
              at: Math.max(0, Math.min(1435, Math.round(at * HOUR) + shift)),
              seconds,
            })),
            cover,
            fan: turn,
          });
        }
      }
    }
  }
  const next = chance(seed);
  for (let i = all.length - 1; i > 0; i -= 1) {
    const j = Math.floor(next() * (i + 1));
    [all[i], all[j]] = [all[j]!, all[i]!];
  }
  const present: Candidate = { times: mist.times, cover: topCover, fan: fan?.duty?.on ?? (fan ? 0 : null) };
  return [present, ...all].slice(0, Math.max(1, candidates));
}

/** The design under a candidate. */
export function under(design: Design, { times, cover, fan }: Candidate, catalogue: Catalogue): Design {
  const blower = fanOf(design, catalogue);
  return {
    ...design,
    enclosure: { ...design.enclosure, topCover: cover },
    climate: {
      ...design.climate,
      mist: { ...design.climate.mist, times, everyDays: 1 },
      devices:
        blower && fan !== null
          ? design.climate.devices.map((it) =>
              it.id === blower.id
                ? { ...it, dim: fan === 0 ? 0 : 1, duty: fan === 0 ? null : { on: fan, every: 90 } }
                : it,
            )
          : design.climate.devices,
    },
  };
}

/** A week of the room in which candidates are tried: a season and a seed of its weather. */
export interface Week {
  readonly season: Season;
  readonly seed: number;
}

const ORDER: readonly Season[] = ['winter', 'summer', 'spring', 'autumn'];

/** Weeks over all seasons, the hardest two first. */
export const weeksFor = (count: number, seed: number): readonly Week[] =>
  Array.from({ length: count }, (_, i) => ({ season: ORDER[i % 4] ?? 'winter', seed: seed * 1000 + i }));

interface Tried {
  readonly answers: Answers;
  readonly soil: number;
  /** kg a day that soil and bed lose: humidity on credit. */
  readonly borrowed: number;
}

/** Where a box stands under a candidate at the start of a season's weeks; shared by all weeks of it. */
interface Started {
  readonly ready: Ready;
  readonly start: Float64Array;
}

/** Tries candidates in weeks and remembers what they share. Made once for each worker. */
export class Trial {
  private readonly starts = new Map<string, Started>();

  constructor(
    private readonly asked: SolveAsked,
    private readonly catalogue: Catalogue,
  ) {}

  /** The box as it is run now, settled in a season: where a quick look at any candidate begins. */
  private readonly usual = new Map<Season, Float64Array>();

  private readyFor(candidate: Candidate, season: Season): Ready {
    const { design } = this.asked;
    return readyOf(
      under(design, candidate, this.catalogue),
      this.catalogue,
      dayOfSeason(season, design.climate.room.latitude),
    );
  }

  private settled(ready: Ready, most: number): Float64Array {
    return settled(ready, 6, most);
  }

  private started(index: number, candidate: Candidate, season: Season, quick: boolean): Started {
    const key = `${index} ${season} ${quick ? 'quick' : ''}`;
    let found = this.starts.get(key);
    if (found) return found;
    const ready = this.readyFor(candidate, season);
    if (quick) {
      let start = this.usual.get(season);
      if (!start) {
        const { mist } = this.asked.design.climate;
        const present = { times: mist.times, cover: this.asked.design.enclosure.topCover, fan: null };
        start = this.settled(this.readyFor(present, season), 30);
        this.usual.set(season, start);
      }
      const weather = ready.weather(3, null);
      const run = simulate({
        box: ready.box,
        weather,
        plan: ready.plan,
        days: 1,
        every: 7200,
        start,
        looser: 6,
      });
      found = { ready, start: run.end };
    } else found = { ready, start: this.settled(ready, 24) };
    this.starts.set(key, found);
    return found;
  }

  try(index: number, candidate: Candidate, week: Week, days = 7, quick = false): Tried {
    const { ready, start } = this.started(index, candidate, week.season, quick);
    const run = simulate({
      box: ready.box,
      weather: ready.weather(days + 1, week.seed),
      plan: ready.plan,
      days,
      every: 3600,
      start,
      looser: 6,
    });
    const answers = answersOf({
      run,
      box: ready.box,
      bands: ready.bands,
      plan: ready.plan,
      bottle: null,
      bedFull: ready.box.reservoir.takes === 'bed' ? ready.outfit.bedFull : 0,
    });
    const soil = Math.min(
      ...([0, 1] as const).map((c) =>
        ready.box.columns[c].area > 1e-3
          ? (answers.soil[c]?.middle ?? 1) - ready.box.columns[c].soil[1].residual
          : 1,
      ),
    );
    return { answers, soil, borrowed: Math.max(0, (stored(start) - stored(run.end)) / days) };
  }

  /** Mean over the weeks, worst where it counts. */
  score(index: number, candidate: Candidate, weeks: readonly Week[], days = 7, quick = false): Score {
    const tried = weeks.map((week) => this.try(index, candidate, week, days, quick));
    const mean = (of: (it: Tried) => number): number =>
      tried.reduce((sum, it) => sum + of(it), 0) / Math.max(1, tried.length);
    const worst = tried.reduce((least, it) => Math.min(least, it.answers.humidInside), 1);
    const bedDays = tried.reduce((least, it) => Math.min(least, it.answers.bedDays ?? Infinity), Infinity);
    const score = {
      candidate,
      inside: mean((it) => it.answers.humidInside),
      worst,
      water: mean((it) => it.answers.waterPerDay),
      wetByNight: mean((it) => it.answers.wetByNight),
      wetPerDay: mean((it) => it.answers.wetPerDay),
      fogged: mean((it) => it.answers.foggedPerDay),
      bedDays,
      soil: tried.reduce((least, it) => Math.min(least, it.soil), 1),
      borrowed: mean((it) => it.borrowed),
      weeks: weeks.length,
    };
    return { ...score, cost: costOf(score, this.asked) };
  }
}

/** Hours outside first, then a flooded bed, dry soil and wet leaves, then water. */
function costOf(score: Omit<Score, 'cost'>, { dryNights, design }: SolveAsked): number {
  const moist = design.ground.moistShare > 0.6;
  return (
    1 -
    score.inside +
    0.3 * (1 - score.worst) +
    (score.bedDays < 30 ? 0.4 * (1 - score.bedDays / 30) : 0) +
    (moist && score.soil < 0.03 ? 0.3 : 0) +
    3 * score.borrowed +
    (score.wetPerDay > 22 ? 0.15 : 0) +
    (dryNights ? 0.06 * score.wetByNight : 0) +
    0.01 * score.fogged +
    0.25 * score.water
  );
}

/** One task of a round: a candidate in some weeks. */
export interface Task {
  readonly index: number;
  readonly candidate: Candidate;
  readonly weeks: readonly Week[];
  readonly days: number;
  /** Begun from the box as it is run now, a day on, rather than settled for itself. */
  readonly quick: boolean;
}

export interface Round {
  /** Weeks each is tried in, their days, and how many go on. */
  readonly weeks: number;
  readonly days: number;
  readonly keeps: number;
}

/** Rounds of successive halving: many in little weather, few in all of it. */
export const roundsFor = (candidates: number, weeks: number): readonly Round[] => [
  { weeks: Math.min(2, weeks), days: 2, keeps: Math.max(6, Math.ceil(candidates / 10)) },
  { weeks: Math.min(4, weeks), days: 4, keeps: Math.max(6, Math.ceil(candidates / 40)) },
  { weeks, days: 7, keeps: 6 },
];

/** The best, one that spares water, and one whose leaves dry: each gives something up. */
export function choicesOf(scores: readonly Score[]): readonly Choice[] {
  const sorted = [...scores].sort((a, b) => a.cost - b.cost);
  const [best] = sorted;
  if (!best) return [];
  const near = sorted.filter((it) => it.inside > best.inside - 0.12 && it !== best);
  const sparing = near
    .filter((it) => it.water < best.water * 0.95)
    .sort((a, b) => a.water - b.water || a.cost - b.cost)[0];
  const dry = near
    .filter((it) => it !== sparing && it.wetByNight < best.wetByNight - 0.25)
    .sort((a, b) => a.wetByNight - b.wetByNight || a.cost - b.cost)[0];
  const rest = sorted.filter((it) => it !== best && it !== sparing && it !== dry);
  return [
    { ...best, kind: 'best' },
    ...(sparing
      ? [{ ...sparing, kind: 'sparing' as const }]
      : rest.splice(0, 1).map((it) => ({ ...it, kind: 'sparing' as const }))),
    ...(dry
      ? [{ ...dry, kind: 'dry nights' as const }]
      : rest.splice(0, 1).map((it) => ({ ...it, kind: 'dry nights' as const }))),
  ];
}
