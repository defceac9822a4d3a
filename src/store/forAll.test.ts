import 'fake-indexeddb/auto';
import Dexie from 'dexie';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { demoDesigns } from '@/catalogue/demo';
import { careNow, dueOf } from '@/core/care';
import type { Design } from '@/core/document';
import { RinconDatabase } from './database';
import { loadDesign } from './designs';
import { changeAll, movedTo, putAway, putOff, settledUpTo } from './forAll';
import { createDesign } from './steps';

const designs = demoDesigns(catalogue);
const ids = designs.map((it) => it.id);
let db: RinconDatabase;
beforeEach(async () => {
  db = new RinconDatabase();
  for (const it of designs) await createDesign(db, it, 1);
});
afterEach(async () => {
  db.close();
  await Dexie.delete('rincon');
});
const all = async (): Promise<readonly Design[]> =>
  Promise.all(
    ids.map(async (id) => {
      const loaded = await loadDesign(db, id);
      if (loaded.state !== 'ready') throw new Error('gone');
      return loaded.row.design;
    }),
  );

describe('one edit in several enclosures', () => {
  it.each([
    ['settled', settledUpTo('2026-11-30'), (it: Design) => it.care.settled, '2026-11-30'],
    ['moved', movedTo('Cellar', ''), (it: Design) => it.brief.place.room, 'Cellar'],
    ['archived', putAway(true), (it: Design) => it.brief.putAway, true],
  ] as const)('%s: in each, and back to what each was', async (_, how, read, value) => {
    const before = await all();
    const back = await changeAll(db, ids, how, catalogue, 2);
    expect((await all()).map((it): unknown => read(it))).toEqual(ids.map(() => value));
    await back();
    expect(await all()).toEqual(before);
  });

  it('put in the room where they stand, each keeps its shelf; in another one none has one', async () => {
    const shelves = async () => (await all()).map((it) => it.brief.place.shelf);
    const before = await shelves();
    expect(new Set(before).size).toBe(3);
    await changeAll(db, ids, movedTo('Nature room', null), catalogue, 2);
    expect(await shelves()).toEqual(before);
    await changeAll(db, ids, movedTo('Cellar', null), catalogue, 3);
    expect(await shelves()).toEqual(['', '', '', '']);
  });

  it('one that is gone stops no other', async () => {
    await changeAll(db, ['nobody', ids[0]!], putAway(true), catalogue, 2);
    expect((await all()).map((it) => it.brief.putAway)).toEqual([true, false, false, false]);
  });

  it('care that is put off is not due before its day, and then is; how often it comes stays', async () => {
    const today = '2026-11-30';
    const dueIn = (design: Design, day: string) =>
      dueOf(careNow(design, catalogue), new Map(), design.brief.since ?? day, day);
    const [bog] = await all();
    const open = dueIn(bog!, today)
      .filter((it) => it.late >= 0)
      .map((it) => it.rule.id);
    expect(open.length).toBeGreaterThan(3);
    const back = await changeAll(db, ids, putOff(new Map([[bog!.id, open]]), '2026-12-03'), catalogue, 2);
    const [after, ...others] = await all();
    expect(dueIn(after!, today).filter((it) => it.late >= 0)).toEqual([]);
    const then = dueIn(after!, '2026-12-03');
    for (const rule of open) {
      const due = then.find((it) => it.rule.id === rule)!;
      expect([rule, due.day, due.late]).toEqual([rule, '2026-12-03', 0]);
      expect(due.rule.when).toEqual(dueIn(bog!, today).find((it) => it.rule.id === rule)!.rule.when);
    }
    expect(others).toEqual((await all()).slice(1));
    await back();
    expect((await all())[0]).toEqual(bog);
  });
});
