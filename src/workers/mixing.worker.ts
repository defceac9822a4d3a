import { expose } from 'comlink';
import highsLoader from 'highs';
import type { Catalogue } from '@/core/catalogue';
import { solveMix, type MixProblem, type Progress } from '@/core/mixing';
import { runWith } from './highs';

// Loaded once for as long as the worker lives.
let loading: ReturnType<typeof highsLoader> | undefined;

const api = {
  async solve(problem: MixProblem, catalogue: Catalogue, onProgress: (progress: Progress) => void) {
    loading ??= highsLoader({ locateFile: (file) => `/solver/${file}` });
    return solveMix(problem, catalogue, runWith(await loading), onProgress);
  },
};

export type MixingApi = typeof api;
expose(api);
