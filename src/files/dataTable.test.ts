import { strFromU8, unzipSync } from 'fflate';
import readXlsx from 'read-excel-file/universal';
import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { demoDesigns } from '@/catalogue/demo';
import { assess } from '@/core/assess';
import { buyingOf } from '@/core/buying';
import { entryOf } from '@/core/log';
import { METRIC } from '@/core/units';
import { columnLetters, csvOfTable, xlsxOf, type DataTable } from './dataTable';
import { buyTable, cutTable } from './lists';
import { enclosuresTable, logTable } from './tables';

const table: DataTable = {
  name: 'Costs: 2026/27 [all]',
  columns: [
    { title: 'What', holds: 'text' },
    { title: 'Mass (kg)', holds: 'number', summed: true },
    { title: 'Price', holds: 'money', summed: true },
    { title: 'On', holds: 'day' },
  ],
  rows: [
    ['=1+1, "moss"', 15.25, 8, '2026-03-29'],
    ['cork', null, 1234.5, null],
  ],
};

describe('a table for other programs', () => {
  it('as CSV has bare numbers with a point, prices with two decimals, and lets no text become a formula', () => {
    expect(csvOfTable(table).split('\r\n')).toEqual([
      'What,Mass (kg),Price,On',
      `"'=1+1, ""moss""",15.25,8.00,2026-03-29`,
      'cork,,1234.50,',
      '',
    ]);
  });

  it('as a spreadsheet is read by another program: numbers are numbers, days are days, text is text', async () => {
    const [sheet] = await readXlsx(await xlsxOf([table]));
    expect(sheet!.sheet).toBe('Costs  2026 27  all ');
    expect(sheet!.data.slice(0, 3)).toEqual([
      ['What', 'Mass (kg)', 'Price', 'On'],
      ['=1+1, "moss"', 15.25, 8, new Date('2026-03-29T00:00:00Z')],
      ['cork', null, 1234.5, null],
    ]);
  });

  it('sums stand under their columns, as formulas over all rows', async () => {
    const files = unzipSync(new Uint8Array(await (await xlsxOf([table])).arrayBuffer()));
    const sheet = strFromU8(files['xl/worksheets/sheet1.xml']!);
    expect([...sheet.matchAll(/<f>([^<]*)<\/f>/g)].map((it) => it[1])).toEqual(['SUM(B2:B3)', 'SUM(C2:C3)']);
  });

  it.each([
    [0, 'A'],
    [25, 'Z'],
    [26, 'AA'],
    [51, 'AZ'],
    [52, 'BA'],
    [701, 'ZZ'],
    [702, 'AAA'],
  ])('column %d is %s', (at, letters) => expect(columnLetters(at)).toBe(letters));

  it('the lists of a build come to the sum of the screen, in a reader of spreadsheets', async () => {
    const [design] = demoDesigns(catalogue);
    const assessment = assess(design!, catalogue);
    const buying = buyingOf([{ design: design!, assessment }], catalogue, {}, 0.1);
    const reader = { prefs: METRIC, locale: 'de' };
    const [buy, cut] = await readXlsx(await xlsxOf([buyTable(buying, reader), cutTable(assessment, reader)]));
    const [head, ...rows] = buy!.data;
    const price = head!.indexOf('Price');
    // Its last row is the sum.
    const told = rows.slice(0, buying.rows.length).map((it) => it[price] as number);
    expect(told.reduce((all, it) => all + it, 0)).toBeCloseTo(buying.price, 2);
    expect(cut!.data).toHaveLength(1 + assessment.scape.backs.length + assessment.lists.cut.length);
    expect(typeof cut!.data[1]![2]).toBe('number');
  });

  it('a log keeps its moments as clocks show them, and what was measured as numbers', async () => {
    const [design] = demoDesigns(catalogue);
    const line = entryOf(
      { kind: 'reading', values: { temperature: 23.5, humidity: 0.81 }, text: '' },
      { id: 'a', design: design!.id, at: Date.parse('2026-07-01T10:30:00Z'), changed: 0 },
    );
    const tables = [
      enclosuresTable([design!], () => 'Vietnamese mossy frog'),
      logTable([line], [design!], []),
    ];
    const [boxes, log] = await readXlsx(await xlsxOf(tables));
    expect(boxes!.data[1]!.slice(0, 3)).toEqual(['Bog shelf', 'Vietnamese mossy frog', 4]);
    const [head, first] = log!.data;
    const value = (title: string) => first![head!.indexOf(title)];
    expect(value('temperature_C')).toBe(23.5);
    expect(value('humidity')).toBe(0.81);
    // A spreadsheet knows no zones: what it shows is what the clock on the wall said.
    // Days and parts of them, so that the second may be the one before.
    const shown = new Date(Math.round(Number(value('time')) / 1000) * 1000);
    const wall = new Date('2026-07-01T10:30:00Z');
    expect([shown.getUTCHours(), shown.getUTCMinutes()]).toEqual([wall.getHours(), wall.getMinutes()]);
  });
});
