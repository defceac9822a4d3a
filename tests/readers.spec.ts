import { expect, test, type Page } from './test';
import { demo, settled } from './helpers';
import { catalogue } from '../src/catalogue';
import { works } from '../src/catalogue/works';

/** Every view: an address, and its tabs one after another. */
const VIEWS = [
  '/',
  '/today',
  '/lists',
  '/stores',
  '/almanac',
  '/new',
  '/compare?of=demo-hedge,demo-bog-shelf',
  ...['demo-hedge', 'demo-bog-shelf', 'demo-dry-wash', 'demo-limestone'].flatMap((id) =>
    ['brief', 'ground', 'scape', 'living', 'climate', 'build', 'keep', 'sheets', 'mixing'].map(
      (place) => `/e/${id}/${place}`,
    ),
  ),
  '/sitter?of=demo-hedge',
];

/** All that is read in a page: its words, names for screen readers, words in drawings, and what stands in fields. */
const wordsOf = (page: Page): Promise<readonly string[]> =>
  page.evaluate(() => {
    const read: string[] = [];
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_ELEMENT);
    const blocks = new Set([
      'P',
      'LI',
      'TD',
      'TH',
      'DT',
      'DD',
      'H1',
      'H2',
      'H3',
      'BUTTON',
      'LABEL',
      'OUTPUT',
      'text',
    ]);
    for (let node = walker.currentNode as Element | null; node; node = walker.nextNode() as Element | null) {
      const name = node.getAttribute('aria-label') ?? node.getAttribute('aria-valuetext');
      if (name) read.push(name);
      // The value of a slider or of a hidden twin is for programs; what is read of it is its text.
      if (node instanceof HTMLInputElement && node.type === 'text' && node.ariaHidden !== 'true')
        read.push(node.value);
      if (['SCRIPT', 'STYLE'].includes(node.tagName)) continue;
      const own = [...node.childNodes].some((it) => it.nodeType === Node.TEXT_NODE && it.nodeValue?.trim());
      // A sentence in one piece, not cut where a word is bold.
      if (blocks.has(node.tagName) || own) read.push(node.textContent ?? '');
    }
    return [...new Set(read.map((it) => it.replaceAll(/\s+/g, ' ').trim()))].filter((it) =>
      /\d|, \S{1,5}$/.test(it),
    );
  });

/** Goes through every view and tab, and gives what a rule holds against it. */
async function walk(page: Page, wrong: (text: string) => boolean): Promise<readonly string[]> {
  const found = new Set<string>();
  const look = async (what: string): Promise<void> => {
    await settled(page);
    for (const text of await wordsOf(page)) if (wrong(text)) found.add(`${what}: ${text.slice(0, 240)}`);
  };
  for (const path of VIEWS) {
    await page.goto(path);
    await page.getByRole('heading', { level: 1 }).first().waitFor();
    await look(path);
    // What is picked says more.
    const piece = page.getByRole('table').getByRole('button').first();
    if (path.endsWith('/scape') && (await piece.count()) > 0) {
      await piece.click();
      await look(`${path}, a piece`);
    }
    const tabs = page.getByRole('tab');
    for (let i = 0; i < (await tabs.count()); i += 1) {
      await tabs.nth(i).click();
      await look(`${path}, ${(await tabs.nth(i).textContent()) ?? ''}`);
    }
  }
  return [...found];
}

// What is printed on a bag or a thing one buys is its name, and stays as it is; a work is cited as it is printed.
const NAMES = [
  ...[...JSON.stringify(catalogue).matchAll(/"name":"([^"]*\d[^"]*)"/g)].map(([, name = '']) => name),
  ...works.map((it) => it.citation),
];
const NAMED = new RegExp(
  NAMES.sort((a, b) => b.length - a.length)
    .map((name) => name.replaceAll(/[.*+?^${}()|[\]\\]/g, '\\$&'))
    .join('|'),
  'gi',
);
const nameless = (text: string): string => text.replaceAll(NAMED, '');

// One walk for both: units and numbers are written by the same hand, and neither depends on the other.
test.describe('in German', () => {
  test.use({ locale: 'de-DE' });
  test('in inches, pounds and °F no view says a unit the reader did not choose, nor a decimal point', async ({
    page,
  }) => {
    test.setTimeout(600_000);
    await demo(page);
    await page.getByRole('button', { name: /^Units/ }).click();
    await page.getByRole('menuitem', { name: /dry quarts/ }).click();
    await expect(page.getByRole('button', { name: 'Units: in and °F' })).toBeVisible();
    const metric =
      /, m$|(?:\d[ \u00a0]|, |\ba )(?:K|°C|mm|cm|km|m²|cm²|m³|mL|ml|L|kg|g|mg|kN\/m²|kg\/L|kg\/m²|L\/h|m\/s|W\/m²)(?![\p{L}\d²³/])|\d[ \u00a0]m(?![\p{L}\d²³/])/u;
    // Nor is little told as nothing.
    const nothing = /(?<![\d.,])0[.,]0+[ \u00a0](?:oz|fl oz|gal|dry qt|lb|sq ft|sq in)/;
    // Dates, thousands, tables of standards and addresses have points of their own.
    const others = /\d{1,2}\.\d{1,2}\.(?:\d{2,4})?|\b\d{1,3}(?:\.\d{3})+(?!\d)|table \d\.\d|https?:\/\/\S+/g;
    const wrong = (text: string): boolean =>
      metric.test(text) || nothing.test(text) || /\d\.\d/.test(text.replaceAll(others, ''));
    expect(await walk(page, (text) => wrong(nameless(text)))).toEqual([]);
  });
  test('a chart draws every tenth of a degree', async ({ page }) => {
    await demo(page);
    await page.goto('/e/demo-hedge/climate');
    const chart = page.getByRole('img', { name: /^Temperature through the day/ });
    const heights = async (): Promise<number> =>
      Math.max(
        ...(await chart
          .locator('path')
          .evaluateAll((all) =>
            all.map((it) => new Set(it.getAttribute('d')?.match(/[\d.]+(?= |L|$)/g)).size),
          )),
      );
    await expect.poll(heights, { timeout: 60_000 }).toBeGreaterThan(100);
  });
  test('numbers are typed with a comma, and thousands with a point', async ({ page }) => {
    await demo(page);
    await page.goto('/e/demo-hedge/brief');
    const width = page.getByRole('textbox', { name: 'Width' });
    await width.fill('45,5');
    await width.press('Enter');
    await page.getByRole('textbox', { name: 'Depth' }).focus();
    await expect(width).toHaveValue('45,5\u00a0cm');
    await width.fill('1.200 mm');
    await width.press('Enter');
    await page.getByRole('textbox', { name: 'Depth' }).focus();
    await expect(width).toHaveValue('120\u00a0cm');
  });
});
