'use client';

import CloseIcon from '@mui/icons-material/Close';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import {
  type Material,
  type MaterialCaution,
  type Mixing,
  type Pack,
  type Role,
  BED_IDS,
  bedOf,
  type BedId,
} from '@/core/catalogue';
import { bag, length, mass } from '@/core/units';
import { useSetPrice, useStore } from '@/store';
import { NumberField } from '@/ui/fields/PlainFields';
import { QuantityField } from '@/ui/fields/QuantityField';
import { Count, PlainSpan, Single } from '@/ui/fields/SourcedFields';
import { PlainTable } from '@/ui/PlainTable';
import { useReader } from '@/ui/units';
import { freshId } from '@/ui/freshId';

/** What a material may be used for, as one says it. */
export const ROLE_WORD: Record<Role, string> = {
  ...(Object.fromEntries(BED_IDS.map((it) => [it, bedOf(it).use])) as Record<BedId, string>),
  support: 'panel legs',
  barrier: 'barrier',
  mix: 'mixes',
  'ready-made': 'ready-made mix',
  thin: 'thin layer',
  paper: 'paper',
  moss: 'moss',
  litter: 'leaf litter',
};

/** Suctions people can picture: the foot of a bed, a hand up, a hard squeeze. */
export const SUCTIONS = [2, 5, 10, 50, 100];

interface MixingProps {
  readonly row: Material;
  readonly mixing: Mixing;
  readonly own: boolean;
  readonly onAlter: (how: (now: Material) => Material) => void;
}

/** What counts of it in a mix. */
export function MixingValues({ row, mixing, own, onAlter }: MixingProps) {
  const put = (change: Partial<Mixing>): void =>
    onAlter((now) => (now.mixing ? { ...now, mixing: { ...now.mixing, ...change } } : now));
  const { ph, salts, hold, decay } = mixing;
  return (
    <>
      <PlainSpan
        label="pH in water"
        unit=""
        of={ph}
        max={14}
        step={0.1}
        own={own}
        onPut={(it) => put({ ph: it })}
      />
      <Count
        label="Salts, dS/m"
        unit=""
        of={salts}
        max={20}
        step={0.1}
        own={own}
        onPut={(it) => put({ salts: it })}
      />
      <Single
        label="Rots in a year"
        measure="percent"
        of={decay}
        max={1}
        step={0.01}
        own={own}
        onPut={(it) => put({ decay: it })}
      />
      <Count
        label="Tunnel stability, 0 runs to 1 stands"
        unit=""
        of={hold}
        max={1}
        step={0.05}
        own={own}
        onPut={(it) => put({ hold: it })}
      />
      {row.cautions.length > 0 && (
        <Typography variant="body2" sx={{ color: 'earth.clay', mt: 0.75 }}>
          {row.cautions.map((it) => CAUTION_WORD[it]).join(' ')}
        </Typography>
      )}
    </>
  );
}

const CAUTION_WORD: Record<MaterialCaution, string> = {
  dust: 'Dusty: damp it down before you pour, and wear a mask.',
  silica: 'Its dust holds silica: damp it down, and wear a mask of class FFP2 or N95.',
  alkaline: 'Alkaline: its dust burns moist skin. Under amphibians only blended, wetted and weeks old.',
  legionella:
    'Can carry Legionella: open the bag away from your face, keep it damp, wash your hands. Not for people whose immune system is weak.',
  sphagnum: 'Can carry a fungus that enters by scratches (sporotrichosis): wear gloves.',
  'dries-out': 'As a powder it dries out springtails, isopods and amphibians.',
  collecting: 'Collected: only with permission, where nothing is sprayed; bake or boil it.',
  fertiliser: 'May hold mineral fertiliser: read the bag, and leave it if it does.',
  'wetting-agent': 'May hold a wetting agent, which harms frogs: read the bag.',
  eaten: 'Not where an animal may eat it in quantity.',
};

interface PacksProps {
  readonly row: Material;
  readonly own: boolean;
  readonly onAlter: (how: (now: Material) => Material) => void;
}

/** The packs it is sold in, open to the builder’s own prices. */
export function Packs({ row, own, onAlter }: PacksProps) {
  const { settings } = useStore();
  const { write } = useReader();
  const setPrice = useSetPrice();
  const words = (pack: Pack): string => {
    if (pack.form === 'bag') return `${write(bag(pack.volume), { trim: true })} bag`;
    if (pack.form === 'brick')
      return `${write(mass(pack.dryMass), { decimals: 2, trim: true })} brick, gives ${write(bag(pack.volume))}`;
    if (pack.form === 'pipe') return `${write(length(pack.length))} of pipe`;
    return `${write(length(pack.width))} × ${write(length(pack.length))} ${pack.form}`;
  };
  const loose = row.packs.some((pack) => pack.form === 'bag' || pack.form === 'brick');
  const [volume, setVolume] = useState(0.01);
  return (
    <>
      <PlainTable label="Packs and prices">
        <thead>
          <tr>
            <th scope="col">Pack</th>
            <th scope="col" className="number">
              price
            </th>
            <td className="icon" />
          </tr>
        </thead>
        <tbody>
          {row.packs.map((pack) => (
            <tr key={pack.id}>
              <td>{words(pack)}</td>
              <td className="number">
                <NumberField
                  bare
                  key={pack.price.value}
                  label={`Price of ${words(pack)}`}
                  value={pack.price.value}
                  min={0}
                  max={100_000}
                  step={0.5}
                  decimals={2}
                  onCommit={(price) => setPrice(`${row.id}/${pack.id}`, price)}
                />{' '}
                <Typography component="span" variant="caption" sx={{ color: 'earth.quiet' }}>
                  {pack.price.basis === 'measured' ? 'your price' : 'typical'}
                </Typography>
              </td>
              <td className="icon">
                {settings.prices[`${row.id}/${pack.id}`] !== undefined ? (
                  <IconButton
                    size="small"
                    aria-label={`Typical price of ${words(pack)} again`}
                    onClick={() => setPrice(`${row.id}/${pack.id}`, null)}
                  >
                    <CloseIcon sx={{ fontSize: 16 }} />
                  </IconButton>
                ) : (
                  own &&
                  row.packs.length > 1 && (
                    <IconButton
                      size="small"
                      aria-label={`Take out ${words(pack)}`}
                      onClick={() =>
                        onAlter((now) => ({ ...now, packs: now.packs.filter((it) => it.id !== pack.id) }))
                      }
                    >
                      <CloseIcon sx={{ fontSize: 16 }} />
                    </IconButton>
                  )
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </PlainTable>
      {own && loose && (
        <Box sx={{ display: 'flex', gap: 1, mt: 1.25 }}>
          <QuantityField
            label="Another bag, of"
            measure="bag"
            quart="dry"
            value={volume}
            min={0.0005}
            max={2}
            step={0.005}
            onCommit={setVolume}
            sx={{ width: 140 }}
          />
          <Button
            variant="outlined"
            onClick={() =>
              onAlter((now) => ({
                ...now,
                packs: [
                  ...now.packs,
                  {
                    id: freshId('bag-own', now.packs),
                    form: 'bag',
                    volume,
                    price: { value: 0, basis: 'measured' },
                  },
                ],
              }))
            }
          >
            Add it
          </Button>
        </Box>
      )}
    </>
  );
}
