import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test, type Browser, type Page } from './test';
import { zipSync, unzipSync, strToU8 } from 'fflate';
import { demo, file, saved, snapshot, sound, stored, type } from './helpers';
import { browserOn, loads } from './killable';

/** A demo with a picture of its own in the log. */
async function furnished(page: Page): Promise<void> {
  await demo(page);
  await page.goto('/e/demo-bog-shelf/keep?tab=log');
  await page.getByRole('button', { name: 'Use a form' }).click();
  await page.getByLabel('In words').fill('Sits on the cork by the light of noon.');
  await page.getByLabel('Show where in the enclosure it was').check();
  await page.getByRole('button', { name: /^Where it was seen/ }).press('ArrowUp');
  await page
    .getByLabel('Pictures of it')
    .setInputFiles({ name: 'frog.png', mimeType: 'image/png', buffer: await snapshot(page) });
  await page.getByRole('button', { name: 'Write it down' }).click();
  await expect(page.getByText('Written.')).toBeVisible();
  await expect(page.getByRole('button', { name: /^Picture 1 of Behaviour/ })).toBeVisible();
}

async function backedUp(page: Page): Promise<Buffer> {
  const waiting = page.waitForEvent('download');
  await file(page, /^Back everything up/);
  return readFileSync(await (await waiting).path());
}

const take = (page: Page, buffer: Buffer, name = 'rincon.zip'): Promise<void> =>
  page.getByLabel('Import a file').setInputFiles({ name, mimeType: 'application/zip', buffer });

/** As a person clears a site's data. */
async function clear(page: Page): Promise<void> {
  await page.goto('/icon.svg');
  await page.evaluate(
    () =>
      new Promise<void>((done, refuse) => {
        const asked = indexedDB.deleteDatabase('rincon');
        asked.onsuccess = () => done();
        asked.onerror = () => refuse(asked.error);
      }),
  );
}

test('backed up, cleared and restored it is what it was, pictures and readings too', async ({ page }) => {
  await furnished(page);
  const before = await stored(page);
  expect(before.pictures).toHaveLength(1);
  expect(before.blocks!.length).toBeGreaterThan(100);
  const zip = await backedUp(page);
  const files = Object.keys(unzipSync(new Uint8Array(zip)));
  expect(files).toContain('rincon.json');
  expect(files.filter((it) => it.endsWith('.jpg'))).toHaveLength(1);
  expect(files).toContain('tables/log.csv');

  await clear(page);
  await page.goto('/');
  await page.getByRole('heading', { name: 'The rack is empty' }).waitFor();
  await take(page, zip);
  await expect(page.getByText(/^4 read in; \d+ readings; 1 picture\.$/)).toBeVisible();
  expect(await stored(page)).toEqual(before);

  // Read in once more nothing is doubled.
  await take(page, zip);
  await expect(page.getByText(/4 already here/)).toBeVisible();
  expect(await stored(page)).toEqual(before);

  // What is no backup changes nothing and says where the fault is.
  const bad = unzipSync(new Uint8Array(zip)) as Record<string, Uint8Array>;
  for (const name of Object.keys(bad)) if (name.endsWith('.jpg')) bad[name] = strToU8('no picture');
  await take(page, Buffer.from(zipSync(bad)), 'changed.zip');
  await expect(page.getByRole('dialog')).toContainText('this is no JPEG picture');
  await expect(page.getByRole('dialog')).toContainText('Nothing was read in yet');
  await page.getByRole('button', { name: 'Cancel' }).click();
  expect(await stored(page)).toEqual(before);
  // Cut short in the middle it is told too, with what can still be had of it.
  await take(page, zip.subarray(0, Math.floor(zip.length / 2)), 'cut.zip');
  const dialog = page.getByRole('dialog', { name: 'This backup is not whole' });
  await expect(dialog).toContainText('the backup was cut short');
  await expect(dialog).toContainText(/What can be read of it: 4 enclosures, \d+ lines of the log/);
  await sound(page, 'a backup that is not whole');
  await dialog.getByRole('button', { name: 'Read in what there is' }).click();
  await expect(page.getByText('4 already here.')).toBeVisible();
  expect(await stored(page)).toEqual(before);
});

