import Dexie from 'dexie';
import equal from 'fast-deep-equal';
import { Design, mergeDesigns, type FieldClash } from '@/core/document';
import type { DesignRow, RinconDatabase, StepRow } from './database';
import { openRow } from './openRow';
import { markOf, trailOn } from './trail';
import { thisWindow, type Windows } from './windows';
import { RefusedWrite, written } from './written';

/** Steps kept for undo; older ones are let go. */
export const MAX_STEPS = 200;

export async function createDesign(
  db: RinconDatabase,
  design: Design,
  now: number,
  trail: readonly string[] = [],
): Promise<void> {
  await db.transaction('rw', db.designs, db.steps, () => begin(db, design, now, trail));
}

async function begin(
  db: RinconDatabase,
  design: Design,
  now: number,
  trail: readonly string[],
): Promise<DesignRow> {
  written(Design, design);
  const row: DesignRow = {
    id: design.id,
    design,
    cursor: 0,
    revision: 1,
    updated: now,
    deleted: 0,
    trail: trailOn(trail, markOf(design)),
  };
  await db.designs.add(row);
  await db.steps.put({ designId: design.id, seq: 0, label: 'start', design, gesture: null });
  return row;
}

/** What became of an edit as it was written. */
export interface Saved {
  readonly row: DesignRow;
  /** Whether another window had written in between, and what both did was merged. */
  readonly merged: boolean;
  /** Fields both set differently: what the other one set stands. */
  readonly clashes: readonly FieldClash[];
}

export interface DesignEdit {
  /** What the edit was made on, and the revision it was read at. */
  readonly base: Design;
  readonly revision: number;
  readonly design: Design;
  readonly label: string;
  readonly gesture: string | null;
  /** The window it was made in. */
  readonly by?: string;
  readonly kind?: StepRow['kind'];
  /** Marks of states that went into it. */
  readonly from?: readonly string[];
}

/**
 * Writes an edit and its undo step in one transaction. Where another window has written since `revision`, what both did
 * is merged. A design that lies in the bin takes the edit there; one that is gone for good comes back with it.
 * @throws where what stands there cannot be read by this version
 */
export async function saveDesign(db: RinconDatabase, edit: DesignEdit, now: number): Promise<Saved> {
  return db.transaction('rw', db.designs, db.steps, async (): Promise<Saved> => {
    const row = (await db.designs.get(edit.design.id)) ?? (await begin(db, edit.base, now, []));
    if (row.revision === edit.revision)
      return { row: await addStep(db, row, edit, now), merged: false, clashes: [] };
    const { design, clashes } = mergeDesigns(edit.base, edit.design, readableDesign(row));
    const next = equal(design, row.design) ? row : await addStep(db, row, { ...edit, design }, now);
    return { row: next, merged: true, clashes };
  });
}

function readableDesign(row: DesignRow): Design {
  const opened = openRow(row);
  if (opened.state !== 'ready')
    throw new RefusedWrite(
      'another window wrote what this one cannot read. Save this one as a file, then reload',
    );
  return opened.row.design;
}

async function addStep(
  db: RinconDatabase,
  row: DesignRow,
  { design, label, gesture, by, kind, from = [] }: Omit<DesignEdit, 'base' | 'revision'>,
  now: number,
): Promise<DesignRow> {
  await db.steps
    .where('[designId+seq]')
    .between([row.id, row.cursor + 1], [row.id, Dexie.maxKey])
    .delete();
  const last = gesture === null ? undefined : await db.steps.get([row.id, row.cursor]);
  const goesOn = last !== undefined && last.gesture === gesture && last.by === by;
  const cursor = goesOn ? row.cursor : row.cursor + 1;
  await db.steps.put({
    designId: row.id,
    seq: cursor,
    label,
    design,
    gesture,
    ...(by === undefined ? {} : { by }),
    ...(kind === undefined ? {} : { kind }),
  });
  if (cursor > MAX_STEPS) {
    await db.steps
      .where('[designId+seq]')
      .between([row.id, 0], [row.id, cursor - MAX_STEPS])
      .delete();
  }
  const trail = trailOn(row.trail, markOf(design), ...from);
  const next = { ...row, design, cursor, revision: row.revision + 1, updated: now, trail };
  await db.designs.put(next);
  return next;
}

