import { highest } from '../ground/corners';
import { length, say } from '../units';
import type { Rule } from './finding';

/** Deep enough to dig and den in, at the deepest place. */
export const digDepth: Rule = ({ animal, soil }) => {
  if (!animal || animal.digs.value === 0) return [];
  const deepest = highest(soil);
  const wanted = animal.digs.value;
  const basis = animal.digs.basis;
  if (deepest < wanted - 0.0005) {
    return [
      {
        code: 'too-shallow-to-dig',
        severity: 'severe',
        place: { at: 'ground' },
        what: say`Too shallow to dig.`,
        because: say`The soil is ${length(deepest)} at its deepest; ${animal.english}s want ${length(wanted)}.`,
        remedies: [
          {
            label: say`Deepen the soil to ${length(wanted)}`,
            call: { edit: 'setSoilDepth', change: { deepest: wanted } },
          },
        ],
        basis,
      },
    ];
  }
  return [
    {
      code: 'deep-enough-to-dig',
      severity: 'fine',
      place: { at: 'ground' },
      what: say`Deep enough to dig.`,
      because: say`${length(deepest)} of soil at its deepest; ${animal.english}s want ${length(wanted)}.`,
      remedies: [],
      basis,
    },
  ];
};
