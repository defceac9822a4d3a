'use client';

import { fileName, writeEnvelope } from '@/files';
import { listDesigns, listMoves, ownRows, belongingsOf, type RinconDatabase, type Settings } from '@/store';
import { localToday } from '@/ui/days';
import { download } from '@/ui/download';

/** What an export left out. */
export interface LeftOut {
  /** Weeks of readings, and pictures: they are in a backup alone. */
  readonly more: number;
  /** Enclosures that cannot be read. */
  readonly broken: number;
}

/** Saves all enclosures, with all that belongs to them, but for readings and pictures, as one file. */
export async function exportEverything(db: RinconDatabase, settings: Settings): Promise<LeftOut> {
  const rows = await listDesigns(db);
  const designs = rows.flatMap((it) => (it.state === 'ready' ? [it.row.design] : []));
  const now = new Date();
  const { prices } = settings;
  const shelf = await listMoves(db);
  const belongings = await belongingsOf(db, null);
  download(
    fileName(`rincon ${localToday(now)}`),
    writeEnvelope(designs, { prices, shelf, own: ownRows(settings), ...belongings }, now),
  );
  return {
    more: (await db.blocks.count()) + (await db.pictures.count()),
    broken: rows.filter((it) => it.state === 'broken').length,
  };
}
