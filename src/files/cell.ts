/** A cell of a CSV (RFC 4180), quoted where needed; what a spreadsheet would take for a formula is written as text. */
export const cell = (value: string): string => {
  const safe = /^[=+\-@\t\r]/.test(value) && !/^-?\d+(\.\d+)?$/.test(value) ? `'${value}` : value;
  return /[",\r\n]/.test(safe) ? `"${safe.replaceAll('"', '""')}"` : safe;
};

/** Rows as a CSV: comma, CRLF. */
export const csvOf = (rows: readonly (readonly string[])[]): string =>
  rows.map((row) => row.map(cell).join(',')).join('\r\n') + '\r\n';
