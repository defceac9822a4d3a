import { readFileSync } from 'node:fs';
import jsQR from 'jsqr';
import { expect, test, type Page } from './test';
import { demo, sound } from './helpers';
import { keepersTable } from './keepersTable';

/** Forty enclosures out of a keeper’s table, the even ones in one room and the odd ones in another. */
async function forty(page: Page): Promise<void> {
  await page.goto('/new/sheet');
  const [head = '', ...rows] = keepersTable().trim().split(/\r?\n/);
  const placed = rows.map((it) => {
    const number = Number(/Box (\d+)/.exec(it)![1]);
    return `${it},${number % 2 === 0 ? 'Warm room' : 'Cellar'},Board ${1 + (number % 3)}`;
  });
  await page
    .getByRole('textbox', { name: 'Rows, with their headings' })
    .fill([`${head},Room,Shelf`, ...placed].join('\n'));
  await page.getByRole('button', { name: 'Write down 40 enclosures and 90 animals' }).click();
  await expect(page.getByRole('heading', { name: '40 enclosures', exact: true })).toBeVisible();
}
const pick = async (page: Page, label: string, option: string): Promise<void> => {
  await page.getByRole('combobox', { name: label }).click();
  await page.getByRole('option', { name: option, exact: true }).click();
};
const names = (page: Page) =>
  page
    .getByRole('main')
    .getByRole('list', { name: /^Enclosures/ })
    .getByRole('link')
    .allInnerTexts();

test('a rack of forty is searched, grouped, sorted and listed; its address says how, and stands', async ({
  page,
}) => {
  await forty(page);
  await page.getByRole('button', { name: 'List', exact: true }).click();
  await expect(page.getByRole('list', { name: 'Enclosures' }).getByRole('listitem')).toHaveCount(40);
  expect((await names(page)).slice(0, 4)).toEqual(['Box 1', 'Box 2', 'Box 3', 'Box 4']);
  // As people count, not as letters do; what is due today stands beside each.
  expect((await names(page)).at(-1)).toBe('Box 40');
  const row = (name: string) =>
    page
      .getByRole('list', { name: /^Enclosures/ })
      .getByRole('listitem')
      .filter({ hasText: name });
  await expect(row('Box 40')).toContainText(/\d+ due/);
  await page.getByRole('searchbox', { name: 'Find on the rack' }).fill('A17');
  await expect(page.getByText('1 of 40 shown')).toBeVisible();
  expect(await names(page)).toEqual(['Box 6']);
  await page.getByRole('searchbox', { name: 'Find on the rack' }).press('Escape');
  await expect(page.getByRole('searchbox', { name: 'Find on the rack' })).toHaveValue('');
  await pick(page, 'Group by', 'Room');
  await expect(page.getByRole('heading', { name: 'Cellar 20' })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Warm room 20' })).toBeVisible();
  await page.getByRole('searchbox', { name: 'Find on the rack' }).fill('warm room');
  for (const told of [/q=warm\+room/, /group=room/, /as=list/]) await expect(page).toHaveURL(told);
  await page.reload();
  await expect(page.getByText('20 of 40 shown')).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Warm room 20' })).toBeVisible();
  expect((await names(page)).slice(0, 3)).toEqual(['Box 2', 'Box 4', 'Box 6']);
  await sound(page, 'a rack of forty, grouped');
  // What is remembered: how it is shown, not what was looked for.
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'Cellar 20' })).toBeVisible();
});

test('several are chosen: moved to a room, written down for, archived; each in one step, undone in one', async ({
  page,
}) => {
  await forty(page);
  await page.getByRole('button', { name: 'List', exact: true }).click();
  await page.getByRole('searchbox', { name: 'Find on the rack' }).fill('cellar');
  await page.getByRole('button', { name: 'Choose several' }).click();
  await page.getByRole('button', { name: 'Choose all 20' }).click();
  const bar = page.getByRole('region', { name: 'Chosen enclosures' });
  await expect(bar.getByRole('status')).toHaveText('20 chosen');
  await expect(bar.getByRole('link', { name: 'Compare' })).toBeDisabled();
  await sound(page, 'enclosures being chosen');

  await bar.getByRole('button', { name: 'Write down' }).click();
  const line = page.getByRole('textbox', { name: 'What was done' });
  await line.fill('mist 20s');
  await expect(page.getByRole('dialog').getByRole('status')).toContainText('20 s');
  await line.press('Enter');
  await expect(page.getByText('Written for 20 enclosures.')).toBeVisible();

  await bar.getByRole('button', { name: 'Room and shelf' }).click();
  await page.getByRole('combobox', { name: 'Room' }).fill('Loft');
  await page.getByRole('button', { name: 'Put there' }).click();
  await expect(page.getByText('20 enclosures in “Loft”.')).toBeVisible();
  const sought = page.getByRole('searchbox', { name: 'Find on the rack' });
  await sought.fill('loft');
  await expect(page.getByText('20 of 40 shown')).toBeVisible();
  // Taken back, all of them are where they were, on their shelves.
  await page.getByRole('alert').filter({ hasText: 'Loft' }).getByRole('button', { name: 'Undo' }).click();
  await sought.fill('cellar');
  await expect(page.getByText('20 of 40 shown')).toBeVisible();
  await expect(page.getByRole('list', { name: 'Enclosures' }).getByRole('listitem').first()).toContainText(
    'Cellar, Board 2',
  );

  await bar.getByRole('button', { name: 'Archive' }).click();
  await expect(page.getByRole('button', { name: '20 archived' })).toBeVisible();
  await page.getByRole('alert').filter({ hasText: 'archived' }).getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('heading', { name: '40 enclosures', exact: true })).toBeVisible();
  // The line stands in the log of each, and the round goes by room.
  await page.goto('/today');
  await page.getByRole('button', { name: 'By room' }).click();
  await expect(page.getByRole('region', { name: 'Box 3', exact: true })).toContainText('Cellar, Board 1');
});

