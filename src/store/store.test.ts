import 'fake-indexeddb/auto';
import Dexie from 'dexie';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { DAY_MS } from '@/core/physics/constants';
import { catalogue, withOwn, withPrices, type OwnRows } from '@/catalogue';
import { demoDesigns } from '@/catalogue/demo';
import { applyEdit } from '@/core/edits';
import { type Design } from '@/core/document';
import { bookFromAmounts, shelfAmounts, stockOf } from '@/core/shelf';
import { US } from '@/core/units';
import { RinconDatabase } from './database';
import { deleteDesign, emptyOldBin, listDesigns, loadDesign, restoreDesign } from './designs';
import { DesignSession } from './session';
import { createDesign, MAX_STEPS, saveDesign, stepsAround, travel } from './steps';
import { clashesWith, takeIn, takeInFile } from './takeIn';
import { heldSession, sessionOpened, unsavedNow, wouldLose } from './unsaved';
import { dateMove, listMoves, setUndone, writeMoves, type NewMove } from './shelf';
import {
  changeOwnRow,
  DEFAULT_SETTINGS,
  loadSettings,
  removeOwnRow,
  saveOwnRow,
  saveSetting,
  setPrice,
} from './settings';

let db: RinconDatabase;
let clock = 0;
const now = (): number => (clock += 1000);
const demo = demoDesigns(catalogue);
const first = demo[0]!;
const renamed = (name: string): Design => applyEdit(first, { edit: 'rename', change: { name } }, catalogue);
const row = async (id = first.id) => {
  const loaded = await loadDesign(db, id);
  if (loaded.state !== 'ready') throw new Error(loaded.state);
  return loaded.row;
};

beforeEach(() => {
  db = new RinconDatabase(`test ${Math.floor(now())}`);
});
afterEach(() => db.delete());

/** A write reaches the store in its own time. */
const eventually = <T>(check: () => T | Promise<T>): Promise<T> => vi.waitFor(check, { timeout: 20_000 });

