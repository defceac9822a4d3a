import type { Where } from '../calibration';
import type { Design } from '../document/schema';
import type { ReadQuantity, Trace } from '../readings';

export type AheadQuantity = Extract<ReadQuantity, 'temperature' | 'humidity'>;

/** A measuring point whose next days are asked for. */
export interface AheadPoint {
  /** Id of its series. */
  readonly series: string;
  readonly quantity: AheadQuantity;
  /** Where it hangs: in the air of the box, on the spot that the lamps warm, or in the room. */
  readonly where: Where | 'spot' | 'room';
  readonly trace: Trace;
}

export interface AheadInput {
  readonly design: Design;
  /** Day of the year at whose midnight the traces begin. */
  readonly from: number;
  /** s from that midnight up to which all is known. */
  readonly now: number;
  readonly points: readonly AheadPoint[];
  readonly room: { readonly temperature: Trace | null; readonly humidity: Trace | null };
  /** Bottle of the misting system, s from that midnight at which it was filled last; null: there is none, or it is not known. */
  readonly filled: number | null;
}

/** The next days of one point, by the quarter of an hour. */
export interface Outlook {
  readonly series: string;
  readonly quantity: AheadQuantity;
  /** s from the midnight the traces begin with. */
  readonly t: readonly number[];
  readonly middle: readonly number[];
  /** Between which it lies, nine times in ten. */
  readonly low: readonly number[];
  readonly high: readonly number[];
}

export interface Ahead {
  readonly outlooks: readonly Outlook[];
  /** Of each outlook, courses that are as likely as each other, at its moments. */
  readonly courses: readonly (readonly (readonly number[])[])[];
  /** How many days of the record the same look ahead was tried on: what the intervals are wide by. */
  readonly tried: number;
  /** s at which the bottle of the misting system runs dry; null: not within these days, or not known. */
  readonly dry: number | null;
}
