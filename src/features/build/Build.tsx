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
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { CAUTIONS } from '@/catalogue';
import type { Pack } from '@/core/catalogue';
import type { CutItem, Purchase } from '@/core/ground';
import { bag, length, percent } from '@/core/units';
import { fileName, listsCsv } from '@/files';
import { useOpenDesign, useStore } from '@/store';
import { download } from '@/ui/download';
import { useReader, type Reader } from '@/ui/units';

/** What to buy and what to cut, with the cautions of those steps. */
export function Build() {
  const { settings, set } = useStore();
  const { design, assessment } = useOpenDesign();
  const reader = useReader();
  const { lists, cautions } = assessment;

  const setPrice = (material: string, pack: string, price: number | null): void => {
    const key = `${material}/${pack}`;
    const next = { ...settings.prices };
    if (price === null) delete next[key];
    else next[key] = price;
    void set('prices', next);
  };

  return (
    <Box sx={{ flex: 1, minHeight: 0, overflow: 'auto', px: 2.5, py: 2 }}>
      <Box sx={{ maxWidth: 1180, mx: 'auto' }}>
        <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.25, mb: 1.5 }}>
          <Typography variant="h1" component="h1" sx={{ flex: 1 }}>
            To buy and to cut
          </Typography>
          <Button
            variant="outlined"
            className="no-print"
            onClick={() =>
              download(
                fileName(`${design.name} list`).replace(/\.rincon\.json$/, '.csv'),
                listsCsv(lists, reader.prefs),
                'text/csv',
              )
            }
          >
            Save as CSV
          </Button>
          <Button variant="outlined" className="no-print" onClick={() => window.print()}>
            Print
          </Button>
        </Box>
        {lists.buy.length === 0 ? (
          <Typography sx={{ color: 'earth.quiet' }}>
            Nothing lies in the box yet. Add layers in Ground, and the list follows.
          </Typography>
        ) : (
          <BuyTable
            lists={lists.buy}
            total={lists.price}
            prices={settings.prices}
            reader={reader}
            onPrice={setPrice}
          />
        )}

        {lists.cut.length > 0 && (
          <>
            <Typography variant="h2" sx={{ mt: 3, mb: 1 }}>
              To cut
            </Typography>
            <Box component="ul" sx={{ listStyle: 'none', p: 0, m: 0, display: 'grid', gap: 1 }}>
              {lists.cut.map((item) => (
                <CutRow key={item.layer} item={item} reader={reader} />
              ))}
            </Box>
          </>
        )}

        <Typography variant="h2" sx={{ mt: 3, mb: 1 }}>
          Take care
        </Typography>
        <Box
          component="ul"
          sx={{
            listStyle: 'none',
            p: 0,
            m: 0,
            display: 'grid',
            gridTemplateColumns: 'repeat(auto-fill, minmax(300px, 1fr))',
            gap: 1.25,
          }}
        >
          {cautions.map((step) => (
            <Box
              component="li"
              key={step}
              sx={{
                borderLeft: 4,
                borderColor: 'earth.amber',
                bgcolor: 'earth.card',
                borderRadius: '0 10px 10px 0',
                px: 1.5,
                py: 1,
              }}
            >
              <Typography variant="h3">{CAUTIONS[step].title}</Typography>
              <Typography variant="body2" sx={{ color: 'earth.quiet' }}>
                {CAUTIONS[step].text}
              </Typography>
            </Box>
          ))}
        </Box>
      </Box>
    </Box>
  );
}

function packWords(pack: Pack, { write }: Reader): string {
  if ('volume' in pack) return `${write(bag(pack.volume), { trim: true })} ${pack.form}`;
  return `${write(length(pack.width))} × ${write(length(pack.length))} ${pack.form}`;
}

function amountWords(unit: Purchase['need']['unit'], amount: number, { write }: Reader): string {
  if (unit === 'volume') return write(bag(amount));
  if (unit === 'roll') return `${write(length(amount))} of roll`;
  return `${amount} ${amount === 1 ? 'sheet' : 'sheets'}`;
}

