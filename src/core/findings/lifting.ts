import { mass, message } from '../units';
import type { Rule } from '../finding/finding';

/**
 * What one person and two people lift, kg: 25 close to the body at waist height; a team of two manages two thirds
 * of the sum. Health and Safety Executive (UK), Manual handling, L23.
 */
export const ONE_PERSON = 25;
export const TWO_PEOPLE = (2 * 25 * 2) / 3;

export const lifting: Rule = ({ design, emptyMass, standingMass }) => {
  // A room built where it stands is never lifted.
  if (design.enclosure.build === 'walk-in') return [];
  const place = { at: 'enclosure' } as const;
  const source = 'hse-l23';
  if (emptyMass > TWO_PEOPLE) {
    return [
      {
        code: 'empty-too-heavy',
        severity: 'look',
        place,
        what: message`Even empty, it is more than two people lift.`,
        because: message`${mass(emptyMass)} empty and ${mass(standingMass)} standing. Get more hands or a trolley, and see that stand and floor are rated for it.`,
        remedies: [],
        basis: 'published',
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
        because: message`${mass(emptyMass)} empty${emptyMass > ONE_PERSON ? ', two people' : ''}; ${mass(standingMass)} standing, more than two people lift. Stand and floor must be rated for it.`,
        remedies: [],
        basis: 'published',
        source,
        routine: true,
      },
    ];
  }
  return [];
};
