import type { Animal, Catalogue, Range } from '../catalogue';
import { meanDaysOf, readyOf, settled } from '../climate/forecast';
import type { ClimateModel } from '../climate/climateModel';
import { ImpossibleClimate } from '../climate/guard';
import { ALL_SEASONS, dayOfSeason, type Season } from '../climate/roomProfile';
import { simulate, type Run, type SeriesName, type Timetable } from '../climate/simulate';
import type { WeatherInput } from '../climate/weather';
import { LAND } from '../climate/stores';
import { CHANGES, TOLERANCE, zonesFor } from '../climate/zones';
import type { Design } from '../document/schema';
import { seasonOn } from '../document/seasonal';
import type { GroundResult } from '../ground/layers';
import { criteriaOf, HOLDS, UNDRAINED, type Criterion, type CriterionId } from './criteria';
import { DAY } from '../physics/constants';

/** How a year is played. */
export interface Playing {
  readonly seasons: readonly Season[];
  /** Of the weathers of each season; null: its calm mean days alone, quickly. */
  readonly seeds: readonly number[] | null;
  /** Days of each weather at the least; whole cycles of mist are played. */
  readonly days: number;
  /** s between two records. */
  readonly every: number;
  /** How loose the steps may be. */
  readonly looser: number;
  /** Days a box is given to come to rest at the most: from nothing, and from where a like box came to. */
  readonly settling: readonly [fresh: number, near: number];
  /** A room that is otherwise than told: K and share of humidity. */
  readonly shift?: WeatherInput['shift'];
}

/** What a box is judged by: four seasons, three weathers of each. */
export const JUDGING: Playing = {
  seasons: ALL_SEASONS,
  // One weather, its opposite, and another.
  seeds: [11, -11, 12],
  days: 6,
  every: 1800,
  looser: 3,
  settling: [30, 30],
};
/** Weathers that are played besides, where those leave it in doubt. */
const IN_DOUBT: readonly number[] = [21, -21];
/** Share of hours over what holds within which a few weathers do not tell it from what does not. */
const DOUBT = 0.05;
/**
 * The same at fine steps, of one weather: long steps pass over the swings of a humidistat whose fogger is strong for its
 * enclosure, and tell of the mean between them.
 */
export const FINE: Playing = { ...JUDGING, seeds: [11], every: 900, looser: 1, settling: [30, 2] };
/** A first look: the hardest two seasons, each on its mean day. */
export const GLANCE: Playing = {
  seasons: ['winter', 'summer'],
  seeds: null,
  days: 1,
  every: 1800,
  looser: 4,
  settling: [15, 4],
};

/** One weather of a season, played. */
export interface Played {
  readonly season: Season;
  /** The box as it is set in that season. */
  readonly model: ClimateModel;
  readonly run: Run;
  readonly plan: (day: number) => Timetable;
}

export interface YearRun {
  readonly played: readonly Played[];
  /** Where each season came to rest: the next like box may begin there. */
  readonly rest: Readonly<Partial<Record<Season, Float64Array>>>;
}

/**
 * Plays the seasons of a box; with finer steps where loose ones lead astray.
 * @param near where a like box came to rest, by season
 * @param isEnough asked after each season but the last, of all that was played so far; true: no more is played
 * @throws ImpossibleClimate
 */
export function playYear(
  design: Design,
  catalogue: Catalogue,
  ground: GroundResult,
  playing: Playing,
  near: YearRun['rest'] = {},
  isEnough: (soFar: YearRun) => boolean = () => false,
): YearRun {
  try {
    return played(design, catalogue, ground, playing, near, isEnough);
  } catch (error) {
    if (!(error instanceof ImpossibleClimate) || playing.looser <= 1) throw error;
    return played(design, catalogue, ground, { ...playing, looser: 1 }, {}, isEnough);
  }
}

