'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useMemo, useState, type ReactNode } from 'react';
import { assess } from '@/core/assess';
import { findAnimal } from '@/core/catalogue';
import { type Room } from '@/core/document';
import type { EditCall } from '@/core/edits';
import { turnedSides, usuallyInFront } from '@/core/enclosure';
import { proposeSize, proposeWhole } from '@/core/propose';
import { capital } from '@/core/units';
import { createDesign, loadOtherNames, useStore } from '@/store';
import { AnimalPicker } from '@/ui/AnimalPicker';
import { RoomChoice } from '@/ui/RoomChoice';
import { TopBar } from '@/ui/shell/TopBar';
import { DesignSoFar } from './DesignSoFar';
import { Question } from './Question';
import { SizeQuestion, type Know, type Sides } from './SizeQuestion';
import { useProposal } from './useProposal';

const UNSAID: Sides = { width: null, depth: null, height: null };

/** Three questions, and beside them the design they come to. */
export function NewEnclosure({ tools }: { readonly tools: ReactNode }) {
  const { db, catalogue } = useStore();
  const router = useRouter();
  const [id] = useState(() => crypto.randomUUID());
  const [animal, setAnimal] = useState<string | null>(null);
  const [count, setCount] = useState(1);
  const [know, setKnow] = useState<Know>('sides');
  const [sides, setSides] = useState<Sides>(UNSAID);
  const [kind, setKind] = useState<Room['kind']>(null);
  const [name, setName] = useState('');
  const [failed, setFailed] = useState<string>();

  const row = findAnimal(catalogue, animal);
  const { width, depth, height } = sides;
  const size =
    know !== 'nothing' && width !== null && depth !== null && height !== null
      ? { width, depth, height }
      : null;
  const suits = proposeSize(row, count);
  const laidOut = useMemo(
    () =>
      proposeWhole(
        { id, name: 'x', animal, count, size, room: { kind, temperature: null, humidity: null } },
        catalogue,
      ),
    // The size is a fresh object each time; its sides are what counts.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [id, animal, count, know, width, depth, height, kind, catalogue],
  );
  // A template, for the compiler to see that it is a plain text.
  const called = name.trim() || `${capital(row?.english ?? 'new enclosure')}`;
  const search = useProposal(laidOut, catalogue);
  const found = search.at === 'found' ? search.proposal : null;
  const design = useMemo(() => ({ ...(found?.design ?? laidOut), name: called }), [found, laidOut, called]);
  const assessment = useMemo(() => assess(design, catalogue), [design, catalogue]);
  const build = async (): Promise<void> => {
    try {
      await createDesign(db, design, Date.now());
      router.push(`/e/${design.id}/ground`);
    } catch (error) {
      setFailed(error instanceof Error ? error.message : 'it could not be written');
    }
  };

  const mend = (call: EditCall): void => {
    if (call.edit === 'setEnclosure') {
      setKnow('sides');
      setSides({
        width: call.change.width ?? width,
        depth: call.change.depth ?? depth,
        height: call.change.height ?? height,
      });
    } else if (call.edit === 'turnEnclosure')
      setSides(turnedSides(design.enclosure, usuallyInFront(design.enclosure)));
    else if (call.edit === 'setCount') setCount(call.change.count);
  };

  return (
    <Box sx={{ height: { md: '100dvh' }, minHeight: '100dvh', display: 'flex', flexDirection: 'column' }}>
      <TopBar places={[{ href: '/', label: 'Rack', current: false }]} tools={tools} />
      <Box
        component="main"
        sx={{
          flex: 1,
          minHeight: 0,
          display: 'grid',
          gridTemplateColumns: { md: 'minmax(0, 1fr) minmax(0, 0.92fr)' },
        }}
      >
        <Box sx={{ overflow: 'auto', px: 2.5, py: 2.25 }}>
          <Typography variant="h1" component="h1">
            New enclosure
          </Typography>
          <Typography sx={{ color: 'earth.quiet', mt: 0.5, mb: 2 }}>
            Answer what you know. The design beside it follows, and all of it can be changed.
          </Typography>

          <Question title="What lives there?">
            <Box sx={{ display: 'flex', gap: 1.25 }}>
              <Box sx={{ flex: 1 }}>
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
                value={count}
                onChange={(event) =>
                  setCount(Math.min(500, Math.max(1, Math.round(Number(event.target.value)) || 1)))
                }
                slotProps={{ htmlInput: { min: 1, max: 500 } }}
                sx={{ width: 104 }}
              />
            </Box>
          </Question>

          <SizeQuestion
            know={know}
            onKnow={setKnow}
            sides={sides}
            onSides={setSides}
            suits={suits}
            suiting={row ? `the smallest that suits ${count === 1 ? 'one' : 'them'}` : 'a usual size'}
            size={size}
            interior={assessment.interior}
          />

          <Question title="How is the room?">
            <RoomChoice value={kind} onChange={setKind} />
          </Question>

          <Box sx={{ display: 'flex', gap: 1.25, alignItems: 'center', mt: 2.5 }}>
            <TextField
              label="Its name"
              value={name}
              placeholder={design.name}
              onChange={(event) => setName(event.target.value.slice(0, 80))}
              sx={{ flex: 1 }}
            />
            <Button variant="contained" size="medium" onClick={() => void build()} sx={{ minHeight: 38 }}>
              Save to the rack
            </Button>
          </Box>
          {failed && (
            <Typography role="alert" sx={{ color: 'earth.clay', mt: 1 }}>
              Not saved: {failed}. Your answers stand; try again.
            </Typography>
          )}
        </Box>

        <DesignSoFar design={design} assessment={assessment} search={search} onMend={mend} />
      </Box>
    </Box>
  );
}
