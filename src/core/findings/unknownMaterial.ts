import { findMaterial } from '../catalogue';
import { allLayers } from '../document/schema';
import { materialsIn } from '../document/schema';
import { message } from '../units';
import type { Rule } from '../finding/finding';

/** A material this catalogue does not hold counts for nothing: say so rather than guess. */
export const unknownMaterial: Rule = ({ design, catalogue }) =>
  allLayers(design.ground).flatMap((layer) =>
    [...new Set(materialsIn(layer))]
      .filter((id) => findMaterial(catalogue, id) === undefined)
      .map((id) => ({
        code: 'material-unknown',
        severity: 'severe' as const,
        place: { at: 'layer' as const, layer: layer.id },
        what: message`“${id}” is not in the catalogue.`,
        because: message`Its mass, its water and its price are left out of every sum. Choose another material for it.`,
        remedies: [],
        basis: 'computed' as const,
      })),
  );
