import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { careRules, dueOf, careOf } from '../care';
import { forecast, readyOf, seasonLines, type ClimateSummary } from '../climate';
import { differencesOf } from '../compare';
import { METRIC, formatMessage } from '../units';
import { judgeUv } from '../fitting';
import { layGround } from '../ground/layers';
import { applyEdit, coverEdit, type EditCall } from './';
import {
  Design,
  DESIGN_VERSION,
  migrate,
  monthOfDay,
  monthsOf,
  OFF,
  seasonOn,
  settingsAt,
  settingsOn,
  withSeason,
  type SeasonSettings,
} from '../document';
import { proposeDesign } from '../propose';

const FIRST: readonly EditCall[] = [
  { edit: 'proposeScape', change: {} },
  { edit: 'proposeClimate', change: {} },
];
const made = (animal: string): Design =>
  FIRST.reduce(
    (design, call) => applyEdit(design, call, catalogue),
    proposeDesign(
      {
        id: 'x',
        name: 'x',
        animal,
        count: 1,
        size: null,
        room: { kind: 'middle', temperature: null, humidity: null },
      },
      catalogue,
    ),
  );
const geckos = made('correlophus-ciliatus');
const dragon = made('pogona-vitticeps');
const summer = { id: 'summer', name: 'Summer', from: 6, until: 9 } as const;
const winter = { id: 'winter', name: 'Winter', from: 11, until: 2 } as const;
const nothing: Pick<SeasonSettings, 'topCover' | 'mist' | 'devices'> = {
  topCover: null,
  mist: null,
  devices: [],
};
const withPart = (design: Design, part: SeasonSettings): Design =>
  applyEdit(design, { edit: 'setSeason', change: part }, catalogue);
const heater = dragon.climate.devices.find((it) => it.thermostat && it.timer.by === 'always')!;

describe('settings by season', () => {
  it('hold in their months, over New Year too, and nowhere else', () => {
    expect([1, 31, 32, 59, 60, 151, 152, 365].map(monthOfDay)).toEqual([1, 1, 2, 2, 3, 5, 6, 12]);
    expect(monthsOf(winter)).toEqual([11, 12, 1, 2]);
    expect(monthsOf({ from: 6, until: 6 })).toEqual([6]);
    const both = withPart(withPart(geckos, { ...summer, ...nothing, topCover: 0.2 }), {
      ...winter,
      ...nothing,
      topCover: 0.9,
    });
    const cover = (day: number): number => settingsOn(both, day).enclosure.topCover;
    expect([15, 59, 60, 151, 152, 273, 274, 304, 305].map(cover)).toEqual([
      0.9,
      0.9,
      geckos.enclosure.topCover,
      geckos.enclosure.topCover,
      0.2,
      0.2,
      geckos.enclosure.topCover,
      geckos.enclosure.topCover,
      0.9,
    ]);
    expect(settingsOn(geckos, 196)).toBe(geckos);
    expect(seasonOn(both, 100)).toBeUndefined();
  });

  it('never hold a month twice: by an edit, nor from a file, which names the place', () => {
    const one = withPart(geckos, { ...summer, ...nothing, topCover: 0.2 });
    expect(withPart(one, { ...winter, ...nothing, until: 6 })).toBe(one);
    const file = {
      ...one,
      climate: {
        ...one.climate,
        seasons: [one.climate.seasons[0], { ...one.climate.seasons[0], id: 'again' }],
      },
    };
    const { error } = Design.safeParse(file);
    expect(error?.issues[0]?.path).toEqual(['climate', 'seasons']);
    expect(error?.issues[0]?.message).toMatch(/same month/);
  });

  it('what a part of the year sets otherwise comes back as it was set, whatever it is', () => {
    const change = fc.record({
      cover: fc.integer({ min: 0, max: 20 }).map((it) => it / 20),
      day: fc.option(fc.integer({ min: 10, max: 40 })),
      dim: fc.integer({ min: 1, max: 20 }).map((it) => it / 20),
      off: fc.boolean(),
      pulls: fc.integer({ min: 2, max: 60 }),
      every: fc.integer({ min: 1, max: 7 }),
    });
    fc.assert(
      fc.property(change, ({ cover, day, dim, off, pulls, every }) => {
        const changed: Design = {
          ...dragon,
          enclosure: { ...dragon.enclosure, topCover: cover },
          climate: {
            ...dragon.climate,
            mist: { ...dragon.climate.mist, times: [{ at: 600, seconds: pulls }], everyDays: every },
            devices: dragon.climate.devices.map((it) =>
              it.id === heater.id
                ? {
                    ...it,
                    dim,
                    timer: off ? OFF : it.timer,
                    thermostat: it.thermostat && { ...it.thermostat, day },
                  }
                : it,
            ),
          },
        };
        const set = withSeason(dragon, summer, changed)!;
        expect(Design.safeParse(set).error).toBeUndefined();
        const then = settingsOn(set, 196).climate;
        expect({ ...then, seasons: [] }).toEqual({ ...changed.climate, seasons: [] });
        expect(settingsOn(set, 196).enclosure).toEqual(changed.enclosure);
        expect(settingsOn(set, 15).climate.devices).toEqual(dragon.climate.devices);
      }),
      { numRuns: 50 },
    );
  });

  it('cannot hang or buy anything for a part of the year', () => {
    const fewer = applyEdit(dragon, { edit: 'removeDevice', change: { device: heater.id } }, catalogue);
    expect(withSeason(dragon, summer, fewer)).toBeNull();
    const moved = applyEdit(
      dragon,
      { edit: 'moveDevice', change: { device: heater.id, to: { ...heater.at, x: 0.1 } } },
      catalogue,
    );
    expect(withSeason(dragon, summer, moved)).toBeNull();
    expect(withSeason(dragon, summer, dragon)!.climate.seasons).toEqual([]);
  });

  it('go with the device they are of, and afresh with a new climate', () => {
    const set = withPart(dragon, {
      ...summer,
      ...nothing,
      devices: [{ device: heater.id, timer: OFF, dim: null, thermostat: null, humidistat: null }],
    });
    const gone = applyEdit(set, { edit: 'removeDevice', change: { device: heater.id } }, catalogue);
    expect(gone.climate.seasons[0]?.devices).toEqual([]);
    expect(applyEdit(set, { edit: 'proposeClimate', change: {} }, catalogue).climate.seasons).toEqual([]);
    expect(
      applyEdit(set, { edit: 'removeSeason', change: { season: 'summer' } }, catalogue).climate.seasons,
    ).toEqual([]);
  });

  it('a file of version 8 has one setting all year', () => {
    const climate = Object.fromEntries(Object.entries(geckos.climate).filter(([name]) => name !== 'seasons'));
    const read = migrate({ ...geckos, version: 8, climate });
    expect(read.ok && read.document.version).toBe(DESIGN_VERSION);
    expect(read.ok && Design.parse(read.document)).toEqual(geckos);
  });
});

