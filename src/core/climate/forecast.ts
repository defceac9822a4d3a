import { findAnimal, type Catalogue } from '../catalogue';
import type { Design } from '../design/schema';
import { layGround, type GroundResult } from '../ground/layers';
import { answersOf, bandsOf, type Answers, type Bands } from './answers';
import type { BoxModel } from './box';
import { hidesOf, type HideClimate } from './hides';
import { outfitOf, type Outfit } from './outfit';
import { dayOfSeason, profileOf, standingOf, type Season } from './roomProfile';
import { settle } from './settle';
import { simulate, type Run, type SeriesName, type Timetable } from './simulate';
import { timetableOf } from './timetable';
import { weatherOf, type Weather, type WeatherAsked } from './weather';
import { zonesFor, type Zones } from './zones';

export type Span = 'day' | 'week' | 'year';

export interface ForecastAsked {
  readonly span: Span;
  readonly season: Season;
  /** Of the room's weather. */
  readonly seed: number;
}

export interface Forecast {
  readonly asked: ForecastAsked;
  readonly run: Run;
  readonly answers: Answers;
  readonly bands: Bands;
  /** s of the day that it is light, on the first day. */
  readonly light: { readonly from: number; readonly to: number };
  /** s from the start at which it is misted, on the days shown. */
  readonly mists: readonly number[];
  /** Day of the year it begins with. */
  readonly from: number;
  /** Days after which its mist repeats: what is shown and summed is whole cycles of them. */
  readonly cycle: number;
  /** Where the animal is judged, and what lies under the lamp; null: nothing does. */
  readonly zones: Zones;
  readonly spot: SeriesName | null;
  /** Hides with a moist air of their own. */
  readonly hides: readonly HideClimate[];
}

/** All that a run needs of a design: plain to make, so that a worker makes it from the design. */
export interface Ready {
  readonly outfit: Outfit;
  readonly box: BoxModel;
  readonly bands: Bands;
  readonly from: number;
  readonly plan: (day: number) => Timetable;
  readonly weather: (
    days: number,
    seed: number | null,
    from?: number,
    shift?: WeatherAsked['shift'],
  ) => Weather;
  /** Days after which the plan repeats. */
  readonly cycle: number;
  /** The soil stays as it was filled: without drainage nobody waters its depth but the keeper. */
  readonly keptSoil: boolean;
}

/**
 * The state a box comes to in the calm mean of its weather, at the start of a cycle of its mist.
 * @param from where a like box came to
 */
export function settled(
  ready: Ready,
  looser = 2,
  most?: number,
  from: Float64Array | null = null,
): Float64Array {
  const { box, plan, cycle, keptSoil } = ready;
  const start = settle(
    { box, weather: ready.weather(2, null), plan, looser, cycle, keptSoil, start: from },
    most,
  );
  // The last days before the cycle begins anew, as they are.
  const last = Math.min(cycle - 1, 2);
  if (last <= 0) return start;
  const weather = ready.weather(last + 1, null);
  const { end } = simulate({
    box,
    weather,
    plan,
    days: last,
    every: 7200,
    start,
    looser,
    firstDay: cycle - last,
  });
  return end;
}

/** @param from day of the year; @param known its outfit, where it was made for another season already */
export function readyOf(
  design: Design,
  catalogue: Catalogue,
  from: number,
  ground?: GroundResult,
  known?: Outfit,
): Ready {
  const outfit = known ?? outfitOf(design, ground ?? layGround(design, catalogue), catalogue);
  const profile = profileOf(design, catalogue);
  const tables = new Map<number, Timetable>();
  return {
    outfit,
    box: outfit.box,
    bands: bandsOf(findAnimal(catalogue, design.brief.animal)),
    from,
    cycle: design.climate.mist.times.length > 0 ? design.climate.mist.everyDays : 1,
    keptSoil: design.ground.method === 'none',
    plan: (day) => {
      let table = tables.get(day);
      if (!table) {
        table = timetableOf(design, outfit, catalogue, ((from - 1 + day) % 365) + 1, day);
        tables.set(day, table);
      }
      return table;
    },
    weather: (days, seed, start = from, shift) =>
      weatherOf({
        profile,
        standing: standingOf(design),
        pressure: outfit.box.pressure,
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
  asked: ForecastAsked,
  ground?: GroundResult,
): Forecast {
  const { latitude } = design.climate.room;
  const from = asked.span === 'year' ? 1 : dayOfSeason(asked.season, latitude);
  const ready = readyOf(design, catalogue, from, ground);
  const { cycle } = ready;
  const { days: least, every: fine, looser: exact } = SPANS[asked.span];
  const days = asked.span === 'year' ? least : cycle * Math.ceil(least / cycle);
  const long = asked.span === 'day' && days > FINE_DAYS;
  const every = long ? SPANS.week.every : fine;
  const looser = long ? 2 : exact;
  const start = settled(ready);
  const weather = ready.weather(days + 1, asked.span === 'day' ? null : asked.seed);
  const run = simulate({ box: ready.box, weather, plan: ready.plan, days, every, start, looser });
  const { bottle } = design.climate.mist;
  return {
    asked,
    run,
    answers: answersOf({
      run,
      box: ready.box,
      bands: ready.bands,
      plan: ready.plan,
      bottle: bottle === null ? null : bottle * 1000,
      bedFull: ready.outfit.bedFull,
    }),
    bands: ready.bands,
    light: ready.plan(0).day[0] ?? { from: 0, to: 0 },
    mists: Array.from({ length: asked.span === 'year' ? 7 : days }, (_, day) =>
      ready
        .plan(day)
        .wetters.flatMap((windows, i) =>
          ready.box.wetters[i]?.control || windows.length > 12
            ? []
            : windows.map(({ from: at }) => day * 86_400 + at),
        ),
    )
      .flat()
      .filter((it, i, all) => all.indexOf(it) === i),
    from,
    cycle,
    zones: zonesFor(ready.bands),
    spot: ready.box.columns[0].spot.area > 0 ? 'spot0' : ready.box.columns[1].spot.area > 0 ? 'spot1' : null,
    hides: hidesOf(run, ready.box.chambers),
  };
}
