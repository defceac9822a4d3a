import { readFileSync } from 'node:fs';
import Ajv2020 from 'ajv/dist/2020';
import addFormats from 'ajv-formats';
import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { demoCultures, demoDesigns } from '@/catalogue/demo';
import { assess } from '@/core/assess';
import { changedParts, factorsOf } from '@/core/climate';
import { buyingOf } from '@/core/buying';
import { applyEdit } from '@/core/edits';
import { DESIGN_VERSION } from '@/core/document';
import { entryOf } from '@/core/log';
import { shelfAmounts, stockOf } from '@/core/shelf';
import Papa from 'papaparse';
import { METRIC, US } from '@/core/units';
import {
  ENVELOPE_VERSION,
  type Envelope,
  envelopeJsonSchema,
  fileName,
  buyTable,
  csvOfTable,
  cutTable,
  MAX_BYTES,
  NO_STORES,
  readEnvelope,
  writeEnvelope,
  writeSingle,
} from '.';
import { cell } from './cell';

/** Every version that is told in what is written of the format. */
const told = (text: string, pattern: RegExp): number[] =>
  [...text.matchAll(pattern)].map((it) => Number(it[1]));

const NOW = new Date('2026-11-23T18:00:00Z');
const demo = demoDesigns(catalogue);
const good = writeEnvelope(demo, NO_STORES, NOW);
/** The demo file with one place changed. */
const broken = (change: (file: { version: unknown; designs: Record<string, never>[] }) => void): string => {
  const file = JSON.parse(good);
  change(file);
  return JSON.stringify(file);
};
type Loose = Record<string, never> & { ground: { layers: Record<string, never>[] } };

describe('what is written of the format', () => {
  const written = readFileSync('docs/format.md', 'utf8');
  it('is of the versions that are written today', () => {
    expect(told(written, /"version": (\d+),\s*"written"/g)).toEqual([ENVELOPE_VERSION]);
    expect(told(written, /"rincon-enclosure", "version": (\d+)/g)).toEqual([DESIGN_VERSION]);
    expect(new Set(told(written, /rincon-(\d+)\.schema\.json/g))).toEqual(new Set([DESIGN_VERSION]));
  });
  it('its example is read in whole, and written again it says the same', () => {
    const text = readFileSync('docs/example.rincon.json', 'utf8');
    const read = readEnvelope(text);
    if (!read.ok) throw new Error(`${read.place}: ${read.message}`);
    const { designs, ...stores } = read.value;
    expect(designs.map((it) => it.id)).toEqual(['demo-dry-wash']);
    expect(JSON.parse(writeEnvelope(designs, stores, NOW))).toEqual(JSON.parse(text));
  });
});

