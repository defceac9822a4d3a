'use client';

import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import NextLink from 'next/link';
import { useSnackbar } from 'notistack';
import { useState } from 'react';
import { materialOf, type Catalogue } from '@/core/catalogue';
import type { Lack, Made, MixAnswer, MixProblem, Plan } from '@/core/mixing';
import { bag, percent } from '@/core/units';
import { changeDesign, travel, useShelfBook, useStore } from '@/store';
import { packWords, receiptsOf } from '@/ui/BuyTable';
import { PlainTable } from '@/ui/PlainTable';
import { useReader, type Reader } from '@/ui/units';
import { useUndoable } from '@/ui/useUndoable';
import type { KnownSoil } from './Bench';
import type { OnBench } from './MixCard';
import { boundWord, propertyText, THIS } from './words';

interface Props {
  readonly answer: MixAnswer;
  readonly problem: MixProblem;
  readonly soil: KnownSoil | undefined;
  readonly soils: readonly KnownSoil[];
  readonly catalogue: Catalogue;
  readonly prices: Readonly<Record<string, number>>;
  readonly onLay: (mix: OnBench) => void;
}

/** What was found: how much of what goes into which soil, off the shelf or out of which packs. */
export function Answer({ answer, problem, soil, soils, catalogue, onLay }: Props) {
  const reader = useReader();
  if (answer.kind === 'solved') {
    return (
      <Found
        plan={answer.plan}
        problem={problem}
        soil={soil}
        soils={soils}
        catalogue={catalogue}
        onLay={onLay}
      />
    );
  }
  const { lacks, nearest } = answer;
  return (
    <Box sx={{ mt: 1 }}>
      <Alert severity="warning" variant="outlined">
        <Typography variant="h3" component="h3">
          It cannot be done as asked.
        </Typography>
        {lacks.length > 0 && (
          <Box component="ul" aria-label="What is short" sx={{ m: 0, mt: 0.5, pl: 2.5 }}>
            {lacks.map((lack, index) => (
              <li key={index}>{lackWords(lack, problem, catalogue, reader)}</li>
            ))}
          </Box>
        )}
      </Alert>
      {nearest && nearest.made.some((it) => it.placed > 1e-6) ? (
        <>
          <Typography variant="h3" component="h3" sx={{ mt: 1.5 }}>
            The nearest that works
          </Typography>
          {nearest.made.map((made) => {
            const wanted = problem.builds.find((it) => it.id === made.build)?.placed ?? 0;
            return made.placed < wanted - 1e-5 ? (
              <Typography key={made.build} variant="body2" sx={{ color: 'earth.clay' }}>
                {nameOf(made.build, problem)}: fills {reader.write(bag(made.placed))} of{' '}
                {reader.write(bag(wanted))}.
              </Typography>
            ) : null;
          })}
          <Found
            plan={nearest}
            problem={problem}
            soil={soil}
            soils={soils}
            catalogue={catalogue}
            onLay={onLay}
          />
        </>
      ) : (
        <Typography sx={{ mt: 1 }}>Nothing that is here or may be bought would fill any of it.</Typography>
      )}
    </Box>
  );
}

const nameOf = (build: string, problem: MixProblem): string =>
  problem.builds.find((it) => it.id === build)?.name ?? build;

function lackWords(lack: Lack, problem: MixProblem, catalogue: Catalogue, reader: Reader): string {
  switch (lack.what) {
    case 'material':
      return `${reader.write(bag(lack.amount))} of ${materialOf(catalogue, lack.material).name.toLowerCase()} is short.`;
    case 'money':
      return `${reader.num(lack.amount, 2)} more would have to be spent.`;
    case 'band':
      return `${nameOf(lack.build, problem)}: its ${boundWord[lack.property]} stays ${propertyText(lack.property, lack.amount, reader)} outside the strip.`;
  }
}

type FoundProps = Omit<Props, 'answer' | 'prices'> & { readonly plan: Plan };

