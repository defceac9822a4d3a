import { expect, test, type Page } from './test';
import { build, demo, saved, sound } from './helpers';
import { loggedOn } from './logged';

/** Waits until the forecast follows what is on the screen. */
async function calculated(page: Page): Promise<void> {
  await expect(page.locator('[data-forecast=ready]')).toBeAttached({ timeout: 120_000 });
}
const open = async (page: Page, path: string): Promise<void> => {
  await page.goto(path);
  await expect(page.getByRole('heading', { name: 'Climate', level: 1 })).toBeVisible();
  await calculated(page);
};
const part = (page: Page, name: string) => page.getByRole('tab', { name, exact: true }).click();

test('a lamp is dragged and the field follows; probe, scrubber and keys @years', async ({ page }) => {
  await build(page, 'crested', ['45 cm', '45 cm', '60 cm'], 'Tall enclosure');
  await page.getByRole('link', { name: 'Climate' }).click();
  await calculated(page);
  const probe = page.locator('[data-probe]');
  await expect(probe).toHaveAttribute('aria-label', /°C.*humidity.*UV index.*µmol/);

  // Plant light at the probe rises as the bar comes down over it.
  await page.getByRole('button', { name: 'Plant light' }).click();
  const light = async (): Promise<number> =>
    Number(/([\d.]+) µmol/.exec((await probe.getAttribute('aria-label')) ?? '')?.[1]);
  const before = await light();
  const lamp = page.getByRole('button', { name: /^LED bar/ }).first();
  const box = (await lamp.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2 + 60, { steps: 6 });
  await page.mouse.up();
  await expect.poll(light).toBeGreaterThan(before * 1.05);
  await saved(page);
  await lamp.focus();
  const held = await lamp.getAttribute('aria-label');
  await page.keyboard.press('ArrowUp');
  await expect(lamp).not.toHaveAttribute('aria-label', held ?? '');

  await probe.focus();
  const reads = await probe.getAttribute('aria-label');
  for (let i = 0; i < 6; i += 1) await page.keyboard.press('ArrowDown');
  await expect(probe).not.toHaveAttribute('aria-label', reads ?? '');
  await page.getByRole('button', { name: 'Temperature' }).click();
  const hour = page.getByRole('slider', { name: 'Hour of the day' });
  await hour.focus();
  const noon = await probe.getAttribute('aria-label');
  await page.keyboard.press('Home');
  await expect(page.getByText('lights off', { exact: true })).toBeVisible();
  await expect(probe).not.toHaveAttribute('aria-label', noon ?? '');

  // A heater without a thermostat is told, and mended by its button.
  await part(page, 'Lamps');
  await page.getByRole('combobox', { name: 'Equipment to add' }).fill('Ceramic');
  await page.getByRole('option').first().click();
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await page
    .getByRole('list', { name: 'Installed' })
    .getByRole('button', { name: /^Ceramic emitter/ })
    .first()
    .click();
  await page.getByRole('combobox', { name: 'Thermostat' }).click();
  await page.getByRole('option', { name: 'none' }).click();
  await expect(page.getByText(/has no thermostat/)).toBeVisible();
  await page.getByRole('button', { name: 'Put it on a thermostat' }).click();
  await expect(page.getByText(/has no thermostat/)).toBeHidden();
});

