import { FLOOR_DESIGN } from '../enclosure/loads';
import { mass, say } from '../units';
import type { Finding, Rule } from './finding';

const kilonewtons = (pascal: number): string => (pascal / 1000).toFixed(1);

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
            what: say`The stand is rated for less than this weighs.`,
            because: say`Standing it weighs ${mass(standingMass)}; the stand is rated for ${mass(standRating)}. Wood, plants, lamps and people leaning on it come on top.`,
            remedies: [],
            basis: 'computed',
          }
        : {
            code: 'stand-carries',
            severity: 'fine',
            place,
            what: say`The stand carries it.`,
            because: say`${mass(standingMass)} of the ${mass(standRating)} it is rated for.`,
            remedies: [],
            basis: 'computed',
          },
    );
  }
  if (loads.pressure > FLOOR_DESIGN.high) {
    found.push({
      code: 'floor-pressure',
      severity: 'note',
      place,
      what: say`It presses ${kilonewtons(loads.pressure)} kN/m² where it stands.`,
      because: say`Floors of dwellings are commonly designed for 1.5 to 2.0 kN/m² (EN 1991-1-1, table 6.2), spread over the whole room. One enclosure is rarely a worry; for several, or an old floor, ask the owner or a structural engineer.`,
      remedies: [],
      // The standard is published; its figures were not looked up again.
      basis: 'memory',
      routine: true,
    });
  }
  return found;
};
