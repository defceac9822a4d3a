import equal from 'fast-deep-equal';
import type { Catalogue } from '@/core/catalogue';
import type { Design } from '@/core/document';
import type { Draft } from '@/core/log';
import { homeOf, leave, moveTo, type AnimalRecord } from '@/core/records';
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
  return db.transaction('rw', all, async () => {
    const from = homeOf(animal);
    const next = what === 'moved' ? moveTo(animal, to, on) : leave(animal, on);
    const named = (await listRecords(db, 'animals')).filter((it) => homeOf(it) === from).length;
    await changeRecord(db, 'animals', animal.id, next, now);
    const [left, come] = [from, what === 'moved' ? to : null];
    const line = (design: string, text: string) => ({
      design,
      at,
      draft: { kind: what === 'died' ? 'death' : 'move', values: {}, text, animal: animal.id } as const,
    });
    const lines = await writeEntries(
      db,
      [
        ...(left === null ? [] : [line(left, await leavingWords(db, animal, what, come))]),
        ...(come === null ? [] : [line(come, `${animal.name} moved in.`)]),
      ],
      now,
    );
    const before = [
      ...(left === null ? [] : [await countOne(db, left, { by: -1, on, named }, catalogue, now)]),
      ...(come === null ? [] : [await countOne(db, come, { by: 1, on, named: 0 }, catalogue, now)]),
    ];
    return () =>
      db.transaction('rw', all, async () => {
        const later = Date.now();
        await strike(db, lines, true, later);
        await changeRecord(db, 'animals', animal.id, { homes: animal.homes, left: animal.left }, later);
        for (const back of before) await back(later);
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
 * One more or one less lives in a box; gives how that is taken back.
 * @param named how many were written down there before: one that was over the count was not among it
 */
async function countOne(
  db: RinconDatabase,
  id: string,
  { by, on, named }: { readonly by: 1 | -1; readonly on: string; readonly named: number },
  catalogue: Catalogue,
  now: number,
): Promise<(at: number) => Promise<void>> {
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
  const next = by > 0 ? oneMore(before, on) : named > before.count ? before : oneLess(before, on);
  await put(next, now);
  return async (at) => {
    const here = await briefOf();
    if (!here || equal(next, before)) return;
    // What came and went since is kept.
    await put(equal(here, next) ? before : by > 0 ? oneLess(here, on) : oneMore(here, on), at);
  };
}

/** How many live in a box, and whether anybody does. */
type Lived = Pick<Design['brief'], 'count' | 'stage' | 'since'>;

const oneMore = ({ count, stage, since }: Lived, on: string): Lived =>
  stage === 'inhabited' ? { count: count + 1, stage, since } : { count: 1, stage: 'inhabited', since: on };
const oneLess = (brief: Lived, on: string): Lived =>
  brief.stage !== 'inhabited'
    ? brief
    : brief.count > 1
      ? { ...brief, count: brief.count - 1 }
      : { count: 1, stage: 'growing-in', since: on };
