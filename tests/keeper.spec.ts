import { readFileSync } from 'node:fs';
import { expect, test, type Page } from './test';
import { demo, saved, sound } from './helpers';
import { keepersTable } from './keepersTable';

/** Writes down an enclosure that stands already, on the page that is open for it. */
async function stands(page: Page, name: string, names = ''): Promise<void> {
  await page.getByRole('textbox', { name: 'Its name' }).fill(name);
  if (names !== '') await page.getByRole('textbox', { name: 'Their names, if they have any' }).fill(names);
  await page.getByRole('button', { name: 'And another' }).click();
  await expect(page.getByRole('status').getByRole('link', { name, exact: true })).toBeVisible();
}

test('what stands already is written down from who lives there; Today is true at once, and settled after weeks away', async ({
  page,
}) => {
  await page.goto('/');
  await page.getByRole('link', { name: 'It stands already' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'It stands already' })).toBeVisible();
  const animal = page.getByRole('combobox', { name: 'Animal' });
  await animal.fill('crested gecko');
  await page.getByRole('option', { name: /^crested gecko/ }).click();
  await page.getByLabel('There since').fill('2024-03-02');
  await sound(page, 'It stands already');
  for (let i = 1; i <= 9; i += 1) await stands(page, `Box ${i}`, i === 1 ? 'Drip, Sumo' : '');
  // Half a size is none: it is said, and nothing is lost.
  await page.getByRole('textbox', { name: 'Width' }).fill('45 cm');
  await page.getByRole('textbox', { name: 'Width' }).blur();
  await page.getByRole('textbox', { name: 'Its name' }).fill('Box 10');
  await page.getByRole('button', { name: 'Write it down' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'Not saved' })).toContainText(
    'give its width, depth and height, or none of them',
  );
  await page.getByRole('textbox', { name: 'Depth' }).fill('45 cm');
  await page.getByRole('textbox', { name: 'Height' }).fill('60 cm');
  await page.getByRole('textbox', { name: 'Height' }).blur();
  await page.getByRole('button', { name: 'Write it down' }).click();

  // It opens where it is kept. Nothing is late, and what nobody told of is asked for.
  await expect(page.getByRole('heading', { name: 'Keep', level: 1 })).toBeVisible();
  await expect(page.getByRole('contentinfo', { name: 'Ledger' })).toContainText('Not described');
  await expect(page.locator('[data-due=look]')).toContainText('Not told yet.');
  await expect(page.getByText(/days late/)).toHaveCount(0);

  // The round by task: once for all of them, the one that was not done unticked.
  await page.goto('/today');
  await expect(page.getByRole('button', { name: 'By task', pressed: true })).toBeVisible();
  const look = page.locator('[data-task=look]');
  await expect(look).toContainText('Look them over10 enclosures');
  await look.getByRole('button', { name: 'Enclosures of it: Look them over' }).click();
  await look.getByRole('checkbox', { name: /^Box 3/ }).uncheck();
  await sound(page, 'the round by task');
  await look.getByRole('button', { name: 'Done: Look them over, 9 enclosures' }).click();
  await expect(page.locator('[data-task=look]')).toContainText('Box 3');
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(look).toContainText('10 enclosures');

  // A week on all of it is done, task by task; three weeks after that one button settles what was missed.
  await page.clock.setFixedTime('2026-11-26T09:30:00Z');
  await page.reload();
  const tasks = page.locator('[data-task]');
  await expect(tasks.first()).toBeVisible();
  for (let left = await tasks.count(); left > 0; left -= 1) {
    await tasks
      .first()
      .getByRole('button', { name: /^Done: / })
      .click();
    await expect(tasks).toHaveCount(left - 1);
  }
  await page.clock.setFixedTime('2026-12-20T09:30:00Z');
  await page.reload();
  const late = page.getByRole('region', { name: 'Long overdue' });
  await expect(late).toContainText(/^\d+ things over a week late, in 10 enclosures/);
  await late.getByRole('button', { name: 'Settle all up to today' }).click();
  await expect(late).toHaveCount(0);
  await expect(page.getByText('All is done.')).toBeVisible();
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(late).toBeVisible();
});

