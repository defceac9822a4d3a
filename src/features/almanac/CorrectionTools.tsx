'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useSnackbar } from 'notistack';
import { useState } from 'react';
import { catalogue as shipped } from '@/catalogue';
import { correctionsOf, type CorrectedRows } from '@/core/catalogue';
import { localDay } from '@/core/time';
import { useStore } from '@/store';
import { download } from '@/ui/download';
import { FileButton } from '@/ui/FileButton';
import { useLater } from '@/ui/useLater';
import type { CorrectionsDialog } from './CorrectionsDialog';

const SHIPPED: CorrectedRows = {
  animals: shipped.animals,
  plants: shipped.living.plants,
  crew: shipped.living.crew,
  materials: shipped.materials,
};

/** What a keeper corrected is given to others as a file, and what others corrected is read in, row by row. */
export function CorrectionTools() {
  const { catalogue, settings } = useStore();
  const { enqueueSnackbar } = useSnackbar();
  const later = useLater();
  const [text, setText] = useState<{ readonly text: string; readonly Dialog: typeof CorrectionsDialog }>();
  const own = correctionsOf(SHIPPED, settings);
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, ml: 'auto' }}>
      {own.length > 0 && (
        <Button
          onClick={() =>
            void later(
              () => import('@/files'),
              ({ writeCorrections }) =>
                download(
                  `rincon-corrections-${localDay(Date.now())}.json`,
                  writeCorrections(own, new Date()),
                ),
            )
          }
        >
          Export {own.length} {own.length === 1 ? 'correction' : 'corrections'}
        </Button>
      )}
      <FileButton
        words="Read corrections in"
        label="File of corrections"
        accept=".json,application/json"
        onFiles={([file]) => {
          if (!file) return;
          void file.text().then((read) =>
            later(
              () => import('./CorrectionsDialog'),
              (it) => setText({ text: read, Dialog: it.CorrectionsDialog }),
            ),
          );
        }}
      />
      {text && (
        <text.Dialog
          text={text.text}
          rows={{
            animals: catalogue.animals,
            plants: catalogue.living.plants,
            crew: catalogue.living.crew,
            materials: catalogue.materials,
          }}
          onClose={() => setText(undefined)}
          onSaid={(said) => enqueueSnackbar(said)}
        />
      )}
    </Box>
  );
}
