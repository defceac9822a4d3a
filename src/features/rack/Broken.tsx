'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { capital } from '@/core/units';
import { deleteDesign, useStore, type Loaded } from '@/store';
import { download } from '@/ui/download';
import { RACK_GRID } from './RackSkeleton';

/** Enclosures that cannot be read: kept as they are, with the way to save what is there. */
export function Broken({ rows }: { readonly rows: readonly (Loaded & { readonly state: 'broken' })[] }) {
  const { db } = useStore();
  if (rows.length === 0) return null;
  return (
    <Box component="ul" sx={{ ...RACK_GRID, mt: 1.75 }}>
      {rows.map((it) => (
        <Box
          component="li"
          key={it.id}
          sx={{ border: 1, borderColor: 'earth.clay', borderRadius: 1.5, p: 2 }}
        >
          <Typography variant="h2">This enclosure cannot be read</Typography>
          <Typography variant="body2" sx={{ color: 'earth.quiet', my: 1 }}>
            {capital(it.message)}. It is kept as it is.
          </Typography>
          <Button
            variant="outlined"
            onClick={() => download('unreadable.json', JSON.stringify(it.raw, null, 2))}
          >
            Save what is there
          </Button>
          <Button onClick={() => void deleteDesign(db, it.id, Date.now())}>Move to the trash</Button>
        </Box>
      ))}
    </Box>
  );
}
