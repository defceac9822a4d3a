import { bedOfMaterial, BED_IDS, findMaterial, materialsFor } from '../catalogue';
import { allLayers } from '../document/schema';
import { message } from '../units';
import type { Finding, Rule } from '../finding/finding';

/** A drainage layer of what does not drain. A material the catalogue does not hold has a finding of its own. */
export const drainageMaterial: Rule = ({ design, catalogue }) =>
  allLayers(design.ground).flatMap((layer): Finding[] => {
    if (layer.kind !== 'drainage') return [];
    const row = findMaterial(catalogue, layer.material);
    if (!row || bedOfMaterial(row)) return [];
    return [
      {
        code: 'drainage-material',
        severity: 'severe',
        place: { at: 'layer', layer: layer.id },
        what: message`${row.name} drains nothing.`,
        because: message`Under soil it packs and stays wet: there is nowhere for the water to go.`,
        remedies: BED_IDS.flatMap((bed) => materialsFor(catalogue, bed).slice(0, 1)).map((it) => ({
          label: message`Lay ${it.name.toLowerCase()} instead`,
          call: { edit: 'setLayerMaterial', change: { layer: layer.id, material: it.id } },
        })),
        basis: 'practice',
      },
    ];
  });
