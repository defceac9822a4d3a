import Box from '@mui/material/Box';
import type { ReactNode } from 'react';

/** Fields beside one another, as many as fit. */
export function Grid({ children }: { readonly children: ReactNode }) {
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: 'repeat(auto-fill, minmax(136px, 1fr))',
        gap: 1.25,
        alignItems: 'start',
      }}
    >
      {children}
    </Box>
  );
}
