import Papa from 'papaparse';
import type { Reading } from '@/core/climate';
import type { Read } from './outcome';

/** A logger's file as a table of text, its heading row apart. */
export interface LoggerTable {
  readonly headings: readonly string[];
  readonly rows: readonly (readonly string[])[];
  /** What each column seems to hold; the person decides. */
  readonly guess: Columns;
}

/** Numbers of columns; null: there is none. */
export interface Columns {
  readonly time: number;
  readonly temperature: number | null;
  readonly humidity: number | null;
  readonly roomTemperature: number | null;
  readonly roomHumidity: number | null;
}

const MOST = 200_000;

/** Reads a CSV of any shape: comma, semicolon or tab, with or without a heading. */
export function readLogger(text: string): Read<LoggerTable> {
  if (text.trim() === '')
    return { ok: false, place: 'the whole file', message: 'it is empty. Export the record again' };
  if (text.includes('\u0000')) {
    return {
      ok: false,
      place: 'the whole file',
      message: 'this is not a text file. Export the record as CSV',
    };
  }
  const parsed = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: 'greedy' });
  const [first, ...others] = parsed.data;
  if (!first || others.length === 0 || first.length < 2) {
    return {
      ok: false,
      place: 'line 1',
      message: 'at least two columns are expected: a time, and a temperature or humidity',
    };
  }
  if (others.length > MOST) {
    return {
      ok: false,
      place: `line ${MOST + 2}`,
      message: `more than ${MOST} rows. Export a shorter stretch, or fewer readings an hour`,
    };
  }
  const headed = first.some(
    (cell) => /[a-z]/i.test(cell) && numberOf(cell) === null && timeOf(cell) === null,
  );
  const headings = headed
    ? first.map((it, i) => it.trim() || `column ${i + 1}`)
    : first.map((_, i) => `column ${i + 1}`);
  const rows = headed ? others : [first, ...others];
  return { ok: true, value: { headings, rows, guess: guessOf(headings, rows) } };
}

function guessOf(headings: readonly string[], rows: readonly (readonly string[])[]): Columns {
  const sample = rows.slice(0, 50);
  const time = Math.max(
    0,
    headings.findIndex(
      (_, i) =>
        sample.every((row) => timeOf(row[i] ?? '') !== null) &&
        sample.some((row) => /[-:/.T]/.test(row[i] ?? '')),
    ),
  );
  const find = (pattern: RegExp, not: RegExp | null, taken: readonly number[]): number | null => {
    const at = headings.findIndex(
      (it, i) => i !== time && !taken.includes(i) && pattern.test(it) && !(not?.test(it) ?? false),
    );
    return at < 0 ? null : at;
  };
  const room = /room|ambient|outside|raum/i;
  const temperature = find(/temp|°|celsius|\bt\b/i, room, []);
  const humidity = find(/hum|rh|feucht|%/i, room, temperature === null ? [] : [temperature]);
  const taken = [temperature, humidity].filter((it) => it !== null);
  return {
    time,
    temperature,
    humidity,
    roomTemperature: find(
      /(room|ambient|outside|raum).*(temp|°|t\b)|(temp|°).*(room|ambient|outside|raum)/i,
      null,
      taken,
    ),
    roomHumidity: find(
      /(room|ambient|outside|raum).*(hum|rh|%|feucht)|(hum|rh|%).*(room|ambient|outside|raum)/i,
      null,
      taken,
    ),
  };
}

/** 23.4, 23,4, “23.4 °C”; null when it is no number. */
function numberOf(cell: string): number | null {
  const found = /^\s*(-?\d+(?:[.,]\d+)?)\s*(?:°?\s*[CF]|%|%?\s*rH)?\s*$/i.exec(cell);
  return found?.[1] === undefined ? null : Number(found[1].replace(',', '.'));
}

/** ms since 1970: ISO and the like, day.month.year, seconds or milliseconds. Times without a zone are taken as they stand. */
function timeOf(cell: string): number | null {
  const text = cell.trim();
  if (/^\d{10}$/.test(text)) return Number(text) * 1000;
  if (/^\d{13}$/.test(text)) return Number(text);
  const local = /^(\d{1,4})[-./](\d{1,2})[-./](\d{1,4})(?:[T ,]+(\d{1,2}):(\d{2})(?::(\d{2}))?)?/.exec(text);
  if (!local) return null;
  const [a, b, c] = [Number(local[1]), Number(local[2]), Number(local[3])];
  const [year, month, day] =
    (local[1] ?? '').length === 4 ? [a, b, c] : text.includes('/') && b > 12 ? [c, a, b] : [c, b, a];
  if (month < 1 || month > 12 || day < 1 || day > 31) return null;
  const time = Date.UTC(
    year < 100 ? 2000 + year : year,
    month - 1,
    day,
    Number(local[4] ?? 0),
    Number(local[5] ?? 0),
    Number(local[6] ?? 0),
  );
  return Number.isFinite(time) ? time : null;
}

export interface LoggerRecord {
  readonly readings: readonly Reading[];
  /** Day of the year it begins with, and its date. */
  readonly from: number;
  readonly date: string;
  /** Rows that were left out: no reading, or one no air can have. */
  readonly skipped: number;
}

