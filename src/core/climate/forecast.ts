import { grownIn } from '../brief';
import { type Catalogue } from '../catalogue';
import type { Design } from '../document/schema';
import { seasonOn, settingsOn } from '../document/seasonal';
import { layGround, type GroundResult } from '../ground/layers';
import { summarize, bandsOf, type ClimateSummary, type Bands } from './climateSummary';
import type { BoxModel } from './box';
import { hidesOf, type HideClimate } from './hides';
import { climateModelOf, type ClimateModel } from './climateModel';
import { dayOfSeason, profileOf, standingOf, type Season } from './roomProfile';
import { comeToRest, comingToRest } from './settle';
import {
  SERIES,
  simulate,
  simulating,
  type Balance,
  type Run,
  type SeriesName,
  type Timetable,
} from './simulate';
import { atOnce, type InSlices } from './slices';
import { timetableOf } from './timetable';
import { beatOf, soilIsKept } from './watering';
import { weatherOf, type Weather, type WeatherInput } from './weather';
import { zonesFor, type Zones } from './zones';
import { DAY } from '../physics/constants';

export type Span = 'day' | 'week' | 'year';

export interface ForecastRequest {
  readonly span: Span;
  readonly season: Season;
  /** Of the room's weather. */
  readonly seed: number;
}

export interface Forecast {
  readonly asked: ForecastRequest;
  readonly run: Run;
  readonly answers: ClimateSummary;
  readonly bands: Bands;
  /** s of the day that it is light, on the first day. */
  readonly light: { readonly from: number; readonly to: number };
  /** s from the start at which it is misted, on the days shown. */
  readonly mists: readonly number[];
  /** Day of the year it begins with. */
  readonly from: number;
  /** Days after which its mist, or what is poured, repeats: what is shown and summed is whole cycles of them. */
  readonly cycle: number;
  /** Where the animal is judged, and what lies under the lamp; null: nothing does. */
  readonly zones: Zones;
  readonly spot: SeriesName | null;
  /** Hides with a moist air of their own. */
  readonly hides: readonly HideClimate[];
}

/** All that a run needs of a design: plain to make, so that a worker makes it from the design. */
export interface Ready {
  readonly model: ClimateModel;
  readonly box: BoxModel;
  readonly bands: Bands;
  readonly from: number;
  readonly plan: (day: number) => Timetable;
  readonly weather: (
    days: number,
    seed: number | null,
    from?: number,
    shift?: WeatherInput['shift'],
  ) => Weather;
  /** Days after which the plan repeats. */
  readonly cycle: number;
  /** The soil stays as it was filled: nothing drains it, and its keeper waters it as it needs. */
  readonly keptSoil: boolean;
}

/**
 * The state a box comes to in the calm mean of its weather, at the start of a cycle of its mist.
 * @param from where a like box came to
 */
export const settled = (
  ready: Ready,
  looser?: number,
  most?: number,
  from?: Float64Array | null,
): Float64Array => atOnce(settling(ready, looser, most, from));

/** The same in slices. */
export function* settling(
  ready: Ready,
  looser = 2,
  most?: number,
  from: Float64Array | null = null,
): InSlices<Float64Array> {
  const { box, plan, cycle, keptSoil } = ready;
  const { state } = yield* comingToRest(
    { box, weather: ready.weather(2, null), plan, looser, cycle, keptSoil, start: from },
    most,
  );
  return yield* upToCycle(ready, state, looser);
}

/** The last days before a cycle of mist begins anew, as they are. */
function* upToCycle(
  { box, plan, cycle, weather }: Ready,
  start: Float64Array,
  looser: number,
): InSlices<Float64Array> {
  const days = Math.min(cycle - 1, 2);
  if (days <= 0) return start;
  const firstDay = cycle - days;
  const run = yield* simulating({
    box,
    weather: weather(days + 1, null),
    plan,
    days,
    every: 7200,
    start,
    looser,
    firstDay,
  });
  return run.end;
}

/** Days of a cycle of mist that are told apart: the misted one, the next, and one that stands for all others. */
const TOLD_APART = 3;

export interface MeanDays {
  /** Where the box came to rest: a like one may begin there. */
  readonly rest: Float64Array;
  /** Runs of a whole cycle of mist; one that stands for several days is there as often. */
  readonly runs: readonly { readonly run: Run; readonly plan: Ready['plan'] }[];
}

/**
 * The calm mean days of a box, quickly: the day it came to rest with, and where mist comes every so many days, the misted
 * day and those after it.
 * @param every s between two records
 * @param most days it is given to come to rest, one or more
 * @param from where a like box came to
 */
