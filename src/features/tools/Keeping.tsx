'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useState } from 'react';
import { DAY_MS } from '@/core/physics/constants';
import { askToPersist, lastChange, useDesigns, useStore } from '@/store';
import { useBackup } from './useBackup';

/** Days after which a copy is asked for. */
const REMIND = 7;

/** Where everything lives, and when it was last saved elsewhere. */
export function Keeping() {
  const { settings } = useStore();
  const { share, save } = useBackup();
  const designs = useDesigns();
  const last = useLiveQuery(lastChange);
  const [kept, setKept] = useState<boolean>();
  const [now] = useState(() => Date.now());
  useEffect(() => {
    void askToPersist().then(setKept);
  }, []);
  if (!designs || designs.length === 0) return null;

  const days =
    settings.exported === null ? null : Math.max(0, Math.floor((now - settings.exported) / DAY_MS));
  const newest = Math.max(...designs.map((it) => (it.state === 'ready' ? it.row.updated : 0)));
  // Where it is not known when anything was last changed, it may have been since.
  const changed =
    settings.exported === null || last === null || Math.max(newest, last ?? 0) > settings.exported;
  const overdue = changed && (days === null || days >= REMIND);
  return (
    <Box
      component="section"
      aria-label="Backup"
      sx={{
        mt: 2.5,
        border: 1,
        borderColor: overdue ? 'earth.amber' : 'earth.rule',
        borderRadius: '12px',
        bgcolor: 'earth.card',
        px: 2,
        py: 1.25,
        display: 'flex',
        alignItems: 'center',
        gap: 2,
      }}
    >
      <Box sx={{ flex: 1 }}>
        <Typography variant="h3">
          {days === null
            ? 'No copy has been saved yet'
            : `Last copy ${days === 0 ? 'today' : days === 1 ? 'yesterday' : `${days} days ago`}`}
          {!changed && ', and nothing has changed since'}
        </Typography>
        <Typography variant="body2" sx={{ color: 'earth.quiet' }}>
          {designs.length} {designs.length === 1 ? 'enclosure lives' : 'enclosures live'} only in this browser
          {kept === false && ', which may clear it when space runs short'}. One file keeps them safe, with all
          readings and pictures.
        </Typography>
      </Box>
      <Button
        variant={overdue ? 'contained' : 'outlined'}
        disabled={share !== null}
        onClick={() => void save()}
      >
        {share === null ? 'Save a copy' : `${Math.round(100 * share)} %`}
      </Button>
    </Box>
  );
}
