import { readFileSync } from 'node:fs';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { expect, test, type Page } from './test';
import { demo, sound } from './helpers';

const MM = 72 / 25.4;

/** What stands outside the margins of a printed page, and all words in order. */
async function printed(page: Page, format: 'A4' | 'Letter') {
  const pdf = await page.pdf({ format, preferCSSPageSize: false });
  const document = await getDocument({ data: new Uint8Array(pdf) }).promise;
  const outside: string[] = [];
  const words: string[] = [];
  for (let number = 1; number <= document.numPages; number += 1) {
    const sheet = await document.getPage(number);
    const [, , right] = sheet.view as [number, number, number, number];
    for (const it of (await sheet.getTextContent()).items) {
      if (!('str' in it) || it.str.trim() === '') continue;
      words.push(it.str);
      const [left, end] = [it.transform[4] as number, (it.transform[4] as number) + it.width];
      if (left < 13 * MM || end > right - 13 * MM) outside.push(`${number}: ${it.str}`);
    }
  }
  return { outside, text: words.join(' '), pages: document.numPages };
}

const PAPERS: readonly (readonly [string, string, string])[] = [
  ['the list to buy', '/e/demo-hedge/build', 'together'],
  ['the list to cut', '/e/demo-hedge/build?tab=cut', 'Cut'],
  ['what is to be made', '/e/demo-hedge/build?tab=make', 'inside'],
  ['one purchase for several', '/lists', 'together'],
  ['the build sheet', '/e/demo-hedge/sheets', 'Take care'],
  ['a quote', '/e/demo-hedge/sheets?sheet=quote', 'Agreed'],
];

for (const [what, path, last] of PAPERS)
  test(`${what} on paper: nothing stands over the margins, and no buttons are printed`, async ({ page }) => {
    await demo(page);
    await page.goto(path);
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    await expect(page.getByText(last).first()).toBeAttached();
    for (const format of ['A4', 'Letter'] as const) {
      const { outside, text } = await printed(page, format);
      expect(outside, format).toEqual([]);
      expect(text).toContain(last);
      expect(text).not.toMatch(/All bought|Save as a table|Print, or save|New enclosure|To spare/);
    }
  });

test('five of one design are priced: goods for all, hours, margin, a named tax; the quote says the same sum', async ({
  page,
}) => {
  await demo(page);
  await page.goto('/e/demo-hedge/build?tab=charge');
  const put = async (label: string | RegExp, text: string): Promise<void> => {
    const field = page.getByRole('textbox', { name: label });
    await field.fill(text);
    await field.press('Enter');
  };
  await page.getByRole('combobox', { name: 'Currency' }).click();
  await page.getByRole('option', { name: 'EUR, Euro' }).click();
  await put('How many of it', '5');
  await put('The bare enclosure, each', '180');
  await put('For an hour of work', '40');
  await put('Margin on all of it, %', '20');
  await put('Each rounded up to a multiple of', '10');
  await put('A tax, by its name', 'Value added tax');
  await put('Its share, %', '19');
  const table = page.getByRole('table', { name: 'What it comes to' });
  const price = async (row: RegExp): Promise<number> =>
    Number(
      (await table.getByRole('row', { name: row }).locator('td').last().innerText()).replace(/[€,]/g, ''),
    );
  await expect(table.getByRole('row', { name: /^Value added tax 19 %/ })).toBeVisible();
  expect(await price(/^The enclosures themselves, 5/)).toBe(900);
  const [goods, work, margin, net, tax] = [
    await price(/^Goods/),
    await price(/^Work/),
    await price(/^Margin/),
    await price(/^Before tax/),
    await price(/^Value added tax/),
  ];
  expect(margin).toBeCloseTo((goods + 900 + work) * 0.2, 1);
  // Each to the next ten.
  expect(net).toBe(Math.ceil((goods + 900 + work + margin) / 50 - 1e-6) * 50);
  expect(tax).toBeCloseTo(net * 0.19, 2);
  const total = (await page.getByRole('status').filter({ hasText: 'to charge' }).innerText()).split(' ')[0]!;
  expect(Number(total.replace(/[€,]/g, ''))).toBeCloseTo(net + tax, 2);
  await sound(page, 'what to charge');

  await page.getByRole('link', { name: 'Write a quote' }).click();
  await page.getByRole('textbox', { name: 'Your name' }).fill('Fern and Pane');
  await page.getByRole('textbox', { name: 'Your name' }).press('Enter');
  await page.getByRole('textbox', { name: 'For whom' }).fill('The school\nNature room');
  await page.getByRole('textbox', { name: 'For whom' }).blur();
  const paper = page.locator('[data-sheet=Quote]');
  await expect(paper).toContainText('5 × Hedge');
  await expect(paper).toContainText('From Fern and Pane');
  await expect(paper).toContainText(total);
  // What it cost is nobody else’s business, nor where this Rincon stands.
  await expect(paper).not.toContainText('Margin');
  await expect(paper.getByRole('img')).toHaveCount(0);
  await sound(page, 'a quote');
  const { outside, text } = await printed(page, 'A4');
  expect(outside).toEqual([]);
  expect(text).toContain(total);
});

