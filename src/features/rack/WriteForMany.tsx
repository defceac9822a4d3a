'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import type { Design } from '@/core/document';
import { quickEntries } from '@/core/log';
import { counted } from '@/core/units';
import { useActs } from '@/store';
import { entryWords, KIND_WORD } from '@/ui/entryWords';
import { useReader } from '@/ui/units';
import { useAct } from '@/ui/useAct';

interface Props {
  readonly designs: readonly Design[];
  readonly onClose: () => void;
}

/** One line for several enclosures at once, shown as it is understood before it is written. */
export function WriteForMany({ designs, onClose }: Props) {
  const [line, setLine] = useState('');
  const reader = useReader();
  const write = useAct();
  const acts = useActs();
  const parts = designs.flatMap(({ id, name }) => {
    const place = { id, name };
    return quickEntries(line, [place], place, reader.locale);
  });
  const wrong = parts.find((it) => it.wrong !== null);
  const isReady = parts.length > 0 && !wrong;
  // Of all of them the same: told once.
  const told = [
    ...new Set(
      parts.flatMap(({ draft }) => {
        if (!draft) return [];
        const words = entryWords(draft, reader);
        return [words ? `${KIND_WORD[draft.kind]}: ${words}` : KIND_WORD[draft.kind]];
      }),
    ),
  ];
  const where = counted(designs.length, 'enclosure');
  const put = async (): Promise<void> => {
    const lines = parts.flatMap(({ place, draft }) => (place && draft ? [{ design: place.id, draft }] : []));
    if (await write(`Written for ${where}.`, () => acts.record(lines))) onClose();
  };
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="write-many">
      <Box
        component="form"
        onSubmit={(event: { preventDefault: () => void }) => {
          event.preventDefault();
          if (isReady) void put();
        }}
      >
        <DialogTitle id="write-many">Write down for {where}</DialogTitle>
        <DialogContent sx={{ pt: '8px !important' }}>
          <TextField
            autoFocus
            fullWidth
            label="What was done"
            placeholder="mist 20s; fed 3 crickets"
            value={line}
            onChange={(event) => setLine(event.target.value)}
            slotProps={{ htmlInput: { maxLength: 500, autoComplete: 'off' } }}
          />
          <Box
            role="status"
            sx={{ typography: 'body2', mt: 1, minHeight: 24, color: wrong ? 'earth.clay' : 'earth.quiet' }}
          >
            {wrong ? `“${wrong.source}”: ${wrong.wrong ?? ''}` : told.join('; ')}
          </Box>
        </DialogContent>
        <DialogActions>
          <Button onClick={onClose}>Cancel</Button>
          <Button type="submit" variant="contained" disabled={!isReady}>
            Write
          </Button>
        </DialogActions>
      </Box>
    </Dialog>
  );
}
