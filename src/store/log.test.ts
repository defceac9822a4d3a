import 'fake-indexeddb/auto';
import Dexie from 'dexie';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { DAY_MS } from '@/core/physics/constants';
import type { Entry } from '@/core/log';
import { catalogue } from '@/catalogue';
import { DEMO_SHELF, demoDesigns, demoLog, demoReadings } from '@/catalogue/demo';
import { trackOf } from '@/core/readings';
import { RinconDatabase } from './database';
import { deleteDesign, emptyOldBin, listDesigns } from './designs';
import { createDesign } from './steps';
import { takeInFile } from './takeIn';
import { listCareLog, listLog, strike, takeInLog, writeEntries } from './log';
import { lastChange, noteCopied } from './derived';
import { takeOutUnreadable, unreadableNow } from './readable';
import { addPicture, listPictures, removePicture } from './pictures';
import { addReadings } from './readings';
import { belongingsOf } from './records';
import { loadSettings, saveOwnRow, saveSetting } from './settings';
import { listMoves } from './shelf';
import { emptyTrash, listTrash, putBack } from './trash';

const [bog, hedge] = demoDesigns(catalogue);
let db: RinconDatabase;
let other: RinconDatabase;

beforeEach(() => {
  db = new RinconDatabase('one');
  other = new RinconDatabase('other');
});
afterEach(async () => {
  db.close();
  other.close();
  await Dexie.delete('one');
  await Dexie.delete('other');
});

/** Waits until something holds. */
const eventually = <T>(check: () => Promise<T>): Promise<T> => vi.waitFor(check, { timeout: 20_000 });

const note = (text: string, at: number) => ({
  design: bog!.id,
  at,
  draft: { kind: 'note' as const, values: {}, text },
});
const texts = async (own: RinconDatabase): Promise<string[]> =>
  (await listLog(own, bog!.id, 0)).map((it) => it.text);

const wholeLog = async (db: RinconDatabase, design: string | null) => (await belongingsOf(db, design)).log;

describe('when anything was last changed', () => {
  it('is known after a line of the log, a reading or an animal, and not moved by saving a copy', async () => {
    await saveSetting(db, 'exported', 5);
    expect(await lastChange()).toBeNull();
    // Copied where no change was ever noted: from then on it is known.
    await noteCopied(7);
    expect(await lastChange()).toBe(7);
    await writeEntries(db, [note('first', DAY_MS)], 5 * DAY_MS);
    const first = await eventually(async () => {
      const at = await lastChange();
      expect(at).toBeGreaterThan(7);
      return at!;
    });
    expect(Date.now() - first).toBeLessThan(60_000);
    await saveSetting(db, 'exported', 6);
    await saveSetting(db, 'demoLaid', true);
    expect(await lastChange()).toBe(first);
    // Once a second at the most, and the last is never left out.
    const [{ series, track }] = demoReadings(demoDesigns(catalogue), Date.now()) as [
      ReturnType<typeof demoReadings>[number],
    ];
    await addReadings(db, [{ series, track: trackOf(track.at, track.steps, 10) }]);
    await eventually(async () => expect(await lastChange()).toBeGreaterThan(first));
    await saveSetting(db, 'tub', 0.05);
    const last = (await lastChange())!;
    await eventually(async () => expect(await lastChange()).toBeGreaterThan(last));
  });
});

