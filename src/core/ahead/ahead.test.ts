import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { demoDesigns } from '@/catalogue/demo';
import type { Design } from '../document/schema';
import type { Series } from '../readings';
import { DAY, HOUR } from '../physics/constants';
import { coursesOf } from './courses';
import { crossingsOf } from './crossings';
import { lookAhead } from './ahead';
import { patternOf } from './pattern';
import { nineInTen, spreadOf } from './spread';
import type { AheadInput } from './types';

const every = (hours: number, days: number): number[] =>
  Array.from({ length: Math.round((days * 24) / hours) }, (_, i) => i * hours * HOUR);

describe('what something is off by', () => {
  it('goes on as it was by the time of day', () => {
    const t = every(0.25, 6);
    const daily = (at: number): number => 2 + Math.sin((at / DAY) * 2 * Math.PI);
    const off = patternOf({ t, off: t.map(daily) }, 6 * DAY);
    // A time of day that is known six times is believed in six of seven parts: 2 and 6/7 of the wave.
    expect(Math.abs(off(6.25 * DAY) - (2 + 6 / 7))).toBeLessThan(0.1);
    expect(Math.abs(off(6.75 * DAY) - (2 - 6 / 7))).toBeLessThan(0.1);
  });
  it('as it is this hour for some hours, and as it always was in the end', () => {
    const t = every(0.25, 10);
    const off = patternOf({ t, off: t.map((at) => (at > 9.9 * DAY ? 3 : 0)) }, 10 * DAY);
    expect(off(10 * DAY)).toBeGreaterThan(2.5);
    expect(Math.abs(off(12 * DAY))).toBeLessThan(0.4);
    expect(Math.abs(off(17 * DAY))).toBeLessThan(0.3);
  });
  it('is nothing where nothing was read', () => {
    expect(patternOf({ t: [], off: [] }, DAY)(2 * DAY)).toBe(0);
    expect(patternOf({ t: [5 * DAY], off: [4] }, DAY)(2 * DAY)).toBe(0);
  });
});

describe('how wide it is', () => {
  // Student’s t of 95 % on one side, NIST/SEMATECH e-Handbook of Statistical Methods, table 1.3.6.7.2.
  it.each([
    [2, 2.92],
    [4, 2.132],
    [10, 1.812],
    [20, 1.725],
  ])('of %i degrees of freedom is Student’s %f', (freedom, table) => {
    expect(Math.abs(nineInTen(freedom) / table - 1)).toBeLessThan(0.025);
  });
  it('comes from what was tried, and where nothing was from an estimate that is wider further ahead', () => {
    const none = spreadOf([], 'temperature');
    expect(none(HOUR, 0)).toBeCloseTo(0.4 * nineInTen(4), 6);
    expect(none(6 * DAY, 0)).toBeCloseTo(1.2 * nineInTen(4), 6);
    const tried = Array.from({ length: 20 }, (_, origin) =>
      every(1, 7).map((t) => ({ origin, ahead: t + HOUR, at: t, off: origin % 2 === 0 ? 0.2 : -0.2 })),
    ).flat();
    // √((2 · 0.4² + 20 · 0.2²) / 22) = 0.226 K.
    expect(spreadOf(tried, 'temperature')(3 * HOUR, 0)).toBeCloseTo(0.226 * nineInTen(24), 2);
  });
});

const [shelf] = demoDesigns(catalogue).filter((it) => it.id === 'demo-bog-shelf');
/** Three weeks of readings of one point that repeats a day, and nothing of the room. */
function asked(design: Design, value: (t: number) => number, days = 12): AheadInput {
  const t = every(0.25, days);
  return {
    design,
    from: 61,
    now: days * DAY,
    points: [{ series: 'warm', quantity: 'temperature', where: 'warm', trace: { t, value: t.map(value) } }],
    room: { temperature: null, humidity: null },
    filled: null,
  };
}

