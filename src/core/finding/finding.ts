import type { RoomClimate } from '../brief';
import type { Animal, Basis, Catalogue } from '../catalogue';
import type { EditCall } from '../edits/edits';
import type { Design } from '../document/schema';
import type { Loads, PaneCheck } from '../enclosure';
import type { Drainage } from '../ground/drainage';
import type { GroundResult, LayerResult, Part } from '../ground/layers';
import type { SoilMoisture } from '../ground/moisture';
import type { Lists } from '../ground/shopping';
import type { LivingResult } from '../living/planted';
import type { ScapeResult } from '../scape/scape';
import type { Message } from '../units';

/** `severe`: an animal or a floor would suffer; `look`: worth a change; `note`: good to know; `fine`: checked. */
export type Severity = 'severe' | 'look' | 'note' | 'fine';

export type Place =
  | { readonly at: 'brief' }
  | { readonly at: 'enclosure' }
  | { readonly at: 'ground' }
  | { readonly at: 'layer'; readonly layer: string }
  | { readonly at: 'region'; readonly region: string }
  /** Something that stands in the box, or is missing from it. */
  | { readonly at: 'scape'; readonly piece?: string; readonly background?: string }
  /** What makes the climate: a device, or all of it. */
  | { readonly at: 'climate'; readonly device?: string }
  /** What lives in it beside the animal, and how the animal is kept in company. */
  | { readonly at: 'living'; readonly plant?: string; readonly crew?: string }
  /** A mix on the bench, in no box yet. */
  | { readonly at: 'mix' };

/** The gravest first. */
export const SEVERITY_RANK: Readonly<Record<Severity, number>> = { severe: 0, look: 1, note: 2, fine: 3 };

/** What came of playing a fix through: nothing is worse, it is not known yet, or the sentence of what it makes worse. */
export type Trial = 'good' | 'waits' | Message;

export interface Remedy {
  readonly label: Message;
  /** What the program would do; absent where only a person can. */
  readonly call?: EditCall;
  /** It saws into a box that stands: said beside it. */
  readonly saws?: true;
  /** Only what is good is offered; absent where it was played before it came. */
  readonly trial?: Trial;
}

/** All advice takes this form. */
export interface Finding {
  readonly code: string;
  readonly severity: Severity;
  readonly place: Place;
  readonly what: Message;
  readonly because: Message;
  readonly remedies: readonly Remedy[];
  readonly basis: Basis | 'computed';
  /** Where practitioners differ: the other school, in one line. */
  readonly otherSchool?: string;
  readonly source?: string;
  /** Plain knowledge of this box rather than something to weigh up: left out where many boxes are looked over. */
  readonly routine?: true;
}

/** What a rule may look at. */
export interface RuleContext {
  readonly design: Design;
  readonly catalogue: Catalogue;
  readonly animal: Animal | undefined;
  readonly room: RoomClimate;
  readonly layers: readonly LayerResult[];
  readonly drainage: Drainage | undefined;
  readonly ground: GroundResult;
  /** Highest ground of any part, m above the floor. */
  readonly highest: number;
  /** Soil where it is deepest, m. */
  readonly deepestSoil: number;
  readonly emptyMass: number;
  readonly standingMass: number;
  readonly loads: Loads;
  readonly panes: PaneCheck | undefined;
  /** Of every part of the floor that drains. */
  readonly moistures: readonly { readonly part: Part; readonly moisture: SoilMoisture }[];
  readonly lists: Lists;
  readonly scape: ScapeResult;
  readonly living: LivingResult;
}

export type Rule = (looked: RuleContext) => readonly Finding[];

/** What presses after a change and did not before, by its code; or has become severe. */
export function newlyPressing(before: readonly Finding[], after: readonly Finding[]): readonly Finding[] {
  const presses = (it: Finding): boolean => it.severity === 'severe' || it.severity === 'look';
  const known = new Set(before.filter(presses).map((it) => it.code));
  const severe = new Set(before.filter((it) => it.severity === 'severe').map((it) => it.code));
  return after.filter(
    (it) => presses(it) && (!known.has(it.code) || (it.severity === 'severe' && !severe.has(it.code))),
  );
}
