import { readFileSync } from 'node:fs';
import { expect, test, type Page } from './test';
import { build, demo, later, saved, sound } from './helpers';
import { NOW } from './now';

const rows = Array.from(
  { length: 3000 },
  (_, i) =>
    `${String(1 + Math.floor(i / 288)).padStart(2, '0')}.10.2026 ${String(Math.floor((i % 288) / 12)).padStart(2, '0')}:${String((i % 12) * 5).padStart(2, '0')};${(23 + Math.sin(i / 40)).toFixed(1).replace('.', ',')};${70 + (i % 8)}`,
);
const CSV = `\uFEFFLogger 12\r\nDatum;Temp. [°C];Feuchte [%]\r\n${rows.join('\r\n')}\r\n`;
const point = (page: Page, name: string) => page.locator(`[data-point="${name}"]`);

test('a logger’s file: matched once, remembered, taken back; out as CSV and SenML and in again', async ({
  page,
}) => {
  await demo(page);
  await page.goto('/e/demo-hedge/keep?tab=readings');
  await expect(page.getByText('Nothing has been read by a sensor yet')).toBeVisible();
  const read = (name: string, text: string, type = 'text/csv') =>
    page.getByLabel('File of a sensor').setInputFiles({ name, mimeType: type, buffer: Buffer.from(text) });
  await read('october.csv', CSV);
  const matcher = page.getByRole('region', { name: 'What is in it' });
  await expect(matcher.getByRole('combobox', { name: 'What Temp. [°C] holds' })).toHaveText(
    'Temperature, °C',
  );
  await expect(matcher).toContainText('The first row is read as 1 Oct 2026, 00:00');
  await matcher.getByRole('textbox', { name: 'Name of the point for Temp. [°C]' }).fill('branch');
  await sound(page, 'matcher');
  await matcher.getByRole('button', { name: 'Read it in' }).click();
  await expect(page.getByText('october.csv: 3000 rows, 6000 readings.')).toBeVisible();
  await expect(point(page, 'branch')).toContainText('Temperature');
  await expect(point(page, 'Feuchte [%]')).toContainText('%');
  // Taken back it is gone; read in again it asks nothing anew.
  await page.getByRole('button', { name: 'Undo', exact: true }).last().click();
  await expect(page.getByText('Nothing has been read by a sensor yet')).toBeVisible();
  await read('october.csv', CSV);
  await expect(matcher).toContainText('Matched as the last file with these headings was');
  await matcher.getByRole('button', { name: 'Read it in' }).click();
  await expect(point(page, 'branch')).toBeVisible();
  // What is no such file says where and what to do.
  await read('words.csv', 'a,b\nx,y\n');
  const wrong = page.getByRole('alert').filter({ hasText: /^(words|pack)/ });
  await expect(wrong).toContainText('words.csv, line 2: no column holds dates');
  await read('pack.senml', '[{"n":"a b","v":1}]', 'application/json');
  await expect(wrong).toContainText('pack.senml, record 1: “a b” is no name');

  // Out and in again, in another box: the same readings.
  const out = async (name: string) => {
    const waiting = page.waitForEvent('download');
    await page.getByRole('button', { name }).click();
    return readFileSync(await (await waiting).path(), 'utf8');
  };
  const csv = await out('All readings as CSV');
  expect(csv.split('\r\n')).toHaveLength(6002);
  const senml = await out('As SenML');
  expect((JSON.parse(senml) as unknown[]).length).toBe(6000);
  await page.goto('/e/demo-dry-wash/keep?tab=readings');
  await read('hedge.senml.json', senml, 'application/senml+json');
  await expect(page.getByText('6000 readings of 6000 records')).toBeVisible();
  await expect(point(page, 'branch')).toContainText('°C');
});