function played(
  design: Design,
  catalogue: Catalogue,
  ground: GroundResult,
  playing: Playing,
  near: YearRun['rest'],
  isEnough: (soFar: YearRun) => boolean,
): YearRun {
  const models = new Map<string | undefined, ClimateModel>();
  const rest: Partial<Record<Season, Float64Array>> = {};
  const { shift, looser, every, seeds } = playing;
  const all: Played[] = [];
  for (const season of playing.seasons) {
    if (all.length > 0 && isEnough({ played: all, rest })) break;
    const from = dayOfSeason(season, design.climate.room.latitude);
    const part = seasonOn(design, from)?.id;
    const bare = readyOf(design, catalogue, from, ground, models.get(part));
    const { model } = bare;
    models.set(part, model);
    const ready = shift
      ? { ...bare, weather: (days: number, seed: number | null) => bare.weather(days, seed, from, shift) }
      : bare;
    const known = near[season] ?? null;
    const most = playing.settling[known ? 1 : 0];
    if (!seeds) {
      const mean = meanDaysOf(ready, { looser, every, most, from: known });
      rest[season] = mean.rest;
      all.push(...mean.runs.map((it) => ({ season, model, ...it })));
      continue;
    }
    const start = settled(ready, looser, most, known);
    rest[season] = start;
    const days = ready.cycle * Math.ceil(playing.days / ready.cycle);
    for (const seed of seeds)
      all.push({
        season,
        model,
        plan: ready.plan,
        run: simulate({
          box: ready.box,
          weather: ready.weather(days + 1, seed),
          plan: ready.plan,
          days,
          every,
          start,
          looser,
        }),
      });
  }
  return { played: all, rest };
}

/**
 * The year a verdict is given by: four seasons of three weathers, and of five where all places hold but one of them so
 * barely that other weathers might have said otherwise. Where a humidistat holds, one weather at fine steps instead, if
 * those tell of swings that the others passed over.
 * @throws ImpossibleClimate
 */
export function playToJudge(
  design: Design,
  catalogue: Catalogue,
  ground: GroundResult,
  animal: Animal | undefined,
): YearRun {
  const year = playYear(design, catalogue, ground, JUDGING);
  if (!animal) return year;
  const least = Math.min(...insideOf(year, animal));
  if (least < HOLDS) return year;
  const fine = swingsOf(year, design, catalogue, ground, animal);
  if (fine) return fine;
  if (least >= HOLDS + DOUBT) return year;
  const more = playYear(design, catalogue, ground, { ...JUDGING, seeds: IN_DOUBT }, year.rest);
  return { ...year, played: [...year.played, ...more.played] };
}

const insideOf = (year: Pick<YearRun, 'played'>, animal: Animal): readonly number[] =>
  measure(year, animal, criteriaIn(animal, year)).map((it) => it.inside);

/** Days by which it is seen whether a humidistat swings: a fine step is dear. */
const SEEN_IN = 2;

/**
 * A year at fine steps, where a humidistat holds a fogger and they tell of fewer hours inside than long ones do; null:
 * they do not. Whether they do is seen in the season it fogs most, a few days long.
 * @param playing how the year is played then
 */
export function swingsOf(
  year: YearRun,
  design: Design,
  catalogue: Catalogue,
  ground: GroundResult,
  animal: Animal,
  playing: Playing = FINE,
): YearRun | null {
  const fogOf = ({ model: { box }, run }: Played): number =>
    box.wetters.reduce((sum, it, i) => sum + (it.control ? (run.drawn[i] ?? 0) : 0), 0);
  const foggiest = [...year.played].sort((a, b) => fogOf(b) - fogOf(a))[0];
  if (!foggiest || fogOf(foggiest) <= 0) return null;
  const few = { seasons: [foggiest.season], days: SEEN_IN } as const;
  const play = (how: Playing) => insideOf(playYear(design, catalogue, ground, how, year.rest), animal);
  const coarse = play({ ...FINE, ...few, every: JUDGING.every, looser: JUDGING.looser });
  const fine = play({ ...FINE, ...few });
  if (!fine.some((it, i) => it < (coarse[i] ?? 1) - DOUBT)) return null;
  return playYear(design, catalogue, ground, playing, year.rest);
}

