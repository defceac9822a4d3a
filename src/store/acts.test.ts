import 'fake-indexeddb/auto';
import Dexie from 'dexie';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { demoDesigns } from '@/catalogue/demo';
import { careNow, dueOf, lampOfRule, lastDone } from '@/core/care';
import type { AnimalRecord, EquipmentRecord } from '@/core/records';
import { animalGoes, replaceLamp } from './acts';
import { RinconDatabase } from './database';
import { changeDesign, loadDesign } from './designs';
import { listLog } from './log';
import { listRecords, putRecords } from './records';
import { createDesign } from './steps';

const NOW = Date.parse('2026-11-25T15:00:00Z');
const TODAY = '2026-11-25';
const hedge = demoDesigns(catalogue).find((it) => it.id === 'demo-hedge')!;
const dayOf = (at: number): string => new Date(at).toISOString().slice(0, 10);
let db: RinconDatabase;
beforeEach(async () => {
  db = new RinconDatabase();
  await createDesign(db, hedge, NOW);
});
afterEach(async () => {
  db.close();
  await Dexie.delete('rincon');
});

const stored = async () => {
  const loaded = await loadDesign(db, hedge.id);
  if (loaded.state !== 'ready') throw new Error('not there');
  return loaded.row.design;
};
const lamp = careNow({ ...hedge, brief: { ...hedge.brief, stage: 'inhabited' } }, catalogue)
  .map((it) => lampOfRule(it.id))
  .find((it) => it !== null)!;
const record: EquipmentRecord = {
  id: 'tube',
  changed: NOW,
  gone: false,
  design: hedge.id,
  name: 'Tube',
  device: lamp,
  installed: '2025-10-01',
  warranty: null,
  failed: '2026-11-20',
  spare: false,
  months: [],
  note: '',
};

const AT = Date.parse('2026-11-25T12:00:00Z');
const animal = (id: string, design: string): AnimalRecord => ({
  id,
  changed: NOW,
  gone: false,
  name: id,
  kind: hedge.brief.animal,
  sex: 'unknown',
  sexKnown: 'guess',
  hatched: null,
  source: '',
  parents: [],
  quarantine: null,
  homes: [{ design, from: '2026-01-01', to: null }],
  papers: [],
  left: null,
  note: '',
});
const briefOf = async (id: string) => {
  const loaded = await loadDesign(db, id);
  if (loaded.state !== 'ready') throw new Error('not there');
  const { count, stage, since } = loaded.row.design.brief;
  return { count, stage, since };
};
const texts = async (design: string): Promise<readonly string[]> =>
  (await listLog(db, design, 0)).map((it) => `${it.kind}: ${it.text}`);
const recordOf = async (id: string) => (await listRecords(db, 'animals')).find((it) => it.id === id)!;

