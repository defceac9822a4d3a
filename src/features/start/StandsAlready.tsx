'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import NextLink from 'next/link';
import { useRouter } from 'next/navigation';
import { useRef, useState, type ReactNode } from 'react';
import { findAnimal } from '@/core/catalogue';
import type { Enclosure } from '@/core/document';
import { proposeSize, standsAlready } from '@/core/propose';
import { capital, counted, length } from '@/core/units';
import { loadOtherNames, useActs, usePlacesKnown, useStore } from '@/store';
import { AnimalPicker } from '@/ui/AnimalPicker';
import { DateField } from '@/ui/fields/DateField';
import { SuggestField } from '@/ui/fields/SuggestField';
import { QuantityField } from '@/ui/fields/QuantityField';
import { TopBar } from '@/ui/shell/TopBar';
import { useReader } from '@/ui/units';
import { useToday } from '@/ui/useToday';
import { Question } from './Question';
import type { Sides } from './SizeQuestion';

const UNSAID: Sides = { width: null, depth: null, height: null };
const MAKES = {
  glass: 'glass',
  timber: 'timber',
  pvc: 'foamed PVC',
  acrylic: 'acrylic',
  mesh: 'mesh',
} as const satisfies Record<Enclosure['material'], string>;
/** Names that may be told at once. */
const MOST_NAMES = 50;

const namesIn = (text: string): readonly string[] =>
  text
    .split(/[,;\n]/)
    .map((it) => it.trim().slice(0, 80))
    .filter((it) => it !== '')
    .slice(0, MOST_NAMES);

