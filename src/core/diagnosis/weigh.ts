import type { MeasuringPlace } from '../readings';
import { difference, message, type Message } from '../units';
import type { Facts } from './facts';
import type { Likeness } from './likeness';
import type { Observed } from './observed';
import { PARTS_OF_DAY } from './yardstick';
import type { Cause, Evidence } from './types';

/*
 * How rules, the forecast and the mistings that were seen are weighed against one another. Set on the seeds of
 * tests/unit/faultyCases.ts that were looked at, and rounded; what they give on others stands in docs/testing.md.
 */
/** What a rule’s evidence is worth beside a forecast’s, and the least it may come to. */
const [RULE, LEAST] = [0.45, -4];
/** Natural logarithm of the odds that any of them happened, and that nothing did. */
const [SOMETHING, NOTHING] = [1.8, 0.5];
const USUAL: Readonly<Record<string, number>> = {
  'heat-off': -0.6,
  'thermostat-drifted': -0.4,
  'no-mist': 0.5,
  'room-dry': -0.9,
  'room-hot': -0.4,
  'room-cold': -0.3,
  'lid-open': 0.3,
  'fan-stuck': 0.6,
  'probe-moved': 0.3,
};
/** A day that comes late as a whole speaks for its timer, and one that comes in time against it. */
const [LATE, IN_TIME] = [2.8, -0.9];

/** How strong mistings are seen to be with a cause, and how far that may differ; with others they are as they were. */
const MISTED: Readonly<Record<string, readonly [share: number, off: number]>> = {
  'no-mist': [0, 0.3],
  'mist-weak': [0.4, 0.25],
  power: [0, 0.35],
  'timer-shifted': [0.2, 0.5],
  'mist-stuck': [0.5, 0.6],
  'stale-air': [0.8, 0.5],
  'lid-open': [0.8, 0.5],
  'heat-stuck': [1, 0.6],
  'room-dry': [1, 0.4],
  // Colder air is nearer to full: less of a misting is seen.
  'heat-off': [0.7, 0.5],
  'lamps-off': [0.7, 0.5],
  'room-cold': [0.7, 0.5],
};
const AS_BEFORE: readonly [number, number] = [1, 0.3];

type Misted = Pick<Facts, 'mists' | 'mistsOff'>;

function misted({ mists, mistsOff }: Misted, cause: string | null): number {
  if (mists === null) return 0;
  const [share, off] = (cause === null ? undefined : MISTED[cause]) ?? AS_BEFORE;
  const spread = Math.hypot(off, mistsOff);
  return -((Math.min(1, mists) - share) ** 2) / 2 / spread ** 2 - Math.log(spread);
}

/** Causes that are seen for themselves, and need no forecast. */
const PLAIN: ReadonlySet<string> = new Set(['probe-stuck', 'probe-silent']);
const CERTAIN = 6;

/**
 * Weighs causes that readings speak for by how much like the readings they are when they are played through.
 * @param ruled by the rules alone
 */
export function weighed(
  ruled: readonly Cause[],
  facts: Facts,
  seen: Observed,
  alike: readonly Likeness[],
  unplayed: ReadonlySet<string>,
): readonly Cause[] {
  const mists = facts.mistsSince(seen.from);
  return ruled.map((it): Cause => {
    if (PLAIN.has(it.id)) return it.score > 3 ? { ...it, score: it.score + CERTAIN } : it;
    const like = alike.find((own) => own.cause === it.id);
    // What the box has nothing for cannot have happened.
    if (!like && !unplayed.has(it.id)) return { ...it, score: -9 };
    const late = it.id === 'timer-shifted';
    const rule = late ? (facts.late === null ? IN_TIME : LATE) : RULE * Math.max(LEAST, it.score);
    const odds = SOMETHING + (USUAL[it.id] ?? 0) + rule + misted(mists, it.id);
    const since = facts.onset?.at ?? seen.from;
    if (!like) return { ...it, since, score: odds };
    return {
      ...it,
      evidence: [
        ...it.evidence.map((own) => ({ ...own, weight: RULE * own.weight })),
        playedThrough(seen, like),
      ],
      since,
      score: odds + like.weight,
    };
  });
}

/** What it is worth that nothing happened at all. */
export const nothingOf = (facts: Facts, seen: Observed): number =>
  NOTHING + misted(facts.mistsSince(seen.from), null);

/** What places are called in the midst of a sentence. */
export const PLACE_WORDS: Record<MeasuringPlace, string> = {
  warm: 'the warm side',
  cool: 'the cool side',
  basking: 'the basking spot',
  canopy: 'the canopy',
  hide: 'the hide',
  soil: 'the soil',
  room: 'the room',
  scale: 'the scale',
};

/** What the forecast with a cause says of the place that it changes most, beside what was read there. */
function playedThrough({ measures, change }: Observed, like: Likeness): Evidence {
  const size = (what: string, place: string): number =>
    measures.reduce(
      (sum, it, i) =>
        it.what === what && it.place === place && it.place !== 'room'
          ? sum + (like.change[i] ?? 0) ** 2
          : sum,
      0,
    );
  const most = measures.reduce((a, b) => (size(b.what, b.place) > size(a.what, a.place) ? b : a));
  const of = (values: readonly number[], day: boolean): number => {
    const own = measures.flatMap((it, i) =>
      it.what === most.what && it.place === most.place && it.part < PARTS_OF_DAY / 2 === day
        ? [values[i] ?? 0]
        : [],
    );
    return own.reduce((sum, it) => sum + it, 0) / Math.max(1, own.length);
  };
  const [day, night] = [of(like.change, true), of(like.change, false)];
  const [readDay, readNight] = [of(change, true), of(change, false)];
  const place = PLACE_WORDS[most.place];
  const words: Message =
    most.what === 'warmth'
      ? message`Played through, it changes ${place} by ${difference(day, 1)} by day and ${difference(night, 1)} by night; read were ${difference(readDay, 1)} and ${difference(readNight, 1)}`
      : message`Played through, it changes the dew point of ${place} by ${difference(day, 1)} by day and ${difference(night, 1)} by night; read were ${difference(readDay, 1)} and ${difference(readNight, 1)}`;
  return { words, weight: like.weight, from: 'forecast' };
}

/** Shares of all causes, and of nothing, by their scores. @param nothing null: something is seen, so that it is not nothing */
export function shared(
  causes: readonly Cause[],
  nothing: number | null,
): { readonly causes: readonly Cause[]; readonly nothing: number } {
  const all = [...causes.map((it) => it.score), ...(nothing === null ? [] : [nothing])];
  if (all.length === 0) return { causes, nothing: 1 };
  const most = Math.max(...all);
  const sum = all.reduce((total, it) => total + Math.exp(it - most), 0);
  const shareOf = (score: number): number => Math.exp(score - most) / sum;
  return {
    causes: causes.map((it) => ({ ...it, share: shareOf(it.score) })),
    nothing: nothing === null ? 0 : shareOf(nothing),
  };
}