test('readings over time: points picked, moved by keys, a point set in the drawing against the forecast', async ({
  page,
}) => {
  await demo(page);
  await page.goto('/e/demo-bog-shelf/keep?tab=readings');
  const curves = page.getByRole('img', { name: /^Temperature of over the water, warm side/ });
  await expect(curves).toBeVisible();
  // Drawn, not only there: the library comes after the page.
  await expect(curves.locator('canvas')).toBeVisible();
  await page.getByRole('button', { name: 'warm side' }).first().click();
  await expect(page.getByRole('img', { name: /^Temperature of over the water, \d/ })).toBeVisible();
  await page.getByRole('button', { name: 'Month' }).click();
  await expect(page.getByRole('button', { name: 'Month' })).toHaveAttribute('aria-pressed', 'true');
  await page.getByRole('button', { name: 'Year' }).click();
  await page.getByRole('button', { name: 'Later' }).click();
  await page.getByRole('button', { name: 'Later' }).click();
  await page.getByRole('button', { name: 'Later' }).click();
  await expect(page.getByText('Nothing was read in this time.')).toBeVisible();
  await page.getByRole('button', { name: 'All', exact: true }).click();
  await expect(page.getByText('Nothing was read in this time.')).toBeHidden();
  await point(page, 'air among the cork').getByRole('button').click();
  const card = page.getByRole('region', { name: 'air among the cork' });
  await expect(card).toContainText('By the animal');
  await expect(card).toContainText(/Forecast for such a day here: \d+.% to \d+.%/, { timeout: 60_000 });
  await card.getByRole('button', { name: /^Where air among the cork sits/ }).press('ArrowRight');
  await card.getByRole('textbox', { name: 'Alarm under, %' }).fill('40');
  await card.getByRole('textbox', { name: 'Alarm under, %' }).press('Enter');
  await expect(card).toContainText('By your own bounds');
  await expect(point(page, 'air among the cork')).toContainText('nothing');
  await card.getByRole('textbox', { name: 'Read now by hand, %' }).fill('150');
  await card.getByRole('textbox', { name: 'Read now by hand, %' }).press('Enter');
  await expect(card.getByText('0 to 100 can be read.')).toBeVisible();
  await card.getByRole('textbox', { name: 'Read now by hand, %' }).fill('71');
  await card.getByRole('textbox', { name: 'Read now by hand, %' }).press('Enter');
  await expect(point(page, 'air among the cork')).toContainText('71');
});

test('from a stand-in’s fault to its cause: joined, broken, called out on Today, named', async ({ page }) => {
  await demo(page);
  await page.goto('/e/demo-hedge/keep?tab=readings');
  await page.getByRole('button', { name: 'Join the simulated devices' }).click();
  await expect(page.getByText(/^Joined\./)).toBeVisible();
  await expect(point(page, 'warm air')).toContainText('°C', { timeout: 60_000 });
  await page.getByRole('button', { name: 'Measure the UV index' }).click();
  await expect(page.getByText(/^UV index where it basks: \d/)).toBeVisible();
  await page.getByRole('button', { name: 'Weigh' }).click();
  await expect(page.getByText(/^On the scale: [\d.]+.g/)).toBeVisible();
  await page.getByRole('button', { name: 'Mist for 10 s' }).click();
  await expect(page.getByText('Misted for 10 s.').first()).toBeVisible();

  await page.getByRole('combobox', { name: 'Try what happens when' }).click();
  await page.getByRole('option', { name: 'A probe sticks' }).click();
  await page.getByRole('combobox', { name: 'Since' }).click();
  await page.getByRole('option', { name: '12 h ago' }).click();
  await page.getByRole('button', { name: 'Set', exact: true }).click();
  await expect(page.getByText(/As if it had begun 12 h ago/)).toBeVisible();
  await page.goto('/today');
  const alarm = page.locator('[data-alarm^="warm"]').first();
  await expect(alarm).toContainText('one and the same value for hours', { timeout: 60_000 });
  await alarm.getByRole('link', { name: 'Why' }).click();
  await expect(page.getByRole('heading', { name: 'Most likely' })).toBeVisible({ timeout: 60_000 });
  await expect(page.locator('[data-cause]').first()).toHaveAttribute('data-cause', 'probe-stuck');
  await expect(page.locator('[data-cause]').first()).toContainText('Breathe on it');
  // Mended: written down, and followed until readings tell whether it worked.
  await page.getByRole('button', { name: 'I mended this: A probe is stuck' }).click();
  await expect(page.getByText('Written down: A probe is stuck, mended.')).toBeVisible();
  await expect(page.locator('[data-mended="too early"]')).toContainText(/more hours have been read/);
  await page.getByRole('tab', { name: 'Log' }).click();
  await expect(page.getByText('Mended: A probe is stuck').first()).toBeVisible();
});

test('the first opinion: what is seen is picked, a veterinarian comes before all, an edit is tried in Climate', async ({
  page,
}) => {
  await demo(page);
  await page.goto('/e/demo-limestone/keep?tab=off');
  await expect(page.getByRole('heading', { name: 'No problem found' })).toBeVisible();
  await page.getByRole('button', { name: 'Mould' }).click();
  await expect(page.locator('[data-cause]').first()).toContainText('Fresh wood and litter mould once');
  await page.getByRole('button', { name: /^Gasping/ }).click();
  await expect(page.locator('[data-cause]').first()).toContainText('Call a veterinarian');
  await sound(page, 'diagnosis');
  await page.goto('/e/demo-bog-shelf/keep?tab=off');
  await expect(page.getByRole('list', { name: 'What the readings say' })).toContainText(
    'lower than at these hours',
  );
  await expect(page.locator('[data-cause]').first()).toContainText('It is not misted');
});

