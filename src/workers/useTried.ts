'use client';

import { useEffect, useMemo, useState, useSyncExternalStore } from 'react';
import { assess } from '@/core/assess';
import type { Catalogue } from '@/core/catalogue';
import type { Design } from '@/core/document';
import { applyEdit, type EditCall } from '@/core/edits';
import { newlyPressing, type Finding, type Trial } from '@/core/findings';
import { worseIn, type VerdictState } from '@/core/verdict';
import { useOpenDesign, useStore } from '@/store';
import { useVerdict } from './useVerdict';
import { verdictKey } from './verdictKey';
import { onVerdicts, verdictNow, wantVerdict } from './verdicts';

/** ms of rest after an edit before fixes are tried. */
const REST = 300;

interface Tried {
  readonly of: Design;
  readonly catalogue: Catalogue;
  /** By the call as text: the design it leads to, and what rules find in it that they did not find before. */
  readonly by: ReadonlyMap<string, { readonly design: Design; readonly brings: Trial }>;
}

/** Fixes a rule thought of; those a search found were played before they came. */
const untried = (call: EditCall | undefined): call is EditCall =>
  call !== undefined && call.edit !== 'adoptFound';

/**
 * Findings of the open design whose fixes were played through: one that makes anything else worse, by the rules or by the
 * forecast, says so and is not offered. Until that is known a fix waits.
 */
export function useTried(findings: readonly Finding[]): readonly Finding[] {
  const { catalogue } = useStore();
  const { design } = useOpenDesign();
  const verdict = useVerdict(design, catalogue);
  const calls = JSON.stringify(
    findings.flatMap((it) => it.remedies.flatMap(({ call }) => (untried(call) ? [call] : []))),
  );
  const [tried, setTried] = useState<Tried | null>(null);
  const judged = verdict.at !== 'calculating';
  useEffect(() => {
    if (!judged || calls === '[]') return undefined;
    const wishes: (() => void)[] = [];
    const timer = setTimeout(() => {
      const now = assess(design, catalogue).findings;
      const by = new Map(
        (JSON.parse(calls) as EditCall[]).map((call) => {
          const after = applyEdit(design, call, catalogue);
          const [brings] = newlyPressing(now, assess(after, catalogue).findings);
          if (!brings) wishes.push(wantVerdict(after, catalogue, false, false));
          return [JSON.stringify(call), { design: after, brings: brings ? brings.what : 'good' }] as const;
        }),
      );
      setTried({ of: design, catalogue, by });
    }, REST);
    return () => {
      clearTimeout(timer);
      wishes.forEach((take) => take());
    };
  }, [design, catalogue, calls, judged]);
  const own = tried?.of === design && tried.catalogue === catalogue ? tried : null;
  // A text of what is known, so that only news of these designs draws the list anew.
  const known = useSyncExternalStore(
    onVerdicts,
    () => (own ? [...own.by.values()].map((it) => verdictNow(it.design, catalogue).at).join(' ') : ''),
    () => '',
  );
  return useMemo(() => {
    // Without workers nothing is forecast, and a fix is worth what its rule says.
    if (typeof Worker === 'undefined' || known === null) return findings;
    return findings.map((finding) => ({
      ...finding,
      remedies: finding.remedies.map((remedy) => {
        if (!untried(remedy.call)) return remedy;
        const trial = own?.by.get(JSON.stringify(remedy.call));
        if (!trial) return { ...remedy, trial: 'waits' as const };
        return {
          ...remedy,
          trial: trial.brings === 'good' ? trialOf(design, verdict, trial.design, catalogue) : trial.brings,
        };
      }),
    }));
  }, [findings, own, known, design, verdict, catalogue]);
}

function trialOf(from: Design, verdict: VerdictState, to: Design, catalogue: Catalogue): Trial {
  // Nothing the climate hangs on is touched.
  if (verdict.at !== 'known' || verdictKey(from, catalogue) === verdictKey(to, catalogue)) return 'good';
  const after = verdictNow(to, catalogue);
  switch (after.at) {
    case 'calculating':
      return 'waits';
    case 'known':
      return worseIn(verdict.verdict, after.verdict) ?? 'good';
    case 'failed':
    case 'unasked':
    case 'undescribed':
      return 'good';
  }
}
