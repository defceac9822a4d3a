'use client';

import { ownOf } from '@/core/fields/own';
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
import { fieldValue, fieldWords } from '@/core/compare/fields';
import { fieldKey, type Design, type FieldClash } from '@/core/document';
import { PlainTable } from './PlainTable';
import { useReader } from './units';

export interface Clash {
  readonly here: Design;
  readonly file: Design;
  /** Fields both changed since the state they have in common; null where none is known. */
  readonly clashes: readonly FieldClash[] | null;
}
export type Choice = 'here' | 'file' | 'both' | { readonly fromFile: readonly string[] };

const MERGE = { value: 'merge', name: 'Merge both, with the choices above' } as const;
const CHOICES = [
  { value: 'both', name: 'Keep both, the other one beside' },
  { value: 'here', name: 'Keep the one here' },
  { value: 'file', name: 'Take the other one; undo brings this one back' },
] as const;
type Picked = (typeof CHOICES)[number]['value'] | typeof MERGE.value;

interface Props {
  readonly clashes: readonly Clash[];
  readonly catalogue: Catalogue;
  readonly onChoose: (which: Readonly<Record<string, Choice>>) => void;
  readonly onCancel: () => void;
}

/** Asks which of two designs of one enclosure is to stand, with what differs. Nothing has been written yet. */
export function ClashDialog({ clashes, catalogue, onChoose, onCancel }: Props) {
  const [picked, setPicked] = useState<Readonly<Record<string, Picked>>>({});
  /** Fields in which the file is to stand, by enclosure. */
  const [fromFile, setFromFile] = useState<Readonly<Record<string, readonly string[]>>>({});
  const pickedOf = ({ here, clashes: fields }: Clash): Picked =>
    ownOf(picked, here.id) ?? (fields ? 'merge' : 'both');
  const choices = (): Readonly<Record<string, Choice>> =>
    Object.fromEntries(
      clashes.map((it): [string, Choice] => {
        const value = pickedOf(it);
        return [it.here.id, value === 'merge' ? { fromFile: ownOf(fromFile, it.here.id) ?? [] } : value];
      }),
    );
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
        {clashes.map((clash) => {
          const { here, clashes: fields } = clash;
          return (
            <section key={here.id} aria-label={here.name}>
              <Typography variant="h3">{here.name}</Typography>
              {fields ? (
                <FieldChoices
                  clash={clash}
                  fields={fields}
                  catalogue={catalogue}
                  fromFile={ownOf(fromFile, here.id) ?? []}
                  onChange={(next) => setFromFile({ ...fromFile, [here.id]: next })}
                />
              ) : (
                <Differences clash={clash} catalogue={catalogue} />
              )}
              <RadioGroup
                aria-label={`Which ${here.name} is to stand`}
                value={pickedOf(clash)}
                onChange={(_, value) => setPicked({ ...picked, [here.id]: value as Picked })}
              >
                {[...(fields ? [MERGE] : []), ...CHOICES].map((it) => (
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
        <Button variant="contained" onClick={() => onChoose(choices())}>
          Read it in
        </Button>
      </DialogActions>
    </Dialog>
  );
}

interface FieldChoicesProps {
  readonly clash: Clash;
  readonly fields: readonly FieldClash[];
  readonly catalogue: Catalogue;
  readonly fromFile: readonly string[];
  readonly onChange: (fromFile: readonly string[]) => void;
}

/** Fields that both sides set differently, each to be taken from one of them. */
function FieldChoices({ clash, fields, catalogue, fromFile, onChange }: FieldChoicesProps) {
  const { tell } = useReader();
  return (
    <>
      <Typography variant="body2" sx={{ color: 'earth.quiet', mb: 0.5 }}>
        What only one side changed is kept from it. These both changed:
      </Typography>
      <PlainTable label={`What both changed of ${clash.here.name}`}>
        <thead>
          <tr>
            <th scope="col">What</th>
            <th scope="col">Take it from</th>
          </tr>
        </thead>
        <tbody>
          {fields.map((field) => {
            const key = fieldKey(field);
            const what = fieldWords(field.path, [clash.here, clash.file], catalogue);
            return (
              <tr key={key}>
                <td style={{ whiteSpace: 'normal' }}>{what}</td>
                <td>
                  <RadioGroup
                    row
                    aria-label={what}
                    value={fromFile.includes(key) ? 'file' : 'here'}
                    onChange={(_, value) =>
                      onChange([...fromFile.filter((it) => it !== key), ...(value === 'file' ? [key] : [])])
                    }
                  >
                    {(['here', 'file'] as const).map((side) => (
                      <FormControlLabel
                        key={side}
                        value={side}
                        control={<Radio size="small" />}
                        label={`${side === 'here' ? 'here' : 'other'}: ${tell(fieldValue(field.path, side === 'here' ? field.theirs : field.mine, catalogue))}`}
                      />
                    ))}
                  </RadioGroup>
                </td>
              </tr>
            );
          })}
        </tbody>
      </PlainTable>
    </>
  );
}

/** How two designs differ of which it is not known what they have in common. */
function Differences({ clash, catalogue }: { readonly clash: Clash; readonly catalogue: Catalogue }) {
  const { tell } = useReader();
  const { here, file } = clash;
  const differences = differencesOf([here, file], catalogue);
  if (differences.length === 0)
    return (
      <Typography variant="body2">
        They differ in small things only: places, notes, steps of the plan.
      </Typography>
    );
  return (
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
  );
}
