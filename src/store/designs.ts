import Dexie from 'dexie';
import { DAY_MS } from '@/core/physics/constants';
import type { Catalogue } from '@/core/catalogue';
import { applyEdit, EDIT_LABELS, type EditCall } from '@/core/edits';
import { Design, migrate, refusalOf, type Migrated } from '@/core/document';
import type { Entry } from '@/core/log';
import type { Series } from '@/core/readings';
import type { AnimalRecord, EquipmentRecord } from '@/core/records';
import type { ShelfMove } from '@/core/shelf';
import type { DesignRow, RinconDatabase } from './database';
import { OWN_KINDS, type OwnRows } from '@/catalogue';
import { loadSettings, saveOwnRow, saveSetting } from './settings';
import { takeInLog } from './log';
import { putRecords } from './records';
import { takeInMoves } from './shelf';

/** Steps kept for undo; older ones are let go. */
export const MAX_STEPS = 200;
/** Days that what was deleted can be put back. */
export const BIN_DAYS = 30;

export type Loaded =
  | { readonly state: 'ready'; readonly row: DesignRow }
  | { readonly state: 'missing' }
  /** Stored, but no longer readable; the raw value can still be saved to a file. */
  | { readonly state: 'broken'; readonly id: string; readonly raw: unknown; readonly message: string };

/** Brings a stored row up to this version of the document, or says why that cannot be. */
export function openRow(row: DesignRow): Loaded {
  const raw: unknown = row.design;
  const broken = (message: string): Loaded => ({ state: 'broken', id: row.id, raw, message });
  if (typeof raw !== 'object' || raw === null) return broken('an enclosure is expected');
  let migrated: Migrated;
  try {
    migrated = migrate(raw as Record<string, unknown>);
  } catch (error) {
    return broken(error instanceof Error ? error.message : String(error));
  }
  if (!migrated.ok) return broken(migrated.message);
  const parsed = Design.safeParse(migrated.document);
  if (!parsed.success) {
    const { place, message } = refusalOf(parsed.error.issues[0]);
    return broken(`${place}: ${message}`);
  }
  return { state: 'ready', row: { ...row, design: parsed.data } };
}

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

export async function createDesign(db: RinconDatabase, design: Design, now: number): Promise<void> {
  await db.transaction('rw', db.designs, db.steps, async () => {
    await db.designs.add({ id: design.id, design, cursor: 0, revision: 1, updated: now, deleted: 0 });
    await db.steps.put({ designId: design.id, seq: 0, label: 'start', design, gesture: null });
  });
}

export type Saved =
  | { readonly ok: true; readonly row: DesignRow }
  | { readonly ok: false; readonly row: DesignRow | undefined };

/**
 * Writes an edit and its undo step in one transaction. Refused, with the row as it stands, when another tab has
 * written since `revision`.
 */
export async function saveDesign(
  db: RinconDatabase,
  edit: {
    readonly design: Design;
    readonly revision: number;
    readonly label: string;
    readonly gesture: string | null;
  },
  now: number,
): Promise<Saved> {
  const { design, revision, label, gesture } = edit;
  return db.transaction('rw', db.designs, db.steps, async (): Promise<Saved> => {
    const row = await db.designs.get(design.id);
    if (!row || row.deleted !== 0 || row.revision !== revision) return { ok: false, row };
    await db.steps
      .where('[designId+seq]')
      .between([design.id, row.cursor + 1], [design.id, Dexie.maxKey])
      .delete();
    const last = gesture === null ? undefined : await db.steps.get([design.id, row.cursor]);
    const cursor = last !== undefined && last.gesture === gesture ? row.cursor : row.cursor + 1;
    await db.steps.put({ designId: design.id, seq: cursor, label, design, gesture });
    if (cursor > MAX_STEPS) {
      await db.steps
        .where('[designId+seq]')
        .between([design.id, 0], [design.id, cursor - MAX_STEPS])
        .delete();
    }
    const next = { ...row, design, cursor, revision: revision + 1, updated: now };
    await db.designs.put(next);
    return { ok: true, row: next };
  });
}

/** Applies one named edit to a design that is not open. false when another window was quicker, or it is gone. */
export async function changeDesign(
  db: RinconDatabase,
  id: string,
  call: EditCall,
  catalogue: Catalogue,
  now: number,
): Promise<boolean> {
  const loaded = await loadDesign(db, id);
  if (loaded.state !== 'ready') return false;
  const { design, revision } = loaded.row;
  const next = applyEdit(design, call, catalogue);
  const saved = await saveDesign(
    db,
    { design: next, revision, label: EDIT_LABELS[call.edit], gesture: null },
    now,
  );
  return saved.ok;
}

/** What undo and redo would take back or bring again; undefined where there is nothing. */
export async function stepsAround(db: RinconDatabase, row: DesignRow) {
  const [here, before, after] = await db.steps.bulkGet([
    [row.id, row.cursor],
    [row.id, row.cursor - 1],
    [row.id, row.cursor + 1],
  ]);
  return { undo: before && here ? here.label : undefined, redo: after?.label };
}

