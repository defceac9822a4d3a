'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import Typography from '@mui/material/Typography';
import NextLink from 'next/link';
import { useMemo, useState, type ReactNode } from 'react';
import { assess } from '@/core/assess';
import { buyingOf } from '@/core/buying';
import type { SharedRoll } from '@/core/ground';
import type { Design } from '@/core/document';
import { length, percent } from '@/core/units';
import { ANSWER_WORDS, wordOf } from '@/core/verdict';
import { buyTable, csvOfTable, xlsxOf } from '@/files';
import { useDesigns, useSetPrice, useShelfBook, useSpare, useStore } from '@/store';
import { BuyTable } from '@/ui/BuyTable';
import { download } from '@/ui/download';
import { ActionMenu } from '@/ui/ActionMenu';
import { Message } from '@/ui/Message';
import { TopBar } from '@/ui/shell/TopBar';
import { OUTER_PLACES } from '@/ui/words';
import { useReader, type Reader } from '@/ui/units';
import { useUndoable } from '@/ui/useUndoable';
import { verdictInk } from '@/ui/VerdictMark';
import { useVerdict } from '@/workers/useVerdict';

/** An enclosure with its answer: nobody buys for one that cannot hold unawares. */
function Named({ design }: { readonly design: Design }) {
  const { catalogue } = useStore();
  const verdict = useVerdict(design, catalogue);
  return (
    <>
      {design.name}{' '}
      <Box component="span" sx={{ color: verdictInk(verdict), typography: 'body2' }}>
        {ANSWER_WORDS[wordOf(verdict)].toLowerCase()}
      </Box>
    </>
  );
}

/** One purchase for several enclosures. */
export function JointLists({ tools }: { readonly tools: ReactNode }) {
  const { catalogue, settings, shelfFor, set } = useStore();
  const designs = useDesigns();
  const reader = useReader();
  const onPrice = useSetPrice();
  const [spare, setSpare] = useSpare();
  const book = useShelfBook();
  const undoable = useUndoable();
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const all = useMemo(
    () =>
      designs?.flatMap((it) => (it.state === 'ready' && !it.row.design.brief.putAway ? [it.row.design] : [])),
    [designs],
  );
  const [buying, apart] = useMemo(() => {
    const builds = (all ?? [])
      .filter((design) => !left.has(design.id))
      .map((design) => ({ design, assessment: assess(design, catalogue) }));
    const shelf = shelfFor(builds.map((it) => it.design.id));
    const buy = (own: typeof builds) => buyingOf(own, catalogue, shelf, spare, settings.prices);
    return [buy(builds), builds.reduce((sum, it) => sum + buy([it]).price, 0)] as const;
  }, [all, left, catalogue, shelfFor, spare, settings.prices]);
  const saved = apart - buying.price;

  return (
    <Box sx={{ minHeight: '100dvh' }}>
      <TopBar places={OUTER_PLACES('/lists')} tools={tools} />
      <Box component="main" sx={{ px: 2.5, py: 2.25, maxWidth: 1180, mx: 'auto' }}>
        {all === undefined ? (
          <Message title="Adding up" role="status" />
        ) : all.length === 0 ? (
          <Message
            title="Nothing to buy for yet"
            actions={
              <Button component={NextLink} href="/new" variant="contained">
                New enclosure
              </Button>
            }
          />
        ) : (
          <>
            <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.25, mb: 1 }}>
              <Typography variant="h1" component="h1" sx={{ flex: 1 }}>
                One purchase for several
              </Typography>
              <ActionMenu
                label="Save as a table"
                choices={[
                  {
                    words: 'A spreadsheet (XLSX)',
                    act: () =>
                      xlsxOf([buyTable(buying, reader)]).then((it) =>
                        download('rincon-one-purchase.xlsx', it, it.type),
                      ),
                  },
                  {
                    words: 'CSV',
                    act: () =>
                      download('rincon-one-purchase.csv', csvOfTable(buyTable(buying, reader)), 'text/csv'),
                  },
                ]}
              />
              <Button variant="outlined" className="no-print" onClick={() => window.print()}>
                Print
              </Button>
            </Box>
            <Box
              role="group"
              aria-label="Buy for"
              sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 1, mb: 1 }}
            >
              {all.map((design) => (
                <FormControlLabel
                  key={design.id}
                  label={<Named design={design} />}
                  control={
                    <Checkbox
                      size="small"
                      checked={!left.has(design.id)}
                      onChange={(_, on) => {
                        const next = new Set(left);
                        if (on) next.delete(design.id);
                        else next.add(design.id);
                        setLeft(next);
                      }}
                    />
                  }
                />
              ))}
            </Box>
            {buying.rows.length === 0 ? (
              <Typography sx={{ color: 'earth.quiet' }}>
                Choose at least one enclosure with something in it.
              </Typography>
            ) : (
              <BuyTable
                buying={buying}
                prices={settings.prices}
                reader={reader}
                spare={spare}
                onSpare={setSpare}
                currency={settings.currency}
                onCurrency={(currency) => void set('currency', currency)}
                onPrice={onPrice}
                onBought={(receipts) =>
                  void book
                    .write(receipts)
                    .then((batch) => undoable('What is bought stands on the shelf.', () => book.undo(batch)))
                }
              />
            )}
            {saved > 0.005 && (
              <Typography sx={{ mt: 1.25 }}>
                Bought one by one it would be {reader.money(apart)}: together saves {reader.money(saved)}.
              </Typography>
            )}
            {buying.rolls.map((it) => (
              <RollDrawing key={it.material} shared={it} reader={reader} />
            ))}
          </>
        )}
      </Box>
    </Box>
  );
}

