import { readFile } from 'node:fs/promises';
import { expect, test, type Page } from './test';
import { bare, build, demo, exported, readIn, saved, type } from './helpers';

/** The number a cell or sum starts with. */
const number = (text: string): number => Number(/-?[\d.]+/.exec(text.replaceAll(',', ''))?.[0]);

/** Reads “8.8” from the litres column of a layer’s row. */
const litresOf = async (page: Page, layer: RegExp): Promise<number> =>
  number(await page.locator('tr[data-layer]').filter({ hasText: layer }).locator('td').nth(3).innerText());

test('two recipes on sloped ground, in inches: every corner by hand', async ({ page }) => {
  await page.goto('/new');
  await page.getByRole('button', { name: /^Units/ }).click();
  await page.getByRole('menuitem', { name: /dry quarts/ }).click();
  await build(page, 'cave', ['24 in', '18"', '1\' 6"'], 'Slope');
  await bare(page);

  // The rich mix above: 1, 2, 3 and 4 inches at its corners, so 2.5 inches over the floor.
  await page
    .getByRole('button', { name: /^Forest mix/ })
    .first()
    .click();
  for (const [label, text] of [
    ['Front left', '1'],
    ['Front right', '2 in'],
    ['Back left', '3"'],
    ['Back right', '4'],
  ] as const)
    await type(page, label, text);
  // 24 × 18 × 2.5 in³ = 17.698 L = 16.07 dry quarts (one is 1.101220942715 L, NIST Handbook 44)
  await expect.poll(() => litresOf(page, /Forest mix/)).toBeCloseTo(16.1, 1);

  // The plain mix below, level: 24 × 18 × 2 in³ = 14.158 L = 12.86 dry quarts
  await page
    .getByRole('button', { name: /^Chunky epiphyte mix/ })
    .first()
    .click();
  for (const label of ['Front left', 'Front right', 'Back left', 'Back right']) await type(page, label, '2');
  await expect.poll(() => litresOf(page, /Chunky epiphyte mix/)).toBeCloseTo(12.9, 1);

  // Seen from the front, its ends are left and right; raising the left end moves both corners there.
  await page.getByRole('button', { name: 'Front', exact: true }).click();
  const left = page.getByRole('slider', { name: 'Top of Chunky epiphyte mix, left' });
  await left.press('ArrowUp');
  await left.press('ArrowUp');
  await expect(page.getByRole('textbox', { name: 'Front left' })).toHaveValue(/^2\.4\sin$/);
  await expect(page.getByRole('textbox', { name: 'Back left' })).toHaveValue(/^2\.4\sin$/);
  await expect(page.getByRole('textbox', { name: 'Front right' })).toHaveValue(/^2\sin$/);

  // From above the highest corner is told as high as the layers under it stand together.
  await page.getByRole('button', { name: 'Plan' }).click();
  await expect(page.getByText(/ high$/)).toHaveCount(4);
  await saved(page);
  await page.reload();
  await expect.poll(() => litresOf(page, /Forest mix/)).toBeCloseTo(16.1, 1);
});

