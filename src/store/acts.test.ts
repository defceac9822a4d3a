import 'fake-indexeddb/auto';
import Dexie from 'dexie';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { demoDesigns } from '@/catalogue/demo';
import { careNow, dueOf, lampOfRule, lastDone } from '@/core/care';
import type { EquipmentRecord } from '@/core/records';
import { replaceLamp } from './acts';
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
