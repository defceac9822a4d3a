'use client';

import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { CAUTIONS, DIETS, lawsOf, Legal, type Life } from '@/core/catalogue';
import { LAW_WORD } from '@/core/living';
import { LineField } from '@/ui/fields/PlainFields';
import { Count, Line, mineOf, Part, Pick, PlainSpan, Single, Span } from '@/ui/fields/SourcedFields';
import { REGION_WORD } from '@/ui/words';
import { LayingFields, RestFields } from './SeasonFields';

const YOUNG: Record<Life['young']['value'], string> = { eggs: 'eggs', spawn: 'spawn', live: 'live young' };
const SEXES: Record<Life['sexes']['value'], string> = {
  alone: 'alone',
  pair: 'a pair',
  'one male': 'one male with females',
  females: 'females only',
  any: 'any',
};
const HANDLING: Record<Life['handling']['value'], string> = {
  never: 'never',
  rarely: 'when it must be',
  weekly: 'at most weekly',
  often: 'shortly, often',
};
const DIET = Object.fromEntries(DIETS.map((it) => [it, it])) as Record<Life['diet']['value'], string>;
const DEFENCE: Record<NonNullable<Life['defence']>['value'], string> = {
  'skin poison': 'poison on its skin',
  hairs: 'hairs that irritate',
  sting: 'a sting',
  bite: 'a bite',
};

/** What it eats, how it is kept and breeds, and the law: every value can be set right. */
export function LifeFields({
  life,
  onPut,
}: {
  readonly life: Life;
  readonly onPut: (parts: Partial<Life>) => void;
}) {
  const { cautions, defence, incubation } = life;
  const laws = lawsOf(life);
  return (
    <Box>
      <Part>Food, life and law</Part>
      <Pick label="Eats" of={life.diet} words={DIET} own onPut={(diet) => onPut({ diet })} />
      <Pick
        label="To be handled"
        of={life.handling}
        words={HANDLING}
        own
        onPut={(handling) => onPut({ handling })}
      />
      <Pick label="Sexes together" of={life.sexes} words={SEXES} own onPut={(sexes) => onPut({ sexes })} />
      <Pick
        label="Defends itself by"
        of={{ basis: 'estimated', ...defence, value: defence?.value ?? 'none' }}
        words={{ none: 'nothing known', ...DEFENCE }}
        own
        onPut={({ value, ...mark }) => onPut({ defence: value === 'none' ? undefined : { ...mark, value } })}
      />
      <Single
        label="Hatched or born"
        measure="length"
        of={life.hatched}
        min={0.001}
        max={2}
        own
        onPut={(hatched) => onPut({ hatched })}
      />
      <Count
        label="Grown after"
        unit="months"
        of={life.monthsToAdult}
        min={1}
        max={240}
        own
        onPut={(monthsToAdult) => onPut({ monthsToAdult })}
      />
      <Count
        label="Lives"
        unit="years"
        of={life.years}
        min={0.5}
        max={150}
        own
        onPut={(years) => onPut({ years })}
      />
      <Pick label="Bears" of={life.young} words={YOUNG} own onPut={(young) => onPut({ young })} />
      <PlainSpan
        label="At a time"
        unit=""
        of={life.brood}
        min={1}
        max={20_000}
        step={1}
        own
        onPut={(brood) => onPut({ brood })}
      />
      <Line label="Lays or bears" of={life.lays}>
        <LineField
          key={life.lays.value}
          label="Lays or bears"
          value={life.lays.value}
          onCommit={(lays) => onPut({ lays: mineOf(lays.slice(0, 200)) })}
        />
      </Line>
      <LayingFields life={life} onPut={onPut} />
      {incubation && (
        <>
          <Span
            label="Eggs are kept at"
            measure="temperature"
            of={{ ...incubation, value: incubation.value.temperature }}
            min={5}
            max={45}
            own
            onPut={({ value: temperature, ...mark }) =>
              onPut({ incubation: { ...mark, value: { ...incubation.value, temperature } } })
            }
          />
          <PlainSpan
            label="Eggs take"
            unit="days"
            of={{ ...incubation, value: incubation.value.days }}
            min={1}
            max={600}
            step={1}
            own
            onPut={({ value: days, ...mark }) =>
              onPut({ incubation: { ...mark, value: { ...incubation.value, days } } })
            }
          />
        </>
      )}
      <Pick label="From" of={life.region} words={REGION_WORD} own onPut={(region) => onPut({ region })} />
      <RestFields life={life} onPut={onPut} />
      <Part>In a group</Part>
      <Ticks
        options={CAUTIONS}
        name={(it) => it}
        ticked={cautions.value}
        onTick={(value) => onPut({ cautions: mineOf(value) })}
      />
      <Part>Law</Part>
      <Ticks
        options={Legal.options}
        name={(law) => LAW_WORD[law]}
        ticked={laws}
        onTick={(next) => onPut({ legal: next.length === 0 ? undefined : next })}
      />
    </Box>
  );
}

/** Each of a list, ticked or not. */
function Ticks<T extends string>({
  options,
  name,
  ticked,
  onTick,
}: {
  readonly options: readonly T[];
  readonly name: (it: T) => string;
  readonly ticked: readonly T[];
  readonly onTick: (ticked: T[]) => void;
}) {
  return options.map((it) => (
    <FormControlLabel
      key={it}
      label={name(it)}
      control={
        <Checkbox
          size="small"
          checked={ticked.includes(it)}
          onChange={(_, isTrue) => onTick(isTrue ? [...ticked, it] : ticked.filter((own) => own !== it))}
        />
      }
      sx={{ display: 'flex' }}
    />
  ));
}
