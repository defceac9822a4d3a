import { say } from '../units';
import type { Rule } from './finding';

/** Leaf litter is what gets forgotten until the end, and what the crew lives on. */
export const litterForgotten: Rule = ({ design, animal }) => {
  if (!animal || animal.ground.value === 'dry') return [];
  if (design.ground.layers.some((layer) => layer.kind === 'litter')) return [];
  return [
    {
      code: 'litter-forgotten',
      severity: 'look',
      place: { at: 'ground' },
      what: say`No leaf litter.`,
      because: say`The crew eats it and hides in it, and it keeps the soil from drying out.`,
      remedies: [{ label: say`Add leaf litter`, call: { edit: 'addLayer', change: { kind: 'litter' } } }],
      basis: 'practice',
    },
  ];
};
