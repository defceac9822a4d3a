import { expect, test, type Page } from './test';
import { build, demo, saved, snapshot, sound } from './helpers';

const due = (page: Page) => page.locator('[data-due]');

test('a morning round of the demo by keyboard: written in one line, ticked off, taken back', async ({
  page,
}) => {
  await demo(page);
  await page.goto('/today');
  await expect(page.getByText(/\d+ things in \d enclosures, about \d+ minutes/)).toBeVisible();
  expect(await due(page).count()).toBeGreaterThan(3);
  const told = page.getByRole('region', { name: 'Bog shelf' }).locator('[data-due=mist], [data-due=feed]');
  expect(await told.count()).toBeGreaterThan(0);

  // One line, shown as it is understood before it is written.
  const line = page.getByLabel('Write down');
  await line.focus();
  await page.keyboard.type('bog mist 20s; fed 3 crickets, 1 left; 23.4 C 81 %');
  const understood = page.getByRole('group', { name: 'As it is understood' });
  await expect(understood).toContainText('Bog shelf · Misted: 20 s');
  await expect(understood).toContainText('Fed: 3 crickets, 1 left');
  await expect(understood).toContainText(/Reading: 23\.4.°C, 81.%/);
  await page.keyboard.press('Enter');
  await expect(page.getByText('3 lines written.')).toBeVisible();
  await expect(line).toHaveValue('');
  // What the line says was done is due no more.
  await expect(told).toHaveCount(0);
  const before = await due(page).count();

  // What cannot be is not written, and says why.
  await page.keyboard.type('20 C');
  await expect(understood).toContainText('Begin with the name of an enclosure');
  await expect(page.getByRole('button', { name: 'Write', exact: true })).toBeDisabled();
  await line.fill('');

  // Ticked off by keys, one after the other; the last is taken back.
  const rule = await due(page).first().getAttribute('data-due');
  await due(page)
    .first()
    .getByRole('button', { name: /^Done:/ })
    .focus();
  await page.keyboard.press('Enter');
  await expect(due(page)).toHaveCount(before - 1);
  await page.getByRole('button', { name: 'Undo', exact: true }).last().click();
  await expect(due(page)).toHaveCount(before);
  expect(await due(page).first().getAttribute('data-due')).toBe(rule);
  for (let left = before; left > 0; left -= 1) {
    await due(page)
      .first()
      .getByRole('button', { name: /^Done:/ })
      .press('Enter');
    await expect(due(page)).toHaveCount(left - 1);
  }
  await expect(page.getByText(/All is done/)).toBeVisible();
  await page.reload();
  await expect(page.getByText(/All is done/)).toBeVisible();
});

test('left out on purpose is not late; another rhythm, a pause, and one of one’s own', async ({ page }) => {
  await demo(page);
  await page.goto('/e/demo-bog-shelf/keep');
  await expect(page.getByRole('heading', { name: 'Due now' })).toBeVisible();
  const first = due(page).first();
  const rule = (await first.getAttribute('data-due'))!;
  await first.getByRole('button', { name: /^More:/ }).click();
  await first.getByLabel('Note').fill('away over the weekend');
  await first.getByRole('button', { name: 'Leave it out' }).click();
  await expect(page.locator(`[data-due=${rule}]`)).toHaveCount(0);
  await page.getByRole('tab', { name: 'Log' }).click();
  await expect(page.locator('[data-entry]').first()).toContainText('left out on purpose');
  await expect(page.locator('[data-entry]').first()).toContainText('away over the weekend');

  // The log is searched and filtered, and a line is struck out.
  await page.getByLabel('Search the log').fill('males call');
  await expect(page.locator('[data-entry]')).toHaveCount(1);
  await page.getByRole('button', { name: /^Remove: Behaviour/ }).click();
  await expect(page.getByText('No line of the log says that.')).toBeVisible();
  await page.getByRole('button', { name: 'Undo', exact: true }).last().click();
  await expect(page.locator('[data-entry]')).toHaveCount(1);
  await page.getByLabel('Search the log').fill('');
  await page.getByRole('combobox', { name: 'Type' }).click();
  await page.getByRole('option', { name: 'Weight' }).click();
  // Four frogs, weighed six times each.
  await expect(page.locator('[data-entry]')).toHaveCount(24);
  await expect(page.locator('[data-entry=weight]')).toHaveCount(24);
  await expect(page.locator('[data-entry]').last()).toContainText(/\d+(\.\d)?.g/);

  await page.getByRole('tab', { name: 'Care' }).click();
  await page.locator('[data-rule=glass]').getByRole('button').click();
  const card = page.getByRole('region', { name: 'Wipe the glass' });
  await card.getByLabel('Days').fill('3');
  await card.getByLabel('Days').press('Enter');
  await expect(page.locator('[data-rule=glass]')).toContainText('3 days after the last time · your own');
  await card.getByRole('combobox', { name: 'Comes' }).click();
  await page.getByRole('option', { name: 'on days of the week' }).click();
  await card.getByRole('button', { name: 'Thu' }).click();
  await expect(page.locator('[data-rule=glass]')).toContainText('every week on Monday, Thursday');
  await card.getByRole('switch', { name: 'Paused' }).click();
  await expect(page.locator('[data-rule=glass]')).toContainText('paused');
  await page.getByLabel(/^What is to be done/).fill('Turn the enclosure');
  await page.getByLabel(/^What is to be done/).press('Enter');
  await expect(page.locator('[data-rule=own-1]')).toContainText('Turn the enclosure');
  await saved(page);
  await page.reload();
  await expect(page.locator('[data-rule=glass]')).toContainText('paused');
  await page.locator('[data-rule=glass]').getByRole('button').click();
  await page.getByRole('button', { name: 'As it follows from the design' }).click();
  await expect(page.locator('[data-rule=glass]')).toContainText('a week after the last time');
});

