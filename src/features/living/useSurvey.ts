'use client';

import { useEffect, useMemo, useRef, useState } from 'react';
import type { Assessment } from '@/core/assess';
import type { Catalogue } from '@/core/catalogue';
import type { Design } from '@/core/document';
import { guessSurvey, type Survey } from '@/core/living';
import { askSurvey } from '@/workers/living';

export interface SurveyState {
  readonly survey: Survey;
  readonly at: 'working' | 'ready' | 'failed';
  readonly message: string | null;
}

/** ms of rest after an edit before the box is surveyed anew. */
const REST = 300;

/**
 * The box as plants and crew find it: at once as it is meant to be, then, from a worker, as its climate makes it. Moving a
 * plant does not ask again: what its leaves change is looked at in Climate.
 */
export function useSurvey(design: Design, assessment: Assessment, catalogue: Catalogue): SurveyState {
  const { enclosure, ground, scape, climate, brief } = design;
  const { animal, room, stage } = brief;
  const newest = useRef(design);
  useEffect(() => {
    newest.current = design;
  });
  const key = useMemo(
    () => ({ enclosure, ground, scape, climate, animal, room, stage, catalogue }),
    [enclosure, ground, scape, climate, animal, room, stage, catalogue],
  );
  const guess = useMemo(
    () => guessSurvey(design, assessment.ground, key.catalogue),
    // The ground follows from the same parts.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [key],
  );
  const [answer, setAnswer] = useState<{
    readonly of: typeof key;
    readonly survey: Survey | null;
    readonly message: string | null;
  } | null>(null);
  useEffect(() => {
    let live = true;
    const timer = setTimeout(() => {
      askSurvey(newest.current, key.catalogue).then(
        (survey) => live && setAnswer({ of: key, survey, message: null }),
        (error: unknown) =>
          live &&
          setAnswer({
            of: key,
            survey: null,
            message: error instanceof Error ? error.message : String(error),
          }),
      );
    }, REST);
    return () => {
      live = false;
      clearTimeout(timer);
    };
  }, [key]);
  if (answer?.of !== key) return { survey: answer?.survey ?? guess, at: 'working', message: null };
  return answer.survey
    ? { survey: answer.survey, at: 'ready', message: null }
    : { survey: guess, at: 'failed', message: answer.message };
}
