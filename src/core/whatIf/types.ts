import { findDeviceKind, type Catalogue } from '../catalogue';
import type { Run } from '../climate/simulate';
import type { Zones } from '../climate/zones';
import type { Design } from '../document/schema';
import type { EditCall } from '../edits';

export const WHAT_IFS = [
  {
    id: 'power-cut',
    name: 'The power fails',
    why: 'All that has a plug stops at four in the morning, and so does the heating of the room.',
    days: 3,
  },
  {
    id: 'stuck-nozzle',
    name: 'A nozzle sticks open',
    why: 'Mist runs on until the bottle is dry, or for a day from the mains.',
    days: 2,
  },
  {
    id: 'dry-bottle',
    name: 'The bottle runs dry',
    why: 'Nozzles and foggers give nothing any more; a hand still mists.',
    days: 7,
  },
  { id: 'heat-wave', name: 'A heat wave', why: 'The room stands 8 K warmer for a week.', days: 7 },
  {
    id: 'dry-winter',
    name: 'Dry heating air',
    why: 'The room loses 15 points of humidity for a week.',
    days: 7,
  },
  {
    id: 'stuck-thermostat',
    name: 'A thermostat sticks on',
    why: 'Every heater runs at full power, day and night.',
    days: 2,
  },
  {
    id: 'week-away',
    name: 'Nobody comes for a week',
    why: 'Dishes are not filled, nothing is misted by hand, bottles only last as long as they do.',
    days: 7,
  },
] as const;
export type WhatIfId = (typeof WHAT_IFS)[number]['id'];

/**
 * How a room cools when its heating stops: hours in which what it is warmer than out of doors falls to a third (common
 * practice: light walls half a day, brick and concrete two to three; building physics calls it the time constant).
 */
export const ROOMS = {
  light: { name: 'quickly: light walls', hours: 20 },
  solid: { name: 'slowly: brick or concrete', hours: 60 },
  heated: { name: 'not at all: its heating needs no power', hours: Infinity },
} as const;
export type RoomKeeps = keyof typeof ROOMS;

const foggersBottled = ({ devices }: Design['climate'], catalogue: Catalogue): boolean =>
  devices.some((it) => findDeviceKind(catalogue, it.kind)?.tank !== undefined);

/** Why something cannot go wrong with a design; null: it can. What is not there does not fail. */
export function whyNot(id: WhatIfId, { climate }: Design, catalogue: Catalogue): string | null {
  const has = (form: string): boolean =>
    climate.devices.some((it) => findDeviceKind(catalogue, it.kind)?.form === form);
  switch (id) {
    case 'stuck-nozzle':
      return climate.mist.by === 'nozzles' && has('nozzle') ? null : 'There is no nozzle in it.';
    case 'dry-bottle':
      return (climate.mist.bottle !== null && has('nozzle')) || foggersBottled(climate, catalogue)
        ? null
        : 'Nothing in it draws on a bottle.';
    case 'stuck-thermostat':
      return climate.devices.some((it) => it.thermostat) ? null : 'Nothing in it is held by a thermostat.';
    case 'power-cut':
      return climate.devices.length > 0 ? null : 'Nothing in it has a plug.';
    default:
      return null;
  }
}

export type LimitEnd = Pick<Limit, 'after' | 'worst'>;

/** Something an animal cannot bear for long. */
export interface Limit {
  readonly what:
    | 'too hot'
    | 'basking spot too hot'
    | 'warm side too hot'
    | 'too cold'
    | 'too dry'
    | 'too wet'
    | 'nothing to drink'
    | 'water over the barrier'
    | 'water over its edge'
    | 'water stands in the soil'
    | 'soil dry';
  /** h after it began; null: not within the drill. */
  readonly after: number | null;
  /** The value that counts: °C, 0 to 1 or kg. */
  readonly worst: number;
  /** The same at both ends of what a calibration leaves open; null: the box is not calibrated. */
  readonly ends: readonly [warm: LimitEnd, cool: LimitEnd] | null;
}

/** What would buy time. */
export interface Prevention {
  readonly what: string;
  /** h that it gives. */
  readonly hours: number;
  /** What builds it in; none: it is done when it happens. */
  readonly calls: readonly EditCall[];
}

/** How it shows in readings before anything is passed. */
export interface FirstSign {
  readonly side: 'warm' | 'cool';
  readonly quantity: 'temperature' | 'humidity';
  /** h after it began, and by how much it is then other than usual: K, or share. */
  readonly after: number;
  readonly by: number;
}

export interface WhatIfResult {
  readonly ids: readonly WhatIfId[];
  readonly run: Run;
  /** h from the start of the run at which it begins. */
  readonly began: number;
  readonly limits: readonly Limit[];
  /** The most useful first. */
  readonly buys: readonly Prevention[];
  /** null: readings stay within what a day differs from another by. */
  readonly sign: FirstSign | null;
  /** Where the animal is met: what the chart shows and the limits are counted by. */
  readonly zones: Zones;
}
