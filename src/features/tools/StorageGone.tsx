'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { fileName, writeSingle } from '@/files';
import { openSessions, ownRows, useStore } from '@/store';
import { CornerCard } from '@/ui/Corner';
import { download } from '@/ui/download';

const SAID = {
  deleted: {
    title: 'What was stored here was deleted',
    text: 'The browser’s storage was cleared while this page was open. What is on the screen is the last of it: save it as a file before you load the page again.',
  },
  newer: {
    title: 'A newer Rincon is open',
    text: 'Another window has brought the storage up to date, and this one can no longer write to it. What is saved is safe; load this page again to go on.',
  },
} as const;

/** Says that nothing can be stored any more, and offers what is on the screen as a file. */
export function StorageGone() {
  const { gone, settings } = useStore();
  if (!gone) return null;
  const { title, text } = SAID[gone];
  const saveOpen = (): void => {
    for (const session of openSessions()) {
      const { design } = session.view();
      if (design) download(fileName(design.name), writeSingle(design, ownRows(settings), new Date()));
    }
  };
  return (
    <CornerCard label={title}>
      <div>
        <Typography variant="h3" component="h2">
          {title}
        </Typography>
        <Typography variant="body2" sx={{ color: 'earth.quiet', mt: 1 }}>
          {text}
        </Typography>
      </div>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        {openSessions().length > 0 && (
          <Button variant="contained" onClick={saveOpen}>
            Save what is open
          </Button>
        )}
        <Button variant="outlined" onClick={() => location.reload()}>
          Load the page again
        </Button>
      </Box>
    </CornerCard>
  );
}
