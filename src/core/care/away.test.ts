import { dayPlus } from '../time';
import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { demoDesigns } from '@/catalogue/demo';
import { findDeviceKind } from '../catalogue';
import { entryOf } from '../log';
import { after, awayDays, careNow, daily, daysOfUvLeft, lampDay, meteredLamp, type HeldRule } from '.';

const utcDay = (at: number): string => new Date(at).toISOString().slice(0, 10);

const rule = (change: Partial<HeldRule>): HeldRule => ({
  id: 'r',
  group: 'food',
  what: 'Feed',
  why: '',
  when: after(3),
  amount: [],
  minutes: 5,
  needsAnimal: true,
  sitter: true,
  paused: false,
  until: null,
  reason: '',
  from: null,
  added: null,
  own: false,
  ...change,
});
const of = (rules: readonly HeldRule[], last: Record<string, string> = {}, to = '2026-08-10') =>
  awayDays(rules, new Map(Object.entries(last)), '2026-07-01', '2026-08-01', to)
    .filter((it) => it.rules.length > 0)
    .map((it) => it.day.slice(8));

describe('while the keeper is away', () => {
  it('what comes again after so many days comes as if the sitter did it each time', () => {
    expect(of([rule({})], { r: '2026-07-31' })).toEqual(['03', '06', '09']);
    // Overdue on the first day: done then, and three days after.
    expect(of([rule({})], { r: '2026-07-20' })).toEqual(['01', '04', '07', '10']);
  });
  it('what is daily is there every day; what may wait, and what is paused, is not', () => {
    expect(of([rule({ when: daily() })], { r: '2026-07-31' })).toHaveLength(10);
    expect(of([rule({ sitter: false, when: after(6) })])).toEqual([]);
    expect(of([rule({ paused: true })])).toEqual([]);
  });
  it('what may wait is on it once it would come round twice; what was added always, work on lamps and animals never', () => {
    const weekly = rule({ sitter: false, when: after(7), group: 'water' });
    expect(of([weekly], { r: '2026-07-31' }, '2026-08-13')).toEqual([]);
    expect(of([weekly], { r: '2026-07-31' }, '2026-08-14')).toEqual(['07', '14']);
    expect(of([{ ...weekly, group: 'equipment' }], { r: '2026-07-31' }, '2026-08-14')).toEqual([]);
    expect(of([{ ...weekly, group: 'animal' }], { r: '2026-07-31' }, '2026-08-14')).toEqual([]);
    expect(of([{ ...weekly, group: 'records', added: '2026-07-10' }])).toEqual(['01', '08']);
  });
  it('a pause that ends meanwhile is followed to its day', () => {
    expect(of([rule({ when: daily(), paused: true, until: '2026-08-08' })])).toEqual(['08', '09', '10']);
  });
  it('of the demo: a few things a day in enclosures that are lived in or grow', () => {
    const bog = demoDesigns(catalogue).find((it) => it.id === 'demo-bog-shelf')!;
    const days = awayDays(careNow(bog, catalogue), new Map(), '2026-06-01', '2026-08-01', '2026-08-07');
    expect(days).toHaveLength(7);
    for (const it of days) expect(it.rules.length).toBeLessThan(12);
    expect(days.some((it) => it.rules.length > 0)).toBe(true);
  });
});

