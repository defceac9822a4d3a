'use client';

import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import LinearProgress from '@mui/material/LinearProgress';
import Typography from '@mui/material/Typography';
import { useEffect, useRef, useState } from 'react';
import { CAUTIONS } from '@/catalogue';
import { differencesOf } from '@/core/compare';
import { foundIn } from '@/core/edits';
import { type Design } from '@/core/document';
import { NO_LOCKS, sawsVents, type Aim, type Answered, type Locks, type Three } from '@/core/search';
import { outsideOf, yearFindings } from '@/core/verdict';
import { useEditing, useOpenDesign, useStore } from '@/store';
import { NumberField } from '@/ui/fields/PlainFields';
import { Panel } from '@/ui/Panel';
import { useReader } from '@/ui/units';
import { VerdictMark } from '@/ui/VerdictMark';
import { SearchStopped, startFinding, type Looking, type Search } from '@/workers/finder';
import { knowVerdict } from '@/workers/verdicts';
import { counted } from '@/core/units';

type State =
  | { readonly at: 'rest' }
  | { readonly at: 'work'; readonly looking: Looking | null }
  | { readonly at: 'done'; readonly three: Three; readonly of: Design; readonly seconds: number }
  | { readonly at: 'stopped' }
  | { readonly at: 'failed'; readonly message: string };

const AIM: Readonly<Record<Aim, { readonly name: string; readonly why: string }>> = {
  balanced: { name: 'First that holds', why: 'Found soonest, with every cost weighed a little.' },
  'fewest things': { name: 'Fewest things to buy', why: 'As little that is new as will do.' },
  'least work': { name: 'Least work', why: 'As few times a week as a hand is needed.' },
  'least electricity': { name: 'Least electricity', why: 'As few watts as will do.' },
};

/** What a purse begins with, at typical prices. */
const PURSE = 100;

const KEEP: readonly {
  readonly lock: 'cover' | 'vents' | 'lights' | 'mist' | 'seasons';
  readonly label: string;
}[] = [
  { lock: 'cover', label: 'the cover of the top' },
  { lock: 'vents', label: 'strips and vents' },
  { lock: 'lights', label: 'plant lights and hours' },
  { lock: 'mist', label: 'mist as it is' },
  { lock: 'seasons', label: 'one setting all year' },
];

/** Finds what makes the box hold: cover, air, heat, UV, light, mist and fog, with what may not change kept. */
export function FindTab() {
  const { catalogue } = useStore();
  const { design } = useOpenDesign();
  const { edit } = useEditing();
  const [locks, setLocks] = useState<Locks>(NO_LOCKS);
  const [state, setState] = useState<State>({ at: 'rest' });
  const running = useRef<Search<Three> | null>(null);
  useEffect(() => () => running.current?.stop(), []);
  const animal = design.brief.animal !== null;

  const start = (): void => {
    running.current?.stop();
    setState({ at: 'work', looking: null });
    const began = performance.now();
    const of = design;
    const search = startFinding(of, catalogue, locks, (looking) =>
      setState((now) => (now.at === 'work' && running.current === search ? { at: 'work', looking } : now)),
    );
    running.current = search;
    search.done.then(
      (three) =>
        running.current === search &&
        setState({ at: 'done', three, of, seconds: (performance.now() - began) / 1000 }),
      (error: unknown) =>
        running.current === search &&
        setState(
          error instanceof SearchStopped
            ? { at: 'stopped' }
            : { at: 'failed', message: error instanceof Error ? error.message : String(error) },
        ),
    );
  };
  const take = ({ design: found, verdict }: Answered): void => {
    knowVerdict(found, catalogue, verdict);
    edit({ edit: 'adoptFound', change: foundIn(found) });
  };
  const keep = (id: string, on: boolean): void =>
    setLocks({
      ...locks,
      devices: on ? [...locks.devices, id] : locks.devices.filter((it) => it !== id),
    });

  return (
    <Box sx={{ display: 'grid', gap: 1.25 }}>
      <Panel label="Find what holds">
        <Typography variant="body2">
          Changes are tried on the mean days of winter and summer, the best are kept, and what comes of them
          is judged over four seasons with three weathers each. Same question, same answer.
        </Typography>
        <Typography component="h3" variant="h3" sx={{ mt: 1.25 }}>
          Keep
        </Typography>
        <Box role="group" aria-label="Keep" sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 1 }}>
          {KEEP.map(({ lock, label }) => (
            <FormControlLabel
              key={lock}
              label={label}
              control={
                <Checkbox
                  size="small"
                  checked={locks[lock]}
                  onChange={(_, on) => setLocks({ ...locks, [lock]: on })}
                />
              }
            />
          ))}
          {design.climate.devices.map((it) => (
            <FormControlLabel
              key={it.id}
              label={it.name}
              control={
                <Checkbox
                  size="small"
                  checked={locks.devices.includes(it.id)}
                  onChange={(_, on) => keep(it.id, on)}
                />
              }
            />
          ))}
        </Box>
        <FormControlLabel
          label="Buy nothing: only settings may change"
          control={
            <Checkbox
              size="small"
              checked={locks.buying}
              onChange={(_, on) => setLocks({ ...locks, buying: on })}
            />
          }
        />
        <Box sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
          <FormControlLabel
            label="Spend at most"
            control={
              <Checkbox
                size="small"
                checked={locks.purse !== null}
                disabled={locks.buying}
                onChange={(_, on) => setLocks({ ...locks, purse: on ? PURSE : null })}
              />
            }
          />
          {locks.purse !== null && !locks.buying && (
            <NumberField
              bare
              label="Spend at most, at typical prices"
              value={locks.purse}
              min={0}
              max={100_000}
              step={10}
              onCommit={(purse) => setLocks({ ...locks, purse })}
            />
          )}
          {locks.purse !== null && !locks.buying && (
            <Typography variant="body2">at typical prices</Typography>
          )}
        </Box>
        <Box sx={{ display: 'flex', gap: 1, mt: 0.5 }}>
          <Button variant="contained" disabled={state.at === 'work' || !animal} onClick={start}>
            Find what holds
          </Button>
          {state.at === 'work' && <Button onClick={() => running.current?.stop()}>Stop</Button>}
        </Box>
        {!animal && (
          <Typography variant="body2" sx={{ color: 'earth.quiet', mt: 1 }}>
            Choose an animal in Brief first: without one there is nothing to hold it to.
          </Typography>
        )}
        {state.at === 'work' && (
          <Box sx={{ mt: 1.25 }}>
            <LinearProgress aria-label="Looking for what holds" />
            <Typography variant="body2" role="status" sx={{ mt: 0.5 }}>
              {state.looking
                ? `${counted(state.looking.looks, 'way')} played in ${Math.round(state.looking.seconds)} s.`
                : 'The enclosure as it is comes first.'}
            </Typography>
            {state.looking?.first && <Way answer={state.looking.first} of={design} onTake={take} />}
          </Box>
        )}
        {state.at === 'stopped' && (
          <Typography variant="body2" role="status" sx={{ mt: 1 }}>
            Stopped. Nothing was changed.
          </Typography>
        )}
        {state.at === 'failed' && (
          <Alert severity="error" sx={{ mt: 1 }}>
            It failed: {state.message}. Try again.
          </Alert>
        )}
      </Panel>
      {state.at === 'done' && (
        <Panel label="What was found">
          <Typography variant="body2" role="status">
            {state.three.answers.length > 0
              ? `${state.three.answers.length === 1 ? 'One way holds' : `${state.three.answers.length} ways hold`}, found in ${Math.round(state.seconds)} s.`
              : `Nothing was found that holds${state.three.bound ? ': the room itself is beyond what this species bears' : ' with what may change'}. The nearest is shown; took ${Math.round(state.seconds)} s.`}
          </Typography>
          <Box sx={{ display: 'grid', gap: 1.25, mt: 1 }}>
            {(state.three.answers.length > 0
              ? state.three.answers
              : state.three.first
                ? [state.three.first]
                : []
            ).map((it) => (
              <Way
                key={it.aim}
                answer={it}
                of={state.of}
                alone={state.three.answers.length === 1}
                onTake={take}
              />
            ))}
          </Box>
        </Panel>
      )}
    </Box>
  );
}

