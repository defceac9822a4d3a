'use client';

import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import LinearProgress from '@mui/material/LinearProgress';
import MenuItem from '@mui/material/MenuItem';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useEffect, useRef, useState } from 'react';
import { materialsFor, type Material } from '@/core/catalogue';
import {
  BOUNDED,
  GOALS,
  stateOf,
  TARGETS,
  type Build,
  type Family,
  type Goal,
  type MixAnswer,
  type MixProblem,
  type Progress,
} from '@/core/mixing';
import { bag } from '@/core/units';
import { useStore, type Bench } from '@/store';
import { Choice } from '@/ui/Choice';
import { QuantityField } from '@/ui/fields/QuantityField';
import { Panel } from '@/ui/Panel';
import { useReader, type Reader } from '@/ui/units';
import { startMix, Stopped, type Running } from '@/workers/mixing';
import { Answer } from './Answer';
import type { KnownSoil } from './Bench';
import type { OnBench } from './MixCard';
import { GOAL_WORD, THIS } from './words';

interface Props {
  readonly soils: readonly KnownSoil[];
  readonly soil: KnownSoil | undefined;
  readonly bench: Bench;
  readonly family: Family;
  readonly placed: number;
  readonly onLay: (mix: OnBench) => void;
}

type Work =
  | { readonly at: 'rest' }
  | { readonly at: 'work'; readonly progress: Progress }
  | {
      readonly at: 'done';
      readonly answer: MixAnswer;
      readonly problem: MixProblem;
      readonly seconds: number;
    }
  | { readonly at: 'stopped' }
  | { readonly at: 'failed'; readonly message: string };

const GOAL_OPTIONS = GOALS.map((value) => ({ value, ...GOAL_WORD[value] }));

/** Enough to make a bag up with, and few enough to be done in a breath (common practice). */
const STRETCH_WITH = [
  ...['coir', 'tree-fern-fibre', 'fine-orchid-bark', 'bark-fines', 'charcoal', 'long-fibre-sphagnum'],
  ...['topsoil', 'washed-sand', 'leaf-mould', 'coir-chips', 'fine-pumice'],
];

