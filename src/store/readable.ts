import type { IndexableType } from 'dexie';
import equal from 'fast-deep-equal';
import type { ZodType } from 'zod';
import { refusalOf } from '@/core/document';
import type { RinconDatabase } from './database';

/** A row that cannot be read: it is left alone, and all else works. */
export interface Unreadable {
  /** Of the database; or what a setting holds a list of: `materials`, `recipes`, `animals`, `plants`, `crew`, `prices`. */
  readonly table: string;
  /** The setting it stands in; left out: it is a row of its own. */
  readonly setting?: string;
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
const nameOf = ({ table, key, setting }: Pick<Unreadable, 'table' | 'key' | 'setting'>): string =>
  JSON.stringify([table, key, setting]);

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
  note(wrong);
  return sound;
}

/** Notes what cannot be read and was not met before. */
export function note(wrong: readonly Unreadable[]): void {
  const fresh = wrong.filter((it) => !met.has(nameOf(it)));
  if (fresh.length === 0) return;
  meet((known) => {
    for (const it of fresh) known.set(nameOf(it), it);
  });
}

/** A setting without some of what it holds: a list, or what stands under names. */
function without(held: unknown, rows: readonly Unreadable[]): unknown {
  if (Array.isArray(held)) return held.filter((it) => !rows.some(({ row }) => equal(row, it)));
  const gone = new Set(rows.map(({ key }) => key));
  return Object.fromEntries(Object.entries(Object(held) as object).filter(([key]) => !gone.has(key)));
}

/** Takes rows that cannot be read out of the database, for good. */
export async function takeOutUnreadable(db: RinconDatabase, rows: readonly Unreadable[]): Promise<void> {
  const tables = [...new Set(rows.map((it) => (it.setting === undefined ? it.table : 'settings')))];
  await db.transaction('rw', tables, async () => {
    for (const it of rows) if (it.setting === undefined) await db.table(it.table).delete(it.key);
    for (const key of new Set(rows.flatMap(({ setting }) => setting ?? []))) {
      const kept = await db.settings.get(key);
      const own = rows.filter(({ setting }) => setting === key);
      if (kept) await db.settings.put({ key, value: without(kept.value, own) });
    }
  });
  meet((known) => {
    for (const it of rows) known.delete(nameOf(it));
  });
}
