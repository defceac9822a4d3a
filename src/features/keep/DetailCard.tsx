'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';
import { useUndoable } from '@/ui/useUndoable';

interface Props {
  readonly title: string;
  readonly onClose: () => void;
  /** How the thing is put away, and brought back; left out: it cannot be. */
  readonly strike?: {
    readonly label: string;
    readonly said: string;
    readonly away: () => unknown;
    readonly back: () => unknown;
  };
  readonly children: ReactNode;
}

/** One thing out of a list, opened: its name, a way to close it and to strike it out, and what there is to change. */
export function DetailCard({ title, onClose, strike, children }: Props) {
  const undoable = useUndoable();
  return (
    <Box
      component="section"
      aria-label={title}
      sx={{
        bgcolor: 'earth.card',
        border: 1,
        borderColor: 'earth.rule',
        borderRadius: '12px',
        px: 2,
        py: 1.5,
        display: 'grid',
        gridTemplateColumns: 'minmax(0, 1fr)',
        gap: 1.5,
      }}
    >
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'center' }}>
        <Typography variant="h2" sx={{ flex: 1 }}>
          {title}
        </Typography>
        {strike && (
          <Button
            color="error"
            onClick={() => {
              void strike.away();
              onClose();
              undoable(strike.said, strike.back);
            }}
          >
            {strike.label}
          </Button>
        )}
        <Button onClick={onClose}>Close</Button>
      </Box>
      {children}
    </Box>
  );
}
