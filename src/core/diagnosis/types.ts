import type { Message } from '../units';
import type { Basis } from '../catalogue';
import type { CautionStep } from '../catalogue';
import type { EditCall } from '../edits';

/** What one can see, smell or read. */
export const SIGNS = [
  { id: 'fogged', words: 'Glass is fogged for long', group: 'air' },
  { id: 'dry', words: 'Too dry, or dry nights', group: 'air' },
  { id: 'wet', words: 'Too wet', group: 'air' },
  { id: 'cold', words: 'Too cold', group: 'air' },
  { id: 'hot', words: 'Too hot', group: 'air' },
  { id: 'probe', words: 'A probe reads the impossible', group: 'air' },
  { id: 'sour', words: 'Sour or rotten smell', group: 'soil' },
  { id: 'water-high', words: 'Water stands at the barrier', group: 'soil' },
  { id: 'sinking', words: 'Soil is sinking', group: 'soil' },
  { id: 'mould', words: 'Mould', group: 'soil' },
  { id: 'gnats', words: 'Small flies', group: 'soil' },
  { id: 'mites', words: 'Mites', group: 'soil' },
  { id: 'yellow', words: 'Plants turn yellow', group: 'plants' },
  { id: 'leggy', words: 'Plants grow thin and long', group: 'plants' },
  { id: 'rotting', words: 'Plants rot', group: 'plants' },
  { id: 'crew-gone', words: 'No crew is seen', group: 'crew' },
  { id: 'crew-many', words: 'Too many of the crew', group: 'crew' },
  { id: 'stuck-shed', words: 'A shed that stuck', group: 'animal' },
  { id: 'off-food', words: 'Off its food', group: 'animal' },
  { id: 'listless', words: 'Listless, or weak in its legs', group: 'animal' },
  { id: 'unwell', words: 'Gasping, limp, swollen, bleeding or hurt', group: 'animal' },
] as const;
export type SignId = (typeof SIGNS)[number]['id'];

/** One thing that speaks for a cause, or against it. */
export interface Evidence {
  readonly words: Message;
  /** How much it speaks for it: natural logarithm of the odds; negative against. */
  readonly weight: number;
  readonly from: 'design' | 'readings' | 'forecast' | 'log' | 'sign';
}

export interface Cause {
  readonly id: string;
  readonly what: string;
  readonly evidence: readonly Evidence[];
  /** Sum of the weights, with what it is worth from the start. */
  readonly score: number;
  /** How probable it is, 0 to 1, among all that is told and that nothing is wrong. */
  readonly share: number;
  /** Since when, as far as it can be told, ms since 1970; null: it cannot. */
  readonly since: number | null;
  /** What to look at next. */
  readonly check: string;
  /** What to do, in words; and as an edit to try in Climate, where it is one. */
  readonly change: string;
  readonly edits: readonly EditCall[];
  /** When a veterinarian is to be called at once. */
  readonly vet: string | null;
  readonly caution: CautionStep | null;
  readonly basis: Basis;
}

/** A place that is not as the animal wants it, over the last days. */
export interface Outside {
  readonly series: string;
  readonly words: Message;
  readonly side: 'low' | 'high';
  /** It lies beyond what is borne without harm. */
  readonly harm: boolean;
}

export interface Diagnosis {
  /** A cause is named; several are possible and what to check tells them apart; or nothing is amiss. */
  readonly verdict: 'named' | 'cannot tell' | 'nothing';
  /** The likeliest first. */
  readonly causes: readonly Cause[];
  /** Signs that the readings gave by themselves. */
  readonly read: readonly { readonly sign: SignId; readonly words: Message }[];
  /** Since when the box is otherwise for good, to about a day, ms since 1970; null: it is not, or only since some hours. */
  readonly since: number | null;
  /** What to check or measure where it cannot be told yet. */
  readonly next: Message | null;
  /** What lies outside what the animal wants, day after day, changed or not. */
  readonly outside: readonly Outside[];
}