describe('what a part of the year does', () => {
  const warmest = ({ hottest }: ClimateSummary): number => hottest;
  const off = withPart(dragon, {
    ...summer,
    ...nothing,
    devices: dragon.climate.devices
      .filter((it) => it.thermostat)
      .map((it) => ({ device: it.id, timer: OFF, dim: null, thermostat: null, humidistat: null })),
  });

  it('the forecast of its season goes by it, those of the others do not', () => {
    const of = (design: Design, season: 'winter' | 'summer') =>
      forecast(design, catalogue, { span: 'day', season, seed: 1 }).answers;
    expect(of(off, 'winter')).toEqual(of(dragon, 'winter'));
    // The room is at 22.6 °C in summer; lights alone warm the box by a few kelvin, its heat by more.
    expect(warmest(of(dragon, 'summer'))).toBeGreaterThan(29);
    expect(warmest(of(off, 'summer'))).toBeLessThan(27.5);
  });

  it('a year goes from one setting to the next: July by the one, May by the other', () => {
    const year = forecast(off, catalogue, { span: 'year', season: 'winter', seed: 3 });
    const same = forecast(dragon, catalogue, { span: 'year', season: 'winter', seed: 3 });
    expect(year.run.t.length).toBe(same.run.t.length);
    expect(year.run.days).toBe(365);
    expect([...year.run.t].every((t, i) => t === i * 3600)).toBe(true);
    const power = (run: typeof year.run, from: number, to: number): number => {
      let sum = 0;
      for (let hour = from * 24; hour < to * 24; hour += 1) sum += run.series.watts[hour] ?? 0;
      return sum / ((to - from) * 24);
    };
    const lights = dragon.climate.devices
      .filter((it) => !it.thermostat && it.timer.by === 'day')
      .reduce((sum, it) => sum + it.power * it.dim, 0);
    // July: lights only, half of the day. May as without a summer.
    expect(power(year.run, 190, 200)).toBeCloseTo(lights / 2, -1);
    expect(power(year.run, 130, 140)).toBeCloseTo(power(same.run, 130, 140), 0);
    expect(year.answers.energyPerDay).toBeLessThan(same.answers.energyPerDay);
    expect(year.run.heat.off).toBeLessThan(1e-6);
    expect(year.run.water.off).toBeLessThan(1e-6);
  });

  it('UV is judged in the part of the year that is out of its zone, and told by its name', () => {
    const animal = catalogue.animals.find((it) => it.id === 'pogona-vitticeps')!;
    const ground = layGround(dragon, catalogue);
    const tube = dragon.climate.devices.find((it) => it.kind.startsWith('uv-'))!;
    const dark = withPart(dragon, {
      ...winter,
      ...nothing,
      devices: [{ device: tube.id, timer: OFF, dim: null, thermostat: null, humidistat: null }],
    });
    expect(judgeUv(dragon, animal, ground, catalogue)).toMatchObject({ answer: 'inside', season: null });
    expect(judgeUv(dark, animal, ground, catalogue)).toMatchObject({ answer: 'weak', season: 'Winter' });
    expect(readyOf(dark, catalogue, 15, ground).plan(0).heaters.flat().length).toBeLessThan(
      readyOf(dragon, catalogue, 15, ground).plan(0).heaters.flat().length,
    );
  });

  it('is told as a difference, thing by thing', () => {
    const [line] = seasonLines(off, off.climate.seasons[0]!);
    expect(line?.what).toBe(dragon.climate.devices.find((it) => it.thermostat)!.name);
    expect(line?.then).toEqual(['off']);
    const told = differencesOf([dragon, off], catalogue);
    expect(told.every((it) => it.what.startsWith('Summer (June to September): '))).toBe(true);
    expect(told.map((it) => it.sides)).toContainEqual([['–'], ['off']]);
  });
});