export function meanDaysOf(
  ready: Ready,
  {
    looser,
    every,
    most,
    from,
  }: {
    readonly looser: number;
    readonly every: number;
    readonly most: number;
    readonly from: Float64Array | null;
  },
): MeanDays {
  const { box, plan, cycle, keptSoil } = ready;
  const weather = ready.weather(TOLD_APART + 1, null);
  const { state, last } = comeToRest(
    { box, weather, plan, looser, cycle, keptSoil, start: from, every },
    most,
  );
  if (cycle === 1) return { rest: state, runs: [{ run: last, plan }] };
  const on = (start: Float64Array, firstDay: number, days: number) => ({
    run: simulate({ box, weather, plan, days, every, start, looser, firstDay }),
    plan: (day: number) => plan(firstDay + day),
  });
  const misted = on(atOnce(upToCycle(ready, state, looser)), 0, Math.min(cycle, TOLD_APART - 1));
  const others = cycle - misted.run.days;
  return {
    rest: state,
    runs: others > 0 ? [misted, ...Array(others).fill(on(misted.run.end, misted.run.days, 1))] : [misted],
  };
}

/**
 * A design made ready to be played, with the settings of the part of the year it begins in.
 * @param from day of the year
 * @param known its model, where it was made for another day of the same settings already
 */
export function readyOf(
  told: Design,
  catalogue: Catalogue,
  from: number,
  ground?: GroundResult,
  known?: ClimateModel,
): Ready {
  const design = settingsOn(told, from);
  const model = known ?? climateModelOf(design, ground ?? layGround(design, catalogue), catalogue);
  const profile = profileOf(design, catalogue);
  const tables = new Map<number, Timetable>();
  return {
    model,
    box: model.box,
    bands: bandsOf(grownIn(design, catalogue)),
    from,
    cycle: beatOf(design.climate),
    keptSoil: soilIsKept(design),
    plan: (day) => {
      let table = tables.get(day);
      if (!table) {
        table = timetableOf(design, model, catalogue, ((from - 1 + day) % 365) + 1, day);
        tables.set(day, table);
      }
      return table;
    },
    weather: (days, seed, start = from, shift) =>
      weatherOf({
        profile,
        standing: standingOf(design),
        pressure: model.box.pressure,
        from: start,
        days,
        seed,
        front: design.enclosure.width * design.enclosure.height,
        ...(shift ? { shift } : {}),
      }),
  };
}

/** s between two records, days at the least, and how loose the steps are, of each span. */
const SPANS: Record<Span, { readonly every: number; readonly days: number; readonly looser: number }> = {
  day: { every: 600, days: 1, looser: 1 },
  week: { every: 1800, days: 7, looser: 1 },
  year: { every: 3600, days: 365, looser: 2 },
};
/** Days over which a record every ten minutes would be more than a chart shows. */
const FINE_DAYS = 3;

/**
 * A day or week of a season, or a year from January: always after the box has settled into its weather. A box that is
 * misted every so many days is shown, and summed, over whole cycles of them: no day stands for the others.
 */
export function forecast(
  design: Design,
  catalogue: Catalogue,
  asked: ForecastRequest,
  ground?: GroundResult,
): Forecast {
  const { latitude } = design.climate.room;
  const from = asked.span === 'year' ? 1 : dayOfSeason(asked.season, latitude);
  const ready = readyOf(design, catalogue, from, ground);
  const { cycle } = ready;
  if (asked.span === 'year' && design.climate.seasons.length > 0)
    return ofYear(design, catalogue, asked, ground ?? layGround(design, catalogue));
  const { days: least, every: fine, looser: exact } = SPANS[asked.span];
  const days = asked.span === 'year' ? least : cycle * Math.ceil(least / cycle);
  const long = asked.span === 'day' && days > FINE_DAYS;
  const every = long ? SPANS.week.every : fine;
  const looser = long ? 2 : exact;
  const start = settled(ready);
  const weather = ready.weather(days + 1, asked.span === 'day' ? null : asked.seed);
  const run = simulate({ box: ready.box, weather, plan: ready.plan, days, every, start, looser });
  return told(asked, design, ready, run, days);
}

function told(asked: ForecastRequest, design: Design, ready: Ready, run: Run, days: number): Forecast {
  const { bottle } = design.climate.mist;
  return {
    asked,
    run,
    answers: summarize({
      run,
      box: ready.box,
      bands: ready.bands,
      plan: ready.plan,
      bottle: bottle === null ? null : bottle * 1000,
      bedFull: ready.model.bedFull,
    }),
    bands: ready.bands,
    light: ready.plan(0).day[0] ?? { from: 0, to: 0 },
    mists: Array.from({ length: asked.span === 'year' ? 7 : days }, (_, day) =>
      ready
        .plan(day)
        .wetters.flatMap((windows, i) =>
          ready.box.wetters[i]?.control || ready.box.wetters[i]?.jug || windows.length > 12
            ? []
            : windows.map(({ from: at }) => day * DAY + at),
        ),
    )
      .flat()
      .filter((it, i, all) => all.indexOf(it) === i),
    from: ready.from,
    cycle: ready.cycle,
    zones: zonesFor(ready.bands),
    spot: ready.box.columns[0].spot.area > 0 ? 'spot0' : ready.box.columns[1].spot.area > 0 ? 'spot1' : null,
    hides: hidesOf(run, ready.box.chambers),
  };
}

