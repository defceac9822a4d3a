import { grownIn } from '../brief';
import { type Animal, type Catalogue } from '../catalogue';
import type { Design } from '../document/schema';
import { layGround } from '../ground/layers';
import { outOfReach } from '../verdict/bound';
import { BEARS, HOLDS } from '../verdict/criteria';
import { borneIn, type Verdict } from '../verdict/answer';
import { JUDGING, type Playing, type YearRun } from '../verdict/year';
import {
  burdenOf,
  canPay,
  faultsOf,
  lacking,
  lackingIn,
  UV_OUT,
  uvIsOut,
  weigh,
  type Aim,
  type Burden,
} from './cost';
import { NOTHING, type Seen, type Task } from './look';
import { jointMoves, settings } from './joint';
import { NO_LOCKS, type Locks, type Move } from './change';
import { easements, movesFor } from './moves';
import { seasonMoves } from './seasons';
import { fitUv } from '../fitting/fitUv';
import { type Searching, seasonsBy, lookAt, play } from './play';

export interface SearchInput {
  readonly design: Design;
  readonly catalogue: Catalogue;
  readonly locks?: Locks;
  readonly aim?: Aim;
  /** What the answer is compared with; the design itself when it is not said. */
  readonly start?: Design;
  /** First looks at the most. */
  readonly most?: number;
  /** Where its days were seen to leave it: what is looked at begins there. */
  readonly near?: YearRun['rest'];
}

export interface Climbed {
  readonly design: Design;
  readonly seen: Seen;
  readonly verdict: Verdict | null;
  readonly looks: number;
  /** What was changed, in order, and what was lacking before and after. */
  readonly steps: readonly { readonly move: string; readonly before: number; readonly after: number }[];
}

/** Least gain that is worth a step, of what is lacking. */
const gain = (cost: number): number => Math.max(0.003, 0.005 * cost);

/** Cost under which two changes at once are tried where none helps by itself. */
const PAIRS = 5;

/** Share of the tolerance kept in hand for weather, in turn: more where a mean day held but its weathers did not. */
const STRICT = [0.5, 0.8, 1.2] as const;

/** Share of what no fitting reaches that a change to something else is taken to leave. */
const HOPELESS = 0.9;

/** Of so many changes the best that may be one half of a pair, and how many of them are. */
const HALVES = { of: 5, tried: 3 } as const;

/** Places whose changes are tried at once. */
const FAULTS = 4;

/** Share of its cost by which a step of easing must lower it. */
const EASED = 0.01;

/** Changes of one step whose UV is fitted anew. */
const REFITTED = 3;

/** Share of hours that a proposal keeps in hand: other weathers are a little worse. */
const IN_HAND = 0.05;

/** Share of hours that are missing until a judged design holds, with some in hand. */
export const missingIn = (verdict: Verdict): number =>
  verdict.places.reduce(
    (sum, it) => sum + Math.max(0, HOLDS + IN_HAND - it.inside) + (borneIn(it) ? 0 : 1),
    0,
  );

/** Share of hours that are missing until its places hold. */
export const missedIn = ({ places }: Verdict): number =>
  places.reduce((sum, it) => sum + Math.max(0, HOLDS - it.inside), 0);

/** Weathers no verdict is given by: what holds in those of its verdict alone was fitted to them. */
const OTHER_WEATHER: Playing = { ...JUDGING, seeds: [31, -31] };

interface Judging {
  readonly verdict: Verdict | null;
  /** Share of hours missing in weathers that are not those of the verdict. */
  readonly elsewhere: () => Searching<number>;
}

/** Judges a design; in other weathers beside it where a worker is free, else when that is asked for. */
export function* judge(design: Design): Searching<Judging> {
  const other: Task = { ask: 'judge', design, playing: OTHER_WEATHER };
  const [own, beside] = yield [
    { ask: 'judge', design },
    { ...other, spare: true },
  ];
  return {
    verdict: own?.of === 'judge' ? own.verdict : null,
    *elsewhere() {
      const [result] = beside?.of === 'judge' ? [beside] : yield [other];
      return result?.of === 'judge' && result.verdict ? missedIn(result.verdict) : 1;
    },
  };
}

/**
 * Judges designs in their order until one ends it; the one after is judged beside it where a worker is free.
 * @param heard what each is judged; true: no more are wanted
 */
export function* judgeInTurn(
  designs: readonly Design[],
  heard: (verdict: Verdict | null, index: number) => boolean,
): Searching<void> {
  let next = 0;
  while (next < designs.length) {
    const results = yield designs
      .slice(next, next + 2)
      .map((design, i): Task => ({ ask: 'judge', design, ...(i > 0 ? { spare: true } : {}) }));
    for (const result of results) {
      if (result.of !== 'judge') break;
      next += 1;
      if (heard(result.verdict, next - 1)) return;
    }
  }
}

