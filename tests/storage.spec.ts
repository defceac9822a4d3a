import { readFile } from 'node:fs/promises';
import type { BrowserContext, Page } from '@playwright/test';
import { expect, test } from './test';
import { demo, saved, snapshot, sound, stored, type } from './helpers';

/** Another page of this address without any of the program in it, which works on the storage as it likes. */
async function bare(context: BrowserContext, baseURL: string | undefined): Promise<Page> {
  const page = await context.newPage();
  await page.goto(`${baseURL}/icon.svg`);
  return page;
}

test('on the day nothing else opens all that is kept is saved raw, and read in again', async ({
  page,
  browser,
  baseURL,
}) => {
  await demo(page);
  await page.goto('/e/demo-bog-shelf/keep?tab=log');
  await page.getByRole('button', { name: 'Use a form' }).click();
  await page.getByLabel('In words').fill('Seen at the lid.');
  await page
    .getByLabel('Pictures of it')
    .setInputFiles({ name: 'lid.png', mimeType: 'image/png', buffer: await snapshot(page) });
  await page.getByRole('button', { name: 'Write it down' }).click();
  await expect(page.getByText('Written.')).toBeVisible();
  const before = await stored(page);
  // One row that nothing can read, and none of the program.
  await page.evaluate(async () => {
    const open = indexedDB.open('rincon');
    const db = await new Promise<IDBDatabase>((done) => (open.onsuccess = () => done(open.result)));
    const write = db.transaction('log', 'readwrite');
    write.objectStore('log').put({ id: 'torn', design: 'demo-hedge', at: 1, changed: Number.NaN });
    await new Promise((done) => (write.oncomplete = done));
    db.close();
  });
  await page.route('**/_next/**', (route) => route.abort());
  await page.goto('/recover');
  await expect(page.getByRole('status')).toHaveText('All of this can be saved.');
  await expect(page.getByRole('row', { name: 'Enclosures' })).toContainText('4');
  await sound(page, 'recovery');
  const waiting = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save all of it as a file' }).click();
  const download = await waiting;
  expect(download.suggestedFilename()).toMatch(/^rincon-raw-\d{4}-\d\d-\d\d\.ndjson$/);
  await expect(page.getByRole('status')).toHaveText(/^Saved: \d+ rows, all of them\.$/);

  const other = await (await browser.newContext({ ...(baseURL ? { baseURL } : {}) })).newPage();
  await other.goto('/');
  await other.getByLabel('Import a file').setInputFiles({
    name: 'raw.ndjson',
    mimeType: 'application/x-ndjson',
    buffer: await readFile(await download.path()),
  });
  const asked = other.getByRole('dialog', { name: 'This backup is not whole' });
  await expect(asked).toContainText('log, torn');
  await asked.getByRole('button', { name: 'Read in what there is' }).click();
  await expect(other.getByRole('heading', { name: 'Four enclosures' })).toBeVisible();
  await expect.poll(() => stored(other)).toEqual(before);
  await other.context().close();
});

test('a recovery page with nothing to recover says so, and makes nothing', async ({ page }) => {
  await page.goto('/recover');
  await expect(page.getByRole('status')).toHaveText('Nothing is kept in this browser at this address.');
  expect(await page.evaluate(async () => (await indexedDB.databases()).map((it) => it.name))).toEqual([]);
});

test('storage deleted under an open page: it is said, and what is open can be saved', async ({
  page,
  context,
  baseURL,
}) => {
  await demo(page);
  await page.goto('/e/demo-hedge/brief');
  await type(page, 'Name', 'Hazel bank');
  await saved(page);
  const other = await bare(context, baseURL);
  await other.evaluate(
    () => new Promise((done) => (indexedDB.deleteDatabase('rincon').onsuccess = () => done(null))),
  );
  const card = page.getByRole('region', { name: 'What was stored here was deleted' });
  await expect(card).toBeVisible();
  await expect(page.getByRole('textbox', { name: 'Name' })).toHaveValue('Hazel bank');
  await sound(page, 'deleted storage');
  // It can still be changed, which is not called saved; and what is saved as a file is the last of it.
  await type(page, 'How many', '4');
  await expect(page.getByRole('alert').filter({ hasText: 'Not saved' })).toBeVisible();
  const waiting = page.waitForEvent('download');
  await card.getByRole('button', { name: 'Save what is open' }).click();
  const text = await readFile(await (await waiting).path(), 'utf8');
  const { designs } = JSON.parse(text) as { designs: { name: string; brief: { count: number } }[] };
  expect([designs[0]!.name, designs[0]!.brief.count]).toEqual(['Hazel bank', 4]);
});

