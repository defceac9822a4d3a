import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import {
  alarmsOf,
  bandAt,
  byWeek,
  cut,
  DAY,
  gapOver,
  HOUR,
  isQuiet,
  mergeTracks,
  oddities,
  packSummary,
  packTrack,
  summarise,
  toSteps,
  trackOf,
  unpackSummary,
  unpackTrack,
  weekOf,
  type Series,
  type Track,
} from '.';

const START = Date.UTC(2026, 2, 1);
const track = fc
  .array(fc.tuple(fc.integer({ min: 0, max: 60 }), fc.integer({ min: -5000, max: 9000 })), { maxLength: 60 })
  .map((pairs) =>
    trackOf(
      pairs.map(([minute]) => START + minute * 6 * HOUR),
      pairs.map(([, steps]) => steps),
    ),
  );
const plain = ({ at, steps }: Track): unknown => [[...at], [...steps]];
/** Every minute or so, by a rule. */
const made = (
  count: number,
  every: number,
  value: (i: number) => number,
  quantity: 'temperature' | 'humidity' = 'temperature',
): Track =>
  trackOf(
    Array.from({ length: count }, (_, i) => START + i * every),
    Array.from({ length: count }, (_, i) => toSteps(value(i), quantity)),
  );

describe('tracks', () => {
  it('are in order, each moment once, the later line of a moment meant', () => {
    expect(plain(trackOf([3, 1, 2, 1], [30, 10, 20, 11]))).toEqual([
      [1, 2, 3],
      [11, 20, 30],
    ]);
  });
  it('merge in any order and twice to the same; no moment is lost', () => {
    fc.assert(
      fc.property(track, track, track, (a, b, c) => {
        const merged = mergeTracks(a, b);
        expect(plain(mergeTracks(b, a))).toEqual(plain(merged));
        expect(plain(mergeTracks(merged, b))).toEqual(plain(merged));
        expect(plain(mergeTracks(merged, c))).toEqual(plain(mergeTracks(a, mergeTracks(b, c))));
        expect(new Set(merged.at)).toEqual(new Set([...a.at, ...b.at]));
      }),
    );
  });
  it('parted by weeks and put together again are what they were', () => {
    fc.assert(
      fc.property(track, (it) => {
        const parts = [...byWeek(it)];
        for (const [week, part] of parts) for (const at of part.at) expect(weekOf(at)).toBe(week);
        expect(parts.flatMap(([, part]) => [...part.at])).toEqual([...it.at]);
        expect(parts.flatMap(([, part]) => [...part.steps])).toEqual([...it.steps]);
      }),
    );
  });
  it('cut from a moment on and before another', () => {
    const it = made(10, HOUR, (i) => i);
    expect([...cut(it, START + 2 * HOUR, START + 4 * HOUR).steps]).toEqual([200, 300]);
  });
  it('come to lowest, mean and highest of each stretch; empty stretches are not there', () => {
    const { at, low, mean, high, count } = summarise(
      trackOf([START, START + 1, START + 3 * HOUR], [10, 30, 7]),
      HOUR,
    );
    expect([...at]).toEqual([START, START + 3 * HOUR]);
    expect([[...low], [...mean], [...high], [...count]]).toEqual([
      [10, 7],
      [20, 7],
      [30, 7],
      [2, 1],
    ]);
  });
  it('a gap is three times the usual distance', () => {
    expect(gapOver(made(50, 10 * 60_000, () => 20).at)).toBe(30 * 60_000);
  });
});

