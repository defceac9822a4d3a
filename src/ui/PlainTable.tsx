'use client';

import Box from '@mui/material/Box';
import type { ReactNode } from 'react';

/** A table of plain cells, styled once for the whole: its rows are drawn at every frame of a drag. */
export function PlainTable({ children, label }: { readonly children: ReactNode; readonly label: string }) {
  return (
    <Box
      component="table"
      aria-label={label}
      sx={{
        width: '100%',
        borderCollapse: 'collapse',
        fontSize: '0.9rem',
        '& th, & td': {
          textAlign: 'left',
          px: 1.25,
          py: 0.35,
          height: 36,
          borderBottom: 1,
          borderColor: 'earth.rule',
          whiteSpace: 'nowrap',
        },
        '& th': { color: 'earth.quiet', fontWeight: 600, fontSize: '0.78rem' },
        '& .number': { textAlign: 'right' },
        // On a phone what such a column tells stands under the name.
        '& .wide': { display: { xs: 'none', sm: 'table-cell' } },
        '& col.wide': { display: { xs: 'none', sm: 'table-column' } },
        '& .narrow': { display: { sm: 'none' } },
        '& .icon': { width: 36, px: 0.5, textAlign: 'right' },
        '& tbody tr:last-of-type td': { borderBottom: 0 },
        '@media print': {
          fontSize: '8.5pt',
          '& th, & td': { whiteSpace: 'normal', px: '1.2mm', height: 'auto', overflowWrap: 'anywhere' },
          '& .number': { overflowWrap: 'normal' },
          '& tr': { breakInside: 'avoid' },
        },
        '& tr[data-selected=true] td': { bgcolor: 'earth.mossWash' },
        '& tbody tr:last-of-type td:first-of-type': { borderBottomLeftRadius: 11 },
        '& tbody tr:last-of-type td:last-of-type': { borderBottomRightRadius: 11 },
      }}
    >
      {children}
    </Box>
  );
}
