import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';

/** A card with a heading. */
export function Panel({ label, children }: { readonly label: string; readonly children: ReactNode }) {
  return (
    <Box
      component="section"
      aria-label={label}
      sx={{
        bgcolor: 'earth.card',
        border: 1,
        borderColor: 'earth.rule',
        borderRadius: '12px',
        px: 2,
        py: 1.5,
        minWidth: 0,
      }}
    >
      <Typography variant="h3" component="h2" sx={{ mb: 0.5 }}>
        {label}
      </Typography>
      {children}
    </Box>
  );
}
