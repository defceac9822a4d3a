import type { Animal, Borne, Range } from '../catalogue';
import { saturation } from '../climate/air';
import type { Design } from '../document/schema';

/** Where and when an animal is judged: one place and one half of the day each. */
export const CRITERIA = [
  'warm',
  'cool',
  'water',
  'basking',
  'night',
  'humidity-day',
  'humidity-night',
  'hide',
  'soil',
] as const;
export type CriterionId = (typeof CRITERIA)[number];

/** What is asked of a place: wanted, and borne without harm. Temperatures °C, humidity 0 to 1. */
export interface Criterion {
  readonly id: CriterionId;
  readonly measure: 'temperature' | 'humidity';
  readonly wanted: Range;
  readonly borne: Range;
}

/** Whether a box has a hide that is kept moist. */
export const keepsMoist = ({ scape }: Pick<Design, 'scape'>): { readonly moistHide: boolean } => ({
  moistHide: scape.pieces.some((it) => it.moist),
});

export { TOLERANCE } from '../climate/zones';
/** Least share of hours inside the wanted bands, in every season, at which a box holds. */
export const HOLDS = 0.9;
/** Least share of hours inside the borne bands, in every season, at which it does no harm. */
export const BEARS = 0.95;

/**
 * How far beyond the wanted band a kind is without harm, by group and direction: K over it by day and by night, under it
 * by day and by night, and points of humidity drier and damper. From memory of what keepers of each group put up with; a
 * kind with a row of its own in the catalogue goes by that.
 */
const GROUPS: Readonly<Record<Animal['kind'], Borne>> = {
  // Skin that breathes, from cool woods and brooks: a night that does not cool is what kills them in summer.
  newt: { hot: 2, warmNight: 1, cold: 4, coldNight: 5, dry: 0.1, damp: 0.2 },
  frog: { hot: 2, warmNight: 3, cold: 3, coldNight: 3, dry: 0.15, damp: 0.2 },
  gecko: { hot: 2.5, warmNight: 4, cold: 3, coldNight: 3, dry: 0.15, damp: 0.25 },
  lizard: { hot: 3, warmNight: 4, cold: 4, coldNight: 4, dry: 0.15, damp: 0.25 },
  snake: { hot: 2, warmNight: 4, cold: 3, coldNight: 3, dry: 0.15, damp: 0.25 },
  tortoise: { hot: 3, warmNight: 4, cold: 5, coldNight: 5, dry: 0.2, damp: 0.25 },
  invertebrate: { hot: 2, warmNight: 4, cold: 3, coldNight: 3, dry: 0.15, damp: 0.2 },
};

export const borneOf = (animal: Animal): Borne => animal.climate.borne?.value ?? GROUPS[animal.kind];

/** Least humidity of a moist hide that lets an animal shed, and what it makes do with (common practice; from memory). */
const HIDE = { wanted: 0.7, borne: 0.55 } as const;
/**
 * Share of the pores at the foot of a soil that may be full of water where nothing drains it: what stands in water turns sour,
 * which harms what lives in it before it harms the animal (common practice).
 */
export const UNDRAINED: Criterion = {
  id: 'soil',
  measure: 'humidity',
  wanted: { low: 0, high: 0.9 },
  borne: { low: 0, high: 1 },
};
/** K over its band a basking place may come to: an animal leaves what burns, but stone keeps it (from memory). */
const BASKING = { under: 5, over: 3 } as const;

/**
 * What is asked of a box for an animal. Where practice judges softer than the bands, it is softer here:
 * - a cool side that is cooler by day does no harm as long as it is no colder than the nights may be;
 * - too warm a night is judged where it is coolest, too cold a one where it is warmest: an animal needs one good place;
 * - a dry kind’s nights may hold as much vapour as its days: cooler air is damper without holding more of it;
 * - where there is a moist hide that stays moist, air that is drier, as far as it is borne, is answered by it.
 */
export function criteriaOf(animal: Animal, has: { readonly moistHide: boolean }): readonly Criterion[] {
  const { warm, cool, night, basking, humidityDay, humidityNight } = animal.climate;
  const { hot, warmNight, cold, coldNight, dry, damp } = borneOf(animal);
  const temperature = (id: CriterionId, wanted: Range, under: number, over: number): Criterion => ({
    id,
    measure: 'temperature',
    wanted,
    borne: { low: wanted.low - under, high: wanted.high + over },
  });
  const answered = has.moistHide && animal.moistHide?.value === true;
  const humidity = (id: CriterionId, band: Range): Criterion => ({
    id,
    measure: 'humidity',
    wanted: { low: answered ? band.low - dry : band.low, high: band.high },
    borne: { low: Math.max(0, band.low - dry), high: Math.min(1, band.high + damp) },
  });
  const low = Math.min(cool.value.low, night.value.low);
  // By night a dry kind's air may hold the vapour it may hold by day: the same air is damper when it is cooler.
  const asByDay =
    animal.ground.value === 'dry'
      ? Math.min(
          1,
          humidityDay.value.high *
            (saturation(cool.value.high) / saturation((night.value.low + night.value.high) / 2)),
        )
      : 0;
  const nightAir = {
    low: humidityNight.value.low,
    high: Math.max(humidityNight.value.high, asByDay),
  };
  return [
    temperature('warm', warm.value, cold, hot),
    temperature('cool', { low, high: cool.value.high }, coldNight, hot),
    ...(animal.life.value === 'half-water'
      ? [
          temperature(
            'water',
            animal.pool?.value.temperature ?? { low, high: warm.value.high },
            coldNight,
            hot,
          ),
        ]
      : []),
    ...(basking ? [temperature('basking', basking.value, BASKING.under, BASKING.over)] : []),
    temperature('night', night.value, coldNight, warmNight),
    humidity('humidity-day', humidityDay.value),
    humidity('humidity-night', nightAir),
    ...(answered
      ? [
          {
            id: 'hide' as const,
            measure: 'humidity' as const,
            wanted: { low: HIDE.wanted, high: 1 },
            borne: { low: HIDE.borne, high: 1 },
          },
        ]
      : []),
  ];
}