test('forty enclosures and ninety animals come out of a table, once its faults are mended; taken back in one', async ({
  page,
}) => {
  await page.goto('/new/standing');
  await page.getByRole('link', { name: 'Take it from there' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'From a spreadsheet' })).toBeVisible();
  const rows = page.getByRole('textbox', { name: 'Rows, with their headings' });
  const table = keepersTable();
  // Twelve of its species are written with a slip.
  let slips = 0;
  const torn = table.replaceAll('crested gecko', (it) => ((slips += 1) <= 12 ? 'crestd gecko' : it));
  await rows.fill(torn);
  await expect(page.getByRole('status').filter({ hasText: '12 cells to mend first' })).toBeVisible();
  await expect(page.getByRole('table', { name: 'What is wrong' }).getByRole('row').nth(1)).toContainText(
    '“crestd gecko” is not in the almanac. Is “crested gecko” meant?',
  );
  const put = page.getByRole('button', { name: 'Write down 40 enclosures and 90 animals' });
  await expect(put).toBeDisabled();
  await sound(page, 'a table with faults');
  await page
    .getByLabel('Table of enclosures, a file')
    .setInputFiles({ name: 'rack.csv', mimeType: 'text/csv', buffer: Buffer.from(table) });
  await expect(page.getByText('40 enclosures and 90 animals, all of it read')).toBeVisible();
  await put.click();
  await expect(page.getByRole('heading', { name: '40 enclosures', exact: true })).toBeVisible();
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(page.getByRole('heading', { name: 'The rack is empty' })).toBeVisible();
  await page.goto('/new/sheet');
  await rows.fill(table);
  await put.click();
  await expect(page.getByRole('heading', { name: '40 enclosures', exact: true })).toBeVisible();

  // Today is true at once: nothing late, and one tap for forty.
  await page.goto('/today');
  await expect(page.locator('[data-task=look]')).toContainText('40 enclosures');
  await expect(page.getByText(/days late/)).toHaveCount(0);
  // The coming weeks go into a calendar, one event a day.
  const ics = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as a calendar' }).click();
  const text = readFileSync(await (await ics).path(), 'utf8');
  expect(text.match(/^UID:round\./gm)).toHaveLength(42);
  expect(text).toContain('Look them over');
  // Each animal has its weight, of the day it was weighed.
  await page.keyboard.press('/');
  await page.getByRole('combobox', { name: 'Find an enclosure, an animal or a place' }).fill('A17');
  await page.getByRole('option', { name: /^A17/ }).click();
  await expect(page.getByRole('tab', { name: 'Animals', selected: true })).toBeVisible();
  await expect(page.getByRole('table', { name: 'Animals' })).toContainText('47');
});

test('weights of several enclosures are typed in one grid; one that is a tenth lighter is told', async ({
  page,
}) => {
  await page.goto('/new/standing');
  await page.getByRole('combobox', { name: 'Animal' }).fill('crested gecko');
  await page.getByRole('option', { name: /^crested gecko/ }).click();
  await stands(page, 'North', 'Drip');
  await stands(page, 'South', 'Sumo');
  await page.goto('/today');
  // A month on it is time to weigh.
  await page.clock.setFixedTime('2026-12-18T09:30:00Z');
  await page.reload();
  await page.getByRole('button', { name: 'By task' }).click();
  const weigh = page.locator('[data-task=weigh]');
  const done = weigh.getByRole('button', { name: /^Done: Weigh/ });
  await expect(done).toBeDisabled();
  await weigh.getByRole('textbox', { name: 'Weight, g: Drip' }).fill('40');
  await weigh.getByRole('textbox', { name: 'Weight, g: Sumo' }).fill('38.5');
  await expect(done).toHaveAccessibleName('Done: Weigh, 2 enclosures');
  await done.click();
  await expect(weigh).toHaveCount(0);
  await page.clock.setFixedTime('2027-01-20T09:30:00Z');
  await page.reload();
  await weigh.getByRole('textbox', { name: 'Weight, g: Drip' }).fill('34');
  await expect(weigh.getByText(/^40(\.0)?.g, .*: 15 % less\. Weigh again/)).toBeVisible();
  await weigh.getByRole('textbox', { name: 'Weight, g: Sumo' }).fill('39');
  await expect(weigh.getByText(/^38\.5.g, .*: 1 % more$/)).toBeVisible();
});

