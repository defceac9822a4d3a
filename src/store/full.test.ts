import 'fake-indexeddb/auto';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { catalogue } from '@/catalogue';
import { demoAnimals, demoCultures, demoDesigns, demoEquipment, demoReadings } from '@/catalogue/demo';
import { applyEdit } from '@/core/edits';
import { RinconDatabase } from './database';
import { animalGoes, editAndTell, record } from './acts';
import { changeDesign, deleteDesign, restoreDesign } from './designs';
import { rewriteEntry, strike, writeEntries } from './log';
import { storageTrouble } from './persist';
import { addReadings } from './readings';
import { changeRecord, putRecords } from './records';
import { loadSettings, saveOwnRow, saveSetting, setPrice } from './settings';
import { dateMove, setUndone, writeMoves } from './shelf';
import { createDesign, travel } from './steps';
import { takeInFile } from './takeIn';
import { emptyTrash } from './trash';
import { RefusedWrite } from './written';

const NOW = Date.parse('2026-11-25T15:00:00Z');
const designs = demoDesigns(catalogue);
const [first, second] = [designs[0]!, designs[1]!];
const note = { kind: 'note', values: {}, text: 'seen' } as const;
const picture = { blob: new Blob(['jpeg']), width: 2, height: 1 };

/** Names by the act they are made in: the same however often it is tried. */
let names = 0;
const makeId = (): string => `made ${(names += 1)}` as `${string}-${string}-${string}-${string}-${string}`;

/** What a keeper does in an evening, act by act. */
const ACTS: readonly (readonly [string, (db: RinconDatabase) => Promise<unknown>])[] = [
  ['an enclosure is made', (db) => createDesign(db, first, NOW)],
  [
    'it is changed',
    (db) => changeDesign(db, first.id, { edit: 'setNote', change: { note: 'n' } }, catalogue, NOW),
  ],
  ['that is undone', (db) => travel(db, first.id, -1, NOW)],
  [
    'two lines and a picture are written',
    (db) =>
      writeEntries(
        db,
        [
          { design: first.id, draft: note },
          { design: first.id, draft: note },
        ],
        NOW,
        [picture],
      ),
  ],
  [
    'one of them is changed, with two pictures more',
    async (db) => {
      const entry = (await db.log.orderBy('id').first())!;
      await rewriteEntry(db, { ...entry, text: 'seen twice' }, NOW, [picture, picture]);
    },
  ],
  ['both are struck', async (db) => strike(db, await db.log.toCollection().primaryKeys(), true, NOW)],
  ['animals come', (db) => putRecords(db, 'animals', demoAnimals(NOW))],
  ['one is renamed', (db) => changeRecord(db, 'animals', demoAnimals(NOW)[0]!.id, { name: 'Fig' }, NOW)],
  ['cultures come', (db) => putRecords(db, 'cultures', demoCultures(NOW))],
  [
    'one is ended',
    (db) => changeRecord(db, 'cultures', demoCultures(NOW)[0]!.id, { ended: '2026-11-01' }, NOW),
  ],
  ['equipment comes', (db) => putRecords(db, 'equipment', demoEquipment(NOW))],
  [
    'a lamp is replaced',
    (db) =>
      record(
        db,
        [
          {
            design: first.id,
            draft: { ...note, effect: { does: 'lamp', device: first.climate.devices[0]!.id } },
          },
        ],
        catalogue,
        NOW,
        [picture],
      ),
  ],
  [
    'animals move in',
    (db) =>
      editAndTell(
        db,
        {
          design: first.id,
          call: { edit: 'moveIn', change: { on: '2026-11-25', count: 3, although: '' } },
          drafts: [note],
          at: NOW,
        },
        catalogue,
        NOW,
      ),
  ],
  [
    'one dies, and another is born',
    (db) =>
      record(
        db,
        [
          { design: first.id, draft: { ...note, effect: { does: 'count', by: 1 } } },
          {
            design: first.id,
            draft: { ...note, animal: demoAnimals(NOW)[0]!.id, effect: { does: 'left' } },
          },
        ],
        catalogue,
        NOW,
      ),
  ],
  [
    'one is given away',
    (db) =>
      animalGoes(
        db,
        { animal: demoAnimals(NOW)[1]!, what: 'given away', to: null, on: '2026-11-25', at: NOW },
        catalogue,
        NOW,
      ),
  ],
  [
    'things are bought',
    (db) =>
      writeMoves(
        db,
        [1, 2].map((amount) => ({ kind: 'receipt', material: 'charcoal', amount, label: 'bought' })),
        makeId,
        NOW,
      ),
  ],
  [
    'a bag is dated',
    async (db) => dateMove(db, (await db.shelf.toCollection().first())!.id, { opened: '2026-11-01' }),
  ],
  [
    'the buying is taken back',
    async (db) => setUndone(db, (await db.shelf.toCollection().first())!.batch, true),
  ],
  ['units are chosen', (db) => saveSetting(db, 'spare', 0.2)],
  ['a price is written', (db) => setPrice(db, 'charcoal/bag-5l', 9)],
  ['a recipe is written', (db) => saveOwnRow(db, 'recipes', { ...catalogue.recipes[0]!, id: 'mine' })],
  ['readings come', (db) => addReadings(db, demoReadings(designs, NOW).slice(0, 2))],
  [
    'a file is read in',
    (db) =>
      takeInFile(
        db,
        {
          designs: [applyEdit(first, { edit: 'rename', change: { name: 'Other' } }, catalogue), second],
          prices: { 'coir/brick-8l': 3 },
        },
        makeId,
        NOW,
      ),
  ],
  ['an enclosure is deleted', (db) => deleteDesign(db, second.id, NOW)],
  ['and comes back', (db) => restoreDesign(db, second.id)],
  [
    'it is deleted, and the trash emptied',
    async (db) => {
      await db.transaction('rw', db.tables, async () => {
        await deleteDesign(db, second.id, NOW);
        await emptyTrash(db);
      });
    },
  ],
];

