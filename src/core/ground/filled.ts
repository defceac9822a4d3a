import { findPieceKind, type Catalogue } from '../catalogue';
import type { Design, Mix } from '../document/schema';
import type { Placed } from '../pieces/place';

/** m³ of soil a piece takes: a planter, or what is hollow and filled to its rim as a den. */
export function soilIn({ piece, solid }: Placed, catalogue: Catalogue): number {
  const planter = findPieceKind(catalogue, piece.kind)?.uses.includes('plant') === true;
  return planter || piece.filled ? solid.encloses : 0;
}

/** Soil that pieces are filled with: what lies uppermost in the box, or in its first region; undefined where there is none. */
export function fillOf({ ground }: Design): Mix | undefined {
  for (const layers of [ground.layers, ...ground.regions.map((it) => it.layers)]) {
    const top = layers.findLast((it) => it.kind === 'substrate');
    if (top?.kind === 'substrate') return top.mix;
  }
  return undefined;
}
