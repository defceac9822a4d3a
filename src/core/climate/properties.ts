import { MOIST_AIR_HEAT } from '../physics/constants';

/** Le^(2/3) of vapour in air; Le 0.87 (ASHRAE Handbook Fundamentals, ch. 6). */
const LEWIS = 0.911;
/** Vapour carried off for each W/m²K of convection, kg/m²s per kg/kg: 1/(c_p·Le^(2/3)). */
export const VAPOUR_PER_CONVECTION = 1 / (MOIST_AIR_HEAT * LEWIS);

/** Of the exponent below, and where it ends. */
const SKIN = { least: 10, steep: 0.3563, from: 15 } as const;

/**
 * Resistance of drying soil, s/m: 10·exp(0.3563·(15 − θ)), θ of the top centimetre over its residual, in per cent;
 * van de Griend & Owe 1994, Water Resour. Res. 30:181.
 */
export const soilResistance = (theta: number): number =>
  SKIN.least * Math.exp(SKIN.steep * Math.max(0, SKIN.from - 100 * Math.max(0, theta)));

/** How that resistance changes with θ, s/m for each m³/m³, given the resistance. */
export const soilResistanceSlope = (theta: number, resistance: number): number =>
  theta > 0 && 100 * theta < SKIN.from ? -100 * SKIN.steep * resistance : 0;
