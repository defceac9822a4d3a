import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { finerRecord } from '../../../tests/unit/finerModel';
import type { Design } from '../document';
import { applyEdit, type EditCall } from '../edits';
import { proposeDesign } from '../propose';
import { readyOf, settled, simulate, type Factors } from '../climate';
import { DAY } from '../physics/constants';
import { seededRandom } from '../random';
import type { Trace } from '../readings';
import { calibrate, type CalibrationInput, type Probe } from '.';

/** A moist gecko’s box of 60 × 45 × 45 cm with one bulb that is on by day, sprayed by hand twice a day. */
function sprayedBox(): Design {
  const calls: readonly EditCall[] = [
    { edit: 'proposeScape', change: {} },
    { edit: 'proposeClimate', change: {} },
    { edit: 'clearDevices', change: {} },
    { edit: 'addDevice', change: { kind: 'incandescent-bulb' } },
    { edit: 'setDevice', change: { device: 'device-1', change: { thermostat: null, power: 25 } } },
    {
      edit: 'setClimate',
      change: {
        mist: {
          by: 'hand',
          times: [
            { at: 490, seconds: 25 },
            { at: 1140, seconds: 25 },
          ],
          everyDays: 1,
          bottle: null,
        },
      },
    },
  ];
  return calls.reduce(
    (design, call) => applyEdit(design, call, catalogue),
    proposeDesign(
      {
        id: 'x',
        name: 'x',
        animal: 'goniurosaurus-hainanensis',
        count: 1,
        size: { width: 0.6, depth: 0.45, height: 0.45 },
        room: { kind: 'dry', temperature: null, humidity: null },
      },
      catalogue,
    ),
  );
}

const FROM = 20;
const design = sprayedBox();

/** What two probes would read in the drawn box with these factors, by the quarter of an hour, with an error of their own. */
function madeBy(factors: Factors, days: number, seed: number): CalibrationInput {
  const ready = readyOf(design, catalogue, FROM);
  const own = { ...ready, box: { ...ready.box, factors } };
  const weather = ready.weather(days + 1, seed);
  const start = settled({ ...own, weather: () => weather }, 4, 24);
  const run = simulate({ box: own.box, weather, plan: ready.plan, days, every: 900, start, looser: 2 });
  const next = seededRandom(seed);
  const trace = (values: Float32Array, noise: number, keep: (t: number) => boolean = () => true): Trace => {
    const at = [...run.t].flatMap((t, i) => (keep(t) ? [i] : []));
    return {
      t: at.map((i) => run.t[i] ?? 0),
      value: at.map((i) => (values[i] ?? 0) + noise * (next() + next() - 1)),
    };
  };
  const probe = (name: string, where: 'warm' | 'cool', cell: 0 | 2): Probe => ({
    name,
    where,
    temperature: trace(run.series[`air${cell}`], 0.2),
    humidity: trace(run.series[`rh${cell}`], 0.02),
  });
  return {
    design,
    from: FROM,
    probes: [probe('warm side', 'warm', 0), probe('cool side', 'cool', 2)],
    room: { temperature: trace(run.series.room, 0.1), humidity: trace(run.series.roomRh, 0.01) },
  };
}

const cutOut = <T extends Trace | null>(trace: T, from: number, to: number): T => {
  if (trace === null) return trace;
  const keep = trace.t.flatMap((t, i) => (t < from || t >= to ? [i] : []));
  return { ...trace, t: keep.map((i) => trace.t[i]), value: keep.map((i) => trace.value[i]) };
};
const later = <T extends Trace | null>(trace: T, by: number): T =>
  trace === null ? trace : { ...trace, t: trace.t.map((t) => t + by) };
const withProbes = (
  input: CalibrationInput,
  change: (trace: Trace | null) => Trace | null,
): CalibrationInput => ({
  ...input,
  probes: input.probes.map((it) => ({
    ...it,
    temperature: change(it.temperature),
    humidity: change(it.humidity),
  })),
  room: { temperature: change(input.room.temperature), humidity: change(input.room.humidity) },
});

const TRUE: Factors = { exchange: 1.7, wetness: 0.6, gain: 1.25 };

