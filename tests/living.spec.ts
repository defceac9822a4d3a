import { expect, test, type Page } from './test';
import { build, demo, saved, sound } from './helpers';

/** Waits until plants are judged by the climate of the box. */
async function surveyed(page: Page): Promise<void> {
  await expect(page.locator('[data-survey=ready]')).toBeAttached({ timeout: 120_000 });
}
const open = async (page: Page, path: string): Promise<void> => {
  await page.goto(path);
  await expect(page.getByRole('heading', { name: 'Living', level: 1 })).toBeVisible();
  await surveyed(page);
};
const part = (page: Page, name: string) => page.getByRole('tab', { name, exact: true }).click();
const rows = (page: Page) => page.getByRole('table', { name: 'Plants' }).locator('tbody tr');

test('from bare ground to a planted, stocked enclosure by proposal, then by hand; two years scrubbed', async ({
  page,
}) => {
  await build(page, 'crested', ['60 cm', '45 cm', '60 cm'], 'Fern gully');
  await page.getByRole('link', { name: 'Living' }).click();
  await surveyed(page);
  // A new enclosure comes planted; down to bare ground first.
  await page.getByRole('button', { name: 'Take all out' }).click();
  await expect(page.getByText('bare ground')).toBeVisible();
  await expect(page.getByText('Nothing is planted yet.', { exact: false })).toBeVisible();

  await page.getByRole('button', { name: 'Plant it for me' }).click();
  await expect(rows(page).first()).toBeVisible();
  const planted = await rows(page).count();
  expect(planted).toBeGreaterThan(3);
  // Nothing that was proposed pines or dies.
  await expect(rows(page).filter({ hasText: /pines|dies/ })).toHaveCount(0);
  await expect(
    page
      .getByRole('list', { name: 'Cover by height' })
      .getByText(/now, \d+ % grown/)
      .first(),
  ).toBeVisible();

  // By hand: one more, best first; then dragged in plan, potted and divided.
  await page.getByRole('combobox', { name: 'Add a plant, best for this enclosure first' }).fill('nerv plant');
  await page.getByRole('option', { name: /nerve plant/ }).click();
  await expect(rows(page)).toHaveCount(planted + 1);
  await page.getByRole('button', { name: 'Plan', exact: true }).click();
  await rows(page).filter({ hasText: 'Nerve plant' }).last().getByRole('button').click();
  const mark = page.locator('[data-plant][aria-pressed=true]');
  const before = await mark.getAttribute('aria-label');
  const box = (await mark.boundingBox())!;
  const middle = { x: box.x + box.width / 2, y: box.y + box.height / 2 };
  await page.mouse.move(middle.x, middle.y);
  await page.mouse.down();
  await page.mouse.move(middle.x + 40, middle.y + 30, { steps: 5 });
  await page.mouse.up();
  await expect(page.locator('[data-plant][aria-pressed=true]')).not.toHaveAttribute(
    'aria-label',
    before ?? '',
  );
  await page.getByRole('switch', { name: 'In a sunk pot' }).click();
  await page.getByRole('button', { name: 'Divide' }).click();
  await expect(rows(page)).toHaveCount(planted + 2);
  await expect(page.getByText('Wash the roots bare', { exact: false })).toBeVisible();
  await saved(page);

  // Two years on, plants stand higher; the month is told.
  await page.getByRole('button', { name: 'Front', exact: true }).click();
  const heights = async (): Promise<number> => {
    const labels = await page
      .locator('[data-plant]')
      .evaluateAll((all) => all.map((it) => it.getAttribute('aria-label') ?? ''));
    return labels.reduce((sum, it) => sum + Number(/([\d.]+)\s?cm high/.exec(it)?.[1] ?? 0), 0);
  };
  const young = await heights();
  const months = page.getByRole('slider', { name: 'Months after planting' });
  await months.focus();
  for (let i = 0; i < 24; i += 1) await page.keyboard.press('ArrowRight');
  await expect(page.getByText('After 2 years')).toBeVisible();
  expect(await heights()).toBeGreaterThan(young * 1.3);
  await part(page, 'Growth');
  await expect(page.getByText('Growth follows a logistic curve', { exact: false })).toBeVisible();

  // What is planted stands on the buying list, and after a reload.
  await page.getByRole('link', { name: 'Build' }).click();
  const list = page.getByRole('table', { name: 'Plant nursery' });
  await expect(list.getByText('Nerve plant', { exact: false })).toBeVisible();
  await page.goBack();
  // The tab that was open is open again.
  await page.reload();
  await page.getByRole('tab', { name: 'Plants' }).click();
  await expect(rows(page)).toHaveCount(planted + 2);
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(rows(page)).toHaveCount(planted + 1);
});

