import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';

/** One of the questions a design begins with. */
export function Question({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  return (
    <Box component="fieldset" sx={{ border: 0, p: 0, m: 0, mb: 2.25, minWidth: 0 }}>
      <Typography component="legend" variant="h2" sx={{ mb: 1.4, p: 0 }}>
        {title}
      </Typography>
      {children}
    </Box>
  );
}