describe('designs', () => {
  const save = async (design: Design, gesture: string | null = null) => {
    const { revision, design: base } = await row();
    return saveDesign(db, { base, design, revision, label: design.name, gesture }, now());
  };
  /** What stands once one has gone a step; undefined where there is none. */
  const step = async (by: -1 | 1) => (await travel(db, first.id, by, now()))?.row.design;

  it('every edit is a step of undo and redo; a new edit forgets what was undone', async () => {
    await createDesign(db, first, now());
    await save(renamed('a'));
    await save(renamed('b'));
    expect(await stepsAround(db, await row())).toEqual({ undo: 'b', redo: undefined });
    expect((await step(-1))?.name).toBe('a');
    expect((await step(-1))?.name).toBe('Bog shelf');
    expect(await travel(db, first.id, -1, now())).toBeUndefined();
    expect((await step(1))?.name).toBe('a');
    await save(renamed('c'));
    expect(await travel(db, first.id, 1, now())).toBeUndefined();
    expect((await step(-1))?.name).toBe('a');
  });

  it('a drag is one step', async () => {
    await createDesign(db, first, now());
    for (const name of ['x', 'y', 'z']) await save(renamed(name), 'drag 1');
    expect((await step(-1))?.name).toBe('Bog shelf');
  });

  it('keeps two hundred steps back, not all that ever were', async () => {
    await createDesign(db, first, now());
    for (let i = 0; i < MAX_STEPS + 20; i += 1) await save(renamed(`n${i}`));
    expect(await db.steps.count()).toBe(MAX_STEPS + 1);
  });

  it('deleting can be undone with its history; after a month the bin is emptied', async () => {
    await createDesign(db, first, now());
    await save(renamed('a'));
    await deleteDesign(db, first.id, now());
    expect(await listDesigns(db)).toEqual([]);
    await restoreDesign(db, first.id);
    expect((await step(-1))?.name).toBe('Bog shelf');
    await deleteDesign(db, first.id, now());
    await emptyOldBin(db, clock + 29 * DAY_MS);
    expect(await db.designs.count()).toBe(1);
    await emptyOldBin(db, clock + 31 * DAY_MS);
    expect([await db.designs.count(), await db.steps.count()]).toEqual([0, 0]);
  });

  it('a file is taken in whole: new ones added, equal ones left, different ones kept beside', async () => {
    let ids = 0;
    const id = (): string => `new-${(ids += 1)}`;
    expect(await takeIn(db, demo, id, now())).toEqual({ added: 4, same: 0, copies: [] });
    expect((await listDesigns(db)).map((it) => it.state === 'ready' && it.row.design.name)).toEqual(
      demo.map((it) => it.name),
    );
    expect(await takeIn(db, demo, id, now())).toEqual({ added: 0, same: 4, copies: [] });
    expect(await takeIn(db, [renamed('Else')], id, now())).toEqual({
      added: 0,
      same: 0,
      copies: ['Else (file)'],
    });
    expect((await row()).design).toEqual(first);
    await deleteDesign(db, first.id, now());
    expect(await takeIn(db, [first], id, now())).toMatchObject({ added: 1 });
    expect((await row()).design).toEqual(first);
  });

  it('of one’s own backup, read back at once, nothing is taken: designs are compared by value', async () => {
    await takeIn(db, demo, () => 'x', now());
    const turned = (value: unknown): unknown =>
      Array.isArray(value)
        ? value.map(turned)
        : typeof value === 'object' && value !== null
          ? Object.fromEntries(
              Object.entries(value)
                .reverse()
                .map(([key, it]) => [key, turned(it)]),
            )
          : value;
    const same = demo.map((it) => turned(it) as Design);
    expect(JSON.stringify(same)).not.toBe(JSON.stringify(demo));
    expect(await clashesWith(db, same)).toEqual([]);
    expect(await takeIn(db, same, () => 'x', now())).toEqual({ added: 0, same: 4, copies: [] });
    expect(await db.designs.count()).toBe(4);
  });

  it('takes all of a file or none of it', async () => {
    const put = vi.spyOn(db.steps, 'put').mockImplementationOnce(() => {
      throw new Error('storage full');
    });
    await expect(takeIn(db, demo, () => 'x', now())).rejects.toThrow('storage full');
    put.mockRestore();
    expect(await db.designs.count()).toBe(0);
  });

  it('a file brings its prices, under those written down here; without them none of its designs', async () => {
    await saveSetting(db, 'prices', { 'charcoal/bag-5l': 9 });
    const file = { designs: demo, prices: { 'charcoal/bag-5l': 11, 'coir/brick-8l': 3 } };
    const put = vi.spyOn(db.settings, 'put').mockImplementationOnce(() => {
      throw new Error('storage full');
    });
    await expect(takeInFile(db, file, () => 'x', now())).rejects.toThrow('storage full');
    expect(await db.designs.count()).toBe(0);
    put.mockRestore();
    expect(await takeInFile(db, file, () => 'x', now())).toMatchObject({ added: 4 });
    expect((await loadSettings(db)).prices).toEqual({ 'charcoal/bag-5l': 9, 'coir/brick-8l': 3 });
  });

  it('a drag whose edit was written with another still lets the next one be written', async () => {
    await createDesign(db, first, now());
    // By a clock that runs as clocks do: the drag rests for its 150 ms.
    const session = new DesignSession(db, first.id, () => Date.now());
    const end = session.subscribe(() => undefined);
    await vi.waitFor(() => expect(session.view().loaded).toBe('ready'), { timeout: 20_000 });
    const state = () => session.view().save.state;
    // The drag's edit comes while the first is being written, and goes with it; its rest then finds nothing to do.
    session.edit({ edit: 'rename', change: { name: 'one' } }, catalogue);
    session.edit({ edit: 'setNote', change: { note: 'dragged' } }, catalogue, 'drag 1');
    await vi.waitFor(() => expect(state()).toBe('saved'), { timeout: 20_000 });
    await new Promise((done) => setTimeout(done, 300));
    session.edit({ edit: 'rename', change: { name: 'two' } }, catalogue);
    await vi.waitFor(() => expect(state()).toBe('saved'), { timeout: 20_000 });
    expect((await db.designs.get(first.id))?.design).toMatchObject({
      name: 'two',
      brief: { note: 'dragged' },
    });
    end();
  });

  it('a stored design that can no longer be read is shown as such and kept', async () => {
    await createDesign(db, first, now());
    await db.designs.update(first.id, { design: { ...first, enclosure: null } as unknown as Design });
    expect(await loadDesign(db, first.id)).toMatchObject({ state: 'broken', raw: { name: 'Bog shelf' } });
    expect(await loadDesign(db, 'nothing')).toEqual({ state: 'missing' });
  });
});

