import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { demoAnimals, demoCultures, demoDesigns, demoEquipment, demoReadings } from '@/catalogue/demo';
import { entryOf } from '@/core/log';
import { packTrack, trackOf } from '@/core/readings';
import { isRaw, readRaw } from '.';

const NOW = Date.parse('2026-11-28T18:00:00Z');
const [first] = demoDesigns(catalogue);
const base64 = (bytes: Uint8Array): string => Buffer.from(bytes).toString('base64');
const point = { ...demoReadings([first!], NOW)[0]!.series, id: 'p1', quantity: 'temperature' as const };
const entry = entryOf(
  { kind: 'note', values: {}, text: 'seen' },
  { id: 'e1', design: first!.id, at: NOW, changed: NOW },
);
const row = (table: string, of: unknown): unknown => ({ table, row: of });
const design = (of: unknown, deleted = 0): unknown =>
  row('designs', { id: 'd', design: of, cursor: 0, revision: 1, updated: 1, deleted });
const jpeg = Uint8Array.of(0xff, 0xd8, 0xff, 0xe0, 7);
const picture = { id: 'i1', design: first!.id, about: 'entry:e1', at: NOW, width: 2, height: 1 };

/** A file of these rows, with its head and its end. */
const file = (rows: readonly unknown[], end: unknown = { end: true, rows: rows.length }): Blob =>
  new Blob(
    [
      { format: 'rincon-raw', version: 1, schema: 40, written: new Date(NOW).toISOString() },
      ...rows,
      ...(end === null ? [] : [end]),
    ].map((it) => (typeof it === 'string' ? it : `${JSON.stringify(it)}\n`)),
  );
const read = async (blob: Blob) => {
  const found = await readRaw(blob);
  if (!found.ok) throw new Error(found.message);
  return found.value;
};

describe('what the recovery page saved', () => {
  it('is told from any other file by how it begins', async () => {
    expect(await isRaw(file([]))).toBe(true);
    expect(await isRaw(new Blob(['{"format":"rincon","version":7}']))).toBe(false);
    expect(await isRaw(new Blob([]))).toBe(false);
  });

  it('is read row by row: enclosures of any version, log, readings, pictures, settings', async () => {
    const at = [NOW, NOW + 60_000, NOW + 120_000];
    const blocks = [at.slice(0, 2), at.slice(2)].map((moments, week) =>
      row('blocks', {
        series: 'p1',
        level: 'raw',
        week,
        count: moments.length,
        bytes: {
          $bytes: base64(
            packTrack(
              trackOf(
                moments,
                moments.map((_, i) => 200 + i + 2 * week),
              ),
            ),
          ),
        },
      }),
    );
    const found = await read(
      file([
        design(first),
        design({ ...first, id: 'old', version: 8, climate: { ...first!.climate, seasons: undefined } }),
        design({ ...first, id: 'deleted' }, NOW),
        row('steps', { designId: 'd', seq: 0 }),
        row('log', entry),
        row('series', point),
        ...blocks,
        row('blocks', { series: 'p1', level: 'hour', week: 0, count: 1, bytes: { $bytes: '' } }),
        row('pictures', { ...picture, blob: { $blob: base64(jpeg), type: 'image/jpeg' } }),
        row('animals', demoAnimals(NOW)[0]),
        row('cultures', demoCultures(NOW)[0]),
        row('equipment', demoEquipment(NOW)[0]),
        row('settings', { key: 'prices', value: { 'charcoal/bag-5l': 9 } }),
        row('settings', { key: 'spare', value: 0.2 }),
        row('settings', { key: 'recipes', value: [{ ...catalogue.recipes[0], id: 'mine' }] }),
      ]),
    );
    expect(found.faults).toEqual([]);
    expect(found.envelope.designs).toEqual([first, { ...first, id: 'old' }]);
    expect(found.envelope.log).toEqual([entry]);
    expect(found.tracks).toEqual([
      { series: 'p1', quantity: 'temperature', track: trackOf(at, [200, 201, 202]) },
    ]);
    expect(found.pictures).toEqual([{ ...picture, jpeg }]);
    expect(found.envelope.animals).toHaveLength(1);
    expect(found.envelope.cultures).toEqual([demoCultures(NOW)[0]]);
    expect(found.envelope.equipment).toHaveLength(1);
    expect(found.envelope.prices).toEqual({ 'charcoal/bag-5l': 9 });
    expect(found.envelope.own.recipes.map((it) => it.id)).toEqual(['mine']);
    expect(found.settings).toEqual({ spare: 0.2 });
  });

  it('names what cannot be read, and reads all else', async () => {
    const found = await read(
      file([
        design(first),
        design(null),
        row('log', { ...entry, id: 'torn', at: { $number: 'NaN' } }),
        row('log', entry),
        row('pictures', { ...picture, blob: { $blob: base64(Uint8Array.of(1, 2)), type: 'image/jpeg' } }),
        row('settings', { key: 'prices', value: { 'a/b': -1, 'c/d': 2 } }),
        row('series', point),
        row('blocks', { series: 'p1', level: 'raw', week: 3, count: 1, bytes: { $bytes: 'AAAA' } }),
        '{"table":"log","row":{"id"\n',
        { table: 'log' },
      ]),
    );
    expect(found.faults.map((it) => it.place).sort()).toEqual([
      'designs, d',
      'line 10',
      'line 11',
      'log, torn',
      'pictures, i1',
      'prices, a/b',
      'readings, p1, week 3',
      'the whole file',
    ]);
    expect(found.envelope.prices).toEqual({ 'c/d': 2 });
    expect(found.envelope.designs).toEqual([first]);
    expect(found.envelope.log).toEqual([entry]);
  });

  it.each([
    ['cut short', file([design(first), row('log', entry)], null), /cut short/],
    ['with a row gone', file([design(first)], { end: true, rows: 2 }), /2 rows were saved, and 1 are in it/],
  ])('%s it says so, and holds what is there', async (_, blob, message) => {
    const found = await read(blob);
    expect(found.faults).toEqual([
      { place: expect.any(String) as string, message: expect.stringMatching(message) as string },
    ]);
    expect(found.envelope.designs).toEqual([first]);
  });
});
