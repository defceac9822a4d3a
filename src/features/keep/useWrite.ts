import { useSnackbar } from 'notistack';
import { storageTrouble, useLogBook } from '@/store';
import { useUndoable } from '@/ui/useUndoable';

type Lines = Parameters<ReturnType<typeof useLogBook>['write']>[0];

/** Writes into the log and offers to take it back; a write that fails says what to do. True when it is written. */
export function useWrite() {
  const book = useLogBook();
  const undoable = useUndoable();
  const { enqueueSnackbar } = useSnackbar();
  return async (lines: Lines, said: string): Promise<boolean> => {
    try {
      const ids = await book.write(lines);
      undoable(said, () => book.strike(ids));
      return true;
    } catch (error) {
      enqueueSnackbar(`Not written: ${storageTrouble(error)}.`, { variant: 'error', persist: true });
      return false;
    }
  };
}
