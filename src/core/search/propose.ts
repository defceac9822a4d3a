import { grownIn } from '../brief';
import { type Animal, type Catalogue } from '../catalogue';
import type { Design } from '../document/schema';
import { allWater, layGround } from '../ground/layers';
import { CREW_LASTS, crewHomeOf, proposeCrew } from '../living/crew';
import { proposePlanting } from '../living/planting';
import type { Survey } from '../living/survey';
import { boundOf } from '../verdict/bound';
import { withCanisters, withWatering } from '../verdict/provisions';
import { HOLDS } from '../verdict/criteria';
import type { Verdict } from '../verdict/answer';
import { NOTHING, perform, type Seen } from './look';
import { NO_LOCKS, type Locks } from './change';
import { canPay } from './cost';
import { climb, judge } from './search';
import { type Searching } from './play';
import { withoutOwnFindings } from './tidy';
import { fitUv } from '../fitting/fitUv';

export interface Proposal {
  readonly design: Design;
  readonly verdict: Verdict | null;
  readonly looks: number;
  /** What its mean days need: watts and water. */
  readonly seen: Seen;
}

/** Plants and crew chosen anew from the forecast places; what is planted in the box stays. */
export function replant(design: Design, catalogue: Catalogue, survey: Survey): Design {
  const ground = layGround(design, catalogue);
  const standing = design.living.plants.filter((it) => it.planted !== null);
  const { chosen } = proposePlanting({ design, ground, catalogue, survey });
  const taken = new Set(standing.map((it) => it.id));
  const fresh = chosen.map(({ planted }, index) => {
    let id = `plant-${index + 1}`;
    while (taken.has(id)) id = `${id}-b`;
    taken.add(id);
    return { ...planted, id };
  });
  const planted = { ...design, living: { ...design.living, plants: [...standing, ...fresh] } };
  return recrew(planted, catalogue, survey);
}

function recrew(design: Design, catalogue: Catalogue, survey: Survey): Design {
  const ground = layGround(design, catalogue);
  if (allWater(ground)) return design;
  const home = crewHomeOf(design, ground, catalogue, survey);
  return { ...design, living: { ...design.living, crew: [...proposeCrew(design, home, catalogue)] } };
}

/** K and share of humidity by which a room may be beyond what is borne for evaporation or warmth to make up for it. */
const FAR = { 'too warm': 2, 'too damp': 0.1 } as const;

/** Does the tasks of a search one after the other, here and now; none that is spare. */
export function runSearch<T>(search: Searching<T>, catalogue: Catalogue): T {
  let step = search.next();
  while (!step.done)
    step = search.next(
      step.value.map((it) => (it.ask === 'judge' && it.spare ? { of: 'undone' } : perform(it, catalogue))),
    );
  return step.value;
}

/**
 * A design that holds, from a first one: UV for its zone, then lamps, heat, air and mist until its climate holds, then
 * plants and crew by the places that climate makes, and all of it judged. Deterministic.
 */
export function* propose(
  start: Design,
  catalogue: Catalogue,
  {
    locks,
    plants = true,
    most,
  }: { readonly locks?: Locks; readonly plants?: boolean; readonly most?: number } = {},
): Searching<Proposal> {
  const found = grownIn(start, catalogue);
  if (!found) return { design: start, verdict: null, looks: 0, seen: NOTHING };
  const animal: Animal = found;
  // A plain box is to stay plain: nothing grows in it.
  const grows = plants && !(start.living.school === 'none' && start.living.plants.length === 0);
  // Of a new box all is proposed; of one that stands only its climate is asked for.
  let design = withUv(plants ? withoutOwnFindings(start, catalogue) : start, start, animal, catalogue, locks);
  // Where the room itself is far beyond what is borne, the search is short: it only makes the best of it.
  const bound = boundOf(design, animal, catalogue);
  const far = bound !== null && bound.room - bound.cure > FAR[bound.what];
  const budget = most ?? (far ? 40 : 200);
  let looks = 0;
  let seen: Seen = NOTHING;
  function* climbed(from: Design, left: number): Searching<Verdict | null> {
    const climbs = yield* climb({ design: from, catalogue, start, most: left, ...(locks ? { locks } : {}) });
    looks += climbs.looks;
    seen = climbs.seen;
    design = withUv(climbs.design, start, animal, catalogue, locks);
    return design === climbs.design ? climbs.verdict : (yield* judge(design)).verdict;
  }
  let verdict = yield* climbed(design, budget);
  for (let round = 0; grows && verdict && round < 2; round += 1) {
    let next: Design = replant(design, catalogue, verdict.survey);
    let { verdict: own, elsewhere } = yield* judge(next);
    // What does not live after all, now that leaves shade and breathe, is left out again.
    for (let again = 0; again < 3 && own && own.plants.length > 0; again += 1) {
      const gone = new Set(own.plants.map((it) => it.id));
      const left = next.living.plants.filter((it) => it.planted !== null || !gone.has(it.id));
      if (left.length === next.living.plants.length) break;
      next = { ...next, living: { ...next.living, plants: left } };
      ({ verdict: own, elsewhere } = yield* judge(next));
    }
    if (own && own.crew.some((it) => it.lasts < CREW_LASTS.share)) {
      next = recrew(next, catalogue, own.survey);
      ({ verdict: own, elsewhere } = yield* judge(next));
    }
    design = next;
    verdict = own;
    if (!own || own.answer === 'cannot' || round === 1) break;
    if (own.places.every((it) => it.inside >= HOLDS) && (yield* elsewhere()) === 0) break;
    // Leaves changed its air: once more from there.
    verdict = yield* climbed(design, 60);
    if (verdict?.answer === 'holds') break;
  }
  // What its keeper brings to it is part of it: a canister that lasts its fogger, water for soil that nothing else waters.
  const brings = [
    ...(locks?.buying || typeof locks?.purse === 'number'
      ? []
      : [(it: Design, own: Verdict) => withCanisters(it, own, locks?.devices)]),
    ...(locks?.mist ? [] : [withWatering]),
  ];
  for (const bring of brings) {
    if (!verdict) break;
    const before: { readonly design: Design; readonly verdict: Verdict } = { design, verdict };
    const next = bring(design, verdict);
    if (next === design) continue;
    const worse = (it: Verdict | null): boolean => !it || RANK[it.answer] > RANK[before.verdict.answer];
    const own = (yield* judge(next)).verdict;
    design = next;
    verdict = worse(own) ? yield* climbed(next, 60) : own;
    if (worse(verdict)) ({ design, verdict } = before);
  }
  return { design, verdict, looks, seen };
}

const RANK: Readonly<Record<Verdict['answer'], number>> = { holds: 0, 'holds-but': 1, fails: 2, cannot: 3 };

export const proposeWhatHolds = (start: Design, catalogue: Catalogue): Proposal =>
  runSearch(propose(start, catalogue), catalogue);

function withUv(
  design: Design,
  start: Design,
  animal: Animal,
  catalogue: Catalogue,
  locks: Locks = NO_LOCKS,
): Design {
  if (locks.buying) return design;
  const fitted = fitUv(design, animal, layGround(design, catalogue), catalogue, locks.devices)?.design;
  return fitted && canPay(fitted, start, catalogue, locks.purse) ? fitted : design;
}
