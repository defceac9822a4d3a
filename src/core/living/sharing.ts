import type { CrewKind } from '../catalogue';
import { carryingCapacity, foodFor, type CrewHome, type HomePart, type Hunters } from './population';

/** Dry mass of a live insect, share, and share of what it eats that a hunter finds among the crew (common practice). */
const DRY = 0.3;
const FROM_CREW = 0.5;
/** m² of litter that a hunter of three centimetres goes through in a day, and the longest prey as a share of its length. */
const GOES_THROUGH = 0.002;
const LARGEST = 0.6;

const FOODS = ['litter', 'waste', 'mould'] as const;

/**
 * The home as each of several kinds finds it that live there together. What all of them would take of a food, each by itself,
 * is shared in that proportion where it is more than there is; room likewise, among those who live in the same of soil,
 * litter, wood and surface. Kinds that hunt are hunters to the others, in the number the place carries of them.
 * @returns homes in the order of the kinds; of one kind alone, the home as it is
 */
export function homesOf(kinds: readonly CrewKind[], home: CrewHome): readonly CrewHome[] {
  if (kinds.length < 2) return kinds.map(() => home);
  const alone = kinds.map((kind) => {
    const { adults } = carryingCapacity(kind, home);
    const food = foodFor(kind, home);
    const total = food.litter + food.waste + food.mould;
    // As much as the place carries eats, of each food by how much there is of it.
    const eats = total > 0 ? Math.min(1, (adults * kind.mass.value * kind.eats.value * 1.6) / total) : 0;
    return { kind, adults, food, eats, fills: adults / Math.max(1e-9, kind.crowd.value * home.floor) };
  });
  const partOf = (wanted: number, there: number): number => (wanted > there ? there / wanted : 1);
  const parts = Object.fromEntries(
    FOODS.map((it) => [
      it,
      partOf(
        alone.reduce((sum, { food, eats }) => sum + food[it] * eats, 0),
        Math.max(...alone.map(({ food }) => food[it])),
      ),
    ]),
  ) as Omit<HomePart, 'room'>;
  const shelter = 0.35 + 0.65 * home.shelter;
  const homes = alone.map(({ kind, eats }): CrewHome => {
    const beside = alone.filter((it) => it.kind.habit.value === kind.habit.value);
    const filled = beside.reduce((sum, it) => sum + it.fills, 0);
    // What it takes alone is its part of what all of them take; of what it cannot use, nothing is kept for it.
    const own = (it: (typeof FOODS)[number]): number => (parts[it] < 1 ? parts[it] * eats : 1);
    return {
      ...home,
      part: {
        room: partOf(filled, shelter),
        litter: own('litter'),
        waste: own('waste'),
        mould: own('mould'),
      },
    };
  });
  const hunters = kinds.map((kind, i) => (kind.hunts ? hunterOf(kind, homes[i] ?? home) : null));
  return homes.map((own, i) => ({
    ...own,
    hunters: [...home.hunters, ...hunters.flatMap((it, other) => (it && other !== i ? [it] : []))],
  }));
}

/** As many of a kind that hunts as its part of the home carries. */
const hunterOf = (kind: CrewKind, home: CrewHome): Hunters => ({
  count: carryingCapacity(kind, home).adults,
  appetite: (kind.mass.value * kind.eats.value * FROM_CREW) / DRY,
  searches: GOES_THROUGH,
  largest: kind.size.value * LARGEST,
  quiet: 0,
  indoors: true,
});
