import type { Catalogue } from '@/core/catalogue';
import type { Draft } from '@/core/log';
import type { RinconDatabase } from './database';
import { changeDesign, loadDesign } from './designs';
import { strike, writeEntries } from './log';
import type { SmallPicture } from './pictures';
import { changeRecord, listRecords } from './records';

/** A lamp that is replaced, in its enclosure, with the line that says so. */
export interface Replaced {
  readonly design: string;
  readonly device: string;
  /** Day the new one is first lit, ISO 8601. */
  readonly on: string;
  readonly draft: Draft;
}

/**
 * A lamp is replaced: the line of the log, the day from which its design counts it, and what is written down of it change
 * together, or none of them does. Gives how all of it is taken back.
 */
export async function replaceLamp(
  db: RinconDatabase,
  { design, device, on, draft }: Replaced,
  catalogue: Catalogue,
  now: number,
  pictures: readonly SmallPicture[] = [],
): Promise<() => Promise<void>> {
  const all = [db.designs, db.steps, db.log, db.pictures, db.equipment];
  return db.transaction('rw', all, async () => {
    const loaded = await loadDesign(db, design);
    const before =
      loaded.state === 'ready'
        ? (loaded.row.design.climate.devices.find((it) => it.id === device)?.since ?? null)
        : null;
    const lines = await writeEntries(db, [{ design, draft }], now, pictures);
    const owned = (await listRecords(db, 'equipment')).filter(
      (it) => it.design === design && it.device === device,
    );
    const lit = async (since: string | null, at: number): Promise<void> => {
      const change = { edit: 'setDevice', change: { device, change: { since } } } as const;
      await changeDesign(db, design, change, catalogue, at);
    };
    await lit(on, now);
    for (const { id } of owned)
      await changeRecord(db, 'equipment', id, { installed: on, failed: null, spare: false }, now);
    return () =>
      db.transaction('rw', all, async () => {
        const later = Date.now();
        await strike(db, lines, true, later);
        await lit(before, later);
        for (const { id, installed, failed, spare } of owned)
          await changeRecord(db, 'equipment', id, { installed, failed, spare }, later);
      });
  });
}
