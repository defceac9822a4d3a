import { expect, test, type Page } from './test';
import { catalogue } from '@/catalogue';
import { demoDesigns } from '@/catalogue/demo';
import { entryOf } from '@/core/log';
import { dayPlus } from '@/core/time';
import { NO_STORES, writeEnvelope } from '@/files';
import { demo, readIn, saved, sound } from './helpers';
import { NOW } from './now';

const TODAY = NOW.slice(0, 10);

/** From the next page on, clocks are so many days ahead of what they were. */
const daysGoBy = async (page: Page, days: number): Promise<void> => {
  await page.context().addInitScript((by) => {
    const Before = Date;
    class Later extends Before {
      constructor(...told: unknown[]) {
        if (told.length === 0) super(Before.now() + by);
        else super(...(told as [number]));
      }
      static override now(): number {
        return Before.now() + by;
      }
    }
    window.Date = Later as DateConstructor;
  }, days * 86_400_000);
};

test('a lamp that was measured is replaced by one tick, and the new one measured: its days are those of the new one', async ({
  page,
}) => {
  const hedge = demoDesigns(catalogue).find((it) => it.id === 'demo-hedge')!;
  const lit = '2025-10-01';
  const design = {
    ...hedge,
    brief: { ...hedge.brief, stage: 'inhabited' as const, since: lit },
    climate: { ...hedge.climate, devices: hedge.climate.devices.map((it) => ({ ...it, since: lit })) },
  };
  const log = [
    ['2025-10-10', 3],
    ['2026-02-10', 2],
  ].map(([day, uvIndex]) =>
    entryOf(
      { kind: 'lamp', values: { uvIndex: Number(uvIndex) }, text: '' },
      { id: `uv ${day}`, design: design.id, at: Date.parse(`${day}T10:00:00Z`), changed: 1 },
    ),
  );
  await page.goto('/');
  await readIn(page, writeEnvelope([design], { ...NO_STORES, log }, new Date(NOW)));
  await expect(page.getByText(/^1 read in/)).toBeVisible();
  await page.goto('/e/demo-hedge/keep');
  const tube = page.locator('[data-due^=uv-]:not([data-due=uv-meter])');
  await expect(tube).toContainText('days late');
  await expect(tube).toContainText('By 2 readings of the meter');
  await tube.getByRole('button', { name: /^Done:/ }).click();
  await expect(tube).toHaveCount(0);
  // The same day stands in Climate, in Equipment, and in the log.
  await page.getByRole('tab', { name: 'Equipment' }).click();
  await page.getByRole('button', { name: /^Take over the \d+ installed in Climate/ }).click();
  await expect(page.getByRole('row', { name: /18 Nov 2026/ })).toHaveCount(1);
  await page.getByRole('tab', { name: 'Log' }).click();
  await expect(page.locator('[data-entry=care]').first()).toContainText('Replace the');
  // The new one is measured where it is ticked, when its time has come.
  await daysGoBy(page, 91);
  await page.goto('/today');
  const meter = page.locator('[data-due=uv-meter]');
  await meter.getByRole('textbox', { name: 'UV index' }).fill('3.2');
  await meter.getByRole('button', { name: /^Done:/ }).click();
  await expect(meter).toHaveCount(0);
  await expect(tube).toHaveCount(0);
  await page.goto('/e/demo-hedge/keep?tab=log');
  await expect(page.locator('[data-entry=lamp]').first()).toContainText('3.2');
});

