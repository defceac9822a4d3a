import { readFile } from 'node:fs/promises';
import { expect, test } from './test';
import { demo, exported, readIn, sound, type } from './helpers';

test('storage that fills up is said plainly, with the way out; the edit is kept and written later', async ({
  page,
}) => {
  await demo(page);
  await page.goto('/e/demo-hedge/ground');
  await page.getByRole('heading', { name: 'Ground', level: 1 }).waitFor();
  await page.evaluate(() => {
    const put = IDBObjectStore.prototype.put;
    IDBObjectStore.prototype.put = function refuse() {
      throw new DOMException('The storage is full.', 'QuotaExceededError');
    };
    Object.assign(window, { spaceAgain: () => (IDBObjectStore.prototype.put = put) });
  });
  await type(page, /^Oak leaf litter, depth at the front/, '2');
  const alert = page.getByRole('alert').filter({ hasText: 'Not saved' });
  await expect(alert).toContainText('storage is full. Export what is here');
  const file = JSON.parse(await exported(page, /Export this enclosure/)) as { designs: { name: string }[] };
  expect(JSON.stringify(file.designs[0])).toContain('"frontLeft":0.02');
  await page.evaluate(() => (window as unknown as { spaceAgain: () => void }).spaceAgain());
  await alert.getByRole('button', { name: 'Try again' }).click();
  await expect(page.locator('[data-save=saved]')).toBeVisible();
  await page.reload();
  await expect(page.getByRole('textbox', { name: /^Oak leaf litter, depth at the front/ })).toHaveValue(
    '2.0',
  );
});

test('a browser without storage says so', async ({ page }) => {
  await page.addInitScript(() => {
    Object.defineProperty(window, 'indexedDB', { value: undefined });
    IDBFactory.prototype.open = () => {
      throw new DOMException('Storage is blocked.', 'SecurityError');
    };
  });
  await page.goto('/');
  await expect(page.getByRole('alert').filter({ hasText: 'storage does not open' })).toContainText(
    'Allow storage',
  );
});

test('find by /, keys by ?, archive and bring back, copy and reminder', async ({ page }) => {
  await demo(page);
  await expect(page.getByRole('region', { name: 'Backup' })).toContainText('No copy has been saved yet');
  const waiting = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save a copy' }).click();
  await waiting;
  await expect(page.getByRole('region', { name: 'Backup' })).toContainText(
    'Last copy today, and nothing has changed since',
  );

  await page.getByRole('button', { name: 'More for Dry wash' }).click();
  await page.getByRole('menuitem', { name: 'Archive' }).click();
  await expect(page.getByRole('heading', { name: 'Three enclosures' })).toBeVisible();
  await page.getByRole('button', { name: '1 archived' }).click();
  await page.getByRole('button', { name: 'More for Dry wash' }).click();
  await page.getByRole('menuitem', { name: 'Bring back' }).click();
  await page.getByRole('button', { name: 'back to the rack' }).click();
  await expect(page.getByRole('heading', { name: 'Four enclosures' })).toBeVisible();

  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toContainText('undo');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await page.keyboard.press('/');
  await expect(page.getByRole('dialog', { name: 'Find' })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await page.keyboard.press('/');
  const find = page.getByRole('combobox', { name: 'Find an enclosure, an animal or a place' });
  // A slip is forgiven; an animal is found by its name.
  await find.fill('limstone');
  await expect(page.getByRole('option').first()).toContainText('Limestone');
  await find.fill('lime brief');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Brief', level: 1 })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Enclosure: Limestone' })).toBeVisible();
});

test('moisture over the drawing, plan, and the drawing as a file with a scale bar @years', async ({
  page,
}) => {
  await demo(page);
  await page.goto('/e/demo-limestone/ground');
  await expect(page.locator('[data-finding=soil-airless]')).toContainText('does not pull it down');
  await expect(page.getByRole('img', { name: /^Moisture of the soil once drained/ })).toBeVisible();
  await page.getByRole('button', { name: 'Moisture' }).click();
  await page.locator('[data-finding=soil-airless]').getByRole('button').click();
  await expect(page.locator('[data-finding=soil-airless]')).toHaveCount(0);

  for (const view of ['Side', 'Plan']) {
    await page.getByRole('button', { name: view, exact: true }).click();
    const waiting = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Save this drawing as SVG' }).click();
    const path = await (await waiting).path();
    const { readFile } = await import('node:fs/promises');
    const text = await readFile(path, 'utf8');
    expect(text).toContain('data-scale-bar="');
    expect(text).not.toContain('var(--');
    // It stands by itself: a parser takes it, and its scale is the drawing's own.
    const facts = await page.evaluate((source) => {
      const file = new DOMParser().parseFromString(source, 'image/svg+xml');
      const bar = file.querySelector('[data-scale-bar] path')?.getAttribute('d') ?? '';
      const [, from, to] = /M ([\d.]+) .* H ([\d.]+)/.exec(bar) ?? [];
      return {
        broken: file.querySelector('parsererror') !== null,
        says: file.querySelector('[data-scale-bar]')?.getAttribute('data-scale-bar'),
        long: Number(to) - Number(from),
        scale: Number(file.documentElement.getAttribute('data-scale')),
      };
    }, text);
    expect(facts.broken).toBe(false);
    expect(facts.long / facts.scale).toBeCloseTo(Number(facts.says?.split(' ')[0]) / 100, 6);
  }
});

