'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { priceKey, type Buying, type BuyPack, type BuyRow, type Measure, type Shop } from '@/core/buying';
import type { Pack } from '@/core/catalogue';
import type { Purchase } from '@/core/ground';
import { capital, counted, bag, length, mass, area, tank } from '@/core/units';
import { CurrencyChoice } from './CurrencyChoice';
import { TableCard } from './TableCard';
import { useReader, type Reader } from './units';
import { TUBE } from './words';

export const SHOP_WORD: Record<Shop, string> = {
  building: 'Building supplies',
  garden: 'Garden centre',
  electrical: 'Electrical shop',
  animal: 'Reptile and aquarium shop',
  nursery: 'Plant nursery',
  breeder: 'Breeder of crew and feeders',
};

export function packWords(pack: Pack, { write }: Reader): string {
  if (pack.form === 'pipe') return `${write(length(pack.length))} pipe`;
  // A brick is told by what is weighed, not by what its label promises.
  if (pack.form === 'brick')
    return `${write(mass(pack.dryMass), { decimals: 2, trim: true })} brick, ${write(bag(pack.volume))}`;
  if (pack.form === 'bag') return `${write(bag(pack.volume), { trim: true })} bag`;
  return `${write(length(pack.width))} × ${write(length(pack.length))} ${pack.form}`;
}

export function amountWords(measure: Measure, amount: number, { write, num }: Reader): string {
  switch (measure) {
    case 'volume':
      // A little comes out of a tube or a tin.
      return write(amount < TUBE ? tank(amount) : bag(amount));
    case 'roll':
      return `${write(length(amount))} of roll`;
    case 'pipe':
      return `${write(length(amount))} of pipe`;
    case 'mass':
      return write(mass(amount));
    case 'area':
      return write(area(amount));
    case 'sheets':
      return `${counted(amount, 'sheet')}`;
    case 'count':
      return num(Math.round(amount * 100) / 100);
  }
}

/** What stands on the shelf once these packs are bought: one line of its book for each sort of pack. */
export const receiptsOf = (rows: readonly Pick<Purchase, 'material' | 'packs'>[], reader: Reader) =>
  rows.flatMap(({ material, packs }) =>
    packs.map(({ pack, count }) => ({
      kind: 'receipt' as const,
      material,
      amount: count * ('volume' in pack ? pack.volume : pack.form === 'sheet' ? 1 : pack.length),
      label: `${count} × ${packWords(pack, reader)}`,
    })),
  );

/** The same of what the list names: one line for each row that is bought. */
const shelved = (rows: readonly BuyRow[], reader: Reader) =>
  rows.flatMap((row) =>
    row.packs.every((it) => it.pack !== undefined)
      ? receiptsOf(
          [
            {
              material: row.key,
              packs: row.packs.flatMap(({ pack, count }) => (pack ? [{ pack, count }] : [])),
            },
          ],
          reader,
        )
      : [
          {
            kind: 'receipt' as const,
            material: row.key,
            amount: row.bought,
            label: row.packs
              .map((it) => `${it.count} × ${packText(it, reader)}`.replace(/ × $/, ''))
              .join(', '),
          },
        ],
  );

const packText = (it: BuyPack, reader: Reader): string =>
  it.pack ? packWords(it.pack, reader) : reader.tell(it.words);

/** What the catalogue’s typical prices are in, roughly: about the same of each (common practice). */
const TYPICAL_IN: ReadonlySet<string> = new Set(['EUR', 'USD', 'GBP', 'CHF', 'CAD', 'AUD', 'NZD']);
/** Shares that are bought to spare. */
const SPARES = [0, 0.05, 0.1, 0.2] as const;

interface Props {
  readonly buying: Buying;
  readonly prices: Readonly<Record<string, number>>;
  readonly reader: Reader;
  readonly spare: number;
  readonly onSpare: (spare: number) => void;
  /** What prices are in, ISO 4217; null: bare numbers. */
  readonly currency: string | null;
  readonly onCurrency: (currency: string | null) => void;
  readonly onPrice: (key: string, price: number | null) => void;
  /** What was bought: the lines for the book of the shelf. */
  readonly onBought: (receipts: ReturnType<typeof shelved>) => void;
}

