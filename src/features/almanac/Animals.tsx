'use client';

import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { catalogue as shipped } from '@/catalogue';
import { Animal } from '@/core/catalogue';
import { useOwn, useStore } from '@/store';
import { LineField, PickField } from '@/ui/fields/PlainFields';
import { OwnRowActions } from '@/ui/OwnRowActions';
import { DetailCard, ListDetail } from '@/ui/shell/ListDetail';
import { Line, mineOf, Part, Pick, Single, Span } from './fields';

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
const COMPANY_WORD: Record<Animal['company']['value'], string> = {
  alone: 'alone',
  pairs: 'in pairs',
  groups: 'in small groups',
};
const WATER_WORD: Record<Animal['water']['value'], string> = {
  drops: 'drops on leaves',
  dish: 'a dish',
  'soaking dish': 'a dish to soak in',
  pool: 'a pool',
};

/** The animals, what each asks for, and where every value comes from; the builder's own beside them. */
export function Animals() {
  const { catalogue, settings } = useStore();
  const { save } = useOwn();
  const [selected, setSelected] = useState<string>(catalogue.animals[0]?.id ?? '');
  const row = catalogue.animals.find((it) => it.id === selected) ?? catalogue.animals[0];
  const mine = new Set(settings.animals.map((it) => it.id));
  return (
    <ListDetail
      label="Animals"
      items={catalogue.animals.map((it) => ({
        id: it.id,
        name: it.english.charAt(0).toUpperCase() + it.english.slice(1),
        hint: it.scientific,
        own: mine.has(it.id),
      }))}
      selected={row?.id ?? null}
      onSelect={setSelected}
    >
      {row && (
        <Detail
          key={row.id}
          row={row}
          own={mine.has(row.id)}
          onLike={() => {
            const stem = `${row.id}-own`;
            const taken = new Set(catalogue.animals.map((it) => it.id));
            let id = stem;
            for (let count = 2; taken.has(id); count += 1) id = `${stem}-${count}`;
            void save('animals', { ...row, id, english: `Kind like ${row.english}` }).then(() =>
              setSelected(id),
            );
          }}
          onGone={() => setSelected(catalogue.animals[0]?.id ?? '')}
        />
      )}
    </ListDetail>
  );
}

interface DetailProps {
  readonly row: Animal;
  readonly own: boolean;
  readonly onLike: () => void;
  readonly onGone: () => void;
}

function Detail({ row, own, onLike, onGone }: DetailProps) {
  const { catalogue } = useStore();
  const { save, change, remove } = useOwn();
  const put = (parts: Partial<Animal>): void => void change('animals', row, (now) => ({ ...now, ...parts }));
  const inClimate = (parts: Partial<Animal['climate']>): void =>
    void change('animals', row, (now) => ({ ...now, climate: { ...now.climate, ...parts } }));

  return (
    <DetailCard label={row.english}>
      <Box sx={{ display: 'flex', alignItems: 'flex-start', gap: 1, mb: 1.5 }}>
        <Box sx={{ flex: 1 }}>
          {own ? (
            <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1.25 }}>
              <LineField
                key={row.english}
                label="English name"
                value={row.english}
                onCommit={(english) => put({ english: english.slice(0, 80) })}
              />
              <LineField
                key={row.scientific}
                label="Scientific name"
                value={row.scientific}
                check={(text) =>
                  Animal.shape.scientific.safeParse(text).success
                    ? undefined
                    : 'Genus and species: Anolis carolinensis.'
                }
                onCommit={(scientific) => put({ scientific })}
              />
            </Box>
          ) : (
            <>
              <Typography variant="h2">{row.english}</Typography>
              <Typography variant="body2" sx={{ fontStyle: 'italic', color: 'earth.quiet' }}>
                {row.scientific}
              </Typography>
            </>
          )}
        </Box>
        <OwnRowActions
          name={row.english}
          own={own}
          ships={shipped.animals.some((it) => it.id === row.id)}
          onChange={() => put({})}
          onLike={onLike}
          onTakeOut={() => remove('animals', row.id)}
          onUndo={() => void save('animals', row)}
          onGone={onGone}
        />
      </Box>
      <Box sx={{ display: 'grid', gridTemplateColumns: { lg: '1fr 1fr' }, columnGap: 3 }}>
        <Box>
          <Part>How it lives</Part>
          <Pick
            label="Ground"
            of={row.ground}
            words={GROUND_WORD}
            own={own}
            onPick={(value) => put({ ground: mineOf(value) })}
          />
          <Pick
            label="Lives"
            of={row.life}
            words={LIFE_WORD}
            own={own}
            onPick={(value) => put({ life: mineOf(value) })}
          />
          <Pick
            label="Company"
            of={row.company}
            words={COMPANY_WORD}
            own={own}
            onPick={(value) => put({ company: mineOf(value) })}
          />
          <Pick
            label="Drinks from"
            of={row.water}
            words={WATER_WORD}
            own={own}
            onPick={(value) => put({ water: mineOf(value) })}
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
                void change('animals', row, (now) => ({
                  ...now,
                  space: mineOf({ ...now.space.value, [side]: it.value }),
                }))
              }
            />
          ))}
        </Box>
        <Box>
          <Part>Climate</Part>
          {row.climate.basking && (
            <Span
              label="Basking place"
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
          <Line label="UV zone" of={row.climate.uvZone}>
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
          <Typography variant="body2" sx={{ color: 'earth.quiet', mt: 2 }}>
            Some kinds are protected or need a permit: ask the local authority. A qualified veterinarian
            decides about health.
          </Typography>
        </Box>
      </Box>
    </DetailCard>
  );
}
