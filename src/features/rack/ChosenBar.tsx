'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import dynamic from 'next/dynamic';
import NextLink from 'next/link';
import { useState } from 'react';
import type { Design } from '@/core/document';
import { localDay } from '@/core/time';
import { counted } from '@/core/units';
import { fileName, writeSeveral } from '@/files';
import { belongingsOf, ownRows, putAway, useActs, useStore } from '@/store';
import { download } from '@/ui/download';
import { useAct } from '@/ui/useAct';

const WriteForMany = dynamic(() => import('./WriteForMany').then((it) => it.WriteForMany));
const MoveToRoom = dynamic(() => import('./MoveToRoom').then((it) => it.MoveToRoom));

/** Enclosures that can be laid side by side. */
const COMPARED = 4;

interface Props {
  readonly chosen: readonly Design[];
  /** How many are in sight. */
  readonly shown: number;
  readonly onAll: () => void;
  readonly onDone: () => void;
}

/** What may be done with several enclosures at once. */
export function ChosenBar({ chosen, shown, onAll, onDone }: Props) {
  const { db, settings } = useStore();
  const write = useAct();
  const acts = useActs();
  const [open, setOpen] = useState<'write' | 'move' | null>(null);
  const none = chosen.length === 0;
  const isAway = chosen.length > 0 && chosen.every((it) => it.brief.putAway);
  const ids = chosen.map((it) => it.id);
  const of = ids.join(',');
  const archive = async (): Promise<void> => {
    const many = counted(chosen.length, 'enclosure');
    const said = isAway ? `${many} back on the rack.` : `${many} archived.`;
    if (await write(said, () => acts.changeAll(ids, putAway(!isAway)))) onDone();
  };
  const save = async (): Promise<void> => {
    const own = await belongingsOf(db, null);
    const now = new Date();
    const name = chosen.length === 1 ? (chosen[0]?.name ?? '') : `rincon ${localDay(now.getTime())}`;
    download(fileName(name), writeSeveral(chosen, ownRows(settings), now, own));
  };
  return (
    <Box
      role="region"
      aria-label="Chosen enclosures"
      sx={{
        position: 'sticky',
        bottom: 12,
        zIndex: 3,
        mt: 2,
        px: 2,
        py: 1.25,
        display: 'flex',
        flexWrap: 'wrap',
        alignItems: 'center',
        gap: 1,
        bgcolor: 'earth.card',
        border: 1,
        borderColor: 'earth.moss',
        borderRadius: '12px',
      }}
    >
      <Box role="status" sx={{ fontWeight: 600, mr: 1 }}>
        {none ? 'None chosen yet' : `${chosen.length} chosen`}
      </Box>
      {chosen.length < shown && <Button onClick={onAll}>{`Choose all ${shown}`}</Button>}
      <Box sx={{ flex: 1 }} />
      <Button variant="outlined" disabled={none} onClick={() => setOpen('write')}>
        Write down
      </Button>
      <Button variant="outlined" disabled={none} onClick={() => setOpen('move')}>
        Room and shelf
      </Button>
      <Button variant="outlined" disabled={none} component={NextLink} href={`/labels?of=${of}`}>
        Labels
      </Button>
      <Button
        variant="outlined"
        disabled={chosen.length < 2 || chosen.length > COMPARED}
        component={NextLink}
        href={`/compare?of=${of}`}
      >
        Compare
      </Button>
      <Button variant="outlined" disabled={none} onClick={() => void save()}>
        Export
      </Button>
      <Button variant="outlined" disabled={none} onClick={() => void archive()}>
        {isAway ? 'Bring back' : 'Archive'}
      </Button>
      <Button onClick={onDone}>Done</Button>
      {open === 'write' && <WriteForMany designs={chosen} onClose={() => setOpen(null)} />}
      {open === 'move' && <MoveToRoom designs={chosen} onClose={() => setOpen(null)} />}
    </Box>
  );
}
