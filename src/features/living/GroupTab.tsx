'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import Typography from '@mui/material/Typography';
import { findAnimal, many } from '@/core/catalogue';
import { formOf, monthsBefore } from '@/core/brief';
import { youngPlan } from '@/core/living';
import { noonOf } from '@/core/time';
import { counted, length, light, mass } from '@/core/units';
import { useEditing, useOpenDesign, useStore } from '@/store';
import { LifeFacts } from '@/ui/LifeFacts';
import { NumberField } from '@/ui/fields/PlainFields';
import { PlainTable } from '@/ui/PlainTable';
import { Panel } from '@/ui/Panel';
import { useReader } from '@/ui/units';
import { RestPanel } from './RestPanel';
import { monthFrom } from './words';

/** Who lives with whom, how it grows, eats, drinks and breeds. */
export function GroupTab({ today }: { readonly today: Date }) {
  const { catalogue, today: day } = useStore();
  const { design } = useOpenDesign();
  const { edit } = useEditing();
  const { write, tell } = useReader();
  const species = findAnimal(catalogue, design.brief.animal);
  const animal = species && formOf(species, design.living.company);
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
  const age = company.ageMonths;
  const adult = life?.monthsToAdult.value ?? 12;
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
      {animal.lightSensitive && (
        <FormControlLabel
          control={
            <Checkbox
              size="small"
              checked={company.lightSensitive}
              onChange={(_, lightSensitive) => put({ lightSensitive })}
            />
          }
          label={`Of a form that bears less light (${tell(animal.lightSensitive.value)}): judged a UV zone lower`}
        />
      )}
      {life ? (
        <Panel label={`How ${many(animal.english)} are kept`}>
          <LifeFacts animal={animal} life={life} months={age} />
        </Panel>
      ) : (
        <Typography variant="body2" sx={{ color: 'earth.quiet' }}>
          Nothing is written down of how this species grows and breeds.
        </Typography>
      )}
      {life?.rest && <RestPanel animal={animal} />}
      <Panel label={plan.grown ? 'From hatchling to now' : 'As it grows'}>
        <Typography variant="body2" sx={{ mb: 0.5 }}>
          {plan.grown ? 'Grown' : `At ${counted(age ?? 0, 'month')}`}: about {write(length(plan.length))} and{' '}
          {write(plan.mass < 1 ? light(plan.mass) : mass(plan.mass))}.{' '}
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
