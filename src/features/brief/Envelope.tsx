'use client';

import Box from '@mui/material/Box';
import type { Animal, Range, Sourced } from '@/core/catalogue';
import { UV_ZONES, type UvZone } from '@/core/light/zones';
import { length, mass, percent, temperature, type Quantity, light } from '@/core/units';
import { BasisMark } from '@/ui/BasisMark';
import { useReader } from '@/ui/units';

const LIFE = {
  ground: 'on the ground',
  climbing: 'up high',
  burrowing: 'under ground',
  'half-water': 'half in water',
};

/** What the animal needs, each value with where it comes from. */
export function Envelope({ animal }: { readonly animal: Animal }) {
  const { write, num } = useReader();
  const span = (value: Range, as: (si: number) => Quantity): string => {
    const whole = as(0).measure === 'temperature' || as(0).measure === 'percent';
    return `${write(as(value.low), { bare: true, trim: true, ...(whole ? { decimals: 0 } : {}) })}–${write(as(value.high), { trim: true, ...(whole ? { decimals: 0 } : {}) })}`;
  };
  const weight = (kg: Range): string => span(kg, kg.high < 1 ? light : mass);
  const { climate } = animal;
  const zone = UV_ZONES[climate.uvZone.value as UvZone];
  const rows: readonly (readonly [string, string, Sourced<unknown>])[] = [
    ...(climate.basking
      ? [['Basking spot', span(climate.basking.value, temperature), climate.basking] as const]
      : []),
    ['Warm side', span(climate.warm.value, temperature), climate.warm],
    ['Cool side', span(climate.cool.value, temperature), climate.cool],
    ['Night', span(climate.night.value, temperature), climate.night],
    ['Humidity by day', span(climate.humidityDay.value, percent), climate.humidityDay],
    ['Humidity by night', span(climate.humidityNight.value, percent), climate.humidityNight],
    [
      `UV, zone ${climate.uvZone.value}`,
      `index ${num(zone.mean[0])}–${num(zone.mean[1], 1)}, at most ${num(zone.maximum[1], 1)}`,
      climate.uvZone,
    ],
    ['Lives', LIFE[animal.life.value], animal.life],
    ['Digs', write(length(animal.digs.value)), animal.digs],
    ['Length', span(animal.length.value, length), animal.length],
    ['Mass', weight(animal.mass.value), animal.mass],
    ['Group', animal.company.value, animal.company],
  ];
  const basis = new Set(rows.map(([, , value]) => value.basis));
  const one = basis.size === 1 ? rows[0]?.[2].basis : undefined;
  return (
    <Box
      sx={{
        mt: 1.25,
        bgcolor: 'earth.card',
        border: 1,
        borderColor: 'earth.rule',
        borderRadius: '12px',
        px: 1.75,
        py: 1.25,
      }}
    >
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', mb: 0.75 }}>
        <Box component="span" sx={{ fontStyle: 'italic', color: 'earth.quiet', typography: 'body2' }}>
          {animal.scientific}
        </Box>
        {one && <BasisMark basis={one} />}
      </Box>
      <Box
        component="dl"
        sx={{
          display: 'grid',
          gridTemplateColumns: 'repeat(auto-fill, minmax(252px, 1fr))',
          columnGap: 2.5,
          rowGap: 0.4,
          m: 0,
        }}
      >
        {rows.map(([label, text, value]) => (
          <Box
            key={label}
            sx={{ display: 'flex', justifyContent: 'space-between', gap: 1, typography: 'body2' }}
          >
            <Box component="dt" sx={{ color: 'earth.quiet' }}>
              {label}
            </Box>
            <Box component="dd" sx={{ m: 0, textAlign: 'right' }}>
              {text} {!one && <BasisMark basis={value.basis} />}
            </Box>
          </Box>
        ))}
      </Box>
    </Box>
  );
}
