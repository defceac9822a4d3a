'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useRouter, useSearchParams } from 'next/navigation';
import { useMemo, useState, type ReactNode } from 'react';
import { assess } from '@/core/assess';
import { findAnimal } from '@/core/catalogue';
import { type Design, type Room } from '@/core/document';
import type { EditCall } from '@/core/edits';
import { turnedSides, usuallyInFront } from '@/core/enclosure';
import { quarantineDays } from '@/core/living';
import { forkedDesign, FORKS, forkSize, proposeSize, proposeWhole, type Fork } from '@/core/propose';
import { capital } from '@/core/units';
import { createDesign, loadOtherNames, useDesigns, useStore } from '@/store';
import { AnimalPicker } from '@/ui/AnimalPicker';
import { RoomChoice } from '@/ui/RoomChoice';
import { TopBar } from '@/ui/shell/TopBar';
import { DesignSoFar } from './DesignSoFar';
import { Question } from './Question';
import { SizeQuestion, type Know, type Sides } from './SizeQuestion';
import { useProposal } from './useProposal';

const UNSAID: Sides = { width: null, depth: null, height: null };

/** What a new enclosure follows, as the address has it: `?after=…&as=larger`. */
export function NewEnclosure({ tools }: { readonly tools: ReactNode }) {
  const params = useSearchParams();
  const after = params.get('after');
  const as = FORKS.find((it) => it === params.get('as'));
  const designs = useDesigns();
  if (after === null || as === undefined) return <Questions tools={tools} />;
  const row = designs?.find((it) => it.state === 'ready' && it.row.design.id === after);
  const from = row?.state === 'ready' ? row.row.design : undefined;
  if (designs !== undefined && !from) return <Questions tools={tools} lost />;
  return from ? <Questions key={`${after} ${as}`} tools={tools} follows={{ from, as }} /> : null;
}

const TITLE: Record<Fork, string> = {
  larger: 'A larger enclosure',
  quarantine: 'A quarantine tub',
};
const SAID: Record<Fork, (name: string, days: readonly [number, number]) => string> = {
  larger: (name) =>
    `For what lives in ${name}: its animal, its company and its room are answered, and what moves over needs no quarantine. Build it beside the old one and move them once it has grown in.`,
  quarantine: (name, [least, most]) =>
    `Beside ${name}: paper on the floor, hides and a dish, nothing that grows, so that droppings and mites are seen. Kept apart, with tools of its own, for the weeks a veterinarian advises; commonly ${least} to ${most} days.`,
};

interface QuestionsProps {
  readonly tools: ReactNode;
  readonly follows?: { readonly from: Design; readonly as: Fork };
  /** What it was to follow is not on the rack. */
  readonly lost?: boolean;
}

/** Three questions, and beside them the design they come to. */
function Questions({ tools, follows, lost = false }: QuestionsProps) {
  const { db, catalogue } = useStore();
  const router = useRouter();
  const [id] = useState(() => crypto.randomUUID());
  const [animal, setAnimal] = useState<string | null>(follows?.from.brief.animal ?? null);
  const [count, setCount] = useState(follows?.from.brief.count ?? 1);
  const [know, setKnow] = useState<Know>('sides');
  const [sides, setSides] = useState<Sides>(
    follows ? () => forkSize(follows.from, follows.as, catalogue) : UNSAID,
  );
  const [kind, setKind] = useState<Room['kind']>(follows?.from.brief.room.kind ?? null);
  const [name, setName] = useState(follows ? `${follows.from.name.slice(0, 66)}, ${follows.as}` : '');
  const [failed, setFailed] = useState<string>();

  const row = findAnimal(catalogue, animal);
  const { width, depth, height } = sides;
  const size =
    know !== 'nothing' && width !== null && depth !== null && height !== null
      ? { width, depth, height }
      : null;
  const suits = proposeSize(row, count);
  const laidOut = useMemo(
    () => {
      const measured = follows?.from.brief.room.kind === kind ? follows.from.brief.room : null;
      const room = measured ?? { kind, temperature: null, humidity: null };
      const answers = { id, name: 'x', animal, count, size, room };
      return follows
        ? forkedDesign(answers, follows.from, follows.as, catalogue)
        : proposeWhole(answers, catalogue);
    },
    // The size is a fresh object each time; its sides are what counts.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [id, animal, count, know, width, depth, height, kind, follows?.from, follows?.as, catalogue],
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
            {follows ? TITLE[follows.as] : 'New enclosure'}
          </Typography>
          <Typography sx={{ color: 'earth.quiet', mt: 0.5, mb: 2 }}>
            {follows
              ? SAID[follows.as](follows.from.name, quarantineDays(row))
              : 'Answer what you know. The design beside it follows, and all of it can be changed.'}
          </Typography>
          {lost && (
            <Typography role="status" sx={{ color: 'earth.clay', mb: 2 }}>
              The enclosure this was to follow is not on the rack. The answers begin empty.
            </Typography>
          )}

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
