'use client';

import Button from '@mui/material/Button';
import { useSnackbar } from 'notistack';

interface Props {
  /** What the row is called. */
  readonly name: string;
  /** Written by the builder; otherwise as it ships. */
  readonly own: boolean;
  /** A row of this id ships too: taking the own one out brings that back. */
  readonly ships: boolean;
  readonly changeWord?: string;
  readonly onChange: () => void;
  readonly onLike: () => void;
  /** Takes it out; resolves once that is stored. */
  readonly onTakeOut: () => Promise<void>;
  readonly onUndo: () => void;
  /** Called when nothing of the row is left. */
  readonly onGone: () => void;
}

/** What can be done with a row of the catalogue as a whole. Taking one out can be undone. */
export function OwnRowActions(props: Props) {
  const {
    name,
    own,
    ships,
    changeWord = 'Change its values',
    onChange,
    onLike,
    onTakeOut,
    onUndo,
    onGone,
  } = props;
  const { enqueueSnackbar, closeSnackbar } = useSnackbar();
  const takeOut = (): void => {
    void onTakeOut().then(() => {
      if (!ships) onGone();
      enqueueSnackbar(ships ? `${name}: back to what ships.` : `${name} is taken out.`, {
        action: (key) => (
          <Button
            color="inherit"
            onClick={() => {
              closeSnackbar(key);
              onUndo();
            }}
          >
            Undo
          </Button>
        ),
      });
    });
  };
  return (
    <>
      {!own && (
        <Button variant="outlined" onClick={onChange}>
          {changeWord}
        </Button>
      )}
      <Button variant="outlined" onClick={onLike}>
        Make one like it
      </Button>
      {own && (
        <Button variant="outlined" onClick={takeOut}>
          {ships ? 'Back to what ships' : 'Take out'}
        </Button>
      )}
    </>
  );
}
