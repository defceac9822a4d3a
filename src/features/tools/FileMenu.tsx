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
import type { Design } from '@/core/document';
import { capital, counted } from '@/core/units';
import { fileName, writeSingle } from '@/files';
import {
  belongingsOf,
  isOfDemo,
  layDemo,
  listDesigns,
  loadDemo,
  noteCopied,
  ownRows,
  storageTrouble,
  takeDemoAway,
  useStore,
} from '@/store';
import { download } from '@/ui/download';
import { useAct } from '@/ui/useAct';
import { useLater } from '@/ui/useLater';
import { exportEverything } from './exportEverything';
import type { HandOver } from './HandOver';
import type { Trash } from './Trash';
import { useBackup } from './useBackup';
import { useTakeIn } from './useTakeIn';

/** Export, import, demo. `open` gives the enclosure on screen, where there is one. */
export function FileMenu({ open }: { readonly open?: () => Design }) {
  const { db, catalogue, settings, set } = useStore();
  const { enqueueSnackbar } = useSnackbar();
  const backup = useBackup();
  const act = useAct();
  const [hasDemo, setHasDemo] = useState(false);
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const { takeIn, dialog, refusal, forget } = useTakeIn();
  const [handing, setHanding] = useState<{
    readonly Handing: typeof HandOver;
    readonly only: Design | null;
  }>();
  const [bin, setBin] = useState<{ readonly Bin: typeof Trash }>();
  const later = useLater();
  const input = useRef<HTMLInputElement>(null);
  const close = (): void => setAnchor(null);

  return (
    <>
      <Button
        variant="outlined"
        aria-haspopup="menu"
        onClick={(event) => {
          setAnchor(event.currentTarget);
          void listDesigns(db).then((all) =>
            setHasDemo(all.some((it) => it.state === 'ready' && isOfDemo(it.row.id))),
          );
        }}
      >
        File
      </Button>
      <Menu anchorEl={anchor} open={anchor !== null} onClose={close}>
        {open && (
          <MenuItem
            onClick={() => {
              close();
              const design = open();
              void belongingsOf(db, design.id)
                .catch(() => {
                  enqueueSnackbar('Without its log, animals and equipment: the storage cannot be read.', {
                    variant: 'warning',
                    persist: true,
                  });
                  return undefined;
                })
                .then((own) =>
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
            const began = Date.now();
            void exportEverything(db, settings).then(async ({ more, broken, isTooLarge }) => {
              if (isTooLarge) {
                enqueueSnackbar(
                  'More than a file of this kind holds (20 MB): a backup is made of it instead.',
                );
                await backup.save();
                return;
              }
              if (broken > 0)
                enqueueSnackbar(
                  `Not in the file, because it cannot be read: ${counted(broken, 'enclosure')}. Back everything up: a backup holds what is there.`,
                  { variant: 'warning', persist: true },
                );
              else if (more > 0)
                enqueueSnackbar(
                  'Readings and pictures are not in this file. Back everything up to keep those too.',
                );
              else {
                await set('exported', began);
                await noteCopied(began);
              }
            });
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
            void later(
              () => import('./saveSpreadsheet'),
              (it) => it.saveSpreadsheet(db, catalogue),
            );
          }}
        >
          Save as a spreadsheet
        </MenuItem>
        <MenuItem
          onClick={() => {
            close();
            // Sealing and the code to scan come when they are asked for.
            void later(
              () => import('./HandOver'),
              (it) => setHanding({ Handing: it.HandOver, only: open ? open() : null }),
            );
          }}
        >
          Hand over to another device
        </MenuItem>
        <MenuItem
          onClick={() => {
            close();
            input.current?.click();
          }}
        >
          Read a file in…
        </MenuItem>
        <MenuItem
          onClick={() => {
            close();
            void later(
              () => import('./Trash'),
              (it) => setBin({ Bin: it.Trash }),
            );
          }}
        >
          Trash
        </MenuItem>
        <Divider />
        <MenuItem
          onClick={() => {
            close();
            void later(loadDemo, async (it) => {
              await layDemo(db, it).catch((error: unknown) => {
                throw new Error(storageTrouble(error));
              });
              enqueueSnackbar('The nature room’s four enclosures are on the rack.');
            });
          }}
        >
          Lay out the demo nature room
        </MenuItem>
        {hasDemo && (
          <MenuItem
            onClick={() => {
              close();
              void act('The demo nature room is put away.', () => takeDemoAway(db, Date.now()));
            }}
          >
            Take the demo nature room away
          </MenuItem>
        )}
      </Menu>
      <input
        ref={input}
        type="file"
        accept=".json,.zip,.ndjson,.html,application/json,application/zip,text/html"
        hidden
        aria-label="Import a file"
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = '';
          if (file) void takeIn(file, file.name);
        }}
      />
      {dialog}
      {bin && <bin.Bin onClose={() => setBin(undefined)} />}
      {handing && <handing.Handing only={handing.only} onClose={() => setHanding(undefined)} />}
      <Dialog open={refusal !== null} onClose={forget} aria-labelledby="refusal">
        <DialogTitle id="refusal">
          {refusal?.byStorage ? 'It could not be stored' : 'This file cannot be read'}
        </DialogTitle>
        <DialogContent>
          <p style={{ marginTop: 0 }}>{refusal?.file}</p>
          <Alert severity="warning" variant="outlined">
            {refusal?.byStorage ? (
              `${capital(refusal.message)}.`
            ) : (
              <>
                At <strong>{refusal?.place}</strong>: {refusal?.message}.
              </>
            )}
          </Alert>
          <p style={{ marginBottom: 0 }}>
            {refusal?.byStorage ? 'The file is good, and nothing was changed.' : 'Nothing was changed.'}
          </p>
        </DialogContent>
        <DialogActions>
          <Button variant="contained" onClick={forget}>
            Close
          </Button>
        </DialogActions>
      </Dialog>
    </>
  );
}
