import { message, temperature } from '../units';
import type { Finding, Rule } from '../finding/finding';

/** What was answered with “do not know yet”, and what was taken instead. */
export const unanswered: Rule = ({ design, animal, room }) => {
  const found: Finding[] = [];
  if (design.brief.animal === null) {
    found.push({
      code: 'animal-open',
      severity: 'note',
      place: { at: 'brief' },
      what: message`No animal chosen yet.`,
      because: message`The ground is drained and planted: such an enclosure can be kept dry later, an undrained one never wet.`,
      remedies: [],
      basis: 'practice',
    });
  } else if (!animal) {
    found.push({
      code: 'animal-unknown',
      severity: 'look',
      place: { at: 'brief' },
      what: message`“${design.brief.animal}” is not in the catalogue.`,
      because: message`Nothing can be said about what it needs. Choose a species that is.`,
      remedies: [],
      basis: 'computed',
    });
  }
  if (!room.known) {
    found.push({
      code: 'room-open',
      severity: 'note',
      place: { at: 'brief' },
      what: message`The room is not known yet.`,
      because: message`A middling one is taken, ${temperature(21)} and 50 %. A reading over a few days tells better.`,
      remedies: [],
      basis: 'practice',
    });
  }
  return found;
};