test('a price of one’s own keeps its pack, in the currency it was told in; it is a gift at 0', async ({
  page,
}) => {
  await demo(page);
  await page.goto('/e/demo-hedge/build');
  await page.getByRole('combobox', { name: 'Currency' }).click();
  await page.getByRole('option', { name: 'GBP, British Pound' }).click();
  await expect(page.getByText(/^£[\d,.]+ in \d+ shops$/)).toBeVisible();
  const row = page.locator('tr[data-material]').filter({ hasText: /roll/ }).first();
  const pack = await row.locator('td').nth(2).innerText();
  const field = row.getByRole('textbox').first();
  await field.fill('88.90');
  await field.press('Enter');
  await expect(row.locator('td').last()).toContainText('88.90');
  expect(await row.locator('td').nth(2).innerText()).toBe(pack);
  await field.fill('0');
  await field.press('Enter');
  await expect(row.locator('td').last()).toHaveText('£0.00');
  await page.reload();
  await expect(row.locator('td').last()).toHaveText('£0.00');
});

test('the demo’s shelf is not one’s own: nothing is taken off it for a new enclosure; it goes in one step, and comes back', async ({
  page,
}) => {
  await demo(page);
  await page.goto('/e/demo-hedge/build');
  await expect(page.getByText(/from the shelf$/).first()).toBeVisible();
  await page.goto('/new?after=demo-hedge&as=larger');
  await page.getByRole('button', { name: 'Save to the rack' }).click();
  await expect(page).toHaveURL(/\/e\/[0-9a-f-]{36}\//);
  const own = new URL(page.url()).pathname.split('/')[2]!;
  await page.goto(`/e/${own}/build`);
  await expect(page.getByText(/in \d+ shops$/)).toBeVisible();
  await expect(page.getByText(/from the shelf$/)).toHaveCount(0);
  await page.goto('/');
  await page.getByRole('button', { name: 'File' }).click();
  await page.getByRole('menuitem', { name: 'Take the demo nature room away' }).click();
  await expect(page.getByRole('heading', { name: 'One enclosure', exact: true })).toBeVisible();
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(page.getByRole('heading', { name: 'Five enclosures', exact: true })).toBeVisible();
});

test('handed over as a page: read without scripts or a network, taken in by a Rincon that has never seen it', async ({
  page,
  browser,
}) => {
  await demo(page);
  await page.goto('/e/demo-bog-shelf/sheets');
  await page.getByRole('tab', { name: 'Care sheet' }).click();
  await expect(page.getByRole('heading', { name: /^Bog shelf: 4 Vietnamese mossy frogs/ })).toBeVisible();
  const waiting = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as a page' }).click();
  await page.getByRole('menuitem', { name: 'With its log and animals' }).click();
  const saved = await waiting;
  expect(saved.suggestedFilename()).toBe('Bog-shelf-care-sheet.html');
  const path = await saved.path();
  const html = readFileSync(path, 'utf8');
  expect(html).not.toMatch(/127\.0\.0\.1|localhost/);

  const plain = await browser.newContext({ javaScriptEnabled: false, offline: true });
  const reader = await plain.newPage();
  await reader.setContent(html);
  await expect(reader.getByRole('heading', { level: 1 })).toHaveText('Bog shelf: 4 Vietnamese mossy frogs');
  await expect(reader.getByRole('heading', { name: 'Call the veterinarian at once' })).toBeVisible();
  await expect(reader.getByRole('row', { name: /^At night/ })).toContainText('°C');
  await plain.close();

  const clean = await browser.newContext();
  const other = await clean.newPage();
  await other.goto('/');
  await expect(other.getByRole('heading', { name: 'The rack is empty' })).toBeVisible();
  await other
    .getByLabel('Import a file')
    .setInputFiles({ name: 'Bog-shelf.html', mimeType: 'text/html', buffer: Buffer.from(html) });
  await expect(other.getByRole('heading', { name: 'One enclosure', exact: true })).toBeVisible();
  await other.goto('/e/demo-bog-shelf/keep?tab=animals');
  await expect(other.getByRole('table', { name: 'Animals' })).toContainText('Drip');
  await clean.close();
});
