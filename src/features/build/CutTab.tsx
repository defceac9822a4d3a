'use client';

import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useMemo } from 'react';
import { CAUTIONS } from '@/catalogue';
import type { CutItem } from '@/core/ground';
import { stepsOf, toolsOf } from '@/core/plan';
import { counted, length, percent } from '@/core/units';
import { useOpenDesign, useStore } from '@/store';
import { useReader, type Reader } from '@/ui/units';

/** What to cut, which tools to have at hand, what to prepare, and what to take care of. */
export function CutTab() {
  const { catalogue } = useStore();
  const { design, assessment } = useOpenDesign();
  const reader = useReader();
  const { lists, cautions, preparations, scape } = assessment;
  const tools = useMemo(
    () => toolsOf(stepsOf(design, assessment, catalogue)),
    [design, assessment, catalogue],
  );
  return (
    <>
      {(lists.cut.length > 0 || scape.backs.length > 0) && (
        <>
          <Typography variant="h2" sx={{ mt: 3, mb: 1 }}>
            To cut
          </Typography>
          <Box component="ul" sx={{ listStyle: 'none', p: 0, m: 0, display: 'grid', gap: 1 }}>
            {lists.cut.map((item) => (
              <CutRow key={`${item.layer} ${item.what}`} item={item} reader={reader} />
            ))}
            {scape.backs.map(({ back, kind }) => (
              <Box component="li" key={back.background.id} sx={ROW}>
                <Box>
                  <Typography variant="h3">
                    {kind?.name ?? back.background.kind}, {back.background.wall} wall:{' '}
                    {reader.write(length(back.width))} × {reader.write(length(back.height))}
                  </Typography>
                  <Typography variant="body2" sx={{ color: 'earth.quiet' }}>
                    A template at true size is in Hardscape, under Background. Measure the wall before you
                    cut.
                  </Typography>
                </Box>
              </Box>
            ))}
          </Box>
        </>
      )}

      <Typography variant="h2" id="tool-list" sx={{ mt: 3, mb: 1 }}>
        Tools
      </Typography>
      <Box
        component="ul"
        aria-labelledby="tool-list"
        sx={{ m: 0, pl: 2.5, columns: { xs: 1, sm: 2, lg: 3 }, columnGap: 4 }}
      >
        {tools.map((it) => (
          <Box component="li" key={it.tool} sx={{ breakInside: 'avoid', mb: 0.5 }}>
            {it.tool}
            <Box component="span" sx={{ color: 'earth.quiet', typography: 'body2' }}>
              {' '}
              · {it.steps.length > 2 ? `${it.steps.length} steps` : it.steps.join('; ')}
            </Box>
          </Box>
        ))}
      </Box>

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
                key={`${it.code} ${reader.tell(it.title)}`}
                sx={{
                  bgcolor: 'earth.card',
                  border: 1,
                  borderColor: 'earth.rule',
                  borderRadius: '12px',
                  px: 1.5,
                  py: 1,
                }}
              >
                <Typography variant="h3">{reader.tell(it.title)}</Typography>
                <Typography variant="body2" sx={{ color: 'earth.quiet' }}>
                  {reader.tell(it.text)}
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

const ROW = {
  display: 'flex',
  gap: 2,
  alignItems: 'center',
  bgcolor: 'earth.card',
  border: 1,
  borderColor: 'earth.rule',
  borderRadius: '12px',
  px: 2,
  py: 1.25,
} as const;

function CutRow({ item, reader }: { readonly item: CutItem; readonly reader: Reader }) {
  const { write } = reader;

  return (
    <Box component="li" sx={ROW}>
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
  if (what === 'foam') return `From ${counted(sheets ?? 0, 'sheet')}, laid on one another under the grid.`;
  return sheets
    ? `From ${counted(sheets, 'sheet')}, cut ${write(length(0.002))} clear of each wall. Measure the floor before you cut.`
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
