'use client';

import { localDay } from '@/core/time';
import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { wareName, wareOf } from '@/core/buying';
import { materialOf, type Material, type Pack } from '@/core/catalogue';
import { daysLeft, takingOf, type Lot, type ShelfMove, type Stock } from '@/core/shelf';
import { counted, capital } from '@/core/units';
import { useShelfBook, useStore } from '@/store';
import { DateField } from '@/ui/fields/DateField';
import { packWords } from '@/ui/BuyTable';
import { NumberField } from '@/ui/fields/PlainFields';
import { QuantityField } from '@/ui/fields/QuantityField';
import { Message } from '@/ui/Message';
import { TableCard } from '@/ui/TableCard';
import { DetailCard, ListDetail } from '@/ui/shell/ListDetail';
import { useReader } from '@/ui/units';
import { useUndoable } from '@/ui/useUndoable';

import { amountWords } from './amountWords';

/** A lot whose day comes within this is pointed out, days. */
const SOON = 30;

const today = (): string => localDay(Date.now());
const dateWords = (at: number | string): string =>
  new Date(at).toLocaleDateString(undefined, { day: 'numeric', month: 'short', year: 'numeric' });

/** What is there, what it was bought for, when it was opened, and every line of how it came to be so. */
export function Shelf() {
  const { catalogue, stocks, moves } = useStore();
  const { write } = useReader();
  const [selected, setSelected] = useState<string | null>(null);
  const [fresh, setFresh] = useState<string | null>(null);
  const all = [...new Set([...stocks.keys(), ...moves.map((it) => it.material), ...(fresh ? [fresh] : [])])];
  // Lamps, plants and the like are counted; materials are measured.
  const known = all.filter((it) => !wareOf(it));
  const wares = all
    .filter((it) => wareOf(it))
    .map((id) => ({ id, name: capital(wareName(catalogue, id)) }))
    .sort((a, b) => a.name.localeCompare(b.name));
  const rows = known.map((id) => materialOf(catalogue, id)).sort((a, b) => a.name.localeCompare(b.name));
  const ware = wares.find((it) => it.id === selected) ?? (rows.length === 0 ? wares[0] : undefined);
  const row = ware ? undefined : (rows.find((it) => it.id === selected) ?? rows[0]);
  const hint = (id: string, material: Material): string => {
    const stock = stocks.get(id);
    const said = amountWords(material, stock?.amount ?? 0, write);
    const warning = stock && warningOf(stock);
    return warning ? `${said} · ${warning}` : said;
  };
  return (
    <ListDetail
      label="Shelf"
      items={[
        ...rows.map((it) => ({ id: it.id, name: it.name, hint: hint(it.id, it) })),
        ...wares.map((it) => ({ ...it, hint: countWords(stocks.get(it.id)?.amount ?? 0) })),
      ]}
      selected={ware?.id ?? row?.id ?? null}
      onSelect={setSelected}
      tools={
        <Autocomplete
          key={known.length}
          options={catalogue.materials.filter((it) => !known.includes(it.id))}
          getOptionLabel={(it) => it.name}
          onChange={(_, it) => {
            if (!it) return;
            setFresh(it.id);
            setSelected(it.id);
          }}
          renderInput={(params) => <TextField {...params} label="Something new" />}
          sx={{ width: 150 }}
        />
      }
    >
      {ware ? (
        <Counted key={ware.id} {...ware} />
      ) : row ? (
        <Detail key={row.id} row={row} stock={stocks.get(row.id)} moves={moves} />
      ) : (
        <Message title="The shelf is empty">
          Pick something new on the left and write down what you have, or press “Bought” on a buying list.
        </Message>
      )}
    </ListDetail>
  );
}

const countWords = (amount: number): string => String(Math.round(amount * 100) / 100);

/** Something that is counted: how many there are, and each line of how it came to be so. */
function Counted({ id, name }: { readonly id: string; readonly name: string }) {
  const { stocks, moves } = useStore();
  const book = useShelfBook();
  const undoable = useUndoable();
  const amount = stocks.get(id)?.amount ?? 0;
  return (
    <DetailCard label={name}>
      <Typography variant="h2">{name}</Typography>
      <Box sx={{ mt: 1.5 }}>
        <NumberField
          key={amount}
          label="On the shelf"
          value={Math.max(0, amount)}
          min={0}
          max={100_000}
          onCommit={(next) =>
            void book
              .write([{ kind: 'count', material: id, amount: next, label: 'Counted' }])
              .then((batch) => undoable(`Counted: ${countWords(next)}.`, () => book.undo(batch)))
          }
          sx={{ width: 140 }}
        />
      </Box>
      <Box component="ul" sx={{ mt: 2, pl: 2.5, color: 'earth.quiet' }}>
        {moves
          .filter((it) => it.material === id && !it.undone)
          .map((it) => (
            <li key={it.id}>
              {dateWords(it.at)}: {it.kind === 'receipt' ? 'bought' : it.kind === 'use' ? 'taken' : 'counted'}{' '}
              {countWords(it.amount)}
            </li>
          ))}
      </Box>
    </DetailCard>
  );
}

