import { describe, expect, it } from 'vitest';
import { fromSteps, recordOf, type Track } from '@/core/readings';
import {
  columnOf,
  decodeText,
  encodingOf,
  onlyRoles,
  readHead,
  readRoles,
  sensorsIn,
  withRole,
  ZoneClock,
} from '.';

const BERLIN = 'Europe/Berlin';
const two = (value: number): string => String(value).padStart(2, '0');
const opened = (text: string, zone = BERLIN) => {
  const head = readHead(text, zone);
  if (!head.ok) throw new Error(head.message);
  return { text, head: head.value, match: onlyRoles(head.value.guess) };
};
const read = (text: string, zone = BERLIN) => {
  const { head, match } = opened(text, zone);
  return readRoles(text, head, match, null);
};
const celsius = (track: Track | undefined, i: number): number => fromSteps(track!.steps[i]!, 'temperature');

describe('a logger’s file for the climate', () => {
  it('US dates with AM and PM, Fahrenheit by its heading: 672 rows are 28 days', () => {
    const lines = Array.from({ length: 672 }, (_, h) => {
      const day = new Date(Date.UTC(2026, 0, 20) + h * 3_600_000);
      const hour = day.getUTCHours();
      return `${day.getUTCMonth() + 1}/${day.getUTCDate()}/2026 ${hour % 12 || 12}:00 ${hour < 12 ? 'AM' : 'PM'},${hour === 15 ? 77 : 66},55`;
    });
    const { tracks, report } = read(`Date,Temp(F),RH\n${lines.join('\n')}`, 'UTC');
    expect(report).toMatchObject({ rows: 672, timeless: 0, wordy: 0, impossible: 0 });
    expect(tracks.temperature!.at).toHaveLength(672);
    expect(new Date(tracks.temperature!.at[0]!).toISOString()).toBe('2026-01-20T00:00:00.000Z');
    expect(new Date(tracks.temperature!.at[671]!).toISOString()).toBe('2026-02-16T23:00:00.000Z');
    // 66 °F is 18.89 °C, 77 °F is 25 °C; three in the afternoon is where it was written.
    expect(celsius(tracks.temperature, 0)).toBeCloseTo(18.89, 2);
    expect(celsius(tracks.temperature, 15)).toBeCloseTo(25, 2);
    expect(fromSteps(tracks.humidity!.steps[0]!, 'humidity')).toBeCloseTo(0.55, 4);
  });
  it('date and time in two columns: all of 101 rows', () => {
    const lines = Array.from(
      { length: 101 },
      (_, i) =>
        `2026-03-${two(1 + Math.floor(i / 48))};${two(Math.floor((i % 48) / 2))}:${i % 2 ? '30' : '00'};21,5;60`,
    );
    const { tracks, report } = read(`Datum;Uhrzeit;Temperatur °C;Feuchte %\n${lines.join('\n')}`);
    expect(report).toMatchObject({ rows: 101, kept: 202, timeless: 0 });
    expect(tracks.temperature!.at).toHaveLength(101);
    expect(celsius(tracks.temperature, 100)).toBe(21.5);
  });
  it('the clock on the wall is local: noon in Berlin in winter is 11 UTC, and its record begins at local midnight', () => {
    const lines = Array.from(
      { length: 49 },
      (_, h) => `2026-02-${two(1 + Math.floor(h / 24))}T${two(h % 24)}:00,22,60`,
    );
    const { tracks } = read(`time,temp,humidity\n${lines.join('\n')}`);
    expect(new Date(tracks.temperature!.at[12]!).toISOString()).toBe('2026-02-01T11:00:00.000Z');
    const clock = new ZoneClock(BERLIN);
    const { temperature, humidity } = tracks;
    const record = recordOf({ temperature: temperature!, humidity: humidity! }, (utc) => clock.offset(utc))!;
    expect(record).toMatchObject({ date: '2026-02-01', from: 32 });
    expect(record.readings[12]).toMatchObject({ t: 12 * 3600, temperature: 22, humidity: 0.6 });
  });
  it('columns are matched: the room’s apart, one for each, changed by hand, none twice', () => {
    const { head, match } = opened(
      'Time,Warm °C,Cool °C,Humidity %,Room temp,Room RH\n2026-02-01 00:00,25,22,65,21,40\n2026-02-01 01:00,25,22,65,21,40',
    );
    expect(columnOf(match, 'temperature')!.column).toBe(1);
    expect(columnOf(match, 'humidity')!.column).toBe(3);
    expect(columnOf(match, 'roomTemperature')!.column).toBe(4);
    expect(columnOf(match, 'roomHumidity')!.column).toBe(5);
    expect(match.columns).toHaveLength(4);
    const cool = withRole(match, 'temperature', 2);
    expect(columnOf(cool, 'temperature')).toMatchObject({ column: 2, unit: '°C' });
    expect(columnOf(withRole(cool, 'roomTemperature', 2), 'temperature')).toBeUndefined();
    expect(columnOf(withRole(cool, 'humidity', null), 'humidity')).toBeUndefined();
    expect(columnOf(withRole(match, 'temperature', 1, '°F'), 'temperature')!.unit).toBe('°F');
    expect(sensorsIn(head, match)).toEqual([]);
  });
  it('of a table that holds several sensors, one is read', () => {
    const lines = Array.from(
      { length: 60 },
      (_, i) => `2026-02-01 ${two(Math.floor(i / 3))}:00,${['a', 'b', 'c'][i % 3]!},${20 + (i % 3)},50`,
    );
    const { text, head, match } = opened(`time,sensor,temp °C,RH %\n${lines.join('\n')}`);
    expect(sensorsIn(head, match)).toEqual(['a', 'b', 'c']);
    const { tracks } = readRoles(text, head, match, 'b');
    expect(tracks.temperature!.at).toHaveLength(20);
    expect(celsius(tracks.temperature, 0)).toBe(21);
  });
});

describe('text out of bytes', () => {
  const text = 'Zeit;°C\n1.3.2026 14:20;21,5\n';
  const utf16 = (little: boolean, mark: boolean): Uint8Array => {
    const all = mark ? `\uFEFF${text}` : text;
    const bytes = new Uint8Array(2 * all.length);
    new Array(all.length)
      .fill(0)
      .forEach((_, i) => new DataView(bytes.buffer).setUint16(2 * i, all.charCodeAt(i), little));
    return bytes;
  };
  it('UTF-8 with and without its mark, UTF-16 both ways with and without it, and what Windows wrote before', () => {
    expect(decodeText(new TextEncoder().encode(text))).toBe(text);
    expect(decodeText(new TextEncoder().encode(`\uFEFF${text}`))).toBe(text);
    for (const little of [true, false])
      for (const mark of [true, false]) {
        expect(encodingOf(utf16(little, mark))).toBe(little ? 'utf-16le' : 'utf-16be');
        expect(decodeText(utf16(little, mark))).toBe(text);
      }
    const latin = Uint8Array.from(text, (it) => it.charCodeAt(0));
    expect(encodingOf(latin)).toBe('windows-1252');
    expect(decodeText(latin)).toBe(text);
  });
});
