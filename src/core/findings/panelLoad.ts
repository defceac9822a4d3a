import { bedOfMaterial, materialOf } from '../catalogue';
import { legsUnder } from '../ground/panel';
import { length, mass, message, areal } from '../units';
import type { Finding, Rule } from '../finding/finding';

/** What lies on a raised panel, against what its sheet is rated for, and how many legs carry it. */
export const panelLoad: Rule = ({ ground, design, catalogue }) =>
  ground.layers.flatMap((bed): Finding[] => {
    if (bed.layer.kind !== 'drainage' || bed.area <= 0) return [];
    if (!bedOfMaterial(materialOf(catalogue, bed.layer.material))?.legs) return [];
    const { panel } = design.ground;
    // What lies above it, over each part of the floor it runs under, by the share of itself that lies there.
    const above = ground.parts
      .filter((part) => part.stack.includes(bed))
      .reduce((sum, part) => {
        const over = part.stack.slice(part.stack.indexOf(bed) + 1);
        return sum + over.reduce((n, it) => n + (it.wetMass * Math.min(part.area, it.area)) / it.area, 0);
      }, 0);
    const load = above / bed.area;
    const legs = legsUnder(bed.field, panel);
    const place = { at: 'layer' as const, layer: bed.layer.id };
    if (panel.rating !== null && load > panel.rating) {
      return [
        {
          code: 'panel-overloaded',
          severity: 'severe' as const,
          place,
          what: message`The panel carries more than it is rated for.`,
          because: message`Wet, ${areal(load)} lie on it; it is rated for ${areal(panel.rating)} between legs ${length(panel.spacing)} apart.`,
          remedies: [
            { label: message`Set the legs closer and ask its maker for the rating` },
            { label: message`Lay less soil on it` },
          ],
          basis: 'computed' as const,
        },
      ];
    }
    return [
      {
        code: panel.rating === null ? 'panel-unrated' : 'panel-carries',
        severity: panel.rating === null ? ('note' as const) : ('fine' as const),
        place,
        what: message`The panel carries ${mass(above)}, wet.`,
        because: message`${areal(load)}, ${mass(above / legs.count)} on each of ${legs.count} legs${panel.rating === null ? '. Write down what the sheet is rated for, and it is checked' : ''}.`,
        remedies: [],
        basis: 'computed' as const,
        routine: true as const,
      },
    ];
  });
