import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { applyEdit, type EditCall, foundIn } from '../edits';
import { Design, type Room } from '../document';
import { proposeDesign } from '../propose';
import { layGround } from '../ground';
import { dayLength } from '../light';
import {
  summarize,
  bandsOf,
  burned,
  dayOfSeason,
  lightHours,
  momentsOf,
  climateModelOf,
  profileOf,
  seasonAt,
  reader,
  SERIES,
  sunThrough,
  timetableOf,
  weatherOf,
  windowsOf,
  type Run,
  type SeriesName,
  type Timetable,
} from '.';
import { seededRandom, normal } from '../random';
import { byMonth } from './weather';
import type { BoxModel } from './box';
import { boxOf, FLAT, INDOORS, TWO_MISTS } from './testing';
import { DAY } from '../physics/constants';

const HOUR = 3600;

const made = (edits: readonly EditCall[] = []): Design =>
  edits.reduce(
    (design, call) => applyEdit(design, call, catalogue),
    proposeDesign(
      {
        id: 'x',
        name: 'x',
        animal: 'goniurosaurus-hainanensis',
        count: 1,
        size: { width: 0.6, depth: 0.45, height: 0.45 },
        room: { kind: 'middle', temperature: null, humidity: null },
      },
      catalogue,
    ),
  );

describe('chance', () => {
  it('the same seed gives the same numbers; they are even, and normal ones have mean 0 and spread 1', () => {
    const [a, b] = [seededRandom(7), seededRandom(7)];
    expect(Array.from({ length: 5 }, a)).toEqual(Array.from({ length: 5 }, b));
    const next = seededRandom(3);
    const list = Array.from({ length: 4000 }, () => normal(next));
    const mean = list.reduce((sum, it) => sum + it, 0) / list.length;
    const spread = Math.sqrt(list.reduce((sum, it) => sum + (it - mean) ** 2, 0) / list.length);
    expect(Math.abs(mean)).toBeLessThan(0.06);
    expect(spread).toBeCloseTo(1, 1);
  });
});

