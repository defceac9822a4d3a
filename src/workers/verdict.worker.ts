import { expose } from 'comlink';
import type { Catalogue } from '@/core/catalogue';
import { ImpossibleClimate } from '@/core/climate';
import type { Design } from '@/core/document';
import type { Finding } from '@/core/findings';
import {
  findThree,
  perform,
  propose,
  remediesFor,
  type Answered,
  type Locks,
  type Proposal,
  type Remedies,
  type Result,
  type Searching,
  type Task,
  type Three,
} from '@/core/search';
import { judgeDesign, roomsCounted, yearFindings, type Verdict } from '@/core/verdict';

/** A verdict with the findings of its year; or why there is none. */
export type Judged =
  | { readonly ok: true; readonly verdict: Verdict; readonly findings: readonly Finding[] }
  | { readonly ok: false; readonly message: string };

/** What a search wants next: tasks, or nothing more. */
export type Step =
  | { readonly done: false; readonly tasks: readonly Task[]; readonly first: Answered | null }
  | {
      readonly done: true;
      readonly proposal: Proposal | null;
      readonly three: Three | null;
      readonly remedies: Remedies | null;
    };

/** What a search is for. */
export type Sought =
  | { readonly of: 'proposal' }
  | { readonly of: 'three'; readonly locks: Locks }
  | { readonly of: 'remedies'; readonly verdict: Verdict };

let search: Searching<Step> | undefined;
let first: Answered | null = null;

/** A proposal, a search of the best three, and one of remedies, as one kind of search. */
function* proposing(design: Design): Searching<Step> {
  const proposal = yield* propose(design, known());
  return { done: true, proposal, three: null, remedies: null };
}
function* finding(design: Design, locks: Locks): Searching<Step> {
  const three = yield* findThree(design, known(), locks, (it) => {
    first = it;
  });
  return { done: true, proposal: null, three, remedies: null };
}
function* mending(design: Design, verdict: Verdict): Searching<Step> {
  const remedies = yield* remediesFor(design, verdict, known());
  return { done: true, proposal: null, three: null, remedies };
}
function step(results: readonly Result[]): Step {
  if (!search) throw new Error('no search was begun');
  const next = search.next(results);
  return next.done ? next.value : { done: false, tasks: next.value, first };
}

let rows: Catalogue | undefined;
const known = (): Catalogue => {
  if (!rows) throw new Error('no catalogue was told');
  return rows;
};

const api = {
  /** The catalogue all that follows is asked of: sent once. */
  tell(catalogue: Catalogue): void {
    rows = catalogue;
  },
  /** The answer alone: how sure it is, is counted after. */
  judge(design: Design): Judged {
    try {
      const verdict = judgeDesign({ design, catalogue: known(), alone: true });
      if (!verdict) return { ok: false, message: 'no animal is chosen' };
      return { ok: true, verdict, findings: yearFindings(verdict, design, known()) };
    } catch (error) {
      if (error instanceof ImpossibleClimate) return { ok: false, message: error.message };
      throw error;
    }
  },
  /** How sure an answer is; null where a room cannot be played. */
  rooms(design: Design, harms: boolean): Verdict['sure'] | null {
    try {
      return roomsCounted({ design, catalogue: known(), harms });
    } catch (error) {
      if (error instanceof ImpossibleClimate) return null;
      throw error;
    }
  },
  /** Begins a search, and says what it wants first. */
  begin(design: Design, sought: Sought): Step {
    first = null;
    search =
      sought.of === 'proposal'
        ? proposing(design)
        : sought.of === 'remedies'
          ? mending(design, sought.verdict)
          : finding(design, sought.locks);
    return step([]);
  },
  /** Gives a search what it wanted. */
  next: (results: readonly Result[]): Step => step(results),
  perform: (tasks: readonly Task[]): readonly Result[] => tasks.map((it) => perform(it, known())),
};

export type VerdictApi = typeof api;
expose(api);
