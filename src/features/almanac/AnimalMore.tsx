'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { DIETS, lawsOf, Legal, type Animal, type Life, type Sourced } from '@/core/catalogue';
import { LAW_WORD } from '@/core/living';
import { LineField } from '@/ui/fields/PlainFields';
import { Count, Line, mineOf, Part, Pick, PlainSpan, Single, Span } from '@/ui/fields/SourcedFields';
import { REGION_WORD } from '@/ui/words';

const CLIMBS: Record<NonNullable<Animal['climbs']>['value'], string> = {
  glass: 'smooth panes',
  rough: 'what is rough',
  poorly: 'hardly anything',
};
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
const YES = { yes: 'yes', no: 'no' } as const;

/** Yes or no, as one of two words. */
function Whether({
  label,
  of,
  onPut,
}: {
  readonly label: string;
  readonly of: Sourced<boolean> | undefined;
  readonly onPut: (value: Sourced<boolean>) => void;
}) {
  const told = of ?? { value: false, basis: 'estimated' as const };
  return (
    <Pick
      label={label}
      of={{ ...told, value: told.value ? 'yes' : 'no' }}
      words={YES}
      own
      onPut={({ value, ...mark }) => onPut({ ...mark, value: value === 'yes' })}
    />
  );
}

interface Props {
  readonly row: Animal;
  readonly onPut: (parts: Partial<Animal>) => void;
}

/** What a row of one’s own took over from its likeness beyond its climate and room: every value can be set right. */
export function AnimalMore({ row, onPut }: Props) {
  const { growing, climate } = row;
  const { basking, ...unbasked } = climate;
  const { perch } = row;
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: { lg: '1fr 1fr' }, columnGap: 3, mt: 1 }}>
      <Box>
        <Part>Body and habits</Part>
        <Single
          label="Thickness of its body"
          measure="length"
          of={row.girth ?? { value: row.length.value.high / 8, basis: 'estimated' }}
          min={0.001}
          max={1}
          own
          onPut={(girth) => onPut({ girth })}
        />
        <Pick
          label="Climbs"
          of={row.climbs ?? { value: 'rough', basis: 'estimated' }}
          words={CLIMBS}
          own
          onPut={(climbs) => onPut({ climbs })}
        />
        {perch ? (
          <Span
            label="Perches, thick"
            measure="length"
            of={perch}
            min={0.001}
            max={0.5}
            own
            onPut={(it) => onPut({ perch: it })}
          />
        ) : null}
        <Whether label="Keeps under cover" of={row.shy} onPut={(shy) => onPut({ shy })} />
        <Whether label="Wants a moist hide" of={row.moistHide} onPut={(moistHide) => onPut({ moistHide })} />
        <Whether
          label="Moves through loose sand"
          of={row.swimsInSand}
          onPut={(swimsInSand) => onPut({ swimsInSand })}
        />
        <Count
          label="Floor for each further one"
          unit="of the first"
          of={row.extraFloor}
          max={2}
          step={0.1}
          own
          onPut={(extraFloor) => onPut({ extraFloor })}
        />
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mt: 1 }}>
          <Button
            onClick={() =>
              onPut(
                basking
                  ? { climate: unbasked }
                  : {
                      climate: {
                        ...climate,
                        basking: {
                          value: { low: climate.warm.value.high + 2, high: climate.warm.value.high + 6 },
                          basis: 'estimated',
                        },
                      },
                    },
              )
            }
          >
            {basking ? 'It does not bask' : 'Add a basking spot'}
          </Button>
          {!perch && (
            <Button
              onClick={() => onPut({ perch: { value: { low: 0.01, high: 0.03 }, basis: 'estimated' } })}
            >
              Add perches
            </Button>
          )}
          {perch && <Button onClick={() => onPut({ perch: undefined })}>It does not perch</Button>}
        </Box>
      </Box>
      {growing && (
        <LifeFields life={growing} onPut={(parts) => onPut({ growing: { ...growing, ...parts } })} />
      )}
    </Box>
  );
}

function LifeFields({
  life,
  onPut,
}: {
  readonly life: Life;
  readonly onPut: (parts: Partial<Life>) => void;
}) {
  const { defence, incubation, laying } = life;
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
      {laying && (
        <Single
          label="Damp soil to lay in"
          measure="length"
          of={{ ...laying, value: laying.value.depth }}
          min={0.005}
          max={1}
          own
          onPut={({ value: depth, ...mark }) =>
            onPut({ laying: { ...mark, value: { ...laying.value, depth } } })
          }
        />
      )}
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
      <Part>Law</Part>
      {Legal.options.map((law) => (
        <FormControlLabel
          key={law}
          label={LAW_WORD[law]}
          control={
            <Checkbox
              size="small"
              checked={laws.includes(law)}
              onChange={(_, isTrue) => {
                const next = isTrue ? [...laws, law] : laws.filter((it) => it !== law);
                onPut({ legal: next.length === 0 ? undefined : next });
              }}
            />
          }
          sx={{ display: 'flex' }}
        />
      ))}
    </Box>
  );
}
