import { z } from 'zod';

/** What every record has that is merged by its identity. */
export const held = {
  id: z.string().min(1).max(120),
  /** When it was last changed, ms since 1970: of two versions the later one holds. */
  changed: z.number().int().min(0),
  /** Struck out: kept so that a merge does not bring it back. */
  gone: z.boolean(),
};

export interface Held {
  readonly id: string;
  readonly changed: number;
}

/** Of two versions changed in the same millisecond, the same one is taken on every device. */
export const isLater = <T extends Held>(a: T, b: T): boolean =>
  a.changed !== b.changed ? a.changed > b.changed : JSON.stringify(a) > JSON.stringify(b);
