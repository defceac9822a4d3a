import { chromium } from '@playwright/test';
import { odexRun } from '../tests/unit/odex';
import { AT, relativeAt, settle, simulate, weatherOf } from '@/core/climate';
import { fitted, FLAT, INDOORS, TWO_MISTS } from '@/core/climate/testing';
import { fieldOf, type Lamp } from '@/core/light';
import { CHROMIUM, CHROMIUM_ARGS } from '../scripts/browser.mjs';
import { serve } from '../scripts/serve.mjs';

/** The climate: a year against a general integrator, fields of lamps, and the schedule solver in the browser. */
const ms = (from: number): number => performance.now() - from;
const say = (what: string, value: string): void => console.log(`${what.padEnd(58)} ${value}`);

function year(): void {
  const box = fitted();
  const plan = () => ({ ...TWO_MISTS, fills: null });
  const weather = weatherOf({
    profile: FLAT,
    standing: INDOORS,
    pressure: box.pressure,
    from: 1,
    days: 366,
    seed: 1,
    front: 0.2,
  });
  const start = settle({ box, weather, plan });
  simulate({ box, weather, plan, days: 20, every: 3600, start, looser: 2 });
  let began = performance.now();
  const own = simulate({ box, weather, plan, days: 365, every: 3600, start, looser: 2 });
  const ours = ms(began);
  const days = 3;
  began = performance.now();
  const referee = odexRun({ box, weather, plan, days, every: 3600, start, tolerance: 1e-5 });
  const theirs = (ms(began) * 365) / days;
  let [t, h] = [0, 0];
  referee.records.forEach(({ y }, i) => {
    for (const cell of [0, 1, 2, 3] as const) {
      t = Math.max(t, Math.abs((y[AT.airT(cell)] ?? NaN) - (own.series[`air${cell}`][i] ?? NaN)));
      h = Math.max(
        h,
        Math.abs(
          relativeAt(y[AT.airT(cell)] ?? NaN, y[AT.ratio(cell)] ?? NaN, box.pressure) -
            (own.series[`rh${cell}`][i] ?? NaN),
        ),
      );
    }
  });
  say('a year, own stepper', `${(ours / 1000).toFixed(2)} s, ${own.steps} steps`);
  say(`a year, odex at 1e-5 (from ${days} days)`, `${(theirs / 1000).toFixed(0)} s`);
  say(
    'ratio (aim 25), and how far apart they are',
    `${(theirs / ours).toFixed(0)} ×, ${t.toFixed(2)} K, ${(h * 100).toFixed(2)} % RH`,
  );
  say(
    'water and heat that do not add up over the year',
    `${own.water.off.toExponential(1)}, ${own.heat.off.toExponential(1)}`,
  );
}

function fields(): void {
  const lamps = [0.3, 0.6, 0.9].map((x, i): Lamp => ({
    id: String(i),
    form: i === 1 ? 'bulb' : 'tube',
    x,
    y: 0.25,
    z: 0.65,
    length: 0.55,
    along: 'x',
    half: 0.3,
    uvIndex: 2,
    reference: 0.3,
    lumens: 1500,
    light: 'led',
    radiant: 20,
    passes: { uv: 1, light: 1, heat: 1 },
  }));
  const plane = { view: 'front', cut: 0.25, width: 1.2, height: 0.6 } as const;
  const time = (work: () => void): number => {
    for (let i = 0; i < 10; i += 1) work();
    const taken: number[] = [];
    for (let i = 0; i < 30; i += 1) {
      const began = performance.now();
      work();
      taken.push(ms(began));
    }
    return taken.sort((a, b) => a - b)[15] ?? 0;
  };
  say(
    'field of a dragged lamp, 30 columns (budget 8 ms)',
    `${time(() => fieldOf('uv', lamps, plane, 30, 15)).toFixed(2)} ms`,
  );
  say(
    'UV and plant light, three lamps, 200 × 200 (budget 30 ms)',
    `${time(() => {
      fieldOf('uv', lamps, plane, 200, 200);
      fieldOf('ppfd', lamps, plane, 200, 200);
    }).toFixed(1)} ms`,
  );
}

async function solver(): Promise<void> {
  const server = await serve(4194, { demo: true });
  const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS });
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, locale: 'en-GB' });
    await page.goto(server.url);
    await page.getByRole('heading', { name: 'Four enclosures' }).waitFor();
    await page.goto(`${server.url}/e/demo-limestone/climate`);
    await page.locator('[data-forecast=ready]').waitFor({ timeout: 120_000 });
    await page.getByRole('tab', { name: 'Schedule' }).click();
    const find = page.getByRole('button', { name: 'Find a schedule' });
    await find.click();
    const began = performance.now();
    await page.getByRole('region', { name: 'Best so far' }).waitFor({ timeout: 120_000 });
    say('schedule: first useful choice (aim 5 s)', `${(ms(began) / 1000).toFixed(1)} s`);
    const stopped = performance.now();
    await page.getByRole('button', { name: 'Stop' }).click();
    await page.getByText('Stopped. Nothing was changed.').waitFor();
    say('schedule: stopped, the click counted in (aim 100 ms)', `${ms(stopped).toFixed(0)} ms`);
    await find.click();
    await page.getByText(/^Found in/).waitFor({ timeout: 600_000 });
    say(
      'schedule: 500 candidates, 12 weeks, two workers (aim 30 s)',
      await page.getByText(/^Found in/).innerText(),
    );
  } finally {
    await browser.close();
    server.stop();
  }
}

year();
fields();
await solver();
