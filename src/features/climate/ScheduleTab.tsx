'use client';

import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import LinearProgress from '@mui/material/LinearProgress';
import Typography from '@mui/material/Typography';
import { useEffect, useRef, useState } from 'react';
import { fanOf, type Choice as Found } from '@/core/climate';
import { useEditing, useOpenDesign, useStore } from '@/store';
import { Panel } from '@/ui/Panel';
import { ClimateStopped, startSchedule, type SolveProgress, type Working } from '@/workers/climate';
import { clock, percentWord } from './words';

type Answer = { readonly choices: readonly Found[]; readonly seconds: number };
type State =
  | { readonly at: 'rest' }
  | { readonly at: 'work'; readonly progress: SolveProgress | null }
  | { readonly at: 'done'; readonly answer: Answer }
  | { readonly at: 'stopped' }
  | { readonly at: 'failed'; readonly message: string };

const CANDIDATES = 500;
const WEEKS = 12;

const KIND: Record<Found['kind'], { readonly name: string; readonly why: string }> = {
  best: { name: 'Holds the band best', why: 'Most hours inside, over all the weather that was tried.' },
  sparing: { name: 'Spares water', why: 'Nearly as good, with less water and a bottle that lasts.' },
  'dry nights': { name: 'Leaves dry by night', why: 'Nearly as good, with drier leaves at night.' },
};

const litres = (kg: number): string => (kg < 0.1 ? `${Math.round(kg * 1000)} mL` : `${kg.toFixed(2)} L`);

/** Finds when and how long to mist, how much to cover, and how long a fan should run. */
export function ScheduleTab() {
  const { catalogue } = useStore();
  const { design } = useOpenDesign();
  const { edit } = useEditing();
  const [dryNights, setDryNights] = useState(
    design.climate.mist.by === 'nozzles' && design.ground.method !== 'full-water',
  );
  const [state, setState] = useState<State>({ at: 'rest' });
  const running = useRef<Working<Answer> | null>(null);
  useEffect(() => () => running.current?.stop(), []);
  const fan = fanOf(design, catalogue);

  const start = (): void => {
    setState({ at: 'work', progress: null });
    const working = startSchedule(
      { design, dryNights, candidates: CANDIDATES, weeks: WEEKS, seed: 1 },
      catalogue,
      (progress) => setState((now) => (now.at === 'work' ? { at: 'work', progress } : now)),
    );
    running.current = working;
    working.done.then(
      (answer) => setState({ at: 'done', answer }),
      (error: unknown) =>
        setState(
          error instanceof ClimateStopped
            ? { at: 'stopped' }
            : { at: 'failed', message: error instanceof Error ? error.message : String(error) },
        ),
    );
  };
  const adopt = ({ candidate }: Found): void =>
    edit({
      edit: 'adoptSchedule',
      change: {
        times: candidate.times,
        cover: candidate.cover,
        fan:
          fan && candidate.fan !== null && candidate.fan > 0
            ? { device: fan.id, duty: { on: candidate.fan, every: 90 } }
            : null,
      },
    });

  return (
    <Box sx={{ display: 'grid', gap: 1.25 }}>
      <Panel label="Find a schedule">
        <Typography variant="body2">
          {CANDIDATES} ways to mist{fan ? ', cover and air' : ' and cover'} are tried in up to {WEEKS} sampled
          weeks of the room, all seasons. Poor ones are dropped early. Same question, same answer.
        </Typography>
        <FormControlLabel
          control={<Checkbox checked={dryNights} onChange={(_, next) => setDryNights(next)} />}
          label="Leaves should be dry by night"
        />
        <Box sx={{ display: 'flex', gap: 1, mt: 0.5 }}>
          <Button variant="contained" disabled={state.at === 'work'} onClick={start}>
            Find a schedule
          </Button>
          {state.at === 'work' && <Button onClick={() => running.current?.stop()}>Stop</Button>}
        </Box>
        {state.at === 'work' && (
          <Box sx={{ mt: 1.25 }}>
            <LinearProgress
              variant={state.progress ? 'determinate' : 'indeterminate'}
              value={(state.progress?.share ?? 0) * 100}
              aria-label="How far it is"
            />
            <Typography variant="body2" role="status" sx={{ mt: 0.5 }}>
              {state.progress
                ? `Round ${state.progress.round} of ${state.progress.rounds}, ${state.progress.left} still to try.`
                : 'Laying the question out.'}
            </Typography>
            {state.progress?.best && (
              <Way found={{ ...state.progress.best, kind: 'best' }} title="Best so far" onAdopt={adopt} />
            )}
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
        <Panel label="Three ways">
          <Typography variant="body2" role="status">
            Found in {state.answer.seconds.toFixed(1)} s.
          </Typography>
          <Box sx={{ display: 'grid', gap: 1.25, mt: 1 }}>
            {state.answer.choices.map((it, index) => (
              <Way
                key={index}
                found={it}
                title={KIND[it.kind].name}
                why={KIND[it.kind].why}
                against={state.answer.choices[0]}
                onAdopt={adopt}
              />
            ))}
          </Box>
        </Panel>
      )}
    </Box>
  );
}