describe('a session', () => {
  const open = async (): Promise<DesignSession> => {
    const session = new DesignSession(db, first.id, now);
    session.subscribe(() => undefined);
    await eventually(() => expect(session.view().loaded).toBe('ready'));
    return session;
  };
  const settled = (session: DesignSession) =>
    eventually(() => expect(session.view().save.state).toBe('saved'));
  const name = (to: string) => ({ edit: 'rename', change: { name: to } }) as const;

  it('shows an edit at once, and calls it saved only when it is', async () => {
    await createDesign(db, first, now());
    const session = await open();
    session.edit(name('quick'), catalogue);
    expect(session.view()).toMatchObject({
      design: { name: 'quick' },
      save: { state: 'saving' },
      undo: 'name',
    });
    await settled(session);
    expect((await row()).design.name).toBe('quick');
  });

  it('edits faster than they are written are all kept, each its own step', async () => {
    await createDesign(db, first, now());
    const session = await open();
    for (const to of ['a', 'b', 'c']) session.edit(name(to), catalogue);
    await settled(session);
    expect((await row()).design.name).toBe('c');
    await session.travel(-1);
    expect(session.view().design?.name).toBe('b');
    await session.travel(-1);
    expect(session.view().design?.name).toBe('a');
    await session.travel(1);
    expect(session.view()).toMatchObject({ design: { name: 'b' }, redo: 'name' });
  });

  it('an edit that cannot be written stays on the screen, says so, and is written on another try', async () => {
    await createDesign(db, first, now());
    const session = await open();
    const put = vi.spyOn(db.designs, 'put').mockImplementation(() => {
      throw new Error('no space left');
    });
    session.edit(name('kept'), catalogue);
    await eventually(() =>
      expect(session.view().save).toMatchObject({
        state: 'failed',
        message: expect.stringMatching(/storage is full.*Export/),
      }),
    );
    expect(session.view().design?.name).toBe('kept');
    put.mockRestore();
    expect((await row()).design.name).toBe('Bog shelf');
    session.retry();
    await settled(session);
    expect((await row()).design.name).toBe('kept');
  });

  it('an edit that could not be read again is not taken over, and the field is named', async () => {
    await createDesign(db, first, now());
    const session = await open();
    const start = (day: string) => ({ edit: 'setStart', change: { start: day } }) as const;
    session.edit(start('12026-01-01'), catalogue);
    expect(session.view()).toMatchObject({
      design: { plan: { start: first.plan.start } },
      refused: { place: 'plan.start', count: 1 },
      save: { state: 'saved' },
    });
    // Dragged there it is taken back as the drag rests.
    const slow = new DesignSession(db, first.id, () => Date.now());
    slow.subscribe(() => undefined);
    await eventually(() => expect(slow.view().loaded).toBe('ready'));
    slow.edit(start('2026-01-02'), catalogue, 'drag');
    slow.edit(start('12026-01-01'), catalogue, 'drag');
    await eventually(() => expect(slow.view().refused).toMatchObject({ place: 'plan.start', count: 1 }));
    expect(slow.view().design?.plan.start).toBe(first.plan.start);
    slow.edit(start('2026-01-03'), catalogue);
    await settled(slow);
    expect((await row()).design.plan.start).toBe('2026-01-03');
  });

  it('left unsaved it is held, gone on with or dropped, and never lost without a word', async () => {
    await createDesign(db, first, now());
    const session = await open();
    const left = sessionOpened(session);
    expect(wouldLose()).toBe(false);
    const put = vi.spyOn(db.designs, 'put').mockImplementation(() => {
      throw new Error('no space left');
    });
    session.edit(name('kept'), catalogue);
    await eventually(() => expect(session.view().save.state).toBe('failed'));
    left();
    expect(wouldLose()).toBe(true);
    expect(unsavedNow()).toEqual([session]);
    // Opened again it is the same, with the edit on its screen.
    expect(heldSession(db, first.id)).toBe(session);
    // Of another database it is another enclosure.
    const elsewhere = new RinconDatabase('elsewhere');
    expect(heldSession(elsewhere, first.id)).toBeUndefined();
    const again = sessionOpened(session);
    expect(unsavedNow()).toEqual([]);
    expect(session.view().design?.name).toBe('kept');
    again();
    put.mockRestore();
    session.retry();
    await eventually(() => expect(unsavedNow()).toEqual([]));
    expect((await row()).design.name).toBe('kept');
    expect(wouldLose()).toBe(false);
  });

  it('what could not be written can be dropped: what is stored is shown', async () => {
    await createDesign(db, first, now());
    const session = await open();
    const put = vi.spyOn(db.designs, 'put').mockImplementation(() => {
      throw new Error('no space left');
    });
    session.edit(name('lost'), catalogue);
    await eventually(() => expect(session.view().save.state).toBe('failed'));
    put.mockRestore();
    session.drop();
    await settled(session);
    expect(session.view().design?.name).toBe('Bog shelf');
    expect(session.isUnsaved()).toBe(false);
  });

  it('a deleted design is gone from every window', async () => {
    await createDesign(db, first, now());
    const session = await open();
    await deleteDesign(db, first.id, now());
    await eventually(() => expect(session.view().loaded).toBe('missing'));
  });
});

