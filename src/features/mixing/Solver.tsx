'use client';

import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { materialsFor } from '@/core/catalogue';
import { GOALS, type Family } from '@/core/mixing';
import { bag } from '@/core/units';
import { useStore, type Bench } from '@/store';
import { Choice } from '@/ui/Choice';
import { Panel } from '@/ui/Panel';
import { useReader } from '@/ui/units';
import { Answer } from './Answer';
import type { KnownSoil } from './Bench';
import type { OnBench } from './MixCard';
import { questionOf, type Terms } from './question';
import { TermsForm } from './TermsForm';
import { useMix } from './useMix';
import { GOAL_WORD } from './words';
import { WorkBar } from './WorkBar';

interface Props {
  readonly soils: readonly KnownSoil[];
  readonly soil: KnownSoil | undefined;
  readonly bench: Bench;
  readonly family: Family;
  readonly placed: number;
  readonly onLay: (mix: OnBench) => void;
}

const GOAL_OPTIONS = GOALS.map((value) => ({ value, ...GOAL_WORD[value] }));

/** Finds the mix, or the mixes of several enclosures, from what is on the shelf and in the shops. */
export function Solver({ soils, soil, bench, family, placed, onLay }: Props) {
  const { catalogue, shelfFor, settings } = useStore();
  const shelf = shelfFor(soil ? [soil.design.id] : []);
  const { write, parse } = useReader();
  const mixable = materialsFor(catalogue, 'mix');
  const ready = materialsFor(catalogue, 'ready-made');
  const [terms, setTerms] = useState<Terms>(() => ({
    goal: 'cheapest',
    tolerance: 0.05,
    peatFree: soil?.design.ground.schools.peat === 'coir',
    banded: false,
    buy: 'anything',
    only: [],
    besides: mixable.filter((row) => (shelf[row.id] ?? 0) > 0 && row.mixing?.sort !== 'ready'),
    bagOf: (ready.find((row) => (shelf[row.id] ?? 0) > 0) ?? ready[0])?.id ?? '',
  }));
  const change = (some: Partial<Terms>): void => setTerms((now) => ({ ...now, ...some }));
  const { goal } = terms;
  const [also, setAlso] = useState<ReadonlySet<string>>(new Set());
  const [budget, setBudget] = useState('');
  const [have, setHave] = useState<number | null>(null);
  const { work, start, stop } = useMix(catalogue);

  const inHand = have ?? (shelf[terms.bagOf] || 0.004);
  const money = parse(budget) ?? Number.NaN;
  const budgetWrong = budget.trim() !== '' && !(money >= 0 && money < 1e6);
  const others = soils.filter((it) => it !== soil);
  const [mix] = bench.mixes;

  const ask = (): void => {
    if (!mix) return;
    start(
      questionOf({
        terms,
        mix,
        soil,
        family,
        placed,
        also: others.filter((it) => also.has(it.layer.id + it.design.id)),
        shelf,
        inHand,
        budget: budget.trim() === '' || budgetWrong ? null : money,
      }),
    );
  };

  return (
    <Panel label="Work it out from the shelf and the shops">
      <Typography variant="body2" sx={{ color: 'earth.quiet', mb: 1.25 }}>
        {goal === 'stretch'
          ? 'All of what is left of a bag goes in, and what makes it up is sought among common ingredients.'
          : `Fills ${write(bag(placed))} with mix A, in whole packs, taking first what is on the shelf.`}
      </Typography>
      <Choice
        label="What to go for"
        options={GOAL_OPTIONS}
        value={goal}
        onChange={(value) => change({ goal: value })}
        least={180}
      />
      <TermsForm
        terms={terms}
        onTerms={change}
        mixable={mixable}
        ready={ready}
        inHand={inHand}
        onHave={setHave}
        budget={budget}
        budgetWrong={budgetWrong}
        onBudget={setBudget}
      />
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

      <WorkBar work={work} disabled={budgetWrong} onStart={ask} onStop={stop} />
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
