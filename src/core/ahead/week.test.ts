import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { demoDesigns } from '@/catalogue/demo';
import { DAY, toSteps, trackOf, type Series } from '../readings';
import { canLookAhead } from './asked';
import { weekAhead } from '.';

const NOW = Date.UTC(2026, 10, 18, 9, 30);
const point = (own: Partial<Series>): Series => ({
  id: 'warm',
  design: 'demo-limestone',
  name: 'warm side',
  quantity: 'temperature',
  place: 'warm',
  at: null,
  instrument: '',
  source: null,
  alarm: null,
  changed: 0,
  gone: false,
  ...own,
});
const track = (days: number, value: (at: number) => number, quantity: Series['quantity'] = 'temperature') => {
  const at = Array.from({ length: days * 144 }, (_, i) => NOW - (days * 144 - i) * 600_000);
  return trackOf(
    at,
    at.map((it) => toSteps(value(it), quantity)),
  );
};
const limestone = demoDesigns(catalogue).find((it) => it.id === 'demo-limestone');
if (!limestone) throw new Error('no demo');
const week = (points: Parameters<typeof weekAhead>[2]) =>
  weekAhead(limestone, catalogue, points, null, () => 3_600_000, NOW);

describe('the week to come of an enclosure', () => {
  it('is told by the clock, begins now, and is in steps of a quarter of an hour', () => {
    const all = week([{ series: point({}), track: track(9, () => 23) }]);
    expect(all?.tried).toBe(7);
    const [own] = all?.outlooks ?? [];
    expect(own).toMatchObject({ series: 'warm', from: NOW, every: 900_000 });
    expect(own?.middle).toHaveLength(673);
    expect(own?.middle[0]).toBeCloseTo(23, 1);
  });
  it('says when a limit of a point’s own is passed that the readings climb towards', () => {
    // A third of a kelvin a day, 26 °C now: half a kelvin more in a day and a half.
    const climbs = (at: number): number => 26 + ((at - NOW) / DAY) * 0.33;
    const alarm = { on: true, low: null, high: 26.5 };
    const all = week([{ series: point({ alarm }), track: track(14, climbs) }]);
    expect(all?.crossings).toMatchObject([{ series: 'warm', side: 'high' }]);
    expect(all?.crossings[0]?.from).toBeGreaterThan(NOW);
    const far = week([{ series: point({ alarm: { ...alarm, high: 40 } }), track: track(14, climbs) }]);
    expect(far?.crossings).toEqual([]);
  });
  it('of a box that is otherwise since days goes by those days alone', () => {
    const at = NOW - 6 * DAY;
    const wavers = (t: number): number => 0.3 * Math.sin(t / 1e7) + 1.5 * Math.sin((t / DAY) * 2 * Math.PI);
    const all = week([{ series: point({}), track: track(20, (t) => (t < at ? 22 : 27) + wavers(t)) }]);
    expect(Math.abs((all?.since ?? 0) - at)).toBeLessThan(1.5 * DAY);
    const [own] = all?.outlooks ?? [];
    const mean = (values: readonly number[] = []): number =>
      values.reduce((sum, it) => sum + it, 0) / values.length;
    expect(Math.abs(mean(own?.middle.slice(-96)) - 27)).toBeLessThan(0.7);
    expect(mean(own?.high) - mean(own?.low)).toBeLessThan(4);
    expect(week([{ series: point({}), track: track(20, (t) => 22 + wavers(t)) }])?.since).toBeNull();
  });
  it('is of the air, the spot under a lamp and the room; of nothing else, and of nothing where nothing was read', () => {
    const can = (own: Partial<Series>): boolean => canLookAhead(point(own), limestone);
    expect(can({ place: 'canopy', quantity: 'humidity' })).toBe(true);
    expect(can({ place: 'basking' })).toBe(true);
    expect(can({ place: 'room' })).toBe(true);
    expect(can({ place: 'soil' })).toBe(false);
    expect(can({ place: 'hide' })).toBe(false);
    expect(can({ quantity: 'uvIndex', place: 'basking' })).toBe(false);
    expect(week([{ series: point({ place: 'soil' }), track: track(9, () => 20) }])).toBeNull();
    expect(week([{ series: point({}), track: track(0, () => 20) }])).toBeNull();
  });
  it('of a room that was read goes on from how it lately was', () => {
    const warmer = track(9, () => 27);
    const all = week([
      { series: point({ id: 'room', place: 'room' }), track: warmer },
      { series: point({}), track: track(9, () => 29) },
    ]);
    const room = all?.outlooks.find((it) => it.series === 'room');
    expect(Math.abs((room?.middle.at(-1) ?? 0) - 27)).toBeLessThan(1.2);
  });
});
