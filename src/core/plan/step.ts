import type { CautionStep } from '../catalogue';
import type { Measure as Unit, Message } from '../units';
import type { Days } from './network';

export const PHASES = [
  'box',
  'background',
  'ground',
  'scape',
  'climate',
  'living',
  'settling',
  'animal',
] as const;
export type Phase = (typeof PHASES)[number];

/** What must hold before an animal moves in. */
export const GATES = ['smell', 'band', 'crew', 'rooted', 'water', 'locks', 'quarantine', 'tests'] as const;
export type GateId = (typeof GATES)[number];

/** Something to measure at a named point, and what is right. */
export interface Measure {
  readonly what: string;
  readonly wanted: Message;
  /** What the number that is read must lie within, SI; left out: it is told in words. */
  readonly band?: Band;
}

export interface Band {
  readonly unit: Unit;
  readonly low: number | null;
  readonly high: number | null;
}

/** One step of a build. */
export interface Step {
  readonly id: string;
  readonly phase: Phase;
  readonly title: string;
  readonly why: string;
  readonly tools: readonly string[];
  /** What goes in, with its amounts. */
  readonly amounts: readonly Message[];
  /** Minutes of work. */
  readonly hands: number;
  /** Days to wait after it; null: none. */
  readonly wait: Days | null;
  readonly waitFor?: string;
  readonly after: readonly string[];
  readonly cautions: readonly CautionStep[];
  readonly measures: readonly Measure[];
  /** Ids of materials, pieces, backgrounds, devices, plants and crew that it puts in. */
  readonly holds: readonly string[];
  /** The gate that opens when it is done. */
  readonly gate?: GateId;
}
