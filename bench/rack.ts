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

interface Traced {
  readonly name: string;
  readonly ph: string;
  readonly pid: number;
  readonly tid: number;
  readonly dur?: number;
  readonly tdur?: number;
}
const TRACED = ['toplevel', 'devtools.timeline', 'disabled-by-default-devtools.timeline'];
/** ms of processor of the page's tasks over 50 ms: where all cores are at work a task waits longer than it works. */
function worked(trace: Buffer): readonly number[] {
  const { traceEvents } = JSON.parse(trace.toString()) as { traceEvents: readonly Traced[] };
  const painting = new Map<string, number>();
  const threadOf = (it: Traced): string => `${it.pid} ${it.tid}`;
  for (const it of traceEvents)
    if (it.name === 'Layout') painting.set(threadOf(it), (painting.get(threadOf(it)) ?? 0) + 1);
  const [main] = [...painting].sort((a, b) => b[1] - a[1]);
  if (!main) throw new Error('the page was never laid out while it was traced');
  return traceEvents
    .filter((it) => it.ph === 'X' && it.name === 'RunTask' && threadOf(it) === main[0])
    .filter((it) => (it.dur ?? 0) > 50_000)
    .map((it) => (it.tdur ?? it.dur ?? 0) / 1000);
}

function told(what: string, list: readonly number[], trace?: Buffer): void {
  const most = (all: readonly number[]): string => all.reduce((top, it) => Math.max(top, it), 0).toFixed(0);
  const work = trace && worked(trace);
  const words = work ? `; by processor ${work.filter((it) => it > 50).length}, longest ${most(work)} ms` : '';
  console.log(`  ${what}: ${list.length} tasks over 50 ms, longest ${most(list)} ms${words}`);
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
  // Asked of the document itself: a search by role walks all of a long page, and would be most of what is measured.
  const isOpen = (): Promise<boolean> =>
    page.evaluate(() =>
      [...document.querySelectorAll('[role=status]')].some((it) =>
        it.textContent?.includes('being calculated'),
      ),
    );
  await browser.startTracing(page, { categories: TRACED });
  for (let n = 0; Date.now() - began < 20_000; n += 1) {
    await page.mouse.wheel(0, n % 24 < 12 ? 400 : -400);
    await page.waitForTimeout(250);
  }
  told('while it is calculated and scrolled, 20 s', await tasks(page), await browser.stopTracing());
  await browser.startTracing(page, { categories: TRACED });
  for (let n = 0; (await isOpen()) && n < 400; n += 1) await page.waitForTimeout(500);
  const seconds = (Date.now() - began) / 1000;
  told('while it is calculated and left alone', await tasks(page), await browser.stopTracing());
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
