import Dexie from 'dexie';
import { DAY_MS } from '@/core/physics/constants';
import type { Catalogue } from '@/core/catalogue';
import type { EditCall } from '@/core/edits';
import { Design } from '@/core/document';
import { asOf } from '@/core/brief/age';
import { localDay } from '@/core/time';
import type { RinconDatabase } from './database';
import { editsHere, fetchEdits } from './edits';
import { openRow, type Loaded } from './openRow';
import { saveDesign } from './steps';
import { thisWindow } from './windows';
import { written } from './written';

/** Days that what was deleted can be put back. */
export const BIN_DAYS = 30;

/** Living designs, the oldest first. */
export async function listDesigns(db: RinconDatabase): Promise<readonly Loaded[]> {
  const rows = await db.designs.where('deleted').equals(0).toArray();
  const firsts = rows.sort((a, b) => a.updated - b.updated || a.id.localeCompare(b.id));
  return firsts.map(openRow);
}

export async function loadDesign(db: RinconDatabase, id: string): Promise<Loaded> {
  const row = await db.designs.get(id);
  return row && row.deleted === 0 ? openRow(row) : { state: 'missing' };
}

/**
 * Applies one named edit to a design that is not open. false when it is gone.
 * @throws where the result could not be read again
 */
export async function changeDesign(
  db: RinconDatabase,
  id: string,
  call: EditCall,
  catalogue: Catalogue,
  now: number,
): Promise<boolean> {
  // In a transaction they are here already: whoever began it has fetched them.
  if (!Dexie.currentTransaction) await fetchEdits();
  return db.transaction('rw', db.designs, db.steps, async () => {
    const { applyEdit, EDIT_LABELS } = editsHere();
    const loaded = await loadDesign(db, id);
    if (loaded.state !== 'ready') return false;
    const { design: base, revision } = loaded.row;
    const design = applyEdit(asOf(base, localDay(now)), call, catalogue);
    written(Design, design);
    const label = EDIT_LABELS[call.edit];
    await saveDesign(db, { base, revision, design, label, gesture: null, by: thisWindow().me }, now);
    return true;
  });
}

/** Deleting puts a design in the bin, from which `restoreDesign` brings it back with its history. */
export async function deleteDesign(db: RinconDatabase, id: string, now: number): Promise<void> {
  await db.designs.update(id, { deleted: now });
}

export async function restoreDesign(db: RinconDatabase, id: string): Promise<void> {
  await db.designs.update(id, { deleted: 0 });
}

/** Empties the bin of what has lain in it for a month. */
export async function emptyOldBin(db: RinconDatabase, now: number): Promise<void> {
  await emptyBin(db, now - BIN_DAYS * DAY_MS);
}

/** Empties the bin of pictures, and of enclosures with all that belongs to them, deleted up to a moment, for good. */
export async function emptyBin(db: RinconDatabase, upTo: number): Promise<void> {
  const tables = [db.designs, db.steps, db.pictures, db.log, db.series, db.blocks, db.equipment];
  await db.transaction('rw', tables, async () => {
    await db.pictures.where('gone').belowOrEqual(upTo).delete();
    const old = await db.designs.where('deleted').between(1, upTo, true, true).primaryKeys();
    if (old.length === 0) return;
    await db.designs.bulkDelete(old);
    await db.steps.where('designId').anyOf(old).delete();
    await db.pictures.where('design').anyOf(old).delete();
    await db.log.where('design').anyOf(old).delete();
    await db.equipment.where('design').anyOf(old).delete();
    const points = await db.series.where('design').anyOf(old).primaryKeys();
    await db.series.bulkDelete(points);
    await db.blocks.where('series').anyOf(points).delete();
  });
}
