'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import LinearProgress from '@mui/material/LinearProgress';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useMemo, useState, type ReactNode } from 'react';
import { assess } from '@/core/assess';
import { buyingOf } from '@/core/buying';
import { findAnimal, DRAINAGE_METHODS } from '@/core/catalogue';
import { proposeSize, proposeWhole } from '@/core/propose';
import { type Room } from '@/core/document';
import { shapesOf, type Shape } from '@/core/enclosure';
import { bag, capital, counted, length, mass, tank } from '@/core/units';
import { allFindings, type VerdictState } from '@/core/verdict';
import { createDesign, useStore } from '@/store';
import { AnimalPicker } from '@/ui/AnimalPicker';
import { Choice } from '@/ui/Choice';
import { QuantityField } from '@/ui/fields/QuantityField';
import { FindingList } from '@/ui/FindingList';
import { RoomChoice } from '@/ui/RoomChoice';
import { SectionPane } from '@/ui/section/SectionPane';
import { TopBar } from '@/ui/shell/TopBar';
import { daysWord } from '@/ui/whenWords';
import { useReader } from '@/ui/units';
import { VerdictMark } from '@/ui/VerdictMark';
import { useVerdict } from '@/workers/useVerdict';
import { useProposal, type ProposalState } from './useProposal';

type Know = 'sides' | 'volume' | 'nothing';
type Sides = { readonly [K in keyof Shape]: number | null };

const UNSAID: Sides = { width: null, depth: null, height: null };

/** Three questions, and beside them the design they come to. */
export function NewEnclosure({ tools }: { readonly tools: ReactNode }) {
  const { db, catalogue, shelf, settings } = useStore();
  const { write, num } = useReader();
  const router = useRouter();
  const [id] = useState(() => crypto.randomUUID());
  const [animal, setAnimal] = useState<string | null>(null);
  const [count, setCount] = useState(1);
  const [know, setKnow] = useState<Know>('sides');
  const [sides, setSides] = useState<Sides>(UNSAID);
  const [volume, setVolume] = useState<number | null>(null);
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
  const toBuy = buyingOf([{ design, assessment }], catalogue, shelf, settings.spare).price;
  const judged = useVerdict(design, catalogue, null);
  const verdict = verdictOf(search, judged);
  const telling = allFindings(assessment.findings, verdict).filter(
    (it) => it.severity === 'severe' || it.severity === 'look',
  );

  const build = async (): Promise<void> => {
    try {
      await createDesign(db, design, Date.now());
      router.push(`/e/${design.id}/ground`);
    } catch (error) {
      setFailed(error instanceof Error ? error.message : 'it could not be written');
    }
  };

  const side = (key: keyof Shape, label: string) => (
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
      sx={{ flex: 1 }}
    />
  );

  const sentence = (shape: Shape): string =>
    [shape.width, shape.depth, shape.height]
      .map((it) => write(length(it), { bare: true, trim: true }))
      .join(' × ');

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
                <AnimalPicker catalogue={catalogue} value={animal} onChange={setAnimal} label="Animal" />
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

          <Question title="How large is the enclosure, inside?">
            <Choice
              label="What is known of the enclosure"
              least={150}
              value={know}
              onChange={setKnow}
              options={[
                { value: 'sides', name: 'I know its sides' },
                { value: 'volume', name: 'Only its volume' },
                { value: 'nothing', name: 'Do not know yet' },
              ]}
            />
            {know === 'sides' && (
              <Box sx={{ display: 'flex', gap: 1.25, mt: 1.5 }}>
                {side('width', 'Width')}
                {side('depth', 'Depth')}
                {side('height', 'Height')}
              </Box>
            )}
            {know === 'volume' && (
              <Box sx={{ mt: 1.5 }}>
                <QuantityField
                  label="Volume"
                  measure="tank"
                  quart="liquid"
                  value={volume}
                  min={0.001}
                  max={20}
                  step={0.01}
                  helper="A volume alone does not say how it stands. Choose the shape that is yours."
                  onCommit={setVolume}
                  onClear={() => setVolume(null)}
                  sx={{ width: '100%' }}
                />
                {volume !== null && (
                  <Box
                    sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mt: 1.25 }}
                    role="group"
                    aria-label="Shapes that hold it"
                  >
                    {shapesOf(volume).map((shape) => (
                      <Button
                        key={sentence(shape)}
                        variant="outlined"
                        aria-pressed={size !== null && sentence(size) === sentence(shape)}
                        onClick={() => setSides(shape)}
                        sx={{
                          gap: 1,
                          '&[aria-pressed=true]': { borderColor: 'earth.moss', bgcolor: 'earth.mossWash' },
                        }}
                      >
                        <Outline shape={shape} />
                        {sentence(shape)}
                      </Button>
                    ))}
                  </Box>
                )}
              </Box>
            )}
            <Typography variant="body2" sx={{ color: 'earth.quiet', mt: 1 }}>
              {size
                ? `${write(tank(assessment.interior))} inside.`
                : `Taken for now: ${sentence(suits)}, ${row ? `the smallest that suits ${count === 1 ? 'one' : 'them'}` : 'a usual size'}.`}
            </Typography>
          </Question>

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

        <Box
          component="section"
          aria-label="The design so far"
          sx={{
            borderLeft: { md: 1 },
            borderColor: { md: 'earth.rule' },
            px: 2.5,
            py: 2.25,
            display: 'flex',
            flexDirection: 'column',
            minHeight: 0,
            overflow: 'auto',
          }}
        >
          <Box sx={{ flex: 1, minHeight: 380 }}>
            <SectionPane design={design} assessment={assessment} catalogue={catalogue} startWith="front" />
          </Box>
          <Typography variant="h2" sx={{ mt: 1 }}>
            {DRAINAGE_METHODS[design.ground.method].name}, {write(bag(assessment.substrateVolume))} of soil,{' '}
            {write(mass(assessment.standingMass))} standing
          </Typography>
          <Typography variant="body2" sx={{ color: 'earth.quiet', mb: 1.25 }}>
            {DRAINAGE_METHODS[design.ground.method].why}{' '}
            {coverWords(design.enclosure.material, design.enclosure.topCover)} {num(toBuy, 2)} to buy at
            typical prices.
          </Typography>
          <Box sx={{ mb: 1.25 }}>
            <VerdictMark state={verdict} full />
            <Typography variant="body2" role="status" sx={{ color: 'earth.quiet', pl: 1.6, mt: 0.25 }}>
              {searchWords(search)}
            </Typography>
            {crewWords(search) && (
              <Typography variant="body2" sx={{ pl: 1.6, mt: 0.25 }}>
                {crewWords(search)}
              </Typography>
            )}
            {search.at === 'looking' && (
              <LinearProgress aria-label="Looking for what holds" sx={{ height: 3, mt: 0.75 }} />
            )}
          </Box>
          <FindingList
            findings={telling}
            catalogue={catalogue}
            onMend={(call) => {
              if (call.edit === 'setEnclosure') {
                setKnow('sides');
                setSides({
                  width: call.change.width ?? width,
                  depth: call.change.depth ?? depth,
                  height: call.change.height ?? height,
                });
              } else if (call.edit === 'turnEnclosure') setSides({ width: height, depth, height: width });
              else if (call.edit === 'setCount') setCount(call.change.count);
            }}
          />
        </Box>
      </Box>
    </Box>
  );
}

