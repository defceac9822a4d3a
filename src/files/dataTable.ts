import { csvOf } from './cell';

/** What a cell holds: numbers are numbers, days and moments ISO 8601; null is nothing. */
export type DataCell = string | number | null;

export interface DataColumn {
  /** With its unit, where every row has the same. */
  readonly title: string;
  readonly holds: 'text' | 'number' | 'money' | 'day' | 'moment';
  /** Its sum stands under it. */
  readonly summed?: boolean;
}

/** A table for other programs. */
export interface DataTable {
  readonly name: string;
  readonly columns: readonly DataColumn[];
  readonly rows: readonly (readonly DataCell[])[];
}

/** A table as CSV (RFC 4180): numbers with a decimal point and without unit or grouping, so that they can be calculated with. */
export const csvOfTable = ({ columns, rows }: DataTable): string =>
  csvOf([
    columns.map((it) => it.title),
    ...rows.map((row) =>
      row.map((it, at) =>
        it === null
          ? ''
          : typeof it === 'number' && columns[at]?.holds === 'money'
            ? it.toFixed(2)
            : String(it),
      ),
    ),
  ]);

/** A moment as clocks here show it: a spreadsheet knows no zones. */
function onTheWall(moment: string): Date {
  const at = new Date(moment);
  return new Date(at.getTime() - at.getTimezoneOffset() * 60_000);
}

/** Letters of a column of a spreadsheet, the first being 0. */
export function columnLetters(at: number): string {
  const rest = Math.floor(at / 26) - 1;
  return (rest >= 0 ? columnLetters(rest) : '') + String.fromCharCode(65 + (at % 26));
}

/** Signs a sheet may not be named by, and letters its name may have. */
const NOT_IN_A_NAME = /[[\]:*?/\\]/g;
const LONGEST_NAME = 31;
/** Characters a column is wide at least, and at most. */
const [NARROW, WIDE] = [8, 48];

/**
 * Tables as one spreadsheet (Office Open XML, ECMA-376), a sheet for each: numbers as numbers, days as days, and sums as
 * formulas. The writer is fetched when it is asked for.
 */
export async function xlsxOf(tables: readonly DataTable[]): Promise<Blob> {
  const { default: write } = await import('write-excel-file/universal');
  const bold = { fontWeight: 'bold' } as const;
  const sheets = tables.map(({ name, columns, rows }) => {
    const cells = rows.map((row) =>
      row.map((value, at) => {
        const holds = columns[at]?.holds ?? 'text';
        if (value === null || value === '') return null;
        if (typeof value === 'number')
          return { type: Number, value, ...(holds === 'money' ? { format: '#,##0.00' } : {}) };
        if (holds === 'day' && /^\d{4}-\d{2}-\d{2}$/.test(value))
          return { type: Date, value: new Date(`${value}T00:00:00Z`), format: 'yyyy-mm-dd' };
        return holds === 'moment'
          ? { type: Date, value: onTheWall(value), format: 'yyyy-mm-dd hh:mm' }
          : { type: String, value };
      }),
    );
    const last = rows.length + 1;
    const sums = columns.map((it, at) =>
      it.summed && rows.length > 0
        ? {
            type: 'Formula' as const,
            // Without the sign it is typed with (ECMA-376, 18.3.1.40).
            value: `SUM(${columnLetters(at)}2:${columnLetters(at)}${last})`,
            ...(it.holds === 'money' ? { format: '#,##0.00' } : {}),
            ...bold,
          }
        : null,
    );
    return {
      sheet: name.replace(NOT_IN_A_NAME, ' ').slice(0, LONGEST_NAME),
      data: [
        columns.map((it) => ({ type: String, value: it.title, ...bold })),
        ...cells,
        ...(sums.some((it) => it !== null) ? [sums] : []),
      ],
      columns: columns.map(({ title }, at) => ({
        width: Math.min(
          WIDE,
          Math.max(NARROW, title.length, ...rows.slice(0, 200).map((row) => String(row[at] ?? '').length)) +
            2,
        ),
      })),
      stickyRowsCount: 1,
    };
  });
  return write(sheets).toBlob();
}
