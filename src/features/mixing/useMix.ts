import { useEffect, useRef, useState } from 'react';
import type { Catalogue } from '@/core/catalogue';
import type { MixAnswer, MixProblem, Progress } from '@/core/mixing';
import { startMix, Stopped, type Running } from '@/workers/mixing';

/** How far a question is: at rest, at work, answered, stopped, or failed. */
export type Work =
  | { readonly at: 'rest' }
  | { readonly at: 'work'; readonly progress: Progress }
  | {
      readonly at: 'done';
      readonly answer: MixAnswer;
      readonly problem: MixProblem;
      readonly seconds: number;
    }
  | { readonly at: 'stopped' }
  | { readonly at: 'failed'; readonly message: string };

/** Works one question out at a time; leaving stops it. */
export function useMix(catalogue: Catalogue): {
  readonly work: Work;
  readonly start: (problem: MixProblem) => void;
  readonly stop: () => void;
} {
  const [work, setWork] = useState<Work>({ at: 'rest' });
  const running = useRef<Running | undefined>(undefined);
  useEffect(() => () => running.current?.stop(), []);
  const start = (problem: MixProblem): void => {
    setWork({ at: 'work', progress: { step: 0, of: 1, gap: 1 } });
    const run = startMix(problem, catalogue, (progress) =>
      setWork((now) => (now.at === 'work' && running.current === run ? { at: 'work', progress } : now)),
    );
    running.current = run;
    run.done
      .then(({ answer, seconds }) => {
        if (running.current !== run) return;
        setWork({ at: 'done', answer, problem, seconds });
      })
      .catch((cause: unknown) => {
        if (running.current !== run) return;
        setWork(
          cause instanceof Stopped
            ? { at: 'stopped' }
            : { at: 'failed', message: cause instanceof Error ? cause.message : String(cause) },
        );
      });
  };
  return { work, start, stop: () => running.current?.stop() };
}
