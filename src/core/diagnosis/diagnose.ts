import type { Catalogue } from '../catalogue';
import { settingsAt, type Design } from '../document';
import type { Entry } from '../log';
import type { PointTrack } from './features';
import { factsOf, isMisted, signsRead } from './facts';
import { readingCauses } from './readingCauses';
import { signCauses } from './signCauses';
import type { Cause, Diagnosis, SignId } from './types';

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
}

/** From here up a cause is named: about seven in eight. */
const NAMED = 2;
/** Under it a cause is not worth telling. */
const TOLD = -0.5;
/** Two that lie closer than this cannot be told apart yet. */
const APART = 0.7;

/**
 * Ranks what may be behind what is seen and read, each with its evidence. Never a medical diagnosis: of the animal it
 * says what of its surroundings may be wrong, and when to call a veterinarian.
 */
export function diagnose(asked: DiagnosisInput): Diagnosis {
  const { catalogue, points, isDay, now } = asked;
  // What is set for this part of the year is what was at work.
  const design = settingsAt(asked.design, now);
  const facts = factsOf(points, isDay, now);
  const read = signsRead(facts, isMisted(design, catalogue));
  const signs = new Set<SignId>([...asked.seen, ...read.map((it) => it.sign)]);
  if (signs.size === 0) return { verdict: 'nothing', causes: [], read, next: null };
  const all: Cause[] = [
    ...(points.length > 0 ? readingCauses(design, catalogue, facts) : []),
    ...signCauses({ ...asked, design, facts, signs }),
  ];
  const causes = merged(all)
    .filter((it) => it.score > TOLD)
    .sort((a, b) => b.score - a.score);
  const [first, second] = causes;
  const urgent = causes.find((it) => it.vet !== null && it.id === 'vet');
  if (urgent)
    return { verdict: 'named', causes: [urgent, ...causes.filter((it) => it !== urgent)], read, next: null };
  if (!first) return { verdict: 'cannot tell', causes: [], read, next: NOTHING };
  const clear = first.score >= NAMED && (!second || first.score - second.score >= APART);
  return {
    verdict: clear ? 'named' : 'cannot tell',
    causes,
    read,
    next: clear ? null : first.check,
  };
}

const NOTHING =
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