function Way({
  found,
  title,
  why,
  against,
  onAdopt,
}: {
  readonly found: Found;
  readonly title: string;
  readonly why?: string;
  readonly against?: Found | undefined;
  readonly onAdopt: (found: Found) => void;
}) {
  const { candidate } = found;
  const times = candidate.times.map((it) => `${clock(it.at)} ${it.seconds} s`).join(', ');
  const gives: string[] = [];
  if (against && against !== found) {
    const less = Math.round((against.inside - found.inside) * 100);
    if (less > 0) gives.push(`${less} % fewer hours in the band`);
    const more = found.water - against.water;
    if (more > 0.005) gives.push(`${litres(more)} more water a day`);
    if (found.wetByNight - against.wetByNight > 0.3)
      gives.push(`${(found.wetByNight - against.wetByNight).toFixed(1)} h more of wet leaves at night`);
  } else if (against) {
    if (found.wetByNight > 1) gives.push(`leaves wet for ${found.wetByNight.toFixed(1)} h of the night`);
    gives.push(`${litres(found.water)} of water a day`);
  }
  if (found.bedDays < 60) gives.push(`a siphon every ${Math.max(1, Math.round(found.bedDays))} days`);
  if (found.soil < 0.03) gives.push('soil that dries out');
  return (
    <Box
      component="section"
      aria-label={title}
      sx={{ borderTop: 1, borderColor: 'earth.rule', pt: 1, mt: 0.5 }}
    >
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1 }}>
        <Typography component="h3" sx={{ fontWeight: 600, flex: 1 }}>
          {title}
        </Typography>
        <Button variant="outlined" size="small" onClick={() => onAdopt(found)}>
          Take it over
        </Button>
      </Box>
      {why && (
        <Typography variant="body2" sx={{ color: 'earth.quiet' }}>
          {why}
        </Typography>
      )}
      <Typography variant="body2" sx={{ fontVariantNumeric: 'tabular-nums' }}>
        Mist {times}; cover {percentWord(candidate.cover)} of the top
        {candidate.fan === null
          ? ''
          : candidate.fan === 0
            ? '; fan off'
            : `; fan ${candidate.fan} min in every 90`}
        .
      </Typography>
      <Typography variant="body2" sx={{ fontVariantNumeric: 'tabular-nums' }}>
        {percentWord(found.inside)} of hours in the band, {percentWord(found.worst)} in the worst week;{' '}
        {litres(found.water)} a day; leaves wet {found.wetPerDay.toFixed(1)} h a day,{' '}
        {found.wetByNight.toFixed(1)} h of them by night.
      </Typography>
      {gives.length > 0 && <Typography variant="body2">Gives up: {gives.join('; ')}.</Typography>}
    </Box>
  );
}
