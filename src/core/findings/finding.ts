import type { RoomClimate } from '../brief';
import type { Animal, Basis, Catalogue } from '../catalogue';
import type { EditCall } from '../design/edits';
import type { Corners, Design } from '../design/schema';
import type { Drainage } from '../ground/drainage';
import type { LayerResult } from '../ground/layers';
import type { SoilMoisture } from '../ground/moisture';
import type { Lists } from '../ground/shopping';
import type { Said } from '../units';

/** `severe`: an animal or a floor would suffer; `look`: worth a change; `note`: good to know; `fine`: checked. */
export type Severity = 'severe' | 'look' | 'note' | 'fine';

export type Place =
  | { readonly at: 'brief' }
  | { readonly at: 'enclosure' }
  | { readonly at: 'ground' }
  | { readonly at: 'layer'; readonly layer: string };

export interface Remedy {
  readonly label: Said;
  /** What the program would do; absent where only a person can. */
  readonly call?: EditCall;
}

/** All advice takes this form. */
export interface Finding {
  readonly code: string;
  readonly severity: Severity;
  readonly place: Place;
  readonly what: Said;
  readonly because: Said;
  readonly remedies: readonly Remedy[];
  readonly basis: Basis | 'computed';
  /** Where practitioners differ: the other school, in one line. */
  readonly otherSchool?: string;
  readonly source?: string;
}

/** What a rule may look at. */
export interface Looked {
  readonly design: Design;
  readonly catalogue: Catalogue;
  readonly animal: Animal | undefined;
  readonly room: RoomClimate;
  readonly layers: readonly LayerResult[];
  readonly drainage: Drainage | undefined;
  /** Upper side of the topmost layer, m above the floor. */
  readonly surface: Corners;
  /** Substrate layers together at each corner, m. */
  readonly soil: Corners;
  readonly emptyMass: number;
  readonly standingMass: number;
  readonly moisture: SoilMoisture | undefined;
  readonly lists: Lists;
}

export type Rule = (looked: Looked) => readonly Finding[];
