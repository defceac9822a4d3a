import { say } from '../units';
import type { Rule } from './finding';

/** Soil over a bed without a cloth between falls into the water. */
export const barrierMissing: Rule = ({ design }) => {
  const { layers } = design.ground;
  const bed = layers.findIndex((layer) => layer.kind === 'drainage');
  if (bed < 0) return [];
  const above = layers.slice(bed + 1);
  const soil = above.findIndex((layer) => layer.kind === 'substrate' || layer.kind === 'thin');
  const cloth = above.findIndex((layer) => layer.kind === 'barrier');
  if (soil < 0 || (cloth >= 0 && cloth < soil)) return [];
  return [
    {
      code: 'barrier-missing',
      severity: 'look',
      place: { at: 'ground' },
      what: say`Soil will fall into the drainage layer.`,
      because:
        cloth >= 0
          ? say`The barrier lies above the soil instead of under it.`
          : say`No barrier lies between them. The bed silts up and the water turns foul.`,
      remedies:
        cloth >= 0
          ? []
          : [{ label: say`Lay a barrier`, call: { edit: 'addLayer', change: { kind: 'barrier' } } }],
      basis: 'practice',
    },
  ];
};
