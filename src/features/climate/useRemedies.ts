'use client';

import { useEffect, useState } from 'react';
import type { Catalogue } from '@/core/catalogue';
import type { Design } from '@/core/document';
import type { Finding } from '@/core/findings';
import type { Remedies } from '@/core/search';
import type { Verdict, VerdictState } from '@/core/verdict';
import { startRemedies } from '@/workers/finder';

/** ms after a verdict is known before remedies are played. */
const REST = 400;

/**
 * Findings of the climate with remedies that were played through: none is offered that breaks something else. They come a
 * moment after the verdict; those of an older design are not shown.
 */
export function useRemedies(
  design: Design,
  catalogue: Catalogue,
  verdict: VerdictState,
  findings: readonly Finding[],
): readonly Finding[] {
  const [found, setFound] = useState<{ readonly of: Design; readonly remedies: Remedies } | null>(null);
  const judged = verdict.at === 'known' && verdict.verdict.answer !== 'holds' ? verdict.verdict : null;
  // The count of rooms comes after the verdict and changes nothing here: one verdict a design is enough.
  const [of, setOf] = useState<{ readonly design: Design; readonly verdict: Verdict } | null>(null);
  if (judged && of?.design !== design) setOf({ design, verdict: judged });
  const wanted = judged && of?.design === design ? of.verdict : null;
  useEffect(() => {
    if (!wanted) return undefined;
    let stop: () => void = () => undefined;
    let live = true;
    const timer = setTimeout(() => {
      const search = startRemedies(design, wanted, catalogue);
      stop = search.stop;
      search.done.then(
        (remedies) => live && setFound({ of: design, remedies }),
        // Without them the search is still there.
        () => undefined,
      );
    }, REST);
    return () => {
      live = false;
      clearTimeout(timer);
      stop();
    };
  }, [wanted, design, catalogue]);
  if (found?.of !== design) return findings;
  return findings.map((it) => {
    const own = found.remedies[it.code];
    return own && own.length > 0 ? { ...it, remedies: [...it.remedies, ...own] } : it;
  });
}