/** What wants to be said at once about a stock. */
function warningOf({ amount, lots }: Stock): string | undefined {
  if (amount < -1e-9) return 'count it';
  const days = lots.map((lot) => daysLeft(lot, today())).filter((it) => it !== undefined);
  const least = Math.min(...days);
  if (days.length === 0 || least > SOON) return undefined;
  return least < 0 ? 'past its day' : `${counted(least, 'day')} left`;
}

interface DetailProps {
  readonly row: Material;
  readonly stock: Stock | undefined;
  readonly moves: readonly ShelfMove[];
}

function Detail({ row, stock, moves }: DetailProps) {
  const { write } = useReader();
  const amount = stock?.amount ?? 0;
  const own = moves.filter((it) => it.material === row.id);
  return (
    <DetailCard label={row.name}>
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1.5 }}>
        <Typography variant="h2" sx={{ flex: 1 }}>
          {row.name}
        </Typography>
        <Typography variant="h2" component="p" sx={{ color: amount < -1e-9 ? 'earth.clay' : 'earth.ink' }}>
          {amountWords(row, amount, write)}
        </Typography>
      </Box>
      {amount < -1e-9 && (
        <Typography sx={{ color: 'earth.clay', mt: 0.5 }} role="status">
          More was taken than the book had: {amountWords(row, -amount, write)} too much. Count what is there,
          and the book is right again.
        </Typography>
      )}
      <Entry row={row} stock={stock} />
      {stock && stock.lots.length > 0 && <Lots row={row} lots={stock.lots} />}
      {own.length > 0 && <History row={row} moves={own} />}
    </DetailCard>
  );
}

const sold = (pack: Pack): number =>
  'volume' in pack ? pack.volume : pack.form === 'sheet' ? 1 : pack.length;

/** The three things one writes down: bought, taken, counted. */
function Entry({ row, stock }: Omit<DetailProps, 'moves'>) {
  const reader = useReader();
  const book = useShelfBook();
  const undoable = useUndoable();
  const [pack, setPack] = useState(row.packs[0]?.id ?? '');
  const [count, setCount] = useState(1);
  const [bestBefore, setBestBefore] = useState('');
  const [amount, setAmount] = useState<number | null>(null);
  const chosen = row.packs.find((it) => it.id === pack) ?? row.packs[0];
  const [taking] =
    amount === null ? [] : takingOf({ [row.id]: amount }, new Map(stock ? [[row.id, stock]] : []));

  const write = async (move: Parameters<typeof book.write>[0][number], said: string): Promise<void> => {
    const batch = await book.write([move]);
    undoable(said, () => book.undo(batch));
  };
  const form = row.packs[0]?.form;
  const measure = form === 'roll' || form === 'pipe' ? 'length' : 'bag';

  return (
    <Box sx={{ display: 'grid', gap: 2, mt: 1.5 }}>
      <Box role="group" aria-label="Bought">
        <Typography variant="h3" sx={{ mb: 1 }}>
          Bought
        </Typography>
        <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'flex-start' }}>
          <NumberField
            key={count}
            label="How many"
            value={count}
            min={1}
            max={1000}
            onCommit={(next) => setCount(Math.round(next))}
            sx={{ width: 96 }}
          />
          <TextField
            select
            label="Pack"
            value={chosen?.id ?? ''}
            onChange={(event) => setPack(event.target.value)}
            sx={{ flex: 1, minWidth: 170, maxWidth: 320 }}
          >
            {row.packs.map((it) => (
              <MenuItem key={it.id} value={it.id}>
                {packWords(it, reader)}
              </MenuItem>
            ))}
          </TextField>
          <DateField
            label="Best before"
            value={bestBefore || null}
            onCommit={(day) => setBestBefore(day ?? '')}
            sx={{ width: 158 }}
          />
          <Button
            variant="contained"
            disabled={!chosen}
            onClick={() =>
              chosen &&
              void write(
                {
                  kind: 'receipt',
                  material: row.id,
                  amount: count * sold(chosen),
                  label: `${count} × ${packWords(chosen, reader)}`,
                  bestBefore: bestBefore || null,
                },
                `${count} × ${packWords(chosen, reader)} of ${row.name.toLowerCase()} on the shelf.`,
              )
            }
          >
            Put it there
          </Button>
        </Box>
      </Box>
      <Box role="group" aria-label="Taken or counted">
        <Typography variant="h3" sx={{ mb: 1 }}>
          Taken, or counted
        </Typography>
        <Box sx={{ display: 'flex', gap: 1, alignItems: 'flex-start' }}>
          {form === 'sheet' ? (
            <NumberField
              key={amount ?? -1}
              label="Sheets"
              value={amount ?? 0}
              min={0}
              max={10_000}
              onCommit={(next) => setAmount(Math.round(next))}
              sx={{ flex: 1 }}
            />
          ) : (
            <QuantityField
              label={measure === 'bag' ? 'Litres, loose' : 'Length'}
              measure={measure}
              quart="dry"
              value={amount}
              max={100}
              step={measure === 'bag' ? 0.001 : 0.1}
              placeholder="how much"
              onCommit={setAmount}
              onClear={() => setAmount(null)}
              sx={{ width: 170 }}
            />
          )}
          <Button
            variant="outlined"
            disabled={!amount}
            onClick={() => {
              if (!amount) return;
              const short = taking?.short ?? 0;
              void write(
                { kind: 'use', material: row.id, amount, label: 'Taken' },
                short > 1e-9
                  ? `Taken, ${amountWords(row, short, reader.write)} more than the book had.`
                  : 'Taken off the shelf.',
              ).then(() => setAmount(null));
            }}
          >
            Taken
          </Button>
          <Button
            variant="outlined"
            disabled={amount === null}
            onClick={() =>
              amount !== null &&
              void write(
                { kind: 'count', material: row.id, amount, label: 'Counted' },
                `Counted: ${amountWords(row, amount, reader.write)}.`,
              ).then(() => setAmount(null))
            }
          >
            Counted
          </Button>
        </Box>
        {taking && taking.short > 1e-9 && (
          <Typography variant="body2" sx={{ color: 'earth.clay', mt: 0.5 }} role="status">
            Taken, that would be {amountWords(row, taking.short, reader.write)} more than the book has.
          </Typography>
        )}
      </Box>
    </Box>
  );
}

