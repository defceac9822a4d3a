import { expect, test } from './test';
import { demo } from './helpers';

test.use({ serviceWorkers: 'allow' });

test('with the server off it opens, the round is done, and nothing is lost', async ({ page, context }) => {
  test.setTimeout(240_000);
  await demo(page);
  const manifest = await (await page.request.get('/manifest.webmanifest')).json();
  expect(manifest).toMatchObject({ name: 'Rincon', display: 'standalone', start_url: '/today' });
  for (const { src } of manifest.icons as { src: string }[])
    expect((await page.request.get(src)).ok()).toBe(true);
  // Pages are put by once all is quiet.
  await expect
    .poll(
      () =>
        page.evaluate(async () => {
          const cache = await caches.open('rincon-pages');
          return (await cache.keys()).filter((it) => it.url.includes('/e/')).length;
        }),
      { timeout: 120_000 },
    )
    .toBe(36);
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
  await context.setOffline(true);
  // Never visited before, and opened without a server.
  await page.goto('/today');
  const due = page.locator('[data-due]');
  await expect(due.first()).toBeVisible();
  const before = await due.count();
  await due
    .first()
    .getByRole('button', { name: /^Done:/ })
    .click();
  await expect(due).toHaveCount(before - 1);
  await page.goto('/e/demo-limestone/keep?tab=log');
  await page.getByLabel('Write down').fill('23.1 C 74 %');
  await page.keyboard.press('Enter');
  await expect(page.locator('[data-entry=reading]').first()).toContainText('23.1');
  // A design is opened and changed too, a worker calculates.
  await page.goto('/e/demo-hedge/climate');
  await expect(page.getByRole('heading', { name: 'Climate', level: 1 })).toBeVisible();
  await expect(
    page.getByRole('list', { name: /What it comes to/ }).or(page.getByLabel('What it comes to')),
  ).toBeVisible({
    timeout: 60_000,
  });
  // Every place opens, and what is loaded on demand is there as well.
  for (const path of ['/e/demo-hedge/sheets', '/e/demo-hedge/mixing', '/sitter', '/lists']) {
    await page.goto(path);
    await expect(page.getByRole('heading', { level: 1 }).first(), path).toBeVisible();
  }
  await page.goto('/recover');
  await expect(page.getByRole('status')).toHaveText('All of this can be saved.');
  await page.goto('/e/demo-bog-shelf/keep?tab=readings');
  await expect(page.locator('canvas').first()).toBeVisible();
  await page.keyboard.press('/');
  await page.getByRole('combobox').last().fill('hedge');
  await expect(page.getByRole('option', { name: /^Hedge/ }).first()).toBeVisible();
  await page.goto('/e/demo-limestone/keep');
  const calendar = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Care as a calendar' }).click();
  expect((await calendar).suggestedFilename()).toBe('care.ics');
  await page.getByRole('button', { name: 'File', exact: true }).click();
  await page.getByRole('menuitem', { name: 'Trash' }).click();
  await expect(page.getByRole('dialog', { name: 'Trash' })).toBeVisible();
  await page.keyboard.press('Escape');
  await context.setOffline(false);
  await page.goto('/today');
  await expect(due).toHaveCount(before - 1);
  await page.goto('/e/demo-limestone/keep?tab=log');
  await expect(page.locator('[data-entry=reading]').first()).toContainText('23.1');
});