test('the crew: proposed, counted over two years, another approach, litter, cultures; the load it carries', async ({
  page,
}) => {
  await demo(page);
  await open(page, '/e/demo-hedge/living');
  await part(page, 'Crew');
  const crew = page.getByRole('table', { name: 'Crew', exact: true });
  await page.getByRole('button', { name: 'Choose afresh' }).click();
  await expect(crew.locator('tbody tr')).toHaveCount(2);
  await expect(page.getByRole('img', { name: /^Adults over 24 months: .*isopod/ })).toBeVisible();
  await expect(crew.getByText(/after \d+ (weeks|months|days)|reseed/).first()).toBeVisible();
  await page
    .getByRole('combobox', { name: 'Add a species, best for this enclosure first' })
    .fill('spoted pil isopod');
  await expect(page.getByRole('option').first()).toContainText('spotted pill isopod');
  await page.keyboard.press('Escape');
  await page.getByRole('radio', { name: /^With beetles/ }).click();
  await page.getByRole('button', { name: 'Choose afresh' }).click();
  await expect(crew.getByText(/beetle/).first()).toBeVisible();
  await expect(page.getByRole('table', { name: 'Crew cultures' })).toBeVisible();
  await page.getByRole('radio', { name: /^None/ }).click();
  await expect(crew).toBeHidden();
  await expect(page.getByText('The white urate part', { exact: false })).toBeVisible();

  await part(page, 'Waste and water');
  const load = page.getByRole('region', { name: 'On land' });
  const share = async (): Promise<number> => Number(/([\d.]+) %/.exec(await load.innerText())?.[1]);
  const lifted = await share();
  const out = load.getByRole('textbox', { name: 'Spot-cleaned, %' });
  await out.fill('0');
  await out.press('Enter');
  await expect.poll(share).toBeGreaterThan(lifted);
  await expect(page.getByText('No open water here but dishes', { exact: false })).toBeVisible();
  await open(page, '/e/demo-bog-shelf/living');
  await part(page, 'Waste and water');
  await expect(page.getByRole('img', { name: /^Ammonia, nitrite/ })).toBeVisible();
  const water = page.getByRole('region', { name: 'In the water' });
  const told = await water.innerText();
  await page.getByRole('switch', { name: 'Started with media of a ripe filter' }).click();
  await expect.poll(() => water.innerText()).not.toBe(told);
});

test('by keyboard: a plant is picked, moved and taken out; group and moving in are told', async ({
  page,
}) => {
  await demo(page);
  await open(page, '/e/demo-limestone/living');
  const first = page.locator('[data-plant]').first();
  const name = await first.getAttribute('aria-label');
  await first.focus();
  await page.keyboard.press('Enter');
  await expect(first).toHaveAttribute('aria-pressed', 'true');
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Shift+ArrowRight');
  await expect(first).not.toHaveAttribute('aria-label', name ?? '');
  const count = await page.locator('[data-plant]').count();
  await page.keyboard.press('Delete');
  await expect(page.locator('[data-plant]')).toHaveCount(count - 1);
  await page.keyboard.press('Control+z');
  await expect(page.locator('[data-plant]')).toHaveCount(count);

  await part(page, 'Group');
  await expect(page.getByText('A pair.', { exact: false })).toBeVisible();
  await page.getByRole('textbox', { name: 'Age, months' }).fill('2');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/^At 2 months: about/)).toBeVisible();
  await part(page, 'Moving in');
  await page.getByLabel('Quarantine since').fill('2026-01-02');
  await expect(page.getByText(/days have passed. It waits for its tests/)).toBeVisible();
  await expect(page.getByRole('list', { name: 'Before it moves in' })).toContainText('veterinarian');
});