function Lots({ row, lots }: { readonly row: Material; readonly lots: readonly Lot[] }) {
  const { write } = useReader();
  const book = useShelfBook();
  return (
    <>
      <Typography variant="h3" sx={{ mt: 2, mb: 0.5 }}>
        What it is made up of, first to use first
      </Typography>
      <TableCard label="Lots">
        <thead>
          <tr>
            <th scope="col">since</th>
            <th scope="col">what</th>
            <th scope="col" className="number">
              left
            </th>
            <th scope="col">opened</th>
            <th scope="col">best before</th>
          </tr>
        </thead>
        <tbody>
          {lots.map((lot) => {
            const days = daysLeft(lot, today());
            return (
              <tr key={lot.move.id}>
                <td>{dateWords(lot.move.at)}</td>
                <td>{lot.move.label}</td>
                <td className="number">{amountWords(row, lot.left, write)}</td>
                {(['opened', 'bestBefore'] as const).map((which) => (
                  <td key={which}>
                    <DateField
                      bare
                      label={`${which === 'opened' ? 'Opened' : 'Best before'}, ${lot.move.label}`}
                      value={lot.move[which]}
                      onCommit={(day) => void book.date(lot.move.id, { [which]: day })}
                      sx={{ width: 138 }}
                    />
                    {which === 'bestBefore' && days !== undefined && days <= SOON && (
                      <Box component="span" sx={{ color: 'earth.clay', ml: 1, fontSize: '0.8rem' }}>
                        {days < 0 ? 'past' : counted(days, 'day')}
                      </Box>
                    )}
                  </td>
                ))}
              </tr>
            );
          })}
        </tbody>
      </TableCard>
    </>
  );
}

const KIND: Record<ShelfMove['kind'], string> = { receipt: 'in', use: 'out', count: 'counted' };

function History({ row, moves }: { readonly row: Material; readonly moves: readonly ShelfMove[] }) {
  const { write } = useReader();
  const book = useShelfBook();
  const newest = [...moves].sort((a, b) => b.at - a.at);
  return (
    <>
      <Typography variant="h3" sx={{ mt: 2, mb: 0.5 }}>
        The book
      </Typography>
      <TableCard label="The book">
        <thead>
          <tr>
            <th scope="col">when</th>
            <th scope="col">what</th>
            <th scope="col" className="number">
              how much
            </th>
            <td className="icon" />
          </tr>
        </thead>
        <tbody>
          {newest.map((move) => (
            <tr key={move.id}>
              <td>{dateWords(move.at)}</td>
              <td>
                <Box
                  component="span"
                  sx={{
                    textDecoration: move.undone ? 'line-through' : 'none',
                    color: move.undone ? 'earth.quiet' : 'earth.ink',
                  }}
                >
                  {move.label}
                </Box>
                {move.undone && ' · undone'}
              </td>
              <td className="number">
                {KIND[move.kind]} {amountWords(row, move.amount, write)}
              </td>
              <td className="icon">
                <Button
                  size="small"
                  aria-label={`${move.undone ? 'Do again' : 'Undo'}: ${move.label}, ${dateWords(move.at)}`}
                  onClick={() => void book.undo(move.batch, !move.undone)}
                >
                  {move.undone ? 'Do again' : 'Undo'}
                </Button>
              </td>
            </tr>
          ))}
        </tbody>
      </TableCard>
      <Typography variant="body2" sx={{ color: 'earth.quiet', mt: 0.75 }}>
        What was bought or taken together is undone together. Nothing is struck out of the book.
      </Typography>
    </>
  );
}
