import { readFileSync } from 'node:fs';
import { expect, test } from './test';

interface Budget {
  /**
   * KB of compressed script by address: what stands in the page's own text, which it cannot do without, and
   * all it loads by itself until it is still.
   */
  readonly script: Readonly<Record<string, { readonly first: number; readonly all: number }>>;
}
const { script } = JSON.parse(readFileSync('budget.json', 'utf8')) as Budget;

/** Milliseconds without a script on its way after which a page is still. */
const STILL = 1000;

// With the demo laid out by its server: the pages are those a keeper sees.
test.use({ baseURL: 'http://127.0.0.1:4182' });

test('no page loads more script than its budget, and none has lost its own', async ({ browser }) => {
  const over: string[] = [];
  for (const [address, budget] of Object.entries(script)) {
    // A context of its own: nothing is in its cache.
    const context = await browser.newContext({ baseURL: 'http://127.0.0.1:4182', serviceWorkers: 'block' });
    const page = await context.newPage();
    const session = await context.newCDPSession(page);
    await session.send('Network.enable');
    const scripts = new Map<string, { parsed: boolean; bytes: number | undefined }>();
    let changed = Date.now();
    session.on('Network.requestWillBeSent', ({ requestId, type, initiator }) => {
      // What a worker runs is loaded beside the page, and told elsewhere.
      if (type !== 'Script' || initiator.type === 'other') return;
      scripts.set(requestId, { parsed: initiator.type === 'parser', bytes: undefined });
      changed = Date.now();
    });
    session.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => {
      const known = scripts.get(requestId);
      if (!known) return;
      known.bytes = encodedDataLength;
      changed = Date.now();
    });
    await page.goto(address, { waitUntil: 'load' });
    await page.getByRole('heading', { level: 1 }).first().waitFor();
    await expect
      .poll(
        () => Date.now() - changed > STILL && [...scripts.values()].every(({ bytes }) => bytes !== undefined),
      )
      .toBe(true);
    const kb = (of: readonly { bytes: number | undefined }[]): number =>
      Math.round(of.reduce((sum, { bytes }) => sum + (bytes ?? 0), 0) / 1024);
    const all = [...scripts.values()];
    const told = { first: kb(all.filter(({ parsed }) => parsed)), all: kb(all) };
    for (const part of ['first', 'all'] as const) {
      // Half of it or less means that it was not loaded, or that the budget is to be lowered.
      if (told[part] > budget[part] || told[part] < budget[part] / 2)
        over.push(`${address}: ${told[part]} KB of ${budget[part]}, ${part}`);
    }
    await context.close();
  }
  expect(over).toEqual([]);
});
