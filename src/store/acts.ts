import equal from 'fast-deep-equal';
import { DAY_MS } from '@/core/physics/constants';
import type { Catalogue } from '@/core/catalogue';
import { Design } from '@/core/document';
import type { EditCall } from '@/core/edits';
import type { Draft, Effect } from '@/core/log';
import { asOf } from '@/core/brief/age';
import { homeOf, leave, moveTo, type AnimalRecord, type CultureAct } from '@/core/records';
import { localDay } from '@/core/time';
import type { RinconDatabase } from './database';
import { changeDesign, loadDesign } from './designs';
import { fetchEdits } from './edits';
import { strike, writeEntries } from './log';
import type { SmallPicture } from './pictures';
import { changeRecord, listRecords } from './records';
import { saveDesign } from './steps';
import { thisWindow } from './windows';
import { RefusedWrite, written } from './written';

/** A change of an enclosure that is told in its log. */
export interface ToldEdit {
  readonly design: string;
  readonly call: EditCall;
  readonly drafts: readonly Draft[];
  /** Moment the lines are of. */
  readonly at: number;
}

/**
 * An enclosure is changed and its log says so: both, or neither. Gives how both are taken back; what was changed otherwise
 * since then stays.
 * @throws where the enclosure is gone, or what came of it could not be read again
 */
export async function editAndTell(
  db: RinconDatabase,
  { design: id, call, drafts, at }: ToldEdit,
  catalogue: Catalogue,
  now: number,
): Promise<() => Promise<void>> {
  const all = [db.designs, db.steps, db.log, db.pictures];
  const by = thisWindow().me;
  hasCome(localDay(at), now);
  const { applyEdit, EDIT_LABELS } = await fetchEdits();
  return db.transaction('rw', all, async () => {
    const loaded = await loadDesign(db, id);
    if (loaded.state !== 'ready') throw new RefusedWrite('the enclosure is gone. It may lie in the trash');
    const { design: base, revision } = loaded.row;
    const design = applyEdit(asOf(base, localDay(now)), call, catalogue);
    written(Design, design);
    const label = EDIT_LABELS[call.edit];
    const { row } = await saveDesign(db, { base, revision, design, label, gesture: null, by }, now);
    const lines = await writeEntries(
      db,
      drafts.map((draft) => ({ design: id, draft, at })),
      now,
    );
    return () =>
      db.transaction('rw', all, async () => {
        const later = Date.now();
        await strike(db, lines, true, later);
        const back = { base: row.design, revision: row.revision, design: base };
        await saveDesign(db, { ...back, label, gesture: null, by }, later);
      });
  });
}

/** @throws where a day has not come yet by this clock: the log holds what has happened. */
function hasCome(day: string, now: number): void {
  if (day > localDay(now))
    throw new RefusedWrite(`${day} has not come yet. Write it down once it has happened`);
}

/** A line of the log to be written, of now unless it says when. */
export interface Line {
  readonly design: string;
  readonly draft: Draft;
  readonly at?: number;
}

/** A culture that was fed on a day. */
export interface Fed {
  readonly culture: string;
  readonly on: string;
}

/** Takes back what was done; what others did since stays. */
type Back = (at: number) => Promise<void>;

/**
 * Writes lines into the log, with all that they change besides (`Effect`), in one transaction: however a thing was written
 * down, it does the same. Gives how all of it is taken back.
 * @param pictures of the first line
 * @param fed cultures that were fed as well
 */
export async function record(
  db: RinconDatabase,
  lines: readonly Line[],
  catalogue: Catalogue,
  now: number,
  pictures: readonly SmallPicture[] = [],
  fed: readonly Fed[] = [],
): Promise<() => Promise<void>> {
  const all = [db.animals, db.designs, db.steps, db.log, db.pictures, db.equipment, db.cultures];
  for (const { at = now } of lines) hasCome(localDay(at), now);
  for (const { on } of fed) hasCome(on, now);
  if (lines.some((it) => it.draft.effect)) await fetchEdits();
  return db.transaction('rw', all, async () => {
    const ids = await writeEntries(db, lines, now, pictures);
    const backs: Back[] = fed.length > 0 ? [await feedCultures(db, fed, now)] : [];
    for (const { design, draft, at = now } of lines) {
      const own = { design, animal: draft.animal ?? null, on: localDay(at) };
      if (draft.effect) backs.unshift(await carryOut(db, draft.effect, own, catalogue, now));
    }
    return () =>
      db.transaction('rw', all, async () => {
        const later = Date.now();
        await strike(db, ids, true, later);
        for (const back of backs) await back(later);
      });
  });
}

