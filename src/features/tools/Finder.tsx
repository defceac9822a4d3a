'use client';

import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import { useRouter } from 'next/navigation';
import { findAnimal } from '@/core/catalogue';
import { useDesigns, useStore } from '@/store';

/** Places of an enclosure, and what they are called behind its name; the first is the enclosure itself. */
const PLACES = [
  ['ground', ''],
  ['brief', 'brief'],
  ['scape', 'hardscape'],
  ['living', 'living'],
  ['climate', 'climate'],
  ['build', 'build'],
  ['keep', 'keep'],
  ['sheets', 'sheets'],
] as const;

/** Finds an enclosure or a place by parts of its name. */
export function Finder({ onDone }: { readonly onDone: () => void }) {
  const { catalogue } = useStore();
  const router = useRouter();
  const designs = useDesigns() ?? [];
  const entries = [
    { label: 'Rack', hint: 'all enclosures', href: '/' },
    { label: 'New enclosure', hint: 'three questions', href: '/new' },
    { label: 'One purchase for several', hint: 'shared list and roll', href: '/lists' },
    { label: 'Stores', hint: 'materials, shelf, prices, recipes', href: '/stores' },
    { label: 'Almanac', hint: 'animals and what they ask for', href: '/almanac' },
    ...designs.flatMap((it) => {
      if (it.state !== 'ready') return [];
      const { id, design } = it.row;
      const hint = findAnimal(catalogue, design.brief.animal)?.english ?? 'no animal yet';
      return PLACES.map(([place, word]) => ({
        label: word === '' ? design.name : `${design.name}, ${word}`,
        hint,
        href: `/e/${id}/${place}`,
      }));
    }),
  ];
  return (
    <Autocomplete
      open
      autoHighlight
      disableCloseOnSelect
      options={entries}
      getOptionKey={(entry) => entry.href}
      filterOptions={(options, { inputValue }) => {
        const words = inputValue.toLowerCase().split(/\s+/).filter(Boolean);
        return options.filter((it) =>
          words.every((word) => `${it.label} ${it.hint}`.toLowerCase().includes(word)),
        );
      }}
      onChange={(_, entry) => {
        if (!entry) return;
        onDone();
        router.push(entry.href);
      }}
      renderOption={({ key, ...props }, entry) => (
        <Box component="li" key={key} {...props} sx={{ display: 'flex', gap: 2 }}>
          <Box sx={{ flex: 1 }}>{entry.label}</Box>
          <Box sx={{ color: 'earth.quiet', fontSize: '0.84rem' }}>{entry.hint}</Box>
        </Box>
      )}
      renderInput={(params) => <TextField {...params} autoFocus label="Find an enclosure or a place" />}
      slotProps={{
        popper: { disablePortal: true, sx: { position: 'static !important', transform: 'none !important' } },
      }}
    />
  );
}