/** The pieces as they lie on the roll, to be cut in order. */
function RollDrawing({ shared, reader }: { readonly shared: SharedRoll; readonly reader: Reader }) {
  const { write } = reader;
  const { nesting, roll } = shared;
  const scale = Math.min(1080 / nesting.rollLength, 220 / roll.width);
  return (
    <Box component="section" aria-label={`${shared.name}, cut from one roll`} sx={{ mt: 3 }}>
      <Typography variant="h2">To cut from one roll: {shared.name.toLowerCase()}</Typography>
      <Typography variant="body2" sx={{ color: 'earth.quiet', mb: 1 }}>
        {write(length(nesting.rollLength))} of a roll {write(length(roll.width))} wide,{' '}
        {write(percent(Math.max(0, nesting.waste)))} of it left over. Measure each floor before you cut.
      </Typography>
      <Box
        component="svg"
        role="img"
        aria-label={nesting.placed
          .map((it) => `${it.id}: ${write(length(it.length))} by ${write(length(it.breadth))}`)
          .join('; ')}
        width={nesting.rollLength * scale + 8}
        height={roll.width * scale + 8}
        sx={{ color: 'earth.moss', maxWidth: '100%', display: 'block' }}
      >
        <rect
          x={4}
          y={4}
          width={nesting.rollLength * scale}
          height={roll.width * scale}
          fill="none"
          stroke="currentColor"
          strokeDasharray="4 4"
          opacity={0.6}
        />
        {nesting.placed.map((it) => (
          <g key={`${it.id} ${it.along} ${it.across}`}>
            <rect
              x={4 + it.along * scale}
              y={4 + it.across * scale}
              width={it.length * scale}
              height={it.breadth * scale}
              fill="currentColor"
              fillOpacity={0.13}
              stroke="currentColor"
            />
            <Box
              component="text"
              x={12 + it.along * scale}
              y={24 + it.across * scale}
              sx={{ fill: 'earth.ink', fontSize: 13 }}
              fill="currentColor"
            >
              {it.id}
            </Box>
            <text x={12 + it.along * scale} y={42 + it.across * scale} fontSize={12} fill="currentColor">
              {write(length(it.length), { bare: true, trim: true })} ×{' '}
              {write(length(it.breadth), { trim: true })}
            </text>
          </g>
        ))}
      </Box>
    </Box>
  );
}
