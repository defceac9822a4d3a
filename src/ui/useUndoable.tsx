'use client';

import Button from '@mui/material/Button';
import { useSnackbar } from 'notistack';
import { useCallback } from 'react';

/** Says what was done, and offers to take it back. */
export function useUndoable() {
  const { enqueueSnackbar, closeSnackbar } = useSnackbar();
  return useCallback(
    (message: string, undo: () => unknown): void => {
      enqueueSnackbar(message, {
        action: (key) => (
          <Button
            color="inherit"
            onClick={() => {
              closeSnackbar(key);
              void Promise.resolve()
                .then(undo)
                .catch((error: unknown) =>
                  enqueueSnackbar(
                    `Not taken back: ${error instanceof Error ? error.message : String(error)}.`,
                    {
                      variant: 'error',
                      persist: true,
                    },
                  ),
                );
            }}
          >
            Undo
          </Button>
        ),
      });
    },
    [enqueueSnackbar, closeSnackbar],
  );
}
