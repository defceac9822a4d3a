'use client';

import type { Animal } from '@/core/catalogue';
import { dayLength } from '@/core/light/dayLength';
import { capital, length, light, mass, spanned, temperature } from '@/core/units';
import { Fact } from './Facts';
import { useReader } from './units';

/** Of the longest and the shortest day of the year, north of the equator. */
const [JUNE, DECEMBER] = [172, 355];

/** What sets a species apart beyond its climate: sexes, the days of its year, falls, its water, forms that bear less light. */
export function BodyFacts({ animal }: { readonly animal: Animal }) {
  const { write, tell, num } = useReader();
  const { sexes, latitude, fall, pool, lightSensitive } = animal;
  const body = ({ length: long, mass: heavy }: NonNullable<typeof sexes>['value']['female']): string => {
    const as = heavy.high < 1 ? light : mass;
    return `${spanned(write(length(long.low), { trim: true }), write(length(long.high), { trim: true }))}, ${spanned(write(as(heavy.low), { trim: true }), write(as(heavy.high), { trim: true }))}`;
  };
  const far = latitude && Math.max(Math.abs(latitude.value.low), Math.abs(latitude.value.high));
  return (
    <>
      {sexes && (
        <Fact name="Sexes" of={sexes}>
          Females {body(sexes.value.female)}; males {body(sexes.value.male)}.
        </Fact>
      )}
      {latitude && far !== undefined && (
        <Fact name="Days" of={latitude}>
          {degrees(latitude.value.low, latitude.value.high)}: at the furthest from the equator{' '}
          {num(dayLength(far, JUNE), 1)} h in summer, {num(dayLength(far, DECEMBER), 1)} h in winter.
        </Fact>
      )}
      {pool && (
        <Fact name="Water" of={pool}>
          {spanned(
            write(temperature(pool.value.temperature.low)),
            write(temperature(pool.value.temperature.high)),
          )}
          , {spanned(write(length(pool.value.depth.low)), write(length(pool.value.depth.high)))} deep where it
          swims, with a way out.
        </Fact>
      )}
      {fall && (
        <Fact name="Falls" of={fall}>
          It may not survive a fall of more than {write(length(fall.value))}.
        </Fact>
      )}
      {lightSensitive && (
        <Fact name="Light" of={lightSensitive}>
          {capital(tell(lightSensitive.value))} bear less of it: a UV zone lower, and more shade.
        </Fact>
      )}
    </>
  );
}

/** Latitudes as one says them. */
function degrees(low: number, high: number): string {
  const side = (it: number): string => (it < 0 ? 'south' : 'north');
  return low < 0 && high > 0
    ? `Lives from ${-low}° south to ${high}° north`
    : `Lives at ${Math.min(Math.abs(low), Math.abs(high))} to ${Math.max(Math.abs(low), Math.abs(high))}° ${side(low + high)}`;
}
