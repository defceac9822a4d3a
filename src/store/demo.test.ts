import 'fake-indexeddb/auto';
import Dexie from 'dexie';
import { afterEach, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { proposeDesign } from '@/core/propose';
import { RinconDatabase } from './database';
import { layDemo, loadDemo, isOfDemo, takeDemoAway } from './demo';
import { listDesigns } from './designs';
import { createDesign } from './steps';
import { writeMoves } from './shelf';

afterEach(() => Dexie.delete('rincon'));

const TABLES = ['log', 'series', 'blocks', 'animals', 'cultures', 'equipment', 'shelf'] as const;

it('the demo is taken away with all that came with it, one’s own stays; taken back, every row is as it was', async () => {
  const db = new RinconDatabase();
  await layDemo(db, await loadDemo());
  const mine = proposeDesign(
    {
      id: 'mine',
      name: 'Mine',
      animal: 'correlophus-ciliatus',
      count: 1,
      size: { width: 0.45, depth: 0.45, height: 0.6 },
      room: { kind: null, temperature: null, humidity: null },
    },
    catalogue,
  );
  await createDesign(db, mine, 1);
  await writeMoves(
    db,
    [{ kind: 'receipt', material: 'charcoal', amount: 0.005, label: 'a bag' }],
    () => 'bag',
    2,
  );
  const all = async () =>
    Object.fromEntries(await Promise.all(TABLES.map(async (it) => [it, await db[it].toArray()])));
  const before = await all();
  for (const table of TABLES) expect(before[table]!.length, table).toBeGreaterThan(0);
  const back = await takeDemoAway(db, 1000);
  const names = async () =>
    (await listDesigns(db)).flatMap((it) => (it.state === 'ready' ? [it.row.design.name] : []));
  expect(await names()).toEqual(['Mine']);
  const after = await all();
  expect(Object.fromEntries(TABLES.map((it) => [it, after[it]!.length]))).toEqual({
    log: 0,
    series: 0,
    blocks: 0,
    animals: 0,
    cultures: 0,
    equipment: 0,
    shelf: 1,
  });
  await back();
  expect(await all()).toEqual(before);
  expect((await names()).sort()).toEqual(['Bog shelf', 'Dry wash', 'Hedge', 'Limestone', 'Mine']);
  db.close();
});

it.each([
  ['demo-hedge', true],
  ['demo drip', true],
  ['democracy', false],
  ['8c1f0a52-d3b9', false],
])('%s came with the demo: %s', (id, told) => expect(isOfDemo(id)).toBe(told));
