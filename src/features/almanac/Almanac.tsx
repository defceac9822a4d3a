'use client';

import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useEffect, useState, type ReactNode } from 'react';
import { catalogue as shipped } from '@/catalogue';
import { Animal, type Range, type Sourced } from '@/core/catalogue';
import { length, mass, percent, temperature, type Measure, type Quantity } from '@/core/units';
import { useOwn, useStore } from '@/store';
import { BasisMark } from '@/ui/BasisMark';
import { LineField, PickField } from '@/ui/fields/PlainFields';
import { QuantityField } from '@/ui/fields/QuantityField';
import { OwnRowActions } from '@/ui/OwnRowActions';
import { DetailCard, ListDetail } from '@/ui/shell/ListDetail';
import { TopBar } from '@/ui/shell/TopBar';
import { useReader } from '@/ui/units';
import { OUTER_PLACES } from '@/ui/words';

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
export function Almanac({ tools }: { readonly tools: ReactNode }) {
  const { catalogue, settings } = useStore();
  const { save } = useOwn();
  const [selected, setSelected] = useState<string>(catalogue.animals[0]?.id ?? '');
  const row = catalogue.animals.find((it) => it.id === selected) ?? catalogue.animals[0];
  const mine = new Set(settings.animals.map((it) => it.id));
  useEffect(() => {
    document.title = 'Almanac · Rincon';
  }, []);
  return (
    <Box sx={{ minHeight: '100dvh' }}>
      <TopBar places={OUTER_PLACES('/almanac')} tools={tools} />
      <Box component="main" sx={{ px: 2.5, py: 2, maxWidth: 1320, mx: 'auto' }}>
        <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 2, mb: 1.75 }}>
          <Typography variant="h1" component="h1">
            Almanac
          </Typography>
          <Typography variant="body2" sx={{ color: 'earth.quiet' }}>
            Animals. Values marked “from memory” are to be confirmed; where a kind is missing, make one from
            its nearest likeness.
          </Typography>
        </Box>
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
      </Box>
    </Box>
  );
}

interface DetailProps {
  readonly row: Animal;
  readonly own: boolean;
  readonly onLike: () => void;
  readonly onGone: () => void;
}

const mineOf = <T,>(value: T): Sourced<T> => ({ value, basis: 'own' });

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

function Part({ children }: { readonly children: ReactNode }) {
  return (
    <Typography variant="h3" sx={{ mt: 1.5, mb: 0.5 }}>
      {children}
    </Typography>
  );
}

interface LineProps {
  readonly label: string;
  readonly of?: Sourced<unknown>;
  readonly children: ReactNode;
}

function Line({ label, of, children }: LineProps) {
  const source = shipped.sources.find((it) => it.id === of?.source)?.citation;
  return (
    <Box
      sx={{
        display: 'flex',
        alignItems: 'center',
        gap: 1.25,
        minHeight: 34,
        borderBottom: 1,
        borderColor: 'earth.rule',
      }}
    >
      <Box sx={{ flex: 1, color: 'earth.quiet' }}>{label}</Box>
      <Box sx={{ fontWeight: 600, display: 'flex', gap: 0.75, alignItems: 'baseline' }}>{children}</Box>
      {of && <BasisMark basis={of.basis} {...(source ? { source } : {})} />}
    </Box>
  );
}

interface PickProps<T extends string> {
  readonly label: string;
  readonly of: Sourced<T>;
  readonly words: Record<T, string>;
  readonly own: boolean;
  readonly onPick: (value: T) => void;
}

function Pick<T extends string>({ label, of, words, own, onPick }: PickProps<T>) {
  const options = Object.keys(words) as T[];
  return (
    <Line label={label} of={of}>
      {own ? (
        <PickField
          label={label}
          value={of.value}
          options={options.map((value) => ({ value, name: words[value] }))}
          onPick={onPick}
        />
      ) : (
        words[of.value]
      )}
    </Line>
  );
}

const KIND: Partial<Record<Measure, (si: number) => Quantity>> = { length, mass, percent, temperature };
const STEP: Partial<Record<Measure, number>> = { length: 0.01, mass: 0.01, percent: 0.05, temperature: 0.5 };

interface SingleProps {
  readonly label: string;
  readonly measure: Measure;
  readonly of: Sourced<number>;
  readonly min?: number;
  readonly max: number;
  readonly own: boolean;
  readonly onPut: (value: Sourced<number>) => void;
}

function Single({ label, measure, of, min = 0, max, own, onPut }: SingleProps) {
  const { write } = useReader();
  const quantity = KIND[measure];
  return (
    <Line label={label} of={of}>
      {own ? (
        <QuantityField
          bare
          label={label}
          measure={measure}
          value={of.value}
          min={min}
          max={max}
          step={STEP[measure] ?? 0.01}
          onCommit={(si) => onPut(mineOf(si))}
        />
      ) : (
        quantity && write(quantity(of.value))
      )}
    </Line>
  );
}

interface SpanProps {
  readonly label: string;
  readonly measure: Measure;
  readonly of: Sourced<Range>;
  readonly min?: number;
  readonly max: number;
  readonly own: boolean;
  readonly onPut: (value: Sourced<Range>) => void;
}

/** A range: its low end never passes its high one. */
function Span({ label, measure, of, min = 0, max, own, onPut }: SpanProps) {
  const { write } = useReader();
  const quantity = KIND[measure];
  const { low, high } = of.value;
  if (!quantity) return null;
  const digits = measure === 'mass' && high < 1 ? { decimals: 3, trim: true } : {};
  return (
    <Line label={label} of={of}>
      {own ? (
        <>
          <QuantityField
            bare
            label={`${label}, from`}
            measure={measure}
            value={low}
            min={min}
            max={high}
            step={STEP[measure] ?? 0.01}
            onCommit={(si) => onPut(mineOf({ low: si, high }))}
          />
          to
          <QuantityField
            bare
            label={`${label}, to`}
            measure={measure}
            value={high}
            min={low}
            max={max}
            step={STEP[measure] ?? 0.01}
            onCommit={(si) => onPut(mineOf({ low, high: si }))}
          />
        </>
      ) : low === high ? (
        write(quantity(low), digits)
      ) : (
        `${write(quantity(low), { ...digits, bare: true, trim: true })} to ${write(quantity(high), digits)}`
      )}
    </Line>
  );
}
