import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { readCorrections, reviewOf, writeCorrections } from '@/files';
import { corrected, correctionsOf, valueAt, valuesOf, type CorrectedRows } from '.';

const ROWS: CorrectedRows = {
  animals: catalogue.animals,
  plants: catalogue.living.plants,
  crew: catalogue.living.crew,
  materials: catalogue.materials,
};
const NONE: CorrectedRows = { animals: [], plants: [], crew: [], materials: [] };
const NOW = new Date('2026-11-29T12:00:00Z');
const gecko = catalogue.animals.find((it) => it.id === 'correlophus-ciliatus')!;
const CITED = {
  value: { low: 23, high: 26 },
  basis: 'cited' as const,
  source: 'Doe, J. 2019. Geckos at home, table 2',
};

describe('a correction', () => {
  it('is one value that differs, with its mark; a confirmed value differs by its mark alone', () => {
    const warm = corrected(gecko, 'climate.warm', CITED);
    const both = corrected(warm, 'mass', { ...gecko.mass, basis: 'measured' });
    expect(correctionsOf(ROWS, { ...NONE, animals: [both] })).toEqual([
      {
        table: 'animals',
        row: gecko.id,
        name: gecko.english,
        field: 'mass',
        value: { ...gecko.mass, basis: 'measured' },
      },
      { table: 'animals', row: gecko.id, name: gecko.english, field: 'climate.warm', value: CITED },
    ]);
    // The rest of the row is as it was, and the shipped row too.
    expect(corrected(both, 'climate.warm', gecko.climate.warm)).toEqual(corrected(gecko, 'mass', both.mass));
    expect(valueAt(gecko, 'climate.warm')).toEqual(gecko.climate.warm);
  });
  it('rows of one’s own making are none: nothing ships to be corrected', () => {
    expect(correctionsOf(ROWS, { ...NONE, animals: [{ ...gecko, id: 'mine', english: 'mine' }] })).toEqual(
      [],
    );
    expect(correctionsOf(ROWS, ROWS)).toEqual([]);
  });
  it('may add a value the row lacks, or say that one is gone; put on, the row is as its keeper has it', () => {
    const basking = { value: { low: 28, high: 31 }, basis: 'measured' as const };
    const leopard = catalogue.animals.find((it) => it.id === 'eublepharis-macularius')!;
    const mine = corrected(corrected(leopard, 'moistHide', { gone: true }), 'climate.heat', basking);
    const told = correctionsOf(ROWS, { ...NONE, animals: [mine] });
    expect(told.map(({ field, value }) => [field, value])).toEqual([
      ['climate.heat', basking],
      ['moistHide', { gone: true }],
    ]);
    const put = told.reduce((row, it) => corrected(row, it.field, it.value), leopard);
    expect(put).toEqual(mine);
  });
  it('any value of any row, changed and put back, leaves the row as it was', () => {
    const all = [...ROWS.animals, ...ROWS.plants, ...ROWS.crew, ...ROWS.materials];
    fc.assert(
      fc.property(fc.constantFrom(...all), fc.nat(), (row, pick) => {
        const values = [...valuesOf(row)];
        const [field, value] = values[pick % values.length]!;
        const other = corrected(row, field, 'otherwise');
        expect(valueAt(other, field)).toBe('otherwise');
        expect(corrected(other, field, value)).toEqual(row);
      }),
    );
  });
});

describe('a file of corrections', () => {
  const own = { ...NONE, animals: [corrected(gecko, 'climate.warm', CITED)] };
  const text = writeCorrections(correctionsOf(ROWS, own), NOW);
  it('is read as it was written, and reviewed beside what stands here', () => {
    const read = readCorrections(text);
    expect(read.ok && reviewOf(read.value, ROWS)).toEqual([
      {
        correction: {
          table: 'animals',
          row: gecko.id,
          name: gecko.english,
          field: 'climate.warm',
          value: CITED,
        },
        here: gecko.climate.warm,
        refused: null,
      },
    ]);
    // Where it was taken over, nothing is left to review.
    expect(read.ok && reviewOf(read.value, { ...ROWS, animals: own.animals })).toEqual([]);
  });
  it('says of each that cannot be taken why, and takes no other with it', () => {
    const [first] = correctionsOf(ROWS, own);
    const told = [
      { ...first!, row: 'a-dragon' },
      { ...first!, field: 'climate.wings' },
      { ...first!, value: { ...CITED, value: { low: 30, high: 20 } } },
      { ...first!, value: { value: CITED.value, basis: 'cited' as const } },
      first!,
    ];
    const read = readCorrections(writeCorrections(told, NOW));
    expect(read.ok && reviewOf(read.value, ROWS).map((it) => it.refused)).toEqual([
      'it is not in this catalogue',
      'it has no such value',
      expect.stringContaining('climate.warm'),
      expect.stringContaining('names the work'),
      null,
    ]);
  });
  it('of a value that is gone or new is taken where the row can do with it, and else refused with why', () => {
    const [first] = correctionsOf(ROWS, own);
    const gone = { gone: true } as const;
    const told = [
      { ...first!, field: 'moistHide', value: gone },
      { ...first!, field: 'shy', value: gone },
      { ...first!, field: 'climate.warm', value: gone },
      {
        ...first!,
        field: 'climate.basking',
        value: { value: { low: 28, high: 31 }, basis: 'measured' as const },
      },
      { ...first!, field: 'wings.left', value: 3 },
    ];
    const read = readCorrections(writeCorrections(told, NOW));
    expect(read.ok && reviewOf(read.value, ROWS).map((it) => [it.correction.field, it.refused])).toEqual([
      // A moist hide it has none of: nothing is left to say.
      ['moistHide', null],
      ['shy', null],
      ['climate.warm', expect.stringContaining('climate.warm')],
      ['climate.basking', null],
      ['wings.left', 'it has no such value'],
    ]);
  });
  it('a file from before, which knew of nothing gone, is read as it was', () => {
    const before = { ...(JSON.parse(text) as object), version: 1 };
    const read = readCorrections(JSON.stringify(before));
    expect(read.ok && read.value).toEqual(correctionsOf(ROWS, own));
    expect(readCorrections(JSON.stringify({ ...before, version: 3 }))).toMatchObject({
      ok: false,
      place: 'version',
    });
  });
  it('of another kind, or torn, is refused with its place', () => {
    expect(readCorrections('{"format":"rincon"}')).toMatchObject({ ok: false, place: 'format' });
    expect(readCorrections(text.slice(0, 80))).toMatchObject({ ok: false, place: 'the whole file' });
    const torn = JSON.parse(text) as { corrections: { value: { basis: string } }[] };
    torn.corrections[0]!.value.basis = 'heard';
    expect(readCorrections(JSON.stringify(torn))).toMatchObject({
      ok: false,
      place: expect.stringContaining('corrections[0]') as string,
    });
  });
});
