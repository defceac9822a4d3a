import { expect, it } from 'vitest';
import { firstDesign } from '@/catalogue/testing';
import type { Series } from '../readings';
import { keptProbes } from '.';

const point = (id: string, change: Partial<Series>): Series => ({
  id,
  design: 'x',
  name: 'shelf',
  quantity: 'temperature',
  place: 'warm',
  at: null,
  instrument: '',
  source: null,
  alarm: null,
  changed: 0,
  gone: false,
  ...change,
});

it('what hangs at one place is one probe; two of one name are told apart; hide and soil are no air that is followed', () => {
  const design = firstDesign('pogona-vitticeps');
  const { probes, room } = keptProbes(
    [
      point('a', {}),
      point('b', { quantity: 'humidity' }),
      point('c', { at: { x: 0.1, y: 0.1, z: 0.2 } }),
      point('d', { place: 'hide' }),
      point('e', { place: 'soil', quantity: 'soilWater' }),
      point('f', { place: 'room' }),
    ],
    design,
  );
  expect(probes.map((own) => [own.name, own.temperature?.id, own.humidity?.id])).toEqual([
    ['shelf', 'a', 'b'],
    ['shelf (2)', 'c', undefined],
  ]);
  expect(probes.map((own) => own.where)).toEqual(['warm', { x: 0.1, y: 0.1, z: 0.2 }]);
  expect([room.temperature?.id, room.humidity]).toEqual(['f', null]);
});
