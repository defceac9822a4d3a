import { wrap, type Remote } from 'comlink';
import type { Catalogue } from '@/core/catalogue';
import type { Design } from '@/core/document';
import type { Answered, Locks, Proposal, Remedies, Result, Task, Three } from '@/core/search';
import type { Verdict } from '@/core/verdict';
import type { Sought, Step, VerdictApi } from './verdict.worker';

/** Said by a search that was stopped. */
export class SearchStopped extends Error {
  constructor() {
    super('stopped');
  }
}

export interface Looking {
  /** Designs that were played so far. */
  readonly looks: number;
  readonly seconds: number;
  /** What holds already, while better ones are sought. */
  readonly first: Answered | null;
}

export interface Search<T> {
  readonly done: Promise<T>;
  /** Ends it at once. */
  readonly stop: () => void;
}

interface Helper {
  readonly worker: Worker;
  readonly api: Remote<VerdictApi>;
}

const open = (): Helper => {
  const worker = new Worker(new URL('./verdict.worker.ts', import.meta.url), {
    type: 'module',
    name: 'years',
  });
  return { worker, api: wrap<VerdictApi>(worker) };
};

/**
 * Runs a search with two workers: one leads it and plays half of what it wants, the other the rest. Results are put back
 * in the order of the tasks, so that the answer does not hang on which is quicker.
 */
function search(
  design: Design,
  catalogue: Catalogue,
  sought: Sought,
  onProgress: (looking: Looking) => void,
): Search<Extract<Step, { done: true }>> {
  if (typeof Worker === 'undefined')
    return {
      done: Promise.reject(new Error('this browser runs no workers')),
      stop: () => undefined,
    };
  const leader = open();
  const helper = open();
  const hands = [leader, helper];
  const end = (): void => hands.forEach(({ worker }) => worker.terminate());
  let refuse: (reason: Error) => void = () => undefined;
  const broken = new Promise<never>((_, reject) => {
    refuse = reject;
  });
  for (const { worker } of hands)
    worker.addEventListener('error', (event) =>
      refuse(new Error(event.message || 'the worker could not be loaded')),
    );
  const began = performance.now();
  const work = async (): Promise<Extract<Step, { done: true }>> => {
    await Promise.all(hands.map(({ api }) => api.tell(catalogue)));
    let step = await leader.api.begin(design, sought);
    let looks = 0;
    while (!step.done) {
      const { tasks, first } = step;
      looks += tasks.length;
      onProgress({ looks, seconds: (performance.now() - began) / 1000, first });
      step = await leader.api.next(await shared(hands, tasks));
    }
    return step;
  };
  return {
    done: Promise.race([work(), broken]).finally(end),
    stop: () => {
      end();
      refuse(new SearchStopped());
    },
  };
}

/** Deals tasks out one by one, and puts their results back by number. */
async function shared(hands: readonly Helper[], tasks: readonly Task[]): Promise<readonly Result[]> {
  const results = new Array<Result | undefined>(tasks.length);
  let next = 0;
  await Promise.all(
    hands.map(async ({ api }) => {
      while (next < tasks.length) {
        const index = next;
        next += 1;
        const task = tasks[index];
        if (task) [results[index]] = await api.perform([task]);
      }
    }),
  );
  return results.map((it): Result => it ?? { of: 'look', seen: null });
}

/** A design that holds, from a first one, with its plants and crew. */
export function startProposal(
  design: Design,
  catalogue: Catalogue,
  onProgress: (looking: Looking) => void,
): Search<Proposal> {
  const { done, stop } = search(design, catalogue, { of: 'proposal' }, onProgress);
  return { done: done.then((it) => wanted(it.proposal)), stop };
}

/** The best three changes of a box as it stands. */
export function startFinding(
  design: Design,
  catalogue: Catalogue,
  locks: Locks,
  onProgress: (looking: Looking) => void,
): Search<Three> {
  const { done, stop } = search(design, catalogue, { of: 'three', locks }, onProgress);
  return { done: done.then((it) => wanted(it.three)), stop };
}

/** What single changes of a design with this verdict would mend, finding by finding: each was played before it is offered. */
export function startRemedies(design: Design, verdict: Verdict, catalogue: Catalogue): Search<Remedies> {
  const { done, stop } = search(design, catalogue, { of: 'remedies', verdict }, () => undefined);
  return { done: done.then((it) => wanted(it.remedies)), stop };
}

function wanted<T>(it: T | null): T {
  if (it === null) throw new Error('the search ended without an answer');
  return it;
}
