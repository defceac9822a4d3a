import type { Entry } from '@/core/log';
import { DAY_MS } from '@/core/physics/constants';
import type { AnimalRecord, CultureRecord, EquipmentRecord } from '@/core/records';
import type { PictureRow, RinconDatabase } from './database';
import { BIN_DAYS, emptyBin, restoreDesign } from './designs';
import { openRow } from './openRow';
import { changeRecord } from './records';

/** Something that was deleted and can be put back. */
export type Trashed =
  | { readonly of: 'design'; readonly id: string; readonly name: string; readonly at: number }
  | { readonly of: 'log'; readonly id: string; readonly entry: Entry; readonly at: number }
  | { readonly of: 'animals'; readonly id: string; readonly record: AnimalRecord; readonly at: number }
  | { readonly of: 'cultures'; readonly id: string; readonly record: CultureRecord; readonly at: number }
  | { readonly of: 'pictures'; readonly id: string; readonly picture: PictureRow; readonly at: number }
  | { readonly of: 'equipment'; readonly id: string; readonly record: EquipmentRecord; readonly at: number };

/** What was deleted within the days it can be put back, the latest first. Lines of enclosures that are gone go with them. */
export async function listTrash(db: RinconDatabase, now: number): Promise<readonly Trashed[]> {
  const since = now - BIN_DAYS * DAY_MS;
  const rows = await db.designs.where('deleted').above(0).toArray();
  const gone = new Set(rows.map((it) => it.id));
  const struck = (it: { readonly gone?: boolean; readonly changed?: number }): boolean =>
    it.gone === true && (it.changed ?? 0) >= since;
  const [log, animals, cultures, equipment, pictures] = await Promise.all([
    db.log.filter((it) => struck(it) && !gone.has(it.design)).toArray(),
    db.animals.filter(struck).toArray(),
    db.cultures.filter(struck).toArray(),
    db.equipment.filter((it) => struck(it) && !gone.has(it.design)).toArray(),
    db.pictures.where('gone').aboveOrEqual(since).toArray(),
  ]);
  return [
    ...rows.map((row): Trashed => {
      const opened = openRow(row);
      const name = opened.state === 'ready' ? opened.row.design.name : row.id;
      return { of: 'design', id: row.id, name, at: row.deleted };
    }),
    ...log.map((entry): Trashed => ({ of: 'log', id: entry.id, entry, at: entry.changed })),
    ...animals.map((record): Trashed => ({ of: 'animals', id: record.id, record, at: record.changed })),
    ...cultures.map((record): Trashed => ({ of: 'cultures', id: record.id, record, at: record.changed })),
    ...equipment.map((record): Trashed => ({ of: 'equipment', id: record.id, record, at: record.changed })),
    ...pictures.flatMap((picture): Trashed[] =>
      gone.has(picture.design) ? [] : [{ of: 'pictures', id: picture.id, picture, at: picture.gone ?? now }],
    ),
  ].sort((a, b) => b.at - a.at);
}

/** Puts something back where it was. */
export async function putBack(db: RinconDatabase, it: Trashed, now: number): Promise<void> {
  if (it.of === 'design') await restoreDesign(db, it.id);
  else if (it.of === 'pictures') await db.pictures.update(it.id, { gone: undefined });
  else await changeRecord(db, it.of, it.id, { gone: false }, now);
}

/** Deletes the enclosures and pictures in the trash for good. Struck lines stay as struck: no merge is to bring them back. */
export const emptyTrash = (db: RinconDatabase): Promise<void> => emptyBin(db, Infinity);