function Found({ plan, problem, soil, soils, catalogue, onLay }: FoundProps) {
  const { db } = useStore();
  const reader = useReader();
  const { write } = reader;
  const { enqueueSnackbar } = useSnackbar();
  const undoable = useUndoable();
  const book = useShelfBook();
  const [received, setReceived] = useState(false);
  const materials = [...new Set(plan.made.flatMap((it) => Object.keys(it.loose)))].map((id) => {
    const row = materialOf(catalogue, id);
    const packs = plan.bought
      .filter((it) => it.material === id)
      .flatMap((it) => {
        const pack = row.packs.find((other) => other.id === it.pack);
        return pack ? [{ pack, count: it.count }] : [];
      });
    return { row, packs };
  });
  const several = plan.made.length > 1;

  const target = (made: Made): KnownSoil | undefined =>
    made.build === THIS ? soil : soils.find((it) => `${it.design.id}/${it.layer.id}` === made.build);
  const use = async (): Promise<void> => {
    const done: string[] = [];
    for (const made of plan.made) {
      const into = target(made);
      if (!into) continue;
      const ok = await changeDesign(
        db,
        into.design.id,
        {
          edit: 'setMix',
          change: { layer: into.layer.id, mix: { ...made.mix, recipe: into.layer.mix.recipe } },
        },
        catalogue,
        Date.now(),
      );
      if (ok) done.push(into.design.id);
    }
    if (done.length === 0) {
      enqueueSnackbar('The enclosure is no longer there. Nothing was written.', {
        variant: 'warning',
      });
      return;
    }
    const names = plan.made.flatMap((made) => target(made)?.design.name ?? []);
    undoable(`${[...new Set(names)].join(', ')}: this mix is in the ground.`, async () => {
      for (const id of done.reverse()) await travel(db, id, -1, Date.now());
    });
  };
  const receive = async (): Promise<void> => {
    const batch = await book.write(
      receiptsOf(
        materials.flatMap(({ row, packs }) => ({ material: row.id, packs })),
        reader,
      ),
    );
    setReceived(true);
    undoable('What is bought stands on the shelf.', async () => {
      await book.undo(batch);
      setReceived(false);
    });
  };
  const [first] = plan.made;

  return (
    <Box sx={{ mt: 1 }}>
      <Box sx={{ overflowX: 'auto' }}>
        <PlainTable label="What goes in">
          <thead>
            <tr>
              <th scope="col">Ingredient, loose</th>
              {plan.made.map((made) => (
                <th scope="col" className="number" key={made.build}>
                  {several ? nameOf(made.build, problem) : 'goes in'}
                </th>
              ))}
              {!several && (
                <th scope="col" className="number">
                  share
                </th>
              )}
              <th scope="col" className="number">
                off the shelf
              </th>
              <th scope="col">to buy</th>
              <th scope="col" className="number">
                left over
              </th>
              <th scope="col" className="number">
                price
              </th>
            </tr>
          </thead>
          <tbody>
            {materials.map(({ row, packs }) => (
              <tr key={row.id}>
                <td>{row.name}</td>
                {plan.made.map((made) => (
                  <td className="number" key={made.build}>
                    {made.loose[row.id] === undefined ? '–' : write(bag(made.loose[row.id] ?? 0))}
                  </td>
                ))}
                {!several && (
                  <td className="number">{write(percent(shareOf(first, row.id)), { decimals: 1 })}</td>
                )}
                <td className="number">
                  {plan.fromShelf[row.id] ? write(bag(plan.fromShelf[row.id] ?? 0)) : '–'}
                </td>
                <td>
                  {packs.length === 0
                    ? 'nothing'
                    : packs.map(({ pack, count }) => `${count} × ${packWords(pack, reader)}`).join(', ')}
                </td>
                <td className="number">
                  {plan.leftOver[row.id] ? write(bag(plan.leftOver[row.id] ?? 0)) : '–'}
                </td>
                <td className="number">
                  {reader.num(
                    packs.reduce((sum, it) => sum + it.count * it.pack.price.value, 0),
                    2,
                  )}
                </td>
              </tr>
            ))}
            <tr>
              <td>
                <b>Together</b>
              </td>
              {plan.made.map((made) => (
                <td className="number" key={made.build}>
                  {write(bag(Object.values(made.loose).reduce((sum, it) => sum + it, 0)))}
                </td>
              ))}
              {!several && <td />}
              <td />
              <td />
              <td />
              <td className="number">
                <b>{reader.money(plan.price)}</b>
              </td>
            </tr>
          </tbody>
        </PlainTable>
      </Box>
      <Typography variant="body2" sx={{ color: 'earth.quiet', mt: 0.75 }}>
        {plan.departure > 1e-6
          ? `${write(bag(plan.departure))} differ from the recipe${several ? 's' : ''}. `
          : problem.goal === 'stretch'
            ? ''
            : 'Just as the recipe has it. '}
        Prices are yours where you wrote them down, otherwise typical ones.
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mt: 1 }}>
        {plan.made.some(target) && (
          <Button variant="contained" onClick={() => void use()}>
            Use it in {[...new Set(plan.made.flatMap((made) => target(made)?.design.name ?? []))].join(', ')}
          </Button>
        )}
        {first && (
          <Button variant="outlined" onClick={() => onLay({ name: 'Worked out', mix: first.mix })}>
            Lay it on the bench
          </Button>
        )}
        {plan.bought.length > 0 && (
          <Button variant="outlined" disabled={received} onClick={() => void receive()}>
            {received ? 'On the shelf' : 'Bought: put it on the shelf'}
          </Button>
        )}
        {soil && (
          <Button component={NextLink} href={`/e/${soil.design.id}/mixing`}>
            Mixing sheet of {soil.design.name}
          </Button>
        )}
      </Box>
    </Box>
  );
}

function shareOf(made: Made | undefined, material: string): number {
  const all = Object.values(made?.loose ?? {}).reduce((sum, it) => sum + it, 0);
  return all > 0 ? (made?.loose[material] ?? 0) / all : 0;
}
