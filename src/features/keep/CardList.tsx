import Box from '@mui/material/Box';
import type { ReactNode } from 'react';

/** Rows of a list on one card. */
export const CardList = ({ children }: { readonly children: ReactNode }) => (
  <Box
    component="ul"
    sx={{
      m: 0,
      p: 0,
      listStyle: 'none',
      bgcolor: 'earth.card',
      border: 1,
      borderColor: 'earth.rule',
      borderRadius: '12px',
    }}
  >
    {children}
  </Box>
);
