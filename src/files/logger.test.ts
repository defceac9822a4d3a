import { describe, expect, it } from 'vitest';
import { readingsOf, readLogger, roomOfRecord } from '.';

const rows = (count: number, line: (hour: number) => string): string =>
  Array.from({ length: count }, (_, hour) => line(hour)).join('\n');
const two = (value: number): string => String(value).padStart(2, '0');
const iso = (hour: number): string => `2026-02-${two(1 + Math.floor(hour / 24))}T${two(hour % 24)}:00:00`;

describe('a logger’s file', () => {
  it('comma, heading, ISO times; columns are guessed, the room’s apart', () => {
    const text = `Time,Temp °C,Humidity %,Room temp,Room RH\n${rows(49, (h) => `${iso(h)},${22 + (h % 3)},65,21,40`)}`;
    const table = readLogger(text);
    if (!table.ok) throw new Error(table.message);
    expect(table.value.guess).toEqual({
      time: 0,
      temperature: 1,
      humidity: 2,
      roomTemperature: 3,
      roomHumidity: 4,
    });
    const record = readingsOf(table.value, table.value.guess);
    if (!record.ok) throw new Error(record.message);
    expect(record.value).toMatchObject({ from: 32, date: '2026-02-01', skipped: 0 });
    expect(record.value.readings[1]).toEqual({
      t: 3600,
      temperature: 23,
      humidity: 0.65,
      roomTemperature: 21,
      roomHumidity: 0.4,
    });
  });
  it('semicolons, decimal commas, day.month.year, Fahrenheit by its heading', () => {
    const text = `Datum;Temperature °F;RH\n${rows(30, (h) => `${two(1 + Math.floor(h / 24))}.03.2026 ${two(h % 24)}:30;71,6;55,5`)}`;
    const table = readLogger(text);
    if (!table.ok) throw new Error(table.message);
    const record = readingsOf(table.value, { ...table.value.guess, time: 0, temperature: 1, humidity: 2 });
    if (!record.ok) throw new Error(record.message);
    expect(record.value.readings[0]!.temperature).toBeCloseTo(22, 6);
    expect(record.value.readings[0]!.humidity).toBeCloseTo(0.555, 9);
    expect(record.value.readings[0]!.t).toBe(1800);
  });
  it('nonsense is refused where it stands, with what to do', () => {
    expect(readLogger('')).toMatchObject({ ok: false, place: 'the whole file' });
    expect(readLogger('\u0000\u0001binary')).toMatchObject({ ok: false });
    expect(readLogger('one\ntwo\nthree')).toMatchObject({ ok: false, place: 'line 1' });
    const table = readLogger(`when,t,rh\n${iso(0)},22,60\nyesterday,23,61\n${iso(30)},22,60`);
    if (!table.ok) throw new Error(table.message);
    const columns = { time: 0, temperature: 1, humidity: 2, roomTemperature: null, roomHumidity: null };
    expect(readingsOf(table.value, columns)).toMatchObject({
      ok: false,
      place: 'line 3, column 1',
      message: expect.stringContaining('yesterday'),
    });
    expect(readingsOf(table.value, { ...columns, humidity: null })).toMatchObject({
      ok: false,
      place: 'the columns',
    });
    const short = readLogger(`when,t,rh\n${rows(5, (h) => `${iso(h)},22,60`)}`);
    if (!short.ok) throw new Error(short.message);
    expect(readingsOf(short.value, columns)).toMatchObject({
      ok: false,
      message: expect.stringContaining('less than a day'),
    });
  });
  it('readings no air can have are left out and counted', () => {
    const table = readLogger(
      `when,t,rh\n${rows(40, (h) => `${iso(h)},${h === 7 ? 850 : 22},${h === 9 ? -4 : 60}`)}`,
    );
    if (!table.ok) throw new Error(table.message);
    const record = readingsOf(table.value, {
      time: 0,
      temperature: 1,
      humidity: 2,
      roomTemperature: null,
      roomHumidity: null,
    });
    if (!record.ok) throw new Error(record.message);
    expect(record.value.skipped).toBe(2);
    expect(record.value.readings).toHaveLength(38);
  });
  it('a room’s record stands for its months and the nearest of the others', () => {
    const table = readLogger(`when,t,rh\n${rows(72, (h) => `${iso(h)},${20 + (h % 24 === 14 ? 4 : 0)},45`)}`);
    if (!table.ok) throw new Error(table.message);
    const record = readingsOf(table.value, {
      time: 0,
      temperature: 1,
      humidity: 2,
      roomTemperature: null,
      roomHumidity: null,
    });
    if (!record.ok) throw new Error(record.message);
    const found = roomOfRecord(record.value);
    expect(found.humidity).toEqual(Array.from({ length: 12 }, () => expect.closeTo(0.45, 9)));
    expect(found.swing).toBeCloseTo(2, 6);
    expect(found.temperature[7]).toBeCloseTo(20 + 4 / 24, 6);
  });
});