/** Every record of a pack with its name and time, those of one stretch of days put so many days on. */
function movedOn(senml: string, from: number, to: number, days: number): string {
  let [name, unit, begins] = ['', '', 0];
  const records = (
    JSON.parse(senml) as { bn?: string; bt?: number; bu?: string; t?: number; v: number }[]
  ).flatMap(({ bn, bt, bu, t, v }) => {
    if (bn !== undefined) [name, unit, begins] = [bn, bu ?? '', bt ?? 0];
    const at = begins + (t ?? 0);
    return at >= from && at < to ? [{ n: name, u: unit, t: at + days * 86_400, v }] : [];
  });
  return JSON.stringify(records);
}

test('from an alarm to its cause, to what was done, to readings that say it worked', async ({ page }) => {
  await demo(page);
  await page.goto('/today');
  await page.locator('[data-alarm="air among the cork"]').getByRole('link', { name: 'Why' }).click();
  await page.getByRole('button', { name: 'I mended this: It is not misted' }).click();
  await expect(page.locator('[data-mended="too early"]')).toBeVisible();
  await page.getByRole('tab', { name: 'Readings' }).click();
  const waiting = page.waitForEvent('download');
  await page.getByRole('button', { name: 'As SenML' }).click();
  const kept = readFileSync(await (await waiting).path(), 'utf8');

  // Two days on it has read what it read twelve days before, when it was misted.
  await later(page, 2);
  const now = Date.parse(NOW) / 1000;
  await page.goto('/e/demo-bog-shelf/keep?tab=readings');
  await page.getByLabel('File of a sensor').setInputFiles({
    name: 'since.senml.json',
    mimeType: 'application/senml+json',
    buffer: Buffer.from(movedOn(kept, now - 12 * 86_400 + 1800, now - 10 * 86_400, 12)),
  });
  await expect(page.getByText(/: \d+ readings of \d+ records/)).toBeVisible();
  await page.getByRole('tab', { name: 'Troubleshoot' }).click();
  await expect(page.locator('[data-mended="worked"]')).toContainText('It worked', { timeout: 30_000 });
  await page.goto('/today');
  await expect(page.getByRole('heading', { name: 'Today' })).toBeVisible();
  await expect(page.locator('[data-alarm]')).toHaveCount(0);
});

test('a comparison that is planned ahead is followed on Today until it is over', async ({ page }) => {
  await demo(page);
  await page.goto('/');
  await page.getByRole('button', { name: 'More for Limestone' }).click();
  await page.getByRole('menuitem', { name: 'Duplicate' }).click();
  await page.getByRole('link', { name: 'Compare the two' }).click();
  const ahead = page.getByRole('region', { name: 'Plan a comparison' });
  await expect(ahead).toContainText('The designs are alike');
  await page.goto('/compare?of=demo-bog-shelf,demo-limestone');
  await expect(ahead.getByRole('list', { name: 'What could show' })).toContainText('Temperature, warm side');
  await expect(ahead).toContainText('Make all but one alike first');
  await sound(page, 'planned comparison');
  await ahead.getByRole('button', { name: '1 week', exact: true }).click();
  await ahead.getByRole('button', { name: 'Begin today' }).click();
  const own = page.getByRole('region', { name: 'The planned comparison' });
  await expect(own).toContainText('Day 0 of 7, until 25 Nov 2026. All else has stayed as it was.');
  await page.goto('/today');
  const told = page.getByRole('region', { name: 'Comparisons' });
  await expect(told).toContainText('Bog shelf and Limestone: day 0 of 7');

  // What changes meanwhile is told; so is the end.
  await page.goto('/e/demo-limestone/brief');
  await page.getByRole('textbox', { name: /^Height/ }).fill('70');
  await page.getByRole('textbox', { name: /^Height/ }).press('Enter');
  await saved(page);
  await later(page, 7);
  await page.goto('/today');
  await expect(told).toContainText('Bog shelf and Limestone: the comparison is over');
  await expect(told).toContainText('Changed since it began');
  await told.getByRole('link', { name: 'See' }).click();
  await own.getByRole('button', { name: 'End it' }).click();
  await expect(ahead).toBeVisible();
  await page.goto('/today');
  await expect(page.getByRole('heading', { name: 'Today' })).toBeVisible();
  await expect(told).toHaveCount(0);
});

