import type { Corners } from '../design/schema';
import type { LayerResult } from '../ground/layers';
import { length, say, tank } from '../units';
import type { Rule } from './finding';

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
            label: say`Keep ${length(safe)} of water`,
            call: { edit: 'setWaterDepth', change: { depth: safe } } as const,
          },
        ]
      : []),
    {
      label: say`Raise the bed to ${length(deeper)}`,
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
        what: say`The barrier stands in water.`,
        because: say`Water is kept ${length(waterDepth)} deep, and the bed is ${length(drainage.depth)} at its thinnest. Soil that touches water stays sodden.`,
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
        what: say`The water comes within ${length(drainage.freeboard)} of the barrier.`,
        because: say`Another ${tank(drainage.capacity - drainage.held)} and it touches. Keep ${length(LEAST_FREEBOARD)} clear.`,
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
        what: say`The bed is kept dry.`,
        because: say`A little water in it feeds the air and the bacteria; wet enclosures keep 1 to 1.5 cm.`,
        remedies:
          drainage.depth >= 0.025
            ? [
                {
                  label: say`Keep ${length(0.012)} of water`,
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
      what: say`The water stays clear of the soil.`,
      because: say`${length(drainage.freeboard)} under the barrier; ${tank(drainage.capacity - drainage.held)} more would reach it.`,
      remedies: [],
      basis: 'computed',
    },
  ];
};
