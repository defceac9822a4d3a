import { expect, test } from './test';
import { catalogue } from '@/catalogue';
import { demoDesigns } from '@/catalogue/demo';
import type { Design } from '@/core/document';
import { seededRandom } from '@/core/random';
import { NO_STORES, readEnvelope, writeEnvelope } from '@/files';
import { tries } from './effort';
import { mangled } from './mangle';
import { readIn } from './helpers';

/** `RINCON_SCREENS=40 RINCON_SEED=3` looks at more, and at others. */
const DESIGNS = Number(process.env.RINCON_SCREENS ?? tries(1, 3));
const SEED = Number(process.env.RINCON_SEED ?? 20);
const PLACES = ['brief', 'ground', 'scape', 'living', 'climate', 'build', 'keep', 'mixing', 'sheets'];

/** Designs changed in many places, as far as they are accepted: each of its own id. */
function accepted(count: number): readonly Design[] {
  const found: Design[] = [];
  const demo = demoDesigns(catalogue);
  const now = new Date('2026-11-28T18:00:00Z');
  for (let seed = SEED * 1e5; found.length < count; seed += 1) {
    const next = seededRandom(seed);
    let design = demo[Math.floor(next() * demo.length)]!;
    // One change upon another, each as far as it is accepted.
    for (let round = 0; round < 12; round += 1) {
      const read = readEnvelope(mangled(JSON.parse(writeEnvelope([design], NO_STORES, now)), next));
      const own = read.ok ? read.value.designs[0] : undefined;
      if (own) design = own;
    }
    if (demo.some((it) => JSON.stringify(it) === JSON.stringify(design))) continue;
    found.push({ ...design, id: `mangled-${seed}`, brief: { ...design.brief, putAway: false } });
  }
  return found;
}

test(`${DESIGNS} designs that were changed at random and accepted: every place of each opens`, async ({
  page,
}) => {
  test.setTimeout(60_000 + DESIGNS * 60_000);
  const designs = accepted(DESIGNS);
  const wrong: string[] = [];
  let where = 'rack';
  page.on('pageerror', (error) => wrong.push(`${where}: ${error.message}`));
  await page.goto('/');
  await readIn(page, writeEnvelope(designs, NO_STORES, new Date('2026-11-28T18:00:00Z')));
  await expect(page.getByRole('link', { name: designs[0]!.name }).first()).toBeVisible();
  for (const { id } of designs)
    for (const place of PLACES) {
      where = `/e/${id}/${place}`;
      await page.goto(where);
      await page.getByRole('heading', { level: 1 }).first().waitFor();
      await expect(page.getByRole('heading', { level: 1 }).first()).not.toHaveText('Opening');
      await page.waitForTimeout(150);
      const said = await page.getByRole('heading', { level: 1 }).first().textContent();
      if (/wrong|not here|cannot/.test(said ?? '')) wrong.push(`${where}: ${said}`);
      const broken = await page.evaluate(
        () => /\b(NaN|undefined|Infinity|\[object)\b/.exec(document.body.innerText)?.[0],
      );
      if (broken) wrong.push(`${where}: shows ${broken}`);
    }
  expect(wrong).toEqual([]);
});