/** What a box is held to in a year that was played: a moist hide may answer for dry air; soil that nothing drains may not stand in water. */
export function criteriaIn(animal: Animal, { played }: Pick<YearRun, 'played'>): readonly Criterion[] {
  const [first] = played;
  const all = criteriaOf(animal, { moistHide: (first?.run.chambers.length ?? 0) > 0 });
  const undrained =
    first?.model.box.reservoir.takes === 'nowhere' &&
    first.model.box.columns.some((it) => it.foot === null && it.area > LAND);
  return undrained ? [...all, UNDRAINED] : all;
}

/** How one place fares in one season, over all its weathers. */
export interface Measured {
  readonly criterion: Criterion;
  readonly season: Season;
  /** Hours looked at. */
  readonly hours: number;
  /** Share of them inside the wanted and the borne band, within the tolerance. */
  readonly inside: number;
  readonly borne: number;
  /** Share under and over the wanted band, beyond the tolerance. */
  readonly under: number;
  readonly over: number;
  /** Lowest and highest met, and the mean. */
  readonly low: number;
  readonly high: number;
  readonly mean: number;
  /** K·h or point·h (as shares: 0.01 is a point) a day outside the wanted band, beyond the tolerance. */
  readonly weight: number;
  /** The same outside the borne band. */
  readonly harm: number;
}

/** The air, ground or water an animal meets for a criterion, by record: `low` is judged against too little, `high` against too much. */
function readingOf(
  id: CriterionId,
  animal: Animal,
  model: ClimateModel,
  run: Run,
): ((i: number) => readonly [low: number, high: number]) | null {
  const { series } = run;
  const zones = zonesFor({ climbs: animal.life.value === 'climbing' });
  const at = (name: SeriesName) => (i: number) => series[name][i] ?? 0;
  const one =
    (read: (i: number) => number) =>
    (i: number): readonly [number, number] => {
      const value = read(i);
      return [value, value];
    };
  const burrows = animal.life.value === 'burrowing';
  switch (id) {
    case 'warm':
      return one(at(zones.warm));
    case 'cool':
      // What digs goes down where it is cooler still.
      return burrows
        ? (i) => [at(zones.cool)(i), Math.min(at(zones.cool)(i), at('ground1')(i))]
        : one(at(zones.cool));
    case 'water': {
      const columns = ([0, 1] as const).filter((c) => model.box.columns[c].pool.area > 1e-3);
      if (columns.length === 0) return null;
      return (i) => {
        const all = columns.map((c) => at(`pool${c}`)(i));
        return [Math.max(...all), Math.min(...all)];
      };
    }
    case 'basking': {
      const column = ([0, 1] as const).find((c) => model.box.columns[c].spot.area > 0);
      return column === undefined ? null : one(at(`spot${column}`));
    }
    case 'night': {
      const names: readonly SeriesName[] =
        animal.life.value === 'climbing'
          ? ['felt0', 'air1', 'felt1', 'air3']
          : burrows
            ? ['felt0', 'felt1', 'ground0', 'ground1']
            : ['felt0', 'felt1'];
      const all = names.map(at);
      return (i) => {
        let [low, high] = [Infinity, -Infinity];
        for (const read of all) {
          const value = read(i);
          low = Math.min(low, value);
          high = Math.max(high, value);
        }
        return [high, low];
      };
    }
    case 'humidity-day':
    case 'humidity-night': {
      const { humidity } = zones;
      return one((i) => humidity.reduce((sum, name) => sum + at(name)(i), 0) / humidity.length);
    }
    case 'soil': {
      const halves = ([0, 1] as const).filter((c) => model.box.columns[c].area > LAND);
      return one((i) =>
        Math.max(...halves.map((c) => at(`low${c}`)(i) / model.box.columns[c].soil[3].soil.porosity)),
      );
    }
    case 'hide': {
      if (run.chambers.length === 0) return null;
      return one((i) => run.chambers.reduce((most, it) => Math.max(most, it.humidity[i] ?? 0), 0));
    }
  }
}

