'use client';

import SearchIcon from '@mui/icons-material/Search';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { isTaken, KEYS } from '@/ui/keys';
import { useLater } from '@/ui/useLater';
import type { Finder } from './Finder';

/** Keys that hold in one place only, where they are bound. */
const ELSEWHERE: readonly (readonly [string, string])[] = [
  ['↑ ↓', 'on a handle or a number: one step more or less'],
  ['Shift ↑ ↓', 'a fifth of a step'],
  ['← ↑ → ↓', 'on a region of the plan or one of its corners: move it'],
  ['← ↑ → ↓', 'on a piece: move it; Page Up and Page Down: to the back and to the front'],
  ['Del', 'on a piece: take it out'],
  ['Enter', 'take over what was typed; on a layer of the drawing: pick it'],
  ['Esc', 'drop what was typed; close what is open'],
];
const LIST = [...Object.values(KEYS).map((it) => [it.shown, it.does] as const), ...ELSEWHERE];

/** `/` finds, `?` lists the keys; the button is there for those who would rather click. */
export function Find() {
  const [open, setOpen] = useState<'find' | 'keys'>();
  // Its list comes when it is asked for.
  const [List, setList] = useState<typeof Finder>();
  const later = useLater();
  const close = (): void => setOpen(undefined);
  const find = (): void => {
    setOpen('find');
    void later(
      () => import('./Finder'),
      (it) => setList(() => it.Finder),
    ).then((come) => {
      if (!come) close();
    });
  };
  useHotkeys(KEYS.find.bound, find, { useKey: true, preventDefault: true, ignoreEventWhen: isTaken });
  useHotkeys(KEYS.keys.bound, () => setOpen('keys'), {
    useKey: true,
    preventDefault: true,
    ignoreEventWhen: isTaken,
  });
  return (
    <>
      <Button
        variant="outlined"
        startIcon={<SearchIcon sx={{ color: 'earth.quiet' }} />}
        onClick={find}
        aria-keyshortcuts="/"
        aria-label="Find"
      >
        <Box component="span" sx={{ color: 'earth.quiet', fontWeight: 500 }}>
          /
        </Box>
      </Button>
      <Dialog
        open={open === 'find'}
        onClose={close}
        fullWidth
        maxWidth="xs"
        slotProps={{ paper: { 'aria-label': 'Find' } }}
      >
        <DialogContent>{open === 'find' && List && <List onDone={close} />}</DialogContent>
      </Dialog>
      <Dialog open={open === 'keys'} onClose={close} aria-labelledby="keys">
        <DialogTitle id="keys">Keys</DialogTitle>
        <DialogContent>
          <Box
            component="dl"
            sx={{ display: 'grid', gridTemplateColumns: 'auto 1fr', columnGap: 3, rowGap: 0.75, m: 0 }}
          >
            {LIST.map(([key, does]) => (
              <Box key={`${key} ${does}`} sx={{ display: 'contents' }}>
                <Box component="dt" sx={{ fontWeight: 650 }}>
                  {key}
                </Box>
                <Box component="dd" sx={{ m: 0, color: 'earth.quiet' }}>
                  {does}
                </Box>
              </Box>
            ))}
          </Box>
        </DialogContent>
        <DialogActions>
          <Button variant="contained" onClick={close}>
            Close
          </Button>
        </DialogActions>
      </Dialog>
    </>
  );
}
