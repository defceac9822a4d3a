import { describe, expect, it } from 'vitest';
import { HOUR, recordOf, roomOfRecord, toSteps, trackOf, type Track } from '.';

const START = Date.UTC(2026, 1, 1);
const MINUTE = 60_000;
/** A reading every so many ms, shifted by so many. */
const every = (
  quantity: 'temperature' | 'humidity',
  span: number,
  count: number,
  value: (i: number) => number,
  shift = 0,
): Track =>
  trackOf(
    Array.from({ length: count }, (_, i) => START + shift + i * span),
    Array.from({ length: count }, (_, i) => toSteps(value(i), quantity)),
  );
const utc = (): number => 0;

describe('a record', () => {
  const temperature = every('temperature', HOUR, 49, (i) => 20 + i / 10);
  it('has the humidity on a straight line between two readings, and none where they lie far apart', () => {
    const humidity = every('humidity', HOUR, 48, (i) => 0.5 + (i % 2) / 10, 15 * MINUTE);
    const { readings } = recordOf({ temperature, humidity }, utc)!;
    // At 1 h: readings of 0.5 at 0:15 and of 0.6 at 1:15, three quarters of the way.
    expect(readings.find((it) => it.t === 3600)!.humidity).toBeCloseTo(0.575, 3);
    const sparse = every('humidity', 6 * HOUR, 9, () => 0.5);
    expect(recordOf({ temperature, humidity: sparse }, utc)!.readings.map((it) => it.t / 3600)).toEqual([
      0, 6, 12, 18, 24, 30, 36, 42, 48,
    ]);
  });
  it('keeps no more than one reading in ten minutes of the last three weeks', () => {
    const minutes = 30 * 24 * 60;
    const t = every('temperature', MINUTE, minutes, () => 21);
    const { readings, date } = recordOf(
      { temperature: t, humidity: every('humidity', MINUTE, minutes, () => 0.5) },
      utc,
    )!;
    expect(date).toBe('2026-02-09');
    expect(readings).toHaveLength(22 * 24 * 6);
  });
  it('begins at midnight by the clock on the wall, and goes on by that clock', () => {
    const record = recordOf(
      { temperature, humidity: every('humidity', HOUR, 49, () => 0.5) },
      () => -5 * HOUR,
    )!;
    expect(record).toMatchObject({ date: '2026-01-31', from: 31 });
    expect(record.readings[0]!.t).toBe(19 * 3600);
    expect(record.readings[48]!.t).toBe(67 * 3600);
  });
  it('of less than a day there is none', () => {
    const humidity = every('humidity', HOUR, 49, () => 0.5);
    expect(recordOf({ temperature: every('temperature', HOUR, 24, () => 20), humidity }, utc)).toBeNull();
    expect(recordOf({ temperature, humidity: every('humidity', HOUR, 0, () => 0) }, utc)).toBeNull();
  });
  it('of a room stands for its months and the nearest of the others', () => {
    const t = every('temperature', HOUR, 72, (i) => 20 + (i % 24 === 14 ? 4 : 0));
    const found = roomOfRecord(
      recordOf({ temperature: t, humidity: every('humidity', HOUR, 72, () => 0.45) }, utc)!,
    );
    expect(found.humidity).toEqual(Array.from({ length: 12 }, () => expect.closeTo(0.45, 6)));
    expect(found.swing).toBeCloseTo(2, 6);
    expect(found.temperature[1]).toBeCloseTo(20 + 4 / 24, 6);
    expect(found.temperature[7]).toBeCloseTo(20 + 4 / 24, 6);
  });
});
