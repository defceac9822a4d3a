import { POSSIBLE, type MeasuringPlace, type Oddity, type ReadQuantity } from '@/core/readings';
import { light, mass, percent, temperature, UNITS } from '@/core/units';
import type { Reader } from './units';

export const QUANTITY_WORD: Record<ReadQuantity, string> = {
  temperature: 'Temperature',
  humidity: 'Humidity',
  uvIndex: 'UV index',
  soilWater: 'Soil moisture',
  mass: 'Weight',
};

export const PLACE_WORD: Record<MeasuringPlace, string> = {
  warm: 'Warm side',
  cool: 'Cool side',
  basking: 'Basking spot',
  canopy: 'Up in the branches',
  hide: 'In a hide',
  soil: 'In the soil',
  room: 'In the room',
  scale: 'On the scale',
};

export const ODDITY_WORD: Record<Oddity['kind'], string> = {
  stuck: 'one and the same value for hours: the probe may be stuck',
  jump: 'it leaps as no air does: the probe may have been moved or broken',
  silent: 'nothing was read',
};

/** A reading in the reader’s units. */
export function readingWords(
  value: number,
  quantity: ReadQuantity,
  { write, num }: Pick<Reader, 'write' | 'num'>,
): string {
  switch (quantity) {
    case 'temperature':
      return write(temperature(value), { decimals: 1 });
    case 'humidity':
    case 'soilWater':
      return write(percent(value));
    case 'mass':
      return write(value < 2 ? light(value) : mass(value));
    case 'uvIndex':
      return num(value, 1);
  }
}

interface Axis {
  readonly unit: string;
  readonly value: (si: number) => number;
  readonly si: (shown: number) => number;
}

const scaled = (unit: string, by: number): Axis => ({
  unit,
  value: (si) => si * by,
  si: (shown) => shown / by,
});

/** A value as it stands on the axis of a chart or in a field, in the reader’s unit, and back. */
export function onAxis(quantity: ReadQuantity, { prefs }: Pick<Reader, 'prefs'>): Axis {
  switch (quantity) {
    case 'temperature':
      return prefs.temperature === 'F'
        ? { unit: '°F', value: (si) => (si * 9) / 5 + 32, si: (shown) => ((shown - 32) * 5) / 9 }
        : scaled('°C', 1);
    case 'humidity':
    case 'soilWater':
      return scaled('%', 100);
    case 'mass':
      return prefs.mass === 'lb' ? scaled('oz', 1 / UNITS.oz.factor) : scaled('g', 1000);
    case 'uvIndex':
      return scaled('', 1);
  }
}

/** Why a typed value of a quantity cannot be; undefined when it can, or is empty. */
export function checkTyped(
  text: string,
  quantity: ReadQuantity,
  axis: Axis,
  { parse, num }: Pick<Reader, 'parse' | 'num'>,
): string | undefined {
  if (text === '') return undefined;
  const typed = parse(text);
  const si = axis.si(typed ?? Number.NaN);
  const [low, most] = POSSIBLE[quantity];
  const high = quantity === 'humidity' ? 1 : most;
  const told = (it: number): string => num(Math.round(axis.value(it)), 0);
  return Number.isFinite(si) && si >= low && si <= high
    ? undefined
    : `${told(low)} to ${told(high)} can be read.`;
}

/** A moment shortly: the time of today, the day and time otherwise. */
export function momentWords(at: number, now: number): string {
  const date = new Date(at);
  const time = date.toLocaleTimeString(undefined, { hour: '2-digit', minute: '2-digit' });
  return date.toDateString() === new Date(now).toDateString()
    ? time
    : `${date.toLocaleDateString(undefined, { day: 'numeric', month: 'short', year: 'numeric' })}, ${time}`;
}