test('a newer version in another window: the older one lets go at once, and says so', async ({
  page,
  context,
  baseURL,
}) => {
  await demo(page);
  await page.goto('/e/demo-hedge/brief');
  await expect(page.getByRole('textbox', { name: 'Name' })).toHaveValue('Hedge');
  const other = await bare(context, baseURL);
  const version = await other.evaluate(
    () =>
      new Promise<number>((done, refuse) => {
        const open = indexedDB.open('rincon', 990);
        open.onblocked = () => refuse(new Error('blocked'));
        open.onsuccess = () => done(open.result.version);
      }),
  );
  expect(version).toBe(990);
  await expect(page.getByRole('region', { name: 'A newer Rincon is open' })).toBeVisible();
});

/** Stores of the earlier versions, and a design as it was kept then. */
const EARLIER: readonly (readonly [number, string, readonly (readonly [string, string])[]])[] = [
  [10, 'rack-v1', []],
  [20, 'rack-v3', [['shelf', 'id']]],
  [
    30,
    'rack-v6',
    [
      ['shelf', 'id'],
      ['pictures', 'id'],
      ['log', 'id'],
    ],
  ],
  [
    40,
    'rack-v11',
    [
      ['shelf', 'id'],
      ['pictures', 'id'],
      ['log', 'id'],
      ['series', 'id'],
      ['animals', 'id'],
      ['equipment', 'id'],
    ],
  ],
];
for (const [version, fixture, more] of EARLIER)
  test(`storage of version ${version / 10} that another window holds: it waits, says so, and goes on`, async ({
    page,
    context,
    baseURL,
  }) => {
    const file = JSON.parse(await readFile(`tests/fixtures/${fixture}.rincon.json`, 'utf8')) as {
      designs: { id: string }[];
    };
    const other = await bare(context, baseURL);
    const held = await other.evaluateHandle(
      async ({ version, design, more }) => {
        const open = indexedDB.open('rincon', version);
        open.onupgradeneeded = () => {
          const { result: db } = open;
          const designs = db.createObjectStore('designs', { keyPath: 'id' });
          for (const it of ['updated', 'deleted']) designs.createIndex(it, it);
          const steps = db.createObjectStore('steps', { keyPath: ['designId', 'seq'] });
          steps.createIndex('designId', 'designId');
          db.createObjectStore('settings', { keyPath: 'key' });
          for (const [name, key] of more) {
            const store = db.createObjectStore(name, { keyPath: key });
            const indexes = {
              shelf: ['at', 'batch', 'material'],
              pictures: ['design', 'at'],
              log: ['design', 'at'],
              series: ['design'],
              animals: [],
              equipment: ['design'],
            };
            for (const it of indexes[name as keyof typeof indexes]) store.createIndex(it, it);
            if (name === 'log' || name === 'pictures')
              store.createIndex(name === 'log' ? '[design+at]' : '[design+about]', [
                'design',
                name === 'log' ? 'at' : 'about',
              ]);
          }
          if (version === 40) {
            const blocks = db.createObjectStore('blocks', { keyPath: ['series', 'level', 'week'] });
            blocks.createIndex('series', 'series');
          }
          designs.put({ id: design.id, design, cursor: 0, revision: 1, updated: 1, deleted: 0 });
        };
        const db = await new Promise<IDBDatabase>((done) => (open.onsuccess = () => done(open.result)));
        return { let: () => db.close() };
      },
      { version, design: file.designs[0]!, more },
    );
    await page.goto('/');
    await expect(
      page.getByRole('alert').filter({ hasText: 'Another window holds the storage' }),
    ).toBeVisible();
    await held.evaluate((it) => it.let());
    await expect(page.getByRole('heading', { name: 'One enclosure' })).toBeVisible();
    await expect(page.getByRole('link', { name: 'Bog shelf' }).first()).toBeVisible();
  });
