import type { MeasuringPlace } from '../readings';
import { known, median, type Facts } from './facts';
import type { Course } from './features';

/** How many times longer than before humidity takes to fall after a misting. */
export function slower({ humidities }: Facts): boolean {
  const ratio = median(
    known(
      humidities.map(({ base, now }) =>
        base?.falls && now?.falls !== null && now ? now.falls / base.falls : null,
      ),
    ),
  );
  return ratio !== null && ratio < 0.75;
}

/** Whether it dried by night more than by day. */
export function darkDrier({ humidities }: Facts): boolean {
  const dark = median(known(humidities.map((it) => it.darkShift)));
  const light = median(known(humidities.map((it) => it.lightShift)));
  return dark !== null && light !== null && dark < light - 0.02;
}

/** The name of the place whose temperature and humidity both left what they were while no other place did; null: of none. */
export function movedAlone(facts: Facts): string | null {
  const { temperatures, humidities, usualTemperature, usualWet } = facts;
  const places = [...new Set(temperatures.map((it) => it.series.place))];
  if (places.length < 2) return null;
  const leaves = (place: MeasuringPlace, share: number): readonly [boolean, boolean] => {
    const of = (all: readonly Course[], usual: number): boolean =>
      all.some(
        (it) => it.series.place === place && Math.abs(it.shift.day ?? it.shift.recent ?? 0) > share * usual,
      );
    return [of(temperatures, usualTemperature), of(humidities, usualWet)];
  };
  const gone = places.filter((it) => leaves(it, 1).every(Boolean));
  const [own] = gone;
  return gone.length === 1 &&
    own &&
    places.every((it) => it === own || leaves(it, 0.5).every((left) => !left))
    ? (temperatures.find((it) => it.series.place === own)?.series.name ?? null)
    : null;
}

/** K by which the warm side moved more than the cool one. */
export function oneSided({ temperatures }: Facts): number {
  const of = (places: readonly MeasuringPlace[]) =>
    median(known(temperatures.filter((it) => places.includes(it.series.place)).map((it) => it.shift.day)));
  const [warm, cool] = [of(['warm', 'basking', 'canopy']), of(['cool'])];
  return warm === null || cool === null ? 0 : warm - cool;
}
