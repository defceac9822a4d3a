import { ownOf } from '@/core/fields/own';
import equal from 'fast-deep-equal';
import { OWN_KINDS, type OwnRows } from '@/catalogue';
import { fieldKey, mergeDesigns, withValue, Design, type FieldClash } from '@/core/document';
import type { Entry } from '@/core/log';
import type { Series } from '@/core/readings';
import type { AnimalRecord, CultureRecord, EquipmentRecord } from '@/core/records';
import type { ShelfMove } from '@/core/shelf';
import type { DesignRow, RinconDatabase } from './database';
import { takeInLog } from './log';
import { openRow } from './openRow';
import { putRecords } from './records';
import { loadSettings, saveOwnRow, saveSetting } from './settings';
import { takeInMoves } from './shelf';
import { createDesign, saveDesign } from './steps';
import { markOf } from './trail';
import { written } from './written';

export interface TakenIn {
  readonly added: number;
  /** Already here, to the letter. */
  readonly same: number;
  /** Here, but different: kept beside the old one under a new name. */
  readonly copies: readonly string[];
}

/**
 * Which of two designs of one enclosure is to stand: the one here, the one from the file, both, or both merged, with
 * the fields (as `fieldKey` writes them) in which the file is to stand where both changed the same.
 */
export type Which = 'here' | 'file' | 'both' | { readonly fromFile: readonly string[] };

/** Marks of the states designs of a file have been in, the latest first, by the id of the design. */
export type Trails = Readonly<Record<string, readonly string[]>>;

interface Joined {
  readonly design: Design;
  /** Fields set differently on both sides: what is here stands. */
  readonly clashes: readonly FieldClash[];
}

/** What both sides come to, from the last state they had in common; undefined where none is known. */
async function joined(
  db: RinconDatabase,
  row: DesignRow,
  here: Design,
  file: Design,
  trail: readonly string[],
): Promise<Joined | undefined> {
  if (trail.length === 0) return undefined;
  const steps = await db.steps.where('designId').equals(row.id).toArray();
  const known = new Map([...steps, { design: here }].map(({ design }) => [markOf(design), design]));
  const common = trail.find((mark) => known.has(mark));
  const base = common === undefined ? undefined : known.get(common);
  return base && mergeDesigns(base, file, here);
}

/**
 * Takes designs in from a file, all or none. Nothing that stands here is overwritten unless it is chosen; then undo
 * brings it back.
 * @param which for enclosures that are here and differ, by id; where nothing is said, both are merged if nothing in them
 * clashes, and both kept else
 */
export async function takeIn(
  db: RinconDatabase,
  designs: readonly Design[],
  makeId: () => string,
  now: number,
  which: Readonly<Record<string, Which>> = {},
  trails: Trails = {},
): Promise<TakenIn> {
  return db.transaction('rw', db.designs, db.steps, async () => {
    const taken = { added: 0, same: 0, copies: [] as string[] };
    for (const [index, design] of designs.entries()) {
      const row = await db.designs.get(design.id);
      const trail = ownOf(trails, design.id) ?? [];
      // One millisecond apart, so that the rack keeps the order of the file.
      const at = now + index;
      if (!row || row.deleted !== 0) {
        // It lies in the bin: the file brings it back as the file has it.
        if (row) {
          await db.designs.delete(design.id);
          await db.steps.where('designId').equals(design.id).delete();
        }
        await createDesign(db, design, at, trail);
        taken.added += 1;
        continue;
      }
      const next = await settled(db, row, design, trail, which[design.id]);
      if (next === 'copy') {
        const copy = { ...design, id: makeId(), name: `${design.name.slice(0, 70)} (file)` };
        taken.copies.push(copy.name);
        await createDesign(db, copy, at);
      } else if (equal(next, row.design)) taken.same += 1;
      else {
        const { revision } = row;
        const label = equal(next, design) ? 'as the file has it' : 'what the file has besides';
        const edit = { base: row.design, revision, design: next, label, gesture: null };
        await saveDesign(db, { ...edit, from: [markOf(design), ...trail] }, now);
        taken.added += 1;
      }
    }
    return taken;
  });
}

/** What is to stand of a design that is here and in a file. */
async function settled(
  db: RinconDatabase,
  row: DesignRow,
  file: Design,
  trail: readonly string[],
  choice: Which | undefined,
): Promise<Design | 'copy'> {
  const opened = openRow(row);
  if (opened.state !== 'ready') return choice === 'file' ? file : choice === 'here' ? row.design : 'copy';
  const here = opened.row.design;
  if (choice === 'here' || equal(here, file)) return here;
  if (choice === 'file') return file;
  if (choice === 'both') return 'copy';
  const both = await joined(db, row, here, file, trail);
  if (!both || (choice === undefined && both.clashes.length > 0)) return 'copy';
  const chosen = new Set(choice?.fromFile);
  const design = both.clashes
    .filter((it) => chosen.has(fieldKey(it)))
    .reduce((now, it) => withValue(now, it.path, it.mine), both.design);
  return written(Design, design);
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
    readonly cultures?: readonly CultureRecord[];
    readonly equipment?: readonly EquipmentRecord[];
    readonly points?: readonly Series[];
    readonly trails?: Trails;
  },
  makeId: () => string,
  now: number,
  which: Readonly<Record<string, Which>> = {},
): Promise<TakenIn> {
  const tables = [
    db.designs,
    db.steps,
    db.settings,
    db.shelf,
    db.log,
    db.animals,
    db.cultures,
    db.equipment,
    db.series,
  ];
  return db.transaction('rw', tables, async () => {
    const taken = await takeIn(db, file.designs, makeId, now, which, file.trails);
    if (Object.keys(file.prices).length > 0) {
      const { prices } = await loadSettings(db);
      await saveSetting(db, 'prices', { ...file.prices, ...prices });
    }
    const here = await loadSettings(db);
    await takeInMoves(db, file.shelf ?? []);
    await takeInLog(db, file.log ?? []);
    await putRecords(db, 'animals', file.animals ?? []);
    await putRecords(db, 'cultures', file.cultures ?? []);
    await putRecords(db, 'equipment', file.equipment ?? []);
    await putRecords(db, 'series', file.points ?? []);
    for (const kind of OWN_KINDS) {
      const known = new Set(here[kind].map((row) => row.id));
      for (const row of file.own?.[kind] ?? []) if (!known.has(row.id)) await saveOwnRow(db, kind, row);
    }
    return taken;
  });
}

/** An enclosure of a file that is here too, and differs. */
export interface Differing {
  readonly here: Design;
  readonly file: Design;
  /** Fields both changed since the last state they have in common; null where none is known. */
  readonly clashes: readonly FieldClash[] | null;
}

/** Enclosures of a file that are here too, and cannot be merged by themselves: what is to stand has to be asked. */
export async function clashesWith(
  db: RinconDatabase,
  designs: readonly Design[],
  trails: Trails = {},
): Promise<readonly Differing[]> {
  const rows = await db.designs.bulkGet(designs.map((it) => it.id));
  const found: Differing[] = [];
  for (const [i, file] of designs.entries()) {
    const row = rows[i];
    const opened = row?.deleted === 0 ? openRow(row) : undefined;
    if (!row || opened?.state !== 'ready' || equal(opened.row.design, file)) continue;
    const here = opened.row.design;
    const both = await joined(db, row, here, file, ownOf(trails, file.id) ?? []);
    if (!both) found.push({ here, file, clashes: null });
    else if (both.clashes.length > 0) found.push({ here, file, clashes: both.clashes });
  }
  return found;
}
