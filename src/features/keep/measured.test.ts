import { describe, expect, it } from 'vitest';
import { METRIC, parseNumber, US } from '@/core/units';
import type { Reader } from '@/ui/units';
import { areNumbers, asksNumbers, linesOfTick, measuredFor } from './measured';

const reader = (prefs: Reader['prefs'] = METRIC) =>
  ({ prefs, parse: (text: string) => parseNumber(text, 'en-GB'), num: String }) as unknown as Reader;
const frogs = [
  { id: 'fig', name: 'Fig' },
  { id: 'ivy', name: 'Ivy' },
];
const tick = (rule: string, typed: Parameters<typeof areNumbers>[1], animals = frogs, note = '') =>
  linesOfTick(rule, { things: measuredFor(rule, animals), typed, note, outcome: 'done' }, reader()).map(
    ({ kind, animal, values, text, rule: of }) => ({ kind, animal, values, text, of }),
  );

describe('numbers that are typed where a thing is ticked', () => {
  it('a weight is of each animal by itself; who was not weighed has no line', () => {
    expect(tick('weigh', { ivy: { mass: '15.2' } })).toEqual([
      { kind: 'weight', animal: 'ivy', values: { mass: 0.0152 }, text: '', of: 'weigh' },
    ]);
    expect(tick('weigh', { fig: { mass: '14' }, ivy: { mass: '15.2' } }).map((it) => it.animal)).toEqual([
      'fig',
      'ivy',
    ]);
    const ounces = linesOfTick(
      'weigh',
      { things: measuredFor('weigh', []), typed: { it: { mass: '2' } }, note: '', outcome: 'done' },
      reader(US),
    );
    expect(ounces[0].values.mass).toBeCloseTo(0.0567, 4);
  });
  it('a reading is of each side, named as its point', () => {
    expect(
      tick('probes', { warm: { temperature: '27', humidity: '60' }, cool: { temperature: '22' } }),
    ).toEqual([
      {
        kind: 'reading',
        animal: null,
        values: { temperature: 27, humidity: 0.6, point: 'warm side' },
        text: '',
        of: 'probes',
      },
      {
        kind: 'reading',
        animal: null,
        values: { temperature: 22, point: 'cool side' },
        text: '',
        of: 'probes',
      },
    ]);
  });
  it('with none it is done all the same, in one line', () => {
    expect(tick('weigh', {}, frogs, 'all fat')).toEqual([
      { kind: 'weight', animal: null, values: {}, text: 'all fat', of: 'weigh' },
    ]);
    expect(tick('glass', {})).toMatchObject([{ kind: 'clean', of: 'glass' }]);
  });
  it('what is no number, or none that can be meant, is not written', () => {
    expect(areNumbers('water-test', { it: { ammonia: '0.1', ph: '7' } }, reader())).toBe(true);
    expect(areNumbers('water-test', { it: { ph: '15' } }, reader())).toBe(false);
    expect(areNumbers('weigh', { fig: { mass: 'fat' } }, reader())).toBe(false);
    expect(['weigh', 'probes', 'uv-meter', 'water-test', 'glass'].map(asksNumbers)).toEqual([
      true,
      true,
      true,
      true,
      false,
    ]);
  });
});
