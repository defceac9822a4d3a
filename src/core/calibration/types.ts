import type { Factors } from '../climate';
import type { Design } from '../document/schema';
import type { Trace } from '../readings';

/** Where a probe hung: a place of the box, or a point of it, m from the left front lower corner inside. */
export type Where =
  | 'warm'
  | 'warm high'
  | 'cool'
  | 'cool high'
  | { readonly x: number; readonly y: number; readonly z: number };

export type Quantity = 'temperature' | 'humidity';

/** What one probe wrote. */
export interface Probe {
  readonly name: string;
  readonly where: Where;
  readonly temperature: Trace | null;
  readonly humidity: Trace | null;
}

export interface CalibrationInput {
  readonly design: Design;
  /** Day of the year at whose midnight the traces begin. */
  readonly from: number;
  readonly probes: readonly Probe[];
  readonly room: { readonly temperature: Trace | null; readonly humidity: Trace | null };
}

/** Root mean square: K and share of humidity; null: nothing of the kind was read. */
export interface Errors {
  readonly temperature: number | null;
  readonly humidity: number | null;
}

/** One quantity of one probe, as it was read and as the model has it at those moments. */
export interface Shown {
  readonly name: string;
  readonly quantity: Quantity;
  readonly t: readonly number[];
  readonly read: readonly number[];
  readonly before: readonly number[];
  readonly after: readonly number[];
}

export interface Fit {
  readonly factors: Factors;
  /** Between which each factor lies, 19 times in 20, as far as the readings tell. */
  readonly intervals: Readonly<Record<keyof Factors, readonly [low: number, high: number]>>;
  /** How the room is other than it was told or read: K, and factor of its vapour; null: it was read. */
  readonly room: { readonly warmer: number | null; readonly vapour: number | null };
  /** h by which the clock of the readings is late, and was set right. */
  readonly clock: number;
  readonly before: Errors;
  readonly after: Errors;
  /** On days that were not used. */
  readonly left: Errors;
  /** The same, for each probe. */
  readonly leftOf: readonly ({ readonly name: string } & Errors)[];
  /** In the two hours after each misting of those days; null: there was none, or no humidity. */
  readonly leftAtMist: number | null;
  readonly fittedDays: number;
  readonly heldDays: number;
  /** Whether the readings tell exchange and wetness apart. */
  readonly apart: boolean;
  readonly shown: readonly Shown[];
  /** s at which the days begin that were not used. */
  readonly heldFrom: number;
}
