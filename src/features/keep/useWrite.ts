import { useSnackbar } from 'notistack';
import { NotAPicture, shrinkPicture, storageTrouble, useLogBook } from '@/store';
import { useUndoable } from '@/ui/useUndoable';

type Lines = Parameters<ReturnType<typeof useLogBook>['write']>[0];

/** Writes into the log and offers to take it back; a write that fails says what to do. True when it is written. */
export function useWrite() {
  const book = useLogBook();
  const undoable = useUndoable();
  const { enqueueSnackbar } = useSnackbar();
  return async (lines: Lines, said: string, picture: File | null = null): Promise<boolean> => {
    try {
      // A file that is no picture is found out before anything is written.
      const small = picture && (await shrinkPicture(picture));
      const ids = await book.write(lines, small ? [small] : []);
      undoable(said, () => book.strike(ids));
      return true;
    } catch (error) {
      enqueueSnackbar(`Not written: ${whyNot(error)}`, { variant: 'error', persist: true });
      return false;
    }
  };
}

const whyNot = (error: unknown): string =>
  error instanceof NotAPicture ? error.message : `${storageTrouble(error)}.`;