let ids = 0;
const nextId = (): string => {
  ids += 1;
  return `id-${ids}`;
};
const receipt = (material: string, amount: number): NewMove => ({
  kind: 'receipt',
  material,
  amount,
  label: 'bought',
});
const amounts = async () => shelfAmounts(stockOf(await listMoves(db)));

describe('the book of the shelf', () => {
  it('lines of one doing are written, undone and done again together', async () => {
    await writeMoves(db, [receipt('coir', 0.02), receipt('charcoal', 0.005)], nextId, 1);
    const mixed = await writeMoves(
      db,
      [
        { kind: 'use', material: 'coir', amount: 0.008, label: 'Hedge', design: 'd1' },
        { kind: 'use', material: 'charcoal', amount: 0.005, label: 'Hedge', design: 'd1' },
      ],
      nextId,
      2,
    );
    expect(await amounts()).toEqual({ coir: expect.closeTo(0.012, 12) });
    await setUndone(db, mixed, true);
    expect(await amounts()).toEqual({ coir: 0.02, charcoal: 0.005 });
    await setUndone(db, mixed, false);
    expect(await amounts()).toEqual({ coir: expect.closeTo(0.012, 12) });
    expect(await listMoves(db)).toHaveLength(4);
  });

  it('a line that is no line is refused with the whole doing', async () => {
    const same = () => 'same';
    await expect(writeMoves(db, [receipt('coir', 1), receipt('coir', 2)], same, 1)).rejects.toThrow();
    expect(await listMoves(db)).toEqual([]);
  });

  it('opened and best before can be written down later', async () => {
    await writeMoves(db, [receipt('coir', 0.02)], nextId, 1);
    const [move] = await listMoves(db);
    await dateMove(db, move!.id, { opened: '2026-11-20' });
    await dateMove(db, move!.id, { bestBefore: '2027-02-01' });
    expect((await listMoves(db))[0]).toMatchObject({ opened: '2026-11-20', bestBefore: '2027-02-01' });
  });

  it('a browser that kept amounts opens with a count of each', async () => {
    const name = `old-${Date.now()}`;
    const old = new Dexie(name);
    old
      .version(1)
      .stores({ designs: 'id, updated, deleted', steps: '[designId+seq], designId', settings: 'key' });
    await old.open();
    await old.table('settings').put({ key: 'shelf', value: { coir: 0.02, nonsense: -4, charcoal: 0.003 } });
    await old.table('settings').put({ key: 'demoLaid', value: true });
    old.close();
    const opened = new RinconDatabase(name);
    await opened.open();
    expect(shelfAmounts(stockOf(await listMoves(opened)))).toEqual({ coir: 0.02, charcoal: 0.003 });
    expect((await loadSettings(opened)).demoLaid).toBe(true);
    expect(await opened.settings.get('shelf')).toBeUndefined();
    opened.close();
    await Dexie.delete(name);
  });
});

