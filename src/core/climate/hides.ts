import type { Placed } from '../scape/place';
import { relativeAt, saturated } from './air';
import { AIR_DENSITY, VAPOUR_PER_CONVECTION } from './properties';

/** A hide as a climate of its own. */
export interface HideClimate {
  readonly piece: string;
  readonly name: string;
  readonly moist: boolean;
  /** Relative humidity inside, once it stands. */
  readonly humidity: number;
  /** Days until its moss or reservoir is dry; null for dry ones. */
  readonly days: number | null;
  /** kg of water it holds when freshly wetted. */
  readonly holds: number;
}

/** Of damp moss or a reservoir, kg per m² of its floor (from memory). */
const HOLDS = 6;
/** W/m²K of the still air inside. */
const STILL = 1.2;
/** m³/s through each m² of an entrance, by the drift of the box's air (from memory). */
const DRIFT = 0.004;

/**
 * Humidity inside a hide: what evaporates from its floor against what is carried out by its entrance, both at rest. A
 * moist one stands on wet moss; a dry one under cover takes its moisture from the soil below, hindered by its dry skin.
 * @param air °C and humidity ratio of the air around
 * @param skin s/m of the soil's dried top
 */
export function hideClimate(
  { piece, solid }: Placed,
  air: { readonly temperature: number; readonly ratio: number },
  skin: number,
  pressure: number,
): HideClimate {
  const floor = Math.max(0.002, solid.shades * 0.7);
  const entrance = piece.entrance ?? 0;
  const open = Math.max(1e-5, (Math.PI * entrance * entrance) / 4);
  const out = AIR_DENSITY * open * DRIFT + AIR_DENSITY * 1e-7;
  const film = AIR_DENSITY / (STILL * VAPOUR_PER_CONVECTION);
  const gives = (AIR_DENSITY * floor) / (film + (piece.moist ? 0 : skin));
  const full = saturated(air.temperature, pressure);
  const ratio = (gives * full + out * air.ratio) / (gives + out);
  const loss = out * Math.max(0, ratio - air.ratio);
  const holds = piece.moist ? HOLDS * floor : 0;
  return {
    piece: piece.id,
    name: piece.name,
    moist: piece.moist,
    humidity: Math.min(1, relativeAt(air.temperature, ratio, pressure)),
    days: piece.moist && loss > 0 ? holds / (loss * 86_400) : null,
    holds,
  };
}
