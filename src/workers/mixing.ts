import { proxy, wrap, type Remote } from 'comlink';
import type { Catalogue } from '@/core/catalogue';
import type { MixAnswer, MixProblem, Progress } from '@/core/mixing';
import type { MixingApi } from './mixing.worker';

export interface Running {
  /** With the seconds it took, loading included. Rejects when the solver fails or was stopped. */
  readonly done: Promise<{ readonly answer: MixAnswer; readonly seconds: number }>;
  readonly stop: () => void;
}

/** Said by the answer of a question that was stopped. */
export class Stopped extends Error {
  constructor() {
    super('stopped');
  }
}

let kept: { readonly worker: Worker; readonly api: Remote<MixingApi> } | undefined;

/** The worker, kept between questions so that the solver is loaded once. */
function open() {
  if (!kept) {
    const worker = new Worker(new URL('./mixing.worker.ts', import.meta.url), { type: 'module' });
    kept = { worker, api: wrap<MixingApi>(worker) };
  }
  return kept;
}

/** Puts a question to the solver. One at a time: a worker that is busy hears nothing, so stopping ends it. */
export function startMix(
  problem: MixProblem,
  catalogue: Catalogue,
  onProgress: (progress: Progress) => void,
): Running {
  const began = performance.now();
  const here = open();
  let reject: (reason: Error) => void = () => undefined;
  const end = (): void => {
    here.worker.terminate();
    if (kept === here) kept = undefined;
  };
  const stopped = new Promise<never>((_, refuse) => {
    reject = refuse;
    // A worker that cannot be loaded never answers.
    here.worker.addEventListener('error', (event) => {
      end();
      refuse(new Error(event.message || 'the solver could not be loaded'));
    });
  });
  // Only what it needs: a catalogue of animals would be copied for nothing.
  const { materials, recipes, scape, climate, living } = catalogue;
  const answer = here.api.solve(
    problem,
    { materials, recipes, scape, climate, living, animals: [] },
    proxy(onProgress),
  );
  return {
    done: Promise.race([answer, stopped]).then((found) => ({
      answer: found,
      seconds: (performance.now() - began) / 1000,
    })),
    stop: () => {
      end();
      reject(new Stopped());
    },
  };
}
