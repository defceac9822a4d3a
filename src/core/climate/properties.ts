/** Heat one kilogram of moist room air takes up, J/kg K, and its weight, kg/m³: kept constant so that sums close. */
export const MOIST_AIR_HEAT = 1020;
export const AIR_DENSITY = 1.19;
/** Le^(2/3) of vapour in air; Le 0.87. */
const LEWIS = 0.911;
/** Vapour carried off for each W/m²K of convection, kg/m²s per kg/kg: 1/(c_p·Le^(2/3)). */
export const VAPOUR_PER_CONVECTION = 1 / (MOIST_AIR_HEAT * LEWIS);

/** Heat a leaf holds, J/m²K. */
export const LEAF_HEAT = 800;

/** Saturated air, kg/kg: Alduchov & Eskridge 1996, J. Appl. Meteor. 35:601; within 0.2 % of the full formula indoors. */
export function quickSaturation(celsius: number, pressure: number): number {
  // Water boils near 100 °C, where the ratio has no end and then turns its sign: a leaf that a step threw there would
  // stay there. Beyond 70 °C, which no box should see, it goes on rising straight.
  const t = celsius > HOTTEST ? HOTTEST : celsius < -60 ? -60 : celsius;
  const e = 610.94 * Math.exp((17.625 * t) / (t + 243.04));
  const ratio = (0.621945 * e) / (pressure - e);
  return celsius > HOTTEST ? ratio * (1 + 0.062 * (celsius - HOTTEST)) : ratio;
}
const HOTTEST = 70;

/**
 * Resistance of drying soil, s/m: 10·exp(0.3563·(15 − θ)), θ of the top centimetre in per cent; van de Griend & Owe
 * 1994, Water Resour. Res. 30:181.
 */
export const soilResistance = (theta: number): number =>
  10 * Math.exp(0.3563 * Math.max(0, 15 - 100 * Math.max(0, theta)));
