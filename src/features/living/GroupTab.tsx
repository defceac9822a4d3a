'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';
import { findAnimal, lawsOf, many, type Animal, type Basis, type Life } from '@/core/catalogue';
import { monthsBefore } from '@/core/brief';
import { DEFENCE_WORD, LAW_WORD, preyRule, youngPlan } from '@/core/living';
import { noonOf } from '@/core/time';
import { capital, counted, length, mass, temperature } from '@/core/units';
import { useEditing, useOpenDesign, useStore } from '@/store';
import { BasisMark } from '@/ui/BasisMark';
import { NumberField } from '@/ui/fields/PlainFields';
import { PlainTable } from '@/ui/PlainTable';
import { Panel } from '@/ui/Panel';
import { useReader } from '@/ui/units';
import { monthFrom } from './words';

const SEXES: Record<Life['sexes']['value'], string> = {
  alone: 'Alone; together only to breed, and watched.',
  pair: 'A pair.',
  'one male': 'One male with one or more females.',
  females: 'Females only: they breed without males.',
  any: 'A small group of any sexes.',
};
const HANDLING: Record<Life['handling']['value'], string> = {
  never: 'Not to be handled; in a tub when it must be moved.',
  rarely: 'Only when it must be.',
  weekly: 'At most weekly, for minutes.',
  often: 'Bears short handling; stop when it wants to leave.',
};
const YOUNG: Record<Life['young']['value'], string> = {
  eggs: 'Eggs',
  spawn: 'Spawn',
  live: 'Live young',
};
const DRINKS: Record<Animal['water']['value'], string> = {
  drops: 'Drops on leaves and glass: mist, and see it drink.',
  'drops and dish': 'Drops on leaves and glass, and a dish besides, fresh daily: mist, and see it drink.',
  dish: 'A dish, fresh daily.',
  'soaking dish': 'A dish it can lie in, fresh daily.',
  pool: 'The pool itself: shallow at one end, changed weekly.',
};