test('a half-water enclosure: land in open water, its shore, its panel, and the way the water leaves @years', async ({
  page,
}) => {
  await build(page, 'mossy', ['60 cm', '45 cm', '60 cm'], 'Half water');
  await bare(page);
  await expect(page.getByRole('radio', { name: /^Full water/ })).toHaveAttribute('aria-checked', 'true');
  const parts = page.getByRole('group', { name: 'Parts of the floor' });
  await expect(parts.getByRole('button', { name: 'Land' })).toHaveAttribute('aria-pressed', 'true');

  // Half the floor: land 60 × 22.5 cm; water of the rest is 0.135 m² times its depth.
  for (const [label, text] of [
    ['Depth', '22.5 cm'],
    ['From the front', '22.5'],
  ] as const)
    await page
      .getByRole('region', { name: 'Region Land' })
      .getByRole('textbox', { name: label, exact: true })
      .fill(text)
      .then(() => page.keyboard.press('Enter'));
  await page.getByRole('button', { name: 'Plan' }).click();
  const land = page.getByRole('button', { name: /^Land, 60.cm by 22\.5.cm/ });
  await expect(land).toBeVisible();
  for (let corner = 1; corner <= 4; corner += 1) {
    await expect(page.getByRole('button', { name: new RegExp(`^Corner ${corner} of Land`) })).toBeVisible();
  }

  // Moved by keys it stops at the walls; undo brings it back.
  await land.focus();
  await page.keyboard.press('ArrowDown');
  await expect(page.getByRole('button', { name: /^Land, .*22.cm from the front/ })).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('button', { name: /^Land, .*22\.5.cm from the front/ })).toBeVisible();

  await parts.getByRole('button', { name: 'Rest of the floor' }).click();
  await type(page, 'Water kept', '8 cm');
  const water = await litresOf(page, /Open water/);
  await parts.getByRole('button', { name: 'Land' }).click();
  const share = number(await page.getByText(/% of the floor/).innerText());
  expect(water).toBeCloseTo(27 * (1 - share / 100) * 0.8, 0);

  // The panel's legs are cut; closer legs are more of them.
  await page
    .getByRole('button', { name: /^Drainage · raised panel/ })
    .first()
    .click();
  const legs = page.getByText(/^\d+ legs, each cut/);
  const few = number(await legs.innerText());
  await type(page, 'Legs at most apart', '8 cm');
  await expect.poll(async () => number(await legs.innerText())).toBeGreaterThan(few);
  await type(page, 'Sheet rated for', '20');
  await expect(page.locator('[data-finding=panel-overloaded]')).toContainText('it is rated for 20');

  // Water up to the panel's top would touch the barrier; the remedy lowers it.
  await type(page, 'Water kept', '12.5 cm');
  await expect(page.locator('[data-finding=barrier-in-water]')).toBeVisible();
  await page.locator('[data-finding=barrier-in-water]').getByRole('button', { name: /^Keep/ }).click();
  await expect(page.locator('[data-finding=barrier-in-water]')).toHaveCount(0);

  await page.getByRole('radio', { name: /^Siphon tube/ }).click();
  await saved(page);
  await page.getByRole('link', { name: /Build/ }).click();
  await page.getByRole('tab', { name: 'To cut and prepare' }).click();
  await expect(page.getByText(/Holes: 2\.5.cm across at/)).toBeVisible();
  await expect(page.getByText(/Pipe for panel legs: \d+ × /)).toBeVisible();
});

test('regions: a bay, a den, a pool; each has its own layers, and undo takes them back', async ({ page }) => {
  await demo(page);
  await page.goto('/e/demo-limestone/ground');
  const parts = page.getByRole('group', { name: 'Parts of the floor' });
  const addRegion = async (name: RegExp): Promise<void> => {
    await parts.getByRole('button', { name: 'Add a region' }).click();
    await page.getByRole('menuitem', { name }).click();
  };
  const whole = await litresOf(page, /Plain sandy base/);
  await addRegion(/^Bark bay/);
  await expect(parts.getByRole('button', { name: 'Bark bay' })).toHaveAttribute('aria-pressed', 'true');
  await expect(page.locator('tr[data-layer=substrate]')).toContainText('Dry bark');
  await addRegion(/^Pool Open/);
  await expect(page.locator('[data-finding=pool-edge]')).toContainText('must be held back');
  await addRegion(/^Filled den/);
  await expect(page.locator('tr[data-shared=true]')).toHaveCount(2);

  // Less of the floor is left to the rest, so it takes less soil.
  await parts.getByRole('button', { name: 'Rest of the floor' }).click();
  expect(await litresOf(page, /Plain sandy base/)).toBeLessThan(whole);

  // The cut can be moved through the ground; what it meets can be picked in the drawing.
  await page.getByRole('button', { name: 'Side' }).click();
  const cut = page.getByRole('slider', { name: 'Where it is cut, from the left' });
  await cut.focus();
  await cut.press('Home');
  await expect(page.getByText(/^Cut 0.cm from the left$/)).toBeVisible();
  await page
    .locator('svg')
    .getByRole('button', { name: /^Dry bark/ })
    .focus();
  await page.keyboard.press('Enter');
  await expect(parts.getByRole('button', { name: 'Bark bay' })).toHaveAttribute('aria-pressed', 'true');

  await saved(page);
  await page.reload();
  await expect(parts.getByRole('button', { name: 'Den' })).toBeVisible();
  for (let step = 0; step < 3; step += 1) await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(parts.getByRole('button', { name: 'Whole floor' })).toBeVisible();
  await expect.poll(() => litresOf(page, /Plain sandy base/)).toBeCloseTo(whole, 5);
});

