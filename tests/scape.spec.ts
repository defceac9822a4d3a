import { readFile } from 'node:fs/promises';
import { expect, test, type Page } from './test';
import { build, demo, saved, type, sound } from './helpers';

const sections = (page: Page) => page.getByRole('region', { name: 'Drawing' });
const held = (page: Page, name: RegExp) => sections(page).getByRole('button', { name });
const row = (page: Page, name: RegExp | string) =>
  page.getByRole('table', { name: 'Pieces' }).getByRole('row', { name });

async function made(page: Page, animal: string, size: readonly [string, string, string], name: string) {
  await build(page, animal, size, name);
  await page.getByRole('link', { name: 'Hardscape' }).click();
  await expect(page.getByRole('heading', { name: 'Hardscape', level: 1 })).toBeVisible();
}

async function drag(page: Page, from: { x: number; y: number }, to: { x: number; y: number }) {
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  for (let i = 1; i <= 8; i += 1)
    await page.mouse.move(from.x + ((to.x - from.x) * i) / 8, from.y + ((to.y - from.y) * i) / 8);
  await page.mouse.up();
}

async function middle(page: Page, name: RegExp) {
  const box = await held(page, name).first().boundingBox();
  if (!box) throw new Error(`${name} is not drawn`);
  return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
}

/** “12 cm from the left, 20 cm from the front, 3 cm up” as numbers. */
async function placeOf(page: Page, name: RegExp) {
  const label = (await held(page, name).first().getAttribute('aria-label')) ?? '';
  const [, left, front, up] =
    /([\d.]+).cm from the left, ([\d.]+).cm from the front, ([\d.]+).cm up/.exec(label) ?? [];
  return { left: Number(left), front: Number(front), up: Number(up), label };
}

test('a tall climber’s enclosure: from the first layout to one’s own, by mouse @years', async ({ page }) => {
  await made(page, 'crested', ['45', '45', '75'], 'Tall enclosure');
  await expect(row(page, /^Root wood/)).toBeVisible();
  await expect(page.locator('[data-finding=no-warm-hide]')).toHaveCount(0);

  // A ledge on magnets, carried up the back wall.
  const before = await placeOf(page, /^Ledge on magnets/);
  const from = await middle(page, /^Ledge on magnets/);
  await drag(page, from, { x: from.x + 40, y: from.y - 90 });
  const after = await placeOf(page, /^Ledge on magnets/);
  expect(after.up).toBeGreaterThan(before.up + 5);
  expect(after.left).toBeGreaterThan(before.left + 2);
  expect(after.label).toContain('held by a wall');

  // From the side it is the depth that moves; the branch's far end is taken hold of.
  await page.getByRole('button', { name: 'Plan', exact: true }).click();
  const plan = await middle(page, /^Half round of cork/);
  await drag(page, plan, { x: plan.x + 30, y: plan.y + 30 });
  await page.getByRole('button', { name: 'Front', exact: true }).click();
  await row(page, /^Root wood/)
    .getByRole('button')
    .click();
  const head = sections(page).getByRole('button', { name: /^Head of Root wood/ });
  const box = (await head.boundingBox())!;
  await drag(page, { x: box.x + 14, y: box.y + 14 }, { x: box.x - 60, y: box.y - 40 });
  await expect(row(page, /^Root wood/)).not.toContainText('41');

  // What no door lets through is told, and mended.
  await page.getByRole('combobox', { name: /^Add wood/ }).fill('bamboo');
  await page.getByRole('option', { name: /^Bamboo pole/ }).click();
  await type(page, 'Length', '90 cm');
  await expect(page.locator('[data-finding=piece-outside]')).toContainText('over the lid');
  await page.locator('[data-finding=piece-outside]').getByRole('button').click();
  await expect(page.locator('[data-finding=piece-outside]')).toHaveCount(0);
  await saved(page);
  const placed = (await placeOf(page, /^Ledge on magnets/)).label;
  await page.reload();
  expect((await placeOf(page, /^Ledge on magnets/)).label).toBe(placed);
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(page.locator('[data-finding=piece-outside]')).toHaveCount(1);
});

test('a low burrower’s enclosure by keyboard: moved, sunk, stood on the floor, taken out, brought back @years', async ({
  page,
}) => {
  await made(page, 'sand boa', ['90', '45', '45'], 'Low enclosure');
  const stone = held(page, /^Half round of cork/).first();
  const start = await placeOf(page, /^Half round of cork/);
  await stone.focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('region', { name: 'Half round of cork' })).toBeVisible();
  for (let i = 0; i < 4; i += 1) await page.keyboard.press('ArrowRight');
  expect((await placeOf(page, /^Half round of cork/)).left).toBeCloseTo(start.left + 2, 1);
  await page.keyboard.press('PageDown');
  expect((await placeOf(page, /^Half round of cork/)).front).toBeCloseTo(start.front - 0.5, 1);
  // Down into the ground, 5 mm at a time.
  const up = (await placeOf(page, /^Half round of cork/)).up;
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowDown');
  expect((await placeOf(page, /^Half round of cork/)).up).toBeCloseTo(up - 1, 1);

  // A boulder on soil that a burrower digs: stood on the floor by the finding's own button.
  await page.getByRole('combobox', { name: /^Add wood/ }).fill('boulder');
  await page.getByRole('option', { name: /^Boulder/ }).click();
  await page.getByRole('combobox', { name: 'Stands' }).click();
  await page.getByRole('option', { name: 'in the ground' }).click();
  await page.getByRole('textbox', { name: 'Sunk' }).fill('0');
  await page.keyboard.press('Enter');
  const finding = page.locator('[data-finding=stone-on-soil]');
  await expect(finding).toContainText('can be dug away');
  await finding.getByRole('button', { name: 'Stand it on the floor of the enclosure' }).click();
  await expect(finding).toHaveCount(0);
  await expect(row(page, /^Boulder/)).toContainText('on the floor');

  // The soil it stands in need not be bought; it comes back when the stone goes.
  const soil = async (): Promise<number> =>
    Number(/[\d.]+/.exec(await page.getByRole('contentinfo', { name: 'Ledger' }).innerText())![0]);
  const withStone = await soil();
  await held(page, /^Boulder/).focus();
  await page.keyboard.press('Delete');
  await expect(row(page, /^Boulder/)).toHaveCount(0);
  expect(await soil()).toBeGreaterThan(withStone);
  await page.keyboard.press('Control+z');
  await expect(row(page, /^Boulder/)).toHaveCount(1);
});