test('the almanac finds species by names misspelt; a plant of one’s own is planted', async ({ page }) => {
  await demo(page);
  await page.goto('/almanac');
  // A page a keeper would print: its life beside its climate, and every grade of law.
  await page.getByLabel('Find in animals').fill('veiled');
  await page.getByRole('list', { name: 'Animals' }).getByRole('button').first().click();
  const kept = page.getByRole('region', { name: 'veiled chameleon' });
  await expect(kept).toContainText(/90 to 200.g/);
  await expect(kept).toContainText(/in 25 to 30.cm of damp soil, in a tunnel/);
  await expect(kept).toContainText(/Commonly protected.*Runs wild where it gets out/);
  await part(page, 'Plants');
  await page.getByLabel('Find in plants').fill('Fitonia albivnis');
  await expect(page.getByRole('list', { name: 'Plants' }).getByRole('button').first()).toContainText(
    'Nerve plant',
  );
  await page.getByRole('list', { name: 'Plants' }).getByRole('button').first().click();
  await page.getByRole('button', { name: 'Make one like it' }).click();
  const english = page.getByRole('textbox', { name: 'English name' });
  await english.fill('school window plant');
  await english.press('Enter');
  await part(page, 'Crew');
  await expect(page.getByText('Doubles in')).toBeVisible();
  await open(page, '/e/demo-limestone/living');
  await page
    .getByRole('combobox', { name: 'Add a plant, best for this enclosure first' })
    .fill('school window');
  await page.getByRole('option', { name: /school window plant/ }).click();
  await expect(rows(page).filter({ hasText: 'School window plant' })).toHaveCount(1);
});

test('a winter rest is planned, missed, told to be on already, and care follows it', async ({ page }) => {
  // It is 18 November: the rest that is usual began to be fasted for on the 1st.
  await demo(page);
  await open(page, '/e/demo-hedge/living');
  await part(page, 'Group');
  const panel = page.getByRole('region', { name: 'Winter rest' });
  await panel.getByRole('button', { name: 'Plan a winter rest' }).click();
  await expect(panel).toContainText(
    'Without food from 1 November, warmed up from 10 January, from next winter on.',
  );
  await panel.getByRole('button', { name: 'It rests already' }).click();
  await expect(panel).toContainText('It is being cooled, until 22 November.');
  // A later one: it is fed until two weeks before.
  await panel.getByLabel('Cooled from, each year').fill('2026-12-10');
  await expect(panel).toContainText('Without food from 26 November, warmed up from 4 February.');
  await sound(page, 'a winter rest');
  await saved(page);
  await page.getByRole('link', { name: 'Keep' }).click();
  await part(page, 'Care');
  const care = page.getByRole('table', { name: 'All care' });
  await expect(care.locator('[data-rule=rest-cool]')).toContainText('Cool it down');
  await expect(care.locator('[data-rule=rest-look]')).toContainText('not in this part of the year');
  // Taken back in one step each.
  await page.getByRole('link', { name: 'Living' }).click();
  await part(page, 'Group');
  await panel.getByRole('button', { name: 'No winter rest' }).click();
  await expect(panel.getByRole('button', { name: 'Plan a winter rest' })).toBeVisible();
});

test('axe finds nothing in Living', async ({ page }) => {
  test.setTimeout(400_000);
  await demo(page);
  await open(page, '/e/demo-bog-shelf/living');
  await rows(page).first().getByRole('button').click();
  await sound(page, 'plants, one picked');
  for (const name of ['Growth', 'Crew', 'Waste and water', 'Group', 'Moving in']) {
    await part(page, name);
    await sound(page, name);
  }
});