test('approaches: each choice changes what follows', async ({ page }) => {
  await demo(page);
  await page.goto('/e/demo-dry-wash/ground');
  await page.getByRole('radio', { name: /^Paper at first/ }).click();
  await expect(page.locator('[data-finding=on-paper]')).toContainText(
    'Others put a captive-bred animal on soil',
  );
  await expect(page.getByLabel('Ledger')).toContainText(/^0\sLsoil in place/);
  await page.getByRole('radio', { name: /^Sand and clay/ }).click();
  await expect(page.locator('tr[data-layer=substrate]')).toContainText('Sand and clay');

  await page.goto('/e/demo-hedge/ground');
  const renewal = page.getByText(/loose for 3.cm over the soil there is/);
  await expect(renewal).toBeVisible();
  await page.getByRole('radio', { name: /^Replace it/ }).click();
  await expect(page.getByText(/of old soil to carry out/)).toBeVisible();
  await page.getByRole('radio', { name: /^Ready-made/ }).click();
  await expect(page.getByRole('table', { name: 'Ingredients' })).toContainText('Ready-made forest soil');
  await page.getByRole('radio', { name: /^Stretch a bag/ }).click();
  await type(page, 'Left of it, loose', '3 L');
  await expect(page.getByRole('textbox', { name: 'Parts of Ready-made forest soil' })).toHaveValue('3');
});

test('sunk wood displaces soil and need not be bought', async ({ page }) => {
  await demo(page);
  await page.goto('/e/demo-hedge/ground');
  const before = await litresOf(page, /^Forest mix/);
  await page.getByRole('button', { name: 'Add a piece' }).click();
  await type(page, 'Displaces', '2 L');
  await type(page, 'Weighs', '1.5 kg');
  await expect.poll(() => litresOf(page, /^Forest mix/)).toBeCloseTo(before - 2, 1);
  await page.getByRole('button', { name: 'Take out Piece of wood' }).click();
  await expect.poll(() => litresOf(page, /^Forest mix/)).toBeCloseTo(before, 5);
});

test('stores: own material, recipe, price and shelf reach the buying list, the file, and another browser', async ({
  page,
  browser,
}) => {
  await demo(page);
  await page.getByRole('link', { name: 'Stores' }).click();
  await page.getByLabel('Find in materials').fill('charcoal');
  await page.getByRole('button', { name: /^Horticultural charcoal/ }).click();
  await type(page, 'There, loose', '1 L');
  await expect(page.getByRole('button', { name: /^Horticultural charcoal.*1.0.L there/ })).toBeVisible();

  // A material from a likeness: heavier, and dearer.
  await page.getByRole('button', { name: 'Make one like it' }).click();
  await type(page, 'Name', 'Biochar of mine');
  await type(page, /^A litre weighs, dry/, '400 g');
  await expect(page.getByText('measured', { exact: true }).first()).toBeVisible();
  await page
    .getByRole('textbox', { name: /^Price of/ })
    .first()
    .fill('7');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: /^Typical price of/ })).toBeVisible();

  // A recipe from a likeness, with it in.
  await page.getByRole('tab', { name: 'Recipes' }).click();
  await expect(page.getByLabel('Find in recipes')).toBeVisible();
  await page.getByRole('button', { name: 'Make one like it' }).click();
  await type(page, 'Name', 'House mix');
  await page.getByRole('combobox', { name: 'Add an ingredient' }).fill('biochar');
  await page.getByRole('option', { name: 'Biochar of mine' }).click();
  await expect(page.getByRole('textbox', { name: 'Parts of Biochar of mine' })).toHaveValue('1');
  await page.getByRole('button', { name: 'Take out Horticultural charcoal' }).click();
  await expect(page.getByText('What it will be like')).toBeVisible();

  // Taken out by mistake, and brought back.
  await page.getByRole('button', { name: 'Take out', exact: true }).click();
  await expect(page.getByRole('button', { name: /^House mix/ })).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('button', { name: /^House mix/ })).toBeVisible();

  // An animal from a likeness.
  await page.getByRole('link', { name: 'Almanac' }).click();
  await page.getByLabel('Find in animals').fill('crested');
  await page.getByRole('button', { name: /^Crested gecko/ }).click();
  await page.getByRole('button', { name: 'Make one like it' }).click();
  await type(page, 'English name', 'Cloud gecko');
  await type(page, 'Scientific name', 'gecko');
  await expect(page.getByText('Genus and species: Anolis carolinensis.')).toBeVisible();
  await type(page, 'Scientific name', 'Correlophus nubilus');

  await build(page, 'cloud', ['45', '45', '60'], 'Cloud enclosure');
  await page
    .getByRole('combobox', { name: /Start from a recipe/ })
    .first()
    .click();
  await page.getByRole('option', { name: 'House mix' }).click();
  await expect(page.getByRole('table', { name: 'Ingredients' })).toContainText('Biochar of mine');
  await saved(page);
  await page.getByRole('link', { name: /Build/ }).click();
  await expect(page.locator('tr[data-material*=own]')).toContainText('Biochar of mine');
  const one = await exported(page, /Export this enclosure/);
  expect(JSON.parse(one).own.materials.map((row: { name: string }) => row.name)).toEqual(['Biochar of mine']);

  // Elsewhere, with nothing of it: all comes along.
  const context = await browser.newContext();
  const other = await context.newPage();
  await other.goto('/');
  await readIn(other, one);
  await other.getByRole('link', { name: 'Cloud enclosure', exact: true }).first().click();
  await expect(other.locator('[data-finding=material-unknown]')).toHaveCount(0);
  await expect(other.getByRole('table', { name: 'Ingredients' })).toContainText('Biochar of mine');
  await context.close();
});

