import type { Corners } from '../document/schema';
import type { LayerResult } from '../ground/layers';
import { length, message, tank } from '../units';
import type { Rule } from '../finding/finding';

/** Water that is kept must stay this far under the barrier, m (common practice). */
export const LEAST_FREEBOARD = 0.01;

/** Water under the soil, never in it. */
export const freeboard: Rule = ({ design, drainage, layers }) => {
  if (!drainage) return [];
  // The lowest of them is the first that the water reaches.
  const low = (corners: Corners): number => Math.min(...Object.values(corners));
  const bed = layers
    .filter((it) => it.layer.kind === 'drainage')
    .reduce<LayerResult | undefined>((a, b) => (a && low(a.top) <= low(b.top) ? a : b), undefined);
  if (!bed) return [];
  const place = { at: 'layer', layer: bed.layer.id } as const;
  const { waterDepth } = design.ground;
  const safe = Math.max(0, Math.floor((drainage.depth - 0.012) * 1000) / 1000);
  const deeper = Math.ceil((waterDepth + 0.012) * 200) / 200;
  const remedies = [
    ...(safe > 0
      ? [
          {
            label: message`Keep ${length(safe)} of water`,
            call: { edit: 'setWaterDepth', change: { depth: safe } } as const,
          },
        ]
      : []),
    {
      label: message`Raise the bed to ${length(deeper)}`,
      call: {
        edit: 'setThickness',
        change: {
          layer: bed.layer.id,
          corners: ['frontLeft', 'frontRight', 'backLeft', 'backRight'],
          thickness: deeper,
        },
      } as const,
    },
  ];

  if (drainage.freeboard < 1e-9) {
    return [
      {
        code: 'barrier-in-water',
        severity: 'severe',
        place,
        what: message`The barrier stands in water.`,
        because: message`Water is kept ${length(waterDepth)} deep, and the bed is ${length(drainage.depth)} at its thinnest. Soil that touches water stays sodden.`,
        remedies,
        basis: 'computed',
      },
    ];
  }
  if (drainage.freeboard < LEAST_FREEBOARD - 1e-9) {
    return [
      {
        code: 'freeboard-low',
        severity: 'look',
        place,
        what: message`The water comes within ${length(drainage.freeboard)} of the barrier.`,
        because: message`Another ${tank(drainage.capacity - drainage.held)} and it touches. Keep ${length(LEAST_FREEBOARD)} clear.`,
        remedies,
        basis: 'practice',
      },
    ];
  }
  if (waterDepth === 0) {
    return [
      {
        code: 'bed-dry',
        severity: 'note',
        place,
        what: message`The bed is kept dry.`,
        because: message`A little water in it feeds the air and the bacteria; wet enclosures keep ${length(0.01)} to ${length(0.015)}.`,
        remedies:
          drainage.depth >= 0.025
            ? [
                {
                  label: message`Keep ${length(0.012)} of water`,
                  call: { edit: 'setWaterDepth', change: { depth: 0.012 } },
                },
              ]
            : [],
        basis: 'practice',
      },
    ];
  }
  return [
    {
      code: 'freeboard-fine',
      severity: 'fine',
      place,
      what: message`The water stays clear of the soil.`,
      because: message`${length(drainage.freeboard)} under the barrier; ${tank(drainage.capacity - drainage.held)} more would reach it.`,
      remedies: [],
      basis: 'computed',
    },
  ];
};
