/**
 * What lamps give at a point. Lengths in m from the lamp; results are shares of what is given at a stated distance, or
 * absolute where they say so.
 */

/**
 * A straight tube, seen from a point at a distance off its axis: (1/D)·[(α₂ − α₁) + ½(sin 2α₂ − sin 2α₁)], α the angles to
 * its two ends, signed. In the mid-plane this is the relation of Keitz, as used in lamp-measuring protocols.
 * @param along where the point lies along the tube, from its middle
 * @param off distance from the axis
 */
export function tubeAt(length: number, along: number, off: number): number {
  const d = Math.max(off, 0.005);
  // sin 2α is 2t/(1 + t²) of its tangent.
  const one = (length / 2 - along) / d;
  const other = (-length / 2 - along) / d;
  // atan a − atan b in one, with a > b.
  const product = 1 + one * other;
  const angle = Math.atan((one - other) / product) + (product < 0 ? Math.PI : 0);
  return (angle + one / (1 + one * one) - other / (1 + other * other)) / d;
}

/** How much more a tube gives in the mid-plane at one distance than at another. */
export const tubeRatio = (length: number, at: number, than: number): number =>
  tubeAt(length, 0, at) / tubeAt(length, 0, than);

/** Inverse square from the middle of a compact lamp. */
export const pointRatio = (at: number, than: number): number => (than / Math.max(at, 0.005)) ** 2;

/**
 * Of a lamp with a beam: intensity at an angle, as a share of that on its axis, for a Gaussian beam of a half-power angle.
 * @param half radians from the axis at which half is left
 */
export const inBeam = (angle: number, half: number): number => 2 ** -((angle / half) ** 2);

/** W/sr on the axis of a Gaussian beam of so many watts: about half its flux lies within the half-power angle. */
export const onAxis = (flux: number, half: number): number => (Math.LN2 * flux) / (Math.PI * half * half);

/**
 * Lux for each µmol/m²s of light plants use. Thimijan & Heins 1983, HortScience 18:818, for the first three; white diodes
 * from memory.
 */
export const LUX_PER_PPFD = { sun: 54, fluorescent: 74, incandescent: 50, led: 68 } as const;

/** Light of a day, mol/m²: PPFD in µmol/m²s over so many hours. */
export const dailyLight = (ppfd: number, hours: number): number => (ppfd * 3600 * hours) / 1e6;

/** What is left under leaves: e^(−k·LAI); Monsi & Saeki 1953, k 0.5. */
export const underLeaves = (leafArea: number, k = 0.5): number => Math.exp(-k * leafArea);
