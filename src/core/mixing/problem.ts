import type { Range } from '../catalogue';
import type { Mix } from '../document/schema';
import type { Shelf } from '../ground/shopping';
import type { Property, State } from './properties';

/** Properties a mix can be held to: those that follow linearly from what goes in. */
export const BOUNDED = ['air', 'capacity', 'porosity', 'density', 'ph', 'salts', 'hold', 'decay'] as const;
export type Bounded = (typeof BOUNDED)[number] & Property;

/** One soil to be filled. */
export interface Build {
  readonly id: string;
  readonly name: string;
  /** m³ in the box after settling. */
  readonly placed: number;
  /** The recipe it should follow, and its packing loss. */
  readonly mix: Mix;
  /** Materials it may hold besides. */
  readonly besides: readonly string[];
  /** How far a share may lie from its recipe, as a share of the whole; 1 lets it be anything. */
  readonly tolerance: number;
  /** What it must come to, in that state. */
  readonly bands: Readonly<Partial<Record<Bounded, Range>>>;
  readonly state: State;
}

/** A ready-made mix in hand, all of which is to go in, and what is added should behave as it does. */
export interface Stretch {
  readonly build: string;
  readonly material: string;
  /** Loose m³ there. */
  readonly have: number;
  /** Most ingredients to make it up with. */
  readonly most: number;
}

export const GOALS = ['cheapest', 'closest', 'shelf', 'stretch'] as const;
export type Goal = (typeof GOALS)[number];

export interface MixProblem {
  readonly builds: readonly Build[];
  readonly goal: Goal;
  readonly shelf: Shelf;
  /** Materials a shop will sell; null: all. */
  readonly buyable: readonly string[] | null;
  readonly peatFree: boolean;
  /** Most that may be spent; null: any. */
  readonly budget: number | null;
  readonly stretch: Stretch | null;
}

export interface Bought {
  readonly material: string;
  readonly pack: string;
  readonly count: number;
}

export interface Made {
  readonly build: string;
  /** Loose m³ by material; what is not used is left out. */
  readonly loose: Readonly<Record<string, number>>;
  /** The same as a mix, parts in litres. */
  readonly mix: Mix;
  /** m³ it fills. */
  readonly placed: number;
}

export interface Plan {
  readonly made: readonly Made[];
  readonly bought: readonly Bought[];
  /** Loose m³ taken off the shelf, by material. */
  readonly fromShelf: Readonly<Record<string, number>>;
  /** Loose m³ bought and not needed, by material. */
  readonly leftOver: Readonly<Record<string, number>>;
  readonly price: number;
  /** Loose m³ that differ from the recipes. */
  readonly departure: number;
  /** What the goal came to, in its own measure: money, m³, or for a stretch the sum of misses in their scales. */
  readonly reached: number;
}

/** What stands in the way, and by how much. */
export type Lack =
  | { readonly what: 'material'; readonly material: string; /** loose m³ */ readonly amount: number }
  | { readonly what: 'money'; readonly amount: number }
  | { readonly what: 'band'; readonly build: string; readonly property: Bounded; readonly amount: number };

export type MixAnswer =
  | { readonly kind: 'solved'; readonly plan: Plan }
  | {
      readonly kind: 'short';
      /** Smallest additions that would let it be done. */
      readonly lacks: readonly Lack[];
      /** The nearest that works with what there is; its builds may be filled less high. */
      readonly nearest: Plan | undefined;
    };

export interface Progress {
  readonly step: number;
  readonly of: number;
  /** How far the best found may be from the best there is, as a share; 1 before anything is found. */
  readonly gap: number;
}
