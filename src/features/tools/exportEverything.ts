'use client';

import { fileName, writeEnvelope } from '@/files';
import { listDesigns, listMoves, ownRows, wholeLog, type RinconDatabase, type Settings } from '@/store';
import { download } from '@/ui/download';

/** Saves all enclosures, own rows, shelf, log and prices as one file. */
export async function exportEverything(db: RinconDatabase, settings: Settings): Promise<void> {
  const rows = await listDesigns(db);
  const designs = rows.flatMap((it) => (it.state === 'ready' ? [it.row.design] : []));
  const now = new Date();
  const { prices } = settings;
  const shelf = await listMoves(db);
  const log = await wholeLog(db, null);
  download(
    fileName(`rincon ${now.toISOString().slice(0, 10)}`),
    writeEnvelope(designs, { prices, shelf, own: ownRows(settings), log }, now),
  );
}
