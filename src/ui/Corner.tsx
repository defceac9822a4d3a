import Box from '@mui/material/Box';
import type { ReactNode } from 'react';

/** Where things stand that must be told on every page, one over the other. */
export const Corner = ({ children }: { readonly children: ReactNode }) => (
  <Box
    sx={{
      position: 'fixed',
      insetInlineEnd: 16,
      bottom: 16,
      zIndex: 'snackbar',
      width: 'min(420px, calc(100vw - 32px))',
      display: 'grid',
      gap: 1.5,
      pointerEvents: 'none',
    }}
  >
    {children}
  </Box>
);

/** One of them. */
export const CornerCard = ({ label, children }: { readonly label: string; readonly children: ReactNode }) => (
  <Box
    component="section"
    aria-label={label}
    sx={{
      bgcolor: 'earth.card',
      border: 1,
      borderColor: 'earth.clay',
      borderRadius: '12px',
      p: 2,
      display: 'grid',
      gap: 1.5,
      pointerEvents: 'auto',
    }}
  >
    {children}
  </Box>
);