describe('a lamp by its meter', () => {
  const series = (...pairs: [number, number][]) => pairs.map(([day, index]) => ({ day, index }));
  it('loses a share in equal times: half in a hundred days is found again', () => {
    const readings = [0, 30, 60, 90].map((day): [number, number] => [day, 2 * 2 ** (-day / 100)]);
    // 1 is reached after a hundred days: ten after the last reading.
    expect(daysOfUvLeft(series(...readings), 1)).toBeCloseTo(10, 6);
  });
  it('says nothing by one reading, by two of one week, or by a lamp that does not fall', () => {
    expect(daysOfUvLeft(series([0, 2]), 1)).toBeNull();
    expect(daysOfUvLeft(series([0, 2], [7, 1.8]), 1)).toBeNull();
    expect(daysOfUvLeft(series([0, 2], [60, 2.1]), 1)).toBeNull();
    expect(daysOfUvLeft([], 1)).toBeNull();
  });
  it('is due now once a reading lies under what is needed', () => {
    expect(daysOfUvLeft(series([0, 2], [60, 0.8]), 1)).toBe(0);
    expect(daysOfUvLeft(series([60, 0.8]), 1)).toBe(0);
  });
  it('by the log of an enclosure with a UV lamp: only readings since it was fitted count', () => {
    const hedge = demoDesigns(catalogue).find((it) => it.id === 'demo-hedge')!;
    const fitted = {
      ...hedge,
      climate: {
        ...hedge.climate,
        devices: hedge.climate.devices.map((it) => ({ ...it, since: '2026-01-01' })),
      },
    };
    const read = (day: string, uvIndex: number) =>
      entryOf(
        { kind: 'lamp', values: { uvIndex }, text: '' },
        { id: day, design: hedge.id, at: Date.parse(day), changed: 0 },
      );
    const log = [
      read('2025-06-01', 0.1),
      read('2026-01-10', 2),
      read('2026-04-10', 1.4),
      read('2026-07-10', 1),
    ];
    const found = meteredLamp(fitted, log, catalogue, utcDay);
    expect(found).not.toBeNull();
    expect(found!.readings).toBe(3);
    expect(found!.day > '2026-07-10' && found!.day < dayPlus('2026-07-10', 400)).toBe(true);
    expect(meteredLamp(fitted, [], catalogue, utcDay)).toBeNull();
    expect(
      meteredLamp({ ...fitted, climate: { ...fitted.climate, devices: [] } }, log, catalogue, utcDay),
    ).toBeNull();
  });
  it('of several lamps it is the youngest that begins the count: readings before it tell of the old one', () => {
    const hedge = demoDesigns(catalogue).find((it) => it.id === 'demo-hedge')!;
    const uv = hedge.climate.devices.find((it) => findDeviceKind(catalogue, it.kind)?.group === 'uv')!;
    const two = {
      ...hedge,
      climate: {
        ...hedge.climate,
        devices: [
          { ...uv, since: '2025-01-01' },
          { ...uv, id: 'second', since: '2026-04-01' },
        ],
      },
    };
    const log = (['2026-01-10', '2026-02-10', '2026-04-10', '2026-07-10'] as const).map((day, i) =>
      entryOf(
        { kind: 'lamp', values: { uvIndex: [3, 2.8, 2, 1][i]! }, text: '' },
        { id: day, design: hedge.id, at: Date.parse(day), changed: 0 },
      ),
    );
    const found = meteredLamp(two, log, catalogue, utcDay)!;
    expect(found.readings).toBe(2);
    // April to July, and as long again: 91 days.
    expect(found.upTo).toBe(dayPlus('2026-07-10', 91));
    // Halved in 91 days, by hand: from 1 to what is needed in 91 · log2(1 / needed) more.
    const days = 91 * Math.log2(1 / found.needed);
    expect(found.day).toBe(dayPlus('2026-07-10', Math.floor(Math.max(0, days))));
    // Its day is the keeper's own: twelve hours ahead of Greenwich the same moment may be a day later.
    const left = days - Math.floor(days);
    const ahead = meteredLamp(two, log, catalogue, (at) => utcDay(at + 86_400_000 * (1 - left)))!;
    expect(ahead.day).toBe(dayPlus(found.day, 1));
  });
  it('a meter shortens what the calendar says as it likes, and lengthens it as far as its readings reach', () => {
    const metered = (day: string) => ({ day, needed: 1, readings: 2, upTo: '2027-01-30' });
    expect(lampDay(metered('2026-10-01'), '2026-12-31')).toBe('2026-10-01');
    expect(lampDay(metered('2027-01-15'), '2026-12-31')).toBe('2027-01-15');
    expect(lampDay(metered('2027-09-30'), '2026-12-31')).toBe('2027-01-30');
    expect(lampDay(metered('2027-09-30'), '2027-03-01')).toBe('2027-03-01');
  });
});