/**
 * Changes a design step by step until its climate holds: of all changes that could mend what is furthest outside, each
 * played on the mean days of winter and summer, the best is taken; where none helps, those of a part of the year, then cover and warmth together, then two at once. What holds on its mean
 * days is judged with its weathers, and once more with more in hand where those lead it out. Deterministic.
 */
export function* climb(asked: SearchInput): Searching<Climbed> {
  const { catalogue, locks = NO_LOCKS, most = 200, aim = 'balanced', start = asked.design } = asked;
  const animal = grownIn(asked.design, catalogue);
  let design = asked.design;
  let looks = 0;
  let strict: number = STRICT[0];
  const steps: Climbed['steps'][number][] = [];
  const costOf = (it: Design, seen: Seen): number =>
    lacking(seen) + weigh(burdenOf(it, start, seen, catalogue), aim);

  const may = (it: Design): boolean => canPay(it, start, catalogue, locks.purse);

  function* look(designs: readonly Design[], near: YearRun['rest']): Searching<readonly (Seen | null)[]> {
    looks += designs.length;
    return yield* lookAt(designs, near, strict);
  }
  function* tryAll(moves: readonly Move[], from: Seen, cost: number): Searching<readonly Tried[]> {
    const near = from.rest;
    const enough = cost - gain(cost) - hopelessLater(from);
    const tried = yield* play(design, moves, from, strict, catalogue, may, enough);
    looks += tried.looks;
    const all = tried.all.map((it) => ({ ...it, cost: costOf(it.move.design, it.seen) }));
    const anew = refits(all);
    const refitted = yield* look(
      anew.map((it) => it.design),
      near,
    );
    return [
      ...all,
      ...anew.flatMap((move, i) => {
        const own = refitted[i];
        return own ? [{ move, seen: own, cost: costOf(move.design, own) }] : [];
      }),
    ];
  }
  /** The best of what was tried, looked at wholly: each may be one half of a change that helps. */
  function* halvesOf(ranked: readonly Tried[], near: YearRun['rest']): Searching<readonly Tried[]> {
    const best = ranked.slice(0, HALVES.of);
    const cut = best.filter((it) => it.seen.cut);
    const wholly = yield* look(
      cut.map((it) => it.move.design),
      near,
    );
    return best
      .flatMap((it): readonly Tried[] => {
        if (!it.seen.cut) return [it];
        const own = wholly[cut.indexOf(it)];
        return own ? [{ ...it, seen: own, cost: costOf(it.move.design, own) }] : [];
      })
      .sort((a, b) => a.cost - b.cost)
      .slice(0, HALVES.tried);
  }
  // A change that takes the UV out of its zone is not given up for it: its tube is fitted anew for the best of them.
  function refits(tried: readonly Tried[]): readonly Move[] {
    if (!animal || locks.buying) return [];
    const least = Math.min(...tried.filter((it) => !uvIsOut(it.seen)).map((it) => it.cost));
    return tried
      .filter((it) => uvIsOut(it.seen) && it.cost - UV_OUT < least)
      .sort((a, b) => a.cost - b.cost)
      .slice(0, REFITTED)
      .flatMap(({ move }): readonly Move[] => {
        const ground = layGround(move.design, catalogue);
        const own = fitUv(move.design, animal, ground, catalogue, locks.devices);
        return own && own.design !== move.design && may(own.design)
          ? [{ id: `${move.id}, UV anew`, design: own.design }]
          : [];
      });
  }
  // What no fitting reaches in this room is not tried for, as long as it does no harm.
  const beyond = animal ? outOfReach(asked.design, animal, catalogue) : new Set<string>();
  const hopeful = (of: Seen) =>
    faultsOf(of.measured).filter(
      ({ it, way }) => way === 'under' || it.borne < BEARS || !beyond.has(`${it.season} ${it.criterion.id}`),
    );
  /** What the seasons that are looked at after the first will lack whatever is changed. */
  const hopelessLater = (of: Seen): number => {
    const [, ...later] = seasonsBy(of);
    const hopes = new Set(hopeful(of).map(({ it }) => it));
    return HOPELESS * lackingIn(of.measured.filter((it) => later.includes(it.season) && !hopes.has(it)));
  };
  const movesOf = (
    it: Design,
    seen: Seen,
    count: number,
    each = Infinity,
    of: typeof movesFor = movesFor,
  ): readonly Move[] => {
    const found = new Map<string, Move>();
    if (animal)
      for (const fault of hopeful(seen).slice(0, count))
        for (const move of of({ design: it, animal, catalogue, locks }, fault).slice(0, each))
          if (!found.has(move.id)) found.set(move.id, move);
    return [...found.values()];
  };

  const [first] = yield* look([design], {});
  if (!first || !animal) return { design, seen: first ?? NOTHING, verdict: null, looks, steps };
  let seen: Seen = first;
  let best:
    | { readonly design: Design; readonly seen: Seen; readonly verdict: Verdict; readonly lack: number }
    | undefined;
  for (const level of STRICT) {
    if (strict !== level) {
      strict = level;
      const [again] = yield* look([design], seen.rest);
      if (!again) break;
      seen = again;
    }
    let cost = costOf(design, seen);
    while (looks < most && hopeful(seen).length > 0) {
      const tried = yield* tryAll(movesOf(design, seen, FAULTS), seen, cost);
      let ranked = [...tried].sort((a, b) => a.cost - b.cost);
      let next = ranked[0];
      if (!next || next.cost > cost - gain(cost)) {
        // Where one setting a year does not do: settings of the part of the year that is outside.
        const parted = yield* tryAll(movesOf(design, seen, FAULTS, 10, seasonMoves), seen, cost);
        ranked = [...ranked, ...parted].sort((a, b) => a.cost - b.cost);
        next = ranked[0];
      }
      if ((!next || next.cost > cost - gain(cost)) && animal) {
        const joint = yield* tryAll(jointMoves({ design, animal, catalogue, locks }), seen, cost);
        ranked = [...ranked, ...joint].sort((a, b) => a.cost - b.cost);
        next = ranked[0];
      }
      if ((!next || next.cost > cost - gain(cost)) && cost < PAIRS) {
        next = undefined;
        for (const half of yield* halvesOf(ranked, seen.rest)) {
          const pairs = yield* tryAll(movesOf(half.move.design, half.seen, 2, 6), half.seen, cost);
          const second = [...pairs].sort((a, b) => a.cost - b.cost)[0];
          if (!second || second.cost > cost - gain(cost)) continue;
          next = { ...second, move: { ...second.move, id: `${half.move.id}, ${second.move.id}` } };
          break;
        }
      }
      if (!next || next.cost > cost - gain(cost)) break;
      steps.push({ move: next.move.id, before: cost, after: next.cost });
      ({ seen, cost } = next);
      design = next.move.design;
    }
    const glancing = hopeful(seen).length === 0;
    const { verdict, elsewhere } = yield* judge(design);
    if (!verdict) break;
    let lack = missingIn(verdict);
    if (lack === 0) lack = yield* elsewhere();
    if (!best || lack < best.lack) best = { design, seen, verdict, lack };
    if (lack === 0 || !glancing || looks >= most) break;
  }
  return best
    ? { design: best.design, seen: best.seen, verdict: best.verdict, looks, steps }
    : { design, seen, verdict: null, looks, steps };
}

