import { many } from '../catalogue';
import type { Rule } from '../finding/finding';
import { capital, length, message } from '../units';

/** A heavy animal that climbs panes and gauze, and bursts or breaks where it falls. */
export const falls: Rule = ({ design, animal, ground, highest }) => {
  const most = animal?.fall;
  if (!animal || !most) return [];
  const lowest = Math.min(...ground.parts.map((it) => it.low));
  const free = design.enclosure.height - lowest;
  if (free <= most.value + 0.005) return [];
  const lower = Math.floor((lowest + most.value) * 100) / 100;
  const moves = lower - highest >= animal.space.value.freeHeight - 0.0005;
  return [
    {
      code: 'falls-far',
      severity: 'look',
      place: { at: 'enclosure' },
      what: message`It can fall ${length(free)}.`,
      because: message`${capital(many(animal.english))} climb walls and gauze, and fall; from more than about ${length(most.value)} they may not survive it. Raise the ground or take a lower enclosure, and lay nothing hard or sharp along the walls.`,
      remedies: moves
        ? [
            {
              label: message`Take an enclosure ${length(lower)} high`,
              call: { edit: 'setEnclosure', change: { height: lower } },
            },
          ]
        : [],
      basis: most.basis,
    },
  ];
};
