import { AnimalRecord, CultureRecord, EquipmentRecord, isLater, mergeCulture } from '@/core/records';
import { Series } from '@/core/readings';
import { Entry } from '@/core/log';
import type { RinconDatabase } from './database';
import { readable } from './readable';
import { marksIn } from './trail';
import { written } from './written';

/** Tables of records that are merged by their identity, and what one of each must look like. */
const SCHEMAS = {
  animals: AnimalRecord,
  cultures: CultureRecord,
  equipment: EquipmentRecord,
  series: Series,
  log: Entry,
} as const;
export type RecordTable = keyof typeof SCHEMAS;
interface RecordOf {
  readonly animals: AnimalRecord;
  readonly cultures: CultureRecord;
  readonly equipment: EquipmentRecord;
  readonly series: Series;
  readonly log: Entry;
}

/** From so many records on, what is here is asked for as a whole. */
const MANY = 500;

/** Writes records down, each unless a later version of it is here; all or none. */
export async function putRecords<T extends RecordTable>(
  db: RinconDatabase,
  table: T,
  records: readonly RecordOf[T][],
): Promise<void> {
  const into = db.table<RecordOf[T], string>(table);
  await db.transaction('rw', into, async () => {
    // Asked for at once: a file of fifty thousand lines would else be as many questions, nearly all answered by nothing.
    const known = new Set(records.length > MANY ? await into.toCollection().primaryKeys() : []);
    const asked = records.length > MANY ? records.filter((it) => known.has(it.id)) : records;
    const found = await into.bulkGet(asked.map((it) => it.id));
    const here = new Map(asked.map((it, i) => [it.id, found[i]]));
    const fresh = records.flatMap((it): readonly RecordOf[T][] => {
      const own = here.get(it.id);
      if (own === undefined) return [it];
      // Acts of both devices stand, whichever changed the culture last.
      if (table === 'cultures')
        return [mergeCulture(own as CultureRecord, it as CultureRecord) as RecordOf[T]];
      return isLater<{ readonly id: string; readonly changed: number }>(it, own) ? [it] : [];
    });
    await into.bulkPut(fresh.map((it) => written<unknown>(SCHEMAS[table], it) as RecordOf[T]));
  });
}

/** Changes a record here: made later than the version it comes from, whatever the clock says. */
export const changed = <T extends { readonly changed: number }>(record: T, now: number): T => ({
  ...record,
  changed: Math.max(now, record.changed + 1),
});

/** Some of a record, told or made from how it stands. */
export type Change<T> = Partial<T> | ((here: T) => Partial<T>);

/**
 * Changes some of a record, told or made from how it stands by then; the rest stays as the database has it, so that
 * what was changed a moment before from another field is kept. A record that is not there stays so.
 */
export async function changeRecord<T extends RecordTable>(
  db: RinconDatabase,
  table: T,
  id: string,
  part: Change<RecordOf[T]>,
  now: number,
): Promise<void> {
  const into = db.table<RecordOf[T], string>(table);
  await db.transaction('rw', into, async () => {
    const here = await into.get(id);
    if (!here) return;
    const own = typeof part === 'function' ? part(here) : part;
    await putRecords(db, table, [changed({ ...here, ...own }, now)]);
  });
}

/** Records that are not struck out. */
export async function listRecords<T extends 'animals' | 'cultures' | 'equipment'>(
  db: RinconDatabase,
  table: T,
): Promise<readonly RecordOf[T][]> {
  const all = await db.table<RecordOf[T], string>(table).toArray();
  return readable(table, all, SCHEMAS[table]).filter((it) => !it.gone);
}

/** Marks of the states designs have been in, by their id. */
async function trailsOf(
  db: RinconDatabase,
  design: string | null,
): Promise<Readonly<Record<string, readonly string[]>>> {
  const rows = await (design === null ? db.designs.toArray() : db.designs.where({ id: design }).toArray());
  return Object.fromEntries(rows.map(({ id, trail }) => [id, marksIn(trail)]));
}

/** All that belongs to one enclosure, or to all (null), struck out or not: for a file. */
export async function belongingsOf(db: RinconDatabase, design: string | null) {
  const tables = [db.designs, db.log, db.animals, db.cultures, db.equipment, db.series];
  return db.transaction('r', tables, async () => ({
    trails: await trailsOf(db, design),
    log: await (design === null ? db.log.orderBy('at').toArray() : db.log.where({ design }).sortBy('at')),
    animals: await db.animals
      // One that cannot be read may have no homes.
      .filter(
        (it: Partial<AnimalRecord>) => design === null || !!it.homes?.some((home) => home.design === design),
      )
      .toArray(),
    equipment: await (design === null ? db.equipment.toArray() : db.equipment.where({ design }).toArray()),
    // A culture belongs to no enclosure.
    cultures: design === null ? await db.cultures.toArray() : [],
    points: await (design === null ? db.series.toArray() : db.series.where({ design }).toArray()),
  }));
}
