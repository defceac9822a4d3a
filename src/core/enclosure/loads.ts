import { GRAVITY } from '../physics/constants';
import type { Enclosure } from '../document/schema';
import { outsideSize } from './box';

/**
 * Load that floors of dwellings are commonly designed for, spread over the room, Pa: 1.5 to 2.0 kN/m², EN 1991-1-1,
 * table 6.2, category A (figures from memory, to be confirmed against the standard).
 */
export const FLOOR_DESIGN = { low: 1500, high: 2000 } as const;

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
