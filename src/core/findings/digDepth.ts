import { many, materialOf } from '../catalogue';
import { allLayers } from '../document/schema';
import { allWater } from '../ground/layers';
import { capital, length, message } from '../units';
import type { Rule } from '../finding/finding';

/** Deep enough to dig and den in, at the deepest place. */
export const digDepth: Rule = ({ animal, deepestSoil, design, ground, catalogue }) => {
  if (!animal || animal.digs.value === 0) return [];
  const deepest = deepestSoil;
  const wanted = animal.digs.value;
  const basis = animal.digs.basis;
  // There is nothing to dig in, and what lives there does not.
  if (allWater(ground)) return [];
  const onPaper = allLayers(design.ground).some(
    (layer) => layer.kind === 'thin' && materialOf(catalogue, layer.material).roles.includes('paper'),
  );
  if (deepest === 0 && onPaper) {
    return [
      {
        code: 'on-paper',
        severity: 'note',
        place: { at: 'ground' },
        what: message`On paper until it is known to be healthy.`,
        because: message`Droppings, mites and meals are seen at once. ${capital(many(animal.english))} want ${length(wanted)} of soil to dig in afterwards; until then give a hide they can wedge into.`,
        remedies: [],
        basis: 'practice',
        otherSchool: 'Others put a captive-bred animal on soil from the first day: hiding calms it.',
      },
    ];
  }
  if (deepest < wanted - 0.0005) {
    return [
      {
        code: 'too-shallow-to-dig',
        severity: 'severe',
        place: { at: 'ground' },
        what: message`Too shallow to dig.`,
        because: message`The soil is ${length(deepest)} at its deepest; ${many(animal.english)} want ${length(wanted)}.`,
        remedies: [
          {
            label: message`Deepen the soil to ${length(wanted)}`,
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
      what: message`Deep enough to dig.`,
      because: message`${length(deepest)} of soil at its deepest; ${many(animal.english)} want ${length(wanted)}.`,
      remedies: [],
      basis,
    },
  ];
};
