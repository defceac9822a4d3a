import { say } from '../units';
import type { Finding, Rule } from './finding';

/** What was answered with “do not know yet”, and what was taken instead. */
export const unanswered: Rule = ({ design, animal, room }) => {
  const found: Finding[] = [];
  if (design.brief.animal === null) {
    found.push({
      code: 'animal-open',
      severity: 'note',
      place: { at: 'brief' },
      what: say`No animal chosen yet.`,
      because: say`The ground is drained and planted: such an enclosure can be kept dry later, an undrained one never wet.`,
      remedies: [],
      basis: 'practice',
    });
  } else if (!animal) {
    found.push({
      code: 'animal-unknown',
      severity: 'look',
      place: { at: 'brief' },
      what: say`“${design.brief.animal}” is not in the catalogue.`,
      because: say`Nothing can be said about what it needs. Choose a species that is.`,
      remedies: [],
      basis: 'computed',
    });
  }
  if (!room.known) {
    found.push({
      code: 'room-open',
      severity: 'note',
      place: { at: 'brief' },
      what: say`The room is not known yet.`,
      because: say`A middling one is taken, 21 °C and 50 %. A reading over a few days tells better.`,
      remedies: [],
      basis: 'practice',
    });
  }
  return found;
};
