import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';

interface Props {
  readonly title: string;
  readonly children?: ReactNode;
  readonly actions?: ReactNode;
  readonly role?: 'status' | 'alert';
}

/** A whole page that has one thing to say: empty, waiting, lost. */
export function Message({ title, children, actions, role }: Props) {
  return (
    // Within itself: a margin of its own would push the page it stands on, and let it jump once that is there.
    <Box role={role} sx={{ maxWidth: 560, mx: 'auto', pt: '14vh', px: 3 }}>
      <Typography variant="h1" component="h1">
        {title}
      </Typography>
      <Typography component="div" sx={{ color: 'earth.quiet', mt: 1 }}>
        {children}
      </Typography>
      {actions && <Box sx={{ display: 'flex', gap: 1, mt: 2.5, flexWrap: 'wrap' }}>{actions}</Box>}
    </Box>
  );
}