describe('an animal that goes', () => {
  const other = demoDesigns(catalogue).find((it) => it.id === 'demo-bog-shelf')!;
  beforeEach(async () => {
    await createDesign(db, { ...other, brief: { ...other.brief, count: 4 } }, NOW);
    await putRecords(
      db,
      'animals',
      ['Fig', 'Ivy', 'Oak', 'Elm'].map((id) => animal(id, other.id)),
    );
  });
  const go = async (id: string, what: 'moved' | 'died' | 'given away', to: string | null = null) =>
    animalGoes(db, { animal: await recordOf(id), what, to, on: TODAY, at: AT }, catalogue, NOW);

  it('to another enclosure is one less here, one more there, and a line in both; taken back it never went', async () => {
    const undo = await go('Fig', 'moved', hedge.id);
    expect(await briefOf(other.id)).toMatchObject({ count: 3, stage: 'inhabited' });
    // Where nobody lived somebody does now.
    expect(await briefOf(hedge.id)).toEqual({ count: 1, stage: 'inhabited', since: TODAY });
    expect((await recordOf('Fig')).homes).toEqual([
      { design: other.id, from: '2026-01-01', to: TODAY },
      { design: hedge.id, from: TODAY, to: null },
    ]);
    expect(await texts(other.id)).toEqual(['move: Fig moved to Hedge.']);
    expect(await texts(hedge.id)).toEqual(['move: Fig moved in.']);
    await go('Ivy', 'moved', hedge.id);
    expect(await briefOf(hedge.id)).toMatchObject({ count: 2 });
    await undo();
    expect((await recordOf('Fig')).homes).toEqual(animal('Fig', other.id).homes);
    // Ivy went meanwhile, and stays there.
    expect(await briefOf(other.id)).toMatchObject({ count: 3 });
    expect(await briefOf(hedge.id)).toMatchObject({ count: 1, stage: 'inhabited' });
    expect(await texts(hedge.id)).toEqual(['move: Ivy moved in.']);
  });
  it('for good leaves the others; the last one leaves an enclosure that grows on, in which nobody is fed', async () => {
    for (const id of ['Fig', 'Ivy', 'Oak']) await go(id, id === 'Ivy' ? 'given away' : 'died');
    expect(await briefOf(other.id)).toMatchObject({ count: 1, stage: 'inhabited' });
    expect(await texts(other.id)).toEqual(
      expect.arrayContaining(['death: Fig died.', 'move: Ivy was given away.', 'death: Oak died.']),
    );
    expect(await recordOf('Ivy')).toMatchObject({ left: TODAY, homes: [{ to: TODAY }] });
    const undo = await go('Elm', 'died');
    expect(await briefOf(other.id)).toEqual({ count: 1, stage: 'growing-in', since: TODAY });
    const loaded = await loadDesign(db, other.id);
    const fed =
      loaded.state === 'ready' && careNow(loaded.row.design, catalogue).some((it) => it.id === 'feed');
    expect(fed).toBe(false);
    await undo();
    expect(await briefOf(other.id)).toMatchObject({ count: 1, stage: 'inhabited' });
  });
  it('who was written down beside those that were counted does not make them fewer', async () => {
    await putRecords(db, 'animals', [animal('Yew', other.id)]);
    await go('Yew', 'moved');
    expect(await briefOf(other.id)).toMatchObject({ count: 4 });
  });
});

describe('a lamp that is replaced', () => {
  it('is one act: a line, the day its design counts from, what is written down of it; due in its time, not before', async () => {
    const lived = { edit: 'setStage', change: { stage: 'inhabited', since: '2025-10-01' } } as const;
    await changeDesign(db, hedge.id, lived, catalogue, NOW);
    await putRecords(db, 'equipment', [record, { ...record, id: 'other', device: 'another' }]);
    const late = async (): Promise<number> => {
      const rules = careNow(await stored(), catalogue);
      const log = await listLog(db, hedge.id, 0);
      return dueOf(rules, lastDone(log, dayOf), '2025-10-01', TODAY).find(
        (it) => it.rule.id === `uv-${lamp}`,
      )!.late;
    };
    const before = await late();
    expect(before).toBeGreaterThan(0);
    const draft = { kind: 'care', values: {}, text: 'new tube', rule: `uv-${lamp}` } as const;
    const undo = await replaceLamp(db, { design: hedge.id, device: lamp, on: TODAY, draft }, catalogue, NOW);
    const sinceOf = async () => (await stored()).climate.devices.find((it) => it.id === lamp)!.since;
    expect(await sinceOf()).toBe(TODAY);
    expect(await late()).toBeLessThan(-300);
    const records = async () =>
      (await listRecords(db, 'equipment')).map(({ id, installed, failed }) => [id, installed, failed]);
    expect(await records()).toEqual([
      ['other', '2025-10-01', '2026-11-20'],
      ['tube', TODAY, null],
    ]);
    await undo();
    expect(await sinceOf()).toBe(hedge.climate.devices.find((it) => it.id === lamp)!.since);
    expect((await listLog(db, hedge.id, 0)).filter((it) => !it.gone)).toEqual([]);
    expect(await records()).toEqual([
      ['other', '2025-10-01', '2026-11-20'],
      ['tube', '2025-10-01', '2026-11-20'],
    ]);
    expect(await late()).toBe(before);
  });
});
