import type { Animal, Range } from '../catalogue';
import type { BoxModel, Column } from './box';
import type { Run, SeriesName, Timetable } from './simulate';
import { AT } from './states';
import { CHANGES, humidityAtRecord, TOLERANCE, zonesFor } from './zones';
import { DAY } from '../physics/constants';

/** Film over which a leaf counts as wet, and glass as fogged, kg/m² (common practice: what a finger feels, an eye sees). */
export const WET = 0.005;
export const FOGGED = 0.004;

export interface Share {
  /** Of the hours, 0 to 1, within the tolerance; the hour after the lights changed is left out. */
  readonly inside: number;
  readonly under: number;
  readonly over: number;
  readonly hours: number;
}

export interface ZoneAnswer {
  readonly day: Share;
  readonly night: Share;
  readonly mean: number;
  readonly low: number;
  readonly high: number;
}

/** What a run comes to, for the animal. Temperatures °C, humidity 0 to 1, water kg, energy J. */
export interface ClimateSummary {
  /** By place: the warm and the cool side at the ground, and the basking place. */
  readonly warm: ZoneAnswer;
  readonly cool: ZoneAnswer;
  readonly basking: ZoneAnswer | null;
  readonly humidity: ZoneAnswer;
  /** Share of all hours with humidity within the band of the hour. */
  readonly humidInside: number;
  /** K between the means of the two sides by day; K by which the night is cooler than the day. */
  readonly gradient: number;
  readonly nightDrop: number;
  /** h a misting keeps leaves wet, h a day of wet leaves, h of them at night. */
  readonly wetPerMisting: number;
  readonly wetPerDay: number;
  readonly wetByNight: number;
  readonly foggedPerDay: number;
  /** h from the end of a misting until humidity falls under the animal's band; null: it never does, or nothing mists. */
  readonly dryDown: number | null;
  /** kg a day misted and fogged, and poured into the soil from the jug. */
  readonly waterPerDay: number;
  readonly jugPerDay: number;
  /** kg a day by which the soil of the warm and the cool half gets drier: what a jug must give for it to stay as it is. */
  readonly soilLoses: readonly [warm: number, cool: number];
  /** kg a day poured into dishes. */
  readonly pouredPerDay: number;
  /** J a day. */
  readonly energyPerDay: number;
  /** Days until the bottle is empty; null: none, or nothing is drawn. */
  readonly bottleDays: number | null;
  /** What stands in a bottle of its own: kg a day it gives, kg it holds, and days that lasts; null: it never runs. */
  readonly ownBottles: readonly {
    readonly device: string;
    readonly perDay: number;
    readonly holds: number;
    readonly days: number | null;
  }[];
  /** kg in the bed now, kg a day it gains, and days until it reaches the soil; null: never. */
  readonly bed: number;
  readonly bedGain: number;
  readonly bedDays: number | null;
  /** Water in the soil: top and bottom of both columns, m³/m³. */
  readonly soil: readonly { readonly top: number; readonly middle: number; readonly bottom: number }[];
  /** Share of hours with something to drink: dish or pool, or drops. */
  readonly drinkDish: number;
  readonly drinkDrops: number;
  /** Times the air of the box is changed in an hour. */
  readonly changes: number;
  /** Highest air temperature met. */
  readonly hottest: number;
  readonly coldest: number;
}

export interface Bands {
  readonly warm: Range;
  readonly cool: Range;
  readonly night: Range;
  readonly basking: Range | null;
  readonly humidityDay: Range;
  readonly humidityNight: Range;
  /** It lives up in the branches: there it is judged. */
  readonly climbs: boolean;
}

/** What is aimed at without an animal: a mild moist box. */
const MILD: Bands = {
  warm: { low: 22, high: 27 },
  cool: { low: 19, high: 24 },
  night: { low: 17, high: 23 },
  basking: null,
  humidityDay: { low: 0.55, high: 0.85 },
  humidityNight: { low: 0.6, high: 0.95 },
  climbs: false,
};

export const bandsOf = (animal: Animal | undefined): Bands =>
  animal
    ? {
        warm: animal.climate.warm.value,
        cool: animal.climate.cool.value,
        night: animal.climate.night.value,
        basking: animal.climate.basking?.value ?? null,
        humidityDay: animal.climate.humidityDay.value,
        humidityNight: animal.climate.humidityNight.value,
        climbs: animal.life.value === 'climbing',
      }
    : MILD;

