'use client';

import { localDay } from '@/core/time';
import { fileName, MAX_BYTES, writeEnvelope } from '@/files';
import { listDesigns, listMoves, ownRows, belongingsOf, type RinconDatabase, type Settings } from '@/store';
import { download } from '@/ui/download';

/** What an export left out. */
export interface LeftOut {
  /** Nothing was saved: it is more than a file of this kind holds. */
  readonly isTooLarge: boolean;
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
  const text = writeEnvelope(designs, { prices, shelf, own: ownRows(settings), ...belongings }, now);
  // As long as it would be read: what cannot be read again is no copy.
  const isTooLarge = new Blob([text]).size > MAX_BYTES;
  if (!isTooLarge) download(fileName(`rincon ${localDay(now.getTime())}`), text);
  return {
    isTooLarge,
    more:
      (await db.blocks.count()) +
      (await db.pictures.count()) -
      (await db.pictures.where('gone').above(0).count()),
    broken: rows.filter((it) => it.state === 'broken').length,
  };
}
