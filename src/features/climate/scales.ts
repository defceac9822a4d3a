import { temperature, UNITS, unitFor } from '@/core/units';
import type { Reader } from '@/ui/units';
import { ramp, type Scale } from './FieldLayer';
import { percentWord } from './words';

export const OVERLAYS = [
  { value: 'warmth', label: 'Temperature' },
  { value: 'humidity', label: 'Humidity' },
  { value: 'soil', label: 'Soil' },
  { value: 'uv', label: 'UV index' },
  { value: 'ppfd', label: 'Plant light' },
] as const;
export type OverlayName = (typeof OVERLAYS)[number]['value'];

const WARM_STOPS = ['#3A7C8C', '#A9CBC6', '#F0E7C8', '#E0A15C', '#A4532E', '#7A2718'];
const DAMP_STOPS = ['#C99A5B', '#EBDDB9', '#BFD9D3', '#5E9DA8', '#22566A'];
const UV_STOPS = ['#EDE8D8', '#EAD9A0', '#E0A84A', '#B4582F', '#6E2430'];
const LIGHT_STOPS = ['#3B4436', '#7C8F5F', '#CBD692', '#F4EDB0', '#FFF9DC'];
const UV_LIMITS = [0.2, 0.5, 0.7, 1, 1.5, 2, 3, 4, 6, 8];
const LIGHT_LIMITS = [5, 15, 30, 60, 100, 150, 250, 400, 700];

/** Colours of the water in the soil. */
export const SOIL_SCALE: Scale = {
  name: 'Water in the soil',
  limits: [0.1, 0.15, 0.2, 0.25, 0.3, 0.4, 0.5, 0.6],
  colours: ramp(DAMP_STOPS, 9),
  write: percentWord,
};

/** Colours of an overlay and their limits, in the reader's units. */
export function scaleOf(overlay: OverlayName, { write, prefs }: Reader): Scale {
  switch (overlay) {
    case 'warmth':
      return {
        name: `Temperature, ${UNITS[unitFor('temperature', prefs)].symbol}`,
        limits: [16, 18, 20, 22, 24, 26, 28, 30, 33, 36, 40],
        colours: ramp(WARM_STOPS, 12),
        write: (it) => write(temperature(it), { bare: true, decimals: 0 }),
      };
    case 'humidity':
    case 'soil':
      return {
        name: 'Humidity',
        limits: [0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9],
        colours: ramp(DAMP_STOPS, 8),
        write: percentWord,
      };
    case 'uv':
      return {
        name: 'UV index',
        limits: UV_LIMITS,
        colours: ramp(UV_STOPS, UV_LIMITS.length + 1),
        write: (it) => String(it),
      };
    case 'ppfd':
      return {
        name: 'PPFD',
        limits: LIGHT_LIMITS,
        colours: ramp(LIGHT_STOPS, LIGHT_LIMITS.length + 1),
        write: (it) => String(it),
      };
  }
}
