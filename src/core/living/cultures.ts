import type { CrewKind } from '../catalogue';
import type { CultureRecord } from '../records';
import { runCrew, type CrewHome } from './population';

/** A tub of a kind beside the boxes. */
export interface CultureInput {
  readonly kind: CrewKind;
  /** Adults it is started with, and the floor of the tub, m². */
  readonly start: number;
  readonly floor: number;
  readonly tubs: number;
  /** °C */
  readonly temperature: number;
  /** Adults wanted, and in how many days. */
  readonly wanted: number;
  readonly days: number;
}

export interface CultureAnswer {
  /** Adults all tubs hold on the day. */
  readonly there: number;
  /** Those that can be taken without setting it back: what is over half of the crowd, but never under the start. */
  readonly toTake: number;
  readonly covers: boolean;
  /** Days from its start until it can be harvested and split; null: never within two years. */
  readonly firstHarvest: number | null;
  readonly split: number | null;
  /** Latest start, days before the day it is wanted; null: no tub of this size ever gives so many. */
  readonly startBefore: number | null;
  readonly tubsNeeded: number | null;
}

/** A tub fed to the full, dark, moist and without enemies. */
const tubHome = (kind: CrewKind, floor: number, temperature: number): CrewHome => ({
  floor,
  temperature: new Array<number>(12).fill(temperature),
  wetness: (kind.wetness.value.low + kind.wetness.value.high) / 2,
  depth: 1,
  shelter: 1,
  litter: 0.05,
  litterK: 2,
  waste: 0,
  supplement: kind.crowd.value * floor * kind.mass.value * kind.eats.value * 3,
  air: 1,
  hunters: [],
});

/** Days between two feedings of crew that is bred apart (common practice). */
const CREW_FED = 7;

/** The rhythm of a culture of crew kept so warm in one tub, as its record has it. */
export function crewRhythm(
  kind: CrewKind,
  floor: number,
  temperature: number,
): Pick<CultureRecord, 'feedEvery' | 'firstHarvest' | 'givesFor' | 'nextAfter' | 'splitEvery' | 'gutLoaded'> {
  const start = Math.min(kind.culture.value, Math.max(10, kind.crowd.value * floor * 0.1));
  const { firstHarvest, split } = cultureOf({
    kind,
    start,
    floor,
    tubs: 1,
    temperature,
    wanted: 1,
    days: 70,
  });
  return {
    feedEvery: CREW_FED,
    firstHarvest: firstHarvest === null ? null : Math.max(1, Math.ceil(firstHarvest)),
    givesFor: null,
    nextAfter: null,
    splitEvery: split === null ? null : Math.max(1, Math.ceil(split)),
    gutLoaded: false,
  };
}

/** When a culture is to be started, split and harvested, and whether it covers what is wanted by its day. */
export function cultureOf({
  kind,
  start,
  floor,
  tubs,
  temperature,
  wanted,
  days,
}: CultureInput): CultureAnswer {
  const home = tubHome(kind, floor, temperature);
  const run = runCrew({ kind, home, start, months: 24 });
  const at = (day: number): number => {
    const index = run.day.findIndex((it) => it >= day);
    return run.adults[index < 0 ? run.adults.length - 1 : index] ?? 0;
  };
  const keep = Math.max(start, run.carryingCapacity * 0.5);
  const spare = (day: number): number => Math.max(0, at(day) - keep);
  const each = wanted / Math.max(1, tubs);
  const first = run.day.find((day) => at(day) > keep * 1.05);
  const enough = run.day.find((day) => spare(day) >= each);
  const most = run.day.reduce((best, day) => Math.max(best, spare(day)), 0);
  const split = run.day.find((day) => at(day) >= run.carryingCapacity * 0.8);
  return {
    there: at(days) * tubs,
    toTake: spare(days) * tubs,
    covers: spare(days) * tubs >= wanted,
    firstHarvest: first ?? null,
    split: split ?? null,
    startBefore: enough ?? null,
    tubsNeeded: most > 0 ? Math.ceil(wanted / most) : null,
  };
}
