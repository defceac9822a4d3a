'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { findAnimal } from '@/core/catalogue';
import type { BuildPlan } from '@/core/plan';
import { useActs, useOpenDesign, useStore } from '@/store';
import { momentOn } from '@/ui/days';
import { DateField } from '@/ui/fields/DateField';
import { NumberField } from '@/ui/fields/PlainFields';
import { useReader } from '@/ui/units';
import { useAct } from '@/ui/useAct';

interface Props {
  readonly plan: BuildPlan;
  readonly today: string;
  readonly onClose: () => void;
}

/**
 * The animals move in: when, how many came, and why, where a check is still shut. It is one act: the step is done, the
 * enclosure lived in, its care begun and a line written in the log.
 */
export function MoveInDialog({ plan, today, onClose }: Props) {
  const { catalogue } = useStore();
  const { design } = useOpenDesign();
  const acts = useActs();
  const write = useAct();
  const { tell } = useReader();
  const [on, setOn] = useState(today);
  const [count, setCount] = useState(design.brief.count);
  const [why, setWhy] = useState('');
  const shut = plan.gates.filter((it) => !it.open);
  const animal = findAnimal(catalogue, design.brief.animal);
  const name = animal?.english ?? 'animal';
  const isSaid = shut.length === 0 || why.trim() !== '';
  const move = async (): Promise<void> => {
    const reasons = shut.map((it) => tell(it.because)).join('; ');
    const although = shut.length === 0 ? '' : `Moved in although ${reasons}: ${why.trim()}.`;
    const draft = { kind: 'move', values: { count }, text: `Moved in. ${although}`.trim() } as const;
    const call = { edit: 'moveIn', change: { on, count, although } } as const;
    const told = { design: design.id, call, drafts: [draft], at: momentOn(on) };
    if (await write('Moved in. Its care begins.', () => acts.editAndTell(told))) onClose();
  };
  return (
    <Dialog open onClose={onClose} maxWidth="sm" fullWidth aria-labelledby="move-in">
      <DialogTitle id="move-in">Move the {name} in</DialogTitle>
      <DialogContent>
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, pt: 1 }}>
          <DateField
            label="Moved in on"
            value={on}
            max={today}
            onCommit={(day) => (day === null ? 'A day is expected.' : setOn(day))}
            sx={{ width: 170 }}
          />
          <NumberField
            label="How many came"
            value={count}
            min={1}
            max={500}
            onCommit={setCount}
            sx={{ width: 150 }}
          />
        </Box>
        {shut.length > 0 && (
          <Box sx={{ borderLeft: 3, borderColor: 'earth.clay', pl: 1.5, mt: 2 }}>
            <Typography variant="h3" component="p">
              {shut.length === 1 ? 'One check is not passed' : `${shut.length} checks are not passed`}
            </Typography>
            <Box component="ul" sx={{ m: 0, pl: 2.5, mt: 0.5 }}>
              {shut.map((it) => (
                <li key={it.id}>{tell(it.because)}</li>
              ))}
            </Box>
            <TextField
              label="Why it moves in all the same"
              value={why}
              required
              fullWidth
              onChange={(event) => setWhy(event.target.value.slice(0, 300))}
              sx={{ mt: 1.5 }}
              helperText="It is written in the log."
            />
          </Box>
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Cancel</Button>
        <Button
          variant="contained"
          color={shut.length > 0 ? 'error' : 'primary'}
          disabled={!isSaid}
          onClick={() => void move()}
        >
          {shut.length > 0 ? 'Move in all the same' : 'Move in'}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
