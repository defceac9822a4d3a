import { useSnackbar } from 'notistack';
import { NotAPicture, shrinkPicture, storageTrouble, useLogBook, type SmallPicture } from '@/store';
import { useUndoable } from '@/ui/useUndoable';

type Lines = Parameters<ReturnType<typeof useLogBook>['write']>[0];

/** Writes into the log and offers to take it back; a write that fails says what to do. True when it is written. */
export function useWrite() {
  const book = useLogBook();
  const undoable = useUndoable();
  const { enqueueSnackbar } = useSnackbar();
  /** @param act what writes the lines where more than the log is changed; gives how it is taken back */
  return async (
    lines: Lines,
    said: string,
    picture: File | null = null,
    act: ((pictures: readonly SmallPicture[]) => Promise<() => Promise<void>>) | null = null,
  ): Promise<boolean> => {
    try {
      // A file that is no picture is found out before anything is written.
      const small = picture && (await shrinkPicture(picture));
      const pictures = small ? [small] : [];
      if (act) undoable(said, await act(pictures));
      else {
        const ids = await book.write(lines, pictures);
        undoable(said, () => book.strike(ids));
      }
      return true;
    } catch (error) {
      enqueueSnackbar(`Not written: ${whyNot(error)}`, { variant: 'error', persist: true });
      return false;
    }
  };
}

const whyNot = (error: unknown): string =>
  error instanceof NotAPicture ? error.message : `${storageTrouble(error)}.`;