describe('the room', () => {
  const asked = { profile: FLAT, standing: INDOORS, pressure: 101_325, from: 10, days: 30, front: 0.2 };
  it('the same seed is the same weather, another is not; its mean is the profile’s', () => {
    const one = weatherOf({ ...asked, seed: 4 });
    expect(weatherOf({ ...asked, seed: 4 })).toEqual(one);
    expect(weatherOf({ ...asked, seed: 5 }).temperature).not.toEqual(one.temperature);
    const calm = weatherOf({ ...asked, seed: null });
    const mean = calm.temperature.slice(0, 720).reduce((sum, it) => sum + it, 0) / 720;
    expect(mean).toBeCloseTo(21, 1);
    expect(Math.max(...calm.temperature)).toBeCloseTo(22.5, 1);
  });
  it('a radiator warms a box beside it by 2.5 K by day in winter, an outside wall cools it by 1.5 K', () => {
    const told = (standing: Partial<typeof INDOORS>) =>
      weatherOf({ ...asked, standing: { ...INDOORS, ...standing }, seed: null }).temperature;
    const plain = told({});
    // The tenth of January, at noon and at two in the morning.
    for (const [hour, share] of [
      [12, 1],
      [26, 0.4],
    ] as const) {
      const winter = (told({ radiator: true })[hour]! - plain[hour]!) / (2.5 * share);
      expect(winter).toBeGreaterThan(0.9);
      expect(winter).toBeLessThanOrEqual(1);
      expect(told({ outsideWall: true })[hour]! - plain[hour]!).toBeCloseTo(-1.5 * winter, 6);
    }
  });
  it('months are met in their middle', () => {
    const values = [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12];
    expect(byMonth(values, 365.25 / 24)).toBeCloseTo(1, 6);
    expect(byMonth(values, (365.25 / 12) * 6.5)).toBeCloseTo(7, 6);
    expect(byMonth(values, 365.25 / 12)).toBeCloseTo(1.5, 6);
  });
  it('is read between its hours', () => {
    const weather = {
      step: 3600,
      temperature: new Float64Array([10, 20]),
      ratio: new Float64Array([0.004, 0.008]),
      sun: new Float64Array([0, 100]),
    };
    const now = { temperature: 0, ratio: 0, sun: 0 };
    reader(weather)(1800, now);
    expect(now).toEqual({ temperature: 15, ratio: expect.closeTo(0.006, 12), sun: 50 });
  });
  it('a classroom cools at night and at the weekend, in winter only', () => {
    const school = catalogue.climate.rooms.find((it) => it.id === 'classroom')!;
    const profile = {
      temperature: school.temperature.value,
      humidity: school.humidity.value,
      swing: 0,
      setback: school.setback,
      scatter: [0, 0] as const,
    };
    const winter = weatherOf({ ...asked, profile, seed: null, from: 15, days: 7 });
    const spread = (weather: ReturnType<typeof weatherOf>): number =>
      Math.max(...weather.temperature) - Math.min(...weather.temperature);
    expect(spread(winter)).toBeGreaterThan(2.5);
    expect(spread(weatherOf({ ...asked, profile, seed: null, from: 196, days: 7 }))).toBeLessThan(0.5);
  });
  it('sun comes through a south window at noon in winter, never through a north one', () => {
    const standing = { ...INDOORS, sunlit: 1 };
    expect(sunThrough({ ...standing, window: 180 }, 15, 12)).toBeGreaterThan(150);
    expect(sunThrough({ ...standing, window: 0 }, 15, 12)).toBe(0);
    expect(sunThrough({ ...standing, window: 180 }, 15, 22)).toBe(0);
    expect(sunThrough({ ...standing, window: null }, 15, 12)).toBe(0);
  });
  it('a logger’s record replaces the preset, and a preset the brief', () => {
    const log = {
      name: 'a',
      temperature: Array<number>(12).fill(18),
      humidity: Array<number>(12).fill(0.7),
      swing: 2,
    };
    expect(
      profileOf(made([{ edit: 'setClimateRoom', change: { log, preset: 'cellar' } }]), catalogue)
        .temperature[0],
    ).toBe(18);
    const cellar = profileOf(made([{ edit: 'setClimateRoom', change: { preset: 'cellar' } }]), catalogue);
    expect(cellar.temperature[0]).toBe(13);
    const brief = profileOf(made(), catalogue);
    expect(brief.humidity.reduce((sum, it) => sum + it, 0) / 12).toBeCloseTo(0.5, 1);
  });
  it('a humid room is what a dwelling is designed for at most: 23.9 °C and 70 % (ASHRAE 160; from memory)', () => {
    const told = (room: Room): ReturnType<typeof profileOf> =>
      profileOf(made([{ edit: 'setRoom', change: room }]), catalogue);
    const humid = told({ kind: 'humid', temperature: null, humidity: null });
    expect(Math.max(...humid.temperature)).toBeCloseTo(23.9, 6);
    expect(Math.max(...humid.humidity)).toBeCloseTo(0.7, 6);
    expect(Math.min(...humid.humidity)).toBeCloseTo(0.588, 6);
    // What was measured damper than that is believed.
    expect(Math.max(...told({ kind: null, temperature: 26, humidity: 0.82 }).humidity)).toBeCloseTo(0.82, 6);
  });
  it('the season nearest to a moment, on both halves of the earth', () => {
    const at = (month: number, day: number): number => new Date(2026, month - 1, day, 12).getTime();
    const names = (latitude: number) =>
      [at(1, 1), at(3, 1), at(3, 20), at(6, 30), at(9, 20), at(12, 20)].map((it) => seasonAt(it, latitude));
    expect(names(50)).toEqual(['winter', 'winter', 'spring', 'summer', 'autumn', 'winter']);
    expect(names(-30)).toEqual(['summer', 'summer', 'autumn', 'winter', 'spring', 'summer']);
  });
});

