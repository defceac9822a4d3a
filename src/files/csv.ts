import type { Assessment } from '@/core/assess';
import type { Buying, Measure } from '@/core/buying';
import type { Pack } from '@/core/catalogue';
import {
  formatMessage,
  prose,
  area,
  bag,
  formatQuantity,
  length,
  mass,
  number,
  type FormatOptions,
} from '@/core/units';
import { csvOf } from './cell';

/** Whose units and locale the words of a file are in; its bare numbers have a decimal point, as programs read them. */
export type FileWords = Pick<FormatOptions, 'prefs' | 'locale'>;

/**
 * The buying and cutting list as CSV (RFC 4180): comma, CRLF, quoted where needed.
 * @param assessment of what is cut; none for a list over several enclosures
 */
export function listsCsv(
  buying: Buying,
  assessment: Pick<Assessment, 'lists' | 'scape'> | undefined,
  reader: FileWords,
): string {
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
    if (measure === 'volume') return formatQuantity(bag(value), reader);
    if (measure === 'roll' || measure === 'pipe') return formatQuantity(length(value), reader);
    if (measure === 'mass') return formatQuantity(mass(value), reader);
    return formatQuantity(measure === 'area' ? area(value) : number(value), reader);
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
          `${count} × ${pack ? packText(pack, reader) : formatMessage(prose(words), reader)}`.replace(
            / × $/,
            '',
          ),
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
      `${formatQuantity(length(back.width), reader)} × ${formatQuantity(length(back.height), reader)}`,
    );
  for (const item of assessment?.lists.cut ?? [])
    cut(
      item.name,
      `${item.count > 1 ? `${item.count} × ` : ''}${formatQuantity(length(item.width), reader)} × ${formatQuantity(length(item.depth), reader)}`,
    );
  return csvOf(rows.map((row) => row.map((text) => text.replaceAll('\u00a0', ' '))));
}

/** A pack in words: “10 L bag”, “0.6 × 2 m roll”. */
function packText(pack: Pack, reader: FileWords): string {
  if (pack.form === 'pipe') return `${formatQuantity(length(pack.length), reader)} pipe`;
  if ('volume' in pack) return `${formatQuantity(bag(pack.volume), reader)} ${pack.form}`;
  return `${formatQuantity(length(pack.width), reader)} × ${formatQuantity(length(pack.length), reader)} ${pack.form}`;
}