test('the next seven days: drawn under the readings, told in words, and on Today', async ({ page }) => {
  await demo(page);
  await page.goto('/e/demo-limestone/keep?tab=readings');
  const week = page.getByRole('region', { name: 'The next seven days' });
  await expect(week).toContainText(/Shaded is where nine of ten readings should lie, by how far/, {
    timeout: 60_000,
  });
  await page.locator('[data-point="warm side"]').click();
  await sound(page, 'days to come');
});

test('what is read of an enclosure that is only planned alarms on Today, where nothing is to be cared for', async ({
  page,
}) => {
  await build(page, 'leopard gecko', ['90', '45', '45'], 'Ridge');
  await page.getByRole('link', { name: 'Keep' }).click();
  await page.getByRole('tab', { name: 'Readings' }).click();
  // Two days at 39 °C, up to now.
  const lines = Array.from({ length: 192 }, (_, i) => {
    const at = new Date(Date.parse(NOW) - (192 - i) * 900_000).toISOString();
    return `${at},${(39 + 0.2 * Math.sin(i / 5)).toFixed(1)}`;
  });
  await page.getByLabel('File of a sensor').setInputFiles({
    name: 'ridge.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(`time,Warm C\n${lines.join('\n')}\n`),
  });
  await page.getByRole('button', { name: 'Read it in' }).click();
  await expect(point(page, 'Warm C')).toContainText('39');
  await page.goto('/today');
  await expect(page.getByRole('heading', { name: 'Nothing to care for yet' })).toBeVisible();
  await expect(page.locator('[data-alarm="Warm C"]')).toContainText('Ridge: Warm C too high');
  await sound(page, 'today of a plan');
});

test('animals, equipment and two enclosures side by side', async ({ page }) => {
  await demo(page);
  await page.goto('/e/demo-bog-shelf/keep?tab=animals');
  await expect(page.getByRole('heading', { name: '4 live here' })).toBeVisible();
  await page.getByRole('button', { name: 'Add animal' }).click();
  const card = page.getByRole('region', { name: 'Vietnamese mossy frog 5' });
  await card.getByRole('textbox', { name: 'Name or number' }).fill('Moss');
  await card.getByRole('textbox', { name: 'Name or number' }).press('Enter');
  const moss = page.getByRole('region', { name: 'Moss', exact: true });
  await moss.getByRole('button', { name: 'Add a paper' }).click();
  await moss.getByRole('textbox', { name: 'Its number' }).fill('A 17');
  await moss.getByRole('textbox', { name: 'Its number' }).press('Enter');
  await moss.getByRole('combobox', { name: 'Lives in' }).click();
  await page.getByRole('option', { name: 'Limestone' }).click();
  await expect(page.locator('[data-animal=Moss]')).toContainText('in another enclosure');
  await page.getByRole('button', { name: 'Undo', exact: true }).last().click();
  await expect(page.locator('[data-animal=Moss]')).toContainText('here');
  await page.getByRole('button', { name: 'Sedge' }).click();
  await expect(page.getByRole('img', { name: 'Weight of Sedge' })).toBeVisible();
  await expect(page.getByText(/^Seen \d+ times: \d+ % on the warm side/)).toBeVisible();
  await sound(page, 'animals');

  await page.getByRole('tab', { name: 'Equipment' }).click();
  await page.getByRole('button', { name: 'Pump of the half-water' }).click();
  await page.getByRole('button', { name: 'It failed today' }).click();
  await expect(page.locator('[data-equipment="Pump of the half-water"]')).toContainText('failed');
  await sound(page, 'equipment');

  await page.goto('/');
  await page.getByRole('button', { name: 'More for Limestone' }).click();
  await page.getByRole('menuitem', { name: 'Duplicate' }).click();
  await page.getByRole('link', { name: 'Compare the two' }).click();
  await expect(page.getByRole('heading', { name: 'The designs are alike' })).toBeVisible();
  await expect(page.getByText(/no time in common/)).toBeVisible();
  await page.goto('/compare?of=demo-bog-shelf,demo-limestone');
  await expect(page.getByRole('table', { name: 'What came of them' })).toContainText('% in its band');
  await expect(page.getByText(/cannot be laid to any one of them/)).toBeVisible();
  await sound(page, 'compare');
  await page.goto('/sitter');
  await expect(page.getByRole('heading', { name: 'Day by day' })).toBeVisible();
  await sound(page, 'sitter');
});