/**
 * Eases a design: takes away and exchanges what is not needed and sets cover and warmth anew, by what counts most, as long
 * as it misses no more of its hours in its weathers than it did. Its verdict may be told, where it is known.
 */
export function* ease(
  asked: SearchInput & { readonly animal: Animal; readonly verdict?: Verdict },
): Searching<Climbed & { readonly burden: Burden }> {
  const { catalogue, animal, locks = NO_LOCKS, most = 200, aim = 'balanced', start = asked.design } = asked;
  let design = asked.design;
  let looks = 0;
  const steps: Climbed['steps'][number][] = [];
  const may = (it: Design): boolean => canPay(it, start, catalogue, locks.purse);
  const costOf = (it: Design, of: Seen): number =>
    lacking(of) + weigh(burdenOf(it, start, of, catalogue), aim);
  const [first] = yield* lookAt([design], asked.near ?? {}, STRICT[0]);
  looks += 1;
  let seen = first ?? NOTHING;
  let cost = costOf(design, seen);
  let verdict: Verdict | null = asked.verdict ?? null;
  if (!verdict)
    yield* judgeInTurn([design], (it) => {
      verdict = it;
      return true;
    });
  let lack = verdict ? missingIn(verdict) : Infinity;
  const refused = new Set<string>();
  while (looks < most) {
    const setting = { design, animal, catalogue, locks };
    const moves = [...easements(setting), ...settings(setting)].filter((it) => !refused.has(it.id));
    const tried = yield* play(design, moves, seen, STRICT[0], catalogue, may, cost * (1 - EASED));
    looks += tried.looks;
    const better = tried.all
      .map((it): Tried => ({ ...it, cost: costOf(it.move.design, it.seen) }))
      .filter((it) => it.cost < cost - EASED * cost - 1e-4)
      .sort((a, b) => a.cost - b.cost);
    let taken: Tried | undefined;
    const tries = better.slice(0, 4);
    yield* judgeInTurn(
      tries.map((it) => it.move.design),
      (own, index) => {
        const it = tries[index];
        const missing = own ? missingIn(own) : Infinity;
        if (it && missing <= lack + 1e-9) {
          [taken, verdict, lack] = [it, own, missing];
          return true;
        }
        if (it) refused.add(it.move.id);
        return false;
      },
    );
    if (!taken) break;
    steps.push({ move: taken.move.id, before: cost, after: taken.cost });
    ({ seen, cost } = taken);
    design = taken.move.design;
  }
  return { design, seen, verdict, looks, steps, burden: burdenOf(design, start, seen, catalogue) };
}

interface Tried {
  readonly move: Move;
  readonly seen: Seen;
  readonly cost: number;
}
