import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fromSteps } from '@/core/readings';
import {
  numberOfCell,
  readHead,
  readingsIn,
  readSenml,
  readTable,
  senmlName,
  timeOfCell,
  writeSenml,
  ZoneClock,
  type Match,
  type Resolved,
} from '.';

/** Reads a text as it is guessed, with changes. */
function read(text: string, change: Partial<Match> = {}, zone = 'UTC') {
  const head = readHead(text, zone);
  if (!head.ok) throw new Error(`${head.place}: ${head.message}`);
  const { tracks, report } = readTable(text, head.value, { ...head.value.guess, ...change });
  return {
    head: head.value,
    report,
    tracks: tracks.map(({ name, quantity, track }) => ({
      name,
      quantity,
      at: [...track.at].map((it) => new Date(it).toISOString().slice(0, 19)),
      values: [...track.steps].map((it) => Number(fromSteps(it, quantity).toFixed(4))),
    })),
  };
}
const lines = (...all: readonly string[]): string => all.join('\n');
/** Enough rows under a heading that a column’s kind is told. */
const rows = (count: number, line: (i: number) => string): string =>
  Array.from({ length: count }, (_, i) => line(i)).join('\n');

describe('CSV as RFC 4180 has it', () => {
  it('quoted fields with commas, line breaks and doubled quotes; CRLF; no line break at the end', () => {
    const { tracks } = read(
      'time,note,temperature\r\n2026-03-01 08:00,"a, ""b""\r\nc",21.5\r\n2026-03-01 09:00,,22.0',
    );
    expect(tracks).toEqual([
      {
        name: 'temperature',
        quantity: 'temperature',
        at: ['2026-03-01T08:00:00', '2026-03-01T09:00:00'],
        values: [21.5, 22],
      },
    ]);
  });
});