describe('the next seven days', () => {
  it('of a box that does the same every day are that day again, and surely so', () => {
    if (!shelf) throw new Error('no demo');
    const day = (t: number): number => 23 + 2 * Math.sin(((t / DAY) % 1) * 2 * Math.PI);
    const { outlooks, tried } = lookAhead(asked(shelf, day), catalogue);
    const [own] = outlooks;
    if (!own) throw new Error('no outlook');
    expect(tried).toBe(10);
    expect(own.t).toHaveLength(7 * 96 + 1);
    const off = own.t.map((t, i) => Math.abs((own.middle[i] ?? 0) - day(t)));
    expect(Math.max(...off)).toBeLessThan(0.5);
    own.t.forEach((t, i) => {
      expect(own.low[i]).toBeLessThan(day(t));
      expect(own.high[i]).toBeGreaterThan(day(t));
    });
    expect((own.high.at(-1) ?? 0) - (own.low.at(-1) ?? 0)).toBeLessThan(3);
  });
  it('know of what is set otherwise from a day on', () => {
    const warmed = demoDesigns(catalogue).find((it) => it.id === 'demo-dry-wash');
    if (!warmed) throw new Error('no demo');
    const design: Design = {
      ...warmed,
      climate: {
        ...warmed.climate,
        // In April all its lamps and heaters are off.
        seasons: [
          {
            id: 'spring',
            name: 'spring',
            from: 4,
            until: 4,
            topCover: null,
            mist: null,
            devices: warmed.climate.devices.map(({ id }) => ({
              device: id,
              dim: null,
              timer: { by: 'clock' as const, spans: [] },
              thermostat: null,
              humidistat: null,
            })),
          },
        ],
      },
    };
    // From the 17th of March; what is known ends on the 29th, and the first of April lies ahead.
    const input = asked(design, () => 24);
    const { outlooks } = lookAhead({ ...input, from: 76 }, catalogue);
    const without = lookAhead({ ...input, design: warmed, from: 76 }, catalogue);
    // At one in the afternoon of the last day.
    const last = ([own]: typeof outlooks): number =>
      own?.middle[own.t.findLastIndex((t) => t % DAY === 13 * HOUR)] ?? Number.NaN;
    expect(last(without.outlooks)).toBeGreaterThan(23);
    expect(last(outlooks)).toBeLessThan(last(without.outlooks) - 1);
  });
  it('a bottle runs dry as fast as the nozzles of the design draw from it', () => {
    const hedge = demoDesigns(catalogue).find((it) => it.id === 'demo-hedge');
    if (!hedge) throw new Error('no demo');
    const { mist } = hedge.climate;
    const design = { ...hedge, climate: { ...hedge.climate, mist: { ...mist, bottle: 0.001 } } };
    const input = asked(design, () => 23);
    // Three times 88 s of 1.1 g: 290 g a day, 1000 g in 3.44 days.
    const dry = (filled: number | null): number =>
      lookAhead({ ...input, filled }, catalogue).dry ?? Number.NaN;
    expect(dry(12 * DAY) / DAY).toBeCloseTo(15.44, 0);
    expect(dry(10 * DAY) / DAY).toBeCloseTo(13.44, 0);
    // What was drawn before the record begins counts too.
    expect(dry(-2 * DAY) / DAY).toBeCloseTo(1.44, 0);
    expect(lookAhead({ ...input, filled: null }, catalogue).dry).toBeNull();
    expect(lookAhead({ ...input, design: hedge, filled: 12 * DAY }, catalogue).dry).toBeNull();
  });
});

describe('what crosses a limit', () => {
  const series: Series = {
    id: 'warm',
    design: 'x',
    name: 'warm side',
    quantity: 'temperature',
    place: 'warm',
    at: null,
    instrument: '',
    source: null,
    alarm: { on: true, low: 18, high: 28 },
    changed: 0,
    gone: false,
  };
  const t = every(0.25, 7);
  const crossings = (...courses: readonly ((at: number) => number)[]) =>
    crossingsOf(
      { t, quantity: 'temperature' },
      courses.map((it) => t.map(it)),
      0,
      series,
      () => undefined,
      () => true,
      { moistHide: false },
    );
  const rises =
    (by: number) =>
    (at: number): number =>
      24 + by + at / DAY + Math.sin((at / DAY) * 2 * Math.PI);
  it('is passed in as many courses of so many, from when and on how many days in their middle', () => {
    const [only, ...more] = crossings(rises(-0.1), rises(0), rises(0.1), () => 24);
    expect(more).toEqual([]);
    // Three of four courses, which are two days and their mirrors: (3/4 · 2 + 1) / (2 + 2).
    expect(only).toMatchObject({ side: 'high', chance: 0.625, days: 4, harm: false });
    // 24 + d + sin 2πd passes 28 towards d = 3.14.
    expect((only?.from ?? 0) / (DAY * 1000)).toBeCloseTo(3.13, 1);
    expect(only?.worst).toBeCloseTo(31.2, 0);
  });
  it('is not told of where no course comes there, nor for ten minutes', () => {
    expect(crossings(() => 23, rises(-4.5))).toEqual([]);
    expect(crossings((at) => (at === DAY ? 35 : 23))).toEqual([]);
  });
});

describe('courses', () => {
  const tried = (origin: number, days: number, off: (t: number) => number) =>
    every(1, days).map((at) => ({ origin, ahead: at + HOUR, at, off: off(at + HOUR) }));
  it('are the errors of days that were tried, each with its mirror, gone through again where they end', () => {
    const all = Array.from({ length: 6 }, (_, i) => tried(i, 2, (at) => (i + 1) * (at > DAY ? 1 : 2))).flat();
    const courses = coursesOf(all, () => 2);
    expect(courses).toHaveLength(12);
    expect(courses.map((it) => it(12 * HOUR))).toEqual([1, -1, 2, -2, 3, -3, 4, -4, 5, -5, 6, -6]);
    expect(courses[2]?.(36 * HOUR)).toBe(1);
    expect(courses[2]?.(60 * HOUR)).toBe(2);
    expect(courses[2]?.(84 * HOUR)).toBe(1);
  });
  it('where little was tried, are errors that come back every day, of spread one', () => {
    const courses = coursesOf([], () => 1);
    expect(courses).toHaveLength(12);
    const all = courses.flatMap((it) => every(1, 1).map((at) => it(at)));
    expect(courses[0]?.(5 * HOUR)).toBe(courses[0]?.(29 * HOUR));
    const spread = Math.sqrt(all.reduce((sum, it) => sum + it ** 2, 0) / all.length);
    expect(spread).toBeGreaterThan(0.6);
    expect(spread).toBeLessThan(1.5);
  });
});
