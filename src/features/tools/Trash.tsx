'use client';

import { localDay } from '@/core/time';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import { DAY_MS } from '@/core/physics/constants';
import { counted } from '@/core/units';
import { BIN_DAYS, emptyTrash, listTrash, putBack, useDesigns, useStore, type Trashed } from '@/store';
import { dayWords } from '@/ui/days';
import { entryWords, KIND_WORD } from '@/ui/entryWords';
import { BlobImage } from '@/ui/PictureStrip';
import { useReader, type Reader } from '@/ui/units';

/** Things shown; nobody looks for what was deleted among more. */
const SHOWN = 100;

const OF: Record<Trashed['of'], string> = {
  design: 'Enclosure',
  log: 'Line of the log',
  animals: 'Animal',
  cultures: 'Culture',
  equipment: 'Equipment',
  pictures: 'Picture',
};

function words(it: Trashed, names: ReadonlyMap<string, string>, reader: Reader): string {
  if (it.of === 'design') return it.name;
  if (it.of === 'pictures')
    return [names.get(it.picture.design), dayWords(localDay(it.picture.at))].filter(Boolean).join(' · ');
  if (it.of !== 'log') return it.record.name;
  const said = entryWords(it.entry, reader);
  const kind = KIND_WORD[it.entry.kind];
  return [names.get(it.entry.design), said === '' ? kind : `${kind}: ${said}`].filter(Boolean).join(' · ');
}

/** What was deleted, to be put back for a month; enclosures can be deleted for good before. */
export function Trash({ onClose }: { readonly onClose: () => void }) {
  const { db } = useStore();
  const reader = useReader();
  const [now] = useState(() => Date.now());
  const rows = useLiveQuery(() => listTrash(db, now), [db, now]);
  const designs = useDesigns();
  const [isSure, setSure] = useState(false);
  const names = new Map(
    designs?.flatMap((it) => (it.state === 'ready' ? [[it.row.id, it.row.design.name] as const] : [])),
  );
  const count = (of: Trashed['of']): number => rows?.filter((it) => it.of === of).length ?? 0;
  const [enclosures, pictures] = [count('design'), count('pictures')];
  const lost = [
    ...(enclosures > 0 ? [counted(enclosures, 'enclosure')] : []),
    ...(pictures > 0 ? [counted(pictures, 'picture')] : []),
  ].join(' and ');
  return (
    <Dialog open onClose={onClose} maxWidth="sm" fullWidth aria-labelledby="trash">
      <DialogTitle id="trash">Trash</DialogTitle>
      <DialogContent>
        <Typography variant="body2" sx={{ color: 'earth.quiet', mb: 1 }}>
          What was deleted can be put back for {BIN_DAYS} days. An enclosure takes its log, readings and
          pictures with it.
        </Typography>
        {rows?.length === 0 && <Typography role="status">Nothing was deleted.</Typography>}
        <Box component="ul" sx={{ listStyle: 'none', p: 0, m: 0 }}>
          {rows?.slice(0, SHOWN).map((it) => {
            const told = words(it, names, reader);
            const left = Math.max(0, BIN_DAYS - Math.floor((now - it.at) / DAY_MS));
            return (
              <Box
                component="li"
                key={`${it.of} ${it.id}`}
                sx={{
                  display: 'flex',
                  gap: 1.5,
                  alignItems: 'center',
                  py: 0.75,
                  borderTop: 1,
                  borderColor: 'earth.rule',
                }}
              >
                {it.of === 'pictures' && (
                  <Box sx={{ width: 56, height: 42, borderRadius: '6px', overflow: 'hidden', flexShrink: 0 }}>
                    <BlobImage blob={it.picture.blob} alt="" fit="cover" />
                  </Box>
                )}
                <Box sx={{ flex: 1, minWidth: 0 }}>
                  <Box sx={{ fontWeight: 600, overflowWrap: 'anywhere' }}>{told}</Box>
                  <Box sx={{ typography: 'body2', color: 'earth.quiet' }}>
                    {OF[it.of]} · deleted {dayWords(localDay(it.at))} · {counted(left, 'day')} left
                  </Box>
                </Box>
                <Button aria-label={`Put back: ${told}`} onClick={() => void putBack(db, it, Date.now())}>
                  Put back
                </Button>
              </Box>
            );
          })}
        </Box>
        {rows && rows.length > SHOWN && (
          <Typography variant="body2" sx={{ color: 'earth.quiet', mt: 1 }}>
            And {rows.length - SHOWN} older.
          </Typography>
        )}
      </DialogContent>
      <DialogActions>
        {lost !== '' &&
          (isSure ? (
            <Button
              sx={{ color: 'earth.clay' }}
              onClick={() => {
                setSure(false);
                void emptyTrash(db);
              }}
            >
              Delete {lost} for good
            </Button>
          ) : (
            <Button onClick={() => setSure(true)}>Empty…</Button>
          ))}
        <Box sx={{ flex: 1 }} />
        <Button variant="contained" onClick={onClose}>
          Close
        </Button>
      </DialogActions>
    </Dialog>
  );
}
