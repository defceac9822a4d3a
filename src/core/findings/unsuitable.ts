import { materialOf } from '../catalogue';
import { allLayers } from '../document/schema';
import { materialsIn } from '../document/schema';
import { unsuitableNamed } from '../mixing/unsuitable';
import { message } from '../units';
import type { Rule } from '../finding/finding';

/** Something of one's own in the ground that harms, by its name. */
export const unsuitable: Rule = ({ design, catalogue }) =>
  allLayers(design.ground).flatMap((layer) =>
    [...new Set(materialsIn(layer))].flatMap((id) => {
      const { name } = materialOf(catalogue, id);
      const why = unsuitableNamed(name);
      return why === null
        ? []
        : [
            {
              code: 'material-harms',
              severity: 'severe' as const,
              place: { at: 'layer' as const, layer: layer.id },
              what: message`${name} does not belong into an enclosure.`,
              because: [why],
              remedies: [],
              basis: 'practice' as const,
            },
          ];
    }),
  );
