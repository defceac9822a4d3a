import { many } from '../catalogue';
import { say } from '../units';
import type { Rule } from './finding';

/** Drainage under a wet box, none under a dry or temperate one; both schools are named. */
export const drainageMethod: Rule = ({ design, animal }) => {
  if (!animal) return [];
  const wet = animal.ground.value === 'wet' || animal.ground.value === 'half-water';
  const { method } = design.ground;
  if (wet && method === 'none') {
    return [
      {
        code: 'drainage-missing',
        severity: 'severe',
        place: { at: 'ground' },
        what: say`Nothing drains this wet enclosure.`,
        because: say`What is misted for ${many(animal.english)} gathers in the lowest soil and turns it sour.`,
        remedies: [
          {
            label: say`Lay a clay-pebble layer`,
            call: { edit: 'setMethod', change: { method: 'bead-bed' } },
          },
          {
            label: say`Stand it on a raised panel`,
            call: { edit: 'setMethod', change: { method: 'raised-panel' } },
          },
        ],
        basis: 'practice',
        otherSchool: 'Some build wet enclosures without it, on a deep coarse mix, and mist by weight.',
      },
    ];
  }
  if (!wet && method !== 'none') {
    return [
      {
        code: 'drainage-unwanted',
        severity: 'look',
        place: { at: 'ground' },
        what: say`This species wants no water under it.`,
        because: say`Standing water under ${many(animal.english)} keeps the air wet: scale and lung trouble follow.`,
        remedies: [
          { label: say`Take the drainage out`, call: { edit: 'setMethod', change: { method: 'none' } } },
        ],
        basis: 'practice',
        otherSchool: 'Others drain every planted enclosure, keep the bed dry, and water only the plants.',
      },
    ];
  }
  return [];
};