test('a row that cannot be read is told, saved and taken out; all else works', async ({ page }) => {
  await demo(page);
  await page.evaluate(async () => {
    const db = await new Promise<IDBDatabase>((done, refuse) => {
      const asked = indexedDB.open('rincon');
      asked.onsuccess = () => done(asked.result);
      asked.onerror = () => refuse(asked.error);
    });
    const write = db.transaction(['log', 'designs'], 'readwrite');
    write
      .objectStore('log')
      .put({ id: 'torn', design: 'demo-bog-shelf', at: Date.now(), changed: 1, gone: false });
    write
      .objectStore('designs')
      .put({ id: 'torn', design: null, cursor: 0, revision: 1, updated: 1, deleted: 0 });
    await new Promise((done) => (write.oncomplete = done));
    db.close();
  });
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'This enclosure cannot be read' })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Bog shelf' }).first()).toBeVisible();
  await page.goto('/today');
  await expect(page.getByRole('heading', { name: 'Today', level: 1 })).toBeVisible();
  const told = page.getByRole('region', { name: 'What cannot be read' });
  await expect(told).toContainText('Cannot be read: 1 line of the log');
  await sound(page, 'Today with a row that cannot be read');
  await expect(told.getByRole('button', { name: 'Take out' })).toBeDisabled();
  const waiting = page.waitForEvent('download');
  await told.getByRole('button', { name: 'Save what is there' }).click();
  expect(await readFile(await (await waiting).path(), 'utf8')).toContain('"torn"');
  await told.getByRole('button', { name: 'Take out' }).click();
  await expect(told).toBeHidden();
  await page.reload();
  await expect(page.getByRole('button', { name: /^Done: / }).first()).toBeVisible();
  await expect(told).toBeHidden();
});

test('an enclosure is renamed; deleted things are put back from the trash', async ({ page }) => {
  await demo(page);
  // A name is changed where the enclosure stands.
  await page.getByRole('button', { name: 'More for Limestone' }).click();
  await page.getByRole('menuitem', { name: 'Rename' }).click();
  await page.getByRole('dialog', { name: 'Rename' }).getByRole('textbox').fill('Limestone wall');
  await page.getByRole('button', { name: 'Done', exact: true }).click();
  await expect(page.getByRole('link', { name: 'Limestone wall' }).first()).toBeVisible();
  await page.getByRole('button', { name: 'More for Hedge' }).click();
  await page.getByRole('menuitem', { name: 'Delete' }).click();
  await expect(page.getByRole('heading', { name: 'Three enclosures' })).toBeVisible();
  await page.goto('/e/demo-bog-shelf/keep?tab=log');
  await page
    .getByRole('button', { name: /^Remove: Reading/ })
    .first()
    .click();
  await page.reload();
  await page.getByRole('button', { name: 'File', exact: true }).click();
  await page.getByRole('menuitem', { name: 'Trash' }).click();
  const trash = page.getByRole('dialog', { name: 'Trash' });
  await expect(trash.getByRole('listitem')).toHaveCount(2);
  await sound(page, 'the trash');
  await trash.getByRole('button', { name: /^Put back: Bog shelf · Reading/ }).click();
  await trash.getByRole('button', { name: 'Put back: Hedge' }).click();
  await expect(trash.getByRole('status')).toHaveText('Nothing was deleted.');
  await trash.getByRole('button', { name: 'Close' }).click();
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'Four enclosures' })).toBeVisible();
});

