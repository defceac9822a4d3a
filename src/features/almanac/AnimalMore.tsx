'use client';

import Box from '@mui/material/Box';
import type { Animal, Sourced } from '@/core/catalogue';
import { LineField } from '@/ui/fields/PlainFields';
import { Count, Line, mineOf, Part, Pick, PlainSpan, Single, Span } from '@/ui/fields/SourcedFields';
import { LifeFields } from './LifeFields';
import { guess, Optional, Whether } from './Optional';
import { SexFields } from './SexFields';

const CLIMBS: Record<NonNullable<Animal['climbs']>['value'], string> = {
  glass: 'smooth panes',
  rough: 'what is rough',
  poorly: 'hardly anything',
};

interface Props {
  readonly row: Animal;
  readonly onPut: (parts: Partial<Animal>) => void;
}

/** What a row of one’s own took over from its likeness beyond its climate and room: every value can be set right. */
export function AnimalMore({ row, onPut }: Props) {
  const { growing } = row;
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: { lg: '1fr 1fr' }, columnGap: 3, mt: 1 }}>
      <Box>
        <BodyFields row={row} onPut={onPut} />
        <LimitFields row={row} onPut={onPut} />
      </Box>
      {growing && (
        <LifeFields life={growing} onPut={(parts) => onPut({ growing: { ...growing, ...parts } })} />
      )}
    </Box>
  );
}

function BodyFields({ row, onPut }: Props) {
  const { climate, perch } = row;
  const { basking, ...unbasked } = climate;
  return (
    <>
      <Part>Body and habits</Part>
      <Single
        label="Thickness of its body"
        measure="length"
        of={row.girth ?? guess(row.length.value.high / 8)}
        min={0.001}
        max={1}
        own
        onPut={(girth) => onPut({ girth })}
      />
      <SexFields row={row} onPut={onPut} />
      <Pick
        label="Climbs"
        of={row.climbs ?? guess<keyof typeof CLIMBS>('rough')}
        words={CLIMBS}
        own
        onPut={(climbs) => onPut({ climbs })}
      />
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
      <Optional
        of={perch}
        add="Add perches"
        remove="Remove perches"
        onAdd={() => onPut({ perch: guess({ low: 0.01, high: 0.03 }) })}
        onRemove={() => onPut({ perch: undefined })}
      >
        {(it) => (
          <Span
            label="Perches, thick"
            measure="length"
            of={it}
            min={0.001}
            max={0.5}
            own
            onPut={(next) => onPut({ perch: next })}
          />
        )}
      </Optional>
      <Optional
        of={basking}
        add="Add a basking spot"
        remove="Remove the basking spot"
        onAdd={() =>
          onPut({
            climate: {
              ...climate,
              basking: guess({ low: climate.warm.value.high + 2, high: climate.warm.value.high + 6 }),
            },
          })
        }
        onRemove={() => onPut({ climate: unbasked })}
      />
    </>
  );
}

/** What it cannot bear, and where it comes from. */
function LimitFields({ row, onPut }: Props) {
  const { climate, fall, latitude, lightSensitive, pool } = row;
  const { heat, ...cooler } = climate;
  const putPool = (
    parts: Partial<NonNullable<typeof pool>['value']>,
    mark: Omit<Sourced<unknown>, 'value'>,
  ) => pool && onPut({ pool: { ...mark, value: { ...pool.value, ...parts } } });
  return (
    <>
      <Part>Limits and origin</Part>
      <Optional
        of={heat}
        add="Add heat that harms it"
        remove="Remove heat that harms it"
        onAdd={() => onPut({ climate: { ...climate, heat: guess(climate.warm.value.high + 4) } })}
        onRemove={() => onPut({ climate: cooler })}
      >
        {(it) => (
          <Single
            label="Hours are harmful over"
            measure="temperature"
            of={it}
            min={10}
            max={60}
            own
            onPut={(next) => onPut({ climate: { ...climate, heat: next } })}
          />
        )}
      </Optional>
      <Optional
        of={fall}
        add="Add a fall that hurts it"
        remove="Remove the fall"
        onAdd={() => onPut({ fall: guess(0.3) })}
        onRemove={() => onPut({ fall: undefined })}
      >
        {(it) => (
          <Single
            label="A fall hurts from"
            measure="length"
            of={it}
            min={0.05}
            max={3}
            own
            onPut={(next) => onPut({ fall: next })}
          />
        )}
      </Optional>
      <Optional
        of={pool}
        add="Add water it lives in"
        remove="Remove water it lives in"
        onAdd={() =>
          onPut({
            pool: guess({
              temperature: { low: climate.night.value.low, high: climate.warm.value.high },
              depth: { low: 0.05, high: 0.2 },
            }),
          })
        }
        onRemove={() => onPut({ pool: undefined })}
      >
        {(it) => (
          <>
            <Span
              label="Its water is kept at"
              measure="temperature"
              of={{ ...it, value: it.value.temperature }}
              max={40}
              own
              onPut={({ value, ...mark }) => putPool({ temperature: value }, mark)}
            />
            <Span
              label="Its water is deep"
              measure="length"
              of={{ ...it, value: it.value.depth }}
              min={0.01}
              max={2}
              own
              onPut={({ value, ...mark }) => putPool({ depth: value }, mark)}
            />
          </>
        )}
      </Optional>
      <Optional
        of={lightSensitive}
        add="Add forms that bear less light"
        remove="Remove forms that bear less light"
        onAdd={() => onPut({ lightSensitive: guess('albino forms') })}
        onRemove={() => onPut({ lightSensitive: undefined })}
      >
        {(it) => (
          <Line label="Bear less light" of={it}>
            <LineField
              key={it.value}
              label="Bear less light"
              value={it.value}
              onCommit={(forms) => onPut({ lightSensitive: mineOf(forms.slice(0, 120)) })}
            />
          </Line>
        )}
      </Optional>
      <Optional
        of={latitude}
        add="Add latitudes"
        remove="Remove latitudes"
        onAdd={() => onPut({ latitude: guess({ low: -10, high: 10 }) })}
        onRemove={() => onPut({ latitude: undefined })}
      >
        {(it) => (
          <PlainSpan
            label="Lives between latitudes"
            unit="° north"
            of={it}
            min={-66}
            max={66}
            step={1}
            own
            onPut={(next) => onPut({ latitude: next })}
          />
        )}
      </Optional>
    </>
  );
}
