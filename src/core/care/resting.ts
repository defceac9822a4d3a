import { FAST, TURN, type Rest } from '../brief';
import type { Animal } from '../catalogue';
import { dayPlus } from '../time';
import { message, temperature } from '../units';
import { after, yearlyOn, type Draft } from './rule';

/** Days after it is warm again up to which warming it up may still be written down. */
const DONE_BY = 21;

/** The winter rest, step by step (common practice; how is what its keeper and a veterinarian decide). */
export function resting(animal: Animal, rest: Rest, add: (draft: Draft) => void): void {
  const row = animal.growing?.rest?.value;
  const { cooled, fasts, place, weeks } = rest;
  const asleep = { ...cooled, days: 7 * weeks };
  // A turn that was not led is not ended either.
  const led = cooled.since === undefined ? {} : { since: dayPlus(cooled.since, 7 * weeks) };
  const wakes = dayPlus(`2025-${cooled.from}`, 7 * weeks).slice(5);
  add({
    id: 'rest-fast',
    needsAnimal: true,
    group: 'animal',
    what: 'Stop feeding: the winter rest begins in two weeks',
    why: 'Food in a cold gut rots. Only who is well fed and healthy rests: weigh it, and have a veterinarian look at it and its droppings before. Young, thin or sick ones stay awake.',
    when: yearlyOn(fasts.from),
    amount: message`water stays, and so does warmth, for ${FAST} days`,
    minutes: 10,
  });
  add({
    id: 'rest-cool',
    needsAnimal: true,
    group: 'animal',
    what:
      place === 'apart'
        ? 'Cool it down, and take it to where it rests'
        : 'Cool it down, with less light each day',
    why: 'A little each day: what is cooled at once cannot empty itself and falls ill.',
    when: yearlyOn(cooled.from),
    amount: row
      ? row.light === 0
        ? message`over ${TURN} days, to ${temperature(row.temperature.low)} to ${temperature(row.temperature.high)}, in the dark`
        : message`over ${TURN} days, to ${temperature(row.temperature.low)} to ${temperature(row.temperature.high)}, with ${row.light} hours of light`
      : message`over ${TURN} days`,
    minutes: 15,
  });
  add({
    id: 'rest-look',
    needsAnimal: true,
    group: 'animal',
    what: 'Look at the one that rests: weight, damp, temperature',
    why: 'Who loses a tenth of its weight, or is awake and restless, is warmed up and seen by a veterinarian.',
    when: after(7),
    season: { how: 'only', part: asleep },
    minutes: 5,
    caution: 'hygiene',
  });
  add({
    id: 'rest-wake',
    needsAnimal: true,
    group: 'animal',
    what: place === 'apart' ? 'Bring it back and warm it up' : 'Warm it up, with more light each day',
    why: 'First warmth, then water to soak in, then food: after some days, and small.',
    when: yearlyOn(wakes),
    // One nobody ticked last winter is never asked for in the middle of this one’s rest.
    lapses: TURN + DONE_BY,
    ...led,
    amount: message`over ${TURN} days; weigh it`,
    minutes: 15,
    caution: 'hygiene',
  });
}
