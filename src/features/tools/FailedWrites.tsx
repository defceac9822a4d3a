'use client';

import { useSnackbar } from 'notistack';
import { useEffect } from 'react';
import { isStorageError, storageTrouble } from '@/store';

/** Says of a write that failed and that nothing else tells of, that it was not written. */
export function FailedWrites() {
  const { enqueueSnackbar } = useSnackbar();
  useEffect(() => {
    const tell = (event: PromiseRejectionEvent): void => {
      if (!isStorageError(event.reason)) return;
      event.preventDefault();
      enqueueSnackbar(`Not written: ${storageTrouble(event.reason)}.`, {
        key: 'not written',
        preventDuplicate: true,
        variant: 'error',
        persist: true,
      });
    };
    window.addEventListener('unhandledrejection', tell);
    return () => window.removeEventListener('unhandledrejection', tell);
  }, [enqueueSnackbar]);
  return null;
}
