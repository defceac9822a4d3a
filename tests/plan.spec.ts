import ICAL from 'ical.js';
import { readFile } from 'node:fs/promises';
import { expect, test, type Page } from './test';
import { build, demo, saved, sound } from './helpers';

const openPlan = async (page: Page): Promise<void> => {
  await page.getByRole('tab', { name: 'Plan' }).click();
  await expect(page.getByText(/^Mov(ing|ed) in /)).toBeVisible();
};
const moveIn = async (page: Page): Promise<number> =>
  Date.parse(/through by (.+?)\. /.exec(await page.getByText(/^Eight plans in ten/).innerText())![1]!);

test('a new enclosure from plan to move-in: a gate holds the animal back, a late step moves the window', async ({
  page,
}) => {
  await build(page, 'crested', ['45 cm', '45 cm', '60 cm'], 'Ridge');
  await page.getByRole('link', { name: 'Build' }).click();
  await openPlan(page);
  const gates = page.getByRole('region', { name: 'Checks before move-in' });
  await expect(gates).toContainText('The animal waits:');
  await expect(gates.locator('[data-gate=crew]')).toHaveAttribute('data-open', 'false');
  await expect(gates.locator('[data-gate=crew]')).toHaveAttribute(
    'aria-label',
    /shut, the crew was not yet seen/,
  );

  // A step is moved by keys: a week on, and all after it follows.
  const before = await moveIn(page);
  const soil = page.locator('[data-step=soil]');
  const stood = await soil.getAttribute('aria-label');
  await soil.focus();
  for (let i = 0; i < 20; i += 1) await page.keyboard.press('Shift+ArrowRight');
  await expect(soil).not.toHaveAttribute('aria-label', stood ?? '');
  await expect.poll(() => moveIn(page)).toBeGreaterThan(before);
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: /let it follow again/ }).click();
  await expect.poll(() => moveIn(page)).toBe(before);

  // And by the mouse.
  const bar = page.locator('[data-step=soil]');
  await bar.scrollIntoViewIfNeeded();
  const box = (await bar.boundingBox())!;
  await page.mouse.move(box.x + 4, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + 260, box.y + box.height / 2, { steps: 5 });
  await page.mouse.up();
  await expect(page.getByRole('button', { name: /let it follow again/ })).toBeVisible();
  await page.getByRole('button', { name: /let it follow again/ }).click();
  await saved(page);

  // Begun in the past, a step done late moves the window.
  await page.getByLabel('Work begins').fill('2026-01-05');
  const step = page.locator('[data-step=quarantine]');
  await step.focus();
  await page.keyboard.press('Enter');
  const sheet = page.getByRole('region', { name: 'Quarantine the animal' });
  await sheet.getByLabel('Wait over on').fill('2026-04-01');
  await expect(gates.locator('[data-gate=quarantine]')).toHaveAttribute('data-open', 'true');
  await sheet.getByRole('textbox', { name: 'Note' }).fill('Ate on the second day.');
  await sheet.getByRole('textbox', { name: 'Note' }).blur();
  await saved(page);

  // What is read outside its band does not open a gate, whatever is ticked.
  await gates.locator('[data-gate=band]').click();
  const week = page.getByRole('region', { name: 'Measure for a week, by day and by night' });
  await week.getByRole('textbox', { name: 'Warm side, by day' }).fill('39');
  await week.getByRole('button', { name: 'The wait begins today' }).click();
  await expect(week.locator('[data-state=waiting]')).toContainText('likely until');
  await week.getByRole('button', { name: 'The wait is over' }).click();
  await expect(week.getByRole('alert')).toContainText(/Warm side, by day was 39.°C, over/);
  await expect(gates.locator('[data-gate=band]')).toHaveAttribute('data-open', 'false');
  await week.getByRole('textbox', { name: 'Warm side, by day' }).fill('26');
  await week.getByRole('textbox', { name: 'Warm side, by day' }).press('Enter');
  await expect(week.getByRole('alert')).toHaveCount(0);
  await expect(gates.locator('[data-gate=band]')).toHaveAttribute('data-open', 'true');

  // One left out stays shut, and says why.
  await gates.locator('[data-gate=crew]').click();
  await page.getByRole('button', { name: 'Leave it out' }).click();
  await page.getByRole('textbox', { name: 'Why it is left out' }).fill('seen in the culture');
  await page.getByRole('textbox', { name: 'Why it is left out' }).press('Enter');
  await expect(gates.locator('[data-gate=crew]')).toHaveAttribute(
    'aria-label',
    /shut, the crew was not yet seen with young: left out, seen in the culture/,
  );
  await page.getByRole('button', { name: 'Take it in again' }).click();

  // Moving in past shut checks is said and written down, and begins its care; undone, it never was.
  await page.locator('[data-step=move-in]').click();
  await page.getByRole('button', { name: 'Move in…' }).click();
  const moving = page.getByRole('dialog');
  await expect(moving).toContainText('checks are not passed');
  await sound(page, 'moving in');
  const go = moving.getByRole('button', { name: 'Move in all the same' });
  await expect(go).toBeDisabled();
  await moving.getByLabel('How many came').fill('2');
  await moving.getByLabel('Why it moves in all the same').fill('its tub leaks');
  await go.click();
  await expect(page.getByText(/^Moved in on /).first()).toBeVisible();
  await page.getByRole('link', { name: /Keep$/ }).first().click();
  await expect(page.getByRole('button', { name: /^Done: Look for/ })).toBeVisible();
  await page.getByRole('tab', { name: 'Log' }).click();
  await expect(page.locator('[data-entry=move]')).toContainText(
    'Moved in although it was not yet found to smell of nothing',
  );
  await page.getByRole('button', { name: 'Undo', exact: true }).last().click();
  await expect(page.getByText('The log is empty')).toBeVisible();
  await page.getByRole('link', { name: 'Build' }).click();
  await openPlan(page);

  // One gate after the other is opened; then the animal may move in.
  for (;;) {
    const shut = gates.locator('[data-open=false]').first();
    if ((await shut.count()) === 0) break;
    await shut.click();
    const worked = page.getByRole('button', { name: 'The wait begins today' });
    if (await worked.isVisible()) await worked.click();
    await page.getByRole('button', { name: /^(Done today|The wait is over)$/ }).click();
  }
  await expect(gates).toContainText('Every check is passed');
  await page.reload();
  await openPlan(page);
  await expect(gates).toContainText('Every check is passed');
  await page.locator('[data-step=quarantine]').click();
  await expect(page.getByRole('textbox', { name: 'Note' })).toHaveValue('Ate on the second day.');

  const waiting = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as iCalendar' }).click();
  const text = await readFile(await (await waiting).path(), 'utf8');
  const events = new ICAL.Component(ICAL.parse(text) as unknown[]).getAllSubcomponents('vevent');
  expect(events.length).toBeGreaterThan(10);
});

