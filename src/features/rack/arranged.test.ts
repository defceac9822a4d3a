import { describe, expect, it } from 'vitest';
import { seek } from '@/ui/seek';
import { made } from '../testing/open';
import { arranged, movedBefore, type RackRow, type Wanted } from './arranged';

const base = made('correlophus-ciliatus');
const row = (name: string, rest: Partial<RackRow> = {}, brief = {}, width = 0.6): RackRow => ({
  design: {
    ...base,
    id: name,
    name,
    brief: { ...base.brief, ...brief },
    enclosure: { ...base.enclosure, width },
  },
  species: 'crested gecko',
  also: ['Correlophus ciliatus'],
  animals: [],
  due: { now: 0, late: 0 },
  worst: undefined,
  ...rest,
});
const ALL: Wanted = { text: '', sort: 'name', group: 'none', only: 'all', order: [] };
const names = (rows: readonly RackRow[], wanted: Partial<Wanted> = {}) =>
  arranged(rows, { ...ALL, ...wanted }, 'en', seek).flatMap((it) => it.rows.map((own) => own.design.name));

const rows: readonly RackRow[] = [
  row('Box 10', { due: { now: 5, late: 0 } }, { place: { room: 'Cellar', shelf: 'Top' } }, 0.9),
  row('Box 2', { due: { now: 1, late: 1 }, worst: 'severe' }, { since: '2024-05-01' }, 0.3),
  row('Attic', { species: '', also: [], animals: ['Drip'] }, { stage: 'planned' }),
  row(
    'Box 1',
    { due: undefined, worst: 'look' },
    { place: { room: 'Cellar', shelf: '' }, since: '2021-05-01' },
  ),
];

describe('a rack in order', () => {
  it('by name a 2 comes before a 10', () => {
    expect(names(rows)).toEqual(['Attic', 'Box 1', 'Box 2', 'Box 10']);
  });
  it.each([
    ['due', ['Box 2', 'Box 10', 'Attic', 'Box 1']],
    ['problem', ['Box 2', 'Box 1', 'Attic', 'Box 10']],
    ['species', ['Box 1', 'Box 2', 'Box 10', 'Attic']],
    ['room', ['Box 10', 'Box 1', 'Attic', 'Box 2']],
    ['size', ['Box 10', 'Attic', 'Box 1', 'Box 2']],
    ['age', ['Box 1', 'Box 2', 'Attic', 'Box 10']],
  ] as const)('by %s', (sort, order) => {
    expect(names(rows, { sort })).toEqual(order);
  });
  it('in its keeper’s own order, what is in none of it after that by name', () => {
    expect(names(rows, { sort: 'own', order: ['Box 10', 'Attic'] })).toEqual([
      'Box 10',
      'Attic',
      'Box 1',
      'Box 2',
    ]);
  });
  it('by rooms and shelves, those of which none is told last', () => {
    const groups = (group: Wanted['group']) =>
      arranged(rows, { ...ALL, group }, 'en').map((it) => [it.title, it.rows.map((own) => own.design.name)]);
    expect(groups('room')).toEqual([
      ['Cellar', ['Box 1', 'Box 10']],
      ['No room told', ['Attic', 'Box 2']],
    ]);
    expect(groups('shelf')).toEqual([
      ['Cellar', ['Box 1']],
      ['Cellar, Top', ['Box 10']],
      ['No room told', ['Attic', 'Box 2']],
    ]);
    expect(groups('species').map(([title]) => title)).toEqual(['crested gecko', 'No animal yet']);
  });
  it.each([
    ['due', ['Box 2', 'Box 10']],
    ['late', ['Box 2']],
    ['fix', ['Box 2']],
    ['building', ['Attic', 'Box 1', 'Box 2', 'Box 10']],
    ['lived', []],
  ] as const)('only those that are %s', (only, found) => {
    expect(names(rows, { only })).toEqual(found);
  });
  it('what is written as it is goes before what is near: Box 1 is no Box 2', () => {
    expect(names(rows, { text: 'box 1' })).toEqual(['Box 1', 'Box 10']);
    expect(names(rows, { text: 'gecko cellar' })).toEqual(['Box 1', 'Box 10']);
  });
  it('is found by an animal, a room, a scientific name with a slip; nothing is found by nonsense', () => {
    expect(names(rows, { text: 'drip' })).toEqual(['Attic']);
    expect(names(rows, { text: 'celar' })).toEqual(['Box 1', 'Box 10']);
    expect(names(rows, { text: 'corelophus' })).toEqual(['Box 1', 'Box 2', 'Box 10']);
    expect(names(rows, { text: 'zzzzqq' })).toEqual([]);
  });
});

it('one is moved to a place among the others, and no further than the end', () => {
  expect(movedBefore(['a', 'b', 'c'], 'a', 1)).toEqual(['b', 'a', 'c']);
  expect(movedBefore(['a', 'b', 'c'], 'c', 0)).toEqual(['c', 'a', 'b']);
  expect(movedBefore(['a', 'b', 'c'], 'a', 9)).toEqual(['b', 'c', 'a']);
});
