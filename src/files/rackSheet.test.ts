import Fuse from 'fuse.js';
import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { otherNames } from '@/catalogue/otherNames';
import { keepersTable } from '../../tests/keepersTable';
import { readRackSheet, sheetTemplate } from './rackSheet';

const fuse = new Fuse(catalogue.animals, { keys: ['english'], threshold: 0.36 });
const known: Parameters<typeof readRackSheet>[1] = {
  animals: catalogue.animals,
  otherNames,
  nearest: (text) => fuse.search(text)[0]?.item,
  taken: ['Bog shelf'],
  today: '2026-11-18',
  length: 'cm',
  mass: 'g',
};
const read = (text: string, change: Partial<typeof known> = {}) =>
  readRackSheet(text, { ...known, ...change });
const lines = (...rows: readonly string[]): string => rows.join('\n');

describe('a keeper’s table', () => {
  it('forty enclosures and ninety animals are read, each with its days, weights and sizes', () => {
    const { boxes, faults, columns, unused } = read(keepersTable());
    expect(faults).toEqual([]);
    expect(unused).toEqual([]);
    expect(columns).toMatchObject({
      enclosure: 'Box',
      animal: 'Name',
      since: 'Home from',
      weighed: 'Weighed on',
    });
    expect(boxes).toHaveLength(40);
    expect(boxes.reduce((sum, it) => sum + it.animals.length, 0)).toBe(90);
    expect(boxes[0]).toMatchObject({
      name: 'Box 1',
      animal: 'eublepharis-macularius',
      count: 3,
      since: '2024-03-02',
      size: { width: expect.closeTo(0.6, 9), depth: expect.closeTo(0.45, 9), height: expect.closeTo(0.6, 9) },
    });
    expect(boxes[0]!.animals[0]).toEqual({
      name: 'A1',
      sex: 'male',
      hatched: null,
      since: '2024-03-02',
      weight: { mass: expect.closeTo(0.031, 9), on: '2026-11-01' },
    });
  });

  it('copied out of a spreadsheet it has tabs; a species goes by any of its names', () => {
    const { boxes, faults } = read('Enclosure\tSpecies\tHow many\nTall\tCORRELOPHUS CILIATUS\t2\n');
    expect(faults).toEqual([]);
    expect(boxes).toEqual([
      {
        name: 'Tall',
        animal: 'correlophus-ciliatus',
        count: 2,
        size: null,
        material: 'glass',
        since: null,
        place: { room: '', shelf: '' },
        note: '',
        animals: [],
      },
    ]);
  });

  it.each([
    ['18', 'in', 0.4572],
    ['18 in', 'cm', 0.4572],
    ['45,5', 'cm', 0.455],
    ['450 mm', 'in', 0.45],
    ['18"', 'cm', 0.4572],
  ] as const)('a side of %s where lengths are in %s is %d m', (text, length, metres) => {
    const { boxes, faults } = read(`Enclosure\tWidth\tDepth\tHeight\nA\t${text}\t${text}\t${text}`, {
      length,
    });
    expect(faults).toEqual([]);
    expect(boxes[0]!.size!.width).toBeCloseTo(metres, 9);
  });

  it('days are read in the order their table has them in', () => {
    const day = (cells: readonly string[]) =>
      read(lines('Enclosure,Since', ...cells.map((it, i) => `B${i},${it}`))).boxes.map((it) => it.since);
    expect(day(['3/14/2024', '4/5/2024'])).toEqual(['2024-03-14', '2024-04-05']);
    expect(day(['14/3/2024', '4/5/2024'])).toEqual(['2024-03-14', '2024-05-04']);
    expect(day(['2024-03-14'])).toEqual(['2024-03-14']);
  });

  it('twelve faults are told, each by its line, its column and what to do', () => {
    const { faults } = read(
      lines(
        'Enclosure,Species,How many,Animal,Sex,Hatched,There since,Weight,Weighed on,Width,Depth,Height,Made of',
        ',crested gecko,,,,,,,,,,,',
        'Bog shelf,,,,,,,,,,,,',
        'A,crestd gecko,,,,,,,,,,,',
        'B,,two,,,,,,,,,,',
        'C,,,Drip,often,,,,,,,,',
        'D,,,Drip,,,2027-01-01,,,,,,',
        'E,,,Drip,,2025-01-01,2024-01-01,,,,,,',
        'F,,,Drip,,,,heavy,2026-01-01,,,,',
        'G,,,Drip,,,,42,,,,,',
        'H,,,,,,,,,60,45,,',
        'I,,,,,,,,,,,,straw',
        'J,,,Sumo,,,,,,,,,',
        'J,,,sumo,,,,,,,,,',
      ),
    );
    expect(faults.map((it) => `${it.line} ${it.column}: ${it.message}`)).toEqual([
      '2 Enclosure: the enclosure has no name',
      '3 Enclosure: “Bog shelf” stands on the rack already. Take the row out, or rename it',
      '4 Species: “crestd gecko” is not in the almanac. Is “crested gecko” meant?',
      '5 How many: “two” is no number of animals: 1 to 500',
      '6 Sex: “often” is no sex. Write female, male or unknown',
      '7 There since: 2027-01-01 has not come yet',
      '8 Hatched: it lived there before it hatched. One of the two days is wrong',
      '9 Weight: “heavy” is no weight. Write 42 g or 1.5 oz',
      '10 Weight: say in a column “Weighed on” which day that was',
      '11 Width: of width, depth and height some are missing. Give all three, or none',
      '12 Made of: “straw” is not known. Write glass, acrylic, PVC, timber or mesh',
      '14 Animal: “sumo” is told twice in “J”',
    ]);
  });

  it('a table without a name for its enclosures, or without rows, is refused as a whole', () => {
    expect(read('Species\ncrested gecko').faults[0]!.message).toMatch(/^no column is headed “Enclosure”/);
    expect(read('Enclosure,Species').faults[0]!.message).toMatch(/^there is a heading and nothing under it/);
  });

  it('the empty table it offers is one it reads', () => {
    const { boxes, faults } = read(sheetTemplate());
    expect(faults).toEqual([]);
    expect(boxes.map((it) => [it.name, it.animals[0]!.name, it.material])).toEqual([
      ['North 1', 'Drip', 'glass'],
      ['North 2', 'Sumo', 'timber'],
    ]);
    expect(boxes[0]!.animals[0]!.weight).toEqual({ mass: expect.closeTo(0.042, 9), on: '2026-11-01' });
  });
});
