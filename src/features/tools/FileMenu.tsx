'use client';

import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Divider from '@mui/material/Divider';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useSnackbar } from 'notistack';
import { useRef, useState } from 'react';
import type { Design } from '@/core/design';
import { fileName, isZip, MAX_BYTES, readEnvelope, writeSingle } from '@/files';
import { belongingsOf, layDemo, ownRows, storageTrouble, takeInFile, useStore, type TakenIn } from '@/store';
import { download } from '@/ui/download';
import { restoreBackup } from '@/workers/backup';
import { exportEverything } from './exportEverything';
import { useBackup } from './useBackup';

interface Refusal {
  readonly file: string;
  readonly place: string;
  readonly message: string;
}

/** What became of the enclosures of a file. */
const takenWords = ({ added, same, copies }: TakenIn): readonly string[] =>
  [
    added > 0 && `${added} read in`,
    same > 0 && `${same} already here`,
    copies.length > 0 && `${copies.length} kept beside the one here: ${copies.join(', ')}`,
  ].filter((it) => it !== false);

/** Export, import, demo. `open` gives the enclosure on screen, where there is one. */
export function FileMenu({ open }: { readonly open?: () => Design }) {
  const { db, settings, set } = useStore();
  const { enqueueSnackbar, closeSnackbar } = useSnackbar();
  const backup = useBackup();
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const [refusal, setRefusal] = useState<Refusal>();
  const input = useRef<HTMLInputElement>(null);
  const close = (): void => setAnchor(null);

  const restore = async (file: File): Promise<void> => {
    const key = enqueueSnackbar('Reading the backup in…', { persist: true });
    try {
      const found = await restoreBackup(file, () => undefined);
      if (!found.ok) {
        setRefusal({ file: file.name, place: found.place, message: found.message });
        return;
      }
      const { taken, readings, pictures } = found;
      const said = [
        ...takenWords(taken),
        readings > 0 && `${readings} readings`,
        pictures > 0 && `${pictures} ${pictures === 1 ? 'picture' : 'pictures'}`,
      ].filter(Boolean);
      enqueueSnackbar(said.length > 0 ? `${said.join('; ')}.` : 'All of it was here already.');
    } catch (error) {
      setRefusal({
        file: file.name,
        place: 'the browser’s storage',
        message: `${storageTrouble(error)}. Nothing was changed`,
      });
    } finally {
      closeSnackbar(key);
    }
  };

  const importFile = async (file: File): Promise<void> => {
    if (isZip(new Uint8Array(await file.slice(0, 4).arrayBuffer()))) return restore(file);
    if (file.size > MAX_BYTES) {
      setRefusal({
        file: file.name,
        place: 'the whole file',
        message: 'it is larger than 20 MB, which no file written by Rincon is',
      });
      return;
    }
    const read = readEnvelope(await file.text());
    if (!read.ok) {
      setRefusal({ file: file.name, place: read.place, message: read.message });
      return;
    }
    try {
      const said = takenWords(await takeInFile(db, read.value, () => crypto.randomUUID(), Date.now()));
      enqueueSnackbar(said.length > 0 ? `${said.join('; ')}.` : 'The file holds no enclosure.');
    } catch (error) {
      setRefusal({
        file: file.name,
        place: 'the browser’s storage',
        message: `${error instanceof Error ? error.message : 'it could not be written'}. Nothing was changed`,
      });
    }
  };

  return (
    <>
      <Button variant="outlined" aria-haspopup="menu" onClick={(event) => setAnchor(event.currentTarget)}>
        File
      </Button>
      <Menu anchorEl={anchor} open={anchor !== null} onClose={close}>
        {open && (
          <MenuItem
            onClick={() => {
              close();
              const design = open();
              void belongingsOf(db, design.id).then((own) =>
                download(fileName(design.name), writeSingle(design, ownRows(settings), new Date(), own)),
              );
            }}
          >
            Export this enclosure
          </MenuItem>
        )}
        <MenuItem
          onClick={() => {
            close();
            void exportEverything(db, settings).then(() => set('exported', Date.now()));
          }}
        >
          Export everything
        </MenuItem>
        <MenuItem
          onClick={() => {
            close();
            void backup.save();
          }}
        >
          Back everything up, with pictures
        </MenuItem>
        <MenuItem
          onClick={() => {
            close();
            input.current?.click();
          }}
        >
          Read a file in…
        </MenuItem>
        <Divider />
        <MenuItem
          onClick={() => {
            close();
            void layDemo(db).then(() =>
              enqueueSnackbar('The nature room’s four enclosures are on the rack.'),
            );
          }}
        >
          Lay out the demo nature room
        </MenuItem>
      </Menu>
      <input
        ref={input}
        type="file"
        accept=".json,.zip,application/json,application/zip"
        hidden
        aria-label="File to read in"
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = '';
          if (file) void importFile(file);
        }}
      />
      <Dialog open={refusal !== undefined} onClose={() => setRefusal(undefined)} aria-labelledby="refusal">
        <DialogTitle id="refusal">This file cannot be read</DialogTitle>
        <DialogContent>
          <p style={{ marginTop: 0 }}>{refusal?.file}</p>
          <Alert severity="warning" variant="outlined">
            At <strong>{refusal?.place}</strong>: {refusal?.message}.
          </Alert>
          <p style={{ marginBottom: 0 }}>Nothing was changed.</p>
        </DialogContent>
        <DialogActions>
          <Button variant="contained" onClick={() => setRefusal(undefined)}>
            Close
          </Button>
        </DialogActions>
      </Dialog>
    </>
  );
}
