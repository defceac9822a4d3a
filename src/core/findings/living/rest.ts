import { isYoungAt, letsRest, restOf, usualRest } from '../../brief';
import { many } from '../../catalogue';
import { dayOfSeason, meanRoom, profileOf } from '../../climate/roomProfile';
import type { Finding, Rule } from '../../finding/finding';
import { capital, message, temperature } from '../../units';

/** The winter rest: one that is needed and not planned, and one planned in a room too warm for it. */
export const winterRest: Rule = ({ design, catalogue, animal }) => {
  const row = animal?.growing?.rest;
  if (!animal || !row) return [];
  const { need, temperature: at, weeks } = row.value;
  const { latitude } = design.climate.room;
  const rest = restOf(design, animal);
  const room = meanRoom(profileOf(design, catalogue), dayOfSeason('winter', latitude)).temperature;
  const usual = usualRest(animal, latitude, room);
  const on = { at: 'living' as const };
  if (!rest) {
    // Led for breeding alone it is nobody's omission; a young one's first winters are its keeper's choice.
    if (need === 'breeding' || isYoungAt(animal, design.living.company.ageMonths)) return [];
    // In a box that is lived in it depends on the day whether this winter’s has begun: it is planned where that is known.
    const lived = design.brief.stage === 'inhabited';
    const plan: Finding['remedies'][number] = {
      label: message`Plan ${usual.weeks} weeks from the middle of ${latitude >= 0 ? 'November' : 'May'}`,
      call: { edit: 'setLiving', change: { rest: usual } },
    };
    return [
      need === 'needed'
        ? {
            code: 'rest-needed',
            severity: 'look',
            place: on,
            what: message`No winter rest is planned.`,
            because: message`${capital(many(animal.english))} need one: ${weeks.low} to ${weeks.high} weeks at ${temperature(at.low)} to ${temperature(at.high)}. Kept warm all year they age early and do not breed. It is planned in Living, Group.`,
            remedies: lived ? [] : [plan],
            basis: row.basis,
            otherSchool:
              'Some keep young or ailing ones awake, on a veterinarian’s word: then leave this as it is.',
          }
        : {
            code: 'rest-usual',
            severity: 'note',
            place: on,
            what: message`A winter rest is usual for this species.`,
            because: message`${weeks.low} to ${weeks.high} weeks at ${temperature(at.low)} to ${temperature(at.high)}. It steadies appetite and breeding; others keep it awake, with shorter days. It is planned in Living, Group.`,
            remedies: lived ? [] : [plan],
            basis: row.basis,
            routine: true,
          },
    ];
  }
  if (rest.place === 'apart' || letsRest(room, at)) return [];
  return [
    {
      code: 'rest-too-warm',
      severity: 'look',
      place: on,
      what: message`The room is too warm for a winter rest here.`,
      because: message`It has about ${temperature(room)} in winter, with everything off; ${many(animal.english)} rest at ${temperature(at.low)} to ${temperature(at.high)}. Half awake they live off themselves.`,
      remedies: [
        {
          label: message`Let it rest apart, somewhere cooler`,
          call: {
            edit: 'setLiving',
            change: { rest: { ...(design.living.rest ?? usual), place: 'apart' as const } },
          },
        },
      ],
      basis: row.basis,
    },
  ];
};
