import { grownIn } from '@/core/brief';
import { wrap, type Remote } from 'comlink';
import { type Catalogue } from '@/core/catalogue';
import type { Design } from '@/core/document';
import type { CrewInput, CrewRisk, CrewRun, Survey } from '@/core/living';
import type { LivingApi } from './living.worker';

let kept: { readonly worker: Worker; readonly api: Remote<LivingApi> } | undefined;

function hand() {
  if (!kept) {
    const worker = new Worker(new URL('./living.worker.ts', import.meta.url), { type: 'module' });
    kept = { worker, api: wrap<LivingApi>(worker) };
  }
  return kept;
}

/** A worker that cannot be loaded never answers: then this fails, and the next question tries anew. */
function answered<T>(ask: (api: Remote<LivingApi>) => Promise<T>): Promise<T> {
  const { worker, api } = hand();
  return new Promise<T>((resolve, reject) => {
    const fail = (event: ErrorEvent): void => {
      kept = undefined;
      reject(new Error(event.message || 'the worker could not be loaded'));
    };
    worker.addEventListener('error', fail);
    ask(api)
      .then(resolve, reject)
      .finally(() => worker.removeEventListener('error', fail));
  });
}

/** Winter and summer of the box as plants and crew meet them, from its own climate. */
export function askSurvey(design: Design, catalogue: Catalogue): Promise<Survey> {
  const animal = grownIn(design, catalogue);
  // Only what a climate needs: all animals and plants would be copied for nothing.
  const planted = new Set(design.living.plants.map((it) => it.kind));
  const part: Catalogue = {
    ...catalogue,
    animals: animal ? [animal] : [],
    recipes: [],
    living: {
      ...catalogue.living,
      plants: catalogue.living.plants.filter((it) => planted.has(it.id)),
      crew: [],
    },
  };
  return answered((api) => api.survey(design, part));
}

export interface CrewAnswer {
  readonly kind: string;
  readonly run: CrewRun;
  readonly risk: CrewRisk;
}

/** How crews fare over the months, as expected and in sampled years. */
export const askCrew = (
  asked: readonly Omit<CrewInput, 'random'>[],
  samples: number,
): Promise<readonly CrewAnswer[]> => answered((api) => api.crew(asked, samples));
