import { say } from '../units';
import type { Rule } from './finding';

/** Bare wood under moist ground. */
export const timberUnsealed: Rule = ({ design, highest }) => {
  const { material, made, build } = design.enclosure;
  if (material !== 'timber' || made.seal !== 'none' || highest <= 0) return [];
  return [
    {
      code: 'timber-unsealed',
      severity: 'look',
      place: { at: 'enclosure' },
      what: say`Bare wood lies against moist ground.`,
      because: say`It swells, moulds and lets the ${build === 'walk-in' ? 'wall' : 'floor'} rot out. Resin makes it watertight; varnish keeps splashes out; a liner does both and can be replaced.`,
      remedies: [
        {
          label: say`Seal it with resin`,
          call: { edit: 'setEnclosure', change: { made: { ...made, seal: 'epoxy' } } },
        },
        { label: say`Line it`, call: { edit: 'setEnclosure', change: { made: { ...made, seal: 'liner' } } } },
      ],
      basis: 'practice',
    },
  ];
};
