import { expect, test, type Page } from './test';
import { demo, sound } from './helpers';

/** A page by its address, once its heading stands. */
async function at(page: Page, path: string, heading: string): Promise<void> {
  await page.goto(path);
  await page.getByRole('heading', { name: heading, level: 1 }).waitFor();
}
const check = (page: Page, what: string): Promise<void> => sound(page, what, false);

// In parts, so that two workers share them.
const VIEWS: Readonly<Record<string, (page: Page) => Promise<void>>> = {
  'the rack and a new enclosure': async (page) => {
    await page.getByRole('button', { name: 'More for Hedge' }).click();
    await check(page, 'card menu');
    await page.goto('/new');
    await page.getByRole('radio', { name: 'Only its volume' }).click();
    await check(page, 'new enclosure');
    await page.goto('/e/nothing/ground');
    await page.getByRole('heading', { name: 'No such enclosure here' }).waitFor();
    await check(page, 'missing');
  },
  'brief, ground, build and lists': async (page) => {
    for (const [path, heading] of [
      ['/e/demo-bog-shelf/brief', 'Brief'],
      ['/e/demo-limestone/ground', 'Ground'],
      ['/e/demo-hedge/build', 'Build'],
      ['/e/demo-bog-shelf/ground', 'Ground'],
      ['/lists', 'One purchase for several'],
    ] as const) {
      await at(page, path, heading);
      await check(page, path);
    }
    await page.goto('/e/demo-hedge/build');
    await page.getByRole('tab', { name: 'To be made' }).click();
    await page.getByRole('button', { name: 'Add a hole' }).click();
    await check(page, 'to be made');
  },
  'the almanac': async (page) => {
    await at(page, '/almanac', 'Almanac');
    for (const part of ['Animals', 'Plants', 'Crew', 'Leaves and wood', 'Feeders', 'Sources']) {
      await page.getByRole('tab', { name: part }).click();
      await check(page, `almanac, ${part}`);
    }
    await page.goto('/almanac');
    await page.getByRole('button', { name: 'Make one like it' }).click();
    await page.getByLabel('Scientific name').waitFor();
    await check(page, 'own animal');
  },
  'layers of the ground': async (page) => {
    await page.goto('/e/demo-limestone/ground');
    for (const layer of ['drainage', 'barrier', 'litter']) {
      await page.locator(`tr[data-layer=${layer}] button`).first().click();
      await check(page, `${layer} picked`);
    }
    await page.goto('/e/demo-bog-shelf/ground');
    await page.getByRole('button', { name: 'Plan' }).click();
    await page.locator('tr[data-layer=drainage] button').first().click();
    await check(page, 'half-water enclosure in plan, its panel picked');
    await page.getByRole('button', { name: 'Rest of the floor' }).click();
    await check(page, 'open water picked');
    await page.goto('/e/demo-dry-wash/ground');
    await page.getByRole('radio', { name: /^Paper at first/ }).waitFor();
    await check(page, 'dry enclosure');
  },
  'ingredients and recipes': async (page) => {
    await at(page, '/stores', 'Stores');
    await check(page, 'stores');
    await page.getByRole('button', { name: 'Coconut coir, pressed' }).click();
    await page.getByRole('button', { name: 'Change its values' }).click();
    await page.getByRole('button', { name: 'Back to what ships' }).waitFor();
    await check(page, 'own material');
    await page.getByRole('tab', { name: 'Recipes' }).click();
    await page.getByRole('button', { name: 'Make one like it' }).click();
    await page.getByRole('combobox', { name: 'Add an ingredient' }).waitFor();
    await check(page, 'own recipe');
    await page.goto('/stores');
    await page.getByRole('button', { name: 'New', exact: true }).click();
    await page.getByRole('dialog').waitFor();
    await check(page, 'new ingredient');
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: /^Coconut coir, pressed/ }).click();
    await page.getByRole('button', { name: 'Measure it in a cup' }).click();
    await page.getByRole('dialog').waitFor();
    await check(page, 'cup');
  },
  'shelf, bench, cultures and mixing sheet': async (page) => {
    await page.goto('/stores?tab=shelf');
    await page.getByRole('table', { name: 'The book' }).waitFor();
    await check(page, 'shelf');
    await page.goto('/stores?tab=bench');
    await page.getByRole('button', { name: 'Another mix beside' }).click();
    await page.getByRole('button', { name: 'Work it out' }).click();
    await page.getByRole('table', { name: 'What goes in' }).waitFor({ timeout: 90_000 });
    await check(page, 'bench, three mixes and an answer');
    await page.goto('/stores?tab=cultures');
    await page.getByRole('button', { name: 'End it' }).waitFor();
    await check(page, 'cultures');
    await page.getByRole('button', { name: 'Start one' }).click();
    await page.getByRole('combobox', { name: 'Species' }).waitFor();
    await check(page, 'a culture to be started');
    await at(page, '/e/demo-dry-wash/mixing', 'Mixing sheet');
    await check(page, 'mixing sheet');
  },
};