describe('blocks', () => {
  it('give back what was put in', () => {
    fc.assert(
      fc.property(track, (it) => {
        expect(plain(unpackTrack(packTrack(it)))).toEqual(plain(it));
        const days = summarise(it, DAY);
        expect(unpackSummary(packSummary(days))).toEqual(days);
      }),
    );
  });
  it('hold a week of readings by the minute in few bytes', () => {
    // A probe that wanders by hundredths, read to a tenth: what a logger writes.
    const week = made(
      7 * 1440,
      60_000,
      (i) => Math.round(10 * (23 + 2 * Math.sin(i / 229) + 0.1 * Math.sin(i * 7))) / 10,
    );
    expect(packTrack(week).length).toBeLessThan(0.6 * week.at.length);
  });
  it('say so where they end too early', () => {
    const bytes = packTrack(made(100, 60_000, (i) => i));
    expect(() => unpackTrack(bytes.subarray(0, 20))).toThrow();
  });
});

const point = (change: Partial<Series> = {}): Series => ({
  id: 's',
  design: 'd',
  name: 'warm side',
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
const gecko = catalogue.animals.find((it) => it.climate.basking !== undefined)!;
const always = (): boolean => true;

describe('alarms', () => {
  const { low, high } = gecko.climate.warm.value;
  const middle = (low + high) / 2;
  it('an enclosure within its band is quiet; a door opened for ten minutes too', () => {
    const opened = made(200, 60_000, (i) => (i >= 50 && i < 60 ? low - 4 : middle));
    expect(alarmsOf(point(), opened, () => gecko, always)).toEqual([]);
  });
  it('begins outside by the margin, ends only inside the band: it does not flicker at the edge', () => {
    const values = (i: number): number =>
      i < 60 ? middle : i < 120 ? high + 2 : i < 180 ? high + (i % 2 === 0 ? 0.3 : 0.6) : middle;
    const found = alarmsOf(point(), made(300, 60_000, values), () => gecko, always);
    expect(found).toHaveLength(1);
    expect(found[0]).toMatchObject({ side: 'high', from: START + 60 * 60_000, to: START + 180 * 60_000 });
    expect(found[0]!.worst).toBeCloseTo(high + 2, 1);
  });
  it('stands as long as nothing says otherwise; the keeper’s own bounds hold as they are said', () => {
    const cold = made(60, 60_000, () => low - 3);
    expect(alarmsOf(point(), cold, () => gecko, always)[0]).toMatchObject({ side: 'low', to: null });
    expect(
      alarmsOf(point({ alarm: { on: false, low: null, high: null } }), cold, () => gecko, always),
    ).toEqual([]);
    expect(
      alarmsOf(point({ alarm: { on: true, low: low - 5, high: null } }), cold, () => gecko, always),
    ).toEqual([]);
  });
  it('by night the night’s band holds; of the room and the scale nothing is asked', () => {
    const { night } = gecko.climate;
    expect(bandAt(gecko, 'warm', 'temperature', false)).toEqual(night.value);
    expect(bandAt(gecko, 'room', 'temperature', true)).toBeNull();
    expect(bandAt(gecko, 'scale', 'mass', true)).toBeNull();
    expect(bandAt(undefined, 'warm', 'temperature', true)).toBeNull();
    expect(bandAt(gecko, 'hide', 'humidity', true)!.high).toBeNull();
    expect(bandAt(gecko, 'basking', 'temperature', true)).toEqual(gecko.climate.basking!.value);
  });
  it('asks what the verdict asks: a moist hide answers for dry air, climbers are judged in the branches, harm is told', () => {
    const leopard = catalogue.animals.find((it) => it.id === 'eublepharis-macularius')!;
    const dry = bandAt(leopard, 'warm', 'humidity', true)!;
    const hidden = bandAt(leopard, 'warm', 'humidity', true, { moistHide: true })!;
    expect(dry.low! - hidden.low!).toBeCloseTo(0.15, 9);
    const anole = catalogue.animals.find((it) => it.id === 'anolis-carolinensis')!;
    const { warm, cool, night } = anole.climate;
    expect(bandAt(anole, 'canopy', 'temperature', true)).toEqual(warm.value);
    expect(bandAt(anole, 'warm', 'temperature', true)).toEqual({
      low: Math.min(cool.value.low, night.value.low),
      high: warm.value.high,
    });
    const bearable = made(60, 60_000, () => high + 1.5);
    const harmful = made(60, 60_000, () => high + 6);
    expect(alarmsOf(point(), bearable, () => gecko, always)[0]!.harm).toBe(false);
    expect(alarmsOf(point(), harmful, () => gecko, always)[0]!.harm).toBe(true);
  });
  it('quiet hours may lie over midnight', () => {
    const night = { from: 22, to: 7 };
    expect([21.9, 22, 3, 6.9, 7].map((hour) => isQuiet(hour, night))).toEqual([
      false,
      true,
      true,
      true,
      false,
    ]);
    expect(isQuiet(13, { from: 12, to: 14 })).toBe(true);
    expect(isQuiet(13, null)).toBe(false);
  });
});

describe('what a sensor does that no enclosure does', () => {
  const now = (it: Track): number => it.at.at(-1)!;
  it('sticks, leaps, falls silent', () => {
    const stuck = made(200, 5 * 60_000, (i) => (i < 50 ? 20 + Math.sin(i) : 24.31));
    expect(oddities(stuck, 'temperature', now(stuck))).toMatchObject([{ kind: 'stuck', from: stuck.at[50] }]);
    const leapt = made(40, 60_000, (i) => (i < 20 ? 22 : 61));
    expect(oddities(leapt, 'temperature', now(leapt)).map((it) => it.kind)).toEqual(['jump']);
    const live = made(40, 60_000, (i) => 22 + Math.sin(i));
    expect(oddities(live, 'temperature', now(live) + 3 * HOUR)).toMatchObject([
      { kind: 'silent', from: now(live) },
    ]);
  });
  it('a sound probe in a sound enclosure does none of it: noise, mist, lamps, a wet enclosure at the top of its scale', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 9999 }), (seed) => {
        const noise = (i: number): number => Math.sin(i * 12.9898 * (1 + seed / 7919)) * 0.12;
        const warm = made(3 * 288, 5 * 60_000, (i) => 23 + 3 * Math.sin((i / 288) * 2 * Math.PI) + noise(i));
        expect(oddities(warm, 'temperature', now(warm))).toEqual([]);
        const wet = made(
          3 * 288,
          5 * 60_000,
          (i) => (i % 288 < 200 ? 0.995 : 0.9 + noise(i) / 20),
          'humidity',
        );
        expect(oddities(wet, 'humidity', now(wet))).toEqual([]);
      }),
      { numRuns: 30 },
    );
  });
});

