'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState, useSyncExternalStore } from 'react';
import { capital, counted } from '@/core/units';
import { onUnreadable, takeOutUnreadable, unreadableNow, useStore, type Unreadable } from '@/store';
import { CornerCard } from '@/ui/Corner';
import { download } from '@/ui/download';

const NONE: readonly Unreadable[] = [];

const TABLES: Readonly<Record<string, readonly [one: string, many: string]>> = {
  log: ['line of the log', 'lines of the log'],
  animals: ['animal', 'animals'],
  cultures: ['culture', 'cultures'],
  equipment: ['piece of equipment', 'pieces of equipment'],
  series: ['measuring point', 'measuring points'],
  shelf: ['line of the shelf’s book', 'lines of the shelf’s book'],
};

/** What is one’s own in the catalogue. */
const OWN: Readonly<Record<string, readonly [one: string, many: string]>> = {
  materials: ['ingredient of your own', 'ingredients of your own'],
  recipes: ['recipe of your own', 'recipes of your own'],
  animals: ['species of your own', 'species of your own'],
  plants: ['plant of your own', 'plants of your own'],
  crew: ['crew of your own', 'crews of your own'],
  prices: ['price of your own', 'prices of your own'],
};

/** Says which rows cannot be read; they are kept as they are until they are saved and taken out. */
export function UnreadableRows() {
  const { db } = useStore();
  const rows = useSyncExternalStore(onUnreadable, unreadableNow, () => NONE);
  const [isSaved, setSaved] = useState<readonly Unreadable[]>(NONE);
  const [first] = rows;
  if (!first) return null;
  const counts = [TABLES, OWN].flatMap((names) =>
    Object.entries(names).flatMap(([table, [one, many]]) => {
      const isOwn = names === OWN;
      const count = rows.filter((it) => it.table === table && (it.setting !== undefined) === isOwn).length;
      return count > 0 ? [counted(count, one, many)] : [];
    }),
  );
  return (
    <CornerCard label="What cannot be read">
      <div>
        <Typography variant="h3" component="h2">
          Cannot be read: {counts.join(', ')}
        </Typography>
        <Typography variant="body2" sx={{ color: 'earth.quiet', my: 1, overflowWrap: 'anywhere' }}>
          {capital(first.why)}. It is kept as it is, and everything else works.
        </Typography>
        <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
          <Button
            variant="outlined"
            onClick={() => {
              download(
                'rincon-unreadable.json',
                JSON.stringify(
                  rows.map(({ table, setting, key, row }) => ({
                    ...(setting === undefined ? { table } : { setting, key }),
                    row,
                  })),
                  null,
                  2,
                ),
              );
              setSaved(rows);
            }}
          >
            Save what is there
          </Button>
          {/* For good: only what was saved. */}
          <Button disabled={isSaved !== rows} onClick={() => void takeOutUnreadable(db, rows)}>
            Take out
          </Button>
        </Box>
      </div>
    </CornerCard>
  );
}
