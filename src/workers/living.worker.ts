import { expose } from 'comlink';
import type { Catalogue } from '@/core/catalogue';
import type { Design } from '@/core/document';
import { layGround } from '@/core/ground';
import { runCrew, sampleCrew, type CrewInput } from '@/core/living';
import { surveyOf } from '@/core/verdict';

const api = {
  survey: (design: Design, catalogue: Catalogue) => surveyOf(design, layGround(design, catalogue), catalogue),
  /** Each crew as expected, and in sampled years. */
  crew: (asked: readonly Omit<CrewInput, 'random'>[], samples: number) =>
    asked.map((it) => ({ kind: it.kind.id, run: runCrew(it), risk: sampleCrew(it, samples) })),
};

export type LivingApi = typeof api;
expose(api);
