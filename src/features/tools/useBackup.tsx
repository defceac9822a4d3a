'use client';

import { useSnackbar } from 'notistack';
import { useState } from 'react';
import { useStore, storageTrouble } from '@/store';
import { localToday } from '@/ui/days';
import { download } from '@/ui/download';
import { makeBackup } from '@/workers/backup';

/** Saves everything, readings and pictures too, as one ZIP. `share`: how far it is; null: it is not being made. */
export function useBackup() {
  const { set } = useStore();
  const { enqueueSnackbar } = useSnackbar();
  const [share, setShare] = useState<number | null>(null);
  const save = async (): Promise<void> => {
    setShare(0);
    try {
      const zip = await makeBackup(null, setShare);
      download(`rincon-${localToday(new Date())}.zip`, zip, 'application/zip');
      await set('exported', Date.now());
    } catch (error) {
      enqueueSnackbar(`No backup was made: ${storageTrouble(error)}.`, { variant: 'error', persist: true });
    } finally {
      setShare(null);
    }
  };
  return { share, save };
}
