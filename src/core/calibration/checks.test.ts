import { describe, expect, it } from 'vitest';
import type { Trace } from '../readings';
import { checkClock, checkFit, checkProbes, checkTraces } from './checks';
import type { Told } from './play';
import type { CalibrationInput, Probe } from './types';

const LIGHT = { from: 8 * 3600, to: 20 * 3600 };
const isDay = (t: number): boolean => t % 86_400 >= LIGHT.from && t % 86_400 < LIGHT.to;
const EVERY = 900;
const times = (step = EVERY): number[] => Array.from({ length: (4 * 86_400) / step }, (_, i) => i * step);
const DRY: CalibrationInput['room'] = { temperature: null, humidity: null };
const MISTED = [9 * 3600, 18 * 3600];
const MISTINGS = [0, 1, 2, 3].flatMap((day) => MISTED.map((at) => day * 86_400 + at));

/** 26 °C by day and 21 by night; 55 and 70 %, and up by a fifth for two hours after each misting. `late` h by its clock. */
const warmth =
  (late = 0) =>
  (t: number): number =>
    (isDay(t - late * 3600 + 86_400) ? 26 : 21) + 0.2 * Math.sin(t / 700);
const damp =
  (late = 0, by = 0.2) =>
  (t: number): number => {
    const own = t - late * 3600 + 86_400;
    const after = Math.min(...MISTED.map((at) => (own - at + 86_400) % 86_400));
    return (isDay(own) ? 0.55 : 0.7) + (after < 7200 ? by : 0) + 0.005 * Math.cos(t / 700);
  };
const trace = (of: (t: number) => number, step = EVERY): Trace => ({
  t: times(step),
  value: times(step).map(of),
});
const probe = (temperature: Trace | null, humidity: Trace | null): Probe => ({
  name: 'shelf',
  where: 'warm',
  temperature,
  humidity,
});
const told = (late = 0, by = 0.2, step = EVERY): readonly Told[] => [
  { name: 'shelf', quantity: 'temperature', where: 'warm', trace: trace(warmth(late), step) },
  { name: 'shelf', quantity: 'humidity', where: 'warm', trace: trace(damp(late, by), step) },
];
/** The drawn box: a degree cooler, and drier. */
const played = (step = EVERY) => [
  times(step).map((t) => warmth()(t) - 1.2),
  times(step).map((t) => damp()(t) - 0.08),
];

const DRAWN = { exchange: 1, wetness: 1, gain: 1 };

