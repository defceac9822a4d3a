import jsQR from 'jsqr';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { expect, test, type Page } from './test';
import { demo, saved, sound } from './helpers';

/** The words of each page of a PDF, one line of them. */
async function pagesOf(pdf: Uint8Array): Promise<readonly string[]> {
  const document = await getDocument({ data: new Uint8Array(pdf) }).promise;
  const pages: string[] = [];
  for (let number = 1; number <= document.numPages; number += 1) {
    const { items } = await (await document.getPage(number)).getTextContent();
    pages.push(items.map((it) => ('str' in it ? it.str : '')).join(' '));
  }
  return pages;
}

/** What a phone's camera would read off the sheet. */
async function qrOn(page: Page): Promise<string | undefined> {
  const { data, width, height } = await page.getByRole('img', { name: /^In short/ }).evaluate(async (svg) => {
    const image = new Image();
    image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(new XMLSerializer().serializeToString(svg))}`;
    await image.decode();
    const canvas = document.createElement('canvas');
    canvas.width = canvas.height = 400;
    const context = canvas.getContext('2d')!;
    context.drawImage(image, 0, 0, 400, 400);
    const drawn = context.getImageData(0, 0, 400, 400);
    return { data: [...drawn.data], width: drawn.width, height: drawn.height };
  });
  return jsQR(new Uint8ClampedArray(data), width, height)?.data;
}

const openPlan = async (page: Page, path: string): Promise<void> => {
  await page.goto(path);
  await page.getByRole('tab', { name: 'Plan' }).click();
  await expect(page.getByText(/^Mov(ing|ed) in /)).toBeVisible();
};

test('a standing enclosure gets a thicker bed: what comes out, goes back and is bought; given up, it is as it stood', async ({
  page,
}) => {
  await demo(page);
  await page.goto('/e/demo-limestone/brief');
  await page.getByRole('combobox', { name: 'Stage' }).click();
  await page.getByRole('option', { name: 'lived in' }).click();
  await saved(page);
  await openPlan(page, '/e/demo-limestone/build');
  await page.getByRole('button', { name: 'Plan a rebuild' }).click();
  const panel = page.getByRole('region', { name: 'Rebuild' });
  await expect(panel).toContainText('Nothing is changed yet');
  await panel.getByRole('button', { name: 'Raise the bed by 3 cm' }).click();
  await expect(panel.locator('[data-fate=new]')).toContainText(/Clay pebbles.*L/);
  await expect(panel.locator('[data-fate=back]')).toContainText('Forest mix, peat-free');
  await expect(panel.locator('[data-fate=stays]')).toContainText('Carved foam, back wall');
  await expect(panel).toContainText(/animals wait elsewhere for about \d+ days/);
  // The steps of a rebuild, in their order; the same animal needs no second quarantine.
  const timeline = page.getByRole('group', { name: 'Timeline of the build' });
  for (const step of ['catch', 'siphon', 'dig-out', 'drainage', 'barrier', 'soil', 'move-in'])
    await expect(timeline.locator(`[data-step=${step}]`)).toBeVisible();
  await expect(timeline.locator('[data-step=quarantine]')).toHaveCount(0);
  await saved(page);

  // Only pebbles are to be bought.
  await page.getByRole('tab', { name: 'To buy' }).click();
  await expect(page.locator('tr[data-material=clay-pebbles-8-16]')).toContainText('in the enclosure');
  await expect(page.locator('tr[data-material=topsoil]')).toContainText('nothing to buy');
  const bought = await page
    .locator('tr[data-material]')
    .evaluateAll((rows) =>
      rows.flatMap((it) =>
        it.textContent!.includes('nothing to buy') ? [] : [(it as HTMLElement).dataset.material],
      ),
    );
  expect(bought).toEqual(['clay-pebbles-8-16']);

  // It holds through a reload, and is given up.
  await page.reload();
  await page.getByRole('tab', { name: 'Plan' }).click();
  await expect(panel.locator('[data-fate=new]')).toContainText('Clay pebbles');
  await panel.getByRole('button', { name: 'Give it up' }).click();
  await expect(page.getByRole('button', { name: 'Plan a rebuild' })).toBeVisible();
  await page.getByRole('tab', { name: 'To buy' }).click();
  await expect(page.locator('tr[data-material=topsoil]')).not.toContainText('in the enclosure');
});

test('a step keeps what was read at it, and its pictures; what is no picture is refused', async ({
  page,
}) => {
  await demo(page);
  await openPlan(page, '/e/demo-limestone/build');
  await page.locator('[data-step=measure]').click();
  const sheet = page.getByRole('region', { name: /^Measure for a week/ });
  await sheet.getByRole('textbox', { name: 'At night' }).fill('21.4 C');
  await sheet.getByRole('textbox', { name: 'At night' }).press('Enter');
  await saved(page);
  const png = await page.screenshot({ clip: { x: 0, y: 0, width: 400, height: 200 } });
  const file = sheet.getByLabel(/to take in$/);
  await file.setInputFiles({ name: 'box.png', mimeType: 'image/png', buffer: png });
  await expect(sheet.getByRole('button', { name: /^Picture 1 of/ })).toBeVisible();
  await file.setInputFiles({ name: 'box.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('no picture') });
  await expect(sheet.getByRole('alert')).toContainText('no picture this browser can read');
  await page.reload();
  await page.getByRole('tab', { name: 'Plan' }).click();
  await page.locator('[data-step=measure]').click();
  await expect(sheet.getByRole('textbox', { name: 'At night' })).toHaveValue(/^21.4\s°C$/);
  await sheet.getByRole('button', { name: /^Picture 1 of/ }).click();
  const shown = page.getByRole('dialog').getByRole('img');
  await expect.poll(() => shown.evaluate((it: HTMLImageElement) => it.naturalWidth)).toBe(400);
  await page.getByRole('button', { name: 'Take it away' }).click();
  await expect(sheet.getByRole('button', { name: /^Picture 1 of/ })).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(sheet.getByRole('button', { name: /^Picture 1 of/ })).toBeVisible();
});

test('the build sheet and the care sheet are printed to PDF and read back; the code on the care sheet is read by any phone, and leads nowhere', async ({
  page,
}) => {
  await demo(page);
  await page.goto('/e/demo-hedge/sheets');
  await expect(page.getByRole('heading', { name: 'Hedge', exact: true })).toBeVisible();
  // Where this Rincon stands is nothing to whoever gets the sheet.
  await expect(page.locator('[data-sheet]')).not.toContainText('127.0.0.1');
  const pages = await pagesOf(await page.pdf({ format: 'A4' }));
  expect(pages.length).toBeGreaterThanOrEqual(3);
  const all = pages.join(' ');
  expect(pages[0]).toContain('Hedge');
  expect(pages[0]).toContain('Layers, from the floor up');
  for (const words of ['Clay pebbles', 'To buy', 'Lay the drainage', 'The animal waits until', 'Take care'])
    expect(all).toContain(words);
  // Nothing of the screen around it is printed.
  for (const words of ['Print, or save as PDF', 'to check', 'Climate Build'])
    expect(all).not.toContain(words);
  // What the sheet asks for is what the list asks for.
  const price = /To buy,\s+([\d.]+)\s+in all/.exec(all)?.[1];
  await page.getByRole('tab', { name: 'Care sheet' }).click();
  await expect(page.getByRole('heading', { name: /^Hedge: 3 green anoles/ })).toBeVisible();
  await expect
    .poll(() => qrOn(page))
    .toMatch(/^Hedge: 3 green anoles\nAnolis carolinensis\nBasking spot, its surface: \d+ to \d+ °C\n/);
  expect(await qrOn(page)).not.toMatch(/https?:/);
  const care = (await pagesOf(await page.pdf({ format: 'A4' }))).join(' ');
  for (const words of ['What is right', 'Call the veterinarian at once', 'When the power fails', 'Keeper'])
    expect(care).toContain(words);
  await page.goto('/e/demo-hedge/build');
  await expect(page.getByText(`${price} in `)).toBeVisible();
});

test('the buying list on a phone: shop by shop, with more or less to spare, over several builds', async ({
  browser,
}) => {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 } });
  const page = await context.newPage();
  await demo(page);
  await page.goto('/e/demo-hedge/build');
  const sum = async (): Promise<number> =>
    Number(
      /^([\d.,]+) in \d shops?/
        .exec(await page.getByText(/^[\d.,]+ in \d shops?$/).innerText())![1]!
        .replaceAll(',', ''),
    );
  const with10 = await sum();
  await page.getByRole('combobox', { name: 'To spare' }).click();
  await page.getByRole('option', { name: '20 %' }).click();
  await expect.poll(sum).toBeGreaterThan(with10);
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  await page.goto('/lists');
  await expect(page.getByText(/together saves/)).toBeVisible();
  expect(await sum()).toBeGreaterThan(with10);
  await expect(page.locator('[data-shop=nursery]')).toBeVisible();
  // One shop is done: its goods stand on the shelf and are not bought again.
  const nursery = page.locator('[data-shop=nursery]');
  await nursery.getByRole('button', { name: /^Bought at the plant nursery/ }).click();
  for (const row of await nursery.locator('tr[data-material]').all())
    await expect(row).toContainText('nothing to buy');
  await page.goto('/stores?tab=shelf');
  await expect(page.getByText(/Satin pothos|Creeping fig|orchid/i).first()).toBeVisible();
  await context.close();
});

test('axe finds nothing in lists and sheets', async ({ page }) => {
  await demo(page);
  await page.goto('/e/demo-limestone/build');
  await expect(page.getByText(/^[\d.,]+ in \d shops?$/)).toBeVisible();
  await sound(page, 'to buy');
  await page.getByRole('tab', { name: 'To cut and prepare' }).click();
  await sound(page, 'to cut');
  await page.getByRole('tab', { name: 'Plan' }).click();
  await page.getByRole('button', { name: 'Plan a rebuild' }).click();
  await page.getByRole('button', { name: 'Raise the bed by 3 cm' }).click();
  await sound(page, 'rebuild');
  await page.goto('/e/demo-limestone/sheets');
  await expect(page.getByRole('heading', { name: 'Limestone', exact: true })).toBeVisible();
  await sound(page, 'build sheet');
  await page.getByRole('tab', { name: 'Care sheet' }).click();
  await sound(page, 'care sheet');
});
