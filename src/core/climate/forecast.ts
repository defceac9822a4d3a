import { findAnimal, type Catalogue } from '../catalogue';
import type { Design } from '../design/schema';
import { layGround, type GroundResult } from '../ground/layers';
import { answersOf, bandsOf, type Answers, type Bands } from './answers';
import type { BoxModel } from './box';
import { outfitOf, type Outfit } from './outfit';
import { dayOfSeason, profileOf, standingOf, type Season } from './roomProfile';
import { settle, simulate, type Run, type Timetable } from './simulate';
import { timetableOf } from './timetable';
import { weatherOf, type Weather } from './weather';

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
}

/** All that a run needs of a design: plain to make, so that a worker makes it from the design. */
export interface Ready {
  readonly outfit: Outfit;
  readonly box: BoxModel;
  readonly bands: Bands;
  readonly from: number;
  readonly plan: (day: number) => Timetable;
  readonly weather: (days: number, seed: number | null, from?: number) => Weather;
}

export function readyOf(design: Design, catalogue: Catalogue, from: number, ground?: GroundResult): Ready {
  const outfit = outfitOf(design, ground ?? layGround(design, catalogue), catalogue);
  const profile = profileOf(design, catalogue);
  const tables = new Map<number, Timetable>();
  return {
    outfit,
    box: outfit.box,
    bands: bandsOf(findAnimal(catalogue, design.brief.animal)),
    from,
    plan: (day) => {
      let table = tables.get(day);
      if (!table) {
        table = timetableOf(design, outfit, catalogue, ((from - 1 + day) % 365) + 1, day);
        tables.set(day, table);
      }
      return table;
    },
    weather: (days, seed, start = from) =>
      weatherOf({
        profile,
        standing: standingOf(design),
        pressure: outfit.box.pressure,
        from: start,
        days,
        seed,
        front: design.enclosure.width * design.enclosure.height,
      }),
  };
}

/** s between two records, days, and how loose the steps are, of each span. */
const SPANS: Record<Span, { readonly every: number; readonly days: number; readonly looser: number }> = {
  day: { every: 600, days: 1, looser: 1 },
  week: { every: 1800, days: 7, looser: 1 },
  year: { every: 3600, days: 365, looser: 2 },
};

/** A day or week of a season, or a year from January: always after the box has settled into its weather. */
export function forecast(
  design: Design,
  catalogue: Catalogue,
  asked: ForecastAsked,
  ground?: GroundResult,
): Forecast {
  const { latitude } = design.climate.room;
  const from = asked.span === 'year' ? 1 : dayOfSeason(asked.season, latitude);
  const ready = readyOf(design, catalogue, from, ground);
  const { days, every, looser } = SPANS[asked.span];
  const calm = ready.weather(4, null);
  const start = settle({ box: ready.box, weather: calm, plan: ready.plan, looser: 2 });
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
    mists: Array.from({ length: Math.min(days, 7) }, (_, day) =>
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
  };
}
