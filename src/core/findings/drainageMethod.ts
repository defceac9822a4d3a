import { many } from '../catalogue';
import { message } from '../units';
import type { Rule } from '../finding/finding';

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
        what: message`Nothing drains this wet enclosure.`,
        because: message`What is misted for ${many(animal.english)} gathers in the lowest soil and turns it sour.`,
        remedies: [
          {
            label: message`Lay a clay-pebble layer`,
            call: { edit: 'setMethod', change: { method: 'bead-bed' } },
          },
          {
            label: message`Stand it on a raised panel`,
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
        what: message`This species wants no water under it.`,
        because: message`Standing water under ${many(animal.english)} keeps the air wet: scale and lung trouble follow.`,
        remedies: [
          { label: message`Take the drainage out`, call: { edit: 'setMethod', change: { method: 'none' } } },
        ],
        basis: 'practice',
        otherSchool: 'Others drain every planted enclosure, keep the bed dry, and water only the plants.',
      },
    ];
  }
  return [];
};