test('an edit that cannot be saved is not lost by going elsewhere', async ({ page }) => {
  await page.addInitScript(() => {
    const put = IDBObjectStore.prototype.put;
    IDBObjectStore.prototype.put = function (...args: Parameters<IDBObjectStore['put']>) {
      if (this.name === 'designs' && sessionStorage.getItem('full') === 'yes')
        throw new DOMException('The quota has been exceeded.', 'QuotaExceededError');
      return put.apply(this, args);
    };
  });
  await demo(page);
  await page.getByRole('link', { name: 'Bog shelf' }).first().click();
  await page.getByRole('link', { name: 'Brief' }).click();
  await page.evaluate(() => sessionStorage.setItem('full', 'yes'));
  await page.getByRole('textbox', { name: 'Note', exact: true }).fill('The lid sticks.');
  await page.getByRole('textbox', { name: 'Note', exact: true }).blur();
  await expect(page.getByRole('alert').filter({ hasText: 'Not saved' })).toBeVisible();
  await page.getByRole('link', { name: 'Rincon, to the rack' }).click();
  const left = page.getByRole('region', { name: 'Changes that are not saved' });
  await expect(left).toContainText('“Bog shelf” has changes that are not saved');
  await sound(page, 'the rack with changes that are not saved');
  await page.evaluate(() => sessionStorage.removeItem('full'));
  await left.getByRole('button', { name: 'Try again' }).click();
  await expect(left).toBeHidden();
  await page.goto('/e/demo-bog-shelf/brief');
  await expect(page.getByRole('textbox', { name: 'Note', exact: true })).toHaveValue('The lid sticks.');
});

test('a write that fails is said, whatever it was: units, a copy, archiving, deleting', async ({ page }) => {
  await page.addInitScript(() => {
    for (const way of ['put', 'add'] as const) {
      const write = IDBObjectStore.prototype[way];
      IDBObjectStore.prototype[way] = function (...args: Parameters<IDBObjectStore['put']>) {
        if (sessionStorage.getItem('full') === 'yes')
          throw new DOMException('The quota has been exceeded.', 'QuotaExceededError');
        return write.apply(this, args);
      };
    }
  });
  await demo(page);
  const menu = async (entry: string | RegExp): Promise<void> => {
    await page.getByRole('button', { name: 'More for Hedge' }).click();
    await page.getByRole('menuitem', { name: entry }).click();
  };
  const acts: readonly (readonly [string, () => Promise<void>])[] = [
    [
      'units',
      async () => {
        await page.getByRole('button', { name: /^Units/ }).click();
        await page
          .getByRole('menuitem', { name: /inches/i })
          .first()
          .click();
      },
    ],
    ['a copy', () => menu('Duplicate')],
    ['archiving', () => menu('Archive')],
    ['deleting', () => menu('Delete')],
  ];
  for (const [what, act] of acts) {
    await page.evaluate(() => sessionStorage.setItem('full', 'yes'));
    await act();
    await expect(page.getByText(/^Not written: the browser’s storage is full\./), what).toBeVisible();
    await page.evaluate(() => sessionStorage.removeItem('full'));
    await page.reload();
    await expect(page.getByRole('heading', { name: 'Four enclosures' }), what).toBeVisible();
  }
});

test('a culture is one line of Today, done in one tap; it is in the file, and read in elsewhere', async ({
  page,
  browser,
}) => {
  await demo(page);
  await page.goto('/stores?tab=cultures');
  await page.getByRole('button', { name: /^Springtails on charcoal/ }).click();
  await type(page, 'Fed every', '1');
  await page.goto('/today');
  const cultures = page.getByRole('region', { name: 'Cultures' });
  await expect(cultures.getByRole('listitem')).toHaveText([/^Feed Springtails on charcoal.*since yesterday/]);
  await expect(page.getByText(/; 1.thing for cultures\.$/)).toBeVisible();
  await cultures.getByRole('button', { name: 'Done: Feed Springtails on charcoal' }).click();
  await expect(cultures).toHaveCount(0);
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Today' })).toBeVisible();
  await expect(cultures).toHaveCount(0);
  await expect(page.getByText('Cultures: feed Springtails on charcoal')).toBeVisible();

  await page.goto('/');
  const text = await exported(page, /Export everything/);
  const other = await (await browser.newContext()).newPage();
  await other.goto('/');
  await readIn(other, text);
  await expect(other.getByRole('heading', { name: 'Four enclosures' })).toBeVisible();
  await other.goto('/stores?tab=cultures');
  await other.getByRole('button', { name: /^Springtails on charcoal/ }).click();
  await expect(other.getByRole('table', { name: 'What was done' }).getByRole('row')).toHaveText([
    /18 Nov 2026Fed/,
    /16 Nov 2026Fed/,
    /9 Oct 2026Split/,
  ]);
});
