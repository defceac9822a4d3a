import { expose } from 'comlink';
import type { Catalogue } from '@/core/catalogue';
import { ImpossibleClimate } from '@/core/climate';
import type { Design } from '@/core/design';
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

let search: Searching<Step> | undefined;
let first: Answered | null = null;

/** A proposal, and a search of the best three, as one kind of search. */
function* proposing(design: Design): Searching<Step> {
  const proposal = yield* propose(design, known());
  // At the end in other rooms too: how sure it is belongs to the answer.
  const verdict = proposal.verdict && judgeDesign({ design: proposal.design, catalogue: known() });
  return { done: true, proposal: { ...proposal, verdict }, three: null, remedies: null };
}
function* finding(design: Design, locks: Locks): Searching<Step> {
  const three = yield* findThree(design, known(), locks, (it) => {
    first = it;
  });
  return { done: true, proposal: null, three, remedies: null };
}
function* mending(design: Design): Searching<Step> {
  const verdict = judgeDesign({ design, catalogue: known(), alone: true });
  const remedies = verdict ? yield* remediesFor(design, verdict, known()) : {};
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
  begin(design: Design, asked: Locks | 'proposal' | 'remedies'): Step {
    first = null;
    search =
      asked === 'proposal'
        ? proposing(design)
        : asked === 'remedies'
          ? mending(design)
          : finding(design, asked);
    return step([]);
  },
  /** Gives a search what it wanted. */
  next: (results: readonly Result[]): Step => step(results),
  perform: (tasks: readonly Task[]): readonly Result[] => tasks.map((it) => perform(it, known())),
};

export type VerdictApi = typeof api;
expose(api);