test('an enclosure to be made: a walk-in of sealed wood, its holes, its pieces; printed @years', async ({
  page,
}) => {
  await build(page, 'panther', ['1 m', '80 cm', '2 m'], 'Sun room');
  await page.getByRole('link', { name: /Brief/ }).click();
  await page.getByRole('combobox', { name: 'Made of' }).click();
  await page.getByRole('option', { name: 'timber' }).click();
  await page.getByRole('combobox', { name: 'Built as' }).click();
  await page.getByRole('option', { name: /walk-in/ }).click();
  await page.getByRole('combobox', { name: 'Front wall' }).click();
  await page.getByRole('option', { name: 'gauze' }).click();
  // The same box by its outside: 1 m inside and two walls.
  const wall = number(await page.getByRole('textbox', { name: 'Wall thickness' }).inputValue());
  await page.getByRole('checkbox', { name: 'Sides given outside' }).check();
  // From a metre on the tape is read without its millimetres.
  expect(number(await page.getByRole('textbox', { name: 'Width outside' }).inputValue())).toBe(
    Math.round(100 + 2 * wall),
  );
  await type(page, 'Width outside', '90 cm');
  await page.getByRole('checkbox', { name: 'Sides given outside' }).uncheck();
  expect(number(await page.getByRole('textbox', { name: 'Width inside' }).inputValue())).toBeCloseTo(
    90 - 2 * wall,
    3,
  );

  await page.getByRole('link', { name: /Build/ }).click();
  await page.getByRole('tab', { name: 'To be made' }).click();
  const pieces = page.getByRole('table', { name: 'Pieces' });
  await expect(pieces).toContainText('Door');
  await expect(pieces).toContainText('Studs');
  await expect(pieces).not.toContainText('Floor');
  await page.getByRole('combobox', { name: 'Sealed with' }).click();
  await page.getByRole('option', { name: 'nothing' }).click();
  await page.getByRole('link', { name: /Brief/ }).click();
  await page
    .locator('[data-finding=timber-unsealed]')
    .getByRole('button', { name: 'Seal it with resin' })
    .click();
  await expect(page.locator('[data-finding=timber-unsealed]')).toHaveCount(0);
  await page.getByRole('link', { name: /Build/ }).click();
  await page.getByRole('tab', { name: 'To be made' }).click();
  await expect(page.getByText(/Sealed with epoxy resin.*2 coats over/)).toBeVisible();
  await page.getByRole('button', { name: 'Add a hole' }).click();
  await type(page, 'From the left', '30 cm');
  await expect(page.getByRole('img', { name: 'lid, 1 hole' })).toBeVisible();
  await saved(page);

  await page.evaluate(() => {
    window.print = () => document.body.setAttribute('data-printed', 'yes');
  });
  await page.getByRole('button', { name: 'Print', exact: true }).click();
  await expect(page.locator('body')).toHaveAttribute('data-printed', 'yes');
});

test('the drawing prints alone on its page, and is saved as SVG with its scale', async ({ page }) => {
  await demo(page);
  await page.goto('/e/demo-bog-shelf/ground');
  await page.evaluate(() => {
    window.print = () => {
      document.body.dataset.printed = 'yes';
    };
  });
  await page.getByRole('button', { name: 'Print this drawing' }).click();
  await expect(page.locator('body')).toHaveAttribute('data-printed', 'yes');
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('img', { name: 'Bog shelf, drawn to scale' })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Ground', level: 1 })).toBeHidden();
  await page.emulateMedia({ media: 'screen' });
  await page.evaluate(() => window.dispatchEvent(new Event('afterprint')));
  await expect(page.getByRole('heading', { name: 'Ground', level: 1 })).toBeVisible();

  await page.getByRole('button', { name: 'Plan' }).click();
  const waiting = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save this drawing as SVG' }).click();
  const file = await waiting;
  expect(file.suggestedFilename()).toBe('bog-shelf-plan.svg');
  const text = await readFile(await file.path(), 'utf8');
  expect(text).toContain('data-scale-bar="10 cm"');
  expect(text).not.toContain('var(--');
});
