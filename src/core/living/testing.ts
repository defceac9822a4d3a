import type { CrewKind, Plant } from '../catalogue';
import type { Conditions, Place } from './places';
import type { CrewHome } from './population';

/** A place as good as can be for most, and what differs. */
export const placeLike = (told: Partial<Place> = {}, air: Partial<Conditions> = {}): Place => ({
  id: 'ground-0-0',
  kind: 'ground',
  x: 0.3,
  y: 0.2,
  z: 0.1,
  rough: true,
  depth: 0.1,
  room: 0.5,
  below: 0,
  warm: true,
  conditions: [
    {
      season: 'winter',
      light: 4,
      hot: 25,
      day: 23,
      night: 20,
      cold: 19,
      humidity: 0.75,
      wetness: 0.5,
      ...air,
    },
  ],
  ...told,
});

/** A place in paradise for a kind: fed, moist, warm, without enemies. */
export const homeFor = (kind: CrewKind, told: Partial<CrewHome> = {}): CrewHome => ({
  floor: 0.25,
  temperature: new Array<number>(12).fill(kind.temperature.value.best),
  wetness: (kind.wetness.value.low + kind.wetness.value.high) / 2,
  depth: 0.1,
  shelter: 0.8,
  litter: 0.03,
  litterK: 1,
  waste: 0,
  supplement: 0,
  air: 1,
  hunters: [],
  ...told,
});

/** The middle of a plant’s ranges, for places it should like. */
export const wantedBy = ({ light, temperature, humidity, wetness }: Plant): Partial<Conditions> => {
  const middle = ({ low, high }: { low: number; high: number }): number => (low + high) / 2;
  const t = middle(temperature.value);
  return {
    light: middle(light.value),
    hot: t,
    day: t,
    night: t,
    cold: t,
    humidity: middle(humidity.value),
    wetness: middle(wetness.value),
  };
};
