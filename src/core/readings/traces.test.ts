import { describe, expect, it } from 'vitest';
import { HOUR, toSteps, tracesOf, trackOf, type Track } from '.';

const START = Date.UTC(2026, 1, 1);
const MINUTE = 60_000;
const every = (span: number, count: number, value: (i: number) => number, from = START): Track =>
  trackOf(
    Array.from({ length: count }, (_, i) => from + i * span),
    Array.from({ length: count }, (_, i) => toSteps(value(i), 'temperature')),
  );
const utc = (): number => 0;

describe('traces', () => {
  it('are means of quarters of an hour from the midnight of the earliest, by the clock on the wall', () => {
    const a = every(5 * MINUTE, 12, (i) => 20 + i, START + HOUR);
    const b = every(HOUR, 3, () => 30, START + 2 * HOUR);
    const made = tracesOf(
      [
        { track: a, quantity: 'temperature' },
        { track: null, quantity: 'humidity' },
        { track: b, quantity: 'temperature' },
      ],
      () => 2 * HOUR,
    )!;
    expect(made).toMatchObject({ from: 32, date: '2026-02-01' });
    // 20, 21 and 22 at 3:00, 3:05 and 3:10.
    expect(made.traces[0]!.value[0]).toBeCloseTo(21, 9);
    expect(made.traces[0]!.t[0]).toBe(3 * 3600 + 300);
    expect(made.traces[0]!.t).toHaveLength(4);
    expect(made.traces[1]).toBeNull();
    expect(made.traces[2]!.t).toEqual([4 * 3600, 5 * 3600, 6 * 3600]);
  });
  it('are of the last three weeks, and gaps stay gaps', () => {
    const long = every(HOUR, 40 * 24, () => 22);
    const made = tracesOf([{ track: long, quantity: 'temperature' }], utc)!;
    expect(made.traces[0]!.t).toHaveLength(21 * 24 + 1);
    expect(made.date).toBe('2026-02-19');
    const holed = trackOf([START, START + HOUR, START + 30 * HOUR], [2000, 2100, 2200]);
    expect(tracesOf([{ track: holed, quantity: 'temperature' }], utc)!.traces[0]).toEqual({
      t: [0, 3600, 30 * 3600],
      value: [20, 21, 22],
    });
  });
  it('of nothing there are none', () => {
    expect(tracesOf([{ track: null, quantity: 'temperature' }], utc)).toBeNull();
  });
});
