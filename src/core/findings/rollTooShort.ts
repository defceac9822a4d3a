import { findMaterial } from '../catalogue';
import { bestRoll } from '../ground/shopping';
import { length, say } from '../units';
import type { Rule } from './finding';

/** A barrier no roll on offer is long enough for. */
export const rollTooShort: Rule = ({ design, catalogue }) =>
  design.ground.layers.flatMap((layer) => {
    if (layer.kind !== 'barrier' || !findMaterial(catalogue, layer.material)) return [];
    const { piece, offer } = bestRoll(layer, design, catalogue);
    if (offer) return [];
    return [
      {
        code: 'roll-too-short',
        severity: 'look' as const,
        place: { at: 'layer' as const, layer: layer.id },
        what: say`No roll on offer is long enough.`,
        because: say`The barrier is cut ${length(piece.width)} × ${length(piece.depth)}, and strips are not pieced lengthwise. It is missing from the buying list.`,
        remedies: [],
        basis: 'computed' as const,
      },
    ];
  });
