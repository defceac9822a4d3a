import 'fake-indexeddb/auto';
import Dexie from 'dexie';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { demoDesigns } from '@/catalogue/demo';
import { careNow, dueOf, lampOfRule, lastDone } from '@/core/care';
import type { Design } from '@/core/document';
import { applyEdit } from '@/core/edits';
import type { EquipmentRecord } from '@/core/records';
import { asOf } from '@/core/brief';
import { DAY_MS } from '@/core/physics/constants';
import { animalGoes, editAndTell, probesRead, record } from './acts';
import { animalRecord } from '@/core/records';
import { RinconDatabase } from './database';
import { changeDesign, loadDesign } from './designs';
import { listLog, strike } from './log';
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
const tube: EquipmentRecord = {
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

const hedgeOf = (company: Design['living']['company']): Design => ({
  ...hedge,
  living: { ...hedge.living, company },
});

const AT = Date.parse('2026-11-25T12:00:00Z');
const animal = (id: string, design: string) =>
  animalRecord(id, design, '2026-01-01', { changed: NOW, kind: hedge.brief.animal });
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
    await putRecords(db, 'equipment', [tube, { ...tube, id: 'other', device: 'another' }]);
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
    const undo = await record(
      db,
      [{ design: hedge.id, draft: { ...draft, effect: { does: 'lamp', device: lamp } } }],
      catalogue,
      NOW,
    );
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

describe('what is written down', () => {
  const bog = demoDesigns(catalogue).find((it) => it.id === 'demo-bog-shelf')!;
  beforeEach(async () => {
    await createDesign(db, { ...bog, brief: { ...bog.brief, count: 4 } }, NOW);
    await putRecords(db, 'animals', [animal('Sedge', bog.id)]);
  });
  const write = (draft: Parameters<typeof record>[1][number]['draft']) =>
    record(db, [{ design: bog.id, draft, at: AT }], catalogue, NOW);

  it('of young that stay is more that live there; taken back it is as it was, with what came since', async () => {
    const undo = await write({
      kind: 'birth',
      values: { count: 3 },
      text: '',
      effect: { does: 'count', by: 3 },
    });
    expect(await briefOf(bog.id)).toMatchObject({ count: 7, stage: 'inhabited' });
    await write({ kind: 'birth', values: { count: 1 }, text: '', effect: { does: 'count', by: 1 } });
    await undo();
    expect(await briefOf(bog.id)).toMatchObject({ count: 5 });
    expect((await listLog(db, bog.id, 0)).filter((it) => !it.gone)).toHaveLength(1);
  });
  it('of all that died leaves an enclosure that grows on', async () => {
    const undo = await write({
      kind: 'death',
      values: { count: 4 },
      text: '',
      effect: { does: 'count', by: -4 },
    });
    expect(await briefOf(bog.id)).toEqual({ count: 1, stage: 'growing-in', since: TODAY });
    await undo();
    expect(await briefOf(bog.id)).toMatchObject({ count: 4, stage: 'inhabited', since: bog.brief.since });
  });
  it('of an animal by its name that died: it left on that day, and one less lives there', async () => {
    const undo = await write({
      kind: 'death',
      values: {},
      text: 'old age',
      animal: 'Sedge',
      effect: { does: 'left' },
    });
    expect(await recordOf('Sedge')).toMatchObject({ left: TODAY, homes: [{ to: TODAY }] });
    expect(await briefOf(bog.id)).toMatchObject({ count: 3 });
    expect(await texts(bog.id)).toEqual(['death: old age']);
    await undo();
    expect(await recordOf('Sedge')).toMatchObject({ left: null, homes: [{ to: null }] });
    expect(await briefOf(bog.id)).toMatchObject({ count: 4 });
  });
  it('keeps nothing of what it changed in the line itself', async () => {
    await write({ kind: 'birth', values: { count: 1 }, text: '', effect: { does: 'count', by: 1 } });
    expect(Object.keys((await listLog(db, bog.id, 0))[0]!)).not.toContain('effect');
  });
});

describe('a change that is told in the log', () => {
  const moveIn = (although = '') => ({
    design: hedge.id,
    call: { edit: 'moveIn', change: { on: TODAY, count: 2, although } } as const,
    drafts: [{ kind: 'move', values: { count: 2 }, text: 'Moved in.' } as const],
    at: AT,
  });
  it('is both or neither, and is taken back whole; what was changed since stays', async () => {
    const before = await briefOf(hedge.id);
    const undo = await editAndTell(db, moveIn(), catalogue, NOW);
    expect(await briefOf(hedge.id)).toEqual({ count: 2, stage: 'inhabited', since: TODAY });
    expect(await texts(hedge.id)).toEqual(['move: Moved in.']);
    await changeDesign(db, hedge.id, { edit: 'setNote', change: { note: 'later' } }, catalogue, NOW);
    await undo();
    expect(await briefOf(hedge.id)).toEqual(before);
    expect((await listLog(db, hedge.id, 0)).filter((it) => !it.gone)).toEqual([]);
    expect((await stored()).brief.note).toBe('later');
  });
  it('that could not be read again is refused, and writes no line', async () => {
    const wrong = moveIn();
    await expect(
      editAndTell(
        db,
        { ...wrong, call: { edit: 'moveIn', change: { on: 'soon', count: 2, although: '' } } },
        catalogue,
        NOW,
      ),
    ).rejects.toThrow(/since|done|plan/);
    expect(await listLog(db, hedge.id, 0)).toEqual([]);
  });
  it('of an enclosure that is gone is refused', async () => {
    await expect(editAndTell(db, { ...moveIn(), design: 'nowhere' }, catalogue, NOW)).rejects.toThrow(
      'the enclosure is gone',
    );
  });
});

describe('a day that has not come', () => {
  const tomorrow = NOW + DAY_MS;
  it('is refused by every act, and nothing of it is written', async () => {
    await putRecords(db, 'animals', [animal('Sedge', hedge.id)]);
    const before = await stored();
    const refused = /2026-11-26 has not come yet/;
    const feed = { kind: 'feed', values: { count: 6 }, text: '', rule: 'feed' } as const;
    await expect(
      record(
        db,
        [
          { design: hedge.id, draft: feed },
          { design: hedge.id, draft: feed, at: tomorrow },
        ],
        catalogue,
        NOW,
      ),
    ).rejects.toThrow(refused);
    await expect(
      animalGoes(
        db,
        { animal: animal('Sedge', hedge.id), what: 'died', to: null, on: '2026-11-26', at: tomorrow },
        catalogue,
        NOW,
      ),
    ).rejects.toThrow(refused);
    const call = { edit: 'setCount', change: { count: 3 } } as const;
    await expect(
      editAndTell(db, { design: hedge.id, call, drafts: [feed], at: tomorrow }, catalogue, NOW),
    ).rejects.toThrow(refused);
    expect(await texts(hedge.id)).toEqual([]);
    expect(await stored()).toEqual(before);
    expect((await recordOf('Sedge')).left).toBeNull();
  });
});

describe('what joined devices read', () => {
  it('is the probes read, once a day, and not again where it was struck out', async () => {
    const morning = Date.parse('2026-11-25T06:00:00Z');
    await probesRead(db, hedge.id, morning, NOW);
    await probesRead(db, hedge.id, AT, NOW);
    expect(await texts(hedge.id)).toEqual(['reading: Read by the joined devices']);
    const log = await listLog(db, hedge.id, 0);
    expect(lastDone(log, dayOf).get('probes')).toBe(TODAY);
    await strike(db, [log[0]!.id], true, NOW);
    await probesRead(db, hedge.id, NOW, NOW);
    expect(await texts(hedge.id)).toEqual([]);
    await probesRead(db, hedge.id, NOW + DAY_MS, NOW + DAY_MS);
    expect(lastDone(await listLog(db, hedge.id, 0), dayOf).get('probes')).toBe('2026-11-26');
  });
});

describe('an edit that goes by the animal', () => {
  it('goes by how large it is on the day of the edit', async () => {
    const company = { males: 0, females: 0, hatched: '2026-10-20', ageMonths: 0, lightSensitive: false };
    await changeDesign(db, hedge.id, { edit: 'setLiving', change: { company } }, catalogue, NOW);
    const later = Date.parse('2027-04-25T12:00:00Z');
    await changeDesign(db, hedge.id, { edit: 'proposeScape', change: {} }, catalogue, later);
    const design = await stored();
    expect(design.living.company.ageMonths).toBe(6);
    const fresh = applyEdit(
      asOf(hedgeOf(company), '2027-04-25'),
      { edit: 'proposeScape', change: {} },
      catalogue,
    );
    expect(design.scape.pieces).toEqual(fresh.scape.pieces);
  });
});