describe('calibration', () => {
  it('finds the factors a record was made with, by two probes and through a gap of a day and a half', () => {
    const input = madeBy(TRUE, 9, 3);
    const fit = calibrate(
      withProbes(input, (it) => cutOut(it, 2.5 * DAY, 4 * DAY)),
      catalogue,
    );
    for (const name of ['exchange', 'wetness', 'gain'] as const) {
      const [low, high] = fit.intervals[name];
      expect(fit.factors[name] / TRUE[name], name).toBeGreaterThan(0.85);
      expect(fit.factors[name] / TRUE[name], name).toBeLessThan(1.18);
      expect(low, name).toBeLessThan(TRUE[name]);
      expect(high, name).toBeGreaterThan(TRUE[name]);
      expect(high / low, name).toBeLessThan(3);
    }
    expect(fit.left.temperature).toBeLessThan(0.25);
    expect(fit.left.humidity).toBeLessThan(0.025);
    expect(fit.leftAtMist).toBeLessThan(0.04);
    expect(fit.leftOf.map((it) => it.name)).toEqual(['warm side', 'cool side']);
    // Six days less a day and a half, and three.
    expect(fit.fittedDays).toBeCloseTo(4.5, 1);
    expect(fit.heldDays).toBeCloseTo(3, 1);
    expect(fit.room).toEqual({ warmer: null, vapour: null });
    expect(fit.clock).toBe(0);
  });
  it('sets a clock right that is an hour late, and says so', () => {
    const input = madeBy(TRUE, 5, 4);
    const fit = calibrate(
      withProbes(input, (it) => later(it, 3600)),
      catalogue,
    );
    expect(Math.abs(fit.clock - 1)).toBeLessThanOrEqual(0.25);
    expect(fit.factors.gain / TRUE.gain).toBeCloseTo(1, 0);
    expect(fit.left.temperature).toBeLessThan(0.3);
    expect(() =>
      calibrate(
        withProbes(input, (it) => later(it, 3 * 3600)),
        catalogue,
      ),
    ).toThrow(/come (2\.75|3|3\.25) h later than the lamps are set/);
  });
  it('where the room was not read it says how the room must have been', () => {
    const input = madeBy({ exchange: 1, wetness: 1, gain: 1 }, 5, 5);
    const warmer = withProbes(input, (it) => it);
    const fit = calibrate({ ...warmer, room: { temperature: null, humidity: null } }, catalogue);
    expect(Math.abs(fit.room.warmer ?? 9)).toBeLessThan(1);
    expect(fit.room.vapour).toBeGreaterThan(0.7);
    expect(fit.room.vapour).toBeLessThan(1.4);
  });
  it('on records of a finer, different model: under 5 % of humidity and 1 K on days that were not used', () => {
    const read = finerRecord(
      {
        width: 0.6,
        depth: 0.45,
        height: 0.45,
        soil: 0.12,
        leak: 1.2e-4,
        draws: 6e-5,
        wetness: 0.15,
        lamps: 9,
        mist: 30,
        mistings: [490 / 60, 1140 / 60],
      },
      6,
      7,
    );
    const of = (value: (it: (typeof read)[number]) => number): Trace => ({
      t: read.map((it) => it.t),
      value: read.map(value),
    });
    const fit = calibrate(
      {
        design,
        from: FROM,
        probes: [
          {
            name: 'logger',
            where: 'warm',
            temperature: of((it) => it.temperature),
            humidity: of((it) => it.humidity),
          },
        ],
        room: { temperature: of((it) => it.roomTemperature), humidity: of((it) => it.roomHumidity) },
      },
      catalogue,
    );
    expect(fit.heldDays).toBeCloseTo(2, 1);
    expect(fit.left.humidity).toBeLessThan(0.05);
    expect(fit.left.temperature).toBeLessThan(1);
    expect(fit.after.humidity).toBeLessThan(fit.before.humidity ?? 0);
    for (const name of ['exchange', 'wetness', 'gain'] as const) {
      const [low, high] = fit.intervals[name];
      expect(low).toBeLessThan(fit.factors[name]);
      expect(high).toBeGreaterThan(fit.factors[name]);
      // No wider than what boxes differ by anyway, from 1/5 to 5 times.
      expect(high / low).toBeLessThan(25);
    }
  });
  it('a record of less than a day is refused', () => {
    const input = madeBy(TRUE, 2, 6);
    expect(() =>
      calibrate(
        withProbes(input, (it) => cutOut(it, DAY / 2, 9 * DAY)),
        catalogue,
      ),
    ).toThrow('whole day');
  });
  it('a record whose first two thirds are one hole is refused, with why', () => {
    const whole = madeBy({ exchange: 1, wetness: 1, gain: 1 }, 9, 5);
    const holed = (trace: Trace | null): Trace | null => {
      if (!trace) return null;
      const at = trace.t.flatMap((t, i) => (t < 2 * 3600 || t > 6.2 * DAY ? [i] : []));
      return { t: at.map((i) => trace.t[i] ?? 0), value: at.map((i) => trace.value[i] ?? 0) };
    };
    const probes = whole.probes.map((it) => ({
      ...it,
      temperature: holed(it.temperature),
      humidity: holed(it.humidity),
    }));
    expect(() => calibrate({ ...whole, probes }, catalogue)).toThrow(
      /first two thirds of the record next to nothing/,
    );
  });
});