describe('own rows and the shelf', () => {
  const coir = catalogue.materials.find((it) => it.id === 'coir')!;
  const recipe = catalogue.recipes[0]!;

  it('are kept one by one: two windows writing different rows lose neither', async () => {
    await Promise.all([
      saveOwnRow(db, 'materials', { ...coir, id: 'a' }),
      saveOwnRow(db, 'materials', { ...coir, id: 'b' }),
      saveOwnRow(db, 'recipes', { ...recipe, id: 'c', basis: 'measured' }),
    ]);
    const { materials, recipes } = await loadSettings(db);
    expect(materials.map((it) => it.id).sort()).toEqual(['a', 'b']);
    expect(recipes.map((it) => it.id)).toEqual(['c']);
  });

  it('rows of a browser that had three marks open with the marks of now; prices and all else stay', async () => {
    const name = `marked-${Date.now()}`;
    const old = new Dexie(name);
    old
      .version(5)
      .stores({ designs: 'id, updated, deleted', steps: '[designId+seq], designId', settings: 'key' });
    await old.open();
    const told = (basis: string, value: number) => ({ basis, value });
    const kept = { ...coir, id: 'mine', density: told('own', 95), waterMoist: told('memory', 0.4) };
    await old.table('settings').bulkPut([
      { key: 'materials', value: [kept] },
      { key: 'recipes', value: [{ ...recipe, id: 'c', basis: 'own' }] },
      { key: 'prices', value: { 'charcoal/bag-5l': 11.5 } },
    ]);
    old.close();
    const opened = new RinconDatabase(name);
    await opened.open();
    const settings = await loadSettings(opened);
    expect(settings.materials).toEqual([
      { ...kept, density: told('measured', 95), waterMoist: told('estimated', 0.4) },
    ]);
    expect(settings.recipes[0]!.basis).toBe('practice');
    expect(settings.prices).toEqual({ 'charcoal/bag-5l': 11.5 });
    opened.close();
    await Dexie.delete(name);
  });

  it('a row is written in place of the one with its id, and can be taken out', async () => {
    await saveOwnRow(db, 'materials', { ...coir, name: 'First' });
    await saveOwnRow(db, 'materials', { ...coir, name: 'Second' });
    expect((await loadSettings(db)).materials.map((it) => it.name)).toEqual(['Second']);
    await removeOwnRow(db, 'materials', coir.id);
    expect((await loadSettings(db)).materials).toEqual([]);
  });

  it('two quick edits of one row lose neither, though the second was made on what the first had not yet changed', async () => {
    await Promise.all([
      changeOwnRow(db, 'materials', coir, (now) => ({ ...now, name: 'Renamed' })),
      changeOwnRow(db, 'materials', coir, (now) => ({ ...now, peatFree: false })),
    ]);
    expect((await loadSettings(db)).materials).toEqual([{ ...coir, name: 'Renamed', peatFree: false }]);
  });

  it('a row this version cannot read is left out, and kept', async () => {
    await db.settings.put({ key: 'animals', value: [{ id: 'future', legs: 6 }] });
    await saveOwnRow(db, 'animals', catalogue.animals[0]!);
    expect((await loadSettings(db)).animals.map((it) => it.id)).toEqual([catalogue.animals[0]!.id]);
    expect((await db.settings.get('animals'))?.value).toHaveLength(2);
  });

  it('prices take one entry at a time; null takes it out', async () => {
    await Promise.all([setPrice(db, 'coir/brick-650g', 2.8), setPrice(db, 'charcoal/bag-5l', 11)]);
    await setPrice(db, 'charcoal/bag-5l', null);
    expect((await loadSettings(db)).prices).toEqual({ 'coir/brick-650g': 2.8 });
  });

  it('a file brings its rows and shelf; what is written down here stands', async () => {
    await saveOwnRow(db, 'materials', { ...coir, id: 'mine', name: 'Here' });
    await writeMoves(db, [receipt('charcoal', 0.001)], nextId, now());
    const file = {
      designs: [first],
      prices: {},
      shelf: bookFromAmounts({ charcoal: 0.009, coir: 0.003 }, 1),
      own: {
        materials: [
          { ...coir, id: 'mine', name: 'From the file' },
          { ...coir, id: 'new' },
        ],
        recipes: [],
        animals: [],
        plants: [],
        crew: [],
      },
    };
    await takeInFile(db, file, () => 'made', now());
    const { materials } = await loadSettings(db);
    expect(Object.fromEntries(materials.map((it) => [it.id, it.name]))).toEqual({
      mine: 'Here',
      new: coir.name,
    });
    expect(await amounts()).toEqual({ charcoal: 0.001, coir: 0.003 });
    // Read in again it adds nothing.
    await takeInFile(db, file, () => 'made', now());
    expect(await amounts()).toEqual({ charcoal: 0.001, coir: 0.003 });
  });

  it('all or none: when the designs cannot be written, neither are the rows', async () => {
    await createDesign(db, first, now());
    const clash = { ...renamed('other'), note: '' } as unknown as Design;
    const file = {
      designs: [clash],
      prices: {},
      shelf: bookFromAmounts({ coir: 1 }, 1),
      own: { materials: [{ ...coir, id: 'x' }], recipes: [], animals: [], plants: [], crew: [] },
    };
    // The id made for the copy is already taken: the whole file is refused.
    await expect(takeInFile(db, file, () => first.id, now())).rejects.toThrow();
    expect((await loadSettings(db)).materials).toEqual([]);
    expect(await amounts()).toEqual({});
  });

  it('in the catalogue they stand in place of what ships, or beside it', () => {
    const own: OwnRows = {
      materials: [
        { ...coir, name: 'Coir of mine' },
        { ...coir, id: 'house', name: 'House soil' },
      ],
      recipes: [],
      animals: [],
      plants: [],
      crew: [],
    };
    const all = withOwn(catalogue, own);
    expect(all.materials).toHaveLength(catalogue.materials.length + 1);
    expect(all.materials.find((it) => it.id === 'coir')!.name).toBe('Coir of mine');
    expect(all.materials.at(-1)!.name).toBe('House soil');
    expect(withOwn(catalogue, { materials: [], recipes: [], animals: [], plants: [], crew: [] })).toBe(
      catalogue,
    );
    const priced = withPrices(all, { 'house/brick-650g': 1.5 }).materials.at(-1)!;
    expect(priced.packs[0]!.price).toEqual({ value: 1.5, basis: 'measured' });
  });
});

describe('settings', () => {
  it('are kept; what cannot be read falls back', async () => {
    expect(await loadSettings(db)).toEqual(DEFAULT_SETTINGS);
    await saveSetting(db, 'units', US);
    await db.settings.put({ key: 'prices', value: 'nonsense' });
    expect(await loadSettings(db)).toEqual({ ...DEFAULT_SETTINGS, units: US });
  });
});
