'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import { counted } from '@/core/units';
import type { Fault } from '@/files';
import type { Holds } from '@/workers/backup';

/** A backup that is not whole, and what could be had of it. */
export interface Damaged {
  readonly file: string;
  readonly faults: readonly Fault[];
  readonly holds: Holds;
  readonly go: () => void;
}

/** Faults that are named; more of them are counted. */
const NAMED = 8;

/** A part’s name as it is read: ids stand in it as in an address. */
function nameOf(place: string): string {
  try {
    return decodeURIComponent(place);
  } catch {
    return place;
  }
}

/** Says what is missing, damaged or changed in a backup, and offers what is whole. */
export function DamagedDialog({
  damaged: { file, faults, holds, go },
  onClose,
}: {
  readonly damaged: Damaged;
  readonly onClose: () => void;
}) {
  const whole = [
    counted(holds.enclosures, 'enclosure'),
    counted(holds.log, 'line of the log', 'lines of the log'),
    counted(holds.readings, 'reading'),
    counted(holds.pictures, 'picture'),
  ].join(', ');
  return (
    <Dialog open onClose={onClose} maxWidth="sm" fullWidth aria-labelledby="damaged">
      <DialogTitle id="damaged">This backup is not whole</DialogTitle>
      <DialogContent>
        <Typography sx={{ overflowWrap: 'anywhere' }}>{file}</Typography>
        <Box component="ul" sx={{ pl: 2.5, my: 1.5 }}>
          {faults.slice(0, NAMED).map((it, index) => (
            <Box component="li" key={index} sx={{ overflowWrap: 'anywhere' }}>
              <strong>{nameOf(it.place)}</strong>: {it.message}.
            </Box>
          ))}
        </Box>
        {faults.length > NAMED && (
          <Typography sx={{ mb: 1.5 }}>And {counted(faults.length - NAMED, 'more fault')}.</Typography>
        )}
        <Typography>
          Nothing was read in yet. What can be read of it: {whole}. If you have another copy, try that first.
        </Typography>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Cancel</Button>
        <Button
          variant="contained"
          onClick={() => {
            onClose();
            go();
          }}
        >
          Read in what there is
        </Button>
      </DialogActions>
    </Dialog>
  );
}
