import { GRAVITY, WATER_DENSITY } from '../physics/constants';
import type { Enclosure } from '../document/schema';

/**
 * Bending factor β of a pane held at three edges, its top free, under water as deep as the pane is high, by
 * length over height. From Timoshenko's tables of plates, by memory.
 */
const BETA: readonly (readonly [ratio: number, beta: number])[] = [
  [1, 0.16],
  [1.5, 0.26],
  [2, 0.32],
  [3, 0.37],
];

/** Strength of float glass, 19.2 MPa, over a safety of 3.8 (memory). */
const ALLOWED_STRESS = 19.2e6 / 3.8;

/** β between the listed ratios, straight; shorter and longer panes take the value at the end of the list. */
export function bendingFactor(ratio: number): number {
  const [first] = BETA;
  if (!first || ratio <= first[0]) return first?.[1] ?? 0;
  for (let at = 1; at < BETA.length; at += 1) {
    const [a, betaA] = BETA[at - 1] ?? [0, 0];
    const [b, betaB] = BETA[at] ?? [0, 0];
    if (ratio <= b) return betaA + ((betaB - betaA) * (ratio - a)) / (b - a);
  }
  return BETA.at(-1)?.[1] ?? 0;
}

/**
 * Thickness at which water this deep does not overload a pane this long: t = √(β·ρ·g·H³/σ). A check with a caution,
 * never a rating: the maker's rating decides.
 * @param length of the longest pane, m
 * @param depth of the water against it, m
 * @returns m
 */
export function paneNeeded(length: number, depth: number): number {
  if (depth <= 0) return 0;
  return Math.sqrt((bendingFactor(length / depth) * WATER_DENSITY * GRAVITY * depth ** 3) / ALLOWED_STRESS);
}

export interface PaneCheck {
  /** Water against the glass, m: as it is kept, and as high as the walls hold it. */
  readonly kept: number;
  readonly flooded: number;
  /** Thickness each asks for, m. */
  readonly neededKept: number;
  readonly neededFlooded: number;
}

/** What water asks of the panes; undefined where there is no water, or the walls are not glass. */
export function checkPanes(box: Enclosure, kept: number): PaneCheck | undefined {
  if (box.material !== 'glass' || kept <= 0) return undefined;
  const long = Math.max(box.width, box.depth);
  const flooded = Math.max(kept, box.watertightHeight);
  return { kept, flooded, neededKept: paneNeeded(long, kept), neededFlooded: paneNeeded(long, flooded) };
}
