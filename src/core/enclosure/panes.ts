import { GRAVITY, WATER_DENSITY } from '../physics/constants';
import type { Enclosure, Side } from '../document/schema';
import { floorOf, runOf, sideOf, SIDES } from './shell';

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
  /** Of the pane that is nearest to its limit: its side, whether it is of another make than the box, and how thick it is, m. */
  readonly side: Side;
  readonly own: boolean;
  readonly thickness: number;
}

/** What water asks of the pane it asks most of; undefined where there is no water, or none of the walls is glass. */
export function checkPanes(box: Enclosure, kept: number): PaneCheck | undefined {
  if (kept <= 0) return undefined;
  const flooded = Math.max(kept, box.watertightHeight);
  const panes = SIDES.flatMap((side): PaneCheck[] => {
    // Under doors and gauze a sill of the box’s own make holds the water.
    const sill = (side === 'front' && box.front === 'doors') || box.screened.includes(side);
    const made = sill ? floorOf(box) : sideOf(box, side);
    if (made?.material !== 'glass') return [];
    const own = !sill && box.panels.some((it) => it.wall === side);
    const long = runOf(box, side);
    return [
      {
        kept,
        flooded,
        neededKept: paneNeeded(long, kept),
        neededFlooded: paneNeeded(long, flooded),
        side,
        own,
        thickness: made.thickness,
      },
    ];
  });
  return panes.sort((a, b) => b.neededFlooded - b.thickness - (a.neededFlooded - a.thickness))[0];
}
