import { useSnackbar } from 'notistack';
import { useUndoable } from './useUndoable';

/**
 * Carries an act out and offers to take it back; one that fails says why, and what to do. True when it was done.
 * An act gives how it is taken back, and fails with words for the reader.
 */
export function useAct() {
  const undoable = useUndoable();
  const { enqueueSnackbar } = useSnackbar();
  return async (said: string, act: () => Promise<() => unknown>): Promise<boolean> => {
    try {
      undoable(said, await act());
      return true;
    } catch (error) {
      const why = error instanceof Error ? error.message : String(error);
      enqueueSnackbar(`Not written: ${why}`, { variant: 'error', persist: true });
      return false;
    }
  };
}
