'use client';

import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import { useMemo } from 'react';
import { findAnimal, type Animal, type Catalogue } from '@/core/catalogue';
import { seek } from './seek';

interface Props {
  readonly catalogue: Catalogue;
  readonly value: string | null;
  readonly onChange: (animal: string | null) => void;
  readonly label: string;
}

/** Finds a species by any of its names, slips of spelling forgiven; empty means not known yet. */
export function AnimalPicker({ catalogue, value, onChange, label }: Props) {
  const sorted = useMemo(
    () => [...catalogue.animals].sort((a, b) => a.english.localeCompare(b.english)),
    [catalogue],
  );
  return (
    <Autocomplete<Animal>
      options={sorted}
      value={findAnimal(catalogue, value) ?? null}
      onChange={(_, animal) => onChange(animal?.id ?? null)}
      getOptionLabel={(animal) => animal.english}
      isOptionEqualToValue={(a, b) => a.id === b.id}
      filterOptions={(options, { inputValue }) => {
        const wanted = inputValue.trim().toLowerCase();
        const holds = (name: string): boolean => name.toLowerCase().includes(wanted);
        const namesOf = ({ english, scientific, names = [] }: Animal) => [english, scientific, ...names];
        const exact = options.filter((it) => namesOf(it).some(holds) || holds(it.kind));
        return exact.length > 0 ? exact : seek(sorted, inputValue, namesOf);
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
