'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Tab from '@mui/material/Tab';
import Tabs from '@mui/material/Tabs';
import Typography from '@mui/material/Typography';
import NextLink from 'next/link';
import { useState } from 'react';
import { CAUTIONS } from '@/catalogue';
import type { CutItem } from '@/core/ground';
import { length, percent, tell } from '@/core/units';
import { fileName, listsCsv } from '@/files';
import { useOpenDesign, useSetPrice, useShelfBook, useStore } from '@/store';
import { BuyTable } from '@/ui/BuyTable';
import { download } from '@/ui/download';
import { useReader, type Reader } from '@/ui/units';
import { useUndoable } from '@/ui/useUndoable';
import { LivingList } from './LivingList';
import { Making } from './Making';
import { PlanTab } from './PlanTab';
import { ScapeList } from './ScapeList';

/** What to buy and what to cut, with the cautions of those steps. */
export function Build() {
  const { design, assessment } = useOpenDesign();
  const reader = useReader();
  const [tab, setTab] = useState<'plan' | 'buy' | 'make'>('buy');
  const { lists } = assessment;

  return (
    <Box sx={{ flex: 1, minHeight: 0, overflow: 'auto', px: 2.5, py: 2 }}>
      <Box sx={{ maxWidth: 1180, mx: 'auto' }}>
        <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 1.25, mb: 1.5 }}>
          <Typography variant="h1" component="h1">
            Build
          </Typography>
          <Tabs
            className="no-print"
            value={tab}
            onChange={(_, next: typeof tab) => setTab(next)}
            aria-label="Sheets"
            variant="scrollable"
            scrollButtons={false}
            sx={{ flex: { xs: '1 0 100%', md: 1 }, ml: { xs: 0, md: 2 }, order: { xs: 3, md: 0 } }}
          >
            <Tab value="plan" label="Plan" id="tab-plan" aria-controls="panel-plan" />
            <Tab value="buy" label="To buy and to cut" id="tab-buy" aria-controls="panel-buy" />
            <Tab value="make" label="To be made" id="tab-make" aria-controls="panel-make" />
          </Tabs>
          {tab === 'buy' && (
            <Button
              variant="outlined"
              className="no-print"
              onClick={() =>
                download(
                  fileName(`${design.name} list`).replace(/\.rincon\.json$/, '.csv'),
                  listsCsv(lists, reader.prefs, assessment.scape),
                  'text/csv',
                )
              }
            >
              Save as CSV
            </Button>
          )}
          <Button
            component={NextLink}
            href={`/e/${design.id}/mixing`}
            variant="outlined"
            className="no-print"
          >
            Mixing sheet
          </Button>
          <Button variant="outlined" className="no-print" onClick={() => window.print()}>
            Print
          </Button>
        </Box>
        <Box role="tabpanel" id={`panel-${tab}`} aria-labelledby={`tab-${tab}`}>
          {tab === 'plan' ? <PlanTab /> : tab === 'make' ? <Making /> : <BuyAndCut />}
        </Box>
      </Box>
    </Box>
  );
}

/** What to buy in whole packs, what to cut, what to prepare. */
function BuyAndCut() {
  const { settings } = useStore();
  const { assessment } = useOpenDesign();
  const reader = useReader();
  const setPrice = useSetPrice();
  const book = useShelfBook();
  const undoable = useUndoable();
  const { lists, cautions, preparations } = assessment;
  return (
    <>
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
          onBought={(receipts) =>
            void book
              .write(receipts)
              .then((batch) => undoable('What is bought stands on the shelf.', () => book.undo(batch)))
          }
        />
      )}

      <ScapeList />
      <LivingList />

      {lists.cut.length > 0 && (
        <>
          <Typography variant="h2" sx={{ mt: 3, mb: 1 }}>
            To cut
          </Typography>
          <Box component="ul" sx={{ listStyle: 'none', p: 0, m: 0, display: 'grid', gap: 1 }}>
            {lists.cut.map((item) => (
              <CutRow key={`${item.layer} ${item.what}`} item={item} reader={reader} />
            ))}
          </Box>
        </>
      )}

      {preparations.length > 0 && (
        <>
          <Typography variant="h2" sx={{ mt: 3, mb: 1 }}>
            To prepare, and to keep going
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
            {preparations.map((it) => (
              <Box
                component="li"
                key={`${it.code} ${tell(it.title, reader)}`}
                sx={{
                  bgcolor: 'earth.card',
                  border: 1,
                  borderColor: 'earth.rule',
                  borderRadius: '12px',
                  px: 1.5,
                  py: 1,
                }}
              >
                <Typography variant="h3">{tell(it.title, reader)}</Typography>
                <Typography variant="body2" sx={{ color: 'earth.quiet' }}>
                  {tell(it.text, reader)}
                </Typography>
              </Box>
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
    </>
  );
}

function CutRow({ item, reader }: { readonly item: CutItem; readonly reader: Reader }) {
  const { write } = reader;

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
          {item.name}: {item.count > 1 ? `${item.count} × ` : ''}
          {item.what === 'legs'
            ? `${write(length(item.width))} long`
            : `${write(length(item.width))} × ${write(length(item.depth))}`}
        </Typography>
        <Typography variant="body2" sx={{ color: 'earth.quiet' }}>
          {cutWords(item, reader)}
          {item.outlined && item.what !== 'legs'
            ? ' Then trimmed to the outline of its region, as the plan shows it.'
            : ''}
          {item.holes.length > 0 &&
            ` Holes: ${item.holes.map((hole) => `${write(length(hole.diameter))} across at ${write(length(hole.x))} from the left, ${write(length(hole.y))} from the front`).join('; ')}.`}
        </Typography>
      </Box>
    </Box>
  );
}

function cutWords({ what, roll, sheets, depth }: CutItem, { write }: Reader): string {
  if (roll) {
    const strips =
      roll.strips === 1
        ? 'One piece'
        : `${roll.strips} strips ${write(length(roll.stripBreadth))} broad, laid along the ${roll.along}, overlapping`;
    return `${strips}, ${write(length(roll.rollLength))} off a roll ${write(length(roll.rollWidth))} wide; ${write(percent(roll.waste))} of it is left over.`;
  }
  if (what === 'legs') return `${write(length(depth))} across; notch each at its foot so that water passes.`;
  if (what === 'foam')
    return `From ${sheets} ${sheets === 1 ? 'sheet' : 'sheets'}, laid on one another under the grid.`;
  return sheets
    ? `From ${sheets} ${sheets === 1 ? 'sheet' : 'sheets'}, cut 2 mm clear of each wall. Measure the floor before you cut.`
    : 'No roll on offer is long enough.';
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