/** Who lives with whom, how it grows, eats, drinks and breeds. */
export function GroupTab({ today }: { readonly today: Date }) {
  const { catalogue, today: day } = useStore();
  const { design } = useOpenDesign();
  const { edit } = useEditing();
  const { write, tell } = useReader();
  const animal = findAnimal(catalogue, design.brief.animal);
  const life = animal?.growing;
  const { company } = design.living;
  if (!animal)
    return (
      <Typography variant="body2" sx={{ color: 'earth.quiet' }}>
        Choose an animal in the brief.
      </Typography>
    );
  const put = (change: Partial<typeof company>) =>
    edit({ edit: 'setLiving', change: { company: { ...company, ...change } } });
  const plan = youngPlan(animal, company.ageMonths);
  const prey = preyRule(animal);
  const age = company.ageMonths;
  const adult = life?.monthsToAdult.value ?? 12;
  const number = ({ low, high }: { low: number; high: number }): string =>
    low === high ? String(low) : `${low} to ${high}`;
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: 1.5 }}>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.25, alignItems: 'center' }}>
        <NumberField
          key={`n${design.brief.count}`}
          label="Animals"
          value={design.brief.count}
          min={1}
          max={500}
          onCommit={(count) => edit({ edit: 'setCount', change: { count } })}
          sx={{ width: 100 }}
        />
        <NumberField
          key={`m${company.males}`}
          label="Males"
          value={company.males}
          min={0}
          max={500}
          onCommit={(males) => put({ males })}
          sx={{ width: 90 }}
        />
        <NumberField
          key={`f${company.females}`}
          label="Females"
          value={company.females}
          min={0}
          max={500}
          onCommit={(females) => put({ females })}
          sx={{ width: 90 }}
        />
        <NumberField
          key={`a${age}`}
          label="Age, months"
          value={age ?? adult}
          min={0}
          max={1200}
          onCommit={(ageMonths) => put({ ageMonths, hatched: monthsBefore(day, Math.round(ageMonths)) })}
          sx={{ width: 120 }}
        />
        {age !== null && (
          <Button size="small" onClick={() => put({ ageMonths: null, hatched: null })}>
            It is grown
          </Button>
        )}
        {age !== null && company.hatched === null && (
          <Button size="small" onClick={() => put({ hatched: monthsBefore(day, Math.round(age)) })}>
            Count its age from today
          </Button>
        )}
      </Box>
      {life ? (
        <Panel label={`How ${many(animal.english)} are kept`}>
          <Facts>
            <Fact name="Group" basis={life.sexes.basis}>
              {SEXES[life.sexes.value]}
              {life.cautions.value.length > 0 && (
                <> {`${life.cautions.value.join(', ')}.`.replace(/^./, (it) => it.toUpperCase())}</>
              )}
            </Fact>
            <Fact name="Food" basis={life.diet.basis}>
              {capital(life.diet.value)}
              {prey === null
                ? '.'
                : `; prey up to ${write(length(plan.prey.most))} ${plan.prey.by === 'thickness' ? 'thick' : 'long'} now, ${prey}.`}
            </Fact>
            <Fact name="Drinks" basis={animal.water.basis}>
              {DRINKS[animal.water.value]}
            </Fact>
            <Fact name="Gauze" basis="memory">
              Holes under {write(length(plan.gauze))} keep it in
              {plan.grown ? '; young slip through what adults cannot' : ' at this age'}.
            </Fact>
            <Fact name="Handling" basis={life.handling.basis}>
              {HANDLING[life.handling.value]}
            </Fact>
            {life.defence && (
              <Fact name="Hands" basis={life.defence.basis}>
                {DEFENCE_WORD[life.defence.value]}
              </Fact>
            )}
            <Fact name="Lives" basis={life.years.basis}>
              Up to about {life.years.value} years. Who has it then?
            </Fact>
            <Fact name={YOUNG[life.young.value]} basis={life.brood.basis}>
              {number(life.brood.value)}, {tell(life.lays.value)}.
              {life.incubation &&
                ` They want ${write(temperature(life.incubation.value.temperature.low), { bare: true })} to ${write(temperature(life.incubation.value.temperature.high))} for ${number(life.incubation.value.days)} days${life.young.value === 'eggs' ? ', damp but not wet, never turned' : ', in clean water of their own'}.`}
              {life.cautions.value.includes('eats smaller ones')
                ? ' Take young out at once: they are eaten.'
                : ''}
            </Fact>
            {lawsOf(life).length > 0 && (
              <Fact name="Law" basis="memory">
                {lawsOf(life)
                  .map((it) => LAW_WORD[it])
                  .join(' ')}{' '}
                The local authority decides.
              </Fact>
            )}
          </Facts>
        </Panel>
      ) : (
        <Typography variant="body2" sx={{ color: 'earth.quiet' }}>
          Nothing is written down of how this species grows and breeds.
        </Typography>
      )}
      <Panel label={plan.grown ? 'From hatchling to now' : 'As it grows'}>
        <Typography variant="body2" sx={{ mb: 0.5 }}>
          {plan.grown ? 'Grown' : `At ${counted(age ?? 0, 'month')}`}: about {write(length(plan.length))} and{' '}
          {write(mass(plan.mass))}.{' '}
          {company.hatched !== null && `Hatched about ${monthFrom(noonOf(company.hatched), 0)}. `}
          {age !== null &&
            company.hatched === null &&
            'Its age was told without a day: it stays so old until it is counted. '}
          An enclosure much too large for a young animal hides its food from it.
        </Typography>
        <PlainTable label="Enclosures as it grows">
          <thead>
            <tr>
              <th>From</th>
              {!plan.grown && <th>Month</th>}
              <th>Enclosure, wide × deep × high</th>
            </tr>
          </thead>
          <tbody>
            {plan.boxes.map((it, index) => (
              <tr
                key={it.from}
                data-selected={
                  age !== null && age >= it.from && age < (plan.boxes[index + 1]?.from ?? Infinity)
                }
              >
                <td>{it.from === 0 ? 'hatching' : counted(it.from, 'month')}</td>
                {!plan.grown && (
                  <td>{age !== null && it.from > age ? monthFrom(today, it.from - age) : ''}</td>
                )}
                <td>
                  {write(length(it.width))} × {write(length(it.depth))} × {write(length(it.height))}
                </td>
              </tr>
            ))}
          </tbody>
        </PlainTable>
      </Panel>
    </Box>
  );
}

const Facts = ({ children }: { readonly children: ReactNode }) => (
  <Box
    component="dl"
    sx={{
      m: 0,
      display: 'grid',
      gridTemplateColumns: '92px 1fr',
      columnGap: 1.5,
      rowGap: 0.75,
      typography: 'body2',
    }}
  >
    {children}
  </Box>
);

const Fact = ({
  name,
  basis,
  children,
}: {
  readonly name: string;
  readonly basis: Basis;
  readonly children: ReactNode;
}) => (
  <>
    <Box component="dt" sx={{ color: 'earth.quiet' }}>
      {name}
    </Box>
    <Box component="dd" sx={{ m: 0 }}>
      {children} <BasisMark basis={basis} />
    </Box>
  </>
);
