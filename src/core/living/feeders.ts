import type { Range, Sourced } from '../catalogue';
import type { CultureRecord } from '../records';

export const FEEDER_SORTS = ['fly', 'cricket', 'roach', 'beetle', 'moth', 'worm', 'small', 'water'] as const;

/** What is bred beside the enclosures to be fed. Lengths in m, temperatures in °C. */
export interface Feeder {
  readonly id: string;
  readonly english: string;
  readonly scientific: string;
  readonly sort: (typeof FEEDER_SORTS)[number];
  /** Of those that are fed, the smallest and the largest. */
  readonly size: Sourced<Range>;
  /** What it lives on, and in what. */
  readonly food: string;
  /** Kept between these it breeds. */
  readonly temperature: Sourced<Range>;
  /** It stands still at this temperature, and from its start to the first that can be fed it takes so many degrees above it times days. */
  readonly pace: Sourced<{ readonly zero: number; readonly degreeDays: number }>;
  /** Days it gives from then on; null: for as long as it is kept. */
  readonly givesFor: Sourced<number | null>;
  readonly nextAfter: Sourced<number | null>;
  readonly splitEvery: Sourced<number | null>;
  readonly feedEvery: Sourced<number | null>;
  /** Of one usual tub at the best of its temperatures, a day. */
  readonly givesADay: Sourced<number>;
  /** Its droppings, scales and skins can bring on asthma. */
  readonly allergen: boolean;
  /** It breeds in a warm house once it is out. */
  readonly escapes: boolean;
  /** What it lacks or does to what eats it; empty: nothing in particular. */
  readonly note: string;
}

/** Days from its start until the first can be fed, kept so warm; null: it does not breed at that temperature. */
export function firstHarvestOf({ temperature, pace }: Feeder, kept: number): number | null {
  const { low, high } = temperature.value;
  if (kept < low || kept > high) return null;
  return Math.ceil(pace.value.degreeDays / (kept - pace.value.zero));
}

/** Sorts whose food is what the animal eats in the end. */
const LOADED: readonly Feeder['sort'][] = ['cricket', 'roach', 'beetle', 'moth'];

/** The rhythm of a culture of feeders kept so warm, as its record has it. */
export const rhythmOf = (
  feeder: Feeder,
  kept: number,
): Pick<
  CultureRecord,
  'feedEvery' | 'firstHarvest' | 'givesFor' | 'nextAfter' | 'splitEvery' | 'gutLoaded'
> => ({
  feedEvery: feeder.feedEvery.value,
  firstHarvest: firstHarvestOf(feeder, kept),
  givesFor: feeder.givesFor.value,
  nextAfter: feeder.nextAfter.value,
  splitEvery: feeder.splitEvery.value,
  gutLoaded: LOADED.includes(feeder.sort),
});

/** How many one tub gives a day, kept so warm: as fast as it develops; 0 where it does not breed. */
export function givesAt({ temperature, pace, givesADay }: Feeder, kept: number): number {
  const { low, high } = temperature.value;
  if (kept < low || kept > high) return 0;
  return (givesADay.value * (kept - pace.value.zero)) / (high - pace.value.zero);
}
