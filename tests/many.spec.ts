import { execFileSync } from 'node:child_process';
import { readFile } from 'node:fs/promises';
import { readBackup, type ReadBackup } from '@/files';
import { tries } from './effort';
import { file } from './helpers';
import { expect, test, type Page } from './test';

/** Elements on the page, and what its script holds, MB. */
async function weight(page: Page): Promise<{ readonly elements: number; readonly heap: number }> {
  const session = await page.context().newCDPSession(page);
  await session.send('Performance.enable');
  await session.send('HeapProfiler.collectGarbage');
  const { metrics } = await session.send('Performance.getMetrics');
  await session.detach();
  const heap = (metrics.find((it) => it.name === 'JSHeapUsedSize')?.value ?? NaN) / 1024 ** 2;
  return { elements: await page.evaluate(() => document.querySelectorAll('*').length), heap };
}

interface Held {
  readonly faults: readonly unknown[];
  readonly designs: unknown;
  readonly log: unknown;
  readonly animals: unknown;
  readonly points: unknown;
  readonly readings: number;
  /** Of each series a sum over its moments and its values, which no exchange of two leaves alone. */
  readonly sums: unknown;
}

/** What a backup holds, in one order. */
async function heldIn(path: string): Promise<Held> {
  const read = await readBackup(new Blob([new Uint8Array(await readFile(path))]));
  if (!read.ok) throw new Error(`${read.place}: ${read.message}`);
  const { faults, envelope, tracks }: ReadBackup = read.value;
  const inOrder = <T extends { readonly id: string }>(rows: readonly T[]): readonly T[] =>
    [...rows].sort((a, b) => (a.id < b.id ? -1 : 1));
  return {
    faults,
    designs: inOrder(envelope.designs),
    log: inOrder(envelope.log),
    animals: inOrder(envelope.animals),
    points: inOrder(envelope.points),
    readings: tracks.reduce((sum, it) => sum + it.track.at.length, 0),
    sums: tracks
      .map(({ series, track }) => ({
        series,
        count: track.at.length,
        sum: track.at.reduce((sum, at, i) => (sum * 31 + at + (track.steps[i] ?? 0)) % 1e9, 7),
      }))
      .sort((a, b) => (a.series < b.series ? -1 : 1)),
  };
}

test('two hundred enclosures: only what is in sight stands on the page, and all of it is within reach', async ({
  page,
}) => {
  const path = '.rincon/rack-test.zip';
  // One of them with readings every five minutes: a year of them, or ten.
  const years = String(tries(1, 10));
  execFileSync(process.execPath, [
    'scripts/rack.mjs',
    '200',
    '--logged',
    '1',
    '--years',
    years,
    '--out',
    path,
  ]);
  await page.goto('/');
  await page.getByLabel('Import a file').setInputFiles(path);
  // Twenty megabytes, fifty thousand lines of a log: it comes whole, however long a slow machine takes.
  await expect(page.getByRole('heading', { name: '200 enclosures' })).toBeVisible({ timeout: 150_000 });

  // Backed up again it is what was read in, to the last reading.
  const waiting = page.waitForEvent('download', { timeout: 150_000 });
  await file(page, /^Back everything up/);
  const [before, after] = await Promise.all([path, await (await waiting).path()].map(heldIn));
  expect(after!.readings).toBeGreaterThan(100_000);
  for (const part of Object.keys(before!) as (keyof Held)[])
    expect(after![part], part).toEqual(before![part]);

  // The rack: every card is a link, and what is to be checked is told for all of them.
  await page.goto('/');
  await expect(page.getByRole('link', { name: 'Bay 20, number 10' }).first()).toBeAttached();
  await expect(page.getByText('Being checked')).toHaveCount(0);
  const rack = await weight(page);
  expect(rack.elements).toBeLessThan(8000);
  await page.getByRole('link', { name: 'Bay 20, number 10' }).first().scrollIntoViewIfNeeded();
  await expect(page.getByRole('img', { name: /front/i }).last()).toBeVisible();

  // Found by a few keys.
  await page.keyboard.press('/');
  await page.getByRole('combobox').fill('bay 17, number 3');
  await expect(page.getByRole('option').first()).toHaveText(/^Bay 17, number 3/);
  await page.keyboard.press('Escape');
  await page.keyboard.press('Escape');

  // Today: the first is ticked off, the last is reached by scrolling.
  await page.goto('/today');
  await expect(page.getByText(/[\d,]+ things in \d+ enclosures/)).toBeVisible();
  const told = (await page.getByText(/[\d,]+ things in \d+ enclosures/).textContent()) ?? '';
  const things = Number(/(\d+) things/.exec(told.replace(/[,.](?=\d)/g, ''))?.[1]);
  expect(things).toBeGreaterThan(500);
  // By task it is a page of rows; by enclosure it is as long as the rack.
  await expect(page.locator('[data-task]').first()).toBeVisible();
  expect((await weight(page)).elements).toBeLessThan(4000);
  await page.getByRole('button', { name: 'By enclosure' }).click();
  const first = page.getByRole('button', { name: /^Done: / }).first();
  await first.click();
  await expect(page.getByText(new RegExp(`${(things - 1).toLocaleString('en-GB')} things`))).toBeVisible();
  const today = await weight(page);
  expect(today.elements).toBeLessThan(4000);
  const last = page.getByRole('heading', { name: 'Bay 20, number 10' });
  await expect(last).toHaveCount(0);
  await expect(async () => {
    await page.mouse.wheel(0, 20_000);
    await expect(last).toBeVisible({ timeout: 500 });
  }).toPass();
  console.log(
    `200 enclosures: rack ${rack.elements} elements, ${rack.heap.toFixed(0)} MB; Today ${today.elements} elements, ${today.heap.toFixed(0)} MB`,
  );
});
