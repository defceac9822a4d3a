import type { Assessment } from '@/core/assess';
import type { Buying, Measure } from '@/core/buying';
import type { Pack } from '@/core/catalogue';
import { bag, formatQuantity, length, mass, type UnitPrefs } from '@/core/units';
import { csvOf } from './cell';

/**
 * The buying and cutting list as CSV (RFC 4180): comma, CRLF, quoted where needed.
 * @param assessment of what is cut; none for a list over several enclosures
 */
export function listsCsv(
  buying: Buying,
  assessment: Pick<Assessment, 'lists' | 'scape'> | undefined,
  prefs: UnitPrefs,
): string {
  const options = { prefs, locale: 'en' };
  const rows: string[][] = [
    [
      'list',
      'shop',
      'item',
      'needed',
      'in the enclosure',
      'from the shelf',
      'to spare',
      'packs',
      'left over',
      'price',
      'for',
    ],
  ];
  const told = (measure: Measure, value: number): string => {
    if (value <= 1e-12) return '';
    if (measure === 'volume') return formatQuantity(bag(value), options);
    if (measure === 'roll' || measure === 'pipe') return formatQuantity(length(value), options);
    if (measure === 'mass') return formatQuantity(mass(value), options);
    return measure === 'area' ? `${value.toFixed(2)} m²` : String(value);
  };
  for (const row of buying.rows)
    rows.push([
      'buy',
      row.shop,
      row.name,
      told(row.measure, row.needed),
      told(row.measure, row.there),
      told(row.measure, row.fromShelf),
      told(row.measure, row.spare),
      row.packs
        .map(({ pack, words, count }) =>
          `${count} × ${pack ? packText(pack, prefs) : words}`.replace(/ × $/, ''),
        )
        .join(' + '),
      told(row.measure, row.leftOver),
      row.price.toFixed(2),
      row.builds.join('; '),
    ]);
  const cut = (item: string, size: string): void => {
    rows.push(['cut', '', item, size, '', '', '', '', '', '', '']);
  };
  for (const { back, kind } of assessment?.scape.backs ?? [])
    cut(
      `${kind?.name ?? back.background.kind}, ${back.background.wall} wall`,
      `${formatQuantity(length(back.width), options)} × ${formatQuantity(length(back.height), options)}`,
    );
  for (const item of assessment?.lists.cut ?? [])
    cut(
      item.name,
      `${item.count > 1 ? `${item.count} × ` : ''}${formatQuantity(length(item.width), options)} × ${formatQuantity(length(item.depth), options)}`,
    );
  return csvOf(rows.map((row) => row.map((text) => text.replaceAll('\u00a0', ' '))));
}

/** A pack in words: “10 L bag”, “0.6 × 2 m roll”. */
function packText(pack: Pack, prefs: UnitPrefs): string {
  const options = { prefs, locale: 'en' };
  if (pack.form === 'pipe') return `${formatQuantity(length(pack.length), options)} pipe`;
  if ('volume' in pack) return `${formatQuantity(bag(pack.volume), options)} ${pack.form}`;
  return `${formatQuantity(length(pack.width), options)} × ${formatQuantity(length(pack.length), options)} ${pack.form}`;
}
