import { z } from 'zod';
import { dayAhead } from '../time';
import { LAST_MOMENT } from '../physics/constants';
import { mergeRecords } from '../records';

/** Sorts of entry, in the order in which they are offered. */
export const ENTRY_KINDS = [
  'reading',
  'mist',
  'feed',
  'clean',
  'droppings',
  'weight',
  'shed',
  'water-test',
  'lamp',
  'crew',
  'mould',
  'pests',
  'plant-lost',
  'plant-new',
  'repair',
  'behaviour',
  'laying',
  'eggs',
  'hatching',
  'birth',
  'death',
  'move',
  'handling',
  'care',
  'note',
] as const;
export const EntryKind = z.enum(ENTRY_KINDS);
export type EntryKind = z.infer<typeof EntryKind>;

const id = z.string().min(1).max(120);
/** What was not said need not be written. */
const amount = z.number().finite().min(0).max(1e6).nullable().default(null);
const share = z.number().min(0).max(1).nullable().default(null);

/**
 * One line of the log. It is never rewritten by another device: two logs are merged by the identity of their lines, and
 * of two versions of one line the later one holds. SI units.
 */
export const Entry = z.strictObject({
  id,
  design: id,
  /** When it happened, and when the line was last changed: ms since 1970. */
  at: z.number().int().min(0).max(LAST_MOMENT),
  changed: z.number().int().min(0).max(LAST_MOMENT),
  /** Minutes by which the clock it was written by was ahead of UTC; null: not written down. */
  ahead: z
    .number()
    .int()
    .min(-16 * 60)
    .max(16 * 60)
    .nullable()
    .default(null),
  kind: EntryKind,
  /** Of which animal, where that is known. */
  animal: id.nullable(),
  /** The care it was done for. */
  rule: id.nullable(),
  /** Left out on purpose, and said so; not the same as late. */
  outcome: z.enum(['done', 'skipped']),
  text: z.string().max(4000),
  /** Struck out: kept so that a merge does not bring it back. */
  gone: z.boolean(),
  values: z.strictObject({
    /** °C */
    temperature: z.number().finite().min(-60).max(120).nullable().default(null),
    humidity: share,
    uvIndex: amount,
    /** Where it was read. */
    point: z.string().max(80).nullable().default(null),
    /** s */
    seconds: amount,
    /** Given, left over, laid, hatched, born. */
    count: amount,
    left: amount,
    refused: z.boolean().nullable().default(null),
    /** kg */
    mass: amount,
    /** mg/L, and pH. */
    ammonia: amount,
    nitrite: amount,
    nitrate: amount,
    ph: z.number().min(0).max(14).nullable().default(null),
    /** m in the box, from its left front lower corner. */
    x: amount,
    y: amount,
    z: amount,
  }),
});
export type Entry = z.infer<typeof Entry>;
export type EntryValues = Entry['values'];

export const NO_VALUES: EntryValues = {
  temperature: null,
  humidity: null,
  uvIndex: null,
  point: null,
  seconds: null,
  count: null,
  left: null,
  refused: null,
  mass: null,
  ammonia: null,
  nitrite: null,
  nitrate: null,
  ph: null,
  x: null,
  y: null,
  z: null,
};

/** What a line changes besides the log, once it is written. */
export type Effect =
  /** A lamp was replaced: the new one counts from the day of the line. */
  | { readonly does: 'lamp'; readonly device: string }
  /** So many more live there from then on; negative: so many less. */
  | { readonly does: 'count'; readonly by: number }
  /** The animal it is about lives there no more. */
  | { readonly does: 'left' };

/** A line yet to be written: what was not said is nothing. */
export interface Draft {
  readonly kind: EntryKind;
  readonly values: Partial<EntryValues>;
  readonly text: string;
  readonly rule?: string | null;
  readonly outcome?: Entry['outcome'];
  readonly animal?: string | null;
  /** Left out: nothing. It is no part of the line that is kept. */
  readonly effect?: Effect;
}

export const entryOf = (
  draft: Draft,
  own: {
    readonly id: string;
    readonly design: string;
    readonly at: number;
    readonly changed: number;
    readonly ahead?: number | null;
  },
): Entry => ({
  ...own,
  ahead: own.ahead ?? null,
  kind: draft.kind,
  animal: draft.animal ?? null,
  rule: draft.rule ?? null,
  outcome: draft.outcome ?? 'done',
  text: draft.text.slice(0, 4000),
  gone: false,
  values: { ...NO_VALUES, ...draft.values },
});

/**
 * The lines of two devices as one log: each line once, the later version of it. Commutative, associative and
 * idempotent, so that files may be taken in in any order and twice.
 */
export const mergeLogs = (a: readonly Entry[], b: readonly Entry[]): readonly Entry[] =>
  [...mergeRecords(a, b)].sort((x, y) => x.at - y.at || (x.id < y.id ? -1 : 1));

/** What of a line tells its day. */
type Dated = Pick<Entry, 'at'> & Partial<Pick<Entry, 'ahead'>>;

/**
 * The day a line was written on, by the clock it was written by: it stays that day wherever it is read. Lines that do not tell
 * their clock are of the reader’s.
 * @param here the reader’s own day of a moment, ms since 1970
 */
export const dayOfLine = ({ at, ahead }: Dated, here: (at: number) => string): string =>
  typeof ahead === 'number' ? dayAhead(at, ahead * 60_000) : here(at);
