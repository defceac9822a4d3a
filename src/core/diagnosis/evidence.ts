import type { EditCall } from '../edits';
import { asMessage, type Message } from '../units';
import type { Cause, Evidence } from './types';

/** A cause as it is written down: evidence that does not apply is null. */
export interface Draft extends Omit<
  Cause,
  'score' | 'share' | 'since' | 'evidence' | 'edits' | 'vet' | 'caution' | 'basis'
> {
  readonly since?: number | null;
  /** What it is worth before anything is looked at: natural logarithm of the odds. */
  readonly prior: number;
  readonly evidence: readonly (Evidence | null)[];
  readonly edits?: readonly EditCall[];
  readonly caution?: Cause['caution'];
}

export const read = (words: string | Message, weight: number): Evidence => ({
  words: asMessage(words),
  weight,
  from: 'readings',
});
export const drawn = (words: string, weight: number): Evidence => ({
  words: asMessage(words),
  weight,
  from: 'design',
});

/** A cause with what speaks for it summed. */
export const finish = ({
  prior,
  evidence,
  edits = [],
  caution = null,
  since = null,
  ...rest
}: Draft): Cause => {
  const held = evidence.filter((it): it is Evidence => it !== null);
  return {
    ...rest,
    edits,
    caution,
    since,
    share: 0,
    vet: null,
    evidence: held,
    score: prior + held.reduce((sum, it) => sum + it.weight, 0),
    basis: 'practice',
  };
};