const isOwn = (step: StepRow, windows: Windows): boolean =>
  step.by === undefined || step.by === windows.me || !windows.isOther(step.by);

interface Around {
  /** Step to be taken back, and to be brought again. */
  readonly undo: StepRow | undefined;
  readonly redo: StepRow | undefined;
}

/** The next steps of undo and redo of this window, told from all its steps: those of other windows stand between. */
async function ownSteps(db: RinconDatabase, row: DesignRow, windows: Windows): Promise<Around> {
  const steps = await db.steps
    .where('[designId+seq]')
    .between([row.id, 0], [row.id, row.cursor], true, true)
    .toArray();
  const [undo, redo]: [StepRow[], StepRow[]] = [[], []];
  // The first one kept has none before it that it could go back to.
  for (const step of steps.slice(1)) {
    if (!isOwn(step, windows)) continue;
    if (step.kind === 'undo') {
      undo.pop();
      redo.push(step);
    } else {
      if (step.kind === 'redo') redo.pop();
      else redo.length = 0;
      undo.push(step);
    }
  }
  return { undo: undo.at(-1), redo: redo.at(-1) };
}

/** Where one stands among the steps: what undo and redo reach by going to the step before or behind, or by a new one. */
async function around(db: RinconDatabase, row: DesignRow, windows: Windows): Promise<Around> {
  const [here, before, after] = await db.steps.bulkGet([
    [row.id, row.cursor],
    [row.id, row.cursor - 1],
    [row.id, row.cursor + 1],
  ]);
  const again = after && isOwn(after, windows) ? after : undefined;
  if (here && isOwn(here, windows) && here.kind === undefined) return { undo: before && here, redo: again };
  const own = await ownSteps(db, row, windows);
  return { undo: own.undo, redo: again ?? own.redo };
}

/** What undo and redo would take back or bring again; undefined where there is nothing. */
export async function stepsAround(db: RinconDatabase, row: DesignRow, windows: Windows = thisWindow()) {
  const { undo, redo } = await around(db, row, windows);
  return { undo: undo?.label, redo: redo?.label };
}

/**
 * Goes one step back (−1) or on (+1) among those of this window. Where another window has gone on since, its edits are
 * kept; a field that it has set since is left as it stands, and told.
 * @returns undefined when there is no such step
 */
export async function travel(
  db: RinconDatabase,
  id: string,
  by: -1 | 1,
  now: number,
  windows: Windows = thisWindow(),
): Promise<Saved | undefined> {
  return db.transaction('rw', db.designs, db.steps, async (): Promise<Saved | undefined> => {
    const row = await db.designs.get(id);
    if (!row) return undefined;
    const { undo, redo } = await around(db, row, windows);
    const step = by === -1 ? undo : redo;
    if (!step) return undefined;
    const isNext = step.seq === (by === -1 ? row.cursor : row.cursor + 1);
    const [before] = await db.steps.bulkGet([[id, step.seq - 1]]);
    if (isNext) {
      const to = by === -1 ? before : step;
      if (!to) return undefined;
      const next = {
        ...row,
        design: to.design,
        cursor: to.seq,
        revision: row.revision + 1,
        updated: now,
        trail: trailOn(row.trail, markOf(to.design)),
      };
      await db.designs.put(next);
      return { row: next, merged: false, clashes: [] };
    }
    if (!before) return undefined;
    const { design, clashes } = mergeDesigns(step.design, before.design, readableDesign(row));
    const edit = { design, label: step.label, gesture: null, by: windows.me } as const;
    const next = await addStep(db, row, { ...edit, kind: by === -1 ? 'undo' : 'redo' }, now);
    return { row: next, merged: true, clashes };
  });
}
