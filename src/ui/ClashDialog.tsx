'use client';

import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import FormControlLabel from '@mui/material/FormControlLabel';
import Radio from '@mui/material/Radio';
import RadioGroup from '@mui/material/RadioGroup';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { Catalogue } from '@/core/catalogue';
import { differencesOf } from '@/core/compare';
import type { Design } from '@/core/document';
import { PlainTable } from './PlainTable';
import { useReader } from './units';

export interface Clash {
  readonly here: Design;
  readonly file: Design;
}
export type Choice = 'here' | 'file' | 'both';

const CHOICES = [
  { value: 'both', name: 'Keep both, the other one beside' },
  { value: 'here', name: 'Keep the one here' },
  { value: 'file', name: 'Take the other one; undo brings this one back' },
] as const;

interface Props {
  readonly clashes: readonly Clash[];
  readonly catalogue: Catalogue;
  readonly onChoose: (which: Readonly<Record<string, Choice>>) => void;
  readonly onCancel: () => void;
}

/** Asks which of two designs of one enclosure is to stand, with what differs. Nothing has been written yet. */
export function ClashDialog({ clashes, catalogue, onChoose, onCancel }: Props) {
  const { tell } = useReader();
  const [which, setWhich] = useState<Readonly<Record<string, Choice>>>({});
  return (
    <Dialog open onClose={onCancel} maxWidth="md" fullWidth aria-labelledby="clash">
      <DialogTitle id="clash">
        {clashes.length === 1
          ? 'One enclosure was changed on both sides'
          : `${clashes.length} enclosures were changed on both sides`}
      </DialogTitle>
      <DialogContent sx={{ display: 'grid', gap: 2.5 }}>
        <Typography variant="body2" sx={{ color: 'earth.quiet' }}>
          Logs, readings, animals and pictures of both are merged in any case.
        </Typography>
        {clashes.map(({ here, file }) => {
          const differences = differencesOf([here, file], catalogue);
          return (
            <section key={here.id} aria-label={here.name}>
              <Typography variant="h3">{here.name}</Typography>
              {differences.length > 0 ? (
                <PlainTable label={`How ${here.name} differs`}>
                  <thead>
                    <tr>
                      <th scope="col">What</th>
                      <th scope="col">Here</th>
                      <th scope="col">The other</th>
                    </tr>
                  </thead>
                  <tbody>
                    {differences.slice(0, 12).map((it) => (
                      <tr key={`${it.where} ${it.what}`}>
                        <td>{it.what}</td>
                        {it.sides.map((side, at) => (
                          <td key={at} style={{ whiteSpace: 'normal' }}>
                            {tell(side)}
                          </td>
                        ))}
                      </tr>
                    ))}
                  </tbody>
                </PlainTable>
              ) : (
                <Typography variant="body2">
                  They differ in small things only: places, notes, steps of the plan.
                </Typography>
              )}
              <RadioGroup
                aria-label={`Which ${here.name} is to stand`}
                value={which[here.id] ?? 'both'}
                onChange={(_, value) => setWhich({ ...which, [here.id]: value as Choice })}
              >
                {CHOICES.map((it) => (
                  <FormControlLabel
                    key={it.value}
                    value={it.value}
                    control={<Radio size="small" />}
                    label={it.name}
                  />
                ))}
              </RadioGroup>
            </section>
          );
        })}
      </DialogContent>
      <DialogActions>
        <Button onClick={onCancel}>Cancel</Button>
        <Button variant="contained" onClick={() => onChoose(which)}>
          Read it in
        </Button>
      </DialogActions>
    </Dialog>
  );
}
