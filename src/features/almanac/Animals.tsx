'use client';

import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import dynamic from 'next/dynamic';
import type { Animal } from '@/core/catalogue';
import { useStore } from '@/store';
import { LifeFacts } from '@/ui/LifeFacts';
import { PickField } from '@/ui/fields/PlainFields';
import { Line, mineOf, Part, Pick, Single, Span } from '@/ui/fields/SourcedFields';
import { Kinds, type Alter } from './Kinds';

// Only rows of one’s own need it.
const AnimalMore = dynamic(() => import('./AnimalMore').then((it) => it.AnimalMore));

const GROUND_WORD: Record<Animal['ground']['value'], string> = {
  'half-water': 'half in water',
  wet: 'wet soil over drainage',
  damp: 'damp below, drier above',
  dry: 'dry',
};
const LIFE_WORD: Record<Animal['life']['value'], string> = {
  ground: 'on the ground',
  climbing: 'climbing',
  burrowing: 'burrowing',
  'half-water': 'half in water',
};
const GROUP_WORD: Record<Animal['company']['value'], string> = {
  alone: 'alone',
  pairs: 'in pairs',
  groups: 'in small groups',
};
const WATER_WORD: Record<Animal['water']['value'], string> = {
  drops: 'drops on leaves',
  'drops and dish': 'drops on leaves, and a dish',
  dish: 'a dish',
  'soaking dish': 'a dish to soak in',
  pool: 'a pool',
};

/** The animals, what each asks for, and where every value comes from; the builder's own beside them. */
export function Animals() {
  const { catalogue } = useStore();
  return (
    <Kinds kind="animals" label="Animals" rows={catalogue.animals} example="Anolis carolinensis">
      {(row, own, alter) => <Values row={row} own={own} alter={alter} />}
    </Kinds>
  );
}

interface ValuesProps {
  readonly row: Animal;
  readonly own: boolean;
  readonly alter: Alter<'animals'>;
}

function Values({ row, own, alter }: ValuesProps) {
  const { catalogue } = useStore();
  const put = (parts: Partial<Animal>): void => alter(() => parts);
  const inClimate = (parts: Partial<Animal['climate']>): void =>
    alter((now) => ({ climate: { ...now.climate, ...parts } }));
  return (
    <>
      <Box sx={{ display: 'grid', gridTemplateColumns: { lg: '1fr 1fr' }, columnGap: 3 }}>
        <Box>
          <Part>How it lives</Part>
          <Pick
            label="Ground"
            of={row.ground}
            words={GROUND_WORD}
            own={own}
            onPut={(ground) => put({ ground })}
          />
          <Pick label="Lives" of={row.life} words={LIFE_WORD} own={own} onPut={(life) => put({ life })} />
          <Pick
            label="Group"
            of={row.company}
            words={GROUP_WORD}
            own={own}
            onPut={(company) => put({ company })}
          />
          <Pick
            label="Drinks from"
            of={row.water}
            words={WATER_WORD}
            own={own}
            onPut={(water) => put({ water })}
          />
          <Single
            label="Soil to dig in"
            measure="length"
            of={row.digs}
            max={1}
            own={own}
            onPut={(it) => put({ digs: it })}
          />
          <Line label="Soil">
            {own ? (
              <PickField
                label="Soil"
                value={row.recipe}
                options={catalogue.recipes.map((it) => ({ value: it.id, name: it.name }))}
                onPick={(recipe) => put({ recipe })}
              />
            ) : (
              (catalogue.recipes.find((it) => it.id === row.recipe)?.name ?? row.recipe)
            )}
          </Line>
          <Part>Size and room</Part>
          <Span
            label="Length"
            measure="length"
            of={row.length}
            max={6}
            own={own}
            onPut={(it) => put({ length: it })}
          />
          <Span
            label="Weight"
            measure="mass"
            of={row.mass}
            max={100}
            own={own}
            onPut={(it) => put({ mass: it })}
          />
          {(['width', 'depth', 'freeHeight'] as const).map((side) => (
            <Single
              key={side}
              label={
                { width: 'Floor, wide', depth: 'Floor, deep', freeHeight: 'Height over the ground' }[side]
              }
              measure="length"
              of={{ ...row.space, value: row.space.value[side] }}
              min={0.05}
              max={8}
              own={own}
              onPut={(it) =>
                alter((now) => ({ space: { ...it, value: { ...now.space.value, [side]: it.value } } }))
              }
            />
          ))}
        </Box>
        <Box>
          <Part>Climate</Part>
          {row.climate.basking && (
            <Span
              label="Basking spot"
              measure="temperature"
              of={row.climate.basking}
              min={10}
              max={70}
              own={own}
              onPut={(it) => inClimate({ basking: it })}
            />
          )}
          <Span
            label="Warm side"
            measure="temperature"
            of={row.climate.warm}
            min={5}
            max={50}
            own={own}
            onPut={(it) => inClimate({ warm: it })}
          />
          <Span
            label="Cool side"
            measure="temperature"
            of={row.climate.cool}
            min={5}
            max={50}
            own={own}
            onPut={(it) => inClimate({ cool: it })}
          />
          <Span
            label="Night"
            measure="temperature"
            of={row.climate.night}
            min={0}
            max={45}
            own={own}
            onPut={(it) => inClimate({ night: it })}
          />
          <Span
            label="Humidity by day"
            measure="percent"
            of={row.climate.humidityDay}
            max={1}
            own={own}
            onPut={(it) => inClimate({ humidityDay: it })}
          />
          <Span
            label="Humidity by night"
            measure="percent"
            of={row.climate.humidityNight}
            max={1}
            own={own}
            onPut={(it) => inClimate({ humidityNight: it })}
          />
          <Line
            label="UV zone"
            of={row.climate.uvZone}
            onMark={
              own ? (mark) => inClimate({ uvZone: { value: row.climate.uvZone.value, ...mark } }) : undefined
            }
          >
            {own ? (
              <PickField
                label="UV zone"
                value={String(row.climate.uvZone.value)}
                options={['1', '2', '3', '4'].map((zone) => ({ value: zone, name: zone }))}
                onPick={(zone) => inClimate({ uvZone: mineOf(Number(zone)) })}
              />
            ) : (
              row.climate.uvZone.value
            )}
          </Line>
          {row.growing && (
            <>
              <Part>How it is kept</Part>
              <LifeFacts animal={row} life={row.growing} months={null} />
            </>
          )}
          <Typography variant="body2" sx={{ color: 'earth.quiet', mt: 2 }}>
            Some species are protected or need a permit: ask the local authority. A qualified veterinarian
            decides about health.
          </Typography>
        </Box>
      </Box>
      {own && <AnimalMore row={row} onPut={put} />}
    </>
  );
}
