import { expect, test } from './test';
import { demo, sound } from './helpers';

test.use({ viewport: { width: 390, height: 844 } });

test('on a phone a list is one step and what is picked the next; Back goes to where one was', async ({
  page,
}) => {
  await demo(page);
  await page.goto('/almanac?tab=plants');
  const list = page.getByRole('list', { name: 'Plants' });
  const pothos = list.getByRole('button', { name: /^satin pothos/i });
  await expect(pothos).toBeVisible();
  await pothos.click();
  await expect(list).toBeHidden();
  const back = page.getByRole('button', { name: 'Back to the list' });
  await expect(back).toBeFocused();
  // It begins within the first screen, and its address is a link to it.
  await expect(page.getByText('Scindapsus pictus').filter({ visible: true }).first()).toBeInViewport();
  await expect(page).toHaveURL(/tab=plants&row=scindapsus-pictus/);
  await sound(page, 'a plant on a phone');
  await page.reload();
  await expect(page.getByText('Scindapsus pictus').filter({ visible: true }).first()).toBeInViewport();
  await page.getByRole('button', { name: 'Back to the list' }).click();
  await expect(list).toBeVisible();
});

test('a plant, a material and a species are found by name, and open where they are told of', async ({
  page,
}) => {
  await demo(page);
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'Four enclosures' })).toBeVisible();
  const find = async (text: string): Promise<void> => {
    await page.keyboard.press('/');
    await page.getByRole('combobox', { name: 'Find an enclosure, an animal or a place' }).fill(text);
  };
  await find('satin poth');
  await page
    .getByRole('option', { name: /almanac$/ })
    .first()
    .click();
  await expect(page).toHaveURL(/almanac\?tab=plants&row=scindapsus-pictus/);
  await expect(page.getByText('Scindapsus pictus').filter({ visible: true }).first()).toBeInViewport();
  await find('charcoal');
  await page
    .getByRole('option', { name: /material, stores$/ })
    .first()
    .click();
  await expect(page).toHaveURL(/stores\?row=/);
  await expect(page.getByRole('button', { name: 'Back to the list' })).toBeVisible();
});

test('what can wait is put off for a week in one step, and back; what must not be left out stays due', async ({
  page,
}) => {
  await demo(page);
  await page.goto('/today');
  await page.getByRole('button', { name: 'By enclosure' }).click();
  const rows = page.locator('[data-due]');
  await expect(rows.first()).toBeVisible();
  const many = await rows.count();
  await page.getByRole('button', { name: 'Put off what can wait' }).click();
  await page.getByRole('menuitem', { name: 'For a week' }).click();
  await expect.poll(() => rows.count()).toBeLessThan(many);
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(rows).toHaveCount(many);
  // One of them alone, until tomorrow.
  const first = await rows.first().getAttribute('data-due');
  await rows
    .first()
    .getByRole('button', { name: /^More: / })
    .click();
  await rows
    .first()
    .getByRole('button', { name: /^Put off: / })
    .click();
  await page.getByRole('menuitem', { name: 'Until tomorrow' }).click();
  await expect(rows).toHaveCount(many - 1);
  expect(first).not.toBeNull();
});
