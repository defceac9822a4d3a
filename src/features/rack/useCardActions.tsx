'use client';

import Button from '@mui/material/Button';
import NextLink from 'next/link';
import { useSnackbar } from 'notistack';
import { useCallback, type ComponentProps } from 'react';
import type { Design } from '@/core/document';
import { variantOf } from '@/core/propose/copies';
import { changeDesign, createDesign, deleteDesign, restoreDesign, useStore } from '@/store';
import type { Card } from './Card';

/** What a card may have done; the same functions from one drawing to the next, so that no card is drawn anew for them. */
export function useCardActions(): Pick<
  ComponentProps<typeof Card>,
  'onDuplicate' | 'onRename' | 'onPutAway' | 'onDelete'
> {
  const { db, catalogue } = useStore();
  const { enqueueSnackbar, closeSnackbar } = useSnackbar();
  const onDelete = useCallback(
    async (design: Design): Promise<void> => {
      await deleteDesign(db, design.id, Date.now());
      enqueueSnackbar(`“${design.name}” is off the rack.`, {
        action: (key) => (
          <Button
            sx={{ color: 'earth.ledgerAmber' }}
            onClick={() => {
              closeSnackbar(key);
              void restoreDesign(db, design.id);
            }}
          >
            Put it back
          </Button>
        ),
      });
    },
    [db, enqueueSnackbar, closeSnackbar],
  );
  const onDuplicate = useCallback(
    async (design: Design): Promise<void> => {
      const copy = variantOf(design, crypto.randomUUID(), `${design.name.slice(0, 70)} copy`);
      await createDesign(db, copy, Date.now());
      enqueueSnackbar(`“${copy.name}” stands beside it, planned.`, {
        action: (
          <Button component={NextLink} href={`/compare?of=${design.id},${copy.id}`} color="inherit">
            Compare the two
          </Button>
        ),
      });
    },
    [db, enqueueSnackbar],
  );
  const onRename = useCallback(
    (design: Design, name: string) =>
      changeDesign(db, design.id, { edit: 'rename', change: { name } }, catalogue, Date.now()),
    [db, catalogue],
  );
  const onPutAway = useCallback(
    (design: Design) =>
      changeDesign(
        db,
        design.id,
        { edit: 'setPutAway', change: { putAway: !design.brief.putAway } },
        catalogue,
        Date.now(),
      ),
    [db, catalogue],
  );
  return { onDelete, onDuplicate, onRename, onPutAway };
}