test('an enclosure on paper asks for nothing; lived in, its care begins', async ({ page }) => {
  await build(page, 'crested', ['45 cm', '45 cm', '60 cm'], 'Ridge');
  await page.goto('/today');
  await expect(page.getByRole('heading', { name: 'Nothing to care for yet' })).toBeVisible();
  await page.goto('/');
  await page.getByRole('link', { name: /Ridge/ }).first().click();
  await page.getByRole('link', { name: 'Brief' }).click();
  await page.getByRole('combobox', { name: 'Stage' }).click();
  await page.getByRole('option', { name: 'lived in' }).click();
  await saved(page);
  await page.goto('/today');
  await expect(page.locator('[data-due=look]')).toContainText('crested gecko');
});

test('on a phone, with large targets and nothing cut off', async ({ browser }) => {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 } });
  const page = await context.newPage();
  await demo(page);
  for (const path of ['/today', '/e/demo-bog-shelf/keep']) {
    await page.goto(path);
    const done = due(page)
      .first()
      .getByRole('button', { name: /^Done:/ });
    const box = (await done.boundingBox())!;
    expect(Math.min(box.width, box.height)).toBeGreaterThanOrEqual(44);
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  }
  await context.close();
});

test('axe finds nothing in Today and Keep', async ({ page }) => {
  await demo(page);
  await page.goto('/today');
  await expect(due(page).first()).toBeVisible();
  await page.getByLabel('Write down').fill('bog mist 20s; 20 C x; nowhere');
  await due(page)
    .first()
    .getByRole('button', { name: /^More:/ })
    .click();
  await sound(page, 'today');
  await page.goto('/e/demo-bog-shelf/keep');
  await page.locator('[data-rule=glass]').getByRole('button').click();
  await sound(page, 'care');
  await page.getByRole('tab', { name: 'Log' }).click();
  await expect(page.locator('[data-entry]').first()).toBeVisible();
  await sound(page, 'log');
  for (const [tab, what] of [
    ['Readings', 'Measuring points'],
    ['Troubleshoot', 'What do you see?'],
    ['Animals', '4 live here'],
  ] as const) {
    await page.getByRole('tab', { name: tab }).click();
    await page.getByRole('heading', { name: what }).waitFor();
    await sound(page, tab);
  }
});

test('the morning round on a phone, by taps, in under a minute', async ({ browser }) => {
  const context = await browser.newContext({
    viewport: { width: 390, height: 844 },
    hasTouch: true,
    isMobile: true,
    serviceWorkers: 'block',
  });
  const page = await context.newPage();
  await demo(page);
  await page.goto('/today');
  await expect(due(page).first()).toBeVisible();
  const all = await due(page).count();
  const began = Date.now();
  // One with an amount and a picture, the rest in one tap each.
  const feed = page.locator('[data-due=feed]').first();
  await feed.getByRole('button', { name: /^More:/ }).tap();
  await feed.getByLabel('Given').fill('6');
  await feed.getByLabel('Left over').fill('1');
  await feed
    .getByLabel(/^Picture of it/)
    .setInputFiles({ name: 'cup.png', mimeType: 'image/png', buffer: await snapshot(page) });
  await feed.getByRole('button', { name: 'Done', exact: true }).tap();
  await expect(page.getByText('Done: Feed.').first()).toBeVisible();
  // The line is gone before the next is counted: the notice may come first.
  await expect(due(page)).toHaveCount(all - 1);
  for (let left = all - 1; left > 0; left -= 1) {
    await due(page)
      .first()
      .getByRole('button', { name: /^Done:/ })
      .tap();
    await expect(due(page)).toHaveCount(left - 1);
  }
  await expect(page.getByText(/All is done/)).toBeVisible();
  expect(Date.now() - began).toBeLessThan(60_000);
  await page.goto('/e/demo-bog-shelf/keep?tab=log');
  const fed = page.locator('[data-entry=feed]').first();
  await expect(fed).toContainText('6, 1 left');
  await expect(fed.getByRole('button', { name: /^Picture 1 of Fed/ })).toBeVisible();
  await context.close();
});