/** Finds the mix, or the mixes of several enclosures, from what is on the shelf and in the shops. */
export function Solver({ soils, soil, bench, family, placed, onLay }: Props) {
  const { catalogue, shelf, settings } = useStore();
  const reader = useReader();
  const { write, parse, num } = reader;
  const [goal, setGoal] = useState<Goal>('cheapest');
  const [tolerance, setTolerance] = useState(0.05);
  const [also, setAlso] = useState<ReadonlySet<string>>(new Set());
  const [peatFree, setPeatFree] = useState(soil?.design.ground.schools.peat === 'coir');
  const [banded, setBanded] = useState(false);
  const [buy, setBuy] = useState<'anything' | 'only' | 'nothing'>('anything');
  const [only, setOnly] = useState<readonly Material[]>([]);
  const [budget, setBudget] = useState('');
  const mixable = materialsFor(catalogue, 'mix');
  const [besides, setBesides] = useState<readonly Material[]>(() =>
    mixable.filter((row) => (shelf[row.id] ?? 0) > 0 && row.mixing?.sort !== 'ready'),
  );
  const ready = materialsFor(catalogue, 'ready-made');
  const [bagOf, setBagOf] = useState(
    () => (ready.find((row) => (shelf[row.id] ?? 0) > 0) ?? ready[0])?.id ?? '',
  );
  const [have, setHave] = useState<number | null>(null);
  const [work, setWork] = useState<Work>({ at: 'rest' });
  const running = useRef<Running | undefined>(undefined);
  // Leaving the bench stops the work.
  useEffect(() => () => running.current?.stop(), []);

  const inHand = have ?? (shelf[bagOf] || 0.004);
  const money = parse(budget) ?? Number.NaN;
  const budgetWrong = budget.trim() !== '' && !(money >= 0 && money < 1e6);
  const others = soils.filter((it) => it !== soil);
  const [mixA] = bench.mixes;

  const ask = (): MixProblem | undefined => {
    if (!mixA) return undefined;
    const build = (
      id: string,
      name: string,
      volume: number,
      mix: Build['mix'],
      kind: Family,
      stretched = false,
    ): Build => ({
      id,
      name,
      placed: volume,
      mix,
      besides: stretched
        ? [...new Set([...STRETCH_WITH, ...besides.map((row) => row.id)])].filter(
            (material) => material !== bagOf,
          )
        : besides.map((row) => row.id),
      tolerance,
      bands: banded
        ? Object.fromEntries(
            BOUNDED.flatMap((property) => {
              const target = TARGETS[kind][property];
              return target ? [[property, target.range]] : [];
            }),
          )
        : {},
      state: stateOf(kind),
    });
    const stretching = goal === 'stretch';
    const here = soil ? `${soil.design.name} · ${soil.layer.name}` : mixA.name;
    const packed = { ...mixA.mix, parts: [{ material: bagOf, parts: 1 }] };
    return {
      builds: [
        build(THIS, here, placed, stretching ? packed : mixA.mix, family, stretching),
        ...(stretching
          ? []
          : others
              .filter((it) => also.has(it.layer.id + it.design.id))
              .map((it) =>
                build(
                  `${it.design.id}/${it.layer.id}`,
                  `${it.design.name} · ${it.layer.name}`,
                  it.placed,
                  it.layer.mix,
                  it.family,
                ),
              )),
      ],
      goal,
      shelf,
      buyable: buy === 'anything' ? null : buy === 'nothing' ? [] : only.map((row) => row.id),
      peatFree,
      budget: budget.trim() === '' || budgetWrong ? null : money,
      stretch: stretching ? { build: THIS, material: bagOf, have: inHand, most: 4 } : null,
    };
  };

  const start = (): void => {
    const problem = ask();
    if (!problem) return;
    setWork({ at: 'work', progress: { step: 0, of: 1, gap: 1 } });
    const run = startMix(problem, catalogue, (progress) =>
      setWork((now) => (now.at === 'work' && running.current === run ? { at: 'work', progress } : now)),
    );
    running.current = run;
    run.done
      .then(({ answer, seconds }) => {
        if (running.current !== run) return;
        setWork({ at: 'done', answer, problem, seconds });
      })
      .catch((cause: unknown) => {
        if (running.current !== run) return;
        setWork(
          cause instanceof Stopped
            ? { at: 'stopped' }
            : { at: 'failed', message: cause instanceof Error ? cause.message : String(cause) },
        );
      });
  };

  return (
    <Panel label="Work it out from the shelf and the shops">
      <Typography variant="body2" sx={{ color: 'earth.quiet', mb: 1.25 }}>
        {goal === 'stretch'
          ? 'All of what is left of a bag goes in, and what makes it up is sought among common ingredients.'
          : `Fills ${write(bag(placed))} with mix A, in whole packs, taking first what is on the shelf.`}
      </Typography>
      <Choice label="What to go for" options={GOAL_OPTIONS} value={goal} onChange={setGoal} least={180} />
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.25, mt: 1.5, alignItems: 'flex-start' }}>
        {goal === 'stretch' ? (
          <>
            <TextField
              select
              label="The bag in hand"
              value={bagOf}
              onChange={(event) => {
                setBagOf(event.target.value);
                setHave(null);
              }}
              sx={{ width: 230 }}
            >
              {ready.map((row) => (
                <MenuItem key={row.id} value={row.id}>
                  {row.name}
                </MenuItem>
              ))}
            </TextField>
            <QuantityField
              label="Left of it, loose"
              measure="bag"
              quart="dry"
              value={inHand}
              min={0.0001}
              max={2}
              step={0.001}
              onCommit={setHave}
              sx={{ width: 130 }}
            />
          </>
        ) : (
          <QuantityField
            label="Tolerance"
            measure="percent"
            value={tolerance}
            max={1}
            step={0.01}
            onCommit={setTolerance}
            sx={{ width: 140 }}
          />
        )}
        <TextField
          select
          label="May be bought"
          value={buy}
          onChange={(event) => setBuy(event.target.value as typeof buy)}
          sx={{ width: 170 }}
        >
          <MenuItem value="anything">anything</MenuItem>
          <MenuItem value="only">only some things</MenuItem>
          <MenuItem value="nothing">nothing</MenuItem>
        </TextField>
        {buy === 'only' && (
          <Autocomplete
            multiple
            options={[...mixable]}
            value={[...only]}
            getOptionLabel={(row) => row.name}
            isOptionEqualToValue={(a, b) => a.id === b.id}
            onChange={(_, rows) => setOnly(rows)}
            renderInput={(params) => <TextField {...params} label="These are sold" />}
            sx={{ minWidth: 260, flex: 1 }}
          />
        )}
        <TextField
          label="Spend at most"
          value={budget}
          error={budgetWrong}
          helperText={budgetWrong ? 'A sum of money, or empty.' : undefined}
          placeholder="any"
          onChange={(event) => setBudget(event.target.value)}
          slotProps={{ inputLabel: { shrink: true }, htmlInput: { inputMode: 'decimal' } }}
          sx={{ width: 130 }}
        />
        <Autocomplete
          multiple
          limitTags={3}
          options={[...mixable]}
          value={[...besides]}
          getOptionLabel={(row) => row.name}
          isOptionEqualToValue={(a, b) => a.id === b.id}
          onChange={(_, rows) => setBesides(rows)}
          renderInput={(params) => <TextField {...params} label="May go in besides" />}
          sx={{ minWidth: 300, flex: 1 }}
        />
      </Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 2, mt: 0.75 }}>
        <FormControlLabel
          control={<Switch checked={peatFree} onChange={(_, on) => setPeatFree(on)} />}
          label="No peat"
        />
        <FormControlLabel
          control={<Switch checked={banded} onChange={(_, on) => setBanded(on)} />}
          label="Keep inside the green strip"
        />
      </Box>
      {goal !== 'stretch' && others.length > 0 && (
        <Box role="group" aria-label="Fill from the same purchase" sx={{ mt: 0.5 }}>
          <Typography variant="body2" sx={{ color: 'earth.quiet' }}>
            From the same purchase also fill
          </Typography>
          <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 1.5 }}>
            {others.map((it) => {
              const id = it.layer.id + it.design.id;
              return (
                <FormControlLabel
                  key={id}
                  control={
                    <Checkbox
                      size="small"
                      checked={also.has(id)}
                      onChange={(_, on) =>
                        setAlso((now) => {
                          const next = new Set(now);
                          if (on) next.add(id);
                          else next.delete(id);
                          return next;
                        })
                      }
                    />
                  }
                  label={`${it.design.name} · ${it.layer.name}, ${write(bag(it.placed))}`}
                />
              );
            })}
          </Box>
        </Box>
      )}

      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.5, mt: 1.25, minHeight: 40 }}>
        {work.at === 'work' ? (
          <>
            <Button variant="outlined" onClick={() => running.current?.stop()}>
              Stop
            </Button>
            <Box sx={{ flex: 1 }}>
              <LinearProgress
                aria-label="Working it out"
                variant={work.progress.step === 0 ? 'indeterminate' : 'determinate'}
                value={(100 * (work.progress.step - work.progress.gap)) / work.progress.of}
              />
              <Typography variant="body2" sx={{ color: 'earth.quiet', mt: 0.5 }}>
                {work.progress.step === 0
                  ? 'Opening the solver'
                  : `Step ${work.progress.step} of ${work.progress.of}: ${gapWords(work.progress.gap, reader)}`}
              </Typography>
            </Box>
          </>
        ) : (
          <Button variant="contained" disabled={budgetWrong} onClick={start}>
            Work it out
          </Button>
        )}
        <Box role="status" sx={{ color: 'earth.quiet', typography: 'body2' }}>
          {work.at === 'stopped' && 'Stopped. Nothing was changed.'}
          {work.at === 'failed' &&
            `It could not be worked out: ${work.message}. Nothing was changed; try again, or with fewer ingredients.`}
          {work.at === 'done' &&
            `Worked out in ${work.seconds < 0.1 ? 'under 0.1' : num(work.seconds, 1)} s; the same question has the same answer.`}
        </Box>
      </Box>
      {work.at === 'done' && (
        <Answer
          answer={work.answer}
          problem={work.problem}
          soil={soil}
          soils={soils}
          catalogue={catalogue}
          prices={settings.prices}
          onLay={onLay}
        />
      )}
    </Panel>
  );
}

const gapWords = (gap: number, { num }: Reader): string =>
  gap >= 0.995
    ? 'seeking a first mix'
    : gap < 0.0005
      ? 'done'
      : `the best so far is within ${num(Math.ceil(gap * 1000) / 10)} % of the best there can be`;
