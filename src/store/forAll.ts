import type { Catalogue } from '@/core/catalogue';
import { Design } from '@/core/document';
import type { EditCall } from '@/core/edits';
import type { RinconDatabase } from './database';
import { loadDesign } from './designs';
import { fetchEdits } from './edits';
import { saveDesign } from './steps';
import { thisWindow } from './windows';
import { written } from './written';

/** Edits that are made in several enclosures in one step, and those that take it back, from each as it was. */
export interface EditForAll {
  readonly calls: (design: Design) => readonly EditCall[];
  readonly back: (before: Design) => readonly EditCall[];
}

/** Makes an edit in several enclosures: in all of them that can be read, or in none. Gives how it is taken back. */
export async function changeAll(
  db: RinconDatabase,
  ids: readonly string[],
  { calls, back }: EditForAll,
  catalogue: Catalogue,
  now: number,
): Promise<() => Promise<void>> {
  const { applyEdit, EDIT_LABELS } = await fetchEdits();
  const by = thisWindow().me;
  const put = async (
    id: string,
    how: (design: Design) => readonly EditCall[],
    at: number,
  ): Promise<Design | null> => {
    const loaded = await loadDesign(db, id);
    if (loaded.state !== 'ready') return null;
    const { design: base, revision } = loaded.row;
    const [first, ...more] = how(base);
    if (!first) return null;
    const design = [first, ...more].reduce((it, made) => applyEdit(it, made, catalogue), base);
    written(Design, design);
    await saveDesign(db, { base, revision, design, label: EDIT_LABELS[first.edit], gesture: null, by }, at);
    return base;
  };
  const before = new Map<string, Design>();
  await db.transaction('rw', db.designs, db.steps, async () => {
    for (const id of ids) {
      const was = await put(id, calls, now);
      if (was) before.set(id, was);
    }
  });
  return () =>
    db.transaction('rw', db.designs, db.steps, async () => {
      for (const [id, was] of before) await put(id, () => back(was), Date.now());
    });
}

/** All that came round up to a day is settled, done or not. Nothing is written into a log. */
export const settledUpTo = (day: string): EditForAll => ({
  calls: () => [{ edit: 'settleCare', change: { settled: day } }],
  back: ({ care }) => [{ edit: 'settleCare', change: { settled: care.settled } }],
});

/**
 * Enclosures stand in a room from here on.
 * @param shelf of that room; null: each keeps its own where it stood there already
 */
export const movedTo = (room: string, shelf: string | null): EditForAll => ({
  calls: () => [{ edit: 'setPlace', change: { room, ...(shelf === null ? {} : { shelf }) } }],
  back: ({ brief }) => [{ edit: 'setPlace', change: brief.place }],
});

export const putAway = (isAway: boolean): EditForAll => ({
  calls: () => [{ edit: 'setPutAway', change: { putAway: isAway } }],
  back: ({ brief }) => [{ edit: 'setPutAway', change: { putAway: brief.putAway } }],
});

/**
 * Care is put off: it is not due before a day. How often it comes stays.
 * @param rules those of each enclosure that are put off, by its id
 */
export const putOff = (rules: ReadonlyMap<string, readonly string[]>, day: string): EditForAll => ({
  calls: ({ id }) =>
    (rules.get(id) ?? []).map((rule) => ({ edit: 'changeCare', change: { rule, change: { from: day } } })),
  back: ({ id, care }) =>
    (rules.get(id) ?? []).map((rule) => ({
      edit: 'changeCare',
      change: { rule, change: { from: care.changes.find((it) => it.rule === rule)?.from ?? null } },
    })),
});
