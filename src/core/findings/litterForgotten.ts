import { allLayers } from '../document/schema';
import { message } from '../units';
import type { Rule } from '../finding/finding';

/** Leaf litter is what gets forgotten until the end, and what the crew lives on. */
export const litterForgotten: Rule = ({ design, animal }) => {
  if (!animal || animal.ground.value === 'dry') return [];
  // On paper, or on bare glass, there is nothing to cover.
  const has = (kind: string): boolean => allLayers(design.ground).some((layer) => layer.kind === kind);
  if (has('litter') || !has('substrate')) return [];
  // Over a flooded floor litter belongs on the land.
  const { layers, regions } = design.ground;
  const soil = (it: { kind: string }): boolean => it.kind === 'substrate';
  const land = layers.some(soil) ? undefined : regions.find((region) => region.layers.some(soil))?.id;
  return [
    {
      code: 'litter-forgotten',
      severity: 'look',
      place: { at: 'ground' },
      what: message`No leaf litter.`,
      because: message`The crew eats it and hides in it, and it keeps the soil from drying out.`,
      remedies: [
        {
          label: message`Add leaf litter`,
          call: { edit: 'addLayer', change: { kind: 'litter', ...(land ? { region: land } : {}) } },
        },
      ],
      basis: 'practice',
    },
  ];
};
