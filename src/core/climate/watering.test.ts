import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { firstDesign } from '@/catalogue/testing';
import { differencesOf } from '../compare';
import type { Climate, Design, Pour } from '../document';
import { METRIC, formatMessage, type Message } from '../units';
import { playOut } from './playOut';
import { beatOf, forecast, poursOn, readyOf, settled, simulate } from '.';

const say = (it: Message): string =>
  formatMessage(it, { prefs: METRIC, locale: 'en-GB' }).replaceAll('\u00a0', ' ');
const gecko = firstDesign('hemitheconyx-caudicinctus');
const watered = (watering: Climate['watering'], design: Design = gecko): Design => ({
  ...design,
  climate: { ...design.climate, watering },
});
const pour = (change: Partial<Pour> = {}): Pour => ({
  end: 'warm',
  into: 'foot',
  amount: 0.0007,
  everyDays: 7,
  ...change,
});
const week = (design: Design) => forecast(design, catalogue, { span: 'week', season: 'winter', seed: 11 });

describe('water from the jug', () => {
  it('of 0.7 L a week, 0.1 kg a day reach the soil; it is neither mist nor fog, and the water closes', () => {
    const none = week(watered([]));
    const { answers, run, mists } = week(watered([pour()]));
    // A litre of water weighs 998 g.
    expect(answers.jugPerDay).toBeCloseTo(0.0998, 9);
    expect(none.answers.jugPerDay).toBe(0);
    expect(answers.waterPerDay).toBeCloseTo(none.answers.waterPerDay, 9);
    expect(mists).toEqual(none.mists);
    expect(Math.max(...run.series.mist)).toBe(Math.max(...none.run.series.mist));
    expect(run.water.off).toBeLessThan(1e-6);
    expect(poursOn(watered([pour()]).climate, 3)).toEqual([[{ from: 32400, to: 33000, level: 1 / 7 }]]);
  });

  it('goes to the end that is told, and to its foot: that is damper than its top, and than the other end', () => {
    const { soil } = week(watered([pour({ amount: 0.0005 })])).answers;
    const [warm, cool] = soil;
    expect(warm!.bottom).toBeGreaterThan(warm!.top);
    expect(warm!.bottom - cool!.bottom).toBeGreaterThan(0.03);
    const over = week(watered([pour({ amount: 0.0005, end: 'cool' })])).answers.soil;
    expect(over[1]!.bottom - over[0]!.bottom).toBeGreaterThan(0.03);
  });

  it('over the ground is played on its day, once a week; with a rhythm of mist beside it, in daily shares', () => {
    const dry = (design: Design): Design => ({
      ...design,
      climate: { ...design.climate, mist: { ...design.climate.mist, times: [] } },
    });
    const rain = dry(watered([pour({ into: 'top' })])).climate;
    expect(beatOf(rain)).toBe(7);
    expect([0, 1, 6, 7].map((day) => poursOn(rain, day)[0]!.length)).toEqual([1, 0, 0, 1]);
    const misted = { ...rain, mist: { ...rain.mist, times: [{ at: 420, seconds: 9 }], everyDays: 2 } };
    expect(beatOf(misted)).toBe(2);
    expect(poursOn(misted, 1)[0]![0]!.level).toBe(1 / 7);
    // What is poured in a month is not played for a month.
    expect(beatOf(dry(watered([pour({ into: 'top', everyDays: 28 })])).climate)).toBe(1);
    const { cycle } = week(dry(watered([pour({ into: 'top' })])));
    expect(cycle).toBe(7);
  });

  it('keeps what it loses: kept as it was filled, this soil asks 0.3 to 0.7 L a week, most at its warm end', () => {
    // Half a millimetre to a millimetre a day off bare damp soil in a house (common practice).
    const { answers, run } = week(watered(null));
    const [warm, cool] = answers.soilLoses.map((it) => 7 * it) as [number, number];
    expect(warm + cool).toBeGreaterThan(0.3);
    expect(warm + cool).toBeLessThan(0.8);
    expect(warm).toBeGreaterThan(1.3 * cool);
    expect(run.begin).toHaveLength(run.end.length);
  });

  it('given what it loses, the soil stays where it is: less than a fifth of it is gained or lost', () => {
    const [warm, cool] = week(watered(null)).answers.soilLoses as [number, number];
    const own = week(
      watered([pour({ amount: (7 * warm) / 1000 }), pour({ end: 'cool', amount: (7 * cool) / 1000 })]),
    ).answers;
    const [a, b] = own.soilLoses as [number, number];
    expect(Math.abs(a)).toBeLessThan(0.2 * warm);
    expect(Math.abs(b)).toBeLessThan(0.2 * cool);
    // Without it the foot comes down to near what nothing draws out of a fibrous soil, a fifth of its volume.
    const dry = week(watered([])).answers.soil;
    expect(own.soil[0]!.bottom - dry[0]!.bottom).toBeGreaterThan(0.04);
  });

  it('needs no plug: in a power cut it is poured all the same, and mist that sticks is not it', () => {
    const ready = readyOf(watered([pour()]), catalogue, 15);
    const start = settled(ready, 4, 6);
    const jug = ready.box.wetters.findIndex((it) => it.jug);
    const played = (kind: 'power-cut' | 'mist-off' | 'mist-stuck') =>
      playOut({
        ready,
        days: 2,
        every: 3600,
        seed: null,
        troubles: [{ kind, from: 0, to: Infinity }],
        start,
      });
    for (const kind of ['power-cut', 'mist-off', 'mist-stuck'] as const)
      expect(played(kind).drawn[jug], kind).toBeCloseTo(0.1996, 6);
  });

  it('soil kept as it was filled may get wetter: what falls on it and is not drained stays in it', () => {
    const flood = watered(null, {
      ...gecko,
      climate: {
        ...gecko.climate,
        mist: { by: 'hand', times: [{ at: 480, seconds: 400 }], everyDays: 1, bottle: null },
      },
    });
    const ready = readyOf(flood, catalogue, 15);
    const rest = simulate({
      box: ready.box,
      weather: ready.weather(2, null),
      plan: ready.plan,
      days: 1,
      every: 7200,
      start: settled(ready),
    });
    const { soil, start } = ready.box.columns[1];
    expect(rest.series.low1[0]).toBeGreaterThan(start[3] + 0.1);
    expect(rest.series.low1[0]).toBeLessThan(soil[3].soil.porosity + 0.1);
  });

  it('is told where two enclosures differ', () => {
    const told = (a: Climate['watering'], b: Climate['watering']): readonly string[] =>
      differencesOf([watered(a), watered(b)], catalogue)
        .filter((it) => it.what === 'Water from the jug')
        .flatMap(({ sides }) => sides.map(say));
    expect(told(null, [])).toEqual(['as it needs', 'none']);
    expect(told([pour()], [pour({ end: 'both', into: 'top', everyDays: 1 })])).toEqual([
      '0.70 L at the warm end, in a corner or down a tube every 7 days',
      '0.70 L over all of the ground every day',
    ]);
  });
});