interface BuyProps {
  readonly lists: readonly Purchase[];
  readonly total: number;
  readonly prices: Readonly<Record<string, number>>;
  readonly reader: Reader;
  readonly onPrice: (material: string, pack: string, price: number | null) => void;
}

function BuyTable({ lists, total, prices, reader, onPrice }: BuyProps) {
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
          '& td, & th': { borderColor: 'earth.rule', py: 0.75 },
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
            <TableRow key={row.material} data-material={row.material}>
              <TableCell sx={{ fontWeight: 600 }}>{row.name}</TableCell>
              <TableCell align="right">{amountWords(row.need.unit, row.need.amount, reader)}</TableCell>
              <TableCell>
                {row.packs.map(({ pack, count }) => (
                  <div key={pack.id}>
                    {count} × {packWords(pack, reader)}
                  </div>
                ))}
              </TableCell>
              <TableCell align="right">
                {row.packs.map(({ pack }) => (
                  <PriceField
                    key={`${pack.id} ${pack.price.value}`}
                    label={`Price of ${row.name}, ${packWords(pack, reader)}`}
                    price={pack.price.value}
                    own={prices[`${row.material}/${pack.id}`] !== undefined}
                    onCommit={(price) => onPrice(row.material, pack.id, price)}
                  />
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
      sx={{ '& input': { textAlign: 'right', width: 64, p: '1px 0', fontStyle: own ? 'normal' : 'italic' } }}
    />
  );
}

function CutRow({ item, reader }: { readonly item: CutItem; readonly reader: Reader }) {
  const { write } = reader;
  const { roll } = item;
  return (
    <Box
      component="li"
      sx={{
        display: 'flex',
        gap: 2,
        alignItems: 'center',
        bgcolor: 'earth.card',
        border: 1,
        borderColor: 'earth.rule',
        borderRadius: '12px',
        px: 2,
        py: 1.25,
      }}
    >
      <CutDrawing item={item} />
      <Box>
        <Typography variant="h3">
          {item.name}: {write(length(item.width))} × {write(length(item.depth))}
        </Typography>
        <Typography variant="body2" sx={{ color: 'earth.quiet' }}>
          {roll
            ? `${roll.strips === 1 ? 'One piece' : `${roll.strips} strips ${write(length(roll.stripBreadth))} broad, laid along the ${roll.along}, overlapping`}, ${write(length(roll.rollLength))} off a roll ${write(length(roll.rollWidth))} wide; ${write(percent(roll.waste))} of it is left over.`
            : item.sheets !== undefined
              ? `From ${item.sheets} ${item.sheets === 1 ? 'sheet' : 'sheets'}, cut 2 mm clear of each wall. Measure the floor before you cut.`
              : 'No roll on offer is long enough.'}
        </Typography>
      </Box>
    </Box>
  );
}

/** The piece as it lies on the roll, small. */
function CutDrawing({ item }: { readonly item: CutItem }) {
  const rollWidth = item.roll?.rollWidth ?? item.depth;
  const runs = item.roll?.rollLength ?? item.width;
  const scale = Math.min(150 / runs, 56 / rollWidth);
  const strip = item.roll?.stripLength ?? item.width;
  const breadth = item.roll?.stripBreadth ?? item.depth;
  const count = item.roll?.strips ?? 1;
  return (
    <Box component="svg" width={156} height={62} aria-hidden sx={{ flex: 'none', color: 'earth.moss' }}>
      <rect
        x={3}
        y={3}
        width={runs * scale}
        height={rollWidth * scale}
        fill="none"
        stroke="currentColor"
        strokeDasharray="3 3"
        opacity={0.5}
      />
      {Array.from({ length: count }, (_, index) => (
        <rect
          key={index}
          x={3 + index * strip * scale}
          y={3}
          width={strip * scale}
          height={breadth * scale}
          fill="currentColor"
          fillOpacity={0.12}
          stroke="currentColor"
        />
      ))}
    </Box>
  );
}
