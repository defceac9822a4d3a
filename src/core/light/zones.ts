/**
 * UV index an animal of each zone meets: mean exposure and the maximum recorded, low to high.
 * Source: Ferguson et al. 2010, Zoo Biology 29:317; Baines et al. 2016, J. Zoo Aquarium Research 4:42, table 1.
 */
export const UV_ZONES = {
  1: { mean: [0, 0.7], maximum: [0.6, 1.4] },
  2: { mean: [0.7, 1.0], maximum: [1.1, 3.0] },
  3: { mean: [1.0, 2.6], maximum: [2.9, 7.4] },
  4: { mean: [2.6, 3.5], maximum: [4.5, 9.5] },
} as const;

export type UvZone = keyof typeof UV_ZONES;