/** The verdict of what is shown: of the quick design nothing is known while a better one is sought. */
function verdictOf(search: ProposalState, judged: VerdictState): VerdictState {
  switch (search.at) {
    case 'unasked':
      return { at: 'unasked' };
    case 'looking':
      return { at: 'calculating' };
    case 'failed':
      return { at: 'failed', message: search.message };
    case 'found':
      return search.proposal.verdict ? judged : { at: 'failed', message: 'its climate could not be played' };
  }
}

/** How the search stands, in one line. */
function searchWords(search: ProposalState): string {
  switch (search.at) {
    case 'unasked':
      return '';
    case 'looking':
      return search.looking
        ? `A first design stands; one that holds is sought: ${counted(search.looking.looks, 'way')} played in ${Math.round(search.looking.seconds)} s.`
        : 'A first design stands; one that holds is sought.';
    case 'failed':
      return 'The first design stands. It can be saved, and looked at in Climate.';
    case 'found': {
      const { verdict, looks } = search.proposal;
      const played = `${counted(looks, 'way')} played in ${Math.round(search.seconds)} s`;
      if (verdict?.answer === 'holds') return `This design replaced the first one: ${played}.`;
      return verdict?.bound
        ? `No fitting makes this room do; this comes nearest: ${played}.`
        : `This comes nearest: ${played}.`;
    }
  }
}

/** The crew in the portions it is sold in, and how long it takes from them. */
function crewWords(search: ProposalState): string {
  const crew = search.at === 'found' ? (search.proposal.verdict?.crew ?? []) : [];
  const kinds = crew.map(({ name, cultures, stands }) => {
    const bought = `${counted(cultures, 'culture')} of ${name}`;
    return stands === null
      ? `${bought}, to be topped up now and then`
      : `${bought}, self-sustaining after ${daysWord(stands)}`;
  });
  return kinds.length === 0 ? '' : `Cleanup crew: ${kinds.join('; ')}.`;
}

function coverWords(material: string, cover: number): string {
  const box = material === 'pvc' ? 'PVC' : capital(material);
  if (material === 'mesh') return 'Mesh all round, so that air moves.';
  return cover > 0
    ? `${box}, ${Math.round(cover * 100)} % of the top covered to hold moisture.`
    : `${box}, the top left open.`;
}

function Question({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  return (
    <Box component="fieldset" sx={{ border: 0, p: 0, m: 0, mb: 2.25, minWidth: 0 }}>
      <Typography component="legend" variant="h2" sx={{ mb: 1.4, p: 0 }}>
        {title}
      </Typography>
      {children}
    </Box>
  );
}

/** A shape as it would stand, small. */
function Outline({ shape }: { readonly shape: Shape }) {
  const scale = 20 / Math.max(shape.width, shape.height);
  const w = shape.width * scale;
  const h = shape.height * scale;
  return (
    <svg width={22} height={22} aria-hidden>
      <rect
        x={11 - w / 2}
        y={21 - h}
        width={w}
        height={h}
        fill="none"
        stroke="currentColor"
        strokeWidth={1.5}
      />
    </svg>
  );
}