describe('the timetable', () => {
  it('hours by the clock, or by a latitude round their middle', () => {
    const { climate } = made();
    expect(lightHours(climate, 15)).toEqual({ from: 8 * HOUR, to: 20 * HOUR });
    const far = { ...climate, day: { ...climate.day, by: 'latitude' as const, latitude: 45 } };
    const june = lightHours(far, 172);
    expect((june.to - june.from) / HOUR).toBeCloseTo(dayLength(45, 172), 1);
    expect((june.to + june.from) / 2 / HOUR).toBeCloseTo(14, 1);
  });
  it('night is what the day is not', () => {
    const night = windowsOf({ by: 'night' }, { from: 8 * HOUR, to: 20 * HOUR });
    expect(night).toEqual([
      { from: 0, to: 8 * HOUR },
      { from: 20 * HOUR, to: DAY },
    ]);
  });
  it('mist every third day; a fan half an hour in every ninety minutes', () => {
    const design = made([
      { edit: 'proposeClimate', change: {} },
      { edit: 'addDevice', change: { kind: 'fan-small' } },
    ]);
    const fan = design.climate.devices.at(-1)!;
    const turned = applyEdit(
      design,
      {
        edit: 'setDevice',
        change: { device: fan.id, change: { duty: { on: 30, every: 90 }, timer: { by: 'always' } } },
      },
      catalogue,
    );
    const seldom = {
      ...turned,
      climate: { ...turned.climate, mist: { ...turned.climate.mist, everyDays: 3 } },
    };
    const model = climateModelOf(seldom, layGround(seldom, catalogue), catalogue);
    const on = (count: number): number =>
      timetableOf(seldom, model, catalogue, 15, count).wetters.flat().length;
    expect([on(0), on(1), on(2), on(3)].map((it) => it > 0)).toEqual([true, false, false, true]);
    const turns = timetableOf(seldom, model, catalogue, 15, 0).fans[0]!;
    expect(turns).toHaveLength(16);
    expect(turns[1]).toEqual({ from: 5400, to: 7200 });
  });
  it('moments are all that is switched, once each, in order', () => {
    expect(momentsOf(TWO_MISTS)).toEqual([
      8 * HOUR,
      8 * HOUR + 30,
      9 * HOUR,
      19 * HOUR,
      19 * HOUR + 30,
      20 * HOUR,
    ]);
  });
  it('seasons are those of the room’s half of the world', () => {
    expect(dayOfSeason('winter', 50)).toBe(15);
    expect(dayOfSeason('winter', -35)).toBe(198);
  });
  it('a tube that was lit a hundred days ago has burned 1200 h', () => {
    const device = made([{ edit: 'addDevice', change: { kind: 'uv-tube-low' } }]).climate.devices[0]!;
    expect(burned({ ...device, since: '2026-01-01' }, '2026-04-11', 12)).toBe(1200);
    expect(burned(device, '2026-04-11', 12)).toBe(0);
  });
});