const DAY = 86_400_000;

/** Readings out of a table by the columns a person matched. Fahrenheit is told by the heading or by values no box reaches. */
export function readingsOf(table: LoggerTable, columns: Columns): Read<LoggerRecord> {
  const { temperature, humidity } = columns;
  if (temperature === null || humidity === null) {
    return {
      ok: false,
      place: 'the columns',
      message: 'choose a column for temperature and one for humidity',
    };
  }
  const fahrenheit = (column: number | null): boolean =>
    column !== null && /°\s*F|fahrenheit/i.test(table.headings[column] ?? '');
  const offset = 2;
  const readings: (Reading & { at: number })[] = [];
  let skipped = 0;
  for (const [index, row] of table.rows.entries()) {
    const at = timeOf(row[columns.time] ?? '');
    if (at === null) {
      return {
        ok: false,
        place: `line ${index + offset}, column ${columns.time + 1}`,
        message: `“${(row[columns.time] ?? '').slice(0, 40)}” is no time. Choose the column with date and time`,
      };
    }
    const value = (column: number | null): number | null =>
      column === null ? null : numberOf(row[column] ?? '');
    const celsius = (column: number | null): number | null => {
      const it = value(column);
      return it === null ? null : fahrenheit(column) ? ((it - 32) * 5) / 9 : it;
    };
    const t = celsius(temperature);
    const h = value(humidity);
    if (t === null || h === null || t < -20 || t > 70 || h < 0 || h > 105) {
      skipped += 1;
      continue;
    }
    const roomT = celsius(columns.roomTemperature);
    const roomH = value(columns.roomHumidity);
    readings.push({
      at,
      t: 0,
      temperature: t,
      humidity: Math.min(1, h / 100),
      ...(roomT !== null && roomH !== null
        ? { roomTemperature: roomT, roomHumidity: Math.min(1, roomH / 100) }
        : {}),
    });
  }
  if (skipped > table.rows.length / 2) {
    return {
      ok: false,
      place: 'the columns',
      message: `${skipped} of ${table.rows.length} rows hold no such reading. Match other columns`,
    };
  }
  readings.sort((a, b) => a.at - b.at);
  const first = readings[0];
  const last = readings.at(-1);
  if (!first || !last || last.at - first.at < DAY) {
    return {
      ok: false,
      place: 'the whole file',
      message: 'it covers less than a day. A week or more, with mistings in it, tells most',
    };
  }
  const midnight = Math.floor(first.at / DAY) * DAY;
  const year = new Date(midnight).getUTCFullYear();
  return {
    ok: true,
    value: {
      readings: thinned(readings).map(({ at, ...it }) => ({ ...it, t: (at - midnight) / 1000 })),
      from: Math.floor((midnight - Date.UTC(year, 0, 1)) / DAY) + 1,
      date: new Date(midnight).toISOString().slice(0, 10),
      skipped,
    },
  };
}

/** No more than one reading in ten minutes, and the last three weeks: enough to fit three numbers by. */
function thinned<T extends { readonly at: number }>(readings: readonly T[]): readonly T[] {
  const last = readings.at(-1)?.at ?? 0;
  const from = Math.floor((last - 21 * DAY) / DAY) * DAY;
  let before = -Infinity;
  return readings.filter(({ at }) => {
    if (at - before < 590_000 || at < from) return false;
    before = at;
    return true;
  });
}

/** A room's record as twelve months: those it has, and the rest by the nearest it has. */
export function roomOfRecord(record: LoggerRecord): {
  readonly temperature: number[];
  readonly humidity: number[];
  readonly swing: number;
} {
  const sums = Array.from({ length: 12 }, () => ({ t: 0, h: 0, n: 0 }));
  const byDay = new Map<number, { low: number; high: number }>();
  for (const it of record.readings) {
    const day = record.from + Math.floor(it.t / 86_400);
    const month = Math.min(11, Math.floor((((day - 1) % 365) / 365) * 12));
    const sum = sums[month];
    if (sum) {
      sum.t += it.temperature;
      sum.h += it.humidity;
      sum.n += 1;
    }
    const range = byDay.get(day) ?? { low: Infinity, high: -Infinity };
    byDay.set(day, { low: Math.min(range.low, it.temperature), high: Math.max(range.high, it.temperature) });
  }
  const known = sums.flatMap((it, month) => (it.n > 0 ? [month] : []));
  const nearest = (month: number): { t: number; h: number; n: number } => {
    const apart = (other: number): number => Math.min(Math.abs(month - other), 12 - Math.abs(month - other));
    const best = known.reduce((a, b) => (apart(b) < apart(a) ? b : a), known[0] ?? 0);
    return sums[best] ?? { t: 20, h: 0.5, n: 1 };
  };
  const months = Array.from({ length: 12 }, (_, month) => nearest(month));
  const swings = [...byDay.values()].map((it) => (it.high - it.low) / 2);
  return {
    temperature: months.map((it) => it.t / it.n),
    humidity: months.map((it) => it.h / it.n),
    swing: Math.min(15, swings.reduce((sum, it) => sum + it, 0) / Math.max(1, swings.length)),
  };
}
