import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { demoDesigns } from '@/catalogue/demo';
import { applyEdit } from '../edits';
import { type Design } from '../document';
import { entryOf, type EntryKind, type EntryValues } from '../log';
import { DAY, HOUR, toSteps, trackOf, WEEK } from '../readings';
import { METRIC, formatMessage } from '../units';
import { differencesOf, sharedTime, weeksOf, whatItShows, type Kept } from '.';

const [bog, hedge] = demoDesigns(catalogue);
const START = Date.UTC(2026, 3, 6);
const line = (
  kind: EntryKind,
  day: number,
  rule: string | null = null,
  values: Partial<EntryValues> = {},
  outcome: 'done' | 'skipped' = 'done',
) =>
  entryOf(
    { kind, values, text: '', rule, outcome },
    { id: `${kind}${day}${rule}${outcome}`, design: 'a', at: START + day * DAY, changed: 0 },
  );
const kept = (days: number, value: number, log: Kept['log'] = []): Kept => ({
  design: 'a',
  log,
  points: [
    {
      series: {
        id: 's',
        design: 'a',
        name: 'warm',
        quantity: 'temperature',
        place: 'warm',
        at: null,
        instrument: '',
        source: null,
        alarm: null,
        changed: 0,
        gone: false,
      },
      track: trackOf(
        Array.from({ length: days * 24 }, (_, i) => START + i * HOUR),
        Array.from({ length: days * 24 }, (_, i) => toSteps(value + (i % 2), 'temperature')),
      ),
    },
  ],
  rules: [{ id: 'mist', minutes: 3 }],
  isDay: (at) => new Date(at).getUTCHours() >= 8,
  band: (_, __, day) => (day ? { low: 22, high: 26 } : { low: 18, high: 30 }),
});

describe('how designs differ', () => {
  it('a design does not differ from itself, and a fork only in what was changed', () => {
    expect(differencesOf([bog!, bog!], catalogue)).toEqual([]);
    const fork = applyEdit(
      { ...bog!, id: 'fork', name: 'Fork' },
      { edit: 'setClimate', change: { mist: { ...bog!.climate.mist, times: [{ at: 480, seconds: 99 }] } } },
      catalogue,
    );
    const found = differencesOf([bog!, fork], catalogue);
    expect(found.map((it) => [it.where, it.what])).toEqual([['climate', 'Mist']]);
    expect(formatMessage(found[0]!.sides[1]!, { prefs: METRIC, locale: 'en' })).toContain('99 s');
  });
  it('a vent made smaller or closed is told, and a fogger turned down', () => {
    const says = (fork: Design): readonly (readonly string[])[] =>
      differencesOf([airy, fork], catalogue).map((it) => [
        it.what,
        formatMessage(it.sides[1]!, { prefs: METRIC, locale: 'en' }).replaceAll(/\s/g, ' '),
      ]);
    const airy = applyEdit(bog!, { edit: 'addVent', change: { wall: 'left', where: 'low' } }, catalogue);
    const vent = airy.climate.vents.at(-1)!;
    const to = (area: number): Design =>
      applyEdit(airy, { edit: 'setVent', change: { vent: vent.id, change: { area } } }, catalogue);
    expect(says(to(0.0016))).toEqual([['Vents', 'left 4 cm square']]);
    expect(says(to(0))).toEqual([['Vents', 'left closed']]);
    const fogger = airy.climate.devices.find((it) => it.humidistat && it.kind === 'fogger')!;
    const down = applyEdit(
      airy,
      { edit: 'setDevice', change: { device: fogger.id, change: { dim: 0.4 } } },
      catalogue,
    );
    expect(says(down)[0]![1]).toMatch(/turned down to 40 ?%/);
  });
  it('what only one has stands against nothing', () => {
    const found = differencesOf([bog!, hedge!], catalogue);
    expect(found.find((it) => it.what === 'Animal')!.sides.map((it) => it.join(''))).toEqual([
      'Vietnamese mossy frog',
      'green anole',
    ]);
    expect(found.some((it) => it.sides.some((side) => side.join('') === '–'))).toBe(true);
    for (const it of found)
      expect(new Set(it.sides.map((side) => JSON.stringify(side))).size).toBeGreaterThan(1);
  });
});

describe('the same weeks', () => {
  it('begin where the last begins and end where the first ends', () => {
    expect(sharedTime([kept(30, 23), kept(20, 23)])).toEqual({
      from: START,
      to: START + (20 * 24 - 1) * HOUR,
    });
    expect(sharedTime([kept(30, 23), { ...kept(1, 23), points: [] }])).toBeNull();
  });
  it('hold readings in and out of the band, losses, meals and work', () => {
    const log = [
      line('plant-lost', 2),
      line('death', 3, null, { count: 2 }),
      line('feed', 4),
      line('feed', 5, null, { refused: true }),
      line('mist', 1, 'mist'),
      line('mist', 6, 'mist'),
      line('mist', 7, 'mist', {}, 'skipped'),
      line('crew', 40),
      { ...line('mould', 2), gone: true },
    ];
    const found = weeksOf(kept(30, 21), START, START + 28 * DAY);
    expect(found.readings.get('temperature warm')).toMatchObject({ low: 21, high: 22, mean: 21.5 });
    // By night all lie inside; by day, eight to midnight, every second one does.
    expect(found.readings.get('temperature warm')!.inside).toBeCloseTo((8 + 8) / 24, 3);
    expect(weeksOf({ ...kept(1, 20), log }, START, START + 28 * DAY)).toMatchObject({
      lost: { plants: 1, animals: 2 },
      seen: { crew: 0, mould: 0 },
      meals: { given: 2, refused: 1 },
      work: { done: 2, skipped: 1, minutes: 6 },
    });
  });
  const ask = {
    boxes: 2,
    differences: 1,
    rooms: false,
    starts: false,
    shared: { from: 0, to: 12 * WEEK },
    read: true,
  };
  it.each([
    [{ differences: 1 }, /differ in one thing/],
    [{ differences: 5 }, /cannot be laid to any one/],
    [{ differences: 0 }, /how far chance goes/],
    [{ shared: null }, /no time in common/],
    [{ shared: { from: 0, to: 3 * WEEK } }, /too short for plants/],
    [{ rooms: true }, /rooms differ/],
    [{ starts: true }, /different ages/],
    [{ read: false }, /Nothing was read by a sensor/],
  ])('%j is said plainly', (change, said) => {
    expect(whatItShows({ ...ask, ...change }).join(' ')).toMatch(said);
  });
});
