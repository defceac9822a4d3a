'use client';

import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useEffect, useState } from 'react';
import type { Design } from '@/core/document';
import { counted } from '@/core/units';
import { movedTo, useActs, usePlacesKnown } from '@/store';
import { SuggestField } from '@/ui/fields/SuggestField';
import { useAct } from '@/ui/useAct';

interface Props {
  readonly designs: readonly Design[];
  readonly onClose: () => void;
}

/** Where several enclosures stand from here on. */
export function MoveToRoom({ designs, onClose }: Props) {
  const places = designs.map((it) => it.brief.place);
  const isOneRoom = new Set(places.map((it) => it.room)).size === 1;
  const isOneShelf = isOneRoom && new Set(places.map((it) => it.shelf)).size === 1;
  const [room, setRoom] = useState(isOneRoom ? (places[0]?.room ?? '') : '');
  const [shelf, setShelf] = useState(isOneShelf ? (places[0]?.shelf ?? '') : '');
  // What is left empty where they differ takes nothing away.
  const stays = shelf === '' && !isOneShelf;
  const { load, rooms, shelvesIn } = usePlacesKnown();
  // Once, as it opens.
  // eslint-disable-next-line react-hooks/exhaustive-deps
  useEffect(() => load(), []);
  const write = useAct();
  const acts = useActs();
  const where = counted(designs.length, 'enclosure');
  const put = async (): Promise<void> => {
    const said = room === '' ? `${where} in no room.` : `${where} in “${room}”.`;
    const ids = designs.map((it) => it.id);
    if (await write(said, () => acts.changeAll(ids, movedTo(room, stays ? null : shelf)))) onClose();
  };
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="xs" aria-labelledby="move-room">
      <DialogTitle id="move-room">Where {where} stand</DialogTitle>
      <DialogContent sx={{ pt: '8px !important', display: 'grid', gap: 1.5 }}>
        <SuggestField label="Room" value={room} known={rooms} most={60} autoFocus onCommit={setRoom} />
        <SuggestField label="Shelf" value={shelf} known={shelvesIn(room)} most={60} onCommit={setShelf} />
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Cancel</Button>
        <Button variant="contained" disabled={room === '' && !isOneRoom} onClick={() => void put()}>
          Put there
        </Button>
      </DialogActions>
    </Dialog>
  );
}
