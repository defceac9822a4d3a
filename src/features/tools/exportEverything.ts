'use client';

import { fileName, writeEnvelope } from '@/files';
import { listDesigns, type RinconDatabase } from '@/store';
import { download } from '@/ui/download';

/** Saves all enclosures and prices as one file. */
export async function exportEverything(
  db: RinconDatabase,
  prices: Readonly<Record<string, number>>,
): Promise<void> {
  const rows = await listDesigns(db);
  const designs = rows.flatMap((it) => (it.state === 'ready' ? [it.row.design] : []));
  const now = new Date();
  download(fileName(`rincon ${now.toISOString().slice(0, 10)}`), writeEnvelope(designs, prices, now));
}
