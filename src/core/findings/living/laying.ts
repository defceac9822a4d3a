import { isYoungAt } from '../../brief';
import type { Rule } from '../../finding/finding';
import { length, message } from '../../units';

/** A female that has nowhere to bury her eggs. */
export const nestDepth: Rule = ({ design, animal, deepestSoil }) => {
  const { females, males, ageMonths } = design.living.company;
  const laying = animal?.growing?.laying;
  if (!animal || !laying || females === 0 || isYoungAt(animal, ageMonths)) return [];
  const { depth, alone } = laying.value;
  if ((males === 0 && !alone) || deepestSoil >= depth - 0.0005) return [];
  return [
    {
      code: 'nest-too-shallow',
      severity: 'look',
      place: { at: 'ground' },
      what: message`A female finds nowhere to lay.`,
      because: alone
        ? message`She buries her eggs under ${length(depth)} of damp soil, with a mate or without one; the soil is ${length(deepestSoil)} at its deepest. One that holds her eggs can die of it. A tub of damp soil that is put in when she digs will do as well.`
        : message`She buries her eggs under ${length(depth)} of damp soil; it is ${length(deepestSoil)} at its deepest. A tub of damp soil that is put in when she digs will do as well.`,
      remedies: [
        {
          label: message`Deepen the soil to ${length(depth)}`,
          call: { edit: 'setSoilDepth', change: { deepest: depth } },
        },
      ],
      basis: laying.basis,
    },
  ];
};
