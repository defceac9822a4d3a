import { inBeam, onAxis } from '../light/sources';
import type { Placed } from '../pieces/place';
import { KELVIN, STEFAN_BOLTZMANN } from '../physics/constants';

/** Of wood, stone and skin, for warmth that falls on them and that they give off (from memory). */
const ABSORBS = 0.85;
const EMITS = 0.95;
/** W/m²K of still air over a warm level surface; ISO 6946 annex C. */
const CONVECTS = 5;
/** Share of what falls on it that goes on into what it lies on (from memory). */
const CONDUCTS = 0.15;

/**
 * Temperature a surface comes to under so much warmth, °C: α·E·(1 − conducted) = ε·σ·(T⁴ − T_r⁴) + h·(T − T_a), in kelvin.
 * @param irradiance W/m²
 */
export function surfaceUnder(irradiance: number, air: number, around = air): number {
  const ta = air + KELVIN;
  const tr = around + KELVIN;
  let t = ta + 5;
  for (let i = 0; i < 40; i += 1) {
    const off =
      ABSORBS * (1 - CONDUCTS) * irradiance -
      EMITS * STEFAN_BOLTZMANN * (t ** 4 - tr ** 4) -
      CONVECTS * (t - ta);
    const step = off / (4 * EMITS * STEFAN_BOLTZMANN * t ** 3 + CONVECTS);
    t += step;
    if (Math.abs(step) < 1e-7) break;
  }
  return t - KELVIN;
}

/** W/m² that hold a surface at a temperature in such air. */
export function irradianceFor(surface: number, air: number, around = air): number {
  const t = surface + KELVIN;
  const loss = EMITS * STEFAN_BOLTZMANN * (t ** 4 - (around + KELVIN) ** 4) + CONVECTS * (surface - air);
  return Math.max(0, loss / (ABSORBS * (1 - CONDUCTS)));
}

export interface Beam {
  /** Share of its power that leaves as radiation. */
  readonly radiant: number;
  /** Half-power angle, radians. */
  readonly half: number;
}

/** W/m² straight under a lamp at a distance, m; away from the axis by an angle. */
export const beamAt = (watts: number, { radiant, half }: Beam, distance: number, angle = 0): number =>
  (onAxis(watts * radiant, half) * inBeam(angle, half)) / (distance * distance);

/** Power that gives an irradiance at a distance, W; `passes` is what gauze leaves. */
export const wattsFor = (irradiance: number, { radiant, half }: Beam, distance: number, passes = 1): number =>
  (irradiance * distance * distance * Math.PI * half * half) / (Math.LN2 * radiant * passes);

/** Distance at which a lamp gives an irradiance, m. */
export const distanceFor = (irradiance: number, watts: number, { radiant, half }: Beam, passes = 1): number =>
  Math.sqrt((Math.LN2 * radiant * passes * watts) / (Math.PI * half * half * Math.max(1e-9, irradiance)));

/**
 * Where an animal lies on a piece under the lamp: on its upper side, as near to the warm side as it reaches; on the ground
 * where that lies over it.
 */
export function baskingPoint({ solid }: Placed, warmX: number, groundAt: (x: number, y: number) => number) {
  const { bounds, foot, head } = solid;
  const x = Math.min(bounds.x1 - 0.005, Math.max(bounds.x0 + 0.005, warmX));
  const run = head.x - foot.x;
  const part = Math.abs(run) > 0.02 ? Math.min(1, Math.max(0, (x - foot.x) / run)) : 0.5;
  const y = foot.y + part * (head.y - foot.y);
  return { x, y, z: Math.max(groundAt(x, y), solid.reachAt(x, y)?.[1] ?? bounds.z1) };
}

/** Where lamps usually hang over the warm side, m from the left. */
export const warmPlace = (width: number, warm: 'left' | 'right'): number =>
  width * (warm === 'right' ? 0.72 : 0.28);