describe('files of every earlier version', () => {
  it.each([
    'rack-v1',
    'rack-v2',
    'rack-v3',
    'rack-v4',
    'rack-v5',
    'rack-v6',
    'rack-v7',
    'rack-v8',
    'rack-v9',
    'rack-v10',
    'rack-v11',
    'rack-v12',
    'rack-v13',
    'rack-v14',
    'rack-v15',
    'rack-v16',
    'rack-v17',
    'rack-v18',
    'rack-v19',
    'rack-v20',
    'rack-v21',
    'rack-v22',
  ])('%s opens for ever, with all that it held', (name) => {
    const read = readEnvelope(readFileSync(`tests/fixtures/${name}.rincon.json`, 'utf8'));
    expect(read.ok).toBe(true);
    if (!read.ok) return;
    expect(read.value.designs.map((it) => it.name)).toEqual(['Bog shelf', 'Hedge', 'Limestone', 'Dry wash']);
    expect(read.value.designs.every((it) => it.version === DESIGN_VERSION)).toBe(true);
    expect(read.value.prices).toEqual({ 'charcoal/bag-5l': 11.5 });
    for (const design of read.value.designs)
      expect(assess(design, catalogue).standingMass).toBeGreaterThan(20);
  });

  it('version 18 holds the room and shelf an enclosure stands on; before it nobody was asked', () => {
    const read = readEnvelope(readFileSync('tests/fixtures/rack-v22.rincon.json', 'utf8'));
    const before = readEnvelope(readFileSync('tests/fixtures/rack-v21.rincon.json', 'utf8'));
    if (!read.ok || !before.ok) throw new Error('not read');
    expect(read.value.designs.map((it) => it.brief.place)).toEqual([
      { room: 'Nature room', shelf: 'Window sill' },
      { room: 'Nature room', shelf: '' },
      { room: '', shelf: '' },
      { room: 'Cellar', shelf: 'Steel rack, 2nd board' },
    ]);
    expect(before.value.designs.map((it) => it.brief.place)).toEqual(
      before.value.designs.map(() => ({ room: '', shelf: '' })),
    );
  });

  it('version 17 holds walls of another make and filled pieces, also of what stood before a rebuild; before it a box was of one make', () => {
    const read = readEnvelope(readFileSync('tests/fixtures/rack-v21.rincon.json', 'utf8'));
    const before = readEnvelope(readFileSync('tests/fixtures/rack-v20.rincon.json', 'utf8'));
    if (!read.ok || !before.ok) throw new Error('not read');
    expect(read.value.designs[0]!.enclosure.panels).toEqual([
      { wall: 'back', material: 'timber', thickness: 0.018 },
    ]);
    expect(read.value.designs[2]!.plan.standing!.enclosure.panels).toEqual([
      { wall: 'left', material: 'acrylic', thickness: 0.004 },
    ]);
    const all = before.value.designs.flatMap((it) => [it, it.plan.standing ?? []].flat());
    expect(all).toHaveLength(5);
    expect(all.map((it) => it.enclosure.panels)).toEqual(all.map(() => []));
    expect(read.value.designs[1]!.scape.pieces[0]!.filled).toBe(true);
    expect(all.flatMap((it) => it.scape.pieces).some((it) => it.filled)).toBe(false);
    // And what stood before it was written down; before it all was described, and nothing settled but by the log.
    expect(read.value.designs.map((it) => [it.brief.described, it.care.settled])).toEqual([
      [true, null],
      [true, null],
      [true, null],
      [false, '2026-11-01'],
    ]);
    expect(new Set(before.value.designs.map((it) => it.brief.described))).toEqual(new Set([true]));
    expect(new Set(before.value.designs.map((it) => it.care.settled))).toEqual(new Set([null]));
  });

  it('version 16 holds water from the jug, canisters and guards; before it soil was kept, a bottle as it came, and nothing guarded', () => {
    const read = readEnvelope(readFileSync('tests/fixtures/rack-v20.rincon.json', 'utf8'));
    const before = readEnvelope(readFileSync('tests/fixtures/rack-v19.rincon.json', 'utf8'));
    if (!read.ok || !before.ok) throw new Error('not read');
    const { watering, devices } = read.value.designs[0]!.climate;
    expect(watering).toEqual([{ end: 'warm', into: 'foot', amount: 0.0004, everyDays: 14 }]);
    expect(devices.find((it) => it.kind === 'fogger')).toMatchObject({ tank: 0.02, guarded: true });
    const all = before.value.designs.flatMap((it) => [it, it.plan.standing ?? []].flat());
    expect(all.map((it) => it.climate.watering)).toEqual(all.map(() => null));
    const fitted = all.flatMap((it) => it.climate.devices);
    expect(new Set(fitted.map((it) => it.tank))).toEqual(new Set([null]));
    expect(new Set(fitted.map((it) => it.guarded))).toEqual(new Set([false]));
  });

  it('version 15 holds how long a plan waits, and where its animal is; one of before waits as is usual', () => {
    const read = readEnvelope(readFileSync('tests/fixtures/rack-v19.rincon.json', 'utf8'));
    const before = readEnvelope(readFileSync('tests/fixtures/rack-v18.rincon.json', 'utf8'));
    if (!read.ok || !before.ok) throw new Error('not read');
    expect(read.value.designs[1]!.plan).toMatchObject({
      pace: 'quick',
      animal: { comes: 'post', day: '2026-12-04' },
    });
    for (const { plan } of before.value.designs)
      expect(plan).toMatchObject({ pace: 'usual', animal: { comes: 'new', day: null } });
  });

  it('version 8 holds what stood before a rebuild, and what was read at a step', () => {
    const read = readEnvelope(readFileSync('tests/fixtures/rack-v9.rincon.json', 'utf8'));
    if (!read.ok) throw new Error('not read');
    const limestone = read.value.designs.find((it) => it.name === 'Limestone')!;
    const bed = limestone.ground.layers.find((it) => it.kind === 'drainage')!;
    const stood = limestone.plan.standing!.ground.layers.find((it) => it.id === bed.id)!;
    expect(
      'thickness' in bed && 'thickness' in stood && bed.thickness.backLeft - stood.thickness.backLeft,
    ).toBeCloseTo(0.03, 9);
    expect(limestone.plan.marks.find((it) => it.step === 'measure')?.read).toEqual([
      { what: 'at night', value: '21.4 °C', number: null },
    ]);
    expect(read.value.designs[0]!.care.changes).toEqual([
      {
        rule: 'glass',
        when: { by: 'calendar', rrule: 'FREQ=WEEKLY;BYDAY=SA' },
        paused: false,
        until: null,
        from: null,
        reason: 'class is out',
      },
    ]);
    const before = readEnvelope(readFileSync('tests/fixtures/rack-v8.rincon.json', 'utf8'));
    expect(before.ok && before.value.designs.every((it) => it.plan.standing === null)).toBe(true);
  });

  it('version 9 holds settings by season; an enclosure of before, and what stood before its rebuild, has none', () => {
    const read = readEnvelope(readFileSync('tests/fixtures/rack-v11.rincon.json', 'utf8'));
    const before = readEnvelope(readFileSync('tests/fixtures/rack-v10.rincon.json', 'utf8'));
    if (!read.ok || !before.ok) throw new Error('not read');
    const limestone = read.value.designs.find((it) => it.name === 'Limestone')!;
    expect(limestone.climate.seasons).toMatchObject([
      { name: 'Summer', from: 6, until: 9, topCover: 0.2, mist: { everyDays: 1 }, devices: [{ dim: null }] },
    ]);
    expect(before.value.designs.every((it) => it.climate.seasons.length === 0)).toBe(true);
    expect(before.value.designs.map((it) => it.plan.standing?.climate.seasons)).toContainEqual([]);
  });

  it('version 10 holds what waits, is left out or was read as a number, and since when care counts', () => {
    const read = readEnvelope(readFileSync('tests/fixtures/rack-v13.rincon.json', 'utf8'));
    if (!read.ok) throw new Error('not read');
    const { plan, care } = read.value.designs.find((it) => it.name === 'Hedge')!;
    const of = (step: string) => plan.marks.find((it) => it.step === step);
    expect(of('background-background-1')).toMatchObject({ worked: '2026-11-14', done: null });
    expect(of('crew-seen')).toMatchObject({ skipped: 'seen in the culture' });
    expect(of('measure')).toMatchObject({
      begun: '2026-11-20',
      read: [{ what: 'at night', value: '', number: 19.5 }],
    });
    expect(care.changes).toMatchObject([{ rule: 'glass', paused: true, until: '2026-12-24', from: null }]);
    expect(care.own).toMatchObject([{ what: 'Turn the enclosure', from: '2026-11-20' }]);
    // What was done before is done: nothing waits in a file of before.
    const before = readEnvelope(readFileSync('tests/fixtures/rack-v12.rincon.json', 'utf8'));
    expect(
      before.ok && before.value.designs.flatMap((it) => it.plan.marks).map((it) => it.worked),
    ).not.toContain(expect.any(String));
  });

  it('version 11 holds the day the youngest hatched; before it an age stays as it was told', () => {
    const read = readEnvelope(readFileSync('tests/fixtures/rack-v15.rincon.json', 'utf8'));
    const before = readEnvelope(readFileSync('tests/fixtures/rack-v14.rincon.json', 'utf8'));
    if (!read.ok || !before.ok) throw new Error('not read');
    expect(read.value.designs.find((it) => it.name === 'Hedge')!.living.company).toEqual({
      males: 0,
      females: 1,
      hatched: '2026-08-01',
      ageMonths: 3,
      lightSensitive: false,
    });
    expect(before.value.designs.map((it) => it.living.company.hatched)).toEqual([null, null, null, null]);
    expect(before.value.designs.flatMap((it) => it.plan.standing?.living.company.hatched)).toContain(null);
  });

  it('version 12 holds the winter rest; before it none was planned', () => {
    const read = readEnvelope(readFileSync('tests/fixtures/rack-v16.rincon.json', 'utf8'));
    const before = readEnvelope(readFileSync('tests/fixtures/rack-v15.rincon.json', 'utf8'));
    if (!read.ok || !before.ok) throw new Error('not read');
    const rests = (of: Envelope) => of.designs.map((it) => it.living.rest);
    expect(rests(read.value)).toEqual([
      null,
      { from: '12-01', weeks: 8, place: 'here', since: null },
      null,
      null,
    ]);
    expect(rests(before.value)).toEqual([null, null, null, null]);
    expect(before.value.designs.flatMap((it) => it.plan.standing?.living.rest)).toContain(null);
  });

  it('version 13 holds what is sown, and forms that bear less light; before it nothing and none', () => {
    const read = readEnvelope(readFileSync('tests/fixtures/rack-v17.rincon.json', 'utf8'));
    const before = readEnvelope(readFileSync('tests/fixtures/rack-v16.rincon.json', 'utf8'));
    if (!read.ok || !before.ok) throw new Error('not read');
    const sown = (of: Envelope) =>
      of.designs.flatMap((it) => it.living.plants.filter((plant) => plant.sown).map((plant) => plant.name));
    const pale = (of: Envelope) =>
      of.designs.filter((it) => it.living.company.lightSensitive).map((it) => it.name);
    expect([sown(read.value), pale(read.value)]).toEqual([['cypress-leaved plait-moss'], ['Limestone']]);
    expect([sown(before.value), pale(before.value)]).toEqual([[], []]);
    expect(before.value.designs.flatMap((it) => it.plan.standing?.living.company.lightSensitive)).toContain(
      false,
    );
  });

  it('version 14 holds what a calibration leaves open; one of before is shown and no longer used', () => {
    const text = readFileSync('tests/fixtures/rack-v18.rincon.json', 'utf8');
    const read = readEnvelope(text);
    if (!read.ok) throw new Error('not read');
    const hedge = read.value.designs.find((it) => it.name === 'Hedge')!;
    expect(factorsOf(hedge)).toEqual({ exchange: 1.4, wetness: 0.8, gain: 1.1 });
    const old = readFileSync('tests/fixtures/rack-v17.rincon.json', 'utf8').replaceAll(
      '"calibration": null',
      '"calibration": { "on": "2026-03-04", "file": "logger.csv", "exchange": 1.4, "wetness": 0.8, "gain": 1.1, "left": { "humidity": 0.03, "temperature": 0.4 } }',
    );
    const before = readEnvelope(old);
    if (!before.ok) throw new Error(`${before.place}: ${before.message}`);
    const own = before.value.designs.find((it) => it.name === 'Hedge')!;
    expect(own.climate.calibration).toMatchObject({
      exchange: 1.4,
      since: '2026-03-04',
      intervals: { gain: [1.1 / 4, 4.4] },
    });
    expect(changedParts(own)).toEqual(['shell', 'heat', 'ground']);
    expect(factorsOf(own)).toEqual({ exchange: 1, wetness: 1, gain: 1 });
  });

  it('version 9 of the file tells where values come from by five marks; those of before are carried over', () => {
    const text = readFileSync('tests/fixtures/rack-v16.rincon.json', 'utf8');
    const read = readEnvelope(text);
    if (!read.ok) throw new Error('not read');
    const [loam] = read.value.own.materials;
    expect(loam).toMatchObject({
      density: { value: 1180, basis: 'measured' },
      retention: { basis: 'cited', source: 'A survey of garden soils, table 2' },
    });
    const old = JSON.parse(text) as { version: number; own: { materials: unknown[] } };
    old.version = 8;
    const marked = (basis: string, value: number) => ({ value, basis });
    old.own.materials = [{ ...loam, density: marked('own', 1180), waterMoist: marked('memory', 0.2) }];
    const carried = readEnvelope(JSON.stringify(old));
    expect(carried.ok && carried.value.own.materials[0]).toMatchObject({
      density: { value: 1180, basis: 'measured' },
      waterMoist: { value: 0.2, basis: 'estimated' },
    });
    // A mark of before in a file of now is a damaged file, and named.
    old.version = 9;
    expect(readEnvelope(JSON.stringify(old))).toMatchObject({
      ok: false,
      place: expect.stringContaining('own.materials[0]') as string,
    });
  });

  it('version 10 of the file holds cultures; one of before has none', () => {
    const text = writeEnvelope([], { ...NO_STORES, cultures: demoCultures(NOW.getTime()) }, NOW);
    const read = readEnvelope(text);
    expect(read.ok && read.value.cultures).toEqual(demoCultures(NOW.getTime()));
    const before = readEnvelope(readFileSync('tests/fixtures/rack-v16.rincon.json', 'utf8'));
    expect(before.ok && [before.value.version, before.value.cultures]).toEqual([10, []]);
    // One act of a day that is none is named by its place.
    const torn = JSON.parse(text) as { cultures: { acts: { on: string }[] }[] };
    torn.cultures[2]!.acts[1]!.on = '2026-02-30';
    expect(readEnvelope(JSON.stringify(torn))).toMatchObject({ ok: false, place: 'cultures[2].acts[1].on' });
  });

  it('an enclosure may be called what every object has', () => {
    const [first] = demoDesigns(catalogue);
    for (const id of ['constructor', 'toString', '__proto__', 'hasOwnProperty']) {
      const text = writeEnvelope([{ ...first!, id }], NO_STORES, NOW);
      const read = readEnvelope(text);
      expect(read.ok && read.value.designs.map((it) => it.id), id).toEqual([id]);
      expect(read.ok && Object.keys(read.value.trails)).toEqual([]);
    }
  });

  it('version 8 of the file tells by which clock a line was written; a line of before does not', () => {
    const logOf = (name: string) => {
      const read = readEnvelope(readFileSync(`tests/fixtures/${name}.rincon.json`, 'utf8'));
      return read.ok ? read.value.log.map((it) => it.ahead) : [];
    };
    expect(new Set(logOf('rack-v13'))).toEqual(new Set([null]));
    expect(logOf('rack-v14')).toEqual([-360]);
  });

  it('version 7 of the file tells the states its designs have been in; earlier ones do not', () => {
    const text = readFileSync('tests/fixtures/rack-v12.rincon.json', 'utf8');
    const [read, before] = [text, readFileSync('tests/fixtures/rack-v11.rincon.json', 'utf8')].map((it) =>
      readEnvelope(it),
    );
    expect(read?.ok && read.value.trails).toEqual({
      'demo-bog-shelf': ['8c1f0a52d3b97e64', '0123456789abcdef'],
    });
    expect(before?.ok && before.value.trails).toEqual({});
    expect(readEnvelope(text.replace('8c1f0a52d3b97e64', 'something'))).toMatchObject({
      ok: false,
      place: 'trails.demo-bog-shelf[0]',
    });
    // Of one that goes out alone no other goes along.
    if (!read?.ok) throw new Error('not read');
    const { designs, own, trails } = read.value;
    const alone = (at: number): unknown =>
      (JSON.parse(writeSingle(designs[at]!, own, NOW, { ...NO_STORES, trails })) as { trails: unknown })
        .trails;
    expect([alone(0), alone(1)]).toEqual([trails, {}]);
  });

  it('version 5 of the file carries the log, with only what was said; earlier ones have none', () => {
    const text = readFileSync('tests/fixtures/rack-v9.rincon.json', 'utf8');
    const read = readEnvelope(text);
    if (!read.ok) throw new Error('not read');
    const [fed] = read.value.log;
    expect(fed).toEqual(
      entryOf(
        { kind: 'feed', values: { count: 6, left: 2 }, text: 'small crickets', rule: 'feed' },
        {
          id: 'demo-bog-shelf feed 2',
          design: 'demo-bog-shelf',
          at: 1_763_920_800_000,
          changed: 1_763_920_800_000,
        },
      ),
    );
    expect(JSON.parse(text).log[0].values).toEqual({ count: 6, left: 2 });
    const { designs, own, log } = read.value;
    expect(readEnvelope(writeEnvelope(designs, read.value, NOW))).toEqual({
      ok: true,
      value: { ...read.value, written: NOW.toISOString() },
    });
    const one = readEnvelope(writeSingle(designs[1]!, own, NOW, { ...NO_STORES, log }));
    expect(one.ok && one.value.log).toEqual([]);
    const before = readEnvelope(readFileSync('tests/fixtures/rack-v8.rincon.json', 'utf8'));
    expect(before.ok && before.value.log).toEqual([]);
    const wrong = JSON.parse(text);
    wrong.log[0].values.count = -3;
    expect(readEnvelope(JSON.stringify(wrong))).toMatchObject({ ok: false, place: 'log[0].values.count' });
  });

  it('version 6 carries animals, equipment and measuring points; an enclosure takes its own with it', () => {
    const text = readFileSync('tests/fixtures/rack-v10.rincon.json', 'utf8');
    const read = readEnvelope(text);
    if (!read.ok) throw new Error('not read');
    const { designs, own, animals, equipment, points } = read.value;
    expect([animals.length, equipment.length, points.length]).toEqual([4, 3, 5]);
    expect(readEnvelope(writeEnvelope(designs, read.value, NOW))).toEqual({
      ok: true,
      value: { ...read.value, written: NOW.toISOString() },
    });
    const single = readEnvelope(writeSingle(designs[2]!, own, NOW, read.value));
    expect(single.ok && [single.value.animals.length, single.value.points.map((it) => it.name)]).toEqual([
      0,
      ['warm side', 'cool side air'],
    ]);
    const before = readEnvelope(readFileSync('tests/fixtures/rack-v9.rincon.json', 'utf8'));
    expect(before.ok && before.value.animals).toEqual([]);
    const wrong = JSON.parse(text);
    wrong.animals[1].hatched = 'long ago';
    expect(readEnvelope(JSON.stringify(wrong))).toMatchObject({ ok: false, place: 'animals[1].hatched' });
  });

  it('version 2 had one stack of layers and at most a drain on the floor', () => {
    const read = readEnvelope(readFileSync('tests/fixtures/rack-v2.rincon.json', 'utf8'));
    if (!read.ok) throw new Error(read.message);
    const [bog, hedge] = read.value.designs;
    expect(bog!.ground).toMatchObject({ regions: [], sunk: [], outlet: { kind: 'none' } });
    expect(hedge!.ground.outlet).toEqual({ kind: 'drain', bore: 0.012, height: 0 });
    expect(hedge!.enclosure).toMatchObject({ build: 'box', screened: [], standRating: null });
    expect(read.value).toMatchObject({
      shelf: [],
      own: { materials: [], recipes: [], animals: [], plants: [], crew: [] },
    });
    for (const layer of bog!.ground.layers) if (layer.kind === 'barrier') expect(layer.holes).toEqual([]);
  });

  it('version 3 keeps regions, own rows and the shelf', () => {
    const read = readEnvelope(readFileSync('tests/fixtures/rack-v3.rincon.json', 'utf8'));
    if (!read.ok) throw new Error(read.message);
    const [bog, hedge] = read.value.designs;
    expect(bog!.ground.method).toBe('full-water');
    expect(bog!.ground.regions.map((it) => it.name)).toEqual(['Land', 'Litter pocket']);
    expect(hedge!.enclosure.made.bores).toHaveLength(1);
    expect(shelfAmounts(stockOf(read.value.shelf))).toEqual({ charcoal: 0.0035 });
    expect(read.value.own.materials.map((it) => it.id)).toEqual(['house-mix']);
  });

  it('version 3 of the file keeps the shelf as a book, with dates and what was undone', () => {
    const read = readEnvelope(readFileSync('tests/fixtures/rack-v4.rincon.json', 'utf8'));
    if (!read.ok) throw new Error(read.message);
    const stocks = stockOf(read.value.shelf);
    expect(shelfAmounts(stocks)).toEqual({ coir: expect.closeTo(0.012, 9), 'worm-castings': 0.002 });
    expect(stocks.get('worm-castings')!.lots[0]!.move).toMatchObject({
      opened: '2026-11-01',
      bestBefore: '2027-05-01',
    });
    expect(read.value.shelf.filter((move) => move.undone)).toHaveLength(1);
    expect(read.value.own.materials[0]!.mixing).toBeDefined();
  });

  it('version 4 of a design keeps what stands in it; earlier ones stand empty', () => {
    const read = readEnvelope(readFileSync('tests/fixtures/rack-v5.rincon.json', 'utf8'));
    if (!read.ok) throw new Error(read.message);
    const [bog, hedge] = read.value.designs;
    expect(bog!.scape.pieces.map((it) => it.kind)).toContain('bog-root');
    expect(hedge!.scape).toMatchObject({
      above: 0.35,
      trial: { before: '2026-11-01', after: null },
      backgrounds: [{ wall: 'back', kind: 'cork-tile', cutouts: [{ use: 'drain' }] }],
    });
    const before = readEnvelope(readFileSync('tests/fixtures/rack-v4.rincon.json', 'utf8'));
    if (!before.ok) throw new Error(before.message);
    for (const { scape } of before.value.designs)
      expect(scape).toMatchObject({ warm: 'right', pieces: [], backgrounds: [], above: null });
  });

  it('earlier designs have a climate with nothing installed; a version 5 keeps its own', () => {
    const before = readEnvelope(readFileSync('tests/fixtures/rack-v5.rincon.json', 'utf8'));
    if (!before.ok) throw new Error(before.message);
    for (const { climate } of before.value.designs)
      expect(climate).toMatchObject({
        devices: [],
        vents: [],
        calibration: null,
        day: { on: 480, off: 1200 },
      });
    const read = readEnvelope(readFileSync('tests/fixtures/rack-v6.rincon.json', 'utf8'));
    if (!read.ok) throw new Error(read.message);
    const [bog, hedge] = read.value.designs;
    expect(hedge!.climate.devices.some((it) => it.thermostat !== null)).toBe(true);
    expect(bog!.climate.mist).toMatchObject({ by: 'nozzles', bottle: 0.01 });
    expect(bog!.climate.room.preset).toBe('classroom');
  });

  it('version 1 moistened all of the soil, and nothing was archived', () => {
    const read = readEnvelope(readFileSync('tests/fixtures/rack-v1.rincon.json', 'utf8'));
    const design = read.ok ? read.value.designs[3] : undefined;
    expect(design?.ground).toMatchObject({ squeeze: 'generous', moistShare: 1 });
    expect(design?.brief.putAway).toBe(false);
  });
});

