import type { Run, SeriesName } from './simulate';

/**
 * Where an animal is judged, one definition for chart, table, finding and alarm. The warm side is the half with the heat,
 * the cool side the other. Ground dwellers are met by the air near the ground; climbers by the air in the branches on
 * the warm side, and near the ground on the cool side, where they go down to cool. Humidity is the mean of the air it
 * lives in: both halves near the ground, for climbers all four quarters.
 */
export interface Zones {
  readonly warm: SeriesName;
  readonly cool: SeriesName;
  readonly humidity: readonly SeriesName[];
  /** As told on screen. */
  readonly words: { readonly warm: string; readonly cool: string; readonly humidity: string };
}

const GROUND: Zones = {
  warm: 'air0',
  cool: 'air2',
  humidity: ['rh0', 'rh2'],
  words: {
    warm: 'air near the ground',
    cool: 'air near the ground',
    humidity: 'mean near the ground',
  },
};
const CLIMBING: Zones = {
  warm: 'air1',
  cool: 'air2',
  humidity: ['rh0', 'rh1', 'rh2', 'rh3'],
  words: {
    warm: 'air in the branches',
    cool: 'air near the ground',
    humidity: 'mean of ground and branches',
  },
};

export const zonesFor = ({ climbs }: { readonly climbs: boolean }): Zones => (climbs ? CLIMBING : GROUND);

/** Humidity where the animal lives, at a record; 0 to 1. */
export function humidityAtRecord(
  { series }: Pick<Run, 'series'>,
  { humidity }: Zones,
  record: number,
): number {
  let sum = 0;
  for (const name of humidity) sum += series[name][record] ?? 0;
  return sum / humidity.length;
}
