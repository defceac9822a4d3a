import type { Animal } from '../catalogue';

export interface SpaceNeed {
  readonly width: number;
  readonly depth: number;
  /** Above the ground, m. */
  readonly freeHeight: number;
  /** m² for all of them. */
  readonly floor: number;
}

/** Room for a number of animals of a kind: the first at its own size, each further one its share of floor. */
export function spaceNeed(animal: Animal, count: number): SpaceNeed {
  const { width, depth, freeHeight } = animal.space.value;
  // Pairing and grouping kinds are listed by the pair.
  const included = animal.company.value === 'alone' ? 1 : 2;
  const extra = Math.max(0, count - included) * animal.extraFloor.value;
  return { width, depth, freeHeight, floor: width * depth * (1 + extra) };
}

/** Depth of the water an animal that lives in it wants at the least, m; 0: it lives in none. */
export const poolDepth = (animal: Animal | undefined): number => animal?.pool?.value.depth.low ?? 0;
/** Of the panel that land stands on over open water, and the air under it, m. */
export const OVER_WATER = 0.02;

/** Whole height of box a kind needs: its free height over the ground it lives on. */
export function heightNeed(animal: Animal): number {
  const drained = animal.ground.value === 'wet' || animal.ground.value === 'half-water';
  const under = drained ? Math.max(0.06, poolDepth(animal) + OVER_WATER + 0.01) : 0.01;
  return animal.space.value.freeHeight + Math.max(0.04, animal.digs.value) + under;
}