test('what holds is found, taken over and undone in one step; a search is stopped at once @years', async ({
  page,
}) => {
  test.setTimeout(400_000);
  await demo(page);
  await open(page, '/e/demo-hedge/climate');
  // The box as it stands does not hold, and says so wherever it is told.
  const ledger = page.getByRole('contentinfo', { name: 'Ledger' });
  await expect(ledger).toContainText('Does not hold', { timeout: 60_000 });
  await part(page, 'What holds');
  const find = page.getByRole('button', { name: 'Find what holds' });
  await find.click();
  await expect(page.getByText(/ways? played in/)).toBeVisible({ timeout: 60_000 });
  await page.getByRole('button', { name: 'Stop' }).click();
  await expect(page.getByText('Stopped. Nothing was changed.')).toBeVisible({ timeout: 2000 });
  await expect(ledger).toContainText('Does not hold');

  await find.click();
  const found = page.getByRole('region', { name: 'What was found' });
  await expect(found).toBeVisible({ timeout: 300_000 });
  const [way] = await found.locator('section').all();
  await expect(way!.locator('[data-answer=holds], [data-answer=holds-but]').first()).toBeVisible();
  // A difference to the box as it was, thing by thing.
  expect(await way!.locator('dt').count()).toBeGreaterThan(0);
  await way!.getByRole('button', { name: 'Use this' }).click();
  await saved(page);
  await expect(ledger).toContainText(/Being calculated|Holds/);
  await expect(ledger).toContainText('Holds', { timeout: 60_000 });
  await page.getByRole('button', { name: 'Undo what holds taken over' }).click();
  await expect(ledger).toContainText('Does not hold', { timeout: 60_000 });
});

test('a beginner with a tree frog and a dry room ends at an enclosure that holds, with its list @years', async ({
  page,
}) => {
  test.setTimeout(200_000);
  await page.goto('/new');
  const began = Date.now();
  await page.getByRole('combobox', { name: 'Animal' }).fill('red-eyed tree');
  await page.getByRole('option').first().click();
  await page.getByRole('radio', { name: /^Dry/ }).click();
  const design = page.getByRole('region', { name: 'The design so far' });
  // The quick design stands at once; nothing good is said of it.
  await expect(design.locator('[data-answer=calculating]')).toBeVisible();
  await expect(design.locator('[data-answer=holds]')).toBeVisible({ timeout: 110_000 });
  await expect(design).toContainText('This design replaced the first one');
  await page.getByRole('button', { name: 'Save to the rack' }).click();
  await expect(page).toHaveURL(/ground$/);
  const ledger = page.getByRole('contentinfo', { name: 'Ledger' });
  await expect(ledger).toContainText('Holds', { timeout: 60_000 });
  await page.goto(page.url().replace('/ground', '/build'));
  await page.getByRole('tab', { name: 'Buy' }).click();
  await expect(page.getByText('Ultrasonic fogger in a bottle').first()).toBeVisible();
  expect(Date.now() - began).toBeLessThan(120_000);
});

test('a salamander cannot be held at 21 °C: the room is named, and what would do @years', async ({
  page,
}) => {
  test.setTimeout(120_000);
  await page.goto('/new');
  await page.getByRole('combobox', { name: 'Animal' }).fill('fire salamander');
  await page.getByRole('option').first().click();
  const design = page.getByRole('region', { name: 'The design so far' });
  await expect(design.locator('[data-answer=cannot]')).toBeVisible({ timeout: 100_000 });
  await expect(design).toContainText('Cannot hold in this room');
  await expect(design).toContainText(/Cool the room to 1\d(\.\d)?\s°C/);
});

test('a change while its year is played: what was known of the old design is not shown for the new @years', async ({
  page,
}) => {
  test.setTimeout(120_000);
  await demo(page);
  await open(page, '/e/demo-limestone/climate');
  const verdict = page.locator('#verdict [data-answer]').first();
  await expect(verdict).toHaveAttribute('data-answer', /holds|fails|cannot/, { timeout: 60_000 });
  await part(page, 'Mist');
  await page.getByRole('textbox', { name: 'Misting 1' }).fill('6:45');
  await page.keyboard.press('Enter');
  await expect(verdict).toHaveAttribute('data-answer', 'calculating', { timeout: 2000 });
  await expect(verdict).toHaveAttribute('data-answer', /holds|fails|cannot/, { timeout: 60_000 });
  // Loaded again, it is there at once: kept by what it depends on.
  await page.reload();
  await expect(page.locator('#verdict [data-answer]').first()).toHaveAttribute(
    'data-answer',
    /holds|fails|cannot/,
    { timeout: 10_000 },
  );
});