const isDay = (t: number, table: Timetable): boolean => {
  const at = t % DAY;
  return table.day.some(({ from, to }) => at >= from && at < to);
};

export interface SummaryInput {
  readonly run: Run;
  readonly box: BoxModel;
  readonly bands: Bands;
  readonly plan: (day: number) => Timetable;
  /** kg; null: the mains. */
  readonly bottle: number | null;
  readonly bedFull: number;
}

export function summarize({ run, box, bands, plan, bottle, bedFull }: SummaryInput): ClimateSummary {
  const { t, series } = run;
  const days = Math.max(1e-9, run.days);
  const n = t.length;
  const step = n > 1 ? (t[1] ?? 0) - (t[0] ?? 0) : 1;
  const hour = step / 3600;
  const day = Array.from({ length: n }, (_, i) =>
    isDay((t[i] ?? 0) % DAY, plan(Math.floor((t[i] ?? 0) / DAY))),
  );
  const column = (name: SeriesName): Float32Array => series[name];
  // The hour after the lights went on or off belongs to neither.
  const change = Array.from({ length: n }, (_, i) => {
    const at = t[i] ?? 0;
    const today = Math.floor(at / DAY);
    return plan(today).day.some(
      ({ from, to }) =>
        (at - today * DAY > from && at - today * DAY <= from + CHANGES) ||
        (at - today * DAY > to && at - today * DAY <= to + CHANGES),
    );
  });
  const zone = (
    values: (i: number) => number,
    byDay: Range,
    byNight: Range,
    slack: number = TOLERANCE.temperature,
  ): ZoneAnswer => {
    const share = (want: boolean, band: Range): Share => {
      let [inside, under, over, hours] = [0, 0, 0, 0];
      for (let i = 1; i < n; i += 1) {
        if (day[i] !== want || change[i]) continue;
        const value = values(i);
        hours += hour;
        if (value < band.low - slack) under += hour;
        else if (value > band.high + slack) over += hour;
        else inside += hour;
      }
      const all = Math.max(1e-9, hours);
      return { inside: inside / all, under: under / all, over: over / all, hours };
    };
    let [sum, low, high] = [0, Infinity, -Infinity];
    for (let i = 1; i < n; i += 1) {
      const value = values(i);
      sum += value;
      low = Math.min(low, value);
      high = Math.max(high, value);
    }
    return {
      day: share(true, byDay),
      night: share(false, byNight),
      mean: sum / Math.max(1, n - 1),
      low,
      high,
    };
  };
  const at = (name: SeriesName) => (i: number) => column(name)[i] ?? 0;
  const meanWhere = (name: SeriesName, want: boolean): number => {
    let [sum, count] = [0, 0];
    for (let i = 1; i < n; i += 1) {
      if (day[i] !== want) continue;
      sum += column(name)[i] ?? 0;
      count += 1;
    }
    return count > 0 ? sum / count : NaN;
  };
  const zones = zonesFor(bands);
  const damp = (i: number): number => humidityAtRecord(run, zones, i);
  const warmSide = zones.warm;
  const humidity = zone(damp, bands.humidityDay, bands.humidityNight, TOLERANCE.humidity);
  const leafy = box.cells.some((it) => it.leaves > 1e-3);
  const wet = (i: number): boolean =>
    leafy && Math.max(at('leaf0')(i), at('leaf1')(i), at('leaf2')(i), at('leaf3')(i)) > WET;
  let [wetHours, wetNight, fogged, drops, dish] = [0, 0, 0, 0, 0];
  const hardly = WET / 2;
  for (let i = 1; i < n; i += 1) {
    if (wet(i)) {
      wetHours += hour;
      if (!day[i]) wetNight += hour;
    }
    if (at('fogged')(i) > FOGGED) fogged += hour;
    if (Math.max(at('leaf1')(i), at('leaf3')(i), at('fogged')(i)) > hardly) drops += hour;
    if (at('water')(i) > 0.005) dish += hour;
  }
  const mistings = countStarts(series.mist);
  const [given, poured] = [false, true].map((jug) =>
    run.drawn.reduce((sum, it, i) => sum + ((box.wetters[i]?.jug ?? false) === jug ? it : 0), 0),
  ) as [number, number];
  const bed0 = series.reservoir[0] ?? 0;
  const bed1 = series.reservoir[n - 1] ?? 0;
  const bedGain = (bed1 - bed0) / days;
  const fromBottle =
    box.wetters.reduce((sum, it, i) => sum + (it.bottle === null ? 0 : (run.drawn[i] ?? 0)), 0) / days;
  const spotted = box.columns.some((it) => it.spot.area > 0);
  const spotName: SeriesName = box.columns[0].spot.area > 0 ? 'spot0' : 'spot1';
  const total = box.cells.reduce((sum, it) => sum + it.air, 0);
  let exchange = 0;
  for (let i = 1; i < n; i += 1) exchange += series.exchange[i] ?? 0;
  const air = [at('air0'), at('air1'), at('air2'), at('air3')];
  let [hottest, coldest] = [-Infinity, Infinity];
  for (let i = 0; i < n; i += 1) {
    for (const of of air) {
      hottest = Math.max(hottest, of(i));
      coldest = Math.min(coldest, of(i));
    }
  }
  return {
    warm: zone(at(warmSide), bands.warm, bands.night),
    cool: zone(at(zones.cool), bands.cool, bands.night),
    basking: spotted && bands.basking ? zone(at(spotName), bands.basking, { low: -50, high: 100 }) : null,
    humidity,
    humidInside:
      (humidity.day.inside * humidity.day.hours + humidity.night.inside * humidity.night.hours) /
      Math.max(1e-9, humidity.day.hours + humidity.night.hours),
    gradient: meanWhere(warmSide, true) - meanWhere(zones.cool, true),
    nightDrop: meanWhere(warmSide, true) - meanWhere(warmSide, false),
    wetPerMisting: mistings > 0 ? wetHours / mistings : 0,
    wetPerDay: wetHours / days,
    wetByNight: wetNight / days,
    foggedPerDay: fogged / days,
    dryDown: dryDownOf(series.mist, damp, day, bands, hour, n),
    waterPerDay: given / days,
    jugPerDay: poured / days,
    soilLoses: [soilLost(run, box, 0) / days, soilLost(run, box, 1) / days],
    pouredPerDay: run.poured / days,
    energyPerDay: run.used.reduce((sum, it) => sum + it, 0) / days,
    bottleDays: bottle === null || fromBottle <= 1e-6 ? null : bottle / fromBottle,
    ownBottles: box.wetters.flatMap(({ id, tank }, i) => {
      if (tank === undefined) return [];
      const perDay = (run.drawn[i] ?? 0) / days;
      return [{ device: id, perDay, holds: tank, days: perDay > 1e-6 ? tank / perDay : null }];
    }),
    bed: bed1,
    bedGain,
    bedDays: bedFull <= 0 || bedGain <= 1e-5 ? null : Math.max(0, (bedFull - bed1) / bedGain),
    soil: ([0, 1] as const).map((c) => ({
      top: series[`top${c}`][n - 1] ?? 0,
      middle: series[`mid${c}`][n - 1] ?? 0,
      bottom: series[`low${c}`][n - 1] ?? 0,
    })),
    drinkDish: dish / Math.max(1e-9, (n - 1) * hour),
    drinkDrops: drops / Math.max(1e-9, (n - 1) * hour),
    changes: ((exchange / Math.max(1, n - 1)) * 3600) / total,
    hottest,
    coldest,
  };
}

