'use client';

import { useEffect, useState } from 'react';
import type { Catalogue } from '@/core/catalogue';
import type { Design } from '@/core/document';
import type { Proposal } from '@/core/search';
import { SearchStopped, startProposal, type Looking } from '@/workers/finder';
import { knowVerdict } from '@/workers/verdicts';

export type ProposalState =
  /** Nothing to hold it to yet. */
  | { readonly at: 'unasked' }
  | { readonly at: 'looking'; readonly looking: Looking | null }
  | { readonly at: 'found'; readonly proposal: Proposal; readonly seconds: number }
  | { readonly at: 'failed'; readonly message: string };

/** ms of rest after an answer before the search begins. */
const REST = 500;

/** From a quick design to one that holds, in the background; a changed answer begins anew, and nothing old is shown. */
export function useProposal(quick: Design, catalogue: Catalogue): ProposalState {
  const [state, setState] = useState<{ readonly of: Design; readonly state: ProposalState } | null>(null);
  const asked = quick.brief.animal !== null;
  useEffect(() => {
    if (!asked) return undefined;
    let stop: () => void = () => undefined;
    let live = true;
    const set = (next: ProposalState): void => {
      if (live) setState({ of: quick, state: next });
    };
    const timer = setTimeout(() => {
      const began = performance.now();
      const search = startProposal(quick, catalogue, (looking) => set({ at: 'looking', looking }));
      stop = search.stop;
      search.done.then(
        (proposal) => {
          if (!live) return;
          if (proposal.verdict) knowVerdict(proposal.design, catalogue, proposal.verdict);
          set({ at: 'found', proposal, seconds: (performance.now() - began) / 1000 });
        },
        (error: unknown) => {
          if (error instanceof SearchStopped) return;
          set({ at: 'failed', message: error instanceof Error ? error.message : String(error) });
        },
      );
    }, REST);
    return () => {
      live = false;
      clearTimeout(timer);
      stop();
    };
  }, [quick, catalogue, asked]);
  if (!asked) return { at: 'unasked' };
  return state?.of === quick ? state.state : { at: 'looking', looking: null };
}