async function carryOut(
  db: RinconDatabase,
  effect: Effect,
  { design, animal, on }: { readonly design: string; readonly animal: string | null; readonly on: string },
  catalogue: Catalogue,
  now: number,
): Promise<Back> {
  if (effect.does === 'lamp') return replaceLamp(db, design, effect.device, on, catalogue, now);
  if (effect.does === 'count') return countBy(db, design, { by: effect.by, on, named: 0 }, catalogue, now);
  const record = (await listRecords(db, 'animals')).find((it) => it.id === animal);
  return record ? animalLeaves(db, record, leave(record, on), on, catalogue, now) : async () => undefined;
}

/**
 * What joined devices read is the probes read: one line a day, whichever window hears of it first. One that was struck out
 * is not written again.
 */
export async function probesRead(db: RinconDatabase, design: string, at: number, now: number): Promise<void> {
  await db.transaction('rw', db.log, db.pictures, async () => {
    const begin = at - DAY_MS;
    const near = await db.log
      .where('[design+at]')
      .between([design, begin], [design, at + DAY_MS], true, true)
      .toArray();
    if (near.some((it) => it.rule === 'probes' && localDay(it.at) === localDay(at))) return;
    const draft = {
      kind: 'reading',
      values: {},
      text: 'Read by the joined devices',
      rule: 'probes',
    } as const;
    await writeEntries(db, [{ design, draft, at }], now);
  });
}

/** The day from which a design counts a lamp, and what is written down of it. */
async function replaceLamp(
  db: RinconDatabase,
  design: string,
  device: string,
  on: string,
  catalogue: Catalogue,
  now: number,
): Promise<Back> {
  const loaded = await loadDesign(db, design);
  const before =
    loaded.state === 'ready'
      ? (loaded.row.design.climate.devices.find((it) => it.id === device)?.since ?? null)
      : null;
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
  return async (later) => {
    await lit(before, later);
    for (const { id, installed, failed, spare } of owned)
      await changeRecord(db, 'equipment', id, { installed, failed, spare }, later);
  };
}

/** An animal lives no more where it did: its record, and how many live there. */
async function animalLeaves(
  db: RinconDatabase,
  animal: AnimalRecord,
  next: AnimalRecord,
  on: string,
  catalogue: Catalogue,
  now: number,
): Promise<Back> {
  const from = homeOf(animal);
  const came = animal.homes.at(-1)?.from ?? null;
  if (came !== null && on < came)
    throw new RefusedWrite(`${animal.name} moved in on ${came}, and cannot have left before that`);
  const named = (await listRecords(db, 'animals')).filter((it) => homeOf(it) === from).length;
  await changeRecord(db, 'animals', animal.id, next, now);
  const back = from === null ? null : await countBy(db, from, { by: -1, on, named }, catalogue, now);
  return async (later) => {
    const here = (await listRecords(db, 'animals')).find((it) => it.id === animal.id);
    if (here && !equal([here.homes, here.left], [next.homes, next.left]))
      throw new RefusedWrite(`${animal.name} has moved or left since. Take that back first`);
    await changeRecord(db, 'animals', animal.id, { homes: animal.homes, left: animal.left }, later);
    await back?.(later);
  };
}

/** An animal moves to another box or to none, dies, or goes to somebody else. */
export interface Gone {
  readonly animal: AnimalRecord;
  readonly what: 'moved' | 'died' | 'given away';
  /** Where it lives from then on; null: nowhere that is written down. */
  readonly to: string | null;
  /** Day it happened, ISO 8601, and the moment its lines are written at. */
  readonly on: string;
  readonly at: number;
}

/**
 * An animal goes: its record, the lines of the boxes it leaves and comes to, and how many live in each change together. A box
 * the last one has left grows on without an animal; one that had none is lived in. Gives how all of it is taken back.
 */
