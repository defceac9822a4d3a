import type { Lists } from '@/core/ground';
import type { ScapeResult } from '@/core/scape';
import { bag, formatQuantity, length, mass, type UnitPrefs } from '@/core/units';

const cell = (value: string): string => {
  // A cell that a spreadsheet would take for a formula is written as text.
  const safe = /^[=+\-@\t\r]/.test(value) ? `'${value}` : value;
  return /[",\r\n]/.test(safe) ? `"${safe.replaceAll('"', '""')}"` : safe;
};

/**
 * The buying and cutting list as CSV (RFC 4180): comma, CRLF, quoted where needed.
 * @param scape what stands in the box, and what its backgrounds take
 */
export function listsCsv(
  lists: Lists,
  prefs: UnitPrefs,
  scape: Pick<ScapeResult, 'supplies' | 'toBuy' | 'backs'>,
): string {
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
  for (const { supply, amount: need, packs, leftOver, price } of scape.supplies) {
    const told = (value: number): string =>
      supply.measure === 'volume'
        ? formatQuantity(bag(value), options)
        : supply.measure === 'mass'
          ? formatQuantity(mass(value), options)
          : `${value.toFixed(2)}${supply.measure === 'area' ? ' m²' : ''}`;
    rows.push([
      'buy',
      supply.name,
      told(need),
      '',
      packs.map((pack) => `${pack.count} × ${pack.words}`).join(' + '),
      told(leftOver),
      price.toFixed(2),
    ]);
  }
  for (const { name, count, price } of scape.toBuy)
    rows.push(['buy', name, String(count), '', '', '', price.toFixed(2)]);
  for (const { back, kind } of scape.backs)
    rows.push([
      'cut',
      `${kind?.name ?? back.background.kind}, ${back.background.wall} wall`,
      `${formatQuantity(length(back.width), options)} × ${formatQuantity(length(back.height), options)}`,
      '',
      '',
      '',
      '',
    ]);
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
