import { readFileSync } from 'node:fs';
import { expect, test } from './test';

interface Budget {
  /** KB of compressed script a page may load by itself, by its address. */
  readonly script: Readonly<Record<string, number>>;
}
const { script } = JSON.parse(readFileSync('budget.json', 'utf8')) as Budget;

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
    const scripts = new Set<string>();
    let bytes = 0;
    session.on('Network.responseReceived', ({ requestId, type }) => {
      if (type === 'Script') scripts.add(requestId);
    });
    session.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => {
      if (scripts.has(requestId)) bytes += encodedDataLength;
    });
    await page.goto(address, { waitUntil: 'load' });
    await page.getByRole('heading', { level: 1 }).first().waitFor();
    const kb = Math.round(bytes / 1024);
    // Half of it or less means that it was not loaded, or that the budget is to be lowered.
    if (kb > budget || kb < budget / 2) over.push(`${address}: ${kb} KB of ${budget}`);
    await context.close();
  }
  expect(over).toEqual([]);
});
