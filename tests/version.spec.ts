import { createServer, request, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import type { Page } from '@playwright/test';
import { expect, test } from './test';
import { demo } from './helpers';

test.use({ serviceWorkers: 'allow' });

/** What stands before the server: it can give another version of the worker, and lose the files of the old one. */
interface Front {
  readonly address: string;
  version: number;
  lost: boolean;
  readonly asked: string[];
  readonly close: () => void;
}

async function front(target: string): Promise<Front> {
  const state = { version: 1, lost: false, asked: [] as string[] };
  const server: Server = createServer((incoming, answer) => {
    const path = incoming.url ?? '/';
    if (path.startsWith('/_next/static/')) {
      state.asked.push(path);
      if (state.lost) {
        answer.writeHead(404).end();
        return;
      }
    }
    const { 'accept-encoding': _, ...headers } = incoming.headers;
    void _;
    const asked = request(`${target}${path}`, { method: incoming.method ?? 'GET', headers }, (got) => {
      if (path !== '/sw.js') {
        answer.writeHead(got.statusCode ?? 502, got.headers);
        got.pipe(answer);
        return;
      }
      const parts: Buffer[] = [];
      got.on('data', (part: Buffer) => parts.push(part));
      got.on('end', () => {
        const { 'content-length': _, ...others } = got.headers;
        void _;
        answer.writeHead(200, { ...others, 'cache-control': 'no-store' });
        answer.end(`${Buffer.concat(parts).toString()}\n// version ${state.version}\n`);
      });
    });
    asked.on('error', () => answer.destroy());
    incoming.pipe(asked);
  });
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  const { port } = server.address() as AddressInfo;
  return Object.assign(state, {
    address: `http://127.0.0.1:${port}`,
    close: () => {
      server.closeAllConnections();
      server.close();
    },
  });
}

const controlled = (page: Page): Promise<void> =>
  page.evaluate(async () => {
    await navigator.serviceWorker.ready;
    if (!navigator.serviceWorker.controller)
      await new Promise((done) => (navigator.serviceWorker.oncontrollerchange = done));
  });

test('a new version with old tabs open: they go on, are asked, and lose nothing that is typed', async ({
  browser,
  baseURL,
}) => {
  test.setTimeout(240_000);
  const before = await front(baseURL ?? '');
  const context = await browser.newContext({
    baseURL: before.address,
    serviceWorkers: 'allow',
    locale: 'en-GB',
  });
  try {
    const page = await context.newPage();
    await demo(page);
    await controlled(page);
    const other = await context.newPage();
    await other.goto('/e/demo-hedge/keep');
    await other.getByLabel('Write down').fill('mist 1');

    before.version = 2;
    await page.evaluate(async () => (await navigator.serviceWorker.getRegistration())?.update());
    await expect(page.getByText('A new version of Rincon is here. What is saved stays.')).toBeVisible();
    await expect(other.getByText('A new version of Rincon is here. What is saved stays.')).toBeVisible();
    // The files of the old version are gone from the server: the old tab goes on from what it keeps.
    before.lost = true;
    before.asked.length = 0;
    await page.getByRole('link', { name: 'Limestone' }).first().click();
    for (const place of ['Brief', 'Hardscape', 'Living', 'Climate', 'Build', 'Keep', 'Ground']) {
      await page
        .getByRole('link', { name: new RegExp(`${place}$`) })
        .first()
        .click();
      await expect(page.getByRole('heading', { level: 1 }).first()).toHaveText(place);
    }
    expect(before.asked).toEqual([]);
    before.lost = false;

    // What is half typed in the window that asks comes back with it.
    await page.getByRole('link', { name: /Keep$/ }).first().click();
    await page.getByLabel('Write down').fill('mist 7');
    await page.getByRole('button', { name: 'Load it' }).click();
    await expect(page.getByText('A new version of Rincon is here. What is saved stays.')).toHaveCount(0);
    await expect(page.getByLabel('Write down')).toHaveValue('mist 7');
    // The other window is told, not loaded anew: what is half typed in it stays, and can be written.
    await expect(other.getByText('A new version of Rincon was loaded in another window.')).toBeVisible();
    await expect(other.getByLabel('Write down')).toHaveValue('mist 1');
    await other.getByLabel('Write down').fill('mist 15s');
    await other.getByLabel('Write down').press('Enter');
    await expect(other.getByText('Written.')).toBeVisible();

    // A cache that is emptied, as browsers do when space runs short: with a server all opens, and is kept anew.
    await page.evaluate(async () => {
      for (const name of await caches.keys()) await caches.delete(name);
    });
    for (const path of ['/', '/today', '/e/demo-hedge/climate']) {
      await page.goto(path);
      await expect(page.getByRole('heading', { level: 1 }).first()).toBeVisible();
    }
  } finally {
    await context.close();
    before.close();
  }
});

test('storage with no room for the pages kept for offline: all works from the server, and they are kept once there is', async ({
  browser,
  baseURL,
}) => {
  const context = await browser.newContext({
    baseURL: baseURL ?? '',
    serviceWorkers: 'allow',
    locale: 'en-GB',
  });
  const page = await context.newPage();
  const origin = new URL(baseURL ?? '').origin;
  const session = await context.newCDPSession(page);
  const failed: string[] = [];
  page.on('pageerror', (error) => failed.push(error.message));
  // Room for the demo, not for five megabytes of script beside it.
  await session.send('Storage.overrideQuotaForOrigin', { origin, quotaSize: 3_000_000 });
  await demo(page);
  const kept = () =>
    page.evaluate(async () => (await navigator.serviceWorker.getRegistration())?.active?.state);
  for (const path of ['/today', '/e/demo-hedge/climate', '/lists']) {
    await page.goto(path);
    await expect(page.getByRole('heading', { level: 1 }).first()).toBeVisible();
  }
  await page.goto('/e/demo-hedge/keep');
  await page.getByLabel('Write down').fill('mist 9s');
  await page.getByLabel('Write down').press('Enter');
  await expect(page.getByText('Written.')).toBeVisible();
  expect(await kept()).not.toBe('activated');
  expect(failed).toEqual([]);

  await session.send('Storage.overrideQuotaForOrigin', { origin });
  await page.reload();
  await expect.poll(kept, { timeout: 60_000 }).toBe('activated');
  await page.getByRole('tab', { name: 'Log' }).click();
  await expect(page.locator('[data-entry=mist]').first()).toContainText('9');
  await context.close();
});