export async function animalGoes(
  db: RinconDatabase,
  { animal, what, to, on, at }: Gone,
  catalogue: Catalogue,
  now: number,
): Promise<() => Promise<void>> {
  const all = [db.animals, db.designs, db.steps, db.log, db.pictures];
  await fetchEdits();
  return db.transaction('rw', all, async () => {
    hasCome(on, now);
    const from = homeOf(animal);
    const next = what === 'moved' ? moveTo(animal, to, on) : leave(animal, on);
    const come = what === 'moved' ? to : null;
    const line = (design: string, text: string) => ({
      design,
      at,
      draft: { kind: what === 'died' ? 'death' : 'move', values: {}, text, animal: animal.id } as const,
    });
    const lines = await writeEntries(
      db,
      [
        ...(from === null ? [] : [line(from, await leavingWords(db, animal, what, come))]),
        ...(come === null ? [] : [line(come, `${animal.name} moved in.`)]),
      ],
      now,
    );
    const backs = [
      await animalLeaves(db, animal, next, on, catalogue, now),
      ...(come === null ? [] : [await countBy(db, come, { by: 1, on, named: 0 }, catalogue, now)]),
    ];
    return () =>
      db.transaction('rw', all, async () => {
        const later = Date.now();
        await strike(db, lines, true, later);
        for (const back of backs) await back(later);
      });
  });
}

async function leavingWords(
  db: RinconDatabase,
  { name }: AnimalRecord,
  what: Gone['what'],
  to: string | null,
): Promise<string> {
  if (what === 'died') return `${name} died.`;
  if (what === 'given away') return `${name} was given away.`;
  const there = to === null ? null : await loadDesign(db, to);
  return there?.state === 'ready' ? `${name} moved to ${there.row.design.name}.` : `${name} moved out.`;
}

/**
 * So many more or less live in a box; gives how that is taken back.
 * @param named how many were written down there before: one that was over the count was not among it
 */
async function countBy(
  db: RinconDatabase,
  id: string,
  { by, on, named }: { readonly by: number; readonly on: string; readonly named: number },
  catalogue: Catalogue,
  now: number,
): Promise<Back> {
  const briefOf = async (): Promise<Lived | null> => {
    const loaded = await loadDesign(db, id);
    if (loaded.state !== 'ready') return null;
    const { count, stage, since } = loaded.row.design.brief;
    return { count, stage, since };
  };
  const put = async ({ count, stage, since }: Lived, at: number): Promise<void> => {
    await changeDesign(db, id, { edit: 'setStage', change: { stage, since } }, catalogue, at);
    await changeDesign(db, id, { edit: 'setCount', change: { count } }, catalogue, at);
  };
  const before = await briefOf();
  if (!before) return async () => undefined;
  const next = by < 0 && named > before.count ? before : livingAfter(before, by, on);
  await put(next, now);
  return async (at) => {
    const here = await briefOf();
    if (!here || equal(next, before)) return;
    // What came and went since is kept.
    await put(equal(here, next) ? before : livingAfter(here, -by, on), at);
  };
}

/** How many live in a box, and whether anybody does. */
type Lived = Pick<Design['brief'], 'count' | 'stage' | 'since'>;

/** After so many came, or went: where nobody lived somebody does, where the last one went nobody. */
function livingAfter(brief: Lived, by: number, on: string): Lived {
  const { count, stage } = brief;
  const isLivedIn = stage === 'inhabited';
  if (by > 0)
    return isLivedIn ? { ...brief, count: count + by } : { count: by, stage: 'inhabited', since: on };
  if (!isLivedIn) return brief;
  return count + by > 0 ? { ...brief, count: count + by } : { count: 1, stage: 'growing-in', since: on };
}

/** Writes into the records of cultures that they were fed. */
async function feedCultures(db: RinconDatabase, fed: readonly Fed[], now: number): Promise<Back> {
  const acts = new Map<string, CultureAct[]>();
  for (const { culture, on } of fed) {
    const act: CultureAct = { id: crypto.randomUUID(), on, what: 'fed', count: null, gone: false };
    acts.set(culture, [...(acts.get(culture) ?? []), act]);
  }
  const put = async (gone: boolean, at: number): Promise<void> => {
    for (const [culture, own] of acts) {
      const ids = new Set(own.map((it) => it.id));
      await changeRecord(
        db,
        'cultures',
        culture,
        (here) => ({
          acts: [...here.acts.filter((it) => !ids.has(it.id)), ...own.map((it) => ({ ...it, gone }))],
        }),
        at,
      );
    }
  };
  await put(false, now);
  return (at) => put(true, at);
}
