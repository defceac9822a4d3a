'use client';

import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import { findAnimal, type Animal, type Catalogue } from '@/core/catalogue';

interface Props {
  readonly catalogue: Catalogue;
  readonly value: string | null;
  readonly onChange: (animal: string | null) => void;
  readonly label: string;
}

/** Finds a kind by its English or scientific name; empty means not known yet. */
export function AnimalPicker({ catalogue, value, onChange, label }: Props) {
  return (
    <Autocomplete<Animal>
      options={[...catalogue.animals].sort((a, b) => a.english.localeCompare(b.english))}
      value={findAnimal(catalogue, value) ?? null}
      onChange={(_, animal) => onChange(animal?.id ?? null)}
      getOptionLabel={(animal) => animal.english}
      isOptionEqualToValue={(a, b) => a.id === b.id}
      filterOptions={(options, { inputValue }) => {
        const wanted = inputValue.trim().toLowerCase();
        return options.filter((it) =>
          `${it.english} ${it.scientific} ${it.kind}`.toLowerCase().includes(wanted),
        );
      }}
      renderOption={({ key, ...props }, animal) => (
        <Box
          component="li"
          key={key}
          {...props}
          sx={{ display: 'flex', justifyContent: 'space-between', gap: 2 }}
        >
          <span>{animal.english}</span>
          <Box component="span" sx={{ color: 'earth.quiet', fontStyle: 'italic', fontSize: '0.84rem' }}>
            {animal.scientific}
          </Box>
        </Box>
      )}
      renderInput={(params) => <TextField {...params} label={label} placeholder="not known yet" />}
    />
  );
}
