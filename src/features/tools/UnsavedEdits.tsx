'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useEffect, useSyncExternalStore } from 'react';
import { capital } from '@/core/units';
import { fileName, writeSingle } from '@/files';
import { onUnsaved, ownRows, unsavedNow, useStore, wouldLose, type DesignSession } from '@/store';
import { CornerCard } from '@/ui/Corner';
import { download } from '@/ui/download';

const NONE: readonly DesignSession[] = [];

/** Edits whose page was left before they could be saved: they are not dropped without a word. */
export function UnsavedEdits() {
  const { settings } = useStore();
  const sessions = useSyncExternalStore(onUnsaved, unsavedNow, () => NONE);
  useEffect(() => {
    const ask = (event: BeforeUnloadEvent): void => {
      if (wouldLose()) event.preventDefault();
    };
    window.addEventListener('beforeunload', ask);
    return () => window.removeEventListener('beforeunload', ask);
  }, []);
  const failed = sessions.flatMap((session) => {
    const { save, design } = session.view();
    if (!design) return [];
    if (save.state === 'failed') return [{ session, message: save.message, design }];
    // Until it is written it is not safe: leaving now would still lose it.
    return save.state === 'saving' && save.again ? [{ session, message: 'being saved', design }] : [];
  });
  if (failed.length === 0) return null;
  return (
    <CornerCard label="Changes that are not saved">
      {failed.map(({ session, message, design }) => (
        <div key={session.id}>
          <Typography variant="h3" component="h2">
            “{design.name}” has changes that are not saved
          </Typography>
          <Typography variant="body2" sx={{ color: 'earth.quiet', my: 1 }}>
            {capital(message)}.
          </Typography>
          <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
            <Button
              variant="contained"
              disabled={session.view().save.state === 'saving'}
              onClick={() => session.retry()}
            >
              Try again
            </Button>
            <Button
              variant="outlined"
              onClick={() =>
                download(fileName(design.name), writeSingle(design, ownRows(settings), new Date()))
              }
            >
              Save as a file
            </Button>
            <Button onClick={() => session.drop()}>Drop them</Button>
          </Box>
        </div>
      ))}
    </CornerCard>
  );
}