let db: RinconDatabase;
/** Writes that get through until the disk is full. */
let space = Infinity;
function open(): RinconDatabase {
  const opened = new RinconDatabase(`full ${names} ${performance.now()}`);
  opened.use({
    stack: 'dbcore',
    name: 'full disk',
    create: (down) => ({
      ...down,
      table: (name) => ({
        ...down.table(name),
        mutate: async (request) => {
          if ((space -= 1) < 0) throw new DOMException('The quota has been exceeded.', 'QuotaExceededError');
          return down.table(name).mutate(request);
        },
      }),
    }),
  });
  return opened;
}
const all = async (): Promise<Readonly<Record<string, unknown>>> =>
  Object.fromEntries(await Promise.all(db.tables.map(async (it) => [it.name, await it.toArray()] as const)));

beforeEach(() => {
  space = Infinity;
  names = 0;
  db = open();
  vi.spyOn(crypto, 'randomUUID').mockImplementation(makeId);
});
afterEach(async () => {
  vi.restoreAllMocks();
  space = Infinity;
  await db.delete();
});

describe('a disk that is full', () => {
  it('at any write of an evening: the act is written whole or not at all, and can be done again', async () => {
    const failed: string[] = [];
    for (const [index, [act, work]] of ACTS.entries()) {
      const before = await all();
      // One write more each time, until the act gets through.
      for (let room = 0; ; room += 1) {
        names = 1000 * index;
        space = room;
        const error: unknown = await work(db).then(
          () => null,
          (it: unknown) => it,
        );
        space = Infinity;
        if (error === null) break;
        expect(storageTrouble(error), act).toMatch(/storage is full/);
        expect(await all(), `${act}, write ${room + 1}`).toEqual(before);
        failed.push(act);
      }
      expect(await all(), act).not.toEqual(before);
    }
    // Each act writes at least once, most of them more often.
    expect(new Set(failed).size).toBe(ACTS.length);
    expect(failed.length).toBeGreaterThan(40);
  });
});

describe('what could not be read again', () => {
  it.each<readonly [string, () => Promise<unknown>, RegExp]>([
    ['an enclosure', () => createDesign(db, { ...first, name: '' }, NOW), /name/],
    [
      'an edit of one that is not open',
      async () => {
        await createDesign(db, first, NOW);
        await changeDesign(db, first.id, { edit: 'setRoom', change: { temperature: 99 } }, catalogue, NOW);
      },
      /temperature/,
    ],
    ['a line of the log', () => writeEntries(db, [{ design: first.id, draft: note, at: 9e15 }], NOW), /at/],
    [
      'a receipt',
      () => writeMoves(db, [{ kind: 'receipt', material: 'charcoal', amount: NaN, label: '' }], makeId, NOW),
      /amount/,
    ],
    [
      'the day a bag was opened',
      async () => {
        await writeMoves(db, [{ kind: 'receipt', material: 'charcoal', amount: 1, label: '' }], makeId, NOW);
        await dateMove(db, (await db.shelf.toCollection().first())!.id, { opened: '12026-01-01' });
      },
      /opened/,
    ],
    ['a price', () => setPrice(db, 'charcoal/bag-5l', 1e9), /prices/],
    ['a share to spare', () => saveSetting(db, 'spare', 7), /spare/],
    ['an own row', () => saveOwnRow(db, 'recipes', { ...catalogue.recipes[0]!, name: 5 as never }), /name/],
    ['an animal', () => putRecords(db, 'animals', [{ ...demoAnimals(NOW)[0]!, changed: NaN }]), /changed/],
  ])('%s is refused with its field named, and nothing is changed', async (_, work, place) => {
    const count = async (): Promise<unknown> => [(await all()).settings, (await loadSettings(db)).prices];
    const before = await count();
    const error: unknown = await work().then(
      () => null,
      (it: unknown) => it,
    );
    expect(error).toBeInstanceOf(RefusedWrite);
    expect(storageTrouble(error)).toMatch(place);
    expect(await count()).toEqual(before);
  });
});
