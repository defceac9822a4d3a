import { length, message } from '../units';
import type { Rule } from '../finding/finding';

/** Water that gathers must be able to leave, and a drain keeps it no higher than itself. */
export const waterOutlet: Rule = ({ design, drainage, layers }) => {
  const { outlet, waterDepth } = design.ground;
  const bed = layers.find((it) => it.layer.kind === 'drainage');
  if (!drainage || !bed) return [];
  const place = { at: 'layer', layer: bed.layer.id } as const;
  if (outlet.kind === 'drain' && outlet.height > 0 && waterDepth > outlet.height + 1e-6) {
    return [
      {
        code: 'drain-lower-than-water',
        severity: 'look',
        place,
        what: message`The drain lets the water out before it stands so high.`,
        because: message`Water is to be kept ${length(waterDepth)} deep, and the drain opens at ${length(outlet.height)}.`,
        remedies: [
          {
            label: message`Keep ${length(outlet.height)} of water`,
            call: { edit: 'setWaterDepth', change: { depth: outlet.height } },
          },
          {
            label: message`Bore it at ${length(waterDepth)}`,
            call: { edit: 'setOutlet', change: { outlet: { ...outlet, height: waterDepth } } },
          },
        ],
        basis: 'computed',
      },
    ];
  }
  if (outlet.kind !== 'none') return [];
  return [
    {
      code: 'no-way-out',
      severity: 'note',
      place,
      what: message`The water under the ground cannot be let out.`,
      because: message`A bed that fills unseen drowns the soil from below. A tube to siphon through, a drain, or a lift-out corner lets you look and empty it.`,
      remedies: [
        {
          label: message`Stand a siphon tube in the back corner`,
          call: {
            edit: 'setOutlet',
            change: {
              outlet: {
                kind: 'siphon',
                diameter: 0.025,
                at: {
                  x: Math.max(0.02, design.enclosure.width - 0.04),
                  y: Math.max(0.02, design.enclosure.depth - 0.04),
                },
              },
            },
          },
        },
      ],
      basis: 'practice',
      routine: true,
    },
  ];
};