/** What to buy, shop by shop, in whole packs, each price open to the builder's own. */
export function BuyTable({
  buying,
  prices,
  reader,
  spare,
  onSpare,
  onPrice,
  onBought,
  currency,
  onCurrency,
}: Props) {
  const { write } = reader;
  const several = new Set(buying.rows.flatMap((it) => it.builds)).size > 1;
  const all = shelved(buying.rows, reader);
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: 2 }}>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'center' }}>
        <Typography variant="h2" component="p">
          {reader.money(buying.price)} in {counted(buying.byShop.length, 'shop')}
        </Typography>
        <Typography variant="body2" sx={{ color: 'earth.quiet', flex: 1, minWidth: 240 }}>
          {currency === null || TYPICAL_IN.has(currency)
            ? 'Prices in italics are typical: write in what the shop asks.'
            : 'Prices in italics are typical in euros or dollars, not in your currency: write in what the shop asks.'}
        </Typography>
        <TextField
          select
          className="no-print"
          label="To spare"
          value={spare}
          onChange={(event) => onSpare(Number(event.target.value))}
          sx={{ width: 130 }}
        >
          {[...new Set([...SPARES, spare])].map((it) => (
            <MenuItem key={it} value={it}>
              {it === 0 ? 'nothing' : `${Math.round(it * 100)} %`}
            </MenuItem>
          ))}
        </TextField>
        <CurrencyChoice value={currency} locale={reader.locale} onChange={onCurrency} />
        {all.length > 0 && (
          <Button className="no-print" variant="outlined" onClick={() => onBought(all)}>
            All bought: put it on the shelf
          </Button>
        )}
      </Box>
      {buying.byShop.map(({ shop, rows, price }) => (
        <Box key={shop} component="section" aria-labelledby={`shop-${shop}`} data-shop={shop}>
          <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1.5, mb: 0.75 }}>
            <Typography variant="h2" id={`shop-${shop}`}>
              {SHOP_WORD[shop]}
            </Typography>
            <Box sx={{ flex: 1 }} />
            {price > 0 && buying.byShop.length > 1 && (
              <Button
                size="small"
                className="no-print"
                onClick={() => onBought(shelved(rows, reader))}
                aria-label={`Bought at the ${SHOP_WORD[shop].toLowerCase()}: put it on the shelf`}
              >
                Bought here
              </Button>
            )}
            <Box sx={{ typography: 'h3', fontVariantNumeric: 'tabular-nums' }}>{reader.money(price)}</Box>
          </Box>
          <TableCard label={SHOP_WORD[shop]}>
            <colgroup>
              <col style={{ width: '30%' }} />
              <col className="wide" style={{ width: '16%' }} />
              <col className="wide" style={{ width: '24%' }} />
              <col style={{ width: '10%' }} />
              <col className="wide" style={{ width: '10%' }} />
              <col style={{ width: '10%' }} />
            </colgroup>
            <thead>
              <tr>
                <th scope="col">What</th>
                <th scope="col" className="number wide">
                  needed
                </th>
                <th scope="col" className="wide">
                  whole packs
                </th>
                <th scope="col" className="number">
                  price a pack
                </th>
                <th scope="col" className="number wide">
                  left over
                </th>
                <th scope="col" className="number">
                  together
                </th>
              </tr>
            </thead>
            <tbody>
              {rows.map((row) => (
                <Row
                  key={`${row.key} ${row.packs[0]?.id ?? ''}`}
                  row={row}
                  several={several}
                  prices={prices}
                  reader={reader}
                  onPrice={onPrice}
                />
              ))}
            </tbody>
          </TableCard>
        </Box>
      ))}
      {spare > 0 && buying.rows.some((it) => it.spare > 0) && (
        <Typography variant="body2" sx={{ color: 'earth.quiet' }}>
          {Math.round(spare * 100)} % to spare on what is measured out, for what is spilt and settles more
          than calculated:{' '}
          {write(bag(buying.rows.reduce((all, it) => all + (it.measure === 'volume' ? it.spare : 0), 0)))} in
          all. What is cut or counted has none.
        </Typography>
      )}
    </Box>
  );
}

