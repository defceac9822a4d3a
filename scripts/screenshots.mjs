/** Takes the pictures under docs/screenshots from the demo data. Needs a build. */
import { mkdirSync } from 'node:fs';
import { chromium } from '@playwright/test';
import { CHROMIUM, CHROMIUM_ARGS } from './browser.mjs';
import { ensureChromium } from './ensure.mjs';
import { serve } from './serve.mjs';

const OUT = process.env.SHOTS ?? 'docs/screenshots';
mkdirSync(OUT, { recursive: true });
const only = process.argv.slice(2);

/** name, path, what to do first, and how the page is shown */
const SHOTS = [
  ['rack', '/', judged],
  ['new-enclosure', '/new', answerThree],
  ['ground', '/e/demo-limestone/ground'],
  ['scape', '/e/demo-hedge/scape', pickRoot],
  ['living', '/e/demo-bog-shelf/living', grownUp],
  ['living-crew', '/e/demo-limestone/living', crewed],
  ['climate', '/e/demo-limestone/climate', calculated],
  ['what-holds', '/e/demo-hedge/climate', held],
  ['climate-uv', '/e/demo-hedge/climate', ultraviolet],
  ['climate-year', '/e/demo-bog-shelf/climate', year, { colorScheme: 'dark' }],
  ['plan', '/e/demo-limestone/build', planned],
  ['build-sheet', '/e/demo-hedge/sheets', undefined, { viewport: { width: 1280, height: 1300 } }],
  ['bench', '/stores?tab=bench&design=demo-hedge&layer=layer-3', bench],
  ['today', '/today', quick],
  ['readings', '/e/demo-bog-shelf/keep?tab=readings', humidity],
  ['log', '/e/demo-bog-shelf/keep?tab=log', pictured],
  ['diagnosis', '/e/demo-bog-shelf/keep?tab=off', played],
  ['compare', '/compare?of=demo-bog-shelf,demo-limestone'],
  ['phone', '/today', undefined, { viewport: { width: 390, height: 844 }, colorScheme: 'dark' }],
];

async function answerThree(page) {
  await page.getByRole('combobox', { name: 'Animal' }).fill('crested');
  await page.getByRole('option').first().click();
  await page.getByLabel('Width').fill('45 cm');
  await page.getByLabel('Depth').fill('45 cm');
  await page.getByLabel('Height').fill('60 cm');
  await page.getByRole('radio', { name: /^Dry/ }).click();
  await page.locator('[data-answer=calculating]').waitFor();
  await judged(page);
}

/** Waits until every fault is played through. */
async function played(page) {
  await page
    .getByRole('heading', { name: /^(Most likely|It cannot be told yet|No problem found)$/ })
    .waitFor({ timeout: 60_000 });
}

/** Waits until every year is played. */
async function judged(page) {
  await page.waitForTimeout(800);
  await page.waitForFunction(() => !document.querySelector('[data-answer=calculating]'), null, {
    timeout: 180_000,
  });
  await page.waitForTimeout(400);
}

async function held(page) {
  await page.getByRole('tab', { name: 'What holds' }).click();
  await page.getByRole('button', { name: 'Find what holds' }).click();
  const found = page.getByRole('region', { name: 'What was found' });
  await found.waitFor({ timeout: 300_000 });
  await found.scrollIntoViewIfNeeded();
  await found.evaluate((it) => it.scrollIntoView({ block: 'start' }));
  await page.waitForTimeout(600);
}

async function bench(page) {
  await page.getByRole('button', { name: 'Another mix beside' }).click();
  const third = page.getByRole('region', { name: 'Mix C' });
  await third.getByRole('combobox').first().fill('fern fibre');
  await page.getByRole('option').first().click();
}

async function pickRoot(page) {
  await page.getByRole('button', { name: 'Root wood, branched', exact: true }).click();
}

async function planned(page) {
  await page.getByRole('tab', { name: 'Plan', exact: true }).click();
  await page.locator('[data-step=measure]').click();
}

/** Waits until the forecast stands. */
async function calculated(page) {
  await page.waitForTimeout(600);
  await page.locator('[data-forecast=ready]').waitFor({ timeout: 120_000 });
  await page.waitForTimeout(600);
}

/** Waits until plants are judged by the climate of the box. */
async function surveyed(page) {
  await page.locator('[data-survey=ready]').waitFor({ timeout: 120_000 });
  await page.waitForTimeout(400);
}

async function grownUp(page) {
  await surveyed(page);
  await page.getByRole('slider', { name: 'Months after planting' }).focus();
  for (let i = 0; i < 12; i += 1) await page.keyboard.press('ArrowRight');
}

async function crewed(page) {
  await surveyed(page);
  await page.getByRole('tab', { name: 'Crew' }).click();
  await page.getByRole('img', { name: /^Adults over/ }).waitFor();
}

async function ultraviolet(page) {
  await calculated(page);
  await page.getByRole('tab', { name: 'Lamps' }).click();
  const installed = page.getByRole('list', { name: 'Installed' });
  await installed
    .getByRole('button', { name: /UV tube/ })
    .first()
    .click();
  await page.getByRole('button', { name: 'UV index', exact: true }).click();
  await page.waitForTimeout(2500);
}

async function year(page) {
  await page.getByRole('button', { name: 'Year', exact: true }).click();
  await page.getByRole('button', { name: 'Humidity', exact: true }).click();
  await calculated(page);
}

async function quick(page) {
  await page.getByLabel('Write down').fill('bog mist 20s; fed 3 crickets, 1 left; 23.4 C 81 %');
}

async function humidity(page) {
  await page.getByRole('button', { name: 'Humidity' }).click();
  await page.getByText(/Shaded is where nine of ten/).waitFor();
  await page.waitForTimeout(1200);
}

/** A line with a picture: the drawing itself, as if it had been taken through the glass. */
async function pictured(page) {
  await page.goto(page.url().replace('/keep?tab=log', '/ground'));
  await page.getByRole('heading', { name: 'Ground', level: 1 }).waitFor();
  const shot = await page.screenshot({ clip: { x: 330, y: 150, width: 430, height: 430 } });
  await page.goBack();
  await page.getByRole('button', { name: 'Use a form' }).click();
  await page.getByLabel('In words').fill('Two out at dusk, on the upper branch.');
  await page
    .getByLabel('Pictures of it')
    .setInputFiles({ name: 'dusk.png', mimeType: 'image/png', buffer: shot });
  await page.getByRole('button', { name: 'Write it down' }).click();
  await page.getByRole('button', { name: /^Picture 1 of/ }).waitFor();
}

ensureChromium();
const server = await serve(4177, { demo: true });
const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS });
try {
  for (const [name, path, first, how] of SHOTS) {
    if (only.length > 0 && !only.includes(name)) continue;
    const context = await browser.newContext({
      viewport: { width: 1280, height: 800 },
      locale: 'en-GB',
      ...how,
    });
    const page = await context.newPage();
    await page.goto(server.url);
    await page.getByRole('heading', { name: 'Four enclosures' }).waitFor();
    await page.goto(server.url + path);
    await page.locator('main h1').first().waitFor();
    // What waits for the store has a heading of its own.
    await page.getByRole('heading', { name: /^(Opening|Laying out)/ }).waitFor({ state: 'detached' });
    await first?.(page);
    await page.waitForTimeout(400);
    await page.screenshot({ path: `${OUT}/${name}.png` });
    await context.close();
  }
} finally {
  await browser.close();
  server.stop();
}
