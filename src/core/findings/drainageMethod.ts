import { many, type Animal } from '../catalogue';
import { allLayers } from '../document/schema';
import { capital, message, type Message } from '../units';
import type { Rule } from '../finding/finding';

/** What standing water does to whom it is not for (common practice). */
function harm({ kind, english }: Animal): Message {
  const who = many(english);
  switch (kind) {
    case 'snake':
      return message`Standing water under ${who} keeps the air wet: scale and lung trouble follow.`;
    case 'frog':
    case 'newt':
      return message`${capital(who)} dig to where it is damp. Over standing water the foot of their soil turns sour, and there is no damp to choose. Water a deep soil from above, at one end.`;
    case 'invertebrate':
      return message`${capital(who)} dig, and a burrow that reaches standing water floods or moulds. Water a deep soil at one end.`;
    default:
      return message`Standing water under ${who} keeps ground and air wetter than they are made for: sores under the belly and trouble with breathing follow. A damp lower half is watered from above.`;
  }
}

/** Drainage under a wet box, none under a dry or temperate one; both schools are named. */
export const drainageMethod: Rule = ({ design, animal }) => {
  if (!animal) return [];
  const wet = animal.ground.value === 'wet' || animal.ground.value === 'half-water';
  const { method } = design.ground;
  // Without soil, on paper, nothing can turn sour.
  const soil = allLayers(design.ground).some((it) => it.kind === 'substrate');
  if (wet && soil && method === 'none') {
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
        severity: animal.ground.value === 'dry' || animal.kind === 'snake' ? 'look' : 'note',
        place: { at: 'ground' },
        what: message`This species wants no water under it.`,
        because: harm(animal),
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
