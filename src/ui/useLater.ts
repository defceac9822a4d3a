import { useSnackbar } from 'notistack';
import { useCallback } from 'react';

/**
 * Loads a part of the application when it is asked for, then does what needs it. Where it cannot be loaded, or cannot be
 * done, that is said, and nothing else happens.
 * @returns whether it was loaded
 */
export function useLater(): <T>(
  load: () => Promise<T>,
  then: (part: T) => void | Promise<void>,
) => Promise<boolean> {
  const { enqueueSnackbar } = useSnackbar();
  return useCallback(
    async (load, then) => {
      let part;
      try {
        part = await load();
      } catch {
        enqueueSnackbar('A part of Rincon could not be loaded. Check the connection, then try again.', {
          variant: 'error',
        });
        return false;
      }
      try {
        await then(part);
      } catch (error) {
        enqueueSnackbar(`That did not work: ${error instanceof Error ? error.message : String(error)}.`, {
          variant: 'error',
        });
      }
      return true;
    },
    [enqueueSnackbar],
  );
}