const HALF: Readonly<Record<CriterionId, 'day' | 'night' | 'both'>> = {
  warm: 'day',
  cool: 'day',
  water: 'both',
  basking: 'day',
  night: 'night',
  'humidity-day': 'day',
  'humidity-night': 'night',
  hide: 'both',
  soil: 'both',
};

const isDay = (table: Timetable, at: number): boolean =>
  table.day.some(({ from, to }) => at > from && at <= to);
const changes = (table: Timetable, at: number): boolean =>
  table.day.some(({ from, to }) => (at > from && at <= from + CHANGES) || (at > to && at <= to + CHANGES));

/**
 * Measures every criterion in every season played.
 * @param strict share of the tolerance that is not granted: a search on mean days leaves room for weather
 * @param safe the same for what is borne
 * @param as what is asked instead in a season
 */
export function measure(
  { played }: Pick<YearRun, 'played'>,
  animal: Animal,
  criteria: readonly Criterion[],
  strict = 0,
  safe = strict,
  as: (criterion: Criterion, season: Season) => Criterion = (it) => it,
): readonly Measured[] {
  const seasons = [...new Set(played.map((it) => it.season))];
  return criteria.flatMap((asked) =>
    seasons.flatMap((season): Measured[] => {
      const criterion = as(asked, season);
      const half = HALF[criterion.id];
      const slack = TOLERANCE[criterion.measure] * (1 - strict);
      const bears = TOLERANCE[criterion.measure] * (1 - safe);
      // Air is never damper than saturated nor drier than dry: there no margin is kept.
      const whole = (band: Range): Range =>
        criterion.measure === 'temperature'
          ? band
          : { low: band.low <= 0 ? -1 : band.low, high: band.high >= 1 ? 2 : band.high };
      const [wanted, borne] = [whole(criterion.wanted), whole(criterion.borne)];
      let [hours, inside, fine, under, over, weight, harm, sum, days] = [0, 0, 0, 0, 0, 0, 0, 0, 0];
      let [low, high] = [Infinity, -Infinity];
      for (const { run, plan, model } of played.filter((it) => it.season === season)) {
        const read = readingOf(criterion.id, animal, model, run);
        if (!read) return [];
        days += run.days;
        const hour = ((run.t[1] ?? 0) - (run.t[0] ?? 0)) / 3600;
        for (let i = 1; i < run.t.length; i += 1) {
          const t = run.t[i] ?? 0;
          if (half !== 'both') {
            // A record stands for the time before it.
            const day = Math.floor((t - 1) / DAY);
            const table = plan(day);
            const at = t - day * DAY;
            if (isDay(table, at) !== (half === 'day') || changes(table, at)) continue;
          }
          const [least, most] = read(i);
          hours += hour;
          low = Math.min(low, least);
          high = Math.max(high, most);
          sum += ((least + most) / 2) * hour;
          const short = wanted.low - slack - least;
          const past = most - wanted.high - slack;
          if (short > 0) under += hour;
          if (past > 0) over += hour;
          if (short <= 0 && past <= 0) inside += hour;
          weight += Math.max(0, short, past) * hour;
          const beyond = Math.max(0, borne.low - bears - least, most - borne.high - bears);
          if (beyond === 0) fine += hour;
          harm += beyond * hour;
        }
      }
      if (hours === 0) return [];
      return [
        {
          criterion,
          season,
          hours,
          inside: inside / hours,
          borne: fine / hours,
          under: under / hours,
          over: over / hours,
          low,
          high,
          mean: sum / hours,
          weight: weight / days,
          harm: harm / days,
        },
      ];
    }),
  );
}