describe('writing and reading', () => {
  it('what is written is read back equal, with or without a byte order mark', () => {
    for (const text of [good, `\uFEFF${good}`]) {
      const read = readEnvelope(text);
      expect(read.ok && read.value.designs).toEqual(demo);
    }
  });

  it('follows its published JSON Schema (2020-12), checked by ajv; the schema refuses what the program refuses', () => {
    const ajv = new Ajv2020({ strict: false });
    addFormats(ajv);
    const validate = ajv.compile(envelopeJsonSchema() as object);
    expect(validate(JSON.parse(good)), JSON.stringify(validate.errors)).toBe(true);
    expect(validate(JSON.parse(good.replace(/"frontLeft": [\d.]+/, '"frontLeft": -1')))).toBe(false);
    expect(validate({ format: 'rincon', version: 1 })).toBe(false);
  });

  it.each([
    ['cut short', () => good.slice(0, 500), /^line \d+, column \d+$/, /not JSON/],
    ['empty', () => '', /^line 1, column 1$/, /not JSON/],
    ['a list', () => '[]', /whole file/, /object is expected/],
    ['another program', () => '{"a":1}', /^format$/, /another program/],
    [
      'a later file',
      () => broken((it) => (it.version = ENVELOPE_VERSION + 1)),
      /^version$/,
      new RegExp(`version ${ENVELOPE_VERSION + 1}.*Update`),
    ],
    [
      'a later design',
      () => broken((it) => (it.designs[1] = { ...it.designs[1], version: DESIGN_VERSION + 1 } as never)),
      /^designs\[1\]\.version$/,
      new RegExp(`version ${DESIGN_VERSION + 1}`),
    ],
    [
      'no version',
      () => broken((it) => delete it.designs[0]!.version),
      /^designs\[0\]\.version$/,
      /whole number/,
    ],
    [
      'negative thickness',
      () =>
        broken(
          (it) =>
            ((it.designs[2] as unknown as Loose).ground.layers[0]!.thickness = {
              frontLeft: -0.1,
              frontRight: 0,
              backLeft: 0,
              backRight: 0,
            } as never),
        ),
      /^designs\[2\]\.ground\.layers\[0\]\.thickness\.frontLeft$/,
      />=0|0 or more/,
    ],
    [
      'a string for a number',
      () =>
        broken(
          (it) =>
            ((it.designs[0] as unknown as { enclosure: Record<string, unknown> }).enclosure.width = '60'),
        ),
      /^designs\[0\]\.enclosure\.width$/,
      /number/,
    ],
    [
      'not a number',
      () => good.replace(/"waterDepth": [\d.]+/, '"waterDepth": NaN'),
      /^line \d+/,
      /not JSON/,
    ],
    [
      'too large a number',
      () => good.replace(/"waterDepth": [\d.]+/, '"waterDepth": 1e999'),
      /waterDepth$/,
      /number|10/,
    ],
    [
      'ten thousand layers',
      () =>
        broken((it) => {
          const { ground } = it.designs[0] as unknown as Loose;
          ground.layers = Array.from({ length: 10_000 }, () => ground.layers[1]!);
        }),
      /^designs\[0\]\.ground\.layers$/,
      /60 layers/,
    ],
    [
      'ten thousand corners of a region',
      () =>
        broken((it) => {
          const { ground } = it.designs[0] as unknown as { ground: { regions: { outline: unknown[] }[] } };
          ground.regions[0]!.outline = Array.from({ length: 10_000 }, () => ({ x: 0, y: 0 }));
        }),
      /^designs\[0\]\.ground\.regions\[0\]\.outline$/,
      /40/,
    ],
    [
      'two layers of one id',
      () =>
        broken((it) => {
          const { ground } = it.designs[2] as unknown as Loose;
          ground.layers[1] = { ...ground.layers[1]!, id: ground.layers[0]!.id } as never;
        }),
      /^designs\[2\]\.ground\.layers\[1\]\.id$/,
      /id of its own/,
    ],
    [
      'a negative thickness deep in a region',
      () =>
        broken((it) => {
          const { ground } = it.designs[0] as unknown as {
            ground: { regions: { layers: { thickness: { backRight: number } }[] }[] };
          };
          ground.regions[0]!.layers[0]!.thickness.backRight = -1;
        }),
      /^designs\[0\]\.ground\.regions\[0\]\.layers\[0\]\.thickness\.backRight$/,
      />=0|0 or more/,
    ],
    [
      'a shelf that holds less than nothing',
      () =>
        good
          .replace(`"version": ${ENVELOPE_VERSION},`, '"version": 2,')
          .replace('"shelf": []', '"shelf": { "charcoal": -1 }'),
      /^shelf\.charcoal$/,
      />=0|0 or more/,
    ],
    [
      'an own material without its density',
      () => good.replace('"materials": []', '"materials": [{ "id": "x", "name": "x" }]'),
      /^own\.materials\[0\]/,
      /./,
    ],
    [
      'a piece of no thickness',
      () => good.replace(/"diameter": [\d.]+/, '"diameter": 0'),
      /^designs\[0\]\.scape\.pieces\[\d+\]\.body\.diameter$/,
      />=0\.001|0\.001/,
    ],
    [
      'two pieces of one id',
      () =>
        broken((it) => {
          const { scape } = it.designs[0] as unknown as { scape: { pieces: { id: string }[] } };
          scape.pieces[1]!.id = scape.pieces[0]!.id;
        }),
      /^designs\[0\]\.scape\.pieces\[1\]\.id$/,
      /id of its own/,
    ],
    [
      'ten thousand pieces',
      () =>
        broken((it) => {
          const { scape } = it.designs[0] as unknown as { scape: { pieces: unknown[] } };
          scape.pieces = Array.from({ length: 10_000 }, () => scape.pieces[0]);
        }),
      /^designs\[0\]\.scape\.pieces$/,
      /200 pieces/,
    ],
    [
      'something unknown',
      () => broken((it) => ((it.designs[0] as Record<string, unknown>).colour = 'red')),
      /^designs\[0\]$/,
      /“colour” is not known/,
    ],
    [
      'a poisoned prototype',
      () => good.replace('"format": "rincon",', '"format": "rincon", "__proto__": {"polluted": true},'),
      /whole file/,
      /“__proto__” is not known/,
    ],
    [
      'a design that is none',
      () => broken((it) => (it.designs[0] = null as never)),
      /^designs\[0\]$/,
      /enclosure is expected/,
    ],
  ])('refuses %s, and says where', (_, text, place, message) => {
    const read = readEnvelope(text());
    expect(read).toMatchObject({
      ok: false,
      place: expect.stringMatching(place),
      message: expect.stringMatching(message),
    });
    expect(({} as Record<string, unknown>).polluted).toBeUndefined();
  });

  it('refuses 50 MB of nonsense before reading it', () => {
    expect(readEnvelope('x'.repeat(MAX_BYTES + 1))).toMatchObject({
      ok: false,
      message: expect.stringMatching(/20 MB/),
    });
  });

  it('one enclosure goes with the own rows it names, and with no others', () => {
    const like = (id: string) => ({ ...catalogue.materials.find((row) => row.id === 'coir')!, id, name: id });
    const design = applyEdit(
      demo[1]!,
      { edit: 'setParts', change: { layer: 'layer-3', material: 'mine', parts: 1 } },
      catalogue,
    );
    const own = { materials: [like('mine'), like('other')], recipes: [], animals: [], plants: [], crew: [] };
    const read = readEnvelope(writeSingle(design, own, NOW));
    expect(read.ok && read.value.own.materials.map((row) => row.id)).toEqual(['mine']);
    expect(read.ok && read.value.designs).toEqual([design]);
  });

  it('names files that any system takes', () => {
    expect(fileName('Bog shelf')).toBe('bog-shelf.rincon.json');
    expect(fileName('Höhle / 2')).toBe('hohle-2.rincon.json');
    expect(fileName('???')).toBe('enclosure.rincon.json');
  });
});

