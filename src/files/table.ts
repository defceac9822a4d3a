import Papa from 'papaparse';
import { z } from 'zod';
import {
  PLACES,
  POSSIBLE,
  ReadQuantity,
  toSteps,
  trackOf,
  type MeasuringPlace,
  type Track,
} from '@/core/readings';
import { clockOfCell, ORDERS, timeOfCell, ZoneClock, type DateOrder } from './clock';
import type { Read } from './outcome';

export const UNITS_OF = {
  temperature: ['°C', '°F'],
  humidity: ['%', 'share'],
  uvIndex: ['index'],
  soilWater: ['%', 'share'],
  mass: ['g', 'kg'],
} as const satisfies Record<ReadQuantity, readonly string[]>;
export type ReadUnit = (typeof UNITS_OF)[ReadQuantity][number];

/** What each column of a sensor’s file holds. Kept with its headings, so that the next file of its kind asks nothing. */
export const Match = z.strictObject({
  time: z.number().int().min(0),
  /** Time of day, where it stands in a column of its own. */
  clock: z.number().int().min(0).nullable(),
  order: z.enum(ORDERS),
  /** Of times that do not say their own. */
  zone: z.string().max(60),
  decimal: z.enum(['.', ',']),
  /** Column that names the sensor, where one file holds several below each other. */
  sensor: z.number().int().min(0).nullable(),
  columns: z
    .array(
      z.strictObject({
        column: z.number().int().min(0),
        quantity: ReadQuantity,
        unit: z.enum(['°C', '°F', '%', 'share', 'index', 'g', 'kg']),
        name: z.string().max(80),
        place: z.enum(PLACES),
      }),
    )
    .max(40),
});
export type Match = z.infer<typeof Match>;

/** The head of a file as a table, and what its columns seem to hold; the person decides. */
export interface TableHead {
  readonly headings: readonly string[];
  readonly headed: boolean;
  readonly delimiter: string;
  readonly rows: readonly (readonly string[])[];
  readonly guess: Match;
  /** What could as well be meant otherwise, in words. */
  readonly unsure: readonly string[];
}

/** Under which a match is remembered: files of one logger have the same headings. */
export const signatureOf = ({ headings, delimiter }: Pick<TableHead, 'headings' | 'delimiter'>): string =>
  headings.join(delimiter).slice(0, 1000);

const SAMPLE = 300;

