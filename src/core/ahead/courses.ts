import { DAY, HOUR } from '../physics/constants';
import { normal, seededRandom } from '../random';
import type { Tried } from './spread';

/** By how much an outlook may be off in the course of its week, in spreads of each moment. */
export type Course = (ahead: number) => number;

/** Fewest that are drawn, and days a trial must have gone to stand for a week. */
const [FEWEST, LONG_ENOUGH] = [12, 1];
/** s for which an error of a time of day lasts, where none was tried. */
const LASTS = 6 * HOUR;

/**
 * Courses that are as likely as each other: how the same look ahead was off on days of the record itself, each with its
 * mirror, for an error that comes back every day, or lasts for days, passes a limit more seldom than its spread alone would
 * tell. What was tried for less than a week is gone through again from its first day. Where little was tried yet errors are
 * drawn that come back by the time of day.
 * @param wide half of the interval, at a moment ahead and its time
 */
export function coursesOf(
  tried: readonly Tried[],
  spread: (ahead: number, at: number) => number,
): readonly Course[] {
  const byOrigin = new Map<number, Tried[]>();
  for (const it of tried) {
    const own = byOrigin.get(it.origin);
    if (own) own.push(it);
    else byOrigin.set(it.origin, [it]);
  }
  const found = [...byOrigin.values()].flatMap((own): Course[] => {
    const days = Math.floor((own.at(-1)?.ahead ?? 0) / DAY + 0.1);
    if (days < LONG_ENOUGH || own.length < days * 8) return [];
    const off = own.map((it) => it.off / Math.max(1e-9, spread(it.ahead, it.at)));
    return [(ahead) => between(own, off, ahead <= days * DAY ? ahead : ((ahead - 1) % (days * DAY)) + 1)];
  });
  const next = seededRandom(tried.length + 1);
  while (2 * found.length < FEWEST) found.push(drawn(next));
  return found.flatMap((it): Course[] => [it, (ahead) => -it(ahead)]);
}

function between(own: readonly Tried[], off: readonly number[], ahead: number): number {
  let [low, high] = [0, own.length - 1];
  if (ahead <= (own[low]?.ahead ?? 0)) return off[low] ?? 0;
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if ((own[middle]?.ahead ?? 0) <= ahead) low = middle;
    else high = middle;
  }
  const [a, b] = [own[low]?.ahead ?? 0, own[high]?.ahead ?? 1];
  const part = Math.min(1, Math.max(0, (ahead - a) / Math.max(1, b - a)));
  return (off[low] ?? 0) * (1 - part) + (off[high] ?? 0) * part;
}

/** An error of spread one that comes back every day. */
function drawn(next: () => number): Course {
  const keep = Math.exp(-HOUR / LASTS);
  const day = new Float64Array(24);
  let now = normal(next);
  for (let hour = 0; hour < 24; hour += 1) {
    day[hour] = now;
    now = keep * now + Math.sqrt(1 - keep ** 2) * normal(next);
  }
  return (ahead) => day[Math.floor(ahead / HOUR) % 24] ?? 0;
}
