import type { Assessment } from '@/core/assess';
import type { Buying, Measure } from '@/core/buying';
import type { Pack } from '@/core/catalogue';
import {
  bag,
  formatMessage,
  formatQuantity,
  fromSi,
  length,
  prose,
  unitFor,
  UNITS,
  type FormatOptions,
  type Measure as Quantity,
} from '@/core/units';
import type { DataTable } from './dataTable';

/** Whose units and locale the words of a file are in; its bare numbers have a decimal point, as programs read them. */
export type FileWords = Pick<FormatOptions, 'prefs' | 'locale'>;

/** What each measure of a list is counted in. */
const COUNTED_IN: Readonly<Record<Measure, { readonly as: Quantity; readonly each: string }>> = {
  volume: { as: 'bag', each: '' },
  roll: { as: 'length', each: '' },
  pipe: { as: 'length', each: '' },
  mass: { as: 'mass', each: '' },
  area: { as: 'area', each: '' },
  sheets: { as: 'number', each: 'sheets' },
  count: { as: 'number', each: 'pieces' },
};

/** An amount in the reader's unit, as a number that is not longer than it is true. */
const rounded = (value: number): number => Number(value.toPrecision(6));
const inUnit = (as: Quantity, si: number, { prefs }: FileWords): number =>
  rounded(fromSi(si, UNITS[unitFor(as, prefs)]));
const symbolOf = (as: Quantity, { prefs }: FileWords): string => UNITS[unitFor(as, prefs)].symbol;

/** What to buy, a row for each thing: amounts as numbers, their unit beside them. */
export function buyTable(buying: Buying, reader: FileWords): DataTable {
  return {
    name: 'To buy',
    columns: [
      { title: 'Shop', holds: 'text' },
      { title: 'Item', holds: 'text' },
      { title: 'Unit', holds: 'text' },
      { title: 'Needed', holds: 'number' },
      { title: 'In the enclosure', holds: 'number' },
      { title: 'From the shelf', holds: 'number' },
      { title: 'To spare', holds: 'number' },
      { title: 'Packs', holds: 'text' },
      { title: 'Bought', holds: 'number' },
      { title: 'Left over', holds: 'number' },
      { title: 'Price', holds: 'money', summed: true },
      { title: 'For', holds: 'text' },
    ],
    rows: buying.rows.map((row) => {
      const { as, each } = COUNTED_IN[row.measure];
      const told = (si: number): number => inUnit(as, si, reader);
      return [
        row.shop,
        row.name,
        each === '' ? symbolOf(as, reader) : each,
        told(row.needed),
        told(row.there),
        told(row.fromShelf),
        told(row.spare),
        row.packs
          .map(({ pack, words, count }) =>
            `${count} × ${pack ? packText(pack, reader) : formatMessage(prose(words), reader)}`.replace(
              / × $/,
              '',
            ),
          )
          .join(' + ')
          .replaceAll('\u00a0', ' '),
        told(row.bought),
        told(row.leftOver),
        Number(row.price.toFixed(2)),
        row.builds.join('; '),
      ];
    }),
  };
}

/** What to cut, a row for each size: sides as numbers. */
export function cutTable(
  { lists, scape }: Pick<Assessment, 'lists' | 'scape'>,
  reader: FileWords,
): DataTable {
  const unit = symbolOf('length', reader);
  const side = (si: number): number => inUnit('length', si, reader);
  return {
    name: 'To cut',
    columns: [
      { title: 'Item', holds: 'text' },
      { title: 'Pieces', holds: 'number' },
      { title: `Width (${unit})`, holds: 'number' },
      { title: `Depth or height (${unit})`, holds: 'number' },
    ],
    rows: [
      ...scape.backs.map(({ back, kind }) => [
        `${kind?.name ?? back.background.kind}, ${back.background.wall} wall`,
        1,
        side(back.width),
        side(back.height),
      ]),
      ...lists.cut.map((it) => [it.name, it.count, side(it.width), side(it.depth)]),
    ],
  };
}

/** A pack in words: “10 L bag”, “0.6 × 2 m roll”. */
function packText(pack: Pack, reader: FileWords): string {
  if (pack.form === 'pipe') return `${formatQuantity(length(pack.length), reader)} pipe`;
  if ('volume' in pack) return `${formatQuantity(bag(pack.volume), reader)} ${pack.form}`;
  return `${formatQuantity(length(pack.width), reader)} × ${formatQuantity(length(pack.length), reader)} ${pack.form}`;
}
