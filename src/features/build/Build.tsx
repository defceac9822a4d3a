'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { CAUTIONS } from '@/catalogue';
import type { CutItem } from '@/core/ground';
import { length, percent } from '@/core/units';
import { fileName, listsCsv } from '@/files';
import { useOpenDesign, useSetPrice, useStore } from '@/store';
import { BuyTable } from '@/ui/BuyTable';
import { download } from '@/ui/download';
import { useReader, type Reader } from '@/ui/units';

/** What to buy and what to cut, with the cautions of those steps. */
export function Build() {
  const { settings } = useStore();
  const { design, assessment } = useOpenDesign();
  const reader = useReader();
  const { lists, cautions } = assessment;

  const setPrice = useSetPrice();

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
