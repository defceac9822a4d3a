import type { Catalogue } from '@/core/catalogue';
import { Design } from '@/core/document';
import type { RinconDatabase } from './database';
import { loadDesign } from './designs';
import { fetchEdits } from './edits';
import { saveDesign } from './steps';
import { thisWindow } from './windows';
import { written } from './written';

/**
 * All that came round up to a day is settled in these enclosures, done or not: in all of them or in none. Nothing is written
 * into their logs. Gives how it is taken back.
 */
export async function settleAll(
  db: RinconDatabase,
  ids: readonly string[],
  day: string,
  catalogue: Catalogue,
  now: number,
): Promise<() => Promise<void>> {
  const { applyEdit, EDIT_LABELS } = await fetchEdits();
  const label = EDIT_LABELS.settleCare;
  const by = thisWindow().me;
  const put = async (id: string, settled: string | null, at: number): Promise<string | null | undefined> => {
    const loaded = await loadDesign(db, id);
    if (loaded.state !== 'ready') return undefined;
    const { design: base, revision } = loaded.row;
    const design = applyEdit(base, { edit: 'settleCare', change: { settled } }, catalogue);
    written(Design, design);
    await saveDesign(db, { base, revision, design, label, gesture: null, by }, at);
    return base.care.settled;
  };
  const before = new Map<string, string | null>();
  await db.transaction('rw', db.designs, db.steps, async () => {
    for (const id of ids) {
      const was = await put(id, day, now);
      if (was !== undefined) before.set(id, was);
    }
  });
  return () =>
    db.transaction('rw', db.designs, db.steps, async () => {
      for (const [id, was] of before) await put(id, was, Date.now());
    });
}
