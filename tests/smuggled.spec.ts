import { expect, test } from './test';
import { catalogue } from '@/catalogue';
import { demoAnimals, demoDesigns, demoEquipment, demoLog, demoReadings } from '@/catalogue/demo';
import { NO_STORES, writeEnvelope } from '@/files';
import { file, readIn } from './helpers';

/** Markup that would run in many places, short enough for any name. */
const RUN = '=1"><img src=x onerror=ran=1><svg/onload=ran=1>\'';
const NOW = Date.now();

/** Texts that are the keeper's own: names, notes, words of lines. */
const OWN = new Set([
  'name',
  'note',
  'text',
  'what',
  'why',
  'reason',
  'instrument',
  'label',
  'look',
  'mother',
  'origin',
]);

/** Every text of a keeper's in a value, with markup in its place. */
function smuggled(value: unknown, key = ''): unknown {
  if (typeof value === 'string' && OWN.has(key)) return RUN;
  if (Array.isArray(value)) return value.map((it) => smuggled(it));
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(Object.entries(value).map(([own, it]) => [own, smuggled(it, own)]));
}

test('script in every text of a keeper is dead: on screens, in drawings, print, tables and the calendar', async ({
  page,
}) => {
  test.setTimeout(240_000);
  const designs = demoDesigns(catalogue);
  const json = JSON.parse(
    writeEnvelope(
      designs,
      {
        ...NO_STORES,
        own: { ...NO_STORES.own, recipes: [{ ...catalogue.recipes[0]!, id: 'mine' }] },
        log: demoLog(designs, catalogue, NOW),
        animals: demoAnimals(NOW),
        equipment: demoEquipment(NOW),
        points: demoReadings(designs, NOW).map((it) => it.series),
      },
      new Date(NOW),
    ),
  ) as Record<string, unknown>;
  const text = JSON.stringify(smuggled(json));
  expect(text.split('onerror').length).toBeGreaterThan(100);
  await page.goto('/');
  page.on('dialog', () => expect('a dialog').toBe('none'));
  await readIn(page, text);
  await expect(page.getByRole('heading', { name: 'Four enclosures' })).toBeVisible();
  const dead = async (where: string): Promise<void> => {
    const found = await page.evaluate(() => ({
      ran: 'ran' in window,
      made: document.querySelectorAll('img[src="x"], [onerror], [onload], a[href^="javascript"], svg[onload]')
        .length,
    }));
    expect(found, where).toEqual({ ran: false, made: 0 });
  };
  await dead('rack');
  const places = ['brief', 'ground', 'scape', 'living', 'climate', 'build', 'mixing', 'sheets'];
  const keeps = ['', '?tab=log', '?tab=animals', '?tab=equipment', '?tab=readings', '?tab=diagnosis'];
  for (const path of [
    ...places.map((it) => `/e/demo-limestone/${it}`),
    ...keeps.map((it) => `/e/demo-limestone/keep${it}`),
    '/today',
    '/lists',
    '/stores',
    '/almanac',
    '/sitter',
    '/compare?of=demo-hedge,demo-limestone',
  ]) {
    await page.goto(path);
    await page.getByRole('heading', { level: 1 }).first().waitFor();
    await page.waitForTimeout(250);
    await dead(path);
  }
  // The name of a file that is refused, and one of a sensor.
  await page.goto('/');
  await readIn(page, 'nothing', `${RUN.replaceAll('/', '')}.json`);
  await expect(page.getByRole('dialog').filter({ hasText: 'onerror' })).toBeVisible();
  await dead('the name of a refused file');
  // What leaves as a table begins no cell as a formula would.
  await page.goto('/e/demo-limestone/build');
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as a table' }).click();
  await page.getByRole('menuitem', { name: 'To buy, CSV' }).click();
  const stream = await (await saved).createReadStream();
  const csv = (await stream.toArray()).join('');
  expect(csv.split(/[\n,]/).filter((it) => /^"?[=+@\t]/.test(it))).toEqual([]);
  await file(page, /^Export this/);
});