/** Reads the first lines of a CSV of any shape: comma, semicolon, tab or bar; with or without a heading (RFC 4180 and what loggers make of it). */
export function readHead(text: string, zone: string): Read<TableHead> {
  const fault = (place: string, message: string): Read<TableHead> => ({ ok: false, place, message });
  if (text.trim() === '') return fault('the whole file', 'it is empty. Export the record again');
  if (text.includes('\u0000'))
    return fault('the whole file', 'this is not a text file. Export the record as CSV');
  const parsed = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), {
    skipEmptyLines: 'greedy',
    preview: SAMPLE + 20,
    delimitersToGuess: [',', ';', '\t', '|'],
  });
  // Loggers write their own name and serial above the table: it begins where rows are as wide as most.
  const widths = new Map<number, number>();
  for (const row of parsed.data) widths.set(row.length, (widths.get(row.length) ?? 0) + 1);
  const width = [...widths].sort((a, b) => b[1] - a[1] || b[0] - a[0])[0]?.[0] ?? 0;
  const start = parsed.data.findIndex((row) => row.length === width);
  const [first, ...others] = parsed.data.slice(start);
  if (!first || width < 2)
    return fault('line 1', 'at least two columns are expected: a time, and something read');
  const isTime = (cell: string): boolean => ORDERS.some((order) => timeOfCell(cell, order) !== null);
  const headed = !first.some(isTime) && first.some((cell) => /\p{L}/u.test(cell));
  const rows = (headed ? others : [first, ...others]).filter((row) => row.length === width).slice(0, SAMPLE);
  if (rows.length === 0) return fault('line 2', 'there is a heading and nothing under it');
  const headings = headed
    ? first.map((it, i) => it.trim() || `column ${i + 1}`)
    : first.map((_, i) => `column ${i + 1}`);
  const column = (i: number): string[] => rows.map((row) => (row[i] ?? '').trim()).filter((it) => it !== '');
  const mostly = (i: number, test: (cell: string) => boolean): boolean => {
    const cells = column(i);
    return cells.length > 0 && cells.filter(test).length > 0.8 * cells.length;
  };
  const time = headings.findIndex((_, i) => mostly(i, isTime));
  if (time < 0)
    return fault(
      `line ${start + (headed ? 2 : 1)}`,
      'no column holds dates or times. A date such as 2026-03-01 14:20 or 1.3.2026 14:20 is looked for',
    );
  const unsure: string[] = [];
  const order = orderOf(column(time), unsure);
  const bare = mostly(time, (cell) => !/\d[:.]\d{2}/.test(cell.replace(/^\S+/, '')) && !/T\d/.test(cell));
  const clock = bare
    ? headings.findIndex((_, i) => i !== time && mostly(i, (it) => clockOfCell(it) !== null))
    : -1;
  const isNumber = (cell: string): boolean =>
    numberOfCell(cell, ',') !== null || numberOfCell(cell, '.') !== null;
  const numbers = headings.flatMap((_, i) => (i !== time && i !== clock && mostly(i, isNumber) ? [i] : []));
  const decimal = numbers.some((i) => mostly(i, (it) => /^-?\d+,\d{1,3}\D*$/.test(it))) ? ',' : '.';
  const named = headings.findIndex((_, i) => {
    if (i === time || i === clock || numbers.includes(i)) return false;
    const kinds = new Set(column(i)).size;
    return kinds > 1 && kinds <= 20 && kinds < rows.length / 3;
  });
  const columns = numbers.flatMap((i) => {
    const values = column(i).flatMap((it) => numberOfCell(it, decimal) ?? []);
    const own = quantityOf(headings[i] ?? '', column(i), values);
    if (!own) return [];
    if (own.sure) unsure.push(`${headings[i]}: ${own.sure}`);
    return [
      {
        column: i,
        quantity: own.quantity,
        unit: own.unit,
        name: (headings[i] ?? '').slice(0, 80),
        place: placeOf(headings[i] ?? ''),
      },
    ];
  });
  return {
    ok: true,
    value: {
      headings,
      headed,
      delimiter: parsed.meta.delimiter,
      rows,
      guess: {
        time,
        clock: clock < 0 ? null : clock,
        order,
        zone,
        decimal,
        sensor: named < 0 ? null : named,
        columns,
      },
      unsure,
    },
  };
}

/**
 * Day first or month first: told by any number over twelve; where none is, the file does not say, and who writes AM and PM
 * mostly writes the month first (common practice).
 */
function orderOf(cells: readonly string[], unsure: string[]): DateOrder {
  let [first, second] = [0, 0];
  for (const cell of cells) {
    const found = /^(\d{1,4})[-./ ](\d{1,2})[-./ ]/.exec(cell);
    if (!found) continue;
    if ((found[1] ?? '').length === 4) return 'ymd';
    first = Math.max(first, Number(found[1]));
    second = Math.max(second, Number(found[2]));
  }
  if (first === 0) return 'ymd';
  if (first > 31) return 'ymd';
  if (first > 12) return 'dmy';
  if (second > 12) return 'mdy';
  unsure.push('Dates could be day first or month first: no day in the sample is over 12');
  return cells.some((it) => /\d\s*[ap]\.?m\.?$/i.test(it)) ? 'mdy' : 'dmy';
}

