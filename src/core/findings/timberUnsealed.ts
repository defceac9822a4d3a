import { message } from '../units';
import type { Rule } from '../finding/finding';

/** Bare wood under moist ground. */
export const timberUnsealed: Rule = ({ design, highest }) => {
  const { material, made, build } = design.enclosure;
  if (material !== 'timber' || made.seal !== 'none' || highest <= 0) return [];
  return [
    {
      code: 'timber-unsealed',
      severity: 'look',
      place: { at: 'enclosure' },
      what: message`Bare wood lies against moist ground.`,
      because: message`It swells, moulds and lets the ${build === 'walk-in' ? 'wall' : 'floor'} rot out. Resin makes it watertight; varnish keeps splashes out; a liner does both and can be replaced.`,
      remedies: [
        {
          label: message`Seal it with resin`,
          call: { edit: 'setEnclosure', change: { made: { ...made, seal: 'epoxy' } } },
        },
        {
          label: message`Line it`,
          call: { edit: 'setEnclosure', change: { made: { ...made, seal: 'liner' } } },
        },
      ],
      basis: 'practice',
    },
  ];
};