test('three weeks away and back: a sheet for all of them; what was done is settled at once', async ({
  page,
}) => {
  await demo(page);
  await page.goto('/sitter');
  const [from, to] = [dayPlus(TODAY, 1), dayPlus(TODAY, 21)];
  await page.getByLabel('From').fill(from);
  await page.getByLabel('To', { exact: true }).fill(to);
  await page.getByLabel('Who looks in').fill('Sam');
  await page.getByLabel('Who looks in').press('Enter');
  const sheet = page.locator('[data-sheet="For Sam"]');
  await expect(sheet.locator('tbody tr')).toHaveCount(21);
  await expect(sheet).toContainText('Bog shelf: Feed, insects no wider than');
  await expect(sheet).toContainText('Bog shelf: Change part of the water');
  await expect(sheet).toContainText('Bog shelf: Dust the food with calcium');
  // What is not due while one is away is settled by nobody.
  await expect(page.getByRole('heading', { name: /Back again/ })).toHaveCount(0);
  await page.getByLabel('To', { exact: true }).fill(dayPlus(from, 120));
  await expect(page.getByRole('heading', { name: 'A sheet is for 120 days at most' })).toBeVisible();
  await page.getByLabel('To', { exact: true }).fill(to);
  await expect(sheet).toBeVisible();

  await daysGoBy(page, 22);
  await page.goto('/today');
  await expect(page.locator('[data-due=look]')).toContainText('not for 23 days');
  await expect(page.getByText('You were away until')).toBeVisible();
  await page.getByRole('link', { name: 'Settle what was done' }).click();
  await expect(page.getByRole('heading', { name: 'Back again? Tick what was done' })).toBeVisible();
  await sound(page, 'settling');
  await page.getByRole('button', { name: 'All of it was done' }).click();
  // One thing was not.
  const last = page
    .getByRole('group')
    .filter({ hasText: /Bog shelf: Feed/ })
    .last();
  await last.getByRole('checkbox', { name: 'Bog shelf: Feed' }).click();
  await page.getByRole('button', { name: 'Write it down' }).click();
  await expect(page.getByText(/^\d+ lines written\. What was not done is due on Today\.$/)).toBeVisible();
  await page.goto('/today');
  await expect(page.getByText('You were away until')).toHaveCount(0);
  await expect(page.locator('[data-due=look]')).not.toContainText('not for');
  await page.goto('/e/demo-bog-shelf/keep?tab=log');
  await page.getByLabel('Search the log').fill('By Sam');
  expect(await page.locator('[data-entry]').count()).toBeGreaterThan(5);
});

test('an animal that moves takes its history along; one that dies is fed no more; both can be taken back', async ({
  page,
}) => {
  await demo(page);
  await page.goto('/e/demo-bog-shelf/keep?tab=animals');
  await page.getByRole('button', { name: 'Sedge' }).click();
  const sedge = page.getByRole('region', { name: 'Sedge', exact: true });
  await sedge.getByRole('combobox', { name: 'Lives in' }).click();
  await page.getByRole('option', { name: 'Limestone' }).click();
  await expect(page.getByRole('heading', { name: '3 live here' })).toBeVisible();
  await expect(page.getByText(/the Brief says/)).toHaveCount(0);
  await page
    .getByRole('link', { name: /Brief$/ })
    .first()
    .click();
  await expect(page.getByLabel('How many')).toHaveValue('3');

  await page.goto('/e/demo-limestone/keep?tab=animals');
  await expect(page.getByRole('heading', { name: 'One lives here' })).toBeVisible();
  await page.getByRole('button', { name: 'Sedge' }).click();
  await expect(page.getByRole('img', { name: 'Weight of Sedge' })).toBeVisible();
  await page.goto('/today');
  const here = page.getByRole('region', { name: 'Limestone' });
  await expect(here).toContainText('Hainan cave gecko');
  await expect(here.locator('[data-due=look]')).toBeVisible();

  await page.goto('/e/demo-limestone/keep?tab=animals');
  await page.getByRole('button', { name: 'Sedge' }).click();
  await sedge.getByRole('button', { name: 'It died' }).click();
  await expect(page.getByRole('heading', { name: 'Nobody lives here now' })).toBeVisible();
  await page.getByRole('tab', { name: 'Log' }).click();
  await expect(page.locator('[data-entry=death]')).toContainText('Sedge died.');
  await page.getByRole('tab', { name: 'Care' }).click();
  await expect(page.getByRole('heading', { name: 'Due now' })).toBeVisible();
  await expect(page.locator('[data-due=look], [data-due=feed]')).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo', exact: true }).last().click();
  await expect(page.locator('[data-due=look]')).toHaveCount(1);
  await saved(page);

  // Once more, to be looked at at leisure: what offers to undo it goes after some seconds.
  await page.goto('/e/demo-limestone/keep?tab=animals');
  await page.getByRole('button', { name: 'Sedge' }).click();
  await sedge.getByRole('button', { name: 'It died' }).click();
  await expect(page.getByRole('heading', { name: 'Nobody lives here now' })).toBeVisible();
  await sound(page, 'an animal that died');
});

test('left open over midnight, Today is the day it is', async ({ page }) => {
  await demo(page);
  await page.goto('/today');
  await expect(page.getByText(/^18 Nov 2026\./)).toBeVisible();
  await page.evaluate(() => {
    const Before = Date;
    class Later extends Before {
      constructor(...told: unknown[]) {
        if (told.length === 0) super(Before.now() + 86_400_000);
        else super(...(told as [number]));
      }
      static override now(): number {
        return Before.now() + 86_400_000;
      }
    }
    window.Date = Later as DateConstructor;
    window.dispatchEvent(new Event('focus'));
  });
  await expect(page.getByText(/^19 Nov 2026\./)).toBeVisible();
});
