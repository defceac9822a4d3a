/** Air that moves through openings by its own lightness. SI: m, m², m³/s, Pa. */

import { AIR_VISCOSITY, GRAVITY } from '../physics/constants';

/** Of a sharp-edged opening; ASHRAE Handbook Fundamentals, ch. 16. */
export const DISCHARGE = 0.65;

/** A cloth of wires: share of it that is open, and their thickness, m. */
export interface Gauze {
  readonly open: number;
  readonly wire: number;
}

/** Two openings one after the other count as one of this area, m². */
export const inSeries = (one: number, other: number): number =>
  one <= 0 || other <= 0 ? 0 : (one * other) / Math.hypot(one, other);

/**
 * Flow through two plain openings, one over the other, m³/s: Q = C_d·A·√(2·g·H·|Δρ|/ρ). ASHRAE Fundamentals, ch. 16.
 * @param area of the two in series, m²
 * @param rise between their middles, m
 * @param lighter share by which the air inside is lighter than the room's; either sign
 */
export const stackFlow = (area: number, rise: number, lighter: number): number =>
  DISCHARGE * area * Math.sqrt(2 * GRAVITY * Math.max(0, rise) * Math.abs(lighter));

/**
 * Pressure lost in gauze, in dynamic pressures of the flow in front of it: ζ ≈ (7/Re + 0.9/log₁₀(Re + 1.25) +
 * 0.055·log₁₀Re)·(1 − ε²)/ε², Re by the wire. Brundrett 1993, J. Fluids Eng. 115:239 (from memory).
 * @param speed in front of it, m/s
 */
export function gauzeLoss({ open, wire }: Gauze, speed: number): number {
  const re = Math.max(1e-6, (speed * wire) / AIR_VISCOSITY);
  const friction = 7 / re + 0.9 / Math.log10(re + 1.25) + 0.055 * Math.log10(re);
  return (Math.max(0, friction) * (1 - open * open)) / (open * open);
}

/** An opening for air, one of a pair or alone. */
export interface Opening {
  /** m² */
  readonly area: number;
  /** Of its middle above the floor, m. */
  readonly height: number;
  /** null: nothing before it. */
  readonly gauze: Gauze | null;
}

/**
 * Flow through a lower and an upper opening by the stack between them, m³/s: ρ·g′·H = ½·ρ·Σ(ζ + ζ₀)·(Q/A)², with the
 * loss of gauze by `gauzeLoss`. The root is found by bisection.
 */
export function gauzeFlow(low: Opening, high: Opening, lighter: number): number {
  const rise = Math.abs(high.height - low.height);
  const drive = GRAVITY * Math.abs(lighter) * rise;
  if (drive <= 0 || low.area <= 0 || high.area <= 0) return 0;
  const plain = 1 / DISCHARGE ** 2;
  const lost = (q: number): number =>
    [low, high].reduce((sum, { area, gauze }) => {
      const speed = q / area;
      return sum + 0.5 * speed * speed * (plain + (gauze ? gauzeLoss(gauze, speed) : 0));
    }, 0);
  let [a, b] = [0, stackFlow(inSeries(low.area, high.area), rise, lighter) * 1.01];
  for (let i = 0; i < 50; i += 1) {
    const q = (a + b) / 2;
    if (lost(q) < drive) a = q;
    else b = q;
  }
  return (a + b) / 2;
}

/**
 * The same flow in closed form, for use at every step: between two speeds at which gauze was measured by `gauzeLoss` its
 * loss is taken as a·v + b·v², of which the first is what viscosity does.
 */
export interface StackLaw {
  /** m²/s² for each m³/s, and for its square. */
  readonly linear: number;
  readonly square: number;
  /** m */
  readonly rise: number;
}

export function stackLaw(low: Opening, high: Opening): StackLaw | null {
  const rise = high.height - low.height;
  if (low.area <= 0 || high.area <= 0 || rise < 0.01) return null;
  let linear = 0;
  let square = 0;
  for (const { area, gauze } of [low, high]) {
    square += 0.5 / (DISCHARGE * area) ** 2;
    if (!gauze) continue;
    const [slow, fast] = [0.01, 0.12];
    const loss = (v: number): number => 0.5 * v * v * gauzeLoss(gauze, v);
    const b = (loss(fast) / fast - loss(slow) / slow) / (fast - slow);
    const a = loss(slow) / slow - b * slow;
    linear += Math.max(0, a) / area;
    square += Math.max(0, b) / (area * area);
  }
  return { linear, square, rise };
}

/** m³/s through a pair of openings; never negative. */
export function flowBy({ linear, square, rise }: StackLaw, lighter: number): number {
  const drive = GRAVITY * rise * Math.abs(lighter);
  return (2 * drive) / (linear + Math.sqrt(linear * linear + 4 * square * drive) + 1e-300);
}

/** How that flow grows with lightness, m³/s, at a flow. */
export const slopeBy = ({ linear, square, rise }: StackLaw, flow: number): number =>
  (GRAVITY * rise) / (linear + 2 * square * flow + 1e-12);

/**
 * Up and down through one level opening with lighter air under it, m³/s each way: Q = 0.055·√(g·D⁵·Δρ/ρ).
 * Epstein 1988, J. Heat Transfer 110:885, for a thin opening.
 * @param area m², counted as round
 */
export function counterflow(area: number, lighter: number): number {
  if (lighter <= 0 || area <= 0) return 0;
  const diameter = Math.sqrt((4 * area) / Math.PI);
  return 0.055 * Math.sqrt(GRAVITY * diameter ** 5 * lighter);
}