/** kg of water the soil of a half has less at the end of a run than at its beginning. */
const soilLost = ({ begin, end }: Run, box: BoxModel, column: Column): number =>
  box.columns[column].soil.reduce(
    (sum, _, node) => sum + (begin[AT.soilWater(column, node)] ?? 0) - (end[AT.soilWater(column, node)] ?? 0),
    0,
  );

/** Times that mist begins. */
function countStarts(mist: Float32Array): number {
  let count = 0;
  for (let i = 1; i < mist.length; i += 1) if ((mist[i] ?? 0) > 0 && (mist[i - 1] ?? 0) <= 0) count += 1;
  return count;
}

function dryDownOf(
  mist: Float32Array,
  damp: (i: number) => number,
  day: readonly boolean[],
  bands: Bands,
  hour: number,
  n: number,
): number | null {
  const falls: number[] = [];
  let since = -1;
  for (let i = 1; i < n; i += 1) {
    if ((mist[i] ?? 0) > 0) {
      since = i;
      continue;
    }
    if (since < 0) continue;
    const band = day[i] ? bands.humidityDay : bands.humidityNight;
    if (damp(i) < band.low) {
      falls.push((i - since) * hour);
      since = -1;
    }
  }
  return falls.length === 0 ? null : falls.reduce((sum, it) => sum + it, 0) / falls.length;
}
