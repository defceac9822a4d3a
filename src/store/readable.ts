import type { IndexableType } from 'dexie';
import type { ZodType } from 'zod';
import { refusalOf } from '@/core/document';
import type { RinconDatabase } from './database';

/** A row that cannot be read: it is left alone, and all else works. */
export interface Unreadable {
  readonly table: string;
  /** Its primary key, as it is stored. */
  readonly key: IndexableType;
  readonly row: unknown;
  /** Field, and what is wrong with it. */
  readonly why: string;
}

let met: ReadonlyMap<string, Unreadable> = new Map();
const listeners = new Set<() => void>();

/** Rows that were met and could not be read; the same list until it changes. */
let list: readonly Unreadable[] = [];
export const unreadableNow = (): readonly Unreadable[] => list;
export const onUnreadable = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => void listeners.delete(listener);
};

function meet(change: (rows: Map<string, Unreadable>) => void): void {
  const rows = new Map(met);
  change(rows);
  met = rows;
  list = [...rows.values()];
  listeners.forEach((it) => it());
}

/** Every row has a key: without one it could not be stored. */
const keyOf = (row: unknown): IndexableType => (row as { readonly id: IndexableType }).id;
const nameOf = ({ table, key }: Pick<Unreadable, 'table' | 'key'>): string => JSON.stringify([table, key]);

/** Those of a table's rows that are what they should be; the others are noted, and can be saved or taken out. */
export function readable<T>(table: string, rows: readonly T[], schema: ZodType): readonly T[] {
  const wrong: Unreadable[] = [];
  const sound = rows.filter((row) => {
    const { error } = schema.safeParse(row);
    if (!error) return true;
    const { place, message } = refusalOf(error.issues[0]);
    wrong.push({ table, key: keyOf(row), row, why: `${place}: ${message}` });
    return false;
  });
  const fresh = wrong.filter((it) => !met.has(nameOf(it)));
  if (fresh.length > 0)
    meet((known) => {
      for (const it of fresh) known.set(nameOf(it), it);
    });
  return sound;
}

/** Takes rows that cannot be read out of the database, for good. */
export async function takeOutUnreadable(db: RinconDatabase, rows: readonly Unreadable[]): Promise<void> {
  const tables = [...new Set(rows.map((it) => it.table))];
  await db.transaction('rw', tables, async () => {
    for (const it of rows) await db.table(it.table).delete(it.key);
  });
  meet((known) => {
    for (const it of rows) known.delete(nameOf(it));
  });
}