describe('odd shapes of real files', () => {
  it('semicolons, decimal commas, day first, a byte-order mark, two lines above the heading', () => {
    const { head, tracks } = read(
      lines(
        '\uFEFFLogger 4711',
        'Serial 0001',
        'Datum;Temp. [°C];Feuchte [%]',
        '13.02.2026 14:05;23,4;81,2',
        '13.02.2026 14:15;23,6;80,9',
        '13.02.2026 14:25;23,8;80,1',
      ),
    );
    expect(head.guess).toMatchObject({ order: 'dmy', decimal: ',', time: 0 });
    expect(head.unsure).toEqual([]);
    expect(tracks.map((it) => it.values)).toEqual([
      [23.4, 23.6, 23.8],
      [0.812, 0.809, 0.801],
    ]);
    expect(tracks[0]!.at[0]).toBe('2026-02-13T14:05:00');
  });
  it('month first with am and pm, Fahrenheit by the heading', () => {
    const { head, tracks } = read(
      lines('Date/Time\tTemp (F)', '2/13/2026 12:05 AM\t68', '2/13/2026 1:05 PM\t77'),
    );
    expect(head.guess).toMatchObject({ order: 'mdy' });
    expect(tracks[0]).toMatchObject({
      at: ['2026-02-13T00:05:00', '2026-02-13T13:05:00'],
      values: [20, 25],
    });
  });
  it('Fahrenheit by its values, where nothing says so, and says that it is a guess', () => {
    const { head, tracks } = read(`time,temp\n${rows(20, (i) => `2026-03-01 08:${10 + i},${75 + (i % 3)}`)}`);
    expect(head.guess.columns[0]!.unit).toBe('°F');
    expect(head.unsure.join()).toMatch(/°F/);
    expect(tracks[0]!.values[0]).toBeCloseTo(23.89, 2);
  });
  it('where day and month cannot be told apart, AM and PM speak for the month first', () => {
    const { head, tracks } = read(lines('time,temp', '03/04/2026 10:00 AM,21', '03/05/2026 2:00 PM,22'));
    expect(head.unsure.join()).toMatch(/day first or month first/);
    expect(tracks[0]!.at[1]).toBe('2026-03-05T14:00:00');
  });
  it('says so where day and month cannot be told apart', () => {
    const { head, tracks } = read(lines('time,temp', '03/04/2026 10:00,21', '03/05/2026 10:00,22'));
    expect(head.unsure.join()).toMatch(/day first or month first/);
    expect(tracks[0]!.at[1]).toBe('2026-05-03T10:00:00');
    expect(
      read(lines('time,temp', '03/04/2026 10:00,21', '03/05/2026 10:00,22'), { order: 'mdy' }).tracks[0]!
        .at[1],
    ).toBe('2026-03-05T10:00:00');
  });
  it('date and time in columns of their own; seconds since 1970; times with their own zone', () => {
    expect(
      read(lines('date,clock,temp', '2026-03-01,08:00:30,21', '2026-03-01,09:00:30,22')).tracks[0]!.at,
    ).toEqual(['2026-03-01T08:00:30', '2026-03-01T09:00:30']);
    expect(read(lines('unix,temp', '1772352000,21', '1772355600,22')).tracks[0]!.at[0]).toBe(
      '2026-03-01T08:00:00',
    );
    expect(
      read(lines('t,temp', '2026-03-01T10:00:00+02:00,21', '2026-03-01T09:00:00Z,22'), {}, 'Europe/Berlin')
        .tracks[0]!.at,
    ).toEqual(['2026-03-01T08:00:00', '2026-03-01T09:00:00']);
  });
  it('several sensors below each other in one file', () => {
    const { tracks } = read(
      `time,sensor,temperature\n${rows(40, (i) => `2026-03-01 08:${10 + (i >> 1)},${i % 2 === 0 ? 'bog' : 'hedge'},${20 + (i % 2)}`)}`,
    );
    expect(tracks.map((it) => [it.name, it.values.length, it.values[0]])).toEqual([
      ['bog temperature', 20, 20],
      ['hedge temperature', 20, 21],
    ]);
  });
  it('no heading at all: columns are numbered, and matched by hand', () => {
    const text = lines('2026-03-01 08:00,21.5', '2026-03-01 09:00,22.5');
    expect(
      read(text, {
        columns: [{ column: 1, quantity: 'temperature', unit: '°C', name: 'bog', place: 'warm' }],
      }).tracks[0]!.values,
    ).toEqual([21.5, 22.5]);
  });
  it('a stamp written twice counts once; blanks, words, broken times and impossible values are told, not kept', () => {
    const { tracks, report } = read(
      lines(
        'time,temp',
        ...Array.from({ length: 20 }, (_, i) => `2026-03-01 08:${10 + i},21`),
        '2026-03-01 09:00,22',
        '2026-03-01 09:00,23',
        '2026-03-01 09:10,',
        '2026-03-01 09:20,error',
        '2026-02-30 09:20,21',
        '2026-03-01 09:30,850',
      ),
    );
    expect(tracks[0]!.values.at(-1)).toBe(23);
    expect(report).toMatchObject({
      rows: 26,
      kept: 21,
      repeated: 1,
      wordy: 1,
      impossible: 1,
      timeless: 1,
      firstTimeless: { line: 26, text: '2026-02-30 09:20' },
    });
  });
  it.each([
    ['', /empty/],
    ['just one column\n1\n2', /two columns/],
    ['a,b\nx,1\ny,2', /no column holds dates/],
    ['PK\u0003\u0004\u0000', /not a text file/],
  ])('%j is told what is wrong with it', (text, why) => {
    const head = readHead(text, 'UTC');
    expect(head.ok).toBe(false);
    expect(!head.ok && head.message).toMatch(why);
  });
});

describe('clocks that are put forward and back (Europe/Berlin 2026: 29 March, 25 October)', () => {
  it('an hour that is skipped: a clock not put forward is taken at its word', () => {
    const { tracks, report } = read(
      lines('time,temp', '2026-03-29 01:30,20', '2026-03-29 02:30,21', '2026-03-29 03:30,22'),
      {},
      'Europe/Berlin',
    );
    expect(report.inGap).toBe(1);
    // 02:30 of a clock still on winter time is the moment others call 03:30: it is written over by it.
    expect(tracks[0]!.at).toEqual(['2026-03-29T00:30:00', '2026-03-29T01:30:00']);
  });
  const autumn = ['01:30', '02:00', '02:30', '02:00', '02:30', '03:00'];
  const utc = ['23:30', '00:00', '00:30', '01:00', '01:30', '02:00'];
  it.each([
    ['forwards', autumn, utc],
    ['the latest first', [...autumn].reverse(), utc],
  ])('an hour that comes twice, file %s: told by the order of the lines', (_, times, expected) => {
    const { tracks, report } = read(
      lines('time,temp', ...times.map((it, i) => `2026-10-25 ${it},${20 + i}`)),
      {},
      'Europe/Berlin',
    );
    expect(report.inRepeat).toBe(4);
    expect(tracks[0]!.at.map((it) => it.slice(11, 16))).toEqual(expected);
  });
  it('offsets as the machine’s own dates have them', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('Europe/Berlin', 'America/New_York', 'Australia/Lord_Howe', 'Asia/Kathmandu', 'UTC'),
        fc.integer({ min: Date.UTC(2000, 0, 1) / 900_000, max: Date.UTC(2035, 0, 1) / 900_000 }),
        (zone, quarter) => {
          const at = quarter * 900_000;
          const clock = new ZoneClock(zone);
          const wall = at + clock.offset(at);
          const shown = new Date(at).toLocaleString('sv-SE', { timeZone: zone });
          expect(new Date(wall).toISOString().slice(0, 19).replace('T', ' ')).toBe(shown);
          expect(clock.moments(wall).at).toContain(at);
        },
      ),
      { numRuns: 300 },
    );
  });
});

