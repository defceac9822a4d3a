import type { Design } from '../document';
import type { Entry } from '../log';
import { cut, DAY, HOUR } from '../readings';
import { message, number, type Message } from '../units';
import type { PointTrack } from './features';
import { observe, standsOut } from './observed';
import { onsetOf } from './onset';

/** What a line of the log is written for by which a cause is said to be mended. */
const RULE = 'case-';
export const ruleOfCause = (cause: string): string => `${RULE}${cause}`;

/** Days after which a remedy is not looked at any more. */
const LOOKED_AT = 21;
/** Hours a box takes to come round, and hours that must be read after that. */
const [COMES_ROUND, READ] = [3, 9];
/** Mean square, of what days differ by anyway, under which it is as it was; and share of what it was off by that may be left. */
const [AS_USUAL, LEFT] = [2.5, 0.2];

/** What became of something that was mended. */
export interface AfterRemedy {
  readonly cause: string;
  /** ms since 1970 */
  readonly at: number;
  readonly verdict: 'too early' | 'worked' | 'not yet' | 'cannot tell';
  readonly words: Message;
}

/** The last remedy that was written down and is still looked at; null: there is none. A clock that moves by the minute may be behind it. */
export function lastRemedy(log: readonly Entry[], now: number): Entry | null {
  return log
    .filter(
      (it) => !it.gone && it.outcome === 'done' && it.rule?.startsWith(RULE) && now - it.at < LOOKED_AT * DAY,
    )
    .reduce<Entry | null>((last, it) => (last && last.at >= it.at ? last : it), null);
}

/**
 * Whether a box is again as it was before the fault: the readings since a remedy, held against those before what had
 * changed by then.
 */
export function afterRemedy(
  design: Design,
  points: readonly PointTrack[],
  isDay: (at: number) => boolean,
  remedy: Pick<Entry, 'at' | 'rule'>,
  now: number,
): AfterRemedy {
  const cause = remedy.rule?.slice(RULE.length) ?? '';
  const { at } = remedy;
  const told = (verdict: AfterRemedy['verdict'], words: Message): AfterRemedy => ({
    cause,
    at,
    verdict,
    words,
  });
  const last = Math.min(now, Math.max(...points.map((it) => it.track.at.at(-1) ?? -Infinity)));
  const from = at + COMES_ROUND * HOUR;
  if (last - from < READ * HOUR) {
    const hours = Math.max(1, Math.ceil((from + READ * HOUR - last) / HOUR));
    return told(
      'too early',
      message`A box takes some hours to come round. Whether it helped is told when ${number(hours, 0)} more hours have been read.`,
    );
  }
  const before = points.map((it) => ({ ...it, track: cut(it.track, -Infinity, at) }));
  const onset = onsetOf(
    before.filter((it) => it.track.at.length > 0),
    isDay,
    design,
  );
  const baseTo = onset?.at ?? at - 2 * DAY;
  const since = observe(points, isDay, Math.max(from, last - DAY), baseTo, last);
  const then = observe(before, isDay, Math.max(baseTo, at - DAY), baseTo, at);
  if (!since) return told('cannot tell', message`Too little was read before to say whether it helped.`);
  const far = standsOut(since);
  const was = then ? standsOut(then) : null;
  if (far < AS_USUAL || (was !== null && far < LEFT * was))
    return told('worked', message`It worked: readings are again as they were before.`);
  return told(
    'not yet',
    message`Readings are not yet as they were before. If they are not by tomorrow, look for another cause.`,
  );
}