describe('care of an enclosure set by season', () => {
  const misted: Design = {
    ...geckos,
    climate: {
      ...geckos.climate,
      mist: { by: 'hand', times: [{ at: 480, seconds: 12 }], everyDays: 2, bottle: null },
    },
  };
  const set = withPart(misted, {
    ...summer,
    topCover: 0.1,
    mist: {
      times: [
        { at: 480, seconds: 20 },
        { at: 1200, seconds: 20 },
      ],
      everyDays: 1,
    },
    devices: [],
  });

  it('reminds on the first of the months that change over, with what is set then', () => {
    const rule = careRules(set, catalogue).find((it) => it.id === 'seasons')!;
    expect(rule.when).toEqual({ by: 'calendar', rrule: 'FREQ=YEARLY;BYMONTH=6,10;BYMONTHDAY=1' });
    expect(
      formatMessage(rule.amount, { prefs: METRIC }).replaceAll('\u202f', ' ').replaceAll('\u00a0', ' '),
    ).toBe(
      `Summer, June to September: Cover of the top 10 % (in the rest of the year ${Math.round(100 * geckos.enclosure.topCover)} %); Mist 20 pulls at 08:00, 20 pulls at 20:00 (in the rest of the year 12 pulls at 08:00 every 2 days)`,
    );
    expect(careRules(misted, catalogue).some((it) => it.id === 'seasons')).toBe(false);
  });

  it('is in force by the date, also where a cover is changed because of what was read', () => {
    const part = { ...summer, ...nothing, topCover: 0.2 };
    const design = withPart(geckos, part);
    const cover = geckos.enclosure.topCover;
    expect(
      ['2026-05-31', '2026-06-01', '2026-09-30', '2026-10-01'].map(
        (it) => settingsAt(design, it).enclosure.topCover,
      ),
    ).toEqual([cover, 0.2, 0.2, cover]);
    expect(settingsAt(design, new Date(2026, 6, 1).getTime()).enclosure.topCover).toBe(0.2);
    expect(coverEdit(design, '2026-07-01', 0.5)).toEqual({
      edit: 'setSeason',
      change: { ...part, topCover: 0.5 },
    });
    expect(coverEdit(design, '2026-01-01', 0.5)).toEqual({ edit: 'setEnclosure', change: { topCover: 0.5 } });
    // A part of the year without a cover of its own has that of the year.
    const misted = withPart(geckos, { ...part, topCover: null, mist: { times: [], everyDays: 1 } });
    expect(coverEdit(misted, '2026-07-01', 0.5)).toEqual({ edit: 'setEnclosure', change: { topCover: 0.5 } });
    const after = applyEdit(design, coverEdit(design, '2026-07-01', 0.5), catalogue);
    expect([settingsAt(after, '2026-07-01').enclosure.topCover, after.enclosure.topCover]).toEqual([
      0.5,
      cover,
    ]);
  });

  it('mists by the plan of the month', () => {
    const mist = careRules(set, catalogue).filter((it) => it.what === 'Mist by hand');
    expect(mist.map((it) => [it.id, it.when, it.amount])).toEqual([
      [
        'mist',
        { by: 'calendar', rrule: 'FREQ=DAILY;INTERVAL=2;BYMONTH=1,2,3,4,5,10,11,12' },
        ['12 pulls at 08:00'],
      ],
      [
        'mist-summer',
        { by: 'calendar', rrule: 'FREQ=DAILY;BYMONTH=6,7,8,9' },
        ['20 pulls at 08:00, 20 pulls at 20:00'],
      ],
    ]);
  });

  it('asks for the last change-over only, and never for that of a year ago', () => {
    const rules = careOf(set, catalogue).filter((it) => it.id === 'seasons');
    const due = (today: string, done: string | null) =>
      dueOf(rules, new Map(done === null ? [] : [['seasons', done]]), '2024-03-01', today)[0]!;
    expect(due('2026-07-04', null)).toMatchObject({ day: '2026-06-01', late: 33 });
    expect(due('2026-07-04', '2026-06-02')).toMatchObject({ day: '2026-10-01' });
    expect(due('2026-11-27', '2025-06-02')).toMatchObject({ day: '2026-10-01', late: 57 });
    expect(due('2026-05-20', '2025-10-01')).toMatchObject({ day: '2026-06-01', late: -12 });
  });
});