describe('the trash', () => {
  it('holds pictures too: for a month, then they go for good', async () => {
    const now = 100 * DAY_MS;
    await createDesign(db, bog!, 1);
    const blob = new Blob(['jpeg']);
    const row = { id: 'p', design: bog!.id, about: 'entry:e', at: 5, width: 2, height: 1, blob };
    await addPicture(db, row);
    await addPicture(db, { ...row, id: 'stays' });
    await removePicture(db, 'p', now);
    expect((await listPictures(db, bog!.id, 'entry:e')).map((it) => it.id)).toEqual(['stays']);
    const [gone, ...more] = await listTrash(db, now);
    expect([gone?.of, gone?.id, gone?.at, more]).toEqual(['pictures', 'p', now, []]);
    await putBack(db, gone!, now + 1);
    expect((await listPictures(db, bog!.id, 'entry:e')).map((it) => it.id)).toEqual(['p', 'stays']);
    expect(await listTrash(db, now)).toEqual([]);
    await removePicture(db, 'p', now);
    await emptyOldBin(db, now + 29 * DAY_MS);
    expect(await db.pictures.count()).toBe(2);
    await emptyOldBin(db, now + 31 * DAY_MS);
    expect((await db.pictures.toArray()).map((it) => it.id)).toEqual(['stays']);
    await removePicture(db, 'stays', now);
    await emptyTrash(db);
    expect(await db.pictures.count()).toBe(0);
  });

  it('holds what was deleted for a month, puts it back, and is emptied for good', async () => {
    const now = 100 * DAY_MS;
    await createDesign(db, bog!, 1);
    await createDesign(db, hedge!, 1);
    const [first, old] = await writeEntries(db, [note('wiped', now), note('long ago', now)], now);
    await strike(db, [old!], true, now - 40 * DAY_MS + 1);
    await db.log.update(old!, { changed: now - 40 * DAY_MS });
    await strike(db, [first!], true, now);
    await deleteDesign(db, hedge!.id, now - DAY_MS);
    const all = await listTrash(db, now);
    expect(all.map(({ of, id }) => [of, id])).toEqual([
      ['log', first],
      ['design', hedge!.id],
    ]);
    for (const it of all) await putBack(db, it, now + 1);
    expect(await listTrash(db, now + 1)).toEqual([]);
    expect(await texts(db)).toEqual(['wiped']);
    expect((await listDesigns(db)).map((it) => it.state)).toEqual(['ready', 'ready']);
    // A line goes with its enclosure, and is not told beside it.
    await strike(db, [first!], true, now + 2);
    await deleteDesign(db, bog!.id, now + 2);
    expect((await listTrash(db, now + 2)).map((it) => it.of)).toEqual(['design']);
    await emptyTrash(db);
    expect(await db.designs.toCollection().primaryKeys()).toEqual([hedge!.id]);
    expect(await db.log.where('design').equals(bog!.id).count()).toBe(0);
  });
});

describe('what care is counted from', () => {
  it('is the last days of the log and, however long ago, the last line of each rule', async () => {
    const line = (days: number, rule: string | null, kind: Entry['kind'] = 'care') => ({
      design: bog!.id,
      at: 5000 * DAY_MS - days * DAY_MS,
      draft: { kind, values: {}, text: `${days}`, rule },
    });
    await writeEntries(
      db,
      [
        line(3000, 'soil'),
        line(1500, 'soil'),
        line(1400, 'litter'),
        line(1300, null, 'note'),
        line(1200, null, 'water-test'),
        line(10, 'glass'),
        line(5, null, 'note'),
        { ...line(2000, 'soil'), design: hedge!.id },
      ],
      5000 * DAY_MS,
    );
    const since = 4200 * DAY_MS;
    const told = async (design: string | null) => (await listCareLog(db, design, since)).map((it) => it.text);
    expect(await told(bog!.id)).toEqual(['1500', '1400', '1200', '10', '5']);
    expect(await told(null)).toEqual(['2000', '1500', '1400', '1200', '10', '5']);
    // What is struck out was not done: the one before it counts.
    const [struck] = await db.log.filter((it) => it.text === '1500').primaryKeys();
    await strike(db, [struck!], true, 5000 * DAY_MS);
    expect(await told(bog!.id)).toEqual(['3000', '1400', '1200', '10', '5']);
  });
});