describe('lights on', () => {
  // Its warm side by day wants over 2 K more than its night at the most: what is right for one is wrong for the other.
  const gecko = catalogue.animals.find((it) => it.climate.warm.value.low > it.climate.night.value.high + 2)!;
  const { warm, night } = gecko.climate;
  const byNight = (night.value.low + night.value.high) / 2;
  const lit = (at: number): boolean => at >= START + 8 * HOUR && at < START + 20 * HOUR;
  const from = (hour: number, count: number, value: number) => {
    const all = made(count, 10 * 60_000, () => value);
    return { ...all, at: all.at.map((at) => at + hour * HOUR) };
  };
  it('for two hours after it the night’s temperature alarms nobody; from then on it does', () => {
    // Every ten minutes from half past seven to ten.
    expect(alarmsOf(point(), from(7.5, 15, byNight), () => gecko, lit)).toEqual([]);
    // The same till eleven: it begins at ten, and has stood for twenty minutes by then.
    expect(alarmsOf(point(), from(7.5, 22, byNight), () => gecko, lit)).toMatchObject([
      { side: 'low', from: START + 10 * HOUR, to: null, worst: byNight },
    ]);
  });
  it('before it nothing is forgiven: a day’s temperature in the last hours of the night is told', () => {
    const middle = (warm.value.low + warm.value.high) / 2;
    expect(alarmsOf(point(), from(6, 9, middle), () => gecko, lit)).toMatchObject([
      { side: 'high', from: START + 6 * HOUR },
    ]);
  });
});
