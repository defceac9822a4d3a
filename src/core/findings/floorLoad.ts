import { FLOOR_DESIGN, FLOOR_POINT } from '../enclosure/loads';
import { GRAVITY } from '../physics/constants';
import { mass, message, pressure } from '../units';
import type { Finding, Rule } from '../finding/finding';

/** What the stand is rated for, and what the floor of a dwelling is designed for. */
export const floorLoad: Rule = ({ design, loads, standingMass }) => {
  const { standRating, build } = design.enclosure;
  const place = { at: 'enclosure' } as const;
  const found: Finding[] = [];
  if (standRating !== null && build === 'box') {
    found.push(
      standingMass > standRating
        ? {
            code: 'stand-overloaded',
            severity: 'severe',
            place,
            what: message`The stand is rated for less than this weighs.`,
            because: message`Standing it weighs ${mass(standingMass)}; the stand is rated for ${mass(standRating)}. Wood, plants, lamps and people leaning on it come on top.`,
            remedies: [],
            basis: 'computed',
          }
        : {
            code: 'stand-carries',
            severity: 'fine',
            place,
            what: message`The stand carries it.`,
            because: message`${mass(standingMass)} of the ${mass(standRating)} it is rated for.`,
            remedies: [],
            basis: 'computed',
          },
    );
  }
  if (loads.pressure > FLOOR_DESIGN.high && standingMass * GRAVITY > FLOOR_POINT) {
    found.push({
      code: 'floor-pressure',
      severity: 'note',
      place,
      what: message`It presses ${pressure(loads.pressure)} where it stands.`,
      because: message`Floors of dwellings are commonly designed for ${pressure(FLOOR_DESIGN.low)} to ${pressure(FLOOR_DESIGN.high)} over the whole room, and for ${mass(FLOOR_POINT / GRAVITY)} in one place (EN 1991-1-1, table 6.2). It weighs ${mass(standingMass)}: stand it by a bearing wall, across the joists, and ask the owner or a structural engineer.`,
      remedies: [],
      basis: 'cited',
      source: 'en-1991-1-1',
      routine: true,
    });
  }
  return found;
};