/** A year whose settings change: each part of it goes on from where the one before ended, in one weather. */
function ofYear(
  design: Design,
  catalogue: Catalogue,
  asked: ForecastRequest,
  ground: GroundResult,
): Forecast {
  const { every, days, looser } = SPANS.year;
  const first = readyOf(design, catalogue, 1, ground);
  const weather = first.weather(days + 1, asked.seed);
  const models = new Map<string | undefined, ClimateModel>([[seasonOn(design, 1)?.id, first.model]]);
  const runs: Run[] = [];
  let ready = first;
  let y = settled(first);
  for (let from = 0, to = 0; from < days; from = to) {
    const season = seasonOn(design, from + 1)?.id;
    while (to < days && seasonOn(design, to + 1)?.id === season) to += 1;
    ready = readyOf(design, catalogue, from + 1, ground, models.get(season));
    models.set(season, ready.model);
    const run = simulate({
      box: ready.box,
      weather: cutFrom(weather, from),
      // Whoever mists every so many days begins with the change-over.
      plan: ready.plan,
      days: to - from,
      every,
      start: y,
      looser,
    });
    runs.push(run);
    y = run.end;
  }
  const widest = [...models.values()].sort((a, b) => b.box.wetters.length - a.box.wetters.length)[0];
  const whole = joined(runs);
  return told(asked, design, { ...first, box: widest?.box ?? first.box }, whole, days);
}

const cutFrom = ({ step, temperature, ratio, sun }: Weather, day: number): Weather => {
  const at = Math.round((day * DAY) / step);
  return {
    step,
    temperature: temperature.subarray(at),
    ratio: ratio.subarray(at),
    sun: sun.subarray(at),
  };
};

/** Runs that follow each other as one. Of what is given by hand in some parts only, the others count as nothing. */
function joined(runs: readonly Run[]): Run {
  const last = runs.at(-1);
  if (!last) throw new Error('a year has at least one part');
  // Each run records its own beginning, which is the end of the one before it.
  const all = (of: (run: Run) => Float32Array | undefined): Float32Array =>
    Float32Array.from(runs.flatMap((run, i) => [...(of(run) ?? [])].slice(i === 0 ? 0 : 1)));
  const longest = (of: (run: Run) => readonly unknown[]): number =>
    runs.reduce((most, it) => Math.max(most, of(it).length), 0);
  const sums = (of: (run: Run) => readonly number[]): number[] =>
    Array.from({ length: longest(of) }, (_, k) => runs.reduce((sum, it) => sum + (of(it)[k] ?? 0), 0));
  const begins = runs.map((_, i) => runs.slice(0, i).reduce((sum, it) => sum + it.days * DAY, 0));
  const balance = (of: (run: Run) => Balance): Balance => ({
    in: runs.reduce((sum, it) => sum + of(it).in, 0),
    out: runs.reduce((sum, it) => sum + of(it).out, 0),
    change: runs.reduce((sum, it) => sum + of(it).change, 0),
    off: Math.max(...runs.map((it) => of(it).off)),
  });
  return {
    begin: runs[0]?.begin ?? last.begin,
    t: Float64Array.from(
      runs.flatMap((run, i) => [...run.t].slice(i === 0 ? 0 : 1).map((t) => t + (begins[i] ?? 0))),
    ),
    series: Object.fromEntries(SERIES.map((name) => [name, all((run) => run.series[name])])) as Run['series'],
    end: last.end,
    water: balance((it) => it.water),
    heat: balance((it) => it.heat),
    powers: Array.from({ length: longest((it) => it.powers) }, (_, k) => all((run) => run.powers[k])),
    drawn: sums((it) => it.drawn),
    used: sums((it) => it.used),
    poured: runs.reduce((sum, it) => sum + it.poured, 0),
    chambers: last.chambers.map(({ piece }, k) => ({
      piece,
      temperature: all((run) => run.chambers[k]?.temperature),
      humidity: all((run) => run.chambers[k]?.humidity),
      store: all((run) => run.chambers[k]?.store),
    })),
    steps: runs.reduce((sum, it) => sum + it.steps, 0),
    days: runs.reduce((sum, it) => sum + it.days, 0),
  };
}
