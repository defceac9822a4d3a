'use client';

import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import { useRouter } from 'next/navigation';
import { useMemo } from 'react';
import { findAnimal } from '@/core/catalogue';
import { homeOf } from '@/core/records';
import { useAnimals, useDesigns, useStore } from '@/store';
import { PLACES } from '@/ui/keys';
import { seek } from '@/ui/seek';
import { opensIn } from '@/ui/words';

/** Parts of places that are sought by name, by their address. */
const PARTS = [
  ['climate?tab=seasons', 'seasons'],
  ['climate?tab=find', 'what holds'],
  ['climate?tab=drills', 'what if'],
  ['climate?tab=calibration', 'calibrate'],
  ['build', 'to buy'],
  ['build?tab=plan', 'plan'],
  ['build?tab=cut', 'to cut'],
  ['keep?tab=log', 'log'],
  ['keep?tab=readings', 'readings'],
  ['keep?tab=off', 'troubleshoot'],
  ['keep?tab=animals', 'animals'],
  ['keep?tab=equipment', 'equipment'],
  ['sheets', 'sheets'],
] as const;

const OUTSIDE = [
  { label: 'Rack', hint: 'all enclosures', href: '/' },
  { label: 'Today', hint: 'what is due', href: '/today' },
  { label: 'New enclosure', hint: 'three questions', href: '/new' },
  { label: 'It stands already', hint: 'write down what is kept', href: '/new/standing' },
  { label: 'From a spreadsheet', hint: 'all that is kept, at once', href: '/new/sheet' },
  { label: 'Compare', hint: 'enclosures side by side', href: '/compare' },
  { label: 'One purchase for several', hint: 'shared list and roll', href: '/lists' },
  { label: 'A sheet for the sitter', hint: 'while you are away', href: '/sitter' },
  { label: 'Stores', hint: 'materials, shelf, prices, recipes', href: '/stores' },
  { label: 'Labels', hint: 'codes for a phone’s camera', href: '/labels' },
  { label: 'Almanac', hint: 'animals and what they ask for', href: '/almanac' },
] as const;

interface Found {
  readonly label: string;
  readonly hint: string;
  readonly href: string;
}

/** So many are shown at once; a word more finds the rest. */
const SHOWN = 40;

/** Finds an enclosure, an animal by its name, or a place: by parts of its name, slips of spelling forgiven. */
export function Finder({ onDone }: { readonly onDone: () => void }) {
  const { catalogue } = useStore();
  const router = useRouter();
  const designs = useDesigns();
  const animals = useAnimals();
  const entries = useMemo((): readonly Found[] => {
    const ready = (designs ?? []).flatMap((it) => (it.state === 'ready' ? [it.row.design] : []));
    const names = new Map(ready.map((it) => [it.id, it.name]));
    const species = (id: string | null): string => findAnimal(catalogue, id)?.english ?? 'no animal yet';
    return [
      ...OUTSIDE,
      ...ready.map((it) => ({
        label: it.name,
        hint: species(it.brief.animal),
        href: `/e/${it.id}/${opensIn(it)}`,
      })),
      ...(animals ?? []).flatMap((it) => {
        const home = homeOf(it);
        const name = home === null ? undefined : names.get(home);
        return name === undefined
          ? []
          : [
              {
                label: it.name,
                hint: `${species(it.kind)} in ${name}`,
                href: `/e/${home}/keep?tab=animals&animal=${it.id}`,
              },
            ];
      }),
      ...ready.flatMap((it) => [
        ...PLACES.map(({ path, label }) => ({
          label: `${it.name}, ${label.toLowerCase()}`,
          hint: species(it.brief.animal),
          href: `/e/${it.id}/${path}`,
        })),
        ...PARTS.map(([path, word]) => ({
          label: `${it.name}, ${word}`,
          hint: species(it.brief.animal),
          href: `/e/${it.id}/${path}`,
        })),
      ]),
      ...catalogue.animals.map((it) => ({
        label: it.english,
        hint: `${it.scientific}, almanac`,
        href: `/almanac?row=${it.id}`,
      })),
      ...catalogue.living.plants.map((it) => ({
        label: it.english,
        hint: `${it.scientific}, almanac`,
        href: `/almanac?tab=plants&row=${it.id}`,
      })),
      ...catalogue.living.crew.map((it) => ({
        label: it.english,
        hint: `${it.scientific}, almanac`,
        href: `/almanac?tab=crew&row=${it.id}`,
      })),
      ...catalogue.materials.map((it) => ({
        label: it.name,
        hint: 'material, stores',
        href: `/stores?row=${it.id}`,
      })),
      ...catalogue.recipes.map((it) => ({
        label: it.name,
        hint: 'recipe, stores',
        href: `/stores?tab=recipes&row=${it.id}`,
      })),
    ];
  }, [designs, animals, catalogue]);
  return (
    <Autocomplete
      open
      autoHighlight
      disableCloseOnSelect
      options={entries}
      getOptionKey={(entry) => `${entry.label} ${entry.href}`}
      // The list is all there is of the dialog: closed, so is that.
      onClose={(_, reason) => {
        if (reason === 'escape') onDone();
      }}
      noOptionsText="Nothing is called that"
      filterOptions={(options, { inputValue }) => {
        const words = inputValue.toLowerCase().split(/\s+/).filter(Boolean);
        const exact = options.filter((it) =>
          words.every((word) => `${it.label} ${it.hint}`.toLowerCase().includes(word)),
        );
        const found = exact.length > 0 ? exact : seek(entries, inputValue, (it) => [it.label, it.hint]);
        return found.slice(0, SHOWN);
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
      renderInput={(params) => (
        <TextField {...params} autoFocus label="Find an enclosure, an animal or a place" />
      )}
      slotProps={{
        popper: { disablePortal: true, sx: { position: 'static !important', transform: 'none !important' } },
      }}
    />
  );
}
