import type { Catalogue } from '../catalogue';
import { settingsAt, type Design } from '../document';
import type { Entry } from '../log';
import { asMessage } from '../units';
import type { PointTrack } from './features';
import { factsOf, isMisted, isSilent, signsRead, type Facts } from './facts';
import { likenesses } from './likeness';
import { decidingReading } from './next';
import { observed } from './observed';
import { outsideOf } from './outside';
import { readingCauses } from './readingCauses';
import { signCauses, signsOf } from './signCauses';
import { nothingOf, shared, weighed } from './weigh';
import type { Cause, Diagnosis, SignId } from './types';
import type { Yardstick } from './yardstick';

export interface DiagnosisInput {
  readonly design: Design;
  readonly catalogue: Catalogue;
  readonly points: readonly PointTrack[];
  readonly log: readonly Entry[];
  /** What was seen; readings add their own. */
  readonly seen: readonly SignId[];
  readonly isDay: (at: number) => boolean;
  /** ms since 1970 */
  readonly now: number;
  /** The design played through with each fault it can have; null: by the rules alone. */
  readonly yardstick: Yardstick | null;
}

/** By the rules alone a cause is named from here up, two that lie closer than the second cannot be told apart yet. */
const [NAMED, APART] = [2, 0.7];
/** Under it a cause is not worth telling, by its rules and by its share. */
const [TOLD, SHARE_TOLD] = [-0.5, 0.02];
/** What a cause of signs is worth less where nobody saw them. */
const UNSEEN = 2;
/** Share from which on a cause is named. */
const SURE = 0.7;

/**
 * Ranks what may be behind what is seen and read, each with its evidence. Never a medical diagnosis: of the animal it
 * says what of its surroundings may be wrong, and when to call a veterinarian.
 */
export function diagnose(asked: DiagnosisInput): Diagnosis {
  const { catalogue, points, isDay, now, yardstick } = asked;
  // What is set for this part of the year is what was at work.
  const design = settingsAt(asked.design, now);
  const facts = factsOf(points, isDay, now, design);
  const read = signsRead(facts, isMisted(design, catalogue));
  const outside = outsideOf(design, catalogue, points, isDay, now);
  const since = facts.onset?.at ?? null;
  const signs = new Set<SignId>([...asked.seen, ...read.map((it) => it.sign)]);
  const compared =
    yardstick && points.length > 0
      ? observed(
          points.filter((it) => isHeard(it, facts)),
          isDay,
          since,
          facts.asOf,
        )
      : null;
  const alike = compared && yardstick ? likenesses(compared, yardstick) : null;
  const told = { read, outside };
  if (signs.size === 0 && !alike) return { verdict: 'nothing', causes: [], since: null, next: null, ...told };
  const ruled = points.length > 0 ? readingCauses(design, catalogue, facts) : [];
  const ofReadings =
    alike && compared && yardstick ? weighed(ruled, facts, compared, alike, yardstick.unplayed) : ruled;
  const bySight = new Set(asked.seen);
  // What nobody saw but readings alone is told by their causes first.
  const ofSigns = signCauses({ ...asked, design, facts, signs }).map((it) =>
    alike && !signsOf(it.id).some((sign) => bySight.has(sign)) ? { ...it, score: it.score - UNSEEN } : it,
  );
  // Where something was seen by eye it is not nothing.
  const nothing = asked.seen.length > 0 ? null : compared ? nothingOf(facts, compared) : 0;
  const all = shared(merged([...ofReadings, ...ofSigns]), nothing);
  const causes = all.causes
    .filter((it) => (alike ? it.share > SHARE_TOLD : it.score > TOLD))
    .sort((a, b) => b.score - a.score);
  const [first, second] = causes;
  const urgent = causes.find((it) => it.vet !== null && it.id === 'vet');
  if (urgent) {
    const rest = causes.filter((it) => it !== urgent);
    return { verdict: 'named', causes: [urgent, ...rest], since, next: null, ...told };
  }
  if (alike && all.nothing > (first?.share ?? 0))
    return { verdict: 'nothing', causes: [], since: null, next: null, ...told };
  if (!first) return { verdict: 'cannot tell', causes: [], since, next: asMessage(UNTOLD), ...told };
  const clear = alike
    ? first.share >= SURE
    : first.score >= NAMED && (!second || first.score - second.score >= APART);
  const decides =
    !clear && second && alike
      ? decidingReading(first, second, alike, (place, quantity) =>
          points.some((it) => it.series.place === place && it.series.quantity === quantity),
        )
      : null;
  return {
    verdict: clear ? 'named' : 'cannot tell',
    causes,
    since,
    next: clear ? null : (decides ?? asMessage(first.check)),
    ...told,
  };
}

/** Whether a probe’s readings tell of the box: not those of one that is stuck or silent. */
const isHeard = ({ series }: PointTrack, facts: Facts): boolean =>
  [...facts.temperatures, ...facts.humidities, ...facts.room].some(
    (it) => it.series.id === series.id && it.flatSince === null && !isSilent(it, facts),
  );

const UNTOLD =
  'Nothing that is written down explains it yet. Read the probes by day and by night for three days, and write down what you see.';

/** A cause that both readings and signs speak for is one cause. */
function merged(all: readonly Cause[]): readonly Cause[] {
  const by = new Map<string, Cause>();
  for (const it of all) {
    const own = by.get(it.id);
    by.set(
      it.id,
      own
        ? {
            ...own,
            evidence: [...own.evidence, ...it.evidence],
            score: own.score + it.evidence.reduce((sum, one) => sum + one.weight, 0),
          }
        : it,
    );
  }
  return [...by.values()];
}
