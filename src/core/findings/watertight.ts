import { length, message } from '../units';
import type { Rule } from '../finding/finding';

/** Water only where the walls hold it. */
export const watertight: Rule = ({ design, drainage, highest, layers }) => {
  const { watertightHeight } = design.enclosure;
  const { waterDepth } = design.ground;
  const place = { at: 'enclosure' } as const;
  const open = layers.some((it) => it.layer.kind === 'water');
  if ((drainage || open) && waterDepth > watertightHeight + 1e-9) {
    const wanted = Math.ceil((Math.max(drainage?.depth ?? 0, waterDepth) + 0.02) * 100) / 100;
    return [
      {
        code: 'water-runs-out',
        severity: 'severe',
        place,
        what: message`Water stands where nothing is watertight.`,
        because: message`It is kept ${length(waterDepth)} deep, and the walls hold water to ${length(watertightHeight)}. Test with plain water, outdoors, before anything goes in.`,
        remedies: [
          {
            label: message`Fit a tray ${length(wanted)} high`,
            call: { edit: 'setEnclosure', change: { watertightHeight: wanted } },
          },
          { label: message`Build without drainage`, call: { edit: 'setMethod', change: { method: 'none' } } },
        ],
        basis: 'computed',
      },
    ];
  }
  if (watertightHeight === 0 && highest > 0 && design.enclosure.build === 'box') {
    return [
      {
        code: 'floor-leaks',
        severity: 'look',
        place,
        what: message`The floor does not hold water.`,
        because: message`Moist soil weeps. A shallow tray under it keeps the stand dry.`,
        remedies: [
          {
            label: message`Fit a tray ${length(0.05)} high`,
            call: { edit: 'setEnclosure', change: { watertightHeight: 0.05 } },
          },
        ],
        basis: 'practice',
      },
    ];
  }
  return [];
};
