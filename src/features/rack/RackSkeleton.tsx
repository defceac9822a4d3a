'use client';

import Box from '@mui/material/Box';
import Skeleton from '@mui/material/Skeleton';
import { TopBar } from '@/ui/shell/TopBar';
import { OUTER_PLACES } from '@/ui/words';

/** How a rack's cards lie, also before they are there. */
export const RACK_GRID = {
  display: 'grid',
  gridTemplateColumns: 'repeat(auto-fill, minmax(272px, 1fr))',
  gap: 1.75,
  listStyle: 'none',
  p: 0,
  m: 0,
} as const;

/** px, roughly, that a card is high. */
export const CARD_HEIGHT = 372;

/** Where heading and cards of the rack will stand. */
export function CardsSkeleton() {
  return (
    <Box role="status" aria-label="Opening the rack">
      <Skeleton animation={false} variant="rounded" width={220} height={26} sx={{ mb: 2.25 }} />
      <Box sx={RACK_GRID}>
        {Array.from({ length: 4 }, (_, i) => (
          <Box
            key={i}
            sx={{
              height: CARD_HEIGHT,
              border: 1,
              borderColor: 'earth.rule',
              borderRadius: '14px',
              bgcolor: 'earth.card',
            }}
          />
        ))}
      </Box>
    </Box>
  );
}

/** The rack while the browser’s storage opens. */
export function RackSkeleton() {
  return (
    <Box sx={{ minHeight: '100dvh' }}>
      <TopBar places={OUTER_PLACES('/')} tools={null} />
      <Box component="main" sx={{ px: 2.5, py: 2.25, maxWidth: 1680, mx: 'auto' }}>
        <CardsSkeleton />
      </Box>
    </Box>
  );
}
