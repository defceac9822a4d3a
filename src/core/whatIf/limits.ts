import { grownIn } from '../brief';
import type { Catalogue } from '../catalogue';
import { bandsOf, type Bands } from '../climate/climateSummary';
import type { Ready } from '../climate/forecast';
import type { Run, SeriesName } from '../climate/simulate';
import { humidityAtRecord, zonesFor } from '../climate/zones';
import type { Design } from '../document/schema';
import { WATER_DENSITY } from '../physics/constants';
import { criteriaOf, keepsMoist, TOLERANCE, type CriterionId } from '../verdict/criteria';
import { BEGAN } from './play';
import type { Limit } from './types';

/** Of its pores, over which water stands in a soil. */
const SATURATED = 0.97;

/** kg of open water at which it stands at the edge of what is watertight; null: there is none that is followed. */
export function edgeOf({ enclosure, ground }: Design, { box }: Ready): number | null {
  const area = box.columns.reduce((sum, it) => sum + it.pool.area, 0);
  if (area <= 1e-3) return null;
  const full = box.columns.reduce((sum, it) => sum + it.pool.full, 0);
  return full + area * Math.max(0, enclosure.watertightHeight - ground.waterDepth) * WATER_DENSITY;
}

/**
 * Beyond what a box is too hot, cold, dry or wet, day or night: what the verdict calls borne, by its tolerance. Without an
 * animal, what a mild moist box is held to, and as much beyond it as most kinds bear (from memory).
 */
export function bearsOf(design: Design, catalogue: Catalogue) {
  const animal = grownIn(design, catalogue);
  if (!animal) {
    const { cool, warm, night, humidityDay, humidityNight } = bandsOf(undefined);
    return {
      hot: Math.max(cool.high, night.high) + 4,
      warm: warm.high + 4,
      spot: null,
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
    // A side it cannot go to is a side it has not.
    warm: Math.max(...of(['warm', 'cool'], 'high')) + TOLERANCE.temperature,
    spot: of(['basking'], 'high')[0] ?? null,
    cold: Math.min(...of(['cool', 'night'], 'low')) - TOLERANCE.temperature,
    dry: Math.min(...of(['humidity-day', 'humidity-night'], 'low')) - TOLERANCE.humidity,
    wet: wettest >= 1 ? 2 : wettest + TOLERANCE.humidity,
  };
}

/** What an animal cannot bear, and when it comes to that. */
export function limitsOf(
  { t, series }: Run,
  bands: Bands,
  { model, box }: Ready,
  bears: ReturnType<typeof bearsOf>,
  edge: number | null,
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
    return { what, after, worst, ends: null };
  };
  const s = (name: SeriesName) => (i: number) => series[name][i] ?? 0;
  const coolest = (i: number): number => Math.min(s('air0')(i), s('air2')(i), s('air1')(i), s('air3')(i));
  const warmest = (i: number): number => Math.max(s('air0')(i), s('air2')(i));
  const spotted = (['spot0', 'spot1'] as const).find(
    (_, column) => (box.columns[column]?.spot.area ?? 0) > 0,
  );
  const damp = (i: number): number => humidityAtRecord({ series }, zonesFor(bands), i);
  const limits: Limit[] = [
    // An animal goes where it is coolest: it is too hot when even there it is.
    seek('too hot', coolest, (it) => it > bears.hot, Math.max),
    seek('warm side too hot', s('air0'), (it) => it > bears.warm, Math.max),
    ...(spotted !== undefined && bears.spot !== null
      ? [seek('basking spot too hot', s(spotted), (it) => it > (bears.spot ?? Infinity), Math.max)]
      : []),
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
  // Without a bed what is too much stands in the soil, or rises in the open water.
  if (box.reservoir.takes === 'nowhere')
    limits.push(
      seek(
        'water stands in the soil',
        (i) => Math.max(s('low0')(i), s('low1')(i)),
        (it) => it > SATURATED * Math.max(...box.columns.map((own) => own.soil[2].soil.porosity)),
        Math.max,
      ),
    );
  if (box.reservoir.takes === 'pool' && edge !== null)
    limits.push(seek('water over its edge', s('water'), (it) => it > edge, Math.max));
  if (box.columns[0].start[1] > 0.12) {
    const dry = (i: number): number => Math.min(s('mid0')(i), s('mid1')(i));
    const least = box.columns[0].soil[1].residual + 0.02;
    limits.push(seek('soil dry', dry, (it) => it < least && least < (series.mid0[0] ?? 0), Math.min));
  }
  return limits;
}
