import { chromium, type Page } from '@playwright/test';
import { catalogue } from '@/catalogue';
import { proposeWhole } from '@/core/propose';
import { type Design } from '@/core/document';
import { NO_STORES, writeEnvelope } from '@/files';
import { CHROMIUM, CHROMIUM_ARGS } from '../scripts/browser.mjs';
import { serve } from '../scripts/serve.mjs';

/** A rack of many boxes while their years are played: tasks on the page that hold it up, and how long all of it takes. */
const BOXES = Number(process.env.BOXES ?? 100);
const ROOMS = ['dry', 'middle', 'humid'] as const;
function boxes(): readonly Design[] {
  return Array.from({ length: BOXES }, (_, i) => {
    const animal = catalogue.animals[i % catalogue.animals.length]?.id ?? '';
    const kind = ROOMS[Math.floor(i / catalogue.animals.length) % ROOMS.length] ?? 'dry';
    return proposeWhole(
      {
        id: `rack-${i}`,
        name: `Box ${i + 1}`,
        animal,
        count: 1,
        size: null,
        room: { kind, temperature: null, humidity: null },
      },
      catalogue,
    );
  });
}

/** ms of each task over 50 ms since it was last asked. */
const tasks = (page: Page): Promise<readonly number[]> =>
  page.evaluate(() => {
    const all = (globalThis as unknown as { longTasks: number[] }).longTasks;
    return all.splice(0);
  });

function told(what: string, list: readonly number[]): void {
  const longest = list.reduce((most, it) => Math.max(most, it), 0);
  console.log(`  ${what}: ${list.length} tasks over 50 ms, longest ${longest.toFixed(0)} ms`);
}

const server = await serve(4192);
const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS });
try {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.addInitScript(() => {
    const list: number[] = [];
    (globalThis as unknown as { longTasks: number[] }).longTasks = list;
    new PerformanceObserver((seen) => list.push(...seen.getEntries().map((it) => it.duration))).observe({
      type: 'longtask',
      buffered: true,
    });
  });
  await page.goto(server.url);
  await page.getByLabel('Import a file').setInputFiles({
    name: 'rack.json',
    mimeType: 'application/json',
    buffer: Buffer.from(writeEnvelope(boxes(), NO_STORES, new Date(0))),
  });
  await page.getByRole('heading', { name: `${BOXES} enclosures` }).waitFor({ timeout: 120_000 });
  await page.waitForTimeout(3000);
  console.log(`a rack of ${BOXES} enclosures, its years played in the background`);
  told('read in and first drawn', await tasks(page));
  const began = Date.now();
  const open = page.getByRole('status').filter({ hasText: /being calculated/ });
  for (let n = 0; (await open.count()) > 0 && n < 4000; n += 1) {
    await page.mouse.wheel(0, n % 24 < 12 ? 400 : -400);
    await page.waitForTimeout(250);
  }
  const seconds = (Date.now() - began) / 1000;
  told('while it is calculated and scrolled', await tasks(page));
  console.log(
    `  all known after ${seconds.toFixed(0)} s: ${((60 * BOXES) / seconds).toFixed(0)} enclosures a minute`,
  );
  await page.reload();
  await page.getByRole('heading', { name: `${BOXES} enclosures` }).waitFor({ timeout: 120_000 });
  await page.waitForFunction(() => !document.querySelector('[data-answer=calculating]'), null, {
    timeout: 120_000,
  });
  console.log(
    `  opened again, all known: ${(await page.evaluate(() => performance.now() / 1000)).toFixed(1)} s`,
  );
} finally {
  await browser.close();
  server.stop();
}