describe('answers, from a run worked by hand', () => {
  const n = 24 * 4 + 1;
  const flat = (value: number): Float32Array => new Float32Array(n).fill(value);
  const t = Float64Array.from({ length: n }, (_, i) => i * 900);
  const lit = (i: number): boolean => t[i]! % DAY >= 8 * HOUR && t[i]! % DAY < 20 * HOUR;
  const series = (told: Partial<Record<SeriesName, Float32Array>>): Run['series'] =>
    ({ ...Object.fromEntries(SERIES.map((name) => [name, flat(0)])), ...told }) as Run['series'];
  const balance = { in: 0, out: 0, change: 0, off: 0 };
  const run = (told: Partial<Record<SeriesName, Float32Array>>): Run => ({
    t,
    begin: new Float64Array(0),
    series: series(told),
    powers: [],
    chambers: [],
    end: new Float64Array(0),
    water: balance,
    heat: balance,
    drawn: [0.12],
    used: [3.6e6],
    poured: 0.05,
    steps: 0,
    days: 1,
  });
  const box = {
    ...boxOf(),
    wetters: [{ id: 'n', rate: 0.001, targets: [], control: null, bottle: 'bottle' }],
  };
  const bands = bandsOf(undefined);
  const answers = (told: Partial<Record<SeriesName, Float32Array>>, bottle: number | null = 1.2) =>
    summarize({ run: run(told), box, bands, plan: (): Timetable => TWO_MISTS, bottle, bedFull: 10 });

  it('hours in band by day and by night, gradient and drop', () => {
    const warm = Float32Array.from(t, (_, i) => (lit(i) ? 25 : 19));
    const it = answers({ felt0: warm, felt1: flat(21), rh0: flat(0.7), rh2: flat(0.7) });
    expect(it.warm.day.inside).toBe(1);
    expect(it.warm.night.inside).toBe(1);
    // The hour after the lights went on or off belongs to neither.
    expect(it.warm.day.hours + it.warm.night.hours).toBeCloseTo(22, 9);
    expect(it.gradient).toBeCloseTo(4, 6);
    expect(it.nightDrop).toBeCloseTo(6, 6);
    expect(it.humidInside).toBe(1);
  });
  it('too dry by day only: half of the hours', () => {
    const it = answers({
      rh0: Float32Array.from(t, (_, i) => (lit(i) ? 0.3 : 0.8)),
      rh2: Float32Array.from(t, (_, i) => (lit(i) ? 0.3 : 0.8)),
    });
    expect(it.humidity.day.under).toBe(1);
    expect(it.humidity.night.inside).toBe(1);
    expect(it.humidInside).toBeCloseTo(0.5, 2);
  });
  it('bottle, energy, dishes and the filling bed', () => {
    const it = answers({
      reservoir: Float32Array.from(t, (_, i) => 2 + (i / (n - 1)) * 0.5),
      water: flat(1),
    });
    expect(it.bottleDays).toBeCloseTo(10, 6);
    expect(it.energyPerDay).toBe(3.6e6);
    expect(it.bedGain).toBeCloseTo(0.5, 6);
    expect(it.bedDays).toBeCloseTo((10 - 2.5) / 0.5, 5);
    expect(it.drinkDish).toBe(1);
    expect(answers({}, null).bottleDays).toBeNull();
  });
  it('a bottle of its own lasts by what is drawn from it, not from that of the nozzles', () => {
    // As much is drawn a day as in the case above: a tenth of 1.2 kg.
    const [nozzle] = box.wetters;
    const fogs: BoxModel = { ...box, wetters: [{ ...nozzle!, bottle: null, tank: 0.6 }] };
    const it = summarize({ run: run({}), box: fogs, bands, plan: () => TWO_MISTS, bottle: 1.2, bedFull: 10 });
    expect(it.ownBottles).toEqual([
      {
        device: 'n',
        perDay: expect.closeTo(0.12, 9) as number,
        holds: 0.6,
        days: expect.closeTo(5, 6) as number,
      },
    ]);
    expect(it.bottleDays).toBeNull();
    expect(answers({}).ownBottles).toEqual([]);
  });
  it('wet leaves, fogged glass and the dry-down after a misting', () => {
    const mist = flat(0);
    mist[33] = 0.02;
    const damp = Float32Array.from(t, (_, i) => (i < 33 ? 0.7 : i < 45 ? 0.9 - (i - 33) * 0.025 : 0.5));
    const leaf = Float32Array.from(t, (_, i) => (i >= 33 && i < 41 ? 0.05 : 0));
    const it = answers({ mist, rh0: damp, rh2: damp, leaf1: leaf, fogged: leaf });
    expect(it.wetPerDay).toBeCloseTo(2, 6);
    expect(it.wetPerMisting).toBeCloseTo(2, 6);
    expect(it.wetByNight).toBe(0);
    expect(it.foggedPerDay).toBeCloseTo(2, 6);
    // 0.9 falls under 0.55 with the twelfth quarter of an hour that is not misted.
    expect(it.dryDown).toBeCloseTo(3, 6);
  });
});

