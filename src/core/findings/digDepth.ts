import { many, materialOf } from '../catalogue';
import { allLayers } from '../design/schema';
import { capital, length, say } from '../units';
import type { Rule } from './finding';

/** Deep enough to dig and den in, at the deepest place. */
export const digDepth: Rule = ({ animal, deepestSoil, design, catalogue }) => {
  if (!animal || animal.digs.value === 0) return [];
  const deepest = deepestSoil;
  const wanted = animal.digs.value;
  const basis = animal.digs.basis;
  const onPaper = allLayers(design.ground).some(
    (layer) => layer.kind === 'thin' && materialOf(catalogue, layer.material).roles.includes('paper'),
  );
  if (deepest === 0 && onPaper) {
    return [
      {
        code: 'on-paper',
        severity: 'note',
        place: { at: 'ground' },
        what: say`On paper until it is known to be healthy.`,
        because: say`Droppings, mites and meals are seen at once. ${capital(many(animal.english))} want ${length(wanted)} of soil to dig in afterwards; until then give a hide they can wedge into.`,
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
        what: say`Too shallow to dig.`,
        because: say`The soil is ${length(deepest)} at its deepest; ${many(animal.english)} want ${length(wanted)}.`,
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
      because: say`${length(deepest)} of soil at its deepest; ${many(animal.english)} want ${length(wanted)}.`,
      remedies: [],
      basis,
    },
  ];
};