test('at the bench, on a phone: one step at a time; a tick is kept', async ({ browser }) => {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 } });
  const page = await context.newPage();
  await demo(page);
  await page.goto('/e/demo-hedge/build');
  await openPlan(page);
  await page.getByRole('button', { name: 'At the bench' }).click();
  const bench = page.getByRole('dialog');
  await expect(bench.getByText(/^Step \d+ of \d+/)).toBeVisible();
  const title = await bench.getByRole('heading').innerText();
  // Large enough for wet hands, and nothing cut off.
  const done = bench.getByRole('button', { name: /^(Work done|Done)$/ });
  expect((await done.boundingBox())!.height).toBeGreaterThanOrEqual(56);
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  await done.click();
  await expect(bench.getByText(/saved/)).toBeVisible();
  await bench.getByRole('button', { name: 'Next step' }).click();
  await expect(bench.getByRole('heading')).not.toHaveText(title);
  await sound(page, 'at the bench');
  await page.reload();
  await openPlan(page);
  await page.getByRole('button', { name: 'At the bench' }).click();
  for (let i = 0; i < 30 && (await bench.getByRole('heading').innerText()) !== title; i += 1)
    await bench.getByRole('button', { name: 'Step before' }).click();
  await expect(bench.getByRole('button', { name: /^(Done |The wait is over)/ })).toBeVisible();
  await expect(bench.getByRole('heading')).toHaveText(title);
  await context.close();
});

test('axe finds nothing in the plan', async ({ page }) => {
  await demo(page);
  await page.goto('/e/demo-limestone/build');
  await openPlan(page);
  await page.locator('[data-step=measure]').click();
  await sound(page, 'plan, a step picked');
});
