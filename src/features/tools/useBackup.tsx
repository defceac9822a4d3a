'use client';

import { localDay } from '@/core/time';
import { useSnackbar } from 'notistack';
import { useState } from 'react';
import { counted } from '@/core/units';
import { noteCopied, useStore, storageTrouble } from '@/store';
import { download } from '@/ui/download';
import { makeBackup } from '@/workers/backup';

/** Saves everything, readings and pictures too, as one ZIP. `share`: how far it is; null: it is not being made. */
export function useBackup() {
  const { set } = useStore();
  const { enqueueSnackbar } = useSnackbar();
  const [share, setShare] = useState<number | null>(null);
  const save = async (): Promise<void> => {
    setShare(0);
    // What is changed while it is made may not be in it.
    const began = Date.now();
    try {
      const { zip, unreadable, faults } = await makeBackup(null, setShare);
      download(`rincon-${localDay(Date.now())}.zip`, zip, 'application/zip');
      const [fault] = faults;
      if (fault) {
        enqueueSnackbar(
          `The copy was saved, but not all of it can be read again. At ${fault.place}: ${fault.message}. It does not count as a copy.`,
          { variant: 'error', persist: true },
        );
        return;
      }
      await set('exported', began);
      await noteCopied(began);
      if (unreadable > 0)
        enqueueSnackbar(
          `${counted(unreadable, 'row')} could not be read. The copy holds what is there, as it is.`,
          { variant: 'warning', persist: true },
        );
    } catch (error) {
      enqueueSnackbar(`No backup was made: ${storageTrouble(error)}.`, { variant: 'error', persist: true });
    } finally {
      setShare(null);
    }
  };
  return { share, save };
}
