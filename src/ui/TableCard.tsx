import Box from '@mui/material/Box';
import type { ReactNode } from 'react';
import { PlainTable } from './PlainTable';

/** A table on a card; one too wide for its place is pushed sideways, by keys as well. */
export function TableCard({ label, children }: { readonly label: string; readonly children: ReactNode }) {
  return (
    <Box
      role="group"
      aria-label={`${label}, table`}
      tabIndex={0}
      sx={{
        bgcolor: 'earth.card',
        border: 1,
        borderColor: 'earth.rule',
        borderRadius: '12px',
        overflow: 'auto',
        // On paper nothing can be pushed: it is as wide as the page, and its words break.
        '@media print': { overflow: 'visible', border: 0, bgcolor: 'transparent' },
        '&:focus-visible': { outline: '2px solid', outlineColor: 'earth.clay', outlineOffset: 2 },
      }}
    >
      <PlainTable label={label}>{children}</PlainTable>
    </Box>
  );
}