describe('a row that cannot be read', () => {
  it('is left out, told and kept, and all else is there', async () => {
    await writeEntries(db, [note('sound', DAY_MS)], DAY_MS);
    const bad = [
      { id: 'no values', design: bog!.id, at: DAY_MS, changed: 1, gone: false },
      { ...(await db.log.toArray())[0]!, id: 'of no day', at: 9e15 },
      { id: 7, design: bog!.id, at: DAY_MS, changed: 1, gone: false },
    ] as unknown as Entry[];
    await db.log.bulkAdd(bad);
    expect(await texts(db)).toEqual(['sound']);
    const told = unreadableNow();
    expect(told.map(({ table, key, why }) => [table, key, why.split(':')[0]])).toEqual([
      ['log', 7, 'id'],
      ['log', 'no values', 'kind'],
      ['log', 'of no day', 'at'],
    ]);
    expect(told[1]).toMatchObject({ row: bad[0], why: 'kind: what stands there is not known here' });
    // Met again it is told once.
    await texts(db);
    expect(unreadableNow()).toBe(told);
    await takeOutUnreadable(db, told);
    expect(unreadableNow()).toEqual([]);
    expect((await db.log.toArray()).map((it) => it.text)).toEqual(['sound']);
  });
  it('of the shelf’s book leaves the others in it', async () => {
    await db.shelf.bulkAdd([...DEMO_SHELF, { id: 'torn', at: 1 } as never]);
    expect(await listMoves(db)).toHaveLength(DEMO_SHELF.length);
    expect(unreadableNow().map(({ table, key }) => [table, key])).toEqual([['shelf', 'torn']]);
    await takeOutUnreadable(db, unreadableNow());
    expect(await db.shelf.count()).toBe(DEMO_SHELF.length);
  });
  it('of one’s own catalogue, or a price, is told and taken out; the others are read, and can be changed', async () => {
    const own = { ...catalogue.recipes[0]!, id: 'own-recipe' };
    const torn = { ...own, id: 'own-torn', name: 5 };
    await db.settings.bulkPut([
      { key: 'recipes', value: [null, own, torn] },
      { key: 'prices', value: { 'sand/25': 9.5, 'peat/50': 'dear' } },
    ]);
    expect(await loadSettings(db)).toMatchObject({ recipes: [own], prices: { 'sand/25': 9.5 } });
    expect(unreadableNow().map(({ table, setting, row, why }) => [table, setting, row, why])).toEqual([
      ['recipes', 'recipes', null, expect.stringMatching(/object/)],
      ['recipes', 'recipes', torn, expect.stringMatching(/^name: /)],
      ['prices', 'prices', 'dear', expect.stringMatching(/number/)],
    ]);
    // Beside what cannot be read the rest goes on.
    await saveOwnRow(db, 'recipes', { ...own, name: 'Renamed' });
    expect((await db.settings.get('recipes'))?.value).toEqual([null, torn, { ...own, name: 'Renamed' }]);
    await takeOutUnreadable(db, unreadableNow());
    expect(unreadableNow()).toEqual([]);
    expect((await db.settings.get('recipes'))?.value).toEqual([{ ...own, name: 'Renamed' }]);
    expect((await db.settings.get('prices'))?.value).toEqual({ 'sand/25': 9.5 });
  });
  it.each([null, 5, 'x', { version: 3 }, { version: 9, climate: 7, plan: null }])(
    'of an enclosure, %j, leaves the others on the rack',
    async (design) => {
      await createDesign(db, hedge!, 5);
      await db.designs.add({
        id: 'bad',
        design: design as never,
        cursor: 0,
        revision: 1,
        updated: 1,
        deleted: 0,
      });
      const rack = await listDesigns(db);
      expect(rack.map((it) => it.state)).toEqual(['broken', 'ready']);
      expect(rack[0]).toMatchObject({ id: 'bad', raw: design });
      // It can be moved to the trash, and put back.
      await deleteDesign(db, 'bad', 9);
      expect((await listDesigns(db)).map((it) => it.state)).toEqual(['ready']);
      expect((await listTrash(db, 10)).map((it) => it.id)).toEqual(['bad']);
    },
  );
});

