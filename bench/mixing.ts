import { seededRandom } from '@/core/random';
import { chromium } from '@playwright/test';
import highsLoader from 'highs';
import { catalogue, NO_OWN_ROWS, withOwn } from '@/catalogue';
import { applyEdit, mixOfRecipe } from '@/core/edits';
import { proposeDesign } from '@/core/propose';
import { type Design } from '@/core/document';
import { solveMix, type MixProblem, type Run } from '@/core/mixing';
import { formulate } from '@/core/mixing/formulate';
import { ask, ingredient, soil } from '@/core/mixing/testing';
import { assess } from '@/core/assess';
import { NO_STORES, writeEnvelope } from '@/files';
import { runWith } from '@/workers/highs';
import { CHROMIUM, CHROMIUM_ARGS } from '../scripts/browser.mjs';
import { serve } from '../scripts/serve.mjs';
import { glpkRun } from '../tests/unit/glpk';

/**
 * The mixing solver: 15 ingredients in 3 pack sizes for 4 enclosures, cheapest, with 5 % of leeway; and one enclosure
 * over the shipped catalogue. HiGHS and GLPK solve the same first program in the same run; then the whole question, with
 * its later aims, in this process and through the interface in a browser.
 */
const next = seededRandom(20261123);
const cents = (low: number, high: number): number => Math.round((low + (high - low) * next()) * 100) / 100;
const rows = Array.from({ length: 15 }, (_, index) => ({
  ...ingredient(`bench-${index}`, {
    settling: cents(0, 0.2),
    density: Math.round(100 + 1200 * next()),
    saturated: cents(0.5, 0.9),
    alpha: cents(0.05, 1.5),
    packs: [4, 10, 25].map((litres) => [litres, cents(0.35, 1.2) * litres] as const),
  }),
  name: `Bench ingredient ${index + 1}`,
}));
const shop = withOwn(catalogue, { ...NO_OWN_ROWS, materials: rows });

/** A box with one soil of these ingredients. */
function boxOf(index: number): Design {
  const design = proposeDesign(
    {
      id: `bench-${index}`,
      name: `Bench enclosure ${index + 1}`,
      animal: 'eryx-colubrinus',
      count: 1,
      size: { width: 0.6 + 0.1 * index, depth: 0.45, height: 0.5 },
      room: { kind: 'dry', temperature: null, humidity: null },
    },
    shop,
  );
  const layer = design.ground.layers.find((it) => it.kind === 'substrate');
  const parts = rows
    .filter(() => next() < 0.55)
    .map((row) => ({ material: row.id, parts: Math.ceil(6 * next()) }));
  const mix = {
    recipe: null,
    parts: parts.length > 0 ? parts : [{ material: 'bench-0', parts: 1 }],
    packingLoss: 0.05,
  };
  return applyEdit(design, { edit: 'setMix', change: { layer: layer?.id ?? '', mix } }, shop);
}
const designs = [0, 1, 2, 3].map(boxOf);
const four: MixProblem = ask(
  designs.map((design) => {
    const result = assess(design, shop).layers.find((it) => it.layer.kind === 'substrate');
    if (result?.layer.kind !== 'substrate') throw new Error('an enclosure without soil');
    return { ...soil(design.id, result.placed * 1000, {}), mix: result.layer.mix, tolerance: 0.05 };
  }),
);
const one: MixProblem = ask([
  { ...soil('one', 24, {}), mix: mixOfRecipe('forest-five-coir', catalogue), tolerance: 0.05 },
]);

const median = (times: number[]): number =>
  [...times].sort((a, b) => a - b)[Math.floor(times.length / 2)] ?? NaN;
async function timed(work: () => unknown, runs: number): Promise<number> {
  const times: number[] = [];
  for (let i = 0; i < runs; i += 1) {
    const start = performance.now();
    await work();
    times.push(performance.now() - start);
  }
  return median(times);
}

/** The first, hardest program of a question. */
const firstOf = (problem: MixProblem) => {
  const form = formulate(problem, shop);
  return form.builder.program(form.packs.map((it) => [it.column, it.price] as const));
};

const LIMIT = 120;
const highs = runWith(await highsLoader());
const glpk = await glpkRun(LIMIT);
for (const [name, problem, runs] of [
  ['one enclosure, the shipped catalogue', one, 15],
  ['15 ingredients × 3 packs × 4 enclosures', four, 5],
] as const) {
  const program = firstOf(problem);
  await highs(program);
  const ours = await timed(() => highs(program), runs);
  let theirs: number | undefined;
  try {
    theirs = await timed(() => glpk(program), Math.min(runs, 3));
  } catch {
    theirs = undefined;
  }
  console.log(`mixing, ${name}: ${program.columns.length} columns, ${program.rows.length} rows`);
  console.log(
    theirs === undefined
      ? `  first program: HiGHS ${ours.toFixed(0)} ms, GLPK not done in ${LIMIT} s: more than ${((LIMIT * 1000) / ours).toFixed(0)} times as long`
      : `  first program: HiGHS ${ours.toFixed(0)} ms, GLPK ${theirs.toFixed(0)} ms, ratio ${(theirs / ours).toFixed(2)}`,
  );
  const whole = await timed(() => solveMix(problem, shop, highs as Run), runs);
  console.log(`  the whole question: ${whole.toFixed(0)} ms`);
}

// Through the interface: the four boxes read in from a file, one on the bench, the others ticked.
const server = await serve(4191);
const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS });
try {
  const page = await browser.newPage({ viewport: { width: 1280, height: 1400 } });
  await page.goto(server.url);
  await page.getByRole('heading', { level: 1 }).first().waitFor();
  const text = writeEnvelope(
    designs,
    { ...NO_STORES, own: { ...NO_OWN_ROWS, materials: rows } },
    new Date(0),
  );
  await page
    .getByLabel('Import a file')
    .setInputFiles({ name: 'bench.json', mimeType: 'application/json', buffer: Buffer.from(text) });
  await page.getByRole('heading', { name: 'Four enclosures' }).waitFor();
  const ask = async (label: string): Promise<void> => {
    const seconds: number[] = [];
    for (let i = 0; i < 5; i += 1) {
      await page.getByRole('button', { name: 'Work it out' }).click();
      const said = page.getByText(/^Worked out in/);
      await said.waitFor({ timeout: 60_000 });
      seconds.push(Number(/([\d.]+) s/.exec((await said.textContent()) ?? '')?.[1] ?? NaN));
    }
    console.log(
      `  in the browser, ${label}: first ${seconds[0]?.toFixed(1)} s with the solver loaded, then median ${median(seconds.slice(1)).toFixed(1)} s`,
    );
  };
  await page.goto(`${server.url}/stores?tab=bench&design=bench-0&layer=layer-1`);
  await page.getByRole('region', { name: 'Mix A' }).waitFor();
  await ask('one of them');
  for (const box of await page
    .getByRole('group', { name: 'Fill from the same purchase' })
    .getByRole('checkbox')
    .all())
    await box.check();
  await ask('all four (budget 3 s)');
} finally {
  await browser.close();
  server.stop();
}
