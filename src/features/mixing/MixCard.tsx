'use client';

import CloseIcon from '@mui/icons-material/Close';
import LockIcon from '@mui/icons-material/Lock';
import LockOpenIcon from '@mui/icons-material/LockOpenOutlined';
import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import IconButton from '@mui/material/IconButton';
import Slider from '@mui/material/Slider';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { materialOf, materialsFor, type Catalogue } from '@/core/catalogue';
import { mixOfRecipe } from '@/core/edits';
import { type Mix } from '@/core/document';
import { normalise } from '@/core/ground';
import { rebalance } from '@/core/mixing';
import { percent } from '@/core/units';
import { NumberField } from '@/ui/fields/PlainFields';
import { QuantityField } from '@/ui/fields/QuantityField';
import { useReader } from '@/ui/units';
import { COLOURS, LETTERS } from './words';

export interface OnBench {
  readonly name: string;
  readonly mix: Mix;
}

interface Props {
  readonly index: number;
  readonly mix: OnBench;
  readonly catalogue: Catalogue;
  /** `done`: the hand has let go, and it may be written down. */
  readonly onChange: (mix: OnBench, done: boolean) => void;
  readonly onRemove: (() => void) | undefined;
}

interface Start {
  readonly id: string;
  readonly name: string;
  readonly group: string;
  readonly make: () => OnBench;
}

