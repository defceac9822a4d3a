import { expect, test } from './test';
import { build, demo, saved, sound } from './helpers';

test('pieces by what people call them, branches from wall to wall, a fall with its pump and its water @years', async ({
  page,
}) => {
  await build(page, 'phantasmal', ['90 cm', '45 cm', '45 cm'], 'Stream');
  await page.getByRole('link', { name: 'Hardscape' }).click();
  const add = page.getByRole('combobox', { name: 'Add wood, stone, a hide, a dish…' });
  await add.fill('flower pot');
  await expect(page.getByRole('option')).toHaveCount(1);
  await page.getByRole('option', { name: /^Clay pot on its side/ }).click();
  const pieces = page.getByRole('table', { name: 'Pieces' });
  await expect(pieces.getByRole('button', { name: 'Clay pot on its side' })).toBeVisible();

  for (let i = 0; i < 2; i += 1)
    await page.getByRole('button', { name: 'Span a branch from wall to wall' }).click();
  await expect(pieces.getByRole('row', { name: /^Branch.* wall, .* 90\.0 long/ })).toHaveCount(2);
  await expect(page.locator('[data-finding=pieces-clash]')).toHaveCount(0);

  await page.getByRole('tab', { name: 'Water' }).click();
  await page.getByRole('button', { name: 'Waterfall' }).click();
  const dry = page.locator('[data-finding=pump-dry]');
  await expect(dry).toContainText('The pump of waterfall has no water to stand in.');
  await expect(page.locator('[data-finding=fall-dribbles]')).toHaveCount(0);
  await dry.getByRole('button', { name: 'Keep 4 cm of water in the bed' }).click();
  await expect(dry).toHaveCount(0);
  await saved(page);
});

test('a larger enclosure and a quarantine tub follow one that stands', async ({ page }) => {
  await demo(page);
  await page.getByRole('button', { name: 'More for Limestone' }).click();
  await page.getByRole('menuitem', { name: 'Plan a larger one' }).click();
  await expect(page.getByRole('heading', { name: 'A larger enclosure', level: 1 })).toBeVisible();
  await expect(page.getByRole('combobox', { name: 'Animal' })).not.toHaveValue('');
  await expect(page.getByLabel('Its name')).toHaveValue('Limestone, larger');
  await sound(page, 'a larger enclosure');
  await page.getByRole('button', { name: 'Save to the rack' }).click();
  await expect(page.getByRole('heading', { name: 'Ground', level: 1 })).toBeVisible();

  await page.getByRole('link', { name: 'Rincon, to the rack' }).click();
  await page.getByRole('button', { name: 'More for Limestone', exact: true }).click();
  await page.getByRole('menuitem', { name: 'Plan a quarantine tub' }).click();
  await expect(page.getByRole('heading', { name: 'A quarantine tub', level: 1 })).toBeVisible();
  await page.getByRole('button', { name: 'Save to the rack' }).click();
  await expect(page.locator('[data-finding=on-paper]')).toBeVisible();

  // What is not there any more is said, and nothing is lost.
  await page.goto('/new?after=gone&as=larger');
  await expect(page.getByText('The enclosure this was to follow is not on the rack.')).toBeVisible();
  await expect(page.getByRole('heading', { name: 'New enclosure' })).toBeVisible();
});
