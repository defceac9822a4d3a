import Papa from 'papaparse';
import { dayOfDate } from '@/core/time';

/** The first sheet of a spreadsheet that holds anything, as text with commas between its cells; days as ISO 8601. */
export async function textOfXlsx(file: Blob): Promise<string> {
  const { default: read } = await import('read-excel-file/universal');
  let sheets;
  try {
    sheets = await read(file);
  } catch {
    throw new Error(
      'this is no spreadsheet that can be read (XLSX). Save it as XLSX or CSV there, and take that',
    );
  }
  const rows = sheets.find((it) => it.data.some((row) => row.some((own) => own !== null)))?.data ?? [];
  return Papa.unparse(
    rows.map((row) =>
      row.map((value) => (value instanceof Date ? dayOfDate(value) : value === null ? '' : String(value))),
    ),
  );
}
