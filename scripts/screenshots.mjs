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
  ['rack', '/'],
  ['new-enclosure', '/new', answerThree],
  ['brief', '/e/demo-hedge/brief'],
  ['ground', '/e/demo-limestone/ground'],
  ['moisture', '/e/demo-limestone/ground', moisture],
  ['half-water', '/e/demo-bog-shelf/ground', plan],
  ['scape', '/e/demo-hedge/scape', pickRoot],
  ['scape-side', '/e/demo-bog-shelf/scape', background, { colorScheme: 'dark' }],
  ['scape-plan', '/e/demo-dry-wash/scape', planOfPieces],
  ['list', '/e/demo-bog-shelf/build'],
  ['to-be-made', '/e/demo-hedge/build', toBeMade],
  ['shelf', '/stores?tab=shelf'],
  ['bench', '/stores?tab=bench&design=demo-hedge&layer=layer-3', bench],
  ['bench-dark', '/stores?tab=bench&design=demo-limestone&layer=layer-3', bench, { colorScheme: 'dark' }],
  [
    'solver',
    '/stores?tab=bench&design=demo-hedge&layer=layer-3',
    solver,
    { viewport: { width: 1280, height: 1500 } },
  ],
  ['cup', '/stores', cup],
  ['mixing-sheet', '/e/demo-dry-wash/mixing'],
  ['mixing-sheet-dark', '/e/demo-limestone/mixing', undefined, { colorScheme: 'dark' }],
  ['almanac', '/almanac', almanac],
];

async function answerThree(page) {
  await page.getByRole('combobox', { name: 'Animal' }).fill('crested');
  await page.getByRole('option').first().click();
  await page.getByLabel('Width').fill('45 cm');
  await page.getByLabel('Depth').fill('45 cm');
  await page.getByLabel('Height').fill('60 cm');
  await page.getByRole('radio', { name: /^Dry/ }).click();
}

async function moisture(page) {
  await page.getByRole('button', { name: 'Moisture' }).click();
}

async function plan(page) {
  await page.getByRole('button', { name: 'Plan' }).click();
  await page.getByRole('group', { name: 'Parts of the floor' }).getByRole('button', { name: 'Land' }).click();
}

async function toBeMade(page) {
  await page.getByRole('tab', { name: 'To be made' }).click();
}

async function bench(page) {
  await page.getByRole('button', { name: 'Another mix beside' }).click();
  const third = page.getByRole('region', { name: 'Mix C' });
  await third.getByRole('combobox').first().fill('fern fibre');
  await page.getByRole('option').first().click();
}

async function cup(page) {
  await page.getByLabel('Find in materials').fill('coconut');
  await page.getByRole('button', { name: 'New', exact: true }).click();
  const made = page.getByRole('dialog');
  await made.getByLabel('What you call it').fill('Coir, sieved');
  await made.getByRole('combobox', { name: 'It is like' }).fill('coconut coir, loose');
  await page.getByRole('option').first().click();
  await made.getByRole('button', { name: 'Write it down' }).click();
  await page.getByRole('button', { name: 'Measure it in a cup' }).click();
  for (const [label, value] of Object.entries({
    'Cup, empty, g': '20',
    'with water, g': '520',
    'with the ingredient, g': '80',
    'stands high, cm': '9',
    'soaked, g': '480',
    'drained, g': '370',
  }))
    await page.getByLabel(label).fill(value);
}

async function solver(page) {
  await page.getByRole('button', { name: 'Work it out' }).click();
  await page.getByRole('table', { name: 'What goes in' }).waitFor();
}

async function almanac(page) {
  await page.getByLabel('Find in animals').fill('gecko');
  await page
    .getByRole('button', { name: /cave gecko/ })
    .first()
    .click();
}

async function pickRoot(page) {
  await page.getByRole('button', { name: 'Root wood, branched', exact: true }).click();
}

async function background(page) {
  await page.getByRole('button', { name: 'Side', exact: true }).click();
  await page.getByRole('tab', { name: 'Background' }).click();
}

async function planOfPieces(page) {
  await page.getByRole('button', { name: 'Plan', exact: true }).click();
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
