'use client';

import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import { useMemo, useState } from 'react';
import { findAnimal, type Animal, type Catalogue } from '@/core/catalogue';
import type { seek } from './seek';

interface Props {
  readonly catalogue: Catalogue;
  readonly value: string | null;
  readonly onChange: (animal: string | null) => void;
  readonly label: string;
  /** What else people call a species, by its id: fetched when the list is opened. */
  readonly loadNames: () => Promise<(id: string) => readonly string[]>;
}

interface Finder {
  readonly seek: typeof seek;
  readonly names: (id: string) => readonly string[];
}

/** Finds a species by any of its names, slips of spelling forgiven; empty means not known yet. */
export function AnimalPicker({ catalogue, value, onChange, label, loadNames }: Props) {
  const [finder, setFinder] = useState<Finder | null>(null);
  const sorted = useMemo(
    () => [...catalogue.animals].sort((a, b) => a.english.localeCompare(b.english)),
    [catalogue],
  );
  return (
    <Autocomplete<Animal>
      options={sorted}
      onOpen={() =>
        void Promise.all([import('./seek'), loadNames()]).then(([{ seek }, names]) =>
          setFinder({ seek, names }),
        )
      }
      value={findAnimal(catalogue, value) ?? null}
      onChange={(_, animal) => onChange(animal?.id ?? null)}
      getOptionLabel={(animal) => animal.english}
      isOptionEqualToValue={(a, b) => a.id === b.id}
      filterOptions={(options, { inputValue }) => {
        const wanted = inputValue.trim().toLowerCase();
        const holds = (name: string): boolean => name.toLowerCase().includes(wanted);
        const namesOf = ({ id, english, scientific }: Animal) => [
          english,
          scientific,
          ...(finder?.names(id) ?? []),
        ];
        const exact = options.filter((it) => namesOf(it).some(holds) || holds(it.kind));
        return exact.length > 0 || !finder ? exact : finder.seek(sorted, inputValue, namesOf);
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
