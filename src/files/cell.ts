/**
 * What a spreadsheet takes for the beginning of a formula: the signs as they are and in full width, also behind blanks,
 * tabs, line ends and marks that are not seen.
 */
const FORMULA = /^[\s\p{Cc}\p{Cf}\p{Zs}]*[=+\-@\uFF1D\uFF0B\uFF0D\uFF20]|^[\t\r\n]/u;

/** A cell of a CSV (RFC 4180), quoted where needed; what a spreadsheet would take for a formula is written as text. */
export const cell = (value: string): string => {
  const safe = FORMULA.test(value) && !/^-?\d+(\.\d+)?$/.test(value) ? `'${value}` : value;
  return /[",\r\n]/.test(safe) ? `"${safe.replaceAll('"', '""')}"` : safe;
};

/** Rows as a CSV: comma, CRLF. */
export const csvOf = (rows: readonly (readonly string[])[]): string =>
  rows.map((row) => row.map(cell).join(',')).join('\r\n') + '\r\n';