test('a what-if is run; the enclosure is calibrated from a file; nonsense is refused in place @years', async ({
  page,
}) => {
  test.setTimeout(300_000);
  await demo(page);
  await open(page, '/e/demo-hedge/climate');
  await part(page, 'What if');
  await page.getByRole('button', { name: /^A heat wave/ }).click();
  await expect(page.getByRole('table', { name: 'Limits' })).toBeVisible({ timeout: 120_000 });
  await expect(page.getByText(/^(After .* it is|It is .* before it begins|Nothing passes)/)).toBeVisible();

  await part(page, 'Calibrate');
  const file = page.getByLabel('Logger’s file, to choose');
  const text = (body: string) => ({ name: 'log.csv', mimeType: 'text/csv', buffer: Buffer.from(body) });
  await file.setInputFiles(text('nothing here'));
  await expect(page.getByRole('tabpanel').getByRole('alert')).toContainText('line 1');
  await file.setInputFiles(text('time,temp,humidity\nsoon,21,50\nlater,21,50\n'));
  await expect(page.getByRole('tabpanel').getByRole('alert')).toContainText('line 2: no column holds dates');

  // What the warm side would read if it leaked half as much again as it is drawn; and the same, never misted.
  const lines = loggedOn('demo-hedge', 1.5, 4);
  const rows = (humidity: (of: (typeof lines)[number]) => number): string =>
    [
      'Time,Temperature,Humidity,Room temperature',
      ...lines.map(
        (it) => `${it.at},${it.temperature.toFixed(2)},${humidity(it).toFixed(1)},${it.room.toFixed(2)}`,
      ),
    ].join('\n');
  await file.setInputFiles(text(rows((it) => (it.light ? 52 : 66))));
  await page.getByRole('button', { name: 'Calibrate', exact: true }).click();
  await expect(page.getByText(/its mistings leave no trace in “log\.csv”/)).toBeVisible({ timeout: 60_000 });
  await file.setInputFiles(text(rows((it) => it.humidity)));
  await page.getByRole('button', { name: 'Calibrate', exact: true }).click();
  await expect(page.getByRole('table', { name: 'Errors' })).toBeVisible({ timeout: 120_000 });
  // The leak it was read with is found again.
  await expect(page.getByRole('table', { name: 'Factors' })).toContainText(/Air exchange.*1\.[3-7]/i);
  await page.getByRole('button', { name: 'Use this calibration' }).click();
  await expect(page.getByText(/^Calibrated on .* to log\.csv/)).toBeVisible();
  await saved(page);
  await page.reload();
  await calculated(page);
  await part(page, 'Calibrate');
  await expect(page.getByText(/^Calibrated on .* to log\.csv/)).toBeVisible();
});

test('an enclosure is calibrated from what its probes have read; a what-if then knows its interval @years', async ({
  page,
}) => {
  test.setTimeout(300_000);
  await demo(page);
  await open(page, '/e/demo-limestone/climate');
  await part(page, 'Calibrate');
  await page.getByRole('button', { name: 'From the readings kept here' }).click();
  for (const name of ['cool side air: humidity', 'warm side: temperature'])
    await expect(page.getByRole('checkbox', { name })).toBeChecked();
  await page.getByRole('button', { name: 'Calibrate', exact: true }).click();
  await expect(page.getByRole('table', { name: 'Factors' })).toBeVisible({ timeout: 200_000 });
  await expect(page.getByRole('table', { name: 'Errors' }).getByRole('row')).toHaveCount(6);
  await page.getByRole('button', { name: 'Use this calibration' }).click();
  const kept = page.getByText(
    /^Calibrated on .* to cool side air and warm side, .* to .*: air exchange × [\d.]+ \([\d.]+ to [\d.]+\)/,
  );
  await expect(kept).toBeVisible();

  // Its interval is played in what may go wrong, two things at once.
  await part(page, 'What if');
  await page.getByRole('combobox', { name: 'At the same time' }).click();
  await page.getByRole('option', { name: 'The bottle runs dry' }).click();
  await page.getByRole('button', { name: /^Nobody comes for a week/ }).click();
  const limits = page.getByRole('table', { name: 'Limits' });
  await expect(limits).toBeVisible({ timeout: 120_000 });
  await expect(
    page.getByRole('heading', { name: 'Nobody comes for a week, and the bottle runs dry' }),
  ).toBeVisible();
  await expect(limits.getByRole('row', { name: /^Too dry .* to .*, after .* to / })).toBeVisible();
  await expect(page.getByText(/^Readings show it first on the (warm|cool) side/)).toBeVisible();
});

