import { message, type Message } from '../units';
import { lifeWords, outsideOf, placeWords, unlit, type Outside } from './findings';
import { dying, failing, type Verdict } from './verdict';

/** Share of hours by which a place may come out lower and count as untouched: the noise of its weathers. */
export const NOISE = 0.02;

const keyOf = (it: Outside): string => `${it.criterion} ${it.way}`;

/**
 * What a change makes worse, in one sentence; null where no place, no UV, no plant and no crew is worse than before.
 * A place that was outside already may stay so; it may not lose hours or come to do harm.
 * @param before judged as it stands
 * @param after judged with the change
 */
export function worseIn(before: Verdict, after: Verdict): Message | null {
  if (before.uv?.answer === 'inside' && after.uv?.answer !== 'inside')
    return message`UV at its place is no longer within its zone.`;
  const was = new Map(outsideOf(before).map((it) => [keyOf(it), it]));
  const place = outsideOf(after).find((it) => {
    const own = was.get(keyOf(it));
    return !own || it.worst.inside < own.worst.inside - NOISE || (it.harms && !own.harms);
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