interface RowProps {
  readonly row: BuyRow;
  readonly several: boolean;
  readonly prices: Readonly<Record<string, number>>;
  readonly reader: Reader;
  readonly onPrice: (key: string, price: number | null) => void;
}

function Row({ row, several, prices, reader, onPrice }: RowProps) {
  const small = {
    typography: 'caption',
    color: 'earth.quiet',
    lineHeight: 1.3,
    whiteSpace: 'normal',
  } as const;
  const name = capital(row.name);
  return (
    <tr data-material={row.key} style={{ verticalAlign: 'top', lineHeight: '28px' }}>
      <td style={{ fontWeight: 600, whiteSpace: 'normal' }}>
        {name}
        <Box className="narrow" sx={{ ...small, fontWeight: 400 }}>
          {[
            amountWords(row.measure, row.needed, reader),
            ...row.packs.map((it) =>
              packText(it, reader) === '' ? `${it.count}` : `${it.count} × ${packText(it, reader)}`,
            ),
          ].join(' · ')}
        </Box>
        {(row.note !== '' || several) && (
          <Box sx={{ ...small, fontWeight: 400 }}>
            {[row.note, several ? row.builds.join(', ') : ''].filter(Boolean).join(' · ')}
          </Box>
        )}
      </td>
      <td className="number wide">
        {amountWords(row.measure, row.needed, reader)}
        {row.there > 1e-9 && (
          <Box sx={small}>{amountWords(row.measure, row.there, reader)} in the enclosure</Box>
        )}
        {row.fromShelf > 0 && (
          <Box sx={small}>{amountWords(row.measure, row.fromShelf, reader)} from the shelf</Box>
        )}
      </td>
      <td className="wide">
        {row.packs.length === 0 && <Box sx={{ color: 'earth.quiet' }}>nothing to buy</Box>}
        {row.packs.map((it) => (
          <div key={it.id}>
            {packText(it, reader) === '' ? it.count : `${it.count} × ${packText(it, reader)}`}
          </div>
        ))}
      </td>
      <td className="number">
        {row.packs.map((it) => {
          const key = priceKey(row.key, it.id);
          return (
            <div key={`${it.id} ${it.price}`} style={{ height: 28 }}>
              <PriceField
                label={`Price of ${[name, packText(it, reader)].filter(Boolean).join(', ')}`}
                price={it.price}
                own={prices[key] !== undefined}
                onCommit={(price) => onPrice(key, price)}
              />
            </div>
          );
        })}
      </td>
      <td className="number wide">
        <Box sx={{ color: 'earth.quiet' }}>
          {row.leftOver > 1e-9 ? amountWords(row.measure, row.leftOver, reader) : '–'}
        </Box>
      </td>
      <td className="number">{reader.money(row.price)}</td>
    </tr>
  );
}

interface PriceProps {
  readonly label: string;
  readonly price: number;
  readonly own: boolean;
  readonly onCommit: (price: number | null) => void;
}

/** A price a builder can overwrite; emptied, the typical one comes back. */
function PriceField({ label, price, own, onCommit }: PriceProps) {
  const { num, parse } = useReader();
  const [text, setText] = useState(num(price, 2));
  const value = parse(text);
  const wrong = text.trim() !== '' && !(value !== null && value >= 0 && value < 1e6);
  const commit = (): void => {
    if (text.trim() === '') {
      setText(num(price, 2));
      if (own) onCommit(null);
    } else if (value !== null && !wrong && value.toFixed(2) !== price.toFixed(2)) onCommit(value);
  };
  return (
    <TextField
      variant="standard"
      value={text}
      error={wrong}
      helperText={wrong ? 'A price, or 0 for a gift.' : undefined}
      onChange={(event) => setText(event.target.value)}
      onBlur={commit}
      onKeyDown={(event) => event.key === 'Enter' && commit()}
      slotProps={{ htmlInput: { 'aria-label': label, inputMode: 'decimal' } }}
      sx={{
        '& input': {
          textAlign: 'right',
          width: 64,
          p: 0,
          height: 25,
          fontSize: '0.9rem',
          fontStyle: own ? 'normal' : 'italic',
        },
      }}
    />
  );
}