describe('edits of the climate', () => {
  const kinds = catalogue.climate.devices.map((it) => it.id);
  const number = fc.double({ min: -2, max: 3, noNaN: true });
  const call: fc.Arbitrary<EditCall> = fc.oneof(
    fc.constantFrom(...kinds).map((kind): EditCall => ({ edit: 'addDevice', change: { kind } })),
    fc
      .record({ x: number, y: number, z: number })
      .map((to): EditCall => ({ edit: 'moveDevice', change: { device: 'device-1', to } })),
    number.map((dim): EditCall => ({
      edit: 'setDevice',
      change: { device: 'device-1', change: { dim, power: dim * 4000 } },
    })),
    fc
      .constantFrom('low' as const, 'high' as const)
      .map((where): EditCall => ({ edit: 'addVent', change: { wall: 'back', where } })),
    number.map((area): EditCall => ({
      edit: 'setVent',
      change: { vent: 'vent-1', change: { area, height: area } },
    })),
    fc.constant<EditCall>({ edit: 'removeDevice', change: { device: 'device-1' } }),
    fc.constant<EditCall>({ edit: 'proposeClimate', change: {} }),
    fc.double({ min: -1, max: 2, noNaN: true }).map((cover): EditCall => ({
      edit: 'adoptFound',
      change: { ...foundIn(made()), topCover: cover },
    })),
  );
  it('property: whatever is done, the design can be written and read', () => {
    fc.assert(
      fc.property(fc.array(call, { maxLength: 12 }), (calls) => {
        const design = calls.reduce((sum, it) => applyEdit(sum, it, catalogue), made());
        expect(Design.safeParse(design).error?.issues ?? []).toEqual([]);
        for (const { at } of design.climate.devices) {
          expect(at.x).toBeGreaterThanOrEqual(0);
          expect(at.x).toBeLessThanOrEqual(design.enclosure.width);
          expect(at.z).toBeLessThanOrEqual(design.enclosure.height + 0.5);
        }
        climateModelOf(design, layGround(design, catalogue), catalogue);
      }),
      { numRuns: 40 },
    );
  });
  it('an unknown kind changes nothing; copies are told apart by name', () => {
    const design = made();
    expect(applyEdit(design, { edit: 'addDevice', change: { kind: 'none such' } }, catalogue)).toBe(design);
    const two = made([
      { edit: 'addDevice', change: { kind: 'led-bar' } },
      { edit: 'addDevice', change: { kind: 'led-bar' } },
    ]);
    expect(two.climate.devices.map((it) => it.name)).toEqual(['LED bar', 'LED bar 2']);
  });
  it('what was found is taken over whole, in one step: cover, strips, devices, mist and hours of light', () => {
    const design = made([{ edit: 'addDevice', change: { kind: 'fan-small' } }]);
    const found = applyEdit(
      made([{ edit: 'addDevice', change: { kind: 'fogger' } }]),
      { edit: 'setClimate', change: { day: { by: 'clock', on: 540, off: 1260, latitude: 20 } } },
      catalogue,
    );
    const change = { ...foundIn(found), topCover: 0.4, made: { ...found.enclosure.made, ventLow: 0.05 } };
    const next = applyEdit(design, { edit: 'adoptFound', change }, catalogue);
    expect(next.climate.devices.map((it) => it.kind)).toEqual(['fogger']);
    expect(next.climate.day.on).toBe(540);
    expect([next.enclosure.topCover, next.enclosure.made.ventLow]).toEqual([0.4, 0.05]);
    expect(foundIn(next)).toEqual(change);
    // The room, the gauze and what else belongs to the box stay.
    expect(next.climate.room).toEqual(design.climate.room);
    expect(next.scape).toBe(design.scape);
  });
  it('catalogue rows are sound: names once each, shares within bounds, a heater is a heater', () => {
    const { devices, gauzes, rooms } = catalogue.climate;
    expect(new Set(devices.map((it) => it.name)).size).toBe(devices.length);
    for (const it of devices) {
      expect(it.radiant.value).toBeLessThanOrEqual(1);
      if (it.form === 'bulb') expect(it.half).toBeDefined();
      if (it.uvIndex) expect(it.uvHalf).toBeDefined();
      if (it.heats && it.form !== 'heater') expect(it.clearance).toBeDefined();
      if (it.lumensPerWatt) expect(it.light).toBeDefined();
    }
    for (const it of gauzes) expect(it.open.value).toBeLessThan(0.9);
    expect(rooms.map((it) => it.id)).toHaveLength(5);
  });
});
