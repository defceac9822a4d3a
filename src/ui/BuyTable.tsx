'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableFooter from '@mui/material/TableFooter';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import type { Pack } from '@/core/catalogue';
import type { Purchase } from '@/core/ground';
import { bag, length, mass } from '@/core/units';
import type { Reader } from './units';

export function packWords(pack: Pack, { write }: Reader): string {
  if (pack.form === 'pipe') return `${write(length(pack.length))} pipe`;
  // A brick is told by what is weighed, not by what its label promises.
  if (pack.form === 'brick')
    return `${write(mass(pack.dryMass), { decimals: 2, trim: true })} brick, ${write(bag(pack.volume))}`;
  if (pack.form === 'bag') return `${write(bag(pack.volume), { trim: true })} bag`;
  return `${write(length(pack.width))} × ${write(length(pack.length))} ${pack.form}`;
}

function amountWords(unit: Purchase['need']['unit'], amount: number, { write }: Reader): string {
  if (unit === 'volume') return write(bag(amount));
  if (unit === 'roll') return `${write(length(amount))} of roll`;
  if (unit === 'pipe') return `${write(length(amount))} of pipe`;
  return `${amount} ${amount === 1 ? 'sheet' : 'sheets'}`;
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

interface BuyProps {
  readonly lists: readonly Purchase[];
  readonly total: number;
  readonly prices: Readonly<Record<string, number>>;
  readonly reader: Reader;
  readonly onPrice: (material: string, pack: string, price: number | null) => void;
  /** All of it was bought: the lines for the book of the shelf. */
  readonly onBought: (receipts: ReturnType<typeof receiptsOf>) => void;
}

/** What to buy in whole packs, each price open to the builder's own. */
export function BuyTable({ lists, total, prices, reader, onPrice, onBought }: BuyProps) {
  const receipts = receiptsOf(lists, reader);
  const own = lists.every((row) =>
    row.packs.every(({ pack }) => prices[`${row.material}/${pack.id}`] !== undefined),
  );
  return (
    <Box
      sx={{
        bgcolor: 'earth.card',
        border: 1,
        borderColor: 'earth.rule',
        borderRadius: '12px',
        overflowX: 'auto',
      }}
    >
      <Table
        size="small"
        sx={{
          '& td, & th': { borderColor: 'earth.rule', py: 0.4 },
          '& th': { color: 'earth.quiet', fontWeight: 600, fontSize: '0.78rem' },
        }}
      >
        <TableHead>
          <TableRow>
            <TableCell>Material</TableCell>
            <TableCell align="right">needed, loose</TableCell>
            <TableCell>whole packs</TableCell>
            <TableCell align="right">price a pack</TableCell>
            <TableCell align="right">left over</TableCell>
            <TableCell align="right">together</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {lists.map((row) => (
            <TableRow key={`${row.material} ${row.packs[0]?.pack.id ?? ''}`} data-material={row.material}>
              <TableCell sx={{ fontWeight: 600 }}>{row.name}</TableCell>
              <TableCell align="right">
                {amountWords(row.need.unit, row.need.amount, reader)}
                {row.fromShelf > 0 && (
                  <Box sx={{ typography: 'caption', color: 'earth.quiet' }}>
                    {amountWords(row.need.unit, row.fromShelf, reader)} from the shelf
                  </Box>
                )}
              </TableCell>
              <TableCell>
                {row.packs.length === 0 && 'nothing to buy'}
                {row.packs.map(({ pack, count }) => (
                  <div key={pack.id} style={{ lineHeight: '28px' }}>
                    {count} × {packWords(pack, reader)}
                  </div>
                ))}
              </TableCell>
              <TableCell align="right">
                {row.packs.map(({ pack }) => (
                  <div key={`${pack.id} ${pack.price.value}`} style={{ height: 28 }}>
                    <PriceField
                      label={`Price of ${row.name}, ${packWords(pack, reader)}`}
                      price={pack.price.value}
                      own={prices[`${row.material}/${pack.id}`] !== undefined}
                      onCommit={(price) => onPrice(row.material, pack.id, price)}
                    />
                  </div>
                ))}
              </TableCell>
              <TableCell align="right" sx={{ color: 'earth.quiet' }}>
                {row.leftOver > 1e-9 ? amountWords(row.need.unit, row.leftOver, reader) : '–'}
              </TableCell>
              <TableCell align="right">{row.price.toFixed(2)}</TableCell>
            </TableRow>
          ))}
        </TableBody>
        <TableFooter>
          <TableRow>
            <TableCell colSpan={5} sx={{ color: 'earth.quiet', typography: 'body2' }}>
              {own
                ? 'At your own prices.'
                : 'Prices in italics are typical, from memory: write in what the shop asks. The packs follow the cheapest way to buy enough.'}
              {receipts.length > 0 && (
                <Box className="no-print" sx={{ mt: 0.5 }}>
                  <Button variant="outlined" size="small" onClick={() => onBought(receipts)}>
                    All bought: put it on the shelf
                  </Button>
                </Box>
              )}
            </TableCell>
            <TableCell align="right" sx={{ typography: 'h2', color: 'earth.ink' }}>
              {total.toFixed(2)}
            </TableCell>
          </TableRow>
        </TableFooter>
      </Table>
    </Box>
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
  const [text, setText] = useState(price.toFixed(2));
  const value = Number(text.trim().replace(',', '.'));
  const wrong = text.trim() !== '' && !(value > 0 && value < 1e6);
  const commit = (): void => {
    if (text.trim() === '') {
      setText(price.toFixed(2));
      if (own) onCommit(null);
    } else if (!wrong && value.toFixed(2) !== price.toFixed(2)) onCommit(value);
  };
  return (
    <TextField
      variant="standard"
      value={text}
      error={wrong}
      helperText={wrong ? 'More than nothing.' : undefined}
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
