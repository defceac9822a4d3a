import type { MeasuringPlace, ReadQuantity } from '../readings';
import { difference, message, type Message } from '../units';
import type { Likeness } from './likeness';
import type { Cause } from './types';
import { PLACE_WORDS } from './weigh';
import { PARTS_OF_DAY, type PlaceDay } from './yardstick';

/** Less than this nobody tells apart by one reading, K. */
const TELLS = 1.2;

/** When a part of the day is, in words. */
const WHEN = ['by day', 'by day', 'after dark', 'late at night'];

/**
 * The one reading that would tell two causes apart best, by what the forecast says of both; null: none would, or they are
 * not the box’s.
 * @param measured what is read already
 */
export function decidingReading(
  first: Cause,
  second: Cause,
  alike: readonly Likeness[],
  measured: (place: MeasuringPlace, quantity: ReadQuantity) => boolean,
): Message | null {
  const [a, b] = [first, second].map((cause) => alike.find((it) => it.cause === cause.id)?.played);
  if (!a || !b) return null;
  let best: { place: MeasuringPlace; what: keyof PlaceDay; part: number; by: number } | null = null;
  for (const [place, day] of a)
    for (const what of ['warmth', 'dew'] as const) {
      // What is read is weighed already: only what is not yet can decide.
      if (measured(place, what === 'warmth' ? 'temperature' : 'humidity')) continue;
      for (let part = 0; part < PARTS_OF_DAY; part += 1) {
        const by = Math.abs((day[what][part] ?? 0) - (b.get(place)?.[what][part] ?? 0));
        if (by > (best?.by ?? TELLS)) best = { place, what, part, by };
      }
    }
  if (!best) return null;
  const { place, what, part } = best;
  const of = (played: ReadonlyMap<MeasuringPlace, PlaceDay>): number => played.get(place)?.[what][part] ?? 0;
  const when = WHEN[part] ?? 'by day';
  const where = PLACE_WORDS[place];
  const names = [first.what, second.what].map((it) => it.charAt(0).toLowerCase() + it.slice(1));
  return what === 'warmth'
    ? message`Measure the temperature of ${where} ${when}. It differs from what is usual by ${difference(of(a), 1)} if ${names[0] ?? ''}, by ${difference(of(b), 1)} if ${names[1] ?? ''}.`
    : message`Measure the humidity of ${where} ${when}. Its dew point differs from what is usual by ${difference(of(a), 1)} if ${names[0] ?? ''}, by ${difference(of(b), 1)} if ${names[1] ?? ''}.`;
}