function quantityOf(
  heading: string,
  cells: readonly string[],
  values: readonly number[],
): { readonly quantity: ReadQuantity; readonly unit: ReadUnit; readonly sure: string | null } | null {
  const all = `${heading} ${cells[0] ?? ''}`;
  const most = values.reduce((a, b) => Math.max(a, b), -Infinity);
  const percent = most > 1.05 ? '%' : 'share';
  if (/uv/i.test(heading)) return { quantity: 'uvIndex', unit: 'index', sure: null };
  if (/soil.*(moist|water|hum)|moisture|vwc|bodenfeuchte/i.test(heading))
    return { quantity: 'soilWater', unit: percent, sure: null };
  if (/hum|\brh\b|r\.h|feucht|%/i.test(all) && !/batt/i.test(heading))
    return { quantity: 'humidity', unit: percent, sure: null };
  if (/°\s*F\b|fahrenheit|\bdeg\s*F\b|_f\b|\(F\)/i.test(all))
    return { quantity: 'temperature', unit: '°F', sure: null };
  if (/temp|°|celsius|\bt\b|\bwarm|\bcool|\bbask/i.test(all) && !/dew/i.test(heading)) {
    const said = /°\s*C\b|celsius|_c\b|\(C\)/i.test(all);
    // No box is at 55 °C by the middle of its readings.
    const middle = [...values].sort((a, b) => a - b)[values.length >> 1] ?? 0;
    return !said && middle > 55
      ? { quantity: 'temperature', unit: '°F', sure: 'values of an enclosure in °F; no unit is said' }
      : { quantity: 'temperature', unit: '°C', sure: null };
  }
  if (/weight|mass|gewicht|\bg\b|\bkg\b|gram/i.test(all))
    return { quantity: 'mass', unit: /kg/i.test(all) ? 'kg' : 'g', sure: null };
  return null;
}

function placeOf(heading: string): MeasuringPlace {
  const found = (
    [
      [/bask|spot/i, 'basking'],
      [/cool|cold|kühl/i, 'cool'],
      [/room|ambient|outside|raum/i, 'room'],
      [/soil|ground|boden/i, 'soil'],
      [/hide|cave/i, 'hide'],
      [/top|canopy|upper/i, 'canopy'],
      [/weight|mass|scale/i, 'scale'],
    ] as const
  ).find(([pattern]) => pattern.test(heading));
  return found?.[1] ?? 'warm';
}

