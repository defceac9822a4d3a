import type { Lists } from '@/core/ground';
import { bag, formatQuantity, length, type UnitPrefs } from '@/core/units';

const cell = (value: string): string => {
  // A cell that a spreadsheet would take for a formula is written as text.
  const safe = /^[=+\-@\t\r]/.test(value) ? `'${value}` : value;
  return /[",\r\n]/.test(safe) ? `"${safe.replaceAll('"', '""')}"` : safe;
};

/** The buying and cutting list as CSV (RFC 4180): comma, CRLF, quoted where needed. */
export function listsCsv(lists: Lists, prefs: UnitPrefs): string {
  const options = { prefs, locale: 'en' };
  const rows: string[][] = [['list', 'item', 'need', 'from the shelf', 'packs', 'left over', 'price']];
  const amount = (unit: Lists['buy'][number]['need']['unit'], value: number): string =>
    unit === 'volume'
      ? formatQuantity(bag(value), options)
      : unit === 'roll' || unit === 'pipe'
        ? formatQuantity(length(value), options)
        : String(value);
  for (const row of lists.buy) {
    const packs = row.packs.map(({ pack, count }) => `${count} × ${packText(pack, prefs)}`).join(' + ');
    rows.push([
      'buy',
      row.name,
      amount(row.need.unit, row.need.amount),
      row.fromShelf > 0 ? amount(row.need.unit, row.fromShelf) : '',
      packs,
      amount(row.need.unit, row.leftOver),
      row.price.toFixed(2),
    ]);
  }
  for (const item of lists.cut) {
    const size = `${item.count > 1 ? `${item.count} × ` : ''}${formatQuantity(length(item.width), options)} × ${formatQuantity(length(item.depth), options)}`;
    rows.push(['cut', item.name, size, '', '', '', '']);
  }
  return (
    rows.map((row) => row.map((text) => cell(text.replaceAll('\u00a0', ' '))).join(',')).join('\r\n') + '\r\n'
  );
}

/** A pack in words: “10 L bag”, “0.6 × 2 m roll”. */
function packText(pack: Lists['buy'][number]['packs'][number]['pack'], prefs: UnitPrefs): string {
  const options = { prefs, locale: 'en' };
  if (pack.form === 'pipe') return `${formatQuantity(length(pack.length), options)} pipe`;
  if ('volume' in pack) return `${formatQuantity(bag(pack.volume), options)} ${pack.form}`;
  return `${formatQuantity(length(pack.width), options)} × ${formatQuantity(length(pack.length), options)} ${pack.form}`;
}