test('a keeper’s own order, by the menu and by drag; it stands after a reload', async ({ page }) => {
  await demo(page);
  await page.goto('/');
  await pick(page, 'Sort by', 'My own order');
  const cards = page.getByRole('main').getByRole('list').first().getByRole('heading', { level: 2 });
  await expect(cards).toHaveText(['Bog shelf', 'Dry wash', 'Hedge', 'Limestone']);
  await page.getByRole('button', { name: 'More for Bog shelf' }).click();
  await page.getByRole('menuitem', { name: 'Move behind' }).click();
  await expect(cards).toHaveText(['Dry wash', 'Bog shelf', 'Hedge', 'Limestone']);
  const item = (name: string) =>
    page.getByRole('listitem').filter({ has: page.getByRole('heading', { name }) });
  await item('Limestone').dragTo(item('Dry wash'));
  await expect(cards).toHaveText(['Limestone', 'Dry wash', 'Bog shelf', 'Hedge']);
  await page.reload();
  await expect(cards).toHaveText(['Limestone', 'Dry wash', 'Bog shelf', 'Hedge']);
});

test('a label printed to paper is scanned, and opens its enclosure where it is kept', async ({ page }) => {
  await demo(page);
  await page.goto('/');
  await page.getByRole('button', { name: 'Choose several' }).click();
  await page.getByRole('checkbox', { name: 'Choose Bog shelf' }).check();
  await page.getByRole('checkbox', { name: 'Choose Hedge' }).check();
  await page.getByRole('link', { name: 'Labels' }).click();
  await expect(page.getByText('2 labels.')).toBeVisible();
  await expect(page.getByRole('note')).toContainText('this machine alone');
  await sound(page, 'labels');
  const pdf = await page.pdf({ format: 'A4', preferCSSPageSize: true });
  // Drawn at 300 dpi by a reader of PDF other than the writer, then read by a reader of codes.
  const reader = await page.context().newPage();
  await reader.goto('about:blank');
  for (const file of ['pdf.worker', 'pdf'])
    await reader.addScriptTag({
      type: 'module',
      content: `${readFileSync(`node_modules/pdfjs-dist/legacy/build/${file}.mjs`, 'utf8')}\nglobalThis.loaded = '${file}';`,
    });
  await reader.waitForFunction(() => (globalThis as { loaded?: string }).loaded === 'pdf');
  const drawn = await reader.evaluate(async (bytes) => {
    const { pdfjsLib } = globalThis as unknown as {
      pdfjsLib: {
        getDocument: (of: { data: Uint8Array }) => {
          promise: Promise<{
            getPage: (n: number) => Promise<{
              getViewport: (of: { scale: number }) => { width: number; height: number };
              render: (of: object) => { promise: Promise<void> };
            }>;
          }>;
        };
      };
    };
    const document_ = await pdfjsLib.getDocument({
      data: Uint8Array.from(atob(bytes), (it) => it.charCodeAt(0)),
    }).promise;
    const sheet = await document_.getPage(1);
    const viewport = sheet.getViewport({ scale: 300 / 72 });
    const canvas = document.createElement('canvas');
    canvas.width = viewport.width;
    canvas.height = viewport.height;
    const context = canvas.getContext('2d')!;
    await sheet.render({ canvas, canvasContext: context, viewport }).promise;
    // The first label, at the upper left within the margin.
    const [width, height] = [Math.round((105 / 25.4) * 300), Math.round((60 / 25.4) * 300)];
    const { data } = context.getImageData(0, 0, width, height);
    return { data: [...data], width, height };
  }, pdf.toString('base64'));
  await reader.close();
  const read = jsQR(new Uint8ClampedArray(drawn.data), drawn.width, drawn.height)?.data;
  expect(new URL(read!).pathname).toBe('/e/demo-hedge/keep');
  await page.goto(read!);
  await expect(page.getByRole('heading', { name: 'Keep', level: 1 })).toBeVisible();
});

test('on a phone the rack begins with what stands on it', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await demo(page);
  await page.goto('/');
  await expect(page.getByRole('combobox', { name: 'Sort by' })).toBeHidden();
  await page.getByRole('button', { name: 'Sort and group' }).click();
  await pick(page, 'Group by', 'Species');
  await expect(page.getByRole('heading', { name: 'green anole 1' })).toBeVisible();
  await sound(page, 'the rack on a phone');
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBe(390);
});

test('five more like one are planned, numbered, with nothing of its history; taken back in one step', async ({
  page,
}) => {
  await demo(page);
  await page.goto('/');
  await page.getByRole('button', { name: 'More for Bog shelf' }).click();
  await page.getByRole('menuitem', { name: 'More like it' }).click();
  const dialog = page.getByRole('dialog', { name: 'More like “Bog shelf”' });
  await dialog.getByRole('textbox', { name: 'How many more' }).fill('5');
  await dialog.getByRole('textbox', { name: 'How many more' }).press('Enter');
  await expect(dialog.getByRole('status')).toHaveText('Bog shelf 2 to Bog shelf 6');
  await sound(page, 'more like it');
  await dialog.getByRole('button', { name: 'Plan 5 of them' }).click();
  await expect(page.getByRole('heading', { name: 'Nine enclosures', exact: true })).toBeVisible();
  const card = page.getByRole('listitem').filter({ has: page.getByRole('heading', { name: 'Bog shelf 4' }) });
  await expect(card).toContainText('planned');
  await expect(card).not.toContainText(/\d due/);
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(page.getByRole('heading', { name: 'Four enclosures', exact: true })).toBeVisible();
});
