import { grownIn } from '../brief';
import { type Catalogue } from '../catalogue';
import type { Design } from '../document/schema';
import { boundOf, type Bound } from '../verdict/bound';
import { HOLDS } from '../verdict/criteria';
import type { Verdict } from '../verdict/answer';
import { burdenOf, weigh, type Aim, type Burden } from './cost';
import type { Locks } from './change';
import { propose } from './propose';
import { ease } from './search';
import { type Searching } from './play';

/** An answer of “Find what holds”: a design, what it is judged, and what it asks of its keeper. */
export interface Answered {
  readonly aim: Aim;
  readonly design: Design;
  readonly verdict: Verdict;
  readonly burden: Burden;
}

export interface Three {
  /** The first that was found; the best there is where nothing holds. */
  readonly first: Answered | null;
  /** One for each aim, where it differs from the others. */
  readonly answers: readonly Answered[];
  /** Why nothing could hold; null where that is not proven. */
  readonly bound: Bound | null;
}

const AIMED: readonly Aim[] = ['fewest things', 'least work', 'least electricity'];

/**
 * From a design as it stands to one that holds, then the best three: with the fewest things to buy, with the least work,
 * and with the least electricity. `onFirst` hears of the first as soon as it is there.
 */
export function* findThree(
  start: Design,
  catalogue: Catalogue,
  kept: Locks,
  onFirst: (first: Answered) => void = () => undefined,
): Searching<Three> {
  const animal = grownIn(start, catalogue);
  if (!animal) return { first: null, answers: [], bound: null };
  // Plants that are chosen stay, and were chosen for the light there is.
  const locks = { ...kept, lights: kept.lights || start.living.plants.length > 0 };
  const bound = boundOf(start, animal, catalogue);
  const found = yield* propose(start, catalogue, { locks, plants: false });
  if (!found.verdict) return { first: null, answers: [], bound };
  const first: Answered = {
    aim: 'balanced',
    design: found.design,
    verdict: found.verdict,
    burden: burdenOf(found.design, start, found.seen, catalogue),
  };
  onFirst(first);
  if (!holdsIn(found.verdict)) return { first, answers: [], bound };
  const eased: Answered[] = [];
  for (const aim of AIMED) {
    const end = yield* ease({
      design: found.design,
      catalogue,
      animal,
      locks,
      start,
      aim,
      near: found.seen.rest,
      verdict: found.verdict,
    });
    eased.push({ aim, design: end.design, verdict: end.verdict ?? found.verdict, burden: end.burden });
  }
  return { first, answers: bestOf(eased), bound };
}

/**
 * For each aim the best of all answers, whichever aim led to it: a search for one may come upon what is better for
 * another. What is best for several is told once, for the first of them.
 */
export function bestOf(found: readonly Answered[]): readonly Answered[] {
  const answers: Answered[] = [];
  for (const aim of AIMED) {
    const [best] = [...found].sort((a, b) => weigh(a.burden, aim) - weigh(b.burden, aim));
    if (best && answers.every((it) => JSON.stringify(it.design) !== JSON.stringify(best.design)))
      answers.push({ ...best, aim });
  }
  return answers;
}

/** Its climate holds, whatever is planted in it. */
const holdsIn = (verdict: Verdict): boolean => verdict.places.every((it) => it.inside >= HOLDS);
