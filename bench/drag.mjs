/** Script time a frame takes while a layer is dragged, read from the browser's own counters. */
import { chromium } from '@playwright/test';
import { CHROMIUM, CHROMIUM_ARGS } from '../scripts/browser.mjs';
import { serve } from '../scripts/serve.mjs';

const BUDGET = 16;
const server = await serve(4191, { demo: true });
const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS });
try {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(server.url);
  await page.getByRole('heading', { name: 'Four enclosures' }).waitFor();
  await page.goto(`${server.url}/e/demo-limestone/ground`);
  const knob = page.locator('.rincon-handle .knob').last();
  await knob.waitFor();
  const box = await knob.boundingBox();
  const cdp = await page.context().newCDPSession(page);
  await cdp.send('Performance.enable');
  const script = async () => {
    const { metrics } = await cdp.send('Performance.getMetrics');
    const of = (name) => metrics.find((it) => it.name === name)?.value ?? 0;
    return { script: of('ScriptDuration') * 1000, task: of('TaskDuration') * 1000 };
  };
  const frame = () =>
    page.evaluate(() => new Promise((done) => requestAnimationFrame(() => setTimeout(done))));
  const x = box.x + box.width / 2;
  const y = box.y + box.height / 2;
  await page.mouse.move(x, y);
  await page.mouse.down();
  const frames = [];
  for (let i = 0; i < 140; i += 1) {
    const before = await script();
    await page.mouse.move(x, y - 40 * Math.sin(i / 9));
    await frame();
    const after = await script();
    if (i >= 20) frames.push({ script: after.script - before.script, task: after.task - before.task });
  }
  await page.mouse.up();
  const of = (key) => frames.map((it) => it[key]).sort((a, b) => a - b);
  const line = (name, list) =>
    console.log(
      `  ${name}: median ${list[Math.floor(list.length / 2)].toFixed(1)}   95th ${list[Math.floor(list.length * 0.95)].toFixed(1)}   longest ${list.at(-1).toFixed(1)}`,
    );
  console.log(`a layer dragged, ${frames.length} frames, ms a frame (budget for script: ${BUDGET})`);
  line('script', of('script'));
  line('all main-thread work', of('task'));
} finally {
  await browser.close();
  server.stop();
}