test('described with what is usual it is judged like any other; undone, it is as it was @years', async ({
  page,
}) => {
  await page.goto('/new/standing');
  await page.getByRole('combobox', { name: 'Animal' }).fill('crested gecko');
  await page.getByRole('option', { name: /^crested gecko/ }).click();
  await page.getByRole('textbox', { name: 'What is in it' }).fill('soil, two bromeliads');
  await page.getByRole('button', { name: 'Write it down' }).click();
  await expect(page.getByRole('heading', { name: 'Keep', level: 1 })).toBeVisible();
  await page.getByRole('link', { name: 'Ground' }).click();
  await expect(page.getByRole('heading', { name: 'Ground: not described' })).toBeVisible();
  await expect(page.getByText('soil, two bromeliads')).toBeVisible();
  await sound(page, 'an enclosure nobody has described');
  await page.getByRole('button', { name: 'Begin with what is usual' }).click();
  await saved(page);
  await expect(page.getByRole('heading', { name: 'Ground', level: 1 })).toBeVisible();
  await expect(page.getByRole('contentinfo', { name: 'Ledger' })).not.toContainText('Not described');
  await page.getByRole('button', { name: 'Undo description' }).click();
  await expect(page.getByRole('heading', { name: 'Ground: not described' })).toBeVisible();
});

const VIEWS = [
  '/',
  '/today',
  '/new',
  '/new/standing',
  '/stores?tab=shelf',
  '/stores?tab=bench',
  '/almanac',
  '/compare?of=demo-hedge,demo-bog-shelf',
  ...[
    'brief',
    'ground',
    'scape?tab=water',
    'living',
    'climate',
    'climate?tab=calibration',
    'build?tab=make',
    'keep',
    'keep?tab=readings',
    'mixing',
  ].map((it) => `/e/demo-bog-shelf/${it}`),
];

for (const [width, height] of [
  [390, 844],
  [844, 390],
  [1024, 768],
] as const)
  test(`at ${width} × ${height} no view is wider than the screen`, async ({ page }) => {
    await page.setViewportSize({ width, height });
    await demo(page);
    const wide: string[] = [];
    for (const view of VIEWS) {
      await page.goto(view);
      await expect(page.getByRole('heading', { level: 1 }).first()).toBeVisible();
      await page.waitForLoadState('networkidle');
      const over = await page.evaluate(
        () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
      );
      if (over > 0) wide.push(`${view}: ${over} px`);
    }
    expect(wide).toEqual([]);
    // The tab that the address names is open, and in sight, though it is the last of its row.
    await page.goto('/e/demo-bog-shelf/climate?tab=calibration');
    for (const it of [
      page.getByRole('tab', { name: 'Calibrate', selected: true }),
      page.getByRole('link', { name: 'Climate' }),
    ]) {
      const { x, width: wide } = (await it.boundingBox())!;
      expect(x).toBeGreaterThanOrEqual(0);
      expect(x + wide).toBeLessThanOrEqual(width);
    }
  });

test('digits belong to what is open: in a list they choose no place', async ({ page }) => {
  await demo(page);
  await page.goto('/e/demo-hedge/brief');
  await expect(page.getByRole('heading', { name: 'Brief', level: 1 })).toBeVisible();
  await page.getByRole('combobox', { name: 'Made of' }).click();
  await expect(page.getByRole('listbox')).toBeVisible();
  await page.keyboard.press('3');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('listbox')).toHaveCount(0);
  // In the field itself neither; outside it they do.
  await page.keyboard.press('3');
  await expect(page.getByRole('heading', { name: 'Brief', level: 1 })).toBeVisible();
  await page.getByRole('heading', { name: 'Brief', level: 1 }).click();
  await page.keyboard.press('3');
  await expect(page.getByRole('heading', { name: 'Hardscape', level: 1 })).toBeVisible();
});
