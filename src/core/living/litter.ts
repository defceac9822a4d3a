/** Olson's equation: M = M0·e^(−kt) (Olson 1963, Ecology 44: 322). t in years, k in 1/year; 95 % is gone at 3/k. */
export const leftAfter = (start: number, k: number, years: number): number => start * Math.exp(-k * years);

/** Litter that stands in the end where `fall` a year comes down: fall / k (Olson 1963). */
export const steadyLitter = (fall: number, k: number): number => fall / k;

/** Doubling for each 10 K (common practice for decay), about the 20 °C at which k is told. */
export const warmed = (k: number, temperature: number): number => k * 2 ** ((temperature - 20) / 10);

/** Dry mass of loose leaves, kg/m³ (from memory). */
export const LEAF_DENSITY = 45;
