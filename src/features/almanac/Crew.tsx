'use client';

import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { lawsOf, type CrewKind, type Sourced } from '@/core/catalogue';
import { useStore } from '@/store';
import { chainOf, growthRate, LAW_WORD } from '@/core/living';
import { counted, temperature, UNITS, unitFor } from '@/core/units';
import { useReader } from '@/ui/units';
import { Count, Line, Part, Pick, Single, Span } from '@/ui/fields/SourcedFields';
import { Kinds, type Alter } from './Kinds';
import { REGION_WORD } from '@/ui/words';

const HABIT_WORD: Record<CrewKind['habit']['value'], string> = {
  soil: 'the soil',
  litter: 'the litter',
  wood: 'wood',
  surface: 'the surface',
};

/** Days in which it doubles when all is well: from its own days and young. */
function doubles(row: CrewKind): string {
  const rate = growthRate(chainOf(row));
  return rate > 1.0005 ? counted(Math.log(2) / Math.log(rate), 'day') : 'never';
}

/** Crew: how each kind lives, breeds and eats, and where every value comes from. */
export function Crew() {
  const { catalogue } = useStore();
  return (
    <Kinds kind="crew" label="Crew" rows={catalogue.living.crew} example="Porcellio scaber">
      {(row, own, alter) => <Values row={row} own={own} alter={alter} />}
    </Kinds>
  );
}

interface ValuesProps {
  readonly row: CrewKind;
  readonly own: boolean;
  readonly alter: Alter<'crew'>;
}

function Values({ row, own, alter }: ValuesProps) {
  const { write, prefs } = useReader();
  // So many on an area of the reader’s.
  const patchUnit = unitFor('area', prefs);
  const on = UNITS[patchUnit].factor;
  const onPatch = (of: Sourced<number>): Sourced<number> => ({ ...of, value: Math.round(of.value * on) });
  const offPatch = (of: Sourced<number>): Sourced<number> => ({ ...of, value: of.value / on });
  const put = (parts: Partial<CrewKind>): void => alter(() => parts);
  return (
    <>
      <Box sx={{ display: 'grid', gridTemplateColumns: { lg: '1fr 1fr' }, columnGap: 3 }}>
        <Box>
          <Part>How it lives</Part>
          <Line label="Group">{row.group}</Line>
          <Pick
            label="Keeps to"
            of={row.habit}
            words={HABIT_WORD}
            own={own}
            onPut={(habit) => put({ habit })}
          />
          <Single
            label="Size"
            measure="length"
            of={row.size}
            max={0.3}
            own={own}
            onPut={(size) => put({ size })}
          />
          <Line label="Temperature, best in the middle" of={row.temperature}>
            {[row.temperature.value.low, row.temperature.value.best]
              .map((it) => write(temperature(it), { bare: true }))
              .join(' · ')}{' '}
            · {write(temperature(row.temperature.value.high))}
          </Line>
          <Span
            label="Water in the soil’s pores"
            measure="percent"
            of={row.wetness}
            max={1}
            own={own}
            onPut={(wetness) => put({ wetness })}
          />
          <Single
            label="Depth of soil"
            measure="length"
            of={row.depth}
            min={0.001}
            max={1}
            own={own}
            onPut={(depth) => put({ depth })}
          />
          <Count
            label={`Maximum density, a ${UNITS[patchUnit].symbol}`}
            unit="adults"
            of={onPatch(row.crowd)}
            min={1}
            max={1_000_000}
            own={own}
            onPut={(crowd) => put({ crowd: offPatch(crowd) })}
          />
          <Count
            label={`To begin with, a ${UNITS[patchUnit].symbol}`}
            unit="adults"
            of={onPatch(row.start)}
            max={1_000_000}
            own={own}
            onPut={(start) => put({ start: offPatch(start) })}
          />
          <Line label="From" of={row.region}>
            {REGION_WORD[row.region.value]}
          </Line>
        </Box>
        <Box>
          <Part>How it breeds and eats</Part>
          <Count
            label="Days as an egg"
            unit="days"
            of={row.eggDays}
            max={400}
            own={own}
            onPut={(it) => put({ eggDays: { ...it, value: Math.round(it.value) } })}
          />
          <Count
            label="Until it breeds"
            unit="days"
            of={row.youngDays}
            min={1}
            max={1500}
            own={own}
            onPut={(it) => put({ youngDays: { ...it, value: Math.round(it.value) } })}
          />
          <Count
            label="Then lives"
            unit="days"
            of={row.adultDays}
            min={1}
            max={5000}
            own={own}
            onPut={(adultDays) => put({ adultDays })}
          />
          <Count
            label="Young of one adult a day"
            unit=""
            of={row.bears}
            min={0.001}
            max={100}
            step={0.1}
            own={own}
            onPut={(bears) => put({ bears })}
          />
          <Line label="Doubles in">{doubles(row)}</Line>
          <Line label="Eats" of={row.diet}>
            {[
              ['litter', row.diet.value.litter],
              ['droppings', row.diet.value.waste],
              ['mould', row.diet.value.mould],
            ]
              .filter(([, part]) => Number(part) > 0)
              .map(([name, part]) => `${name} ${Math.round(Number(part) * 100)} %`)
              .join(', ')}
          </Line>
          <Part>To know</Part>
          <Typography variant="body2">
            {[
              row.wanted ? '' : 'Not wanted: it comes with plants and eats them.',
              row.hunts ? 'Hunts smaller crew and eats its eggs.' : '',
              row.protein ? 'Nibbles soft plants and moulting animals when protein is short.' : '',
              row.climbs ? 'Climbs glass.' : '',
              row.escapes ? 'Gets out of open enclosures.' : '',
              ...lawsOf(row).map((it) => LAW_WORD[it]),
              row.air ? 'Dwindles in still air.' : '',
            ]
              .filter(Boolean)
              .join(' ') || 'Nothing special.'}{' '}
            Never release it outside.
          </Typography>
        </Box>
      </Box>
    </>
  );
}