test('what would prevent it is played through, priced, built in by a button, and taken back in one step @years', async ({
  page,
}) => {
  test.setTimeout(200_000);
  await demo(page);
  await open(page, '/e/demo-limestone/climate');
  await part(page, 'What if');
  const nozzle = page.getByRole('button', { name: /^A nozzle sticks open/ });
  await nozzle.click();
  const flooded = page.getByText(/^After .* it is flooded to the barrier\.$/);
  await expect(flooded).toBeVisible({ timeout: 90_000 });
  await expect(
    page.getByText(/^A drain in the floor of the bed: .* more, (nothing|[\d.]+) more on the list$/),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Build it in: A drain in the floor of the bed' }).click();
  await saved(page);
  // Played through again by itself: it keeps what it promised.
  await expect(page.getByText('Nothing passes its limits while it lasts.')).toBeVisible({ timeout: 90_000 });
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(flooded).toBeVisible({ timeout: 90_000 });
});

test('summer is set otherwise: it is judged anew, kept through a reload, and Care reminds of it @years', async ({
  page,
}) => {
  test.setTimeout(240_000);
  await demo(page);
  await open(page, '/e/demo-limestone/climate');
  const verdict = page.locator('#verdict [data-answer]').first();
  await expect(verdict).toHaveAttribute('data-answer', 'holds', { timeout: 60_000 });
  await part(page, 'Seasons');
  await page.getByRole('button', { name: 'Add a part of the year' }).click();
  const summer = page.getByRole('region', { name: 'Summer' });
  await summer.getByRole('checkbox', { name: /^Infrared emitter/ }).click();
  await summer.getByRole('textbox', { name: 'By day' }).fill('36');
  await page.keyboard.press('Enter');
  // A summer of 36 °C is none for a cave gecko, whatever its winter is.
  await expect(verdict).toHaveAttribute('data-answer', 'fails', { timeout: 60_000 });
  await expect(page.locator('#verdict')).toContainText(/summer/);
  await saved(page);
  await page.reload();
  await expect(verdict).toHaveAttribute('data-answer', 'fails', { timeout: 60_000 });
  await page.goto('/e/demo-limestone/keep?tab=care');
  await expect(page.getByRole('row', { name: /Change over the settings of the season/ })).toContainText(
    'every June and October on the 1st',
  );
});

test('axe finds nothing in Climate @years', async ({ page }) => {
  test.setTimeout(400_000);
  await demo(page);
  await open(page, '/e/demo-limestone/climate');
  const check = (where: string): Promise<void> => sound(page, where);
  await check('forecast');
  await part(page, 'Seasons');
  await page.getByRole('button', { name: 'Add a part of the year' }).click();
  await page.getByRole('checkbox', { name: /^Infrared emitter/ }).click();
  await check('Seasons');
  for (const name of ['Lamps', 'Mist', 'Room', 'What holds', 'What if', 'Calibrate']) {
    await part(page, name);
    await check(name);
  }
});

test('the rack’s list tells what its cards count, as soon as the forecasts are known @years', async ({
  page,
}) => {
  await demo(page);
  const card = page
    .getByRole('listitem')
    .filter({ has: page.getByRole('link', { name: 'Hedge' }) })
    .first();
  await expect(card.locator('[data-answer=fails]')).toBeVisible({ timeout: 60_000 });
  await page.reload();
  await expect(card.locator('[data-answer=fails]')).toBeVisible({ timeout: 60_000 });
  const counted = Number(/(\d+) to check/.exec((await card.textContent()) ?? '')?.[1]);
  expect(counted).toBeGreaterThan(1);
  const list = page.getByRole('region', { name: 'To check' });
  const rows = list.getByRole('listitem').filter({ hasText: /^(Fix this|Check this)Hedge/ });
  await expect(rows).toHaveCount(counted);
  await expect(rows.filter({ hasText: 'The air is too dry by day' })).toHaveCount(1);
});
