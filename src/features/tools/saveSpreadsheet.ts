import { findAnimal, type Catalogue } from '@/core/catalogue';
import { localDay } from '@/core/time';
import { animalsTable, enclosuresTable, equipmentTable, logTable, xlsxOf } from '@/files';
import { belongingsOf, listDesigns, type RinconDatabase } from '@/store';
import { download } from '@/ui/download';

/** Saves enclosures, animals, log and equipment as one spreadsheet, a sheet for each. */
export async function saveSpreadsheet(db: RinconDatabase, catalogue: Catalogue): Promise<void> {
  const rows = await listDesigns(db);
  const designs = rows.flatMap((it) => (it.state === 'ready' ? [it.row.design] : []));
  const { log, animals, equipment } = await belongingsOf(db, null);
  const blob = await xlsxOf([
    enclosuresTable(designs, (id) => findAnimal(catalogue, id)?.english),
    animalsTable(animals, designs),
    logTable(log, designs, animals),
    equipmentTable(equipment, designs),
  ]);
  download(`rincon-${localDay(Date.now())}.xlsx`, blob, blob.type);
}
