import { GRAVITY } from '../physics/constants';
import type { Enclosure } from '../document/schema';
import { outsideSize } from './box';

/**
 * Load that floors of dwellings are commonly designed for, spread over the room, Pa: 1.5 to 2.0 kN/m², EN 1991-1-1,
 * table 6.2, category A (figures from memory, to be confirmed against the standard).
 */
export const FLOOR_DESIGN = { low: 1500, high: 2000 } as const;
/**
 * Load in one place that the same floors are designed for, N: 2.0 to 3.0 kN, EN 1991-1-1, table 6.2 (from memory). What
 * weighs less stands on any of them, however small its foot.
 */
export const FLOOR_POINT = 2000;

export interface Loads {
  /** m² the box stands on. */
  readonly footprint: number;
  /** Pa under it. */
  readonly pressure: number;
  /** kg/m² */
  readonly perArea: number;
}

/** What a standing mass does to the floor or shelf under it. */
export function loadsOf(box: Enclosure, standing: number): Loads {
  const { width, depth } = outsideSize(box);
  const footprint = width * depth;
  return { footprint, pressure: (standing * GRAVITY) / footprint, perArea: standing / footprint };
}