/** Goes one step back (−1) or on (+1). undefined when there is none. */
export async function travel(
  db: RinconDatabase,
  id: string,
  by: -1 | 1,
  now: number,
): Promise<DesignRow | undefined> {
  return db.transaction('rw', db.designs, db.steps, async () => {
    const row = await db.designs.get(id);
    const step = row && (await db.steps.get([id, row.cursor + by]));
    if (!row || !step) return undefined;
    const next = {
      ...row,
      design: step.design,
      cursor: row.cursor + by,
      revision: row.revision + 1,
      updated: now,
    };
    await db.designs.put(next);
    return next;
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

/** Empties the bin of enclosures deleted up to a moment, for good, with all that belongs to them. */
export async function emptyBin(db: RinconDatabase, upTo: number): Promise<void> {
  const tables = [db.designs, db.steps, db.pictures, db.log, db.series, db.blocks, db.equipment];
  await db.transaction('rw', tables, async () => {
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

export interface TakenIn {
  readonly added: number;
  /** Already here, to the letter. */
  readonly same: number;
  /** Here, but different: kept beside the old one under a new name. */
  readonly copies: readonly string[];
}

/** Which of two designs of one enclosure is to stand: the one here, the one from the file, or both. */
export type Which = 'here' | 'file' | 'both';

/**
 * Takes designs in from a file, all or none. Nothing that stands here is overwritten unless it is chosen; then undo
 * brings it back.
 * @param which for enclosures that are here and differ, by id; both where nothing is said
 */
export async function takeIn(
  db: RinconDatabase,
  designs: readonly Design[],
  makeId: () => string,
  now: number,
  which: Readonly<Record<string, Which>> = {},
): Promise<TakenIn> {
  return db.transaction('rw', db.designs, db.steps, async () => {
    let added = 0;
    let same = 0;
    const copies: string[] = [];
    for (const [index, design] of designs.entries()) {
      const here = await db.designs.get(design.id);
      if (here && here.deleted === 0 && JSON.stringify(here.design) === JSON.stringify(design)) {
        same += 1;
        continue;
      }
      const choice = which[design.id] ?? 'both';
      if (here && here.deleted === 0 && choice === 'here') {
        same += 1;
        continue;
      }
      if (here && here.deleted === 0 && choice === 'file') {
        await saveDesign(
          db,
          { design, revision: here.revision, label: 'as the file has it', gesture: null },
          now,
        );
        added += 1;
        continue;
      }
      if (here && here.deleted !== 0) {
        // It lies in the bin: the file brings it back as the file has it.
        await db.designs.delete(design.id);
        await db.steps.where('designId').equals(design.id).delete();
      }
      const free = here === undefined || here.deleted !== 0;
      const taken = free ? design : { ...design, id: makeId(), name: `${design.name.slice(0, 70)} (file)` };
      if (free) added += 1;
      else copies.push(taken.name);
      // One millisecond apart, so that the rack keeps the order of the file.
      await createDesign(db, taken, now + index);
    }
    return { added, same, copies };
  });
}

/**
 * Takes a whole file in, designs, own rows, shelf, log and prices, all or none. What is written down here stands. The
 * log of an enclosure that is here already goes to that one, whichever design of it is kept.
 */
export async function takeInFile(
  db: RinconDatabase,
  file: {
    readonly designs: readonly Design[];
    readonly prices: Readonly<Record<string, number>>;
    readonly shelf?: readonly ShelfMove[];
    readonly own?: OwnRows;
    readonly log?: readonly Entry[];
    readonly animals?: readonly AnimalRecord[];
    readonly equipment?: readonly EquipmentRecord[];
    readonly points?: readonly Series[];
  },
  makeId: () => string,
  now: number,
  which: Readonly<Record<string, Which>> = {},
): Promise<TakenIn> {
  const tables = [db.designs, db.steps, db.settings, db.shelf, db.log, db.animals, db.equipment, db.series];
  return db.transaction('rw', tables, async () => {
    const taken = await takeIn(db, file.designs, makeId, now, which);
    if (Object.keys(file.prices).length > 0) {
      const { prices } = await loadSettings(db);
      await saveSetting(db, 'prices', { ...file.prices, ...prices });
    }
    const here = await loadSettings(db);
    await takeInMoves(db, file.shelf ?? []);
    await takeInLog(db, file.log ?? []);
    await putRecords(db, 'animals', file.animals ?? []);
    await putRecords(db, 'equipment', file.equipment ?? []);
    await putRecords(db, 'series', file.points ?? []);
    for (const kind of OWN_KINDS) {
      const known = new Set(here[kind].map((row) => row.id));
      for (const row of file.own?.[kind] ?? []) if (!known.has(row.id)) await saveOwnRow(db, kind, row);
    }
    return taken;
  });
}

/** Enclosures of a file that are here too, and differ: which of both is to stand has to be asked. */
export async function clashesWith(
  db: RinconDatabase,
  designs: readonly Design[],
): Promise<readonly { readonly here: Design; readonly file: Design }[]> {
  const rows = await db.designs.bulkGet(designs.map((it) => it.id));
  return designs.flatMap((file, i) => {
    const row = rows[i];
    if (!row || row.deleted !== 0) return [];
    const here = openRow(row);
    return here.state === 'ready' && JSON.stringify(here.row.design) !== JSON.stringify(file)
      ? [{ here: here.row.design, file }]
      : [];
  });
}
