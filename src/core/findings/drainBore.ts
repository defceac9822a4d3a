import { materialOf, materialsFor } from '../catalogue';
import { length, message } from '../units';
import type { Rule } from '../finding/finding';

/** Beads smaller than the drain run into it. */
export const drainBore: Rule = ({ design, catalogue }) => {
  const { outlet } = design.ground;
  if (outlet.kind !== 'drain') return [];
  const { bore } = outlet;
  const bed = design.ground.layers.find((layer) => layer.kind === 'drainage');
  if (bed?.kind !== 'drainage') return [];
  const smallest = materialOf(catalogue, bed.material).grain?.value.low;
  if (smallest === undefined || smallest > bore) return [];
  const larger = materialsFor(catalogue, 'bead-bed').find((row) => (row.grain?.value.low ?? 0) > bore);
  return [
    {
      code: 'beads-in-the-drain',
      severity: 'look',
      place: { at: 'layer', layer: bed.id },
      what: message`Beads would run into the drain.`,
      because: message`The smallest are ${length(smallest)} across, the drain is ${length(bore)} wide.`,
      remedies: [
        ...(larger
          ? [
              {
                label: message`Use ${larger.name.toLowerCase()}`,
                call: { edit: 'setLayerMaterial', change: { layer: bed.id, material: larger.id } } as const,
              },
            ]
          : []),
        { label: message`Put a strainer over the drain` },
      ],
      basis: 'computed',
    },
  ];
};