for (const [name, look] of Object.entries(VIEWS)) {
  test(`axe finds nothing in ${name}`, async ({ page }) => {
    await demo(page);
    await look(page);
  });
}

test('axe finds nothing on the rack, empty and with the demo', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('heading', { name: 'The rack is empty' }).waitFor();
  await check(page, 'empty rack');
  await demo(page);
  await check(page, 'rack');
});

test('asks no other host, and runs no script that was not its own', async ({ page }) => {
  const foreign: string[] = [];
  page.on('request', (request) => {
    const { hostname, protocol } = new URL(request.url());
    if (!['blob:', 'data:'].includes(protocol) && hostname !== '127.0.0.1') foreign.push(request.url());
  });
  const errors: string[] = [];
  page.on('pageerror', (error) => errors.push(error.message));
  page.on('console', (message) => message.type() === 'error' && errors.push(message.text()));
  await demo(page);
  for (const path of ['/', '/new', '/e/demo-hedge/brief', '/e/demo-hedge/ground', '/e/demo-hedge/build']) {
    await page.goto(path);
    await page.getByRole('heading', { level: 1 }).waitFor();
  }
  expect(foreign).toEqual([]);
  expect(errors).toEqual([]);

  const response = await page.goto('/');
  const headers = response?.headers() ?? {};
  expect(headers['content-security-policy']).toMatch(/script-src 'self' 'nonce-[^']+' 'strict-dynamic'/);
  expect(headers['content-security-policy']).not.toMatch(/script-src[^;]*unsafe-inline/);
  expect(headers['x-content-type-options']).toBe('nosniff');
  // A script that someone smuggled into the page, and a handler in an attribute, both stay dead.
  await page.route('**/new', async (route) => {
    const answer = await route.fetch();
    const html = await answer.text();
    const body = html.replace('<body>', '<body><script>window.ranInline = true</script>');
    expect(body).not.toBe(html);
    await route.fulfill({ response: answer, body });
  });
  await page.goto('/new');
  await page.getByRole('heading', { name: 'New enclosure' }).waitFor();
  await page.evaluate(() => {
    document.body.insertAdjacentHTML(
      'beforeend',
      '<img src="/nothing.png" onerror="window.ranInline = true">',
    );
  });
  await page.waitForTimeout(500);
  expect(await page.evaluate(() => 'ranInline' in window)).toBe(false);
});

test('served with the demo, the nature room stands there on the first visit and stays cleared', async ({
  page,
}) => {
  await page.goto('http://127.0.0.1:4182/');
  await expect(page.getByRole('heading', { name: 'Four enclosures' })).toBeVisible();
  for (const name of ['Bog shelf', 'Hedge', 'Limestone', 'Dry wash']) {
    await page.getByRole('button', { name: `More for ${name}` }).click();
    await page.getByRole('menuitem', { name: 'Delete' }).click();
  }
  await expect(page.getByRole('heading', { name: 'The rack is empty' })).toBeVisible();
  await page.reload();
  await expect(page.getByRole('heading', { name: 'The rack is empty' })).toBeVisible();
});

test('an enclosure too small is told while it is being described, and mended by a click', async ({
  page,
}) => {
  await page.goto('/new');
  await page.getByRole('combobox', { name: 'Animal' }).fill('monitor');
  await page.getByRole('option').first().click();
  for (const side of ['Width', 'Depth', 'Height']) {
    await page.getByRole('textbox', { name: side }).fill('40');
    await page.getByRole('textbox', { name: side }).press('Enter');
  }
  const finding = page.locator('[data-finding=box-too-small]');
  await expect(finding).toContainText('Too small for a ridge-tailed monitor.');
  await finding.getByRole('button', { name: /^Take/ }).click();
  await expect(finding).toHaveCount(0);
  await expect(page.getByRole('textbox', { name: 'Width' })).toHaveValue(/^120\scm$/);
});
