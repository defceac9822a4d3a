import type { Run, SeriesName } from './simulate';

/**
 * Where an animal is judged, one definition for chart, table, finding and alarm. The warm side is the half with the heat,
 * the cool side the other. Near the ground an animal feels the mean of the air and of the ground it lies on, as
 * operative temperature has it (ISO 7726: in still air as much by radiation and touch as by air). Ground dwellers are met
 * there; climbers by the air in the branches on the warm side, and near the ground on the cool side, where they go down
 * to cool. Humidity is the mean of the air it lives in: both halves near the ground, for climbers all four quarters.
 */
export interface Zones {
  readonly warm: SeriesName;
  readonly cool: SeriesName;
  readonly humidity: readonly SeriesName[];
  /** As told on screen. */
  readonly words: { readonly warm: string; readonly cool: string; readonly humidity: string };
}

/** Outside a band by no more than this is no fault: thermometers and hygrometers of the trade are no better. */
export const TOLERANCE = { temperature: 1, humidity: 0.05 } as const;
/** s after the lights go on or off in which a box changes from night to day or back: they are nobody’s band. */
export const CHANGES = 3600;

const GROUND: Zones = {
  warm: 'felt0',
  cool: 'felt1',
  humidity: ['rh0', 'rh2'],
  words: {
    warm: 'air and ground',
    cool: 'air and ground',
    humidity: 'mean near the ground',
  },
};
const CLIMBING: Zones = {
  warm: 'air1',
  cool: 'felt1',
  humidity: ['rh0', 'rh1', 'rh2', 'rh3'],
  words: {
    warm: 'air in the branches',
    cool: 'air and ground',
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
