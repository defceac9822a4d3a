import { grownIn } from '../brief';
import { type Catalogue } from '../catalogue';
import { differencesOf } from '../compare/differences';
import { foundIn } from '../edits';
import { type Design } from '../document';
import type { Remedy } from '../finding/finding';
import { message, type Message, number } from '../units';
import { HOLDS, type CriterionId } from '../verdict/criteria';
import { outsideOf, placeCode, unlit } from '../verdict/findings';
import type { Verdict } from '../verdict/answer';
import { worseIn } from '../verdict/worse';
import { sawsVents } from './air';
import { faultsOf } from './cost';
import type { Seen } from './look';
import { NO_LOCKS } from './change';
import { kindOf, plantLights, withDevices } from '../fitting/fittings';
import { movesFor } from './moves';
import { judgeInTurn } from './search';
import { lookAt, play, type Searching } from './play';

/** Remedies of one finding, by its code: each was played, and mends it without breaking anything else. */
export type Remedies = Readonly<Record<string, readonly Remedy[]>>;

/** Remedies that are offered for one finding. */
const MOST = 2;
/** Changes that are judged for one finding. */
const TRIES = 4;
/**
 * Plays single changes for every place that is outside, and keeps those that bring it inside on the mean days of winter
 * and summer while no other place and no UV comes out worse. Where no single change does, there is none: that is for a
 * search.
 */
export function* remediesFor(design: Design, verdict: Verdict, catalogue: Catalogue): Searching<Remedies> {
  const animal = grownIn(design, catalogue);
  if (!animal) return {};
  const [before] = yield* lookAt([design], {}, 0);
  if (!before) return {};
  const found: Record<string, readonly Remedy[]> = {};
  for (const { criterion, way } of outsideOf(verdict)) {
    const fault = faultsOf(before.measured).find((it) => it.it.criterion.id === criterion && it.way === way);
    if (!fault) continue;
    const moves = movesFor({ design, animal, catalogue, locks: NO_LOCKS }, fault);
    const tried = yield* play(design, moves, before, 0, catalogue);
    const mends = tried.all.filter((it) => heals(before, it.seen, criterion));
    const code = placeCode(criterion, way);
    if (!code) continue;
    const kept: Remedy[] = [];
    // The least change first; what holds on its mean days is judged with its weathers too.
    const changes = mends.slice(0, TRIES).map((it) => it.move.design);
    yield* judgeInTurn(changes, (after, index) => {
      const change = changes[index];
      if (!change || !after || !mendsIn(verdict, after, criterion, way)) return false;
      const { from, to } = effectOf(verdict, after, criterion);
      const does = message`${number(from, 0)} → ${number(to, 0)} % of hours`;
      const label = labelOf(design, change, catalogue, does);
      // Two that would be told alike are one.
      if (kept.some((it) => JSON.stringify(it.label) === JSON.stringify(label))) return false;
      kept.push({
        label,
        call: { edit: 'adoptFound', change: foundIn(change) },
        ...(sawsVents(design, change) ? { saws: true } : {}),
      });
      return kept.length === MOST;
    });
    found[code] = kept;
  }
  if (unlit(verdict).length > 0) found['plant-light-weak'] = yield* brighter(design, verdict, catalogue);
  return found;
}

/** Brighter lamps for plants, each judged: the first that lights all of them, and breaks nothing. */
function* brighter(design: Design, verdict: Verdict, catalogue: Catalogue): Searching<readonly Remedy[]> {
  const lights = plantLights(design, catalogue);
  const ids = lights.map((it) => it.id);
  const stronger = (times: number): Design =>
    withDevices(design, ids, (it) => {
      const powers = [...(kindOf(it, catalogue)?.powers ?? [])].sort((a, b) => a - b);
      return { ...it, dim: 1, power: powers.find((own) => own >= times * it.power) ?? it.power };
    });
  const ways: Design[] = [];
  if (lights.some((it) => it.dim < 1)) ways.push(withDevices(design, ids, (it) => ({ ...it, dim: 1 })));
  ways.push(stronger(1.3), stronger(2));
  const known = new Set([JSON.stringify(design)]);
  const dark = unlit(verdict).length;
  const changes = ways.filter((way) => {
    const text = JSON.stringify(way);
    return known.has(text) ? false : known.add(text);
  });
  const found: Remedy[] = [];
  yield* judgeInTurn(changes, (after, index) => {
    const way = changes[index];
    if (!way || !after || unlit(after).length > 0 || worseIn(verdict, after) !== null) return false;
    const label = labelOf(design, way, catalogue, message`${dark} → 0 plants in want of light`);
    found.push({ label, call: { edit: 'adoptFound', change: foundIn(way) } });
    return true;
  });
  return found;
}

/** Share of hours by which a place may come out lower and count as untouched: the noise of a first look. */
const NOISE = 0.02;

/** It brings the place inside, and leaves every other, and UV, no worse. */
function heals(before: Seen, after: Seen, criterion: CriterionId): boolean {
  if (before.uv === 'inside' && after.uv !== 'inside') return false;
  return after.measured.every((it) => {
    if (it.criterion.id === criterion) return it.inside >= HOLDS;
    const was = before.measured.find(
      (own) => own.criterion.id === it.criterion.id && own.season === it.season,
    );
    return was === undefined || it.inside >= Math.min(HOLDS, was.inside - NOISE);
  });
}

/** Judged with its weathers: the place is inside, nothing else is outside that was not, and nothing dies of it. */
export function mendsIn(
  before: Verdict,
  after: Verdict,
  criterion: CriterionId,
  way: 'under' | 'over',
): boolean {
  return (
    !outsideOf(after).some((it) => it.criterion === criterion && it.way === way) &&
    worseIn(before, after) === null
  );
}

/** Least share of hours inside at a place over all seasons, before and after, in percent. */
function effectOf(before: Verdict, after: Verdict, criterion: CriterionId) {
  const least = ({ places }: Verdict): number =>
    Math.round(
      100 *
        places.filter((it) => it.criterion === criterion).reduce((low, it) => Math.min(low, it.inside), 1),
    );
  return { from: least(before), to: least(after) };
}

/** What is changed, and what it does. */
function labelOf(from: Design, to: Design, catalogue: Catalogue, does: Message): Message {
  const all = differencesOf([from, to], catalogue);
  const added = all.find((it) => it.sides[0]?.[0] === '–');
  if (added) return [`Add ${added.what.toLowerCase()}: `, ...does];
  const gone = all.find((it) => it.sides[1]?.[0] === '–');
  if (gone) return [`Take out ${gone.what.toLowerCase()}: `, ...does];
  const [first] = all;
  return first
    ? [`${first.what}: `, ...(first.sides[1] ?? []), ': ', ...does]
    : ['Change its settings: ', ...does];
}
