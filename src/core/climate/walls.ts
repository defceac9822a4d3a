import type { Enclosure } from '../document/schema';
import { STEFAN_BOLTZMANN } from '../physics/constants';

/**
 * Walls of a box that stands in a room: ISO 6946, with the surface resistances of a room on both faces.
 * Conductivities in W/m K, densities in kg/m³, specific heats in J/kg K: glass by ISO 10077-1 and EN 572-1; plywood,
 * foamed PVC and acrylic from memory.
 */
export const WALL_STUFF: Record<
  Exclude<Enclosure['material'], 'mesh'>,
  { readonly conducts: number; readonly density: number; readonly heat: number }
> = {
  glass: { conducts: 1, density: 2500, heat: 750 },
  acrylic: { conducts: 0.19, density: 1190, heat: 1470 },
  pvc: { conducts: 0.06, density: 550, heat: 1000 },
  timber: { conducts: 0.13, density: 650, heat: 1600 },
};

/** m²K/W at an indoor face, by the way the heat goes; ISO 6946 table 7. */
export const FACE = { sideways: 0.13, up: 0.1, down: 0.17 } as const;
/** W/m²K of convection alone at a face, by the way the heat goes; ISO 6946 annex C. */
export const CONVECTION = { up: 5, sideways: 2.5, down: 0.7 } as const;
/** W/m²K of radiation between room-warm surfaces of emissivity 0.9: 4·ε·σ·T³ at 293 K; ISO 6946 annex C. */
export const RADIATION = 4 * 0.9 * STEFAN_BOLTZMANN * 293 ** 3;

/** One layer of a wall: m and W/m K. */
interface Sheet {
  readonly thickness: number;
  readonly conducts: number;
}

/**
 * Heat let through, W/m²K, with a room on both sides.
 * @param sheets any number, from one face to the other
 */
export function letsThrough(sheets: readonly Sheet[], way: keyof typeof FACE = 'sideways'): number {
  return 1 / sheets.reduce((sum, { thickness, conducts }) => sum + thickness / conducts, 2 * FACE[way]);
}