describe('cells', () => {
  it.each([
    ['23.4', '.', 23.4],
    ['23,4 °C', ',', 23.4],
    ['1.013,25', ',', 1013.25],
    ['1,013.25', '.', 1013.25],
    ['−3.5', '.', -3.5],
    ['81 %RH', '.', 81],
    ['2.1e1', '.', 21],
    ['n/a', '.', null],
    ['', '.', null],
    ['12 apples', '.', null],
  ] as const)('%s with %s is %s', (cell, decimal, value) => {
    expect(numberOfCell(cell, decimal)).toBe(value);
  });
  it.each(['', '12', '2026-13-01', '31.11.2026', '2026-03-01 25:00', '1.1.1899', '13:00 PM', 'yesterday'])(
    '%j is no time',
    (cell) => {
      expect(timeOfCell(cell, 'dmy')).toBeNull();
    },
  );
  it('never throws', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 200 }), (text) => {
        const head = readHead(text, 'UTC');
        if (head.ok) readTable(text, head.value, head.value.guess);
        readSenml(text, 0);
      }),
      { numRuns: 300 },
    );
  });
});

/** RFC 8428, section 5.1: examples and what section 5.1.4 says they resolve to. */
describe('SenML against the examples of RFC 8428', () => {
  const resolve = (json: unknown, now = 0): readonly Resolved[] => {
    const found = readSenml(JSON.stringify(json), now);
    if (!found.ok) throw new Error(`${found.place}: ${found.message}`);
    return found.value;
  };
  it('5.1.1, a single value: now', () => {
    expect(resolve([{ n: 'urn:dev:ow:10e2073a01080063', u: 'Cel', v: 23.1 }], 1_772_352_000)).toEqual([
      { n: 'urn:dev:ow:10e2073a01080063', u: 'Cel', v: 23.1, t: 1_772_352_000 },
    ]);
  });
  it('5.1.2, several values, and several in the past under one base time', () => {
    expect(
      resolve([
        { bn: 'urn:dev:ow:10e2073a01080063:', n: 'voltage', u: 'V', v: 120.1 },
        { n: 'current', u: 'A', v: 1.2 },
      ]).map(({ n, u, v }) => [n, u, v]),
    ).toEqual([
      ['urn:dev:ow:10e2073a01080063:voltage', 'V', 120.1],
      ['urn:dev:ow:10e2073a01080063:current', 'A', 1.2],
    ]);
    const past = resolve([
      {
        bn: 'urn:dev:ow:10e2073a0108006:',
        bt: 1.276020076001e9,
        bu: 'A',
        bver: 5,
        n: 'voltage',
        u: 'V',
        v: 120.1,
      },
      ...[-5, -4, -3, -2, -1].map((t, i) => ({ n: 'current', t, v: Number((1.2 + i / 10).toFixed(1)) })),
      { n: 'current', v: 1.7 },
    ]);
    expect(past.map((it) => [it.u, it.v, Number((it.t - 1.276020076001e9).toFixed(3))])).toEqual([
      ['V', 120.1, 0],
      ['A', 1.2, -5],
      ['A', 1.3, -4],
      ['A', 1.4, -3],
      ['A', 1.5, -2],
      ['A', 1.6, -1],
      ['A', 1.7, 0],
    ]);
  });
  it('5.1.3 and 5.1.4, humidity with where it was read, and what it resolves to', () => {
    const name = 'urn:dev:ow:10e2073a01080063';
    expect(
      resolve([
        { bn: name, bt: 1.320067464e9, bu: '%RH', v: 20 },
        { u: 'lon', v: 24.30621 },
        { u: 'lat', v: 60.07965 },
        { t: 60, v: 20.3 },
        { u: 'lon', t: 60, v: 24.30622 },
        { u: 'lat', t: 60, v: 60.07965 },
        { t: 120, v: 20.7 },
      ]),
    ).toEqual([
      { n: name, u: '%RH', t: 1.320067464e9, v: 20 },
      { n: name, u: 'lon', t: 1.320067464e9, v: 24.30621 },
      { n: name, u: 'lat', t: 1.320067464e9, v: 60.07965 },
      { n: name, u: '%RH', t: 1.320067524e9, v: 20.3 },
      { n: name, u: 'lon', t: 1.320067524e9, v: 24.30622 },
      { n: name, u: 'lat', t: 1.320067524e9, v: 60.07965 },
      { n: name, u: '%RH', t: 1.320067584e9, v: 20.7 },
    ]);
  });
  it('5.1.5, values of other kinds', () => {
    expect(
      resolve([
        { bn: 'urn:dev:ow:10e2073a01080063:', n: 'temp', u: 'Cel', v: 23.1 },
        { n: 'label', vs: 'Machine Room' },
        { n: 'open', vb: false },
        { n: 'nfc-reader', vd: 'aGkgCg' },
      ]).map(({ v, vs, vb, vd }) => [v, vs, vb, vd]),
    ).toEqual([
      [23.1, undefined, undefined, undefined],
      [undefined, 'Machine Room', undefined, undefined],
      [undefined, undefined, false, undefined],
      [undefined, undefined, undefined, 'aGkgCg'],
    ]);
  });
  it('5.1.6, a collection of resources, as readings of an enclosure', () => {
    const found = resolve(
      [
        { bn: '2001:db8:1234:5678::1/', n: 'temperature', u: 'Cel', v: 27.2 },
        { n: 'humidity', u: '%RH', v: 80 },
      ],
      1_772_352_000,
    );
    expect(readingsIn(found)).toEqual([
      {
        name: '2001:db8:1234:5678::1/temperature',
        quantity: 'temperature',
        at: 1_772_352_000_000,
        value: 27.2,
      },
      { name: '2001:db8:1234:5678::1/humidity', quantity: 'humidity', at: 1_772_352_000_000, value: 0.8 },
    ]);
  });
  it.each([
    [[{ n: 'a', v: 1, x_: 2 }], /must be understood/],
    [[{ bver: 11, n: 'a', v: 1 }], /newer than 10/],
    [[{ n: 'a b', v: 1 }], /is no name/],
    [[{ n: '', v: 1 }], /is no name/],
    [[{ n: 'a', v: 1, vs: 'x' }], /more than one value/],
    [[{ n: 'a', v: '1' }], /records is expected/],
    [{ n: 'a', v: 1 }, /records is expected/],
  ])('%j is refused with its place', (json, why) => {
    const found = readSenml(JSON.stringify(json), 0);
    expect(!found.ok && found.message).toMatch(why);
  });
  it('what is written is read again as it was', () => {
    const reading = fc.record({
      name: fc.constantFrom('bog/warm', 'bog/uv', 'hedge/soil-1'),
      at: fc.integer({ min: 1e12, max: 2e12 }),
      value: fc.integer({ min: 0, max: 1000 }),
    });
    fc.assert(
      fc.property(fc.array(reading, { minLength: 1, maxLength: 20 }), (all) => {
        const readings = all.map(({ name, at, value }) => ({
          name,
          at,
          quantity: name.endsWith('warm')
            ? ('temperature' as const)
            : name.endsWith('uv')
              ? ('uvIndex' as const)
              : ('soilWater' as const),
          value: name.endsWith('warm') ? value / 20 : value / 1000,
        }));
        const back = readSenml(writeSenml(readings), 0);
        const found = back.ok ? readingsIn(back.value) : [];
        expect(found.map((it) => [it.name, it.quantity, it.at])).toEqual(
          readings.map((it) => [it.name, it.quantity, it.at]),
        );
        found.forEach((it, i) => expect(it.value).toBeCloseTo(readings[i]!.value, 6));
      }),
    );
  });
  it('names are made such as the format allows', () => {
    expect(senmlName('Böschung, warm side')).toBe('Bo-schung-warm-side');
    expect(senmlName('…')).toBe('point');
  });
});
