import { mass, message } from '../units';
import type { Rule } from '../finding/finding';

/** What one person lifts without a second thought, kg, close to the body: Health and Safety Executive (UK), L23. */
export const ONE_PERSON = 25;
/**
 * The most for two, kg: a team of two manages two thirds of the sum (L23) of the 55 kg that the ILO’s recommendation R128
 * (1967) gives as the most for one (from memory).
 */
export const TWO_PEOPLE = (2 * 55 * 2) / 3;

export const lifting: Rule = ({ design, emptyMass, standingMass }) => {
  // A room built where it stands is never lifted.
  if (design.enclosure.build === 'walk-in') return [];
  const place = { at: 'enclosure' } as const;
  const source = 'ilo-r128';
  if (emptyMass > TWO_PEOPLE) {
    return [
      {
        code: 'empty-too-heavy',
        severity: 'look',
        place,
        what: message`Even empty, it is more than two people should lift.`,
        because: message`${mass(emptyMass)} empty and ${mass(standingMass)} standing. Get more hands or a trolley, and see that stand and floor are rated for it.`,
        remedies: [],
        basis: 'cited',
        source,
      },
    ];
  }
  if (standingMass > TWO_PEOPLE) {
    return [
      {
        code: 'standing-too-heavy',
        severity: 'note',
        place,
        what: message`Build it where it will stand.`,
        because: message`${mass(emptyMass)} empty${emptyMass > ONE_PERSON ? ', two people' : ''}; ${mass(standingMass)} standing, more than two people should lift. Stand and floor must be rated for it.`,
        remedies: [],
        basis: 'cited',
        source,
        routine: true,
      },
    ];
  }
  return [];
};