/** 23.4, 23,4, “23.4 °C”, 1.013,2 with a decimal comma; null when it is no number. */
export function numberOfCell(cell: string, decimal: '.' | ','): number | null {
  const found =
    /^\s*([-+−]?[\d.,'’ ]*\d(?:[eE][-+]?\d+)?)\s*(?:°?\s*[CF]|%\s*(?:r\.?h\.?)?|k?g|UVI)?\s*$/i.exec(cell);
  const text = found?.[1];
  if (text === undefined) return null;
  const plain = decimal === ',' ? text.replace(/[.'’ ]/g, '').replace(',', '.') : text.replace(/[,'’ ]/g, '');
  const value = Number(plain.replace('−', '-'));
  return Number.isFinite(value) ? value : null;
}

/** A column of numbers that grows. */
class Growing {
  at = new Float64Array(4096);
  steps = new Int32Array(4096);
  length = 0;
  push(at: number, steps: number): void {
    if (this.length === this.at.length) {
      const [wideAt, wideSteps] = [new Float64Array(2 * this.length), new Int32Array(2 * this.length)];
      wideAt.set(this.at);
      wideSteps.set(this.steps);
      this.at = wideAt;
      this.steps = wideSteps;
    }
    this.at[this.length] = at;
    this.steps[this.length] = steps;
    this.length += 1;
  }
  track(): Track {
    return trackOf(this.at.subarray(0, this.length), this.steps.subarray(0, this.length));
  }
}

export interface TableTrack {
  /** Name of the column, with that of the sensor where the file holds several. */
  readonly name: string;
  readonly quantity: ReadQuantity;
  readonly place: MeasuringPlace;
  readonly track: Track;
}

export interface TableReport {
  readonly rows: number;
  readonly kept: number;
  /** Rows whose time could not be read, and the first of them. */
  readonly timeless: number;
  readonly firstTimeless: { readonly line: number; readonly text: string } | null;
  /** Cells with something in them that is no number; with one that no instrument in a box can read. */
  readonly wordy: number;
  readonly impossible: number;
  /** Readings at one moment, of which the last was kept. */
  readonly repeated: number;
  /** Times in the hour that the clocks skip, and in the one that comes twice. */
  readonly inGap: number;
  readonly inRepeat: number;
}

/** Most sensors one file may name. */
const MOST_SENSORS = 60;

/** Takes rows of a matched table as they come, a million or more. */
export class TableReader {
  private readonly clock: ZoneClock;
  private readonly tracks = new Map<string, { of: TableTrack; grown: Growing }>();
  private line: number;
  private before = -Infinity;
  private backwards = 0;
  private told = {
    rows: 0,
    kept: 0,
    timeless: 0,
    firstTimeless: null as TableReport['firstTimeless'],
    wordy: 0,
    impossible: 0,
    inGap: 0,
    inRepeat: 0,
  };

  /** @param firstLine number of the first line that is given, for what is said of one */
  constructor(
    private readonly match: Match,
    firstLine: number,
  ) {
    this.clock = new ZoneClock(match.zone);
    this.line = firstLine;
  }

  row(cells: readonly string[]): void {
    const { match, told } = this;
    told.rows += 1;
    const line = this.line;
    this.line += 1;
    const at = this.timeOf(cells);
    if (at === null) {
      told.timeless += 1;
      told.firstTimeless ??= { line, text: (cells[match.time] ?? '').slice(0, 40) };
      return;
    }
    const sensor = match.sensor === null ? null : (cells[match.sensor] ?? '').trim().slice(0, 60);
    for (const { column, quantity, unit, name, place } of match.columns) {
      const cell = cells[column] ?? '';
      if (cell.trim() === '') continue;
      const raw = numberOfCell(cell, match.decimal);
      if (raw === null) {
        told.wordy += 1;
        continue;
      }
      const value = toSi(raw, unit);
      const [low, high] = POSSIBLE[quantity];
      if (value < low || value > high) {
        told.impossible += 1;
        continue;
      }
      const key = `${sensor ?? ''}\n${column}`;
      let own = this.tracks.get(key);
      if (!own) {
        if (this.tracks.size >= MOST_SENSORS) continue;
        const full = sensor === null || sensor === '' ? name : `${sensor} ${name}`;
        own = { of: { name: full, quantity, place, track: trackOf([], []) }, grown: new Growing() };
        this.tracks.set(key, own);
      }
      own.grown.push(at, toSteps(quantity === 'humidity' ? Math.min(1, value) : value, quantity));
      told.kept += 1;
    }
  }

  done(): { readonly tracks: readonly TableTrack[]; readonly report: TableReport } {
    const tracks = [...this.tracks.values()].map(({ of, grown }) => ({ ...of, track: grown.track() }));
    const distinct = tracks.reduce((sum, it) => sum + it.track.at.length, 0);
    return {
      tracks,
      report: { ...this.told, kept: distinct, repeated: this.told.kept - distinct },
    };
  }

  /** In the hour that comes twice the order of the file tells which of the two is meant. */
  private timeOf(cells: readonly string[]): number | null {
    const { match, told } = this;
    const read = timeOfCell(cells[match.time] ?? '', match.order);
    if (read === null) return null;
    if ('moment' in read) return read.moment;
    const clock = match.clock === null ? 0 : clockOfCell(cells[match.clock] ?? '');
    if (clock === null) return null;
    const { at, skipped } = this.clock.moments(read.wall + clock);
    const [first, second] = at;
    let moment = first ?? skipped;
    if (first === undefined) told.inGap += 1;
    if (first !== undefined && second !== undefined) {
      told.inRepeat += 1;
      const down = this.backwards < 0 || (this.backwards === 0 && second < this.before);
      moment = down ? (second < this.before ? second : first) : first > this.before ? first : second;
    }
    if (Number.isFinite(this.before) && moment !== this.before)
      this.backwards = Math.sign(moment - this.before);
    this.before = moment;
    return moment;
  }
}

const toSi = (value: number, unit: ReadUnit): number => {
  switch (unit) {
    case '°F':
      return ((value - 32) * 5) / 9;
    case '%':
      return value / 100;
    case 'g':
      return value / 1000;
    default:
      return value;
  }
};

/** The same table from text that is at hand. */
export function readTable(text: string, head: TableHead, match: Match): ReturnType<TableReader['done']> {
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), {
    delimiter: head.delimiter,
    skipEmptyLines: 'greedy',
  });
  const skip = linesAbove(data, head);
  const reader = new TableReader(match, skip + 1);
  for (const row of data.slice(skip)) reader.row(row);
  return reader.done();
}

/** Rows above the first reading: what the logger says of itself, and the headings. */
export const linesAbove = (
  rows: readonly (readonly string[])[],
  { headings, headed }: Pick<TableHead, 'headings' | 'headed'>,
): number => {
  const start = rows.findIndex((row) => row.length === headings.length);
  return Math.max(0, start) + (headed ? 1 : 0);
};