/** An enclosure that has stood for long: who lives in it and since when, one after the other. */
export function StandsAlready({ tools }: { readonly tools: ReactNode }) {
  const { catalogue } = useStore();
  const acts = useActs();
  const { write } = useReader();
  const router = useRouter();
  const today = useToday();
  const first = useRef<HTMLDivElement>(null);
  const [animal, setAnimal] = useState<string | null>(null);
  const [count, setCount] = useState(1);
  const [names, setNames] = useState('');
  const [sides, setSides] = useState<Sides>(UNSAID);
  const [material, setMaterial] = useState<Enclosure['material']>('glass');
  const [since, setSince] = useState<string | null>(null);
  const [name, setName] = useState('');
  const [note, setNote] = useState('');
  const [room, setRoom] = useState('');
  const [shelf, setShelf] = useState('');
  const known = usePlacesKnown();
  const [failed, setFailed] = useState<string>();
  const [written, setWritten] = useState<readonly { readonly id: string; readonly name: string }[]>([]);

  const row = findAnimal(catalogue, animal);
  const called = namesIn(names);
  const many = Math.max(count, called.length);
  const suits = proposeSize(row, many);
  const { width, depth, height } = sides;
  const partly = [width, depth, height].filter((it) => it !== null).length;
  const size = width !== null && depth !== null && height !== null ? { width, depth, height } : null;
  const title = name.trim() || (row ? capital(row.english) : 'Enclosure');

  const keep = async (then: 'open' | 'another'): Promise<void> => {
    if (partly > 0 && !size) {
      setFailed('give its width, depth and height, or none of them');
      return;
    }
    const design = standsAlready(
      {
        id: crypto.randomUUID(),
        name: title,
        animal,
        count: many,
        size,
        material,
        since,
        note: note.trim(),
        place: { room, shelf },
      },
      today,
      catalogue,
    );
    try {
      await acts.createStanding([{ design, animals: called.map((it) => ({ name: it })) }]);
    } catch (error) {
      setFailed(error instanceof Error ? error.message : 'it could not be written');
      return;
    }
    setFailed(undefined);
    if (then === 'open') {
      router.push(`/e/${design.id}/keep`);
      return;
    }
    setWritten([{ id: design.id, name: design.name }, ...written]);
    // Boxes of a row are alike: what is the same for many stays.
    setNames('');
    setName('');
    setNote('');
    setCount(1);
    first.current?.querySelector('input')?.focus();
  };
  const side = (key: keyof Sides, label: string) => (
    <QuantityField
      label={label}
      measure="length"
      value={sides[key]}
      min={0.05}
      max={10}
      step={0.05}
      placeholder={write(length(suits[key]))}
      onCommit={(si) => setSides({ ...sides, [key]: si })}
      onClear={() => setSides({ ...sides, [key]: null })}
      sx={{ flex: '1 1 96px' }}
    />
  );
  return (
    <Box sx={{ minHeight: '100dvh' }}>
      <TopBar places={[{ href: '/', label: 'Rack', current: false }]} tools={tools} />
      <Box
        component="main"
        sx={{
          px: { xs: 1.5, md: 2.5 },
          py: 2.25,
          maxWidth: 1040,
          mx: 'auto',
          display: 'grid',
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1fr) 280px' },
          columnGap: 5,
          alignItems: 'start',
        }}
      >
        <Box
          component="form"
          onSubmit={(event: { preventDefault: () => void }) => {
            event.preventDefault();
            void keep('open');
          }}
        >
          <Typography variant="h1" component="h1">
            It stands already
          </Typography>
          <Typography sx={{ color: 'earth.quiet', mt: 0.5, mb: 2, maxWidth: 620 }}>
            Who lives in it is enough to begin. Nothing is made up: feeding, care, weights and alarms work
            from this alone, and nothing is called late that was never told. What stands in it can be
            described later.
          </Typography>

          <Question title="Who lives there?">
            <Box ref={first} sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.25 }}>
              <Box sx={{ flex: '1 1 240px' }}>
                <AnimalPicker
                  catalogue={catalogue}
                  value={animal}
                  onChange={setAnimal}
                  label="Animal"
                  loadNames={loadOtherNames}
                />
              </Box>
              <TextField
                label="How many"
                type="number"
                value={many}
                onChange={(event) =>
                  setCount(Math.min(500, Math.max(1, Math.round(Number(event.target.value)) || 1)))
                }
                slotProps={{ htmlInput: { min: 1, max: 500 } }}
                sx={{ width: 104 }}
              />
              <DateField
                label="There since"
                value={since}
                max={today}
                onCommit={setSince}
                sx={{ width: 168 }}
              />
              <TextField
                label="Their names, if they have any"
                value={names}
                placeholder="Drip, Sumo"
                onChange={(event) => setNames(event.target.value)}
                helperText={
                  called.length > 0
                    ? `${counted(called.length, 'animal')}, each with meals, weights and sheds of its own`
                    : 'Separated by commas'
                }
                sx={{ flex: '1 0 100%' }}
              />
            </Box>
          </Question>

          <Question title="The enclosure">
            <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.25 }}>
              {side('width', 'Width')}
              {side('depth', 'Depth')}
              {side('height', 'Height')}
              <TextField
                select
                label="Made of"
                value={material}
                onChange={(event) => setMaterial(event.target.value as Enclosure['material'])}
                sx={{ flex: '1 1 120px' }}
              >
                {Object.entries(MAKES).map(([value, word]) => (
                  <MenuItem key={value} value={value}>
                    {word}
                  </MenuItem>
                ))}
              </TextField>
              <SuggestField
                label="Room"
                value={room}
                known={known.rooms}
                most={60}
                onOpen={known.load}
                onCommit={setRoom}
                sx={{ flex: '1 1 160px' }}
              />
              <SuggestField
                label="Shelf"
                value={shelf}
                known={known.shelvesIn(room)}
                most={60}
                onOpen={known.load}
                onCommit={setShelf}
                sx={{ flex: '1 1 160px' }}
              />
              <TextField
                label="What is in it"
                value={note}
                placeholder="soil with a false bottom, two bromeliads, cork at the back"
                onChange={(event) => setNote(event.target.value.slice(0, 4000))}
                multiline
                minRows={2}
                sx={{ flex: '1 0 100%' }}
              />
            </Box>
            {partly === 0 && row && (
              <Typography variant="body2" sx={{ color: 'earth.quiet', mt: 0.75 }}>
                Without a size it is taken as {write(length(suits.width), { bare: true, trim: true })} ×{' '}
                {write(length(suits.depth), { bare: true, trim: true })} ×{' '}
                {write(length(suits.height), { trim: true })}, the smallest that suits.
              </Typography>
            )}
          </Question>

          <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.25, alignItems: 'center' }}>
            <TextField
              label="Its name"
              value={name}
              placeholder={title}
              onChange={(event) => setName(event.target.value.slice(0, 80))}
              sx={{ flex: '1 1 200px' }}
            />
            <Button type="submit" variant="contained" sx={{ minHeight: 44 }}>
              Write it down
            </Button>
            <Button variant="outlined" onClick={() => void keep('another')} sx={{ minHeight: 44 }}>
              And another
            </Button>
          </Box>
          {failed && (
            <Typography role="alert" sx={{ color: 'earth.clay', mt: 1 }}>
              Not saved: {failed}. What you typed stands; try again.
            </Typography>
          )}
        </Box>
        <Box component="section" aria-labelledby="written" sx={{ mt: { xs: 3, md: 7 } }}>
          <Typography variant="h2" id="written" sx={{ mb: 0.75 }}>
            {written.length === 0 ? 'Many of them?' : `Written down: ${written.length}`}
          </Typography>
          <Box role="status">
            {written.length === 0 ? (
              <Typography variant="body2" sx={{ color: 'earth.quiet' }}>
                “And another” keeps animal, size, make and room for the next: a row of alike boxes is one name
                each. Is it all in a spreadsheet?{' '}
                <Link component={NextLink} href="/new/sheet">
                  Take it from there
                </Link>
                .
              </Typography>
            ) : (
              <Box component="ul" sx={{ m: 0, pl: 2.25 }}>
                {written.map((it) => (
                  <li key={it.id}>
                    <Link component={NextLink} href={`/e/${it.id}/keep`}>
                      {it.name}
                    </Link>
                  </li>
                ))}
              </Box>
            )}
          </Box>
        </Box>
      </Box>
    </Box>
  );
}
