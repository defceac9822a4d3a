'use client';

import Box from '@mui/material/Box';
import type { ReactNode } from 'react';

/** The drawing on the left, the work on the right; one above the other where it is narrow. */
export function TwoPanes({ left, right }: { readonly left: ReactNode; readonly right: ReactNode }) {
  return (
    <Box
      sx={{
        flex: 1,
        minHeight: 0,
        display: 'grid',
        gridTemplateColumns: { md: 'minmax(0, 0.88fr) minmax(0, 1fr)' },
      }}
    >
      <Box
        component="section"
        aria-label="Drawing"
        sx={{
          minHeight: 0,
          minWidth: 0,
          px: 2.5,
          py: 2,
          borderRight: { md: 1 },
          borderColor: { md: 'earth.rule' },
        }}
      >
        {left}
      </Box>
      <Box sx={{ minHeight: 0, minWidth: 0, overflow: { md: 'auto' }, px: 2.5, py: 2 }} tabIndex={-1}>
        {right}
      </Box>
    </Box>
  );
}
