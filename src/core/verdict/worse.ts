import { message, type Message } from '../units';
import { TOLERANCE } from './criteria';
import { lifeWords, outsideOf, placeWords, unlit, type Outside } from './findings';
import { dying, failing, type Verdict } from './answer';

/** h a day, at the tolerance, by which a place may lie further out and count as untouched: half a point of humidity, a tenth of a kelvin, all day. */
const UNTOUCHED = 2.4;

const keyOf = (it: Outside): string => `${it.criterion} ${it.way}`;

/** How far a place is outside in its worst season, h a day at its tolerance: hours near the edge count for little. */
const beyond = ({ places }: Verdict, { criterion, seasons, worst }: Outside): number =>
  Math.max(
    ...places
      .filter((it) => it.criterion === criterion && seasons.includes(it.season))
      .map((it) => it.weight / TOLERANCE[worst.measure]),
  );

/**
 * What a change makes worse, in one sentence; null where no place, no UV, no plant and no crew is worse than before.
 * A place that was outside already may stay so; it may not come to lie further out, nor come to do harm.
 * @param before judged as it stands
 * @param after judged with the change
 */
export function worseIn(before: Verdict, after: Verdict): Message | null {
  if (before.uv?.answer === 'inside' && after.uv?.answer !== 'inside')
    return message`UV at its place is no longer within its zone.`;
  const was = new Map(outsideOf(before).map((it) => [keyOf(it), it]));
  const place = outsideOf(after).find((it) => {
    const own = was.get(keyOf(it));
    return !own || (it.harms && !own.harms) || beyond(after, it) > beyond(before, own) + UNTOUCHED;
  });
  if (place) return placeWords(place);
  if (
    dying(after.plants).length > dying(before.plants).length ||
    failing(after.crew).length > failing(before.crew).length
  )
    return lifeWords(before, after);
  if (unlit(after).length > unlit(before).length)
    return message`The light becomes too weak for ${unlit(after).length} of the plants.`;
  return null;
}
