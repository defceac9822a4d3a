/**
 * Constants of nature and of room air that the whole core shares, so that sums made in two places close. SI. Published
 * values with their source; the rest says what it is.
 */

/** 0 °C in kelvin (exact, SI). */
export const KELVIN = 273.15;
/** m/s² (standard gravity, exact: CGPM 1901). */
export const GRAVITY = 9.80665;
/** W/m²K⁴ (CODATA 2018). */
export const STEFAN_BOLTZMANN = 5.670374e-8;
/** kg/m³ of water at 20 °C (CRC Handbook: 998.2). */
export const WATER_DENSITY = 998;
/** J/kg K of water at 20 °C (CRC Handbook: 4182; 4186 is the 15 °C calorie: within a thousandth). */
export const WATER_HEAT = 4186;
/**
 * J/kg taken up when water evaporates: 2501 − 2.369·T kJ/kg at 20 °C (ASHRAE Handbook Fundamentals, ch. 1). Held
 * constant, so that heat closes; 2 % less at 40 °C.
 */
export const LATENT_HEAT = 2.4535e6;
/** kg/m³ of room air at 23 °C and half humidity (ASHRAE ch. 1, eq. 28). Held constant, so that sums close. */
export const AIR_DENSITY = 1.19;
/** J/kg K of moist room air: 1.006 + 1.86·W at W 0.0075 (ASHRAE ch. 1, eq. 30). Held constant, likewise. */
export const MOIST_AIR_HEAT = 1020;
/** m²/s: diffusion of vapour in still air at 20 °C (Massman 1998, Atmos. Environ. 32: 1111: 2.49e-5). */
export const VAPOUR_DIFFUSION = 2.5e-5;
/** m²/s: kinematic viscosity of room air (ASHRAE ch. 33). */
export const AIR_VISCOSITY = 1.51e-5;
/** 1/m: M·g/(R·T) of water at 20 °C, by which humidity over soil falls with suction: Kelvin’s equation. */
export const KELVIN_HUMIDITY = (0.018016 * GRAVITY) / (8.314462 * (20 + KELVIN));

/** s, and ms, of a day. */
export const DAY = 86_400;
export const HOUR = 3600;
export const DAY_MS = 86_400_000;
/** ms since 1970 that anything written down may be of, at the latest: the end of 2199. */
export const LAST_MOMENT = Date.UTC(2200, 0, 1) - 1;

/** A value kept between two bounds; of bounds that have crossed the upper one counts. */
export const clamp = (value: number, low: number, high: number): number =>
  Math.min(high, Math.max(low, value));
