'use client';

import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { lawsOf, type Plant } from '@/core/catalogue';
import { LAW_WORD } from '@/core/living';
import { hanging } from '@/core/pieces';
import { useStore } from '@/store';
import { Count, Line, Part, Pick, PlainSpan, Single, Span } from '@/ui/fields/SourcedFields';
import { Kinds, type Alter } from './Kinds';
import { FORM_WORD, REGION_WORD } from '@/ui/words';

const SOLD_WORD: Record<Plant['sold']['value'], string> = {
  pot: 'in a pot',
  bare: 'bare root',
  cutting: 'a cutting',
  mat: 'a mat or cushion',
  bulb: 'a bulb',
};
const HARM_WORD: Record<Plant['harm']['value'], string> = {
  none: 'harmless, as far as known',
  irritant: 'may irritate',
  spines: 'spines that lodge in skin and mouth',
  glochids: 'barbed hairs that lodge in skin and mouth',
  toxic: 'poisonous to eat',
};

const FEEDS_WORD: Record<NonNullable<Plant['feeds']>[number], string> = {
  grazers: 'Food for tortoises and lizards that eat plants: unsprayed, and washed of fertiliser.',
  'leaf insects': 'Food for leaf and stick insects: unsprayed, and fresh.',
};

/** Plants, what each becomes and wants, and where every value comes from. */
export function Plants() {
  const { catalogue } = useStore();
  return (
    <Kinds kind="plants" label="Plants" rows={catalogue.living.plants} example="Ficus pumila">
      {(row, own, alter) => <Values row={row} own={own} alter={alter} />}
    </Kinds>
  );
}

interface ValuesProps {
  readonly row: Plant;
  readonly own: boolean;
  readonly alter: Alter<'plants'>;
}

function Values({ row, own, alter }: ValuesProps) {
  const put = (parts: Partial<Plant>): void => alter(() => parts);
  return (
    <>
      <Box sx={{ display: 'grid', gridTemplateColumns: { lg: '1fr 1fr' }, columnGap: 3 }}>
        <Box>
          <Part>What it becomes</Part>
          <Line label="Grows">{FORM_WORD[row.form]}</Line>
          <Span
            label={row.form === 'climber' ? 'Length, trained' : hanging(row) ? 'Length, hanging' : 'Height'}
            measure="length"
            of={row.height}
            max={5}
            own={own}
            onPut={(height) => put({ height })}
          />
          <Span
            label="Width"
            measure="length"
            of={row.width}
            max={5}
            own={own}
            onPut={(width) => put({ width })}
          />
          <Count
            label="Grown in"
            unit="months"
            of={row.months}
            min={1}
            max={240}
            own={own}
            onPut={(months) => put({ months })}
          />
          <Single
            label="Soil for its roots"
            measure="length"
            of={row.roots}
            max={0.5}
            own={own}
            onPut={(roots) => put({ roots })}
          />
          <Single
            label="Withstands up to"
            measure="mass"
            of={row.bears}
            min={0.001}
            max={20}
            own={own}
            onPut={(bears) => put({ bears })}
          />
          <Count
            label="One bought makes"
            unit={row.divides.value === 1 ? 'plant' : 'plants'}
            of={row.divides}
            min={1}
            max={20}
            own={own}
            onPut={(divides) => put({ divides: { ...divides, value: Math.round(divides.value) } })}
          />
          <Pick label="Sold as" of={row.sold} words={SOLD_WORD} own={own} onPut={(sold) => put({ sold })} />
        </Box>
        <Box>
          <Part>What it wants</Part>
          <PlainSpan
            label="Light"
            unit="mol/m² a day"
            of={row.light}
            max={65}
            own={own}
            onPut={(light) => put({ light })}
          />
          <Span
            label="Temperature"
            measure="temperature"
            of={row.temperature}
            min={-20}
            max={50}
            own={own}
            onPut={(temperature) => put({ temperature })}
          />
          <Span
            label="Humidity"
            measure="percent"
            of={row.humidity}
            max={1}
            own={own}
            onPut={(humidity) => put({ humidity })}
          />
          <Span
            label="Water in the soil’s pores"
            measure="percent"
            of={row.wetness}
            max={1}
            own={own}
            onPut={(wetness) => put({ wetness })}
          />
          <Part>To know</Part>
          <Pick
            label="To touch and eat"
            of={row.harm}
            words={HARM_WORD}
            own={own}
            onPut={(harm) => put({ harm })}
          />
          <Pick
            label="From"
            of={row.region}
            words={REGION_WORD}
            own={own}
            onPut={(region) => put({ region })}
          />
        </Box>
      </Box>
      {row.catches && (
        <Typography variant="body2" sx={{ mt: 1.5 }}>
          It catches small animals. It wants lean soil without lime, and rain or distilled water; it takes
          flies and springtails of the cleanup crew too.
        </Typography>
      )}
      {row.feeds && (
        <Typography variant="body2" sx={{ mt: 1.5 }}>
          {row.feeds.map((it) => FEEDS_WORD[it]).join(' ')}
        </Typography>
      )}
      {lawsOf(row).length > 0 && (
        <Typography variant="body2" sx={{ mt: 1.5 }}>
          {lawsOf(row)
            .map((it) => LAW_WORD[it])
            .join(' ')}{' '}
          Ask the local authority.
        </Typography>
      )}
    </>
  );
}