const NEAREST = { name: 'The nearest', why: 'It does not hold yet.' };
const ALONE = {
  name: 'One answer to all three',
  why: 'No other has fewer things to buy, less work or less electricity.',
};

/** One answer as a difference to the design as it was. */
function Way({
  answer,
  of,
  alone = false,
  onTake,
}: {
  readonly answer: Answered;
  readonly of: Design;
  /** All three aims came to this one. */
  readonly alone?: boolean;
  readonly onTake: (answer: Answered) => void;
}) {
  const { catalogue } = useStore();
  const { tell, money, num } = useReader();
  const { aim, verdict, burden, design } = answer;
  const differences = differencesOf([of, design], catalogue);
  const outside = outsideOf(verdict).length;
  const { name, why } = outside > 0 ? NEAREST : alone ? ALONE : AIM[aim];
  return (
    <Box component="section" aria-label={name} sx={{ borderTop: 1, borderColor: 'earth.rule', pt: 1 }}>
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1, mb: 0.75 }}>
        <Typography component="h3" sx={{ fontWeight: 600, flex: 1 }}>
          {name}
        </Typography>
        <Button
          variant="outlined"
          size="small"
          disabled={differences.length === 0}
          onClick={() => onTake(answer)}
        >
          Use this
        </Button>
      </Box>
      <VerdictMark state={{ at: 'known', verdict, findings: yearFindings(verdict, design, catalogue) }} />
      <Typography variant="body2" sx={{ color: 'earth.quiet', mt: 0.5 }}>
        {why} About {money(burden.price)} for what is new; {num(burden.watts, 0)} W in the mean;{' '}
        {burden.hands < 0.5 ? 'no spraying' : `sprayed by hand ${counted(burden.hands, 'time')} a week`}.
      </Typography>
      {differences.length === 0 ? (
        <Typography variant="body2" sx={{ mt: 0.5 }}>
          The enclosure as it is: nothing changes.
        </Typography>
      ) : (
        <Box
          component="dl"
          sx={{
            display: 'grid',
            gridTemplateColumns: 'minmax(120px, auto) 1fr',
            columnGap: 1.5,
            rowGap: 0.25,
            m: 0,
            mt: 0.75,
            typography: 'body2',
          }}
        >
          {differences.map(({ what, sides: [before = [], after = []] }) => (
            <Box key={what} sx={{ display: 'contents' }}>
              <Box component="dt" sx={{ fontWeight: 600 }}>
                {what}
              </Box>
              <Box component="dd" sx={{ m: 0 }}>
                {tell(before)} → {tell(after)}
              </Box>
            </Box>
          ))}
        </Box>
      )}
      {sawsVents(of, design) && (
        <Typography variant="body2" sx={{ mt: 0.5 }}>
          {CAUTIONS.vents.text}
        </Typography>
      )}
    </Box>
  );
}