describe('readings that tell nothing of the box are refused, with why', () => {
  it('sound ones are not', () => {
    expect(() => checkProbes([probe(trace(warmth()), trace(damp()))], DRY)).not.toThrow();
    expect(() => checkProbes([probe(trace(warmth()), null)], DRY)).not.toThrow();
    expect(checkClock(told(), played())).toBe(0);
    expect(() => checkTraces(told(), played(), LIGHT, MISTINGS)).not.toThrow();
    expect(() => checkFit({ temperature: 0.8, humidity: 0.05 }, DRAWN)).not.toThrow();
    expect(() => checkFit({ temperature: 0.8, humidity: null }, DRAWN)).not.toThrow();
    // Twelve points are a box as drawn that was read badly; with a sixteenth of its leak they are another one.
    const off = { temperature: 0.8, humidity: 0.12 };
    expect(() => checkFit(off, { ...DRAWN, exchange: 0.4 })).not.toThrow();
    expect(() => checkFit(off, { ...DRAWN, exchange: 0.06 })).toThrow(/of another one/);
    expect(() => checkFit(off, { ...DRAWN, wetness: 13 })).toThrow(/of another one/);
    expect(() => checkFit({ ...off, humidity: 0.09 }, { ...DRAWN, wetness: 13 })).not.toThrow();
  });
  it.each([
    [
      'of an hour',
      () => checkProbes([probe({ t: [0, 1800, 3600], value: [21, 22, 21] }, null)], DRY),
      /one whole day/,
    ],
    [
      'of shares read as per cent',
      () =>
        checkProbes(
          [
            probe(
              trace(warmth()),
              trace((t) => damp()(t) / 100),
            ),
          ],
          DRY,
        ),
      /“shelf” never passes 2 %.*shares where per cent were expected/,
    ],
    [
      'that never changes',
      () =>
        checkProbes(
          [
            probe(
              trace(() => 21.5),
              trace(() => 0.5),
            ),
          ],
          DRY,
        ),
      /never change: the probe is stuck/,
    ],
    [
      'of which one of two probes never changes',
      () =>
        checkProbes(
          [
            probe(trace(warmth()), trace(damp())),
            {
              ...probe(
                trace(() => 21.5),
                trace(() => 0.5),
              ),
              name: 'hide',
            },
          ],
          DRY,
        ),
      /“hide” never change/,
    ],
    [
      'of a logger that lay in the room',
      () =>
        checkProbes([probe(trace(warmth()), trace(damp()))], {
          temperature: trace((t) => warmth()(t) - 0.2),
          humidity: trace((t) => damp()(t) + 0.01),
        }),
      /lay in the room/,
    ],
    [
      'in which lamps leave no trace',
      () =>
        checkTraces(
          [
            {
              name: 'shelf',
              quantity: 'temperature',
              where: 'warm',
              trace: trace((t) => 21 + 0.4 * Math.sin(t / 7000)),
            },
          ],
          [played()[0]!],
          LIGHT,
          MISTINGS,
        ),
      /the lamps leave no trace in “shelf”/,
    ],
    [
      'in which mistings leave no trace',
      () => checkTraces(told(0, 0), played(), LIGHT, MISTINGS),
      /its mistings leave no trace in “shelf”/,
    ],
    ['whose clock is three hours off', () => checkClock(told(3), played()), /come 3 h later than the lamps/],
    ['whose clock is four hours early', () => checkClock(told(-4), played()), /come 4 h earlier/],
    ['that no factor explains', () => checkFit({ temperature: 6, humidity: 0.05 }, DRAWN), /of another one/],
    [
      'that no factor explains in its damp',
      () => checkFit({ temperature: 1, humidity: 0.3 }, DRAWN),
      /not drawn/,
    ],
  ])('one %s', (_, check, why) => {
    expect(check).toThrow(why);
  });
  it('a clock that is an hour and a half late is told, by readings of the quarter of an hour and of the hour', () => {
    expect(checkClock(told(1.5), played())).toBe(1.5);
    expect(checkClock(told(-1), played())).toBe(-1);
    expect(Math.abs(checkClock(told(1.5, 0.2, 3600), played(3600)) - 1.5)).toBeLessThanOrEqual(0.5);
    expect(checkClock(told(0, 0.2, 3600), played(3600))).toBe(0);
  });
  it('where it stays damp anyway, and where lamps hardly warm it, nothing is asked of their trace', () => {
    const wet: readonly Told[] = [
      { name: 'shelf', quantity: 'humidity', where: 'warm', trace: trace(() => 0.97) },
    ];
    expect(() => checkTraces(wet, [times().map(() => 0.97)], LIGHT, MISTINGS)).not.toThrow();
    const flat: readonly Told[] = [
      {
        name: 'shelf',
        quantity: 'temperature',
        where: 'warm',
        trace: trace((t) => 21 + 0.4 * Math.sin(t)),
      },
    ];
    expect(() => checkTraces(flat, [times().map(() => 21)], LIGHT, MISTINGS)).not.toThrow();
    expect(checkClock(flat, [times().map(() => 21)])).toBe(0);
  });
  it('a probe that reads a little of the room in its warmth alone is no probe in the room', () => {
    const near = { temperature: trace((t) => warmth()(t) - 0.2), humidity: null };
    expect(() => checkProbes([probe(trace(warmth()), trace(damp()))], near)).not.toThrow();
  });
});
