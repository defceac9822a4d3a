import { chromium, type Locator, type Page } from '@playwright/test';
import { catalogue } from '@/catalogue';
import { applyEdit } from '@/core/edits';
import { proposeDesign } from '@/core/propose';
import { type Design } from '@/core/document';
import { NO_STORES, writeEnvelope } from '@/files';
import { CHROMIUM, CHROMIUM_ARGS } from '../scripts/browser.mjs';
import { serve } from '../scripts/serve.mjs';

/** Script time a frame takes while a layer, or one of sixty pieces, is dragged: from the browser's own counters. */
const BUDGET = 16;
const FRAMES = 140;

/** A large box for a monitor, filled until sixty pieces stand in it. */
function sixtyPieces(): Design {
  let design = applyEdit(
    proposeDesign(
      {
        id: 'bench-sixty',
        name: 'Sixty',
        animal: 'varanus-acanthurus',
        count: 1,
        size: { width: 2, depth: 0.9, height: 0.9 },
        room: { kind: 'dry', temperature: null, humidity: null },
      },
      catalogue,
    ),
    { edit: 'proposeScape', change: {} },
    catalogue,
  );
  const kinds = ['boulder', 'log', 'cork-half', 'lava-rock', 'cork-flat', 'branch', 'planter', 'root-wood'];
  for (let i = 0; design.scape.pieces.length < 60; i += 1) {
    const at = { x: 0.15 + 1.7 * ((i * 0.381966) % 1), y: 0.1 + 0.7 * ((i * 0.618034) % 1) };
    design = applyEdit(
      design,
      { edit: 'addPiece', change: { kind: kinds[i % kinds.length] ?? 'log', at } },
      catalogue,
    );
  }
  return design;
}

async function dragged(page: Page, what: string, held: Locator, way: 'up' | 'across'): Promise<void> {
  await held.waitFor();
  const box = await held.boundingBox();
  if (!box) throw new Error(`${what} is not drawn`);
  const cdp = await page.context().newCDPSession(page);
  await cdp.send('Performance.enable');
  const script = async () => {
    const { metrics } = await cdp.send('Performance.getMetrics');
    const of = (name: string): number => metrics.find((it) => it.name === name)?.value ?? 0;
    return { script: of('ScriptDuration') * 1000, task: of('TaskDuration') * 1000 };
  };
  const frame = () =>
    page.evaluate(() => new Promise((done) => requestAnimationFrame(() => setTimeout(done))));
  const x = box.x + box.width / 2;
  const y = box.y + box.height / 2;
  await page.mouse.move(x, y);
  await page.mouse.down();
  const frames: { script: number; task: number }[] = [];
  for (let i = 0; i < FRAMES; i += 1) {
    const before = await script();
    const by = 40 * Math.sin(i / 9);
    await page.mouse.move(way === 'across' ? x + by : x, way === 'up' ? y - by : y);
    await frame();
    const after = await script();
    if (i >= 20) frames.push({ script: after.script - before.script, task: after.task - before.task });
  }
  await page.mouse.up();
  const line = (name: string, key: 'script' | 'task'): void => {
    const list = frames.map((it) => it[key]).sort((a, b) => a - b);
    const at = (share: number): string => (list[Math.floor(list.length * share)] ?? NaN).toFixed(1);
    console.log(
      `  ${name}: median ${at(0.5)}   95th ${at(0.95)}   longest ${(list.at(-1) ?? NaN).toFixed(1)}`,
    );
  };
  console.log(`${what} dragged, ${frames.length} frames, ms a frame (budget for script: ${BUDGET})`);
  line('script', 'script');
  line('all main-thread work', 'task');
}

const server = await serve(4191, { demo: true });
const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS });
try {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(server.url);
  await page.getByRole('heading', { name: 'Four enclosures' }).waitFor();
  await page.getByLabel('Import a file').setInputFiles({
    name: 'sixty.json',
    mimeType: 'application/json',
    buffer: Buffer.from(writeEnvelope([sixtyPieces()], NO_STORES, new Date(0))),
  });
  await page.getByRole('heading', { name: 'Five enclosures' }).waitFor();
  await page.goto(`${server.url}/e/demo-limestone/ground`);
  await dragged(page, 'a layer', page.locator('.rincon-handle .knob').last(), 'up');
  await page.goto(`${server.url}/e/bench-sixty/scape`);
  await dragged(page, 'one of 60 pieces', page.locator('[data-piece=piece-30]'), 'across');
} finally {
  await browser.close();
  server.stop();
}
