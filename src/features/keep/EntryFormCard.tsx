'use client';

import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { Controller, useForm, useWatch } from 'react-hook-form';
import { agingLamps } from '@/core/care';
import { DAY_MS } from '@/core/physics/constants';
import { ENTRY_KINDS, type Entry } from '@/core/log';
import { counted } from '@/core/units';
import { useActs, useAnimals, useLogBook, useOpenDesign, useStore } from '@/store';
import { FileButton } from '@/ui/FileButton';
import { useUndoable } from '@/ui/useUndoable';
import { useReader } from '@/ui/units';
import { BoxMap, type Spot } from './BoxMap';
import { EffectField, NOTHING_CHOSEN, withChosen } from './EffectField';
import {
  checkNumber,
  draftOfForm,
  formOf,
  localStamp,
  numbersOf,
  PLACED,
  withDraft,
  type EntryForm,
} from './entryFields';
import { KIND_WORD } from '@/ui/entryWords';

interface Props {
  /** The line that is changed; null: a new one. */
  readonly entry: Entry | null;
  readonly onDone: () => void;
}

/** A line of the log by its fields: a new one, or one that is changed. */
export function EntryFormCard({ entry, onDone }: Props) {
  const { design } = useOpenDesign();
  const { catalogue } = useStore();
  const animals = useAnimals();
  const book = useLogBook();
  const acts = useActs();
  const undoable = useUndoable();
  const reader = useReader();
  const [opened] = useState(() => Date.now());
  const { control, register, handleSubmit, formState } = useForm<EntryForm>({
    defaultValues: entry
      ? formOf(entry, reader)
      : {
          kind: 'behaviour',
          when: localStamp(opened),
          animal: '',
          text: '',
          point: '',
          refused: false,
          numbers: {},
        },
  });
  const kind = useWatch({ control, name: 'kind' });
  const values = entry?.values;
  const [spot, setSpot] = useState<Spot | null>(
    values && values.x !== null && values.z !== null
      ? { x: values.x, y: values.y ?? design.enclosure.depth / 2, z: values.z }
      : null,
  );
  const [placing, setPlacing] = useState(spot !== null);
  const [files, setFiles] = useState<readonly File[]>([]);
  const [chosen, setChosen] = useState(NOTHING_CHOSEN);
  const [wrong, setWrong] = useState<string | null>(null);
  const here = (animals ?? []).filter((it) => it.homes.some((home) => home.design === design.id));

  const submit = handleSubmit(async (form) => {
    setWrong(null);
    try {
      const draft = draftOfForm(form, reader);
      const placed = PLACED.has(form.kind) && placing && spot ? { x: spot.x, y: spot.y, z: spot.z } : {};
      const full = { ...draft, values: { ...draft.values, ...placed } };
      const stamp = new Date(form.when).getTime();
      const at = Number.isFinite(stamp) ? stamp : opened;
      if (entry) {
        await book.rewrite(withDraft(entry, full, at), files);
        undoable('Changed.', () => book.rewrite(entry));
      } else {
        const told = withChosen(full, chosen, agingLamps(design, catalogue));
        undoable('Written.', await acts.record([{ design: design.id, draft: told, at }], files));
      }
      onDone();
    } catch (error) {
      setWrong(`Not written: ${error instanceof Error ? error.message : String(error)}`);
    }
  });
  return (
    <Box
      component="form"
      aria-label={entry ? 'Change this line' : 'A new line'}
      onSubmit={(event: React.FormEvent) => void submit(event)}
      sx={{
        bgcolor: 'earth.card',
        border: 1,
        borderColor: 'earth.rule',
        borderRadius: '12px',
        p: 2,
        display: 'grid',
        gap: 1.5,
      }}
    >
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.25 }}>
        <Controller
          control={control}
          name="kind"
          render={({ field }) => (
            <TextField select label="What" {...field} sx={{ width: 160 }}>
              {ENTRY_KINDS.filter((it) => it !== 'care').map((it) => (
                <MenuItem key={it} value={it}>
                  {KIND_WORD[it]}
                </MenuItem>
              ))}
            </TextField>
          )}
        />
        <TextField
          type="datetime-local"
          label="When"
          {...register('when', {
            validate: (it) => (new Date(it).getTime() <= opened + DAY_MS ? true : 'A moment that has been.'),
          })}
          error={formState.errors.when !== undefined}
          helperText={formState.errors.when?.message}
          slotProps={{ inputLabel: { shrink: true } }}
          sx={{ width: 210 }}
        />
        {here.length > 0 && (
          <Controller
            control={control}
            name="animal"
            render={({ field }) => (
              <TextField select label="Who" {...field} sx={{ width: 160 }}>
                <MenuItem value="">not one of them</MenuItem>
                {here.map((it) => (
                  <MenuItem key={it.id} value={it.id}>
                    {it.name}
                  </MenuItem>
                ))}
              </TextField>
            )}
          />
        )}
        {numbersOf(kind, reader.prefs).map((it) => (
          <TextField
            key={it.name}
            label={it.label}
            {...register(`numbers.${it.name}`, { validate: (text) => checkNumber(text, it, reader) })}
            error={formState.errors.numbers?.[it.name] !== undefined}
            helperText={formState.errors.numbers?.[it.name]?.message}
            slotProps={{ htmlInput: { inputMode: 'decimal' } }}
            sx={{ width: 140 }}
          />
        ))}
        {(kind === 'reading' || kind === 'lamp') && (
          <TextField label="Where it was read" {...register('point')} sx={{ width: 180 }} />
        )}
        {!entry && <EffectField kind={kind} chosen={chosen} onChange={setChosen} />}
        {kind === 'feed' && (
          <Controller
            control={control}
            name="refused"
            render={({ field: { value, onChange } }) => (
              <FormControlLabel label="Refused" control={<Checkbox checked={value} onChange={onChange} />} />
            )}
          />
        )}
      </Box>
      <TextField
        label={kind === 'feed' ? 'Of what, and what you saw' : 'In words'}
        multiline
        {...register('text')}
        slotProps={{ htmlInput: { maxLength: 4000 } }}
      />
      {PLACED.has(kind) && (
        <Box>
          <FormControlLabel
            label="Show where in the enclosure it was"
            control={<Checkbox checked={placing} onChange={(_, on) => setPlacing(on)} />}
          />
          {placing && <BoxMap label="Where it was seen" value={spot} onChange={setSpot} height={260} />}
        </Box>
      )}
      {wrong && <Alert severity="error">{wrong}</Alert>}
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center' }}>
        <FileButton
          words={files.length === 0 ? 'Add pictures' : `${counted(files.length, 'picture')}`}
          label="Pictures of it"
          accept="image/*"
          multiple
          onFiles={(all) => setFiles(all.slice(0, 12))}
        />
        <Box sx={{ flex: 1 }} />
        <Button onClick={onDone}>Cancel</Button>
        <Button type="submit" variant="contained" disabled={formState.isSubmitting}>
          {entry ? 'Change it' : 'Write it down'}
        </Button>
      </Box>
    </Box>
  );
}