describe('the log', () => {
  it('is written all or none, listed in the order of time, by enclosure and since a day', async () => {
    await writeEntries(db, [note('second', 2 * DAY_MS), note('first', DAY_MS)], 5 * DAY_MS);
    await writeEntries(db, [{ ...note('elsewhere', 3 * DAY_MS), design: hedge!.id }], 5 * DAY_MS);
    expect(await texts(db)).toEqual(['first', 'second']);
    expect((await listLog(db, null, 2 * DAY_MS)).map((it) => it.text)).toEqual(['second', 'elsewhere']);
    const bad = { ...note('x', 1), draft: { kind: 'reading' as const, values: { humidity: 8 }, text: '' } };
    await expect(writeEntries(db, [note('with it', 1), bad], 1)).rejects.toThrow();
    expect(await texts(db)).toEqual(['first', 'second']);
  });

  it('a line struck out is kept, struck, and can be taken back; also when the clock was set back', async () => {
    const [id] = await writeEntries(db, [note('wrong', DAY_MS)], 100);
    await strike(db, [id!], true, 50);
    expect(await texts(db)).toEqual([]);
    const [kept] = await wholeLog(db, bog!.id);
    expect(kept).toMatchObject({ gone: true });
    expect(kept!.changed).toBeGreaterThan(100);
    await strike(db, [id!], false, 60);
    expect(await texts(db)).toEqual(['wrong']);
  });

  it('of two devices becomes one: nothing lost, nothing twice, what one struck out stays struck', async () => {
    const [shared] = await writeEntries(db, [note('shared', DAY_MS)], 10);
    await takeInLog(other, await wholeLog(db, null));
    await writeEntries(db, [note('here', 2 * DAY_MS)], 20);
    await writeEntries(other, [note('there', 3 * DAY_MS)], 20);
    await strike(other, [shared!], true, 30);
    const [mine, theirs] = [await wholeLog(db, null), await wholeLog(other, null)];
    for (const [own, file] of [
      [db, theirs],
      [other, mine],
    ] as const) {
      await takeInLog(own, file);
      await takeInLog(own, file);
      expect(await texts(own)).toEqual(['here', 'there']);
    }
    expect(await wholeLog(db, null)).toEqual(await wholeLog(other, null));
  });

  it('goes with its enclosure into a file, and to the one that is here already', async () => {
    await createDesign(db, bog!, 1);
    await writeEntries(db, [note('before', DAY_MS)], 10);
    const file = { designs: [{ ...bog!, name: 'Changed' }], prices: {}, log: await wholeLog(db, bog!.id) };
    await writeEntries(db, [note('since', 2 * DAY_MS)], 10);
    const { copies } = await takeInFile(db, file, () => 'copy', 5);
    expect(copies).toEqual(['Changed (file)']);
    expect(await texts(db)).toEqual(['before', 'since']);
    expect(await wholeLog(db, 'copy')).toEqual([]);
    await takeInFile(other, file, () => 'x', 5);
    expect(await texts(other)).toEqual(['before']);
  });

  it('and pictures go when their enclosure has lain a month in the bin, not before', async () => {
    await createDesign(db, bog!, 1);
    await writeEntries(db, [note('x', DAY_MS)], 10);
    await db.pictures.put({
      id: 'p',
      design: bog!.id,
      about: 'step:soil',
      at: 1,
      width: 1,
      height: 1,
      blob: new Blob(['x']),
    });
    await deleteDesign(db, bog!.id, 40 * DAY_MS);
    await emptyOldBin(db, 60 * DAY_MS);
    expect([await db.log.count(), await db.pictures.count()]).toEqual([1, 1]);
    await emptyOldBin(db, 80 * DAY_MS);
    expect([await db.log.count(), await db.pictures.count()]).toEqual([0, 0]);
  });

  it('of the demo is the same each time it is laid out on one day, and never of the future', () => {
    const now = Date.parse('2026-11-25T15:00:00Z');
    const lines = demoLog(demoDesigns(catalogue), catalogue, now);
    expect(demoLog(demoDesigns(catalogue), catalogue, now)).toEqual(lines);
    expect(new Set(lines.map((it) => it.id)).size).toBe(lines.length);
    for (const it of lines) expect(it.at).toBeLessThanOrEqual(now);
    expect(lines.some((it) => it.design === 'demo-dry-wash')).toBe(false);
  });
});