test('a panel is cut: template as SVG and PDF, printed drawing, and what it takes on the list @years', async ({
  page,
}) => {
  await demo(page);
  await page.goto('/e/demo-dry-wash/scape');
  await page.getByRole('tab', { name: 'Background' }).click();
  await page.getByRole('combobox', { name: 'On the back wall' }).click();
  await page.getByRole('option', { name: /^Lift-out panel/ }).click();
  await type(page, 'Gap behind', '2 cm');
  const trap = page.locator('[data-finding=background-gap]');
  await expect(trap).toContainText('not out again');
  await trap.getByRole('button', { name: 'Bond it to the wall' }).click();
  await expect(trap).toHaveCount(0);
  await page.getByRole('button', { name: 'Openings, joins and glue' }).click();
  await page.getByRole('button', { name: 'Cable', exact: true }).click();
  await type(page, 'Wide', '4 cm');

  const downloaded = async (name: RegExp): Promise<Buffer> => {
    const waiting = page.waitForEvent('download');
    await page.getByRole('button', { name }).click();
    return readFile(await (await waiting).path());
  };
  const svg = (await downloaded(/^Template, SVG/)).toString();
  // 90 × 45 cm, 2 mm smaller at every edge.
  expect(svg).toContain('data-cut="outline"');
  expect(svg).toContain('width="896" height="446"');
  expect(svg).toContain('rx="20"');
  const pdf = await downloaded(/^Template, PDF/);
  expect(pdf.subarray(0, 5).toString()).toBe('%PDF-');
  await expect(page.getByRole('table', { name: 'What the backgrounds take' })).toContainText('pond foam');
  await expect(page.getByText('Nothing alive goes in before')).toBeVisible();

  await page.goto('/e/demo-dry-wash/build');
  await expect(page.getByRole('table', { name: 'Building supplies' })).toContainText(
    'Polyurethane pond foam, dark',
  );
  await expect(page.locator('[data-material^="piece:"]').filter({ hasText: 'Basking stack' })).toBeVisible();
  const printed = await page.pdf();
  expect(printed.length).toBeGreaterThan(10_000);
});

test('water parts: a fall whose pump is too weak, its hose, the filters, the trial', async ({ page }) => {
  await demo(page);
  await page.goto('/e/demo-bog-shelf/scape');
  await page.getByRole('tab', { name: 'Water' }).click();
  await page.getByRole('button', { name: 'Waterfall' }).click();
  await page.getByRole('tab', { name: 'Water' }).click();
  const pump = page.getByRole('region', { name: 'Pump of waterfall' });
  await expect(pump).toContainText(/an hour come out/);
  const flow = async (): Promise<number> =>
    Number(/([\d.]+).L an hour come out/.exec(await pump.innerText())?.[1]);
  const wide = await flow();
  await type(page, 'Hose inside', '6 mm');
  await expect.poll(flow).toBeLessThan(wide);
  await type(page, 'Lifts at most', '5 cm');
  await expect(pump).toContainText('Nothing comes out');
  await expect(page.locator('[data-finding=pump-too-weak]')).toBeVisible();
  await expect(page.getByRole('table', { name: 'Filters compared' })).toContainText('Sponge on an air pump');
  await page.getByLabel('Tight, before the soil').fill('2026-11-02');
  await saved(page);
  await page.reload();
  await page.getByRole('tab', { name: 'Water' }).click();
  await expect(page.getByLabel('Tight, before the soil')).toHaveValue('2026-11-02');
});

test('axe finds nothing in Hardscape', async ({ page }) => {
  test.setTimeout(400_000);
  await demo(page);
  await page.goto('/e/demo-hedge/scape');
  await row(page, /^Root wood/)
    .getByRole('button')
    .click();
  await sound(page, 'pieces, one picked');
  await page.getByRole('button', { name: 'Plan', exact: true }).click();
  await sound(page, 'plan');
  await page.getByRole('tab', { name: 'Background' }).click();
  await page.getByRole('button', { name: 'Openings, joins and glue' }).click();
  await page.getByRole('button', { name: 'Drain', exact: true }).click();
  await sound(page, 'background');
  await page.goto('/e/demo-bog-shelf/scape');
  await page.getByRole('tab', { name: 'Water' }).click();
  await sound(page, 'water');
  await page.getByRole('tab', { name: 'Warm side and access' }).click();
  await sound(page, 'box');
});