test('a log line is changed, its picture opened, and a file that is no picture refused', async ({ page }) => {
  await furnished(page);
  await page.getByRole('button', { name: /^Change: Behaviour Sits on the cork/ }).click();
  const form = page.getByRole('form', { name: 'Change this line' });
  await form.getByLabel('In words').fill('Sits on the cork, calling.');
  await form.getByRole('button', { name: 'Change it' }).click();
  await expect(page.getByText('Behaviour: Sits on the cork, calling.')).toBeVisible();
  await page.getByRole('button', { name: /^Picture 1 of Behaviour/ }).click();
  await expect(page.getByRole('dialog').getByRole('img')).toBeVisible();
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Use a form' }).click();
  await page
    .getByLabel('Pictures of it')
    .setInputFiles({ name: 'x.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('no picture') });
  await page.getByRole('button', { name: 'Write it down' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'no picture this browser can read' })).toBeVisible();
  // Numbers that cannot be are told at their field.
  await page.getByRole('combobox', { name: 'What' }).click();
  await page.getByRole('option', { name: 'Water test' }).click();
  await page.getByLabel('pH').fill('22');
  await page.getByRole('button', { name: 'Write it down' }).click();
  await expect(page.getByText('A number from 0 to 14.')).toBeVisible();
});

async function two(browser: Browser, baseURL: string | undefined): Promise<readonly [Page, Page]> {
  const make = async (): Promise<Page> =>
    (
      await browser.newContext({ serviceWorkers: 'block', locale: 'en-GB', ...(baseURL ? { baseURL } : {}) })
    ).newPage();
  return [await make(), await make()];
}

test('handed over to another device by a code, once; what both changed is merged or asked', async ({
  browser,
  baseURL,
}) => {
  const [desk, phone] = await two(browser, baseURL);
  await furnished(desk);
  await desk.goto('/');
  const handed = async (): Promise<string> => {
    await file(desk, /^Hand over/);
    await desk.getByRole('button', { name: 'Make a code' }).click();
    const code = (await desk.getByLabel('Code').textContent())!;
    await desk.getByRole('button', { name: 'Close' }).click();
    return code;
  };
  // What the server is given it cannot read.
  const sent: Buffer[] = [];
  desk.on('request', (it) => {
    if (it.url().includes('/api/handover/')) sent.push(it.postDataBuffer() ?? Buffer.from(''));
  });
  const code = await handed();
  expect(code.replaceAll(' ', '')).toMatch(/^[A-Z2-7]{32}$/);
  expect(sent).toHaveLength(1);
  expect(sent[0]!.includes('Bog shelf')).toBe(false);
  expect(sent[0]!.subarray(0, 2).toString()).not.toBe('PK');

  const receive = async (text: string): Promise<void> => {
    await phone.goto('/receive');
    await phone.getByLabel('Code').fill(text);
    await phone.getByRole('button', { name: 'Fetch it' }).click();
  };
  // By the address in the QR code: the code stands in the field and leaves the history.
  await phone.goto(`/receive#${code.replaceAll(' ', '')}`);
  await phone.getByRole('button', { name: 'Fetch it' }).click();
  await expect(phone.getByText(/^4 read in; \d+ readings; 1 picture\.$/)).toBeVisible();
  expect(phone.url()).toMatch(/\/receive$/);
  expect(await stored(phone)).toEqual(await stored(desk));
  await receive(code);
  await expect(phone.getByText(/it was fetched, or ten minutes are over/)).toBeVisible();

  // The phone writes into the log and changes a design; the desk changes the same design and something in the log.
  await phone.goto('/e/demo-limestone/keep');
  await phone.getByLabel('Write down').fill('mist 15s');
  await phone.keyboard.press('Enter');
  await expect(phone.getByText('Written.')).toBeVisible();
  await phone.goto('/e/demo-limestone/brief');
  await type(phone, 'How many', '5');
  await type(phone, 'Measured temperature', '19');
  await saved(phone);
  await desk.goto('/e/demo-limestone/brief');
  await type(desk, 'How many', '3');
  await type(desk, 'Name', 'Limestone ledge');
  await saved(desk);
  await desk.goto('/e/demo-limestone/keep');
  await desk.getByLabel('Write down').fill('fed 2 crickets');
  await desk.keyboard.press('Enter');
  await expect(desk.getByText('Written.')).toBeVisible();
  await desk.goto('/');
  await receive(await handed());
  const ask = phone.getByRole('dialog', { name: 'One enclosure was changed on both sides' });
  // Only what both set is asked: the rest of both is kept.
  const both = ask.getByRole('table', { name: 'What both changed of Limestone' });
  await expect(both.getByRole('row')).toHaveCount(2);
  const number = both.getByRole('radiogroup', { name: 'Brief: how many' });
  await expect(number.getByRole('radio', { name: '5' })).toBeChecked();
  await sound(phone, 'clash');
  await number.getByRole('radio', { name: '3' }).check();
  await ask.getByRole('button', { name: 'Read it in' }).click();
  await expect(phone.getByText(/^1 read in/)).toBeVisible();
  const [here, there] = [await stored(phone), await stored(desk)];
  expect(here.designs!.filter((it) => there.designs!.includes(it))).toHaveLength(3);
  expect(here.log!.length).toBe(there.log!.length + 1);
  expect(there.log!.every((it) => here.log!.includes(it))).toBe(true);
  // A code with a wrong letter opens nothing, and nothing is changed.
  const other = await handed();
  await receive(`${other.slice(0, -1)}${other.endsWith('A') ? 'E' : 'A'}`);
  await expect(phone.getByText(/the code does not open it|32 letters and figures/).first()).toBeVisible();
  expect(await stored(phone)).toEqual(here);
  await sound(phone, 'receive');
  await phone.goto('/e/demo-limestone/brief');
  await expect(phone.getByRole('textbox', { name: 'Name' })).toHaveValue('Limestone ledge');
  await expect(phone.getByRole('textbox', { name: 'How many' })).toHaveValue('3');
  await expect(phone.getByRole('textbox', { name: 'Measured temperature' })).toHaveValue(/^19\s°C$/);
});

test('the browser killed during import, restore, backup and merge: before or after, never between', async ({
  browser,
  baseURL,
}) => {
  test.setTimeout(400_000);
  const [page] = await two(browser, baseURL);
  await furnished(page);
  await page.goto('/');
  const full = await stored(page);
  const zip = await backedUp(page);
  const sizes = (all: Record<string, unknown[]>): string =>
    Object.entries(all)
      .map(([name, rows]) => `${name} ${rows.length}`)
      .join(', ');
  const empty = sizes(Object.fromEntries(Object.keys(full).map((name) => [name, []])));
  const csv = `time,temp,hum\n${Array.from({ length: 60_000 }, (_, i) => `${new Date(Date.UTC(2025, 0, 1) + i * 60_000).toISOString()},${(22 + Math.sin(i / 200)).toFixed(2)},${70 + (i % 9)}`).join('\n')}\n`;
  let kills = 0;
  const profile = mkdtempSync(join(tmpdir(), 'rincon-carry-'));
  const opened = async (path: string): Promise<Awaited<ReturnType<typeof browserOn>>> => {
    for (let tries = 0; tries < 8; tries += 1) {
      const own = await browserOn(profile);
      if (await loads(own.page, `${baseURL}${path}`)) return own;
      await own.kill();
    }
    throw new Error('the browser did not begin to load');
  };
  try {
    // Restored into an empty rack, killed ever later.
    for (const wait of [20, 250, 600, 1100]) {
      const own = await opened('/');
      await own.page.getByRole('heading', { name: /rack is empty|enclosures/ }).waitFor();
      await take(own.page, zip);
      await new Promise((done) => setTimeout(done, wait));
      await own.kill();
      kills += 1;
      const again = await opened('/');
      await again.page.getByRole('heading', { name: /rack is empty|enclosures/ }).waitFor();
      const now = await stored(again.page);
      expect([empty, sizes(full)], `after ${wait} ms`).toContain(sizes(now));
      if (sizes(now) !== empty) expect(now).toEqual(full);
      await again.kill();
    }
    // A whole one, merged into itself, backed up, and a long file read in; each killed in the middle.
    const start = await opened('/');
    await start.page.getByRole('heading', { name: /rack is empty|enclosures/ }).waitFor();
    await take(start.page, zip);
    await start.page.getByRole('heading', { name: 'Four enclosures' }).waitFor();
    await expect(start.page.getByText(/read in|already here/).first()).toBeVisible();
    await start.kill();
    for (const [path, act] of [
      ['/', (own: Page) => take(own, zip)],
      ['/', (own: Page) => file(own, /^Back everything up/)],
      [
        '/e/demo-hedge/keep?tab=readings',
        async (own: Page) => {
          await own
            .getByLabel('File of a sensor')
            .setInputFiles({ name: 'long.csv', mimeType: 'text/csv', buffer: Buffer.from(csv) });
          await own.getByRole('button', { name: 'Read it in' }).click();
        },
      ],
    ] as const) {
      const own = await opened(path);
      await own.page.getByRole('heading', { level: 1 }).first().waitFor();
      await act(own.page);
      await new Promise((done) => setTimeout(done, 150 + 90 * kills));
      await own.kill();
      kills += 1;
      const again = await opened('/');
      await again.page.getByRole('heading', { name: 'Four enclosures' }).waitFor();
      const now = await stored(again.page);
      const others = (all: Record<string, unknown[]>) => ({ ...all, series: [], blocks: [] });
      expect(others(now)).toEqual(others(full));
      // Of the long file all of both columns is there, or nothing.
      const fresh = now.series!.length - full.series!.length;
      expect([0, 2]).toContain(fresh);
      expect(now.blocks!.length - full.blocks!.length === 0).toBe(fresh === 0);
      await again.kill();
    }
    expect(kills).toBe(7);
  } finally {
    rmSync(profile, { recursive: true, force: true });
  }
});