/** One mix: what it is made of, by shares that always come to a hundred. */
export function MixCard({ index, mix: { name, mix }, catalogue, onChange, onRemove }: Props) {
  const { write } = useReader();
  const [locked, setLocked] = useState<ReadonlySet<string>>(new Set());
  const shares = normalise(mix);
  const total = mix.parts.reduce((sum, part) => sum + part.parts, 0) || 1;
  const used = new Set(mix.parts.map((part) => part.material));
  const letter = LETTERS[index] ?? 'A';

  const put = (next: Mix, done: boolean): void => onChange({ name, mix: next }, done);
  const share = (at: number, to: number, done: boolean): void => {
    const held = new Set(mix.parts.flatMap((part, here) => (locked.has(part.material) ? [here] : [])));
    const next = rebalance(
      shares.map((it) => it.share),
      at,
      to,
      held,
    );
    // The whole stays as large as it was: five parts stay five parts.
    put(
      {
        ...mix,
        parts: mix.parts.map((part, here) => ({
          ...part,
          parts: Number(((next[here] ?? 0) * total).toPrecision(9)),
        })),
      },
      done,
    );
  };
  const starts: Start[] = [
    ...catalogue.recipes.map((row): Start => ({
      id: row.id,
      name: row.name,
      group: 'Recipes',
      make: () => ({ name: row.name, mix: mixOfRecipe(row.id, catalogue) }),
    })),
    ...materialsFor(catalogue, 'ready-made').map((row): Start => ({
      id: row.id,
      name: row.name,
      group: 'Ready-made, out of a bag',
      make: () => ({
        name: row.name,
        mix: { recipe: null, parts: [{ material: row.id, parts: 1 }], packingLoss: 0 },
      }),
    })),
  ];

  return (
    <Box
      component="section"
      aria-label={`Mix ${letter}`}
      sx={{
        bgcolor: 'earth.card',
        border: 1,
        borderColor: 'earth.rule',
        borderRadius: '12px',
        p: 1.5,
        minWidth: 0,
      }}
    >
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, mb: 0.75 }}>
        <Box
          aria-hidden
          sx={{
            width: 26,
            height: 26,
            borderRadius: '8px',
            display: 'grid',
            placeItems: 'center',
            fontWeight: 700,
            bgcolor: `earth.${COLOURS[index] ?? 'moss'}`,
            color: 'earth.card',
          }}
        >
          {letter}
        </Box>
        <Autocomplete
          key={name}
          options={starts}
          groupBy={(it) => it.group}
          getOptionLabel={(it) => it.name}
          isOptionEqualToValue={(a, b) => a.id === b.id}
          defaultValue={null}
          blurOnSelect
          onChange={(_, it) => it && onChange(it.make(), true)}
          renderInput={(params) => (
            <TextField
              {...params}
              label={`Mix ${letter}, start from`}
              placeholder={name}
              slotProps={{
                ...params.slotProps,
                inputLabel: { ...params.slotProps.inputLabel, shrink: true },
              }}
              sx={{ '& input::placeholder': { opacity: 1, color: 'earth.ink', fontWeight: 600 } }}
            />
          )}
          sx={{ flex: 1 }}
        />
        {onRemove && (
          <IconButton size="small" aria-label={`Take mix ${letter} off the bench`} onClick={onRemove}>
            <CloseIcon sx={{ fontSize: 18 }} />
          </IconButton>
        )}
      </Box>
      <Box component="ul" aria-label={`Ingredients of mix ${letter}`} sx={{ listStyle: 'none', p: 0, m: 0 }}>
        {shares.map((part, at) => {
          const row = materialOf(catalogue, part.material);
          const held = locked.has(part.material);
          return (
            <Box
              component="li"
              key={part.material}
              sx={{
                display: 'grid',
                gridTemplateColumns: 'minmax(96px, 1.15fr) minmax(60px, 1fr) 52px 50px 26px 26px',
                alignItems: 'center',
                columnGap: 0.75,
                minHeight: 33,
                borderBottom: 1,
                borderColor: 'earth.rule',
              }}
            >
              <Box
                component="span"
                title={row.name}
                sx={{ fontSize: '0.88rem', lineHeight: 1.15, overflowWrap: 'anywhere' }}
              >
                {row.name}
              </Box>
              <Slider
                size="small"
                aria-label={`Share of ${row.name} in ${letter}`}
                value={Math.round(part.share * 1000) / 10}
                min={0}
                max={100}
                step={1}
                disabled={held || mix.parts.length === 1}
                getAriaValueText={(value) => `${value} %`}
                onChange={(_, value) => share(at, Number(value) / 100, false)}
                onChangeCommitted={(_, value) => share(at, Number(value) / 100, true)}
                sx={{ color: `earth.${COLOURS[index] ?? 'moss'}`, py: 1 }}
              />
              <Box component="span" sx={{ textAlign: 'right', fontWeight: 600, fontSize: '0.88rem' }}>
                {write(percent(part.share), { decimals: 1 })}
              </Box>
              <NumberField
                bare
                key={part.written}
                label={`Parts of ${row.name} in ${letter}`}
                value={part.written}
                min={0}
                max={1e6}
                step={0.5}
                onCommit={(parts) =>
                  put(
                    {
                      ...mix,
                      parts: mix.parts.map((it, here) => (here === at ? { ...it, parts } : it)),
                    },
                    true,
                  )
                }
                sx={{ '& input': { width: 44, textAlign: 'right', p: '2px 0', fontSize: '0.86rem' } }}
              />
              <IconButton
                size="small"
                aria-pressed={held}
                aria-label={`Hold the share of ${row.name} in ${letter}`}
                disabled={mix.parts.length < 3}
                onClick={() =>
                  setLocked((now) => {
                    const next = new Set(now);
                    if (held) next.delete(part.material);
                    else next.add(part.material);
                    return next;
                  })
                }
                sx={{ p: 0.5, color: held ? 'earth.clay' : 'earth.quiet' }}
              >
                {held ? <LockIcon sx={{ fontSize: 16 }} /> : <LockOpenIcon sx={{ fontSize: 16 }} />}
              </IconButton>
              <IconButton
                size="small"
                aria-label={`Take ${row.name} out of ${letter}`}
                disabled={mix.parts.length === 1}
                onClick={() =>
                  put({ ...mix, parts: mix.parts.filter((it) => it.material !== part.material) }, true)
                }
                sx={{ p: 0.5 }}
              >
                <CloseIcon sx={{ fontSize: 16 }} />
              </IconButton>
            </Box>
          );
        })}
      </Box>
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 118px', gap: 1, mt: 1 }}>
        <Autocomplete
          key={mix.parts.length}
          options={materialsFor(catalogue, 'mix').filter((it) => !used.has(it.id))}
          getOptionLabel={(it) => it.name}
          onChange={(_, it) =>
            it &&
            put(
              {
                ...mix,
                parts: [...mix.parts, { material: it.id, parts: Number((total / 10).toPrecision(3)) }],
              },
              true,
            )
          }
          renderInput={(params) => <TextField {...params} label={`Add to ${letter}`} />}
        />
        <QuantityField
          label="Packing loss"
          measure="percent"
          value={mix.packingLoss}
          max={0.28}
          step={0.05}
          onCommit={(packingLoss) => put({ ...mix, packingLoss }, true)}
        />
      </Box>
    </Box>
  );
}
