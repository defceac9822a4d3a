import { expose } from 'comlink';
import type { Catalogue } from '@/core/catalogue';
import type { Design } from '@/core/design';
import { layGround } from '@/core/ground';
import { runCrew, sampleCrew, type CrewAsked } from '@/core/living';
import { surveyOf } from '@/core/verdict';

const api = {
  survey: (design: Design, catalogue: Catalogue) => surveyOf(design, layGround(design, catalogue), catalogue),
  /** Each crew as expected, and in sampled years. */
  crew: (asked: readonly Omit<CrewAsked, 'random'>[], samples: number) =>
    asked.map((it) => ({ kind: it.kind.id, run: runCrew(it), risk: sampleCrew(it, samples) })),
};

export type LivingApi = typeof api;
expose(api);
