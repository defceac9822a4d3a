'use client';

import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { Design } from '@/core/document';
import { anotherLike, numberedNames } from '@/core/propose/copies';
import { counted } from '@/core/units';
import { useActs, useDesigns } from '@/store';
import { NumberField } from '@/ui/fields/PlainFields';
import { useAct } from '@/ui/useAct';
import { useToday } from '@/ui/useToday';

/** More of one that are planned at once. */
const MOST = 50;

interface Props {
  readonly design: Design;
  readonly onClose: () => void;
}

/** So many more enclosures like one, planned and numbered. */
export function MoreLikeIt({ design, onClose }: Props) {
  const [count, setCount] = useState(1);
  const designs = useDesigns();
  const today = useToday();
  const write = useAct();
  const acts = useActs();
  const taken = designs?.flatMap((it) => (it.state === 'ready' ? [it.row.design.name] : [])) ?? [];
  const names = numberedNames(design.name, taken, count);
  const put = async (): Promise<void> => {
    const boxes = names.map((name) => ({
      design: anotherLike(design, crypto.randomUUID(), name, today),
      animals: [],
    }));
    if (await write(`Planned: ${counted(count, 'enclosure')}.`, () => acts.createStanding(boxes))) onClose();
  };
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="xs" aria-labelledby="more-like">
      <DialogTitle id="more-like">More like “{design.name}”</DialogTitle>
      <DialogContent sx={{ pt: '8px !important' }}>
        <NumberField
          key={count}
          label="How many more"
          value={count}
          min={1}
          max={MOST}
          onCommit={(it) => setCount(Math.round(it))}
        />
        <Typography role="status" sx={{ mt: 1.5 }}>
          {count === 1 ? names[0] : `${names[0] ?? ''} to ${names.at(-1) ?? ''}`}
        </Typography>
        <Typography variant="body2" sx={{ color: 'earth.quiet', mt: 0.5 }}>
          Drawn and equipped like it, planned and empty: no days, no log, no animals, nothing measured.
        </Typography>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Cancel</Button>
        <Button variant="contained" onClick={() => void put()}>
          {count === 1 ? 'Plan it' : `Plan ${count} of them`}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
