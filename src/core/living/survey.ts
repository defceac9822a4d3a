import { grownIn } from '../brief';
import type { Catalogue } from '../catalogue';
import type { Design } from '../document/schema';
import { bandsOf } from '../climate/climateSummary';
import { climateModelOf, type ClimateModel } from '../climate/climateModel';
import type { Run, SeriesName, Window } from '../climate/simulate';
import type { GroundResult } from '../ground/layers';
import { DAY } from '../physics/constants';

/** Air of one half and tier: means by day and by night, and the extremes; °C and relative humidity. */
export interface AirOf {
  readonly day: number;
  readonly night: number;
  readonly low: number;
  readonly high: number;
  readonly humidDay: number;
  readonly humidNight: number;
}

/** What plants and crew meet in one season. */
export interface SeasonOf {
  readonly season: string;
  /** Warm low, warm high, cool low, cool high. */
  readonly air: readonly [AirOf, AirOf, AirOf, AirOf];
  /** Share of their full power at which lamps burn by day, by device. */
  readonly lit: Readonly<Record<string, number>>;
  /** Water in the soil as a share of its pores: upper centimetre and the roots' depth, warm and cool half. */
  readonly wetness: readonly [readonly [top: number, root: number], readonly [top: number, root: number]];
  readonly soil: readonly [number, number];
}

/** The box as plants and crew find it. `guessed`: as the animal wants it, before the climate was calculated. */
export interface Survey {
  readonly guessed: boolean;
  readonly seasons: readonly SeasonOf[];
}

/** As the box is meant to be: the animal's own climate, soil as it rests once drained; and the same in a dry spell. Takes milliseconds. */
export function guessSurvey(design: Design, ground: GroundResult, catalogue: Catalogue): Survey {
  const { warm, cool, night, humidityDay, humidityNight } = bandsOf(grownIn(design, catalogue));
  const middle = ({ low, high }: { low: number; high: number }): number => (low + high) / 2;
  const side = (day: number): AirOf => ({
    day,
    night: middle(night),
    low: night.low,
    high: day + 2,
    humidDay: middle(humidityDay),
    humidNight: middle(humidityNight),
  });
  const [w, c] = [side(middle(warm)), side(middle(cool))];
  const { box, lit } = climateModelOf(design, ground, catalogue);
  const wet = (column: 0 | 1): readonly [number, number] => {
    const { soil, start } = box.columns[column];
    const share = (node: number): number =>
      Math.min(1, (start[node] ?? 0) / Math.max(0.05, soil[node]?.soil.porosity ?? 0.5));
    return [share(0), share(1)];
  };
  const lamps = Object.fromEntries(lit.map((it) => [it.device.id, it.kind.heats ? 0.6 : 1]));
  const wanted: SeasonOf = {
    season: 'the year',
    air: [w, { ...w, day: w.day + 1 }, c, c],
    lit: lamps,
    wetness: [wet(0), wet(1)],
    soil: [w.day - 1, c.day],
  };
  // Few boxes keep what they are meant to: a heated room dries air and soil, and what is planted must bear that too.
  const drier = (air: AirOf): AirOf => ({
    ...air,
    humidDay: Math.max(0.15, air.humidDay - DRY_SPELL.air),
    humidNight: Math.max(0.15, air.humidNight - DRY_SPELL.air),
  });
  const spell = (column: 0 | 1): readonly [number, number] => {
    const [top, root] = wanted.wetness[column];
    return [top * DRY_SPELL.soil, root * DRY_SPELL.soil];
  };
  const [warmLow, warmHigh, coolLow, coolHigh] = wanted.air;
  return {
    guessed: true,
    seasons: [
      wanted,
      {
        ...wanted,
        season: 'a dry spell',
        air: [drier(warmLow), drier(warmHigh), drier(coolLow), drier(coolHigh)],
        wetness: [spell(0), spell(1)],
      },
    ],
  };
}

/** How far a box falls short of what it is meant to be when its room is dry: humidity less, water in the soil times (from memory). */
const DRY_SPELL = { air: 0.15, soil: 0.45 } as const;

const isLight = (t: number, { from, to }: Window): boolean => t % DAY >= from && t % DAY < to;

/** What a season came to: one or more runs of its weather, and the hours of light. */
export interface SeasonRuns {
  readonly season: string;
  readonly runs: readonly Run[];
  readonly light: Window;
}

/** One season of a box, as means by day and night over its runs. */
export function seasonOf({ season, runs, light }: SeasonRuns, model: ClimateModel): SeasonOf {
  const mean = (pick: (run: Run) => ArrayLike<number> | undefined, lit: boolean | null): number => {
    let [sum, count] = [0, 0];
    for (const run of runs) {
      const values = pick(run);
      if (!values) continue;
      for (let i = 1; i < run.t.length; i += 1) {
        if (lit !== null && isLight(run.t[i] ?? 0, light) !== lit) continue;
        sum += values[i] ?? 0;
        count += 1;
      }
    }
    return count > 0 ? sum / count : NaN;
  };
  const series = (name: SeriesName) => (run: Run) => run.series[name];
  const air = ([0, 1, 2, 3] as const).map((cell): AirOf => {
    const [warmth, damp] = [series(`air${cell}`), series(`rh${cell}`)];
    let [low, high] = [Infinity, -Infinity];
    for (const run of runs)
      for (const value of warmth(run)) {
        low = Math.min(low, value);
        high = Math.max(high, value);
      }
    return {
      day: mean(warmth, true),
      night: mean(warmth, false),
      low,
      high,
      humidDay: mean(damp, true),
      humidNight: mean(damp, false),
    };
  }) as [AirOf, AirOf, AirOf, AirOf];
  const wet = (column: 0 | 1): readonly [number, number] => {
    const { soil } = model.box.columns[column];
    const share = (name: SeriesName, node: number): number =>
      Math.min(1, mean(series(name), null) / Math.max(0.05, soil[node]?.soil.porosity ?? 0.5));
    return [share(`top${column}`, 0), share(`mid${column}`, 1)];
  };
  return {
    season,
    air,
    lit: Object.fromEntries(
      model.lit.map(({ device }) => {
        const index = model.heaterDevices.findIndex((it) => it.id === device.id);
        const full = device.power * device.dim;
        return [device.id, full > 0 && index >= 0 ? mean((run) => run.powers[index], true) / full : 1];
      }),
    ),
    wetness: [wet(0), wet(1)],
    soil: [mean(series('ground0'), null), mean(series('ground1'), null)],
  };
}
