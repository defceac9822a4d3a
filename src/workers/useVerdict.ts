'use client';

import { useEffect, useSyncExternalStore } from 'react';
import type { Catalogue } from '@/core/catalogue';
import type { Design } from '@/core/document';
import type { VerdictState } from '@/core/verdict';
import { onVerdicts, verdictNow, wantVerdict } from './verdicts';

/** ms of rest after an edit before a design is judged anew. */
const REST = 250;
const SERVER: VerdictState = { at: 'calculating' };

/**
 * The verdict of a design, calculated in the background; the moment the design changes it is being calculated again.
 * @param inSight it is looked at: such come first; false: when there is time; null: not asked for at all
 */
export function useVerdict(
  design: Design,
  catalogue: Catalogue,
  inSight: boolean | null = true,
): VerdictState {
  useEffect(() => {
    if (inSight === null) return undefined;
    let take: () => void = () => undefined;
    const timer = setTimeout(() => {
      take = wantVerdict(design, catalogue, inSight);
    }, REST);
    return () => {
      clearTimeout(timer);
      take();
    };
  }, [design, catalogue, inSight]);
  return useSyncExternalStore(
    onVerdicts,
    () => verdictNow(design, catalogue),
    () => SERVER,
  );
}
