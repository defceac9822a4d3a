import { chromium } from '@playwright/test';
import { odexRun } from '../tests/unit/odex';
import { AT, relativeAt, settle, simulate, weatherOf } from '@/core/climate';
import { fitted, FLAT, INDOORS, TWO_MISTS } from '@/core/climate/testing';
import { catalogue } from '@/catalogue';
import { forecast } from '@/core/climate';
import { proposeWhole } from '@/core/propose';
import { layGround } from '@/core/ground';
import { bounce, cavityOf, fieldOf, landingOf, type Lamp } from '@/core/light';
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
    'ratio (aim 130), and how far apart they are',
    `${(theirs / ours).toFixed(0)} ×, ${t.toFixed(2)} K, ${(h * 100).toFixed(2)} % RH`,
  );
  say(
    'water and heat that do not add up over the year',
    `${own.water.off.toExponential(1)}, ${own.heat.off.toExponential(1)}`,
  );
}

function fields(): void {
  const cavity = cavityOf({ width: 1.2, depth: 0.5, floor: 0.1, tier: 0.35, height: 0.6 });
  const scene = {
    width: 1.2,
    depth: 0.5,
    height: 0.6,
    ground: [0.1, 0.1],
    tier: 0.35,
    leafDensity: [0, 0, 0, 0],
    bodies: [],
  } as const;
  const lamps = [0.3, 0.6, 0.9].map((x, i): Lamp =>
    lit({
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
    }),
  );
  /** With light thrown back by walls of a reflectance of 0.3. */
  function lit(lamp: Lamp): Lamp {
    const { patches } = landingOf(lamp, scene, { passes: 1, extinction: 0 });
    const { leaving } = bounce(cavity, new Float64Array(16).fill(0.3), patches);
    const exitance = leaving.map((it, i) => (1500 * it) / (cavity.areas[i] ?? 1));
    return { ...lamp, thrownBack: () => ({ cavity, exitance }) };
  }
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
    'UV and plant light with reflection, three lamps, 200 × 200 (budget 30 ms)',
    `${time(() => {
      fieldOf('uv', lamps, plane, 200, 200);
      fieldOf('ppfd', lamps, plane, 200, 200);
    }).toFixed(1)} ms`,
  );
}

/** A winter's and a summer's day, with its settling, of every kind in three rooms. */
function days(): void {
  const taken: number[] = [];
  for (const animal of catalogue.animals)
    for (const kind of ['dry', 'middle', 'humid'] as const) {
      const design = proposeWhole(
        {
          id: 'x',
          name: 'x',
          animal: animal.id,
          count: 1,
          size: null,
          room: { kind, temperature: null, humidity: null },
        },
        catalogue,
      );
      const ground = layGround(design, catalogue);
      for (const season of ['winter', 'summer'] as const) {
        const began = performance.now();
        forecast(design, catalogue, { span: 'day', season, seed: 1 }, ground);
        taken.push(ms(began));
      }
    }
  taken.sort((a, b) => a - b);
  const at = (share: number): string => (taken[Math.floor(share * (taken.length - 1))] ?? NaN).toFixed(0);
  say(
    `${taken.length} forecast days, settled: median, 95th (aim 100, 200 ms)`,
    `${at(0.5)} ms, ${at(0.95)} ms`,
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
days();
fields();
await solver();
