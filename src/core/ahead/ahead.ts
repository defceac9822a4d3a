import type { Catalogue } from '../catalogue';
import { DAY, HOUR } from '../physics/constants';
import { coursesOf } from './courses';
import { boxOf, DAYS_AHEAD, EVERY } from './box';
import { offOf, reading, type Curve } from './curve';
import { patternOf, type Offs } from './pattern';
import { spreadOf } from './spread';
import type { Ahead, AheadInput, AheadPoint, Outlook } from './types';

/** Days of a record before the first look ahead is tried on it, and how many are tried where each is played by itself. */
const [FIRST_TRIED, MOST_TRIED] = [2, 8];
/** s between two readings that count in a trial. */
const COUNTED = HOUR;
/** Half of an interval that holds nine times in ten, in spreads. */
const NINE_IN_TEN = 1.645;

/**
 * The next seven days of the points of an enclosure: the box is played on from where its record has brought it, in a room
 * that goes on as it lately was, and moved by what the play was off by until now. The interval is as wide as the same look
 * ahead was off by when it is tried on the days of the record itself, each time knowing no more than was known then.
 * @throws ImpossibleClimate where no enclosure comes to what it would
 */
export function lookAhead(asked: AheadInput, catalogue: Catalogue): Ahead {
  const box = boxOf(asked, catalogue);
  const { now } = asked;
  const today = Math.floor(now / DAY);
  // As it was: the room as it was read, as far as it was.
  const roomRead = asked.room.temperature !== null || asked.room.humidity !== null;
  const past = box.phased(box.roomAt(now));
  const offs = asked.points.map((it, k) => offOf(it.trace, box.curveOf(k, past.runs)));
  const play = (day: number, at: number): ((k: number) => Curve) => {
    const to = day + DAYS_AHEAD + 1;
    const runs = roomRead
      ? box.play(box.roomAt(at), day, to, past.states[day] ?? null, past.phase).runs
      : past.runs;
    return (k) => box.curveOf(k, runs);
  };
  const first = Math.floor(Math.min(...asked.points.map(({ trace }) => trace.t[0] ?? Infinity)) / DAY);
  const all = Array.from(
    { length: Math.max(0, today - first - FIRST_TRIED) },
    (_, i) => first + FIRST_TRIED + i,
  );
  const apart = roomRead ? Math.max(1, Math.ceil(all.length / MOST_TRIED)) : 1;
  // From the last backwards: the days that lie nearest tell the most.
  const origins = all.filter((_, i) => (all.length - 1 - i) % apart === 0);
  const trials = asked.points.map((): Trial[] => []);
  for (const day of origins) {
    const at = day * DAY + (now - today * DAY);
    const curve = play(day, at);
    asked.points.forEach((point, k) => {
      const waysAt = waysOf(point, curve(k), offs[k] ?? NOTHING, at);
      let next = at;
      point.trace.t.forEach((t, i) => {
        if (t <= at || t > at + DAYS_AHEAD * DAY || t < next) return;
        next = t + COUNTED;
        trials[k]?.push({
          origin: day,
          ahead: t - at,
          at: t,
          is: point.trace.value[i] ?? 0,
          ways: waysAt(t),
        });
      });
    });
  }
  const ahead = play(today, now);
  const made = asked.points.map((point, k) => {
    const { series, quantity } = point;
    const own = trials[k] ?? [];
    // What is set otherwise from a day on shows in the play alone.
    const share = box.changesAfter(today) ? 1 : shareOf(own);
    const waysAt = waysOf(point, ahead(k), offs[k] ?? NOTHING, now);
    const tried = own.map((it) => ({ ...it, off: it.is - blend(it.ways, share) }));
    const wide = spreadOf(tried, quantity);
    const spread = (before: number, at: number): number => wide(before, at) / NINE_IN_TEN;
    const t = Array.from({ length: (DAYS_AHEAD * DAY) / EVERY + 1 }, (_, i) => now + i * EVERY);
    const bound = (it: number): number => (quantity === 'humidity' ? Math.min(1, Math.max(0, it)) : it);
    const middle = t.map((it) => blend(waysAt(it), share));
    const moved = (by: (i: number) => number): readonly number[] =>
      middle.map((it, i) => bound(it + by(i) * spread(i * EVERY, t[i] ?? 0)));
    const outlook: Outlook = {
      series,
      quantity,
      t,
      middle: middle.map(bound),
      low: moved(() => -NINE_IN_TEN),
      high: moved(() => NINE_IN_TEN),
    };
    return { outlook, courses: coursesOf(tried, spread).map((course) => moved((i) => course(i * EVERY))) };
  });
  return {
    outlooks: made.map((it) => it.outlook),
    courses: made.map((it) => it.courses),
    tried: origins.length,
    dry: box.dryAt(past.runs, asked.filled),
  };
}

/** Two looks ahead at one moment: the box played on and moved by what it was off by, and the readings as they lately went. */
type Ways = readonly [played: number, went: number];

interface Trial {
  /** Day of the record on which it was tried; how far ahead, s; at what time, s; what was read then. */
  readonly origin: number;
  readonly ahead: number;
  readonly at: number;
  readonly is: number;
  readonly ways: Ways;
}

const NOTHING: Offs = { t: [], off: [] };
/** Trials, in hours, that an even share of both is worth. */
const EVEN = 24;

const blend = ([played, went]: Ways, share: number): number => share * played + (1 - share) * went;

/** How much of the play goes into a look ahead: as much as would have been nearest in the trials. */
function shareOf(trials: readonly Trial[]): number {
  let [both, apart] = [0, 0];
  for (const { is, ways } of trials) {
    const [played, went] = ways;
    both += (is - went) * (played - went);
    apart += (played - went) ** 2;
  }
  const even = (EVEN * apart) / Math.max(1, trials.length);
  return apart + even > 0 ? Math.min(1, Math.max(0, (both + 0.5 * even) / (apart + even))) : 0.5;
}

function waysOf({ trace }: AheadPoint, curve: Curve, offs: Offs, until: number): (at: number) => Ways {
  const played = reading(curve);
  const [off, went] = [patternOf(offs, until), patternOf({ t: trace.t, off: trace.value }, until)];
  return (at) => [played(at) + off(at), went(at)];
}