describe('the list as CSV, RFC 4180', () => {
  it('has a head, the same number of fields in every record, CRLF, and the sum of the screen', () => {
    const design = demo[2]!;
    const assessment = assess(design, catalogue);
    const buying = buyingOf([{ design, assessment }], catalogue, {}, 0.1);
    const csv = csvOfTable(buyTable(buying, { prefs: METRIC, locale: 'de' }));
    expect(csv.endsWith('\r\n')).toBe(true);
    const { data, errors } = Papa.parse<Record<string, string>>(csv.trimEnd(), { header: true });
    expect(errors).toEqual([]);
    expect(data).toHaveLength(buying.rows.length);
    expect(data.reduce((all, it) => all + Number(it.Price), 0)).toBeCloseTo(buying.price, 2);
    // Every amount is a number, whatever marks its reader writes, in the unit that stands beside it.
    for (const it of data)
      for (const amount of ['Needed', 'In the enclosure', 'From the shelf', 'To spare', 'Left over'])
        expect(it[amount], `${it.Item} ${amount}`).toMatch(/^\d+(\.\d+)?(e-\d+)?$/);
    const soil = buying.rows.find((it) => it.measure === 'volume')!;
    const row = data.find((it) => it.Item === soil.name)!;
    expect(row.Unit).toBe('L');
    expect(Number(row.Needed)).toBeCloseTo(soil.needed * 1000, 3);
  });
  it('what is cut is a table of its own, its sides in the reader’s unit', () => {
    const assessment = assess(demo[2]!, catalogue);
    const table = cutTable(assessment, { prefs: US, locale: 'en' });
    expect(table.columns.map((it) => it.title)).toEqual([
      'Item',
      'Pieces',
      'Width (in)',
      'Depth or height (in)',
    ]);
    expect(table.rows).toHaveLength(assessment.scape.backs.length + assessment.lists.cut.length);
    const [first] = assessment.lists.cut;
    expect(table.rows.find((it) => it[0] === first!.name)![2]).toBeCloseTo(first!.width / 0.0254, 3);
  });
  it.each([
    '=1+1',
    '+1+1',
    '-1+1',
    '@A1',
    '\n=1+1',
    ' =1+1',
    '\u00a0=1',
    '＝1+1',
    '＋1',
    '－1+1',
    '＠A1',
    '\ufeff=1',
    '\t1',
  ])('a spreadsheet finds no formula in %j', (value) =>
    expect(cell(value).replace(/^"/, '').startsWith("'")).toBe(true),
  );
  it.each(['-3.5', '12', 'a = b', 'Ground: 3+4', ''])('%j stays as it is', (value) =>
    expect(cell(value)).toBe(value),
  );
  it('quotes what must be quoted, and lets no cell become a formula', () => {
    const design = demo[0]!;
    const buying = buyingOf([{ design, assessment: assess(design, catalogue) }], catalogue);
    const row = { ...buying.rows[0]!, name: '=HYPERLINK("x"), moss' };
    expect(csvOfTable(buyTable({ ...buying, rows: [row] }, { prefs: METRIC, locale: 'en' }))).toContain(
      `${row.shop},"'=HYPERLINK(""x""), moss",`,
    );
  });
});
