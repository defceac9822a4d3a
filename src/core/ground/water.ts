import { materialOf, type Catalogue, type Material, type RetentionCurve } from '../catalogue';
import type { Mix } from '../document/schema';
import { normalise } from './parts';

/**
 * Water held at a suction: θ(h) = θr + (θs − θr)·[1 + (αh)ⁿ]^(−m), m = 1 − 1/n.
 * van Genuchten 1980, Soil Sci. Soc. Am. J. 44: 892.
 * @param suction cm of water, 0 or more
 * @returns m³ of water per m³
 */
export function heldAt(curve: RetentionCurve, suction: number): number {
  const { residual, saturated, alpha, n } = curve;
  return residual + (saturated - residual) * (1 + (alpha * Math.max(0, suction)) ** n) ** -(1 - 1 / n);
}

/**
 * Hydraulic conductivity at a water content, by Mualem's model: K = Ks·√Se·[1 − (1 − Se^(1/m))^m]².
 * van Genuchten 1980, eq. 8. In the unit of `saturated`.
 */
export function conductivityAt(curve: RetentionCurve, saturated: number, suction: number): number {
  const m = 1 - 1 / curve.n;
  const effective = (heldAt(curve, suction) - curve.residual) / (curve.saturated - curve.residual);
  return saturated * Math.sqrt(effective) * (1 - (1 - effective ** (1 / m)) ** m) ** 2;
}

/** A blend as it lies in the box: how much of it is pores, and what they hold. */
export interface Blend {
  /** m³ of pores per m³ placed. */
  readonly porosity: number;
  /** Water held at a suction in cm of water, m³/m³ placed. */
  readonly held: (suction: number) => number;
}

/**
 * Blends curves by the volume each part takes once settled; never their α or n.
 * Solids and their water are conserved when fines fill the gaps of coarse parts: with a packing loss p the porosity is
 * 1 − (1 − Σf·TP)/(1 − p), and the water of the parts is shared by (1 − p) of their volume, at most filling the pores.
 * undefined when a part has no curve.
 */
export function blendOf(mix: Mix, catalogue: Catalogue): Blend | undefined {
  // A mix is a value: while a layer is dragged the same one is asked for at every frame.
  const known = blends.get(mix);
  if (known?.catalogue === catalogue) return known.blend;
  const blend = makeBlend(mix, catalogue, (row) => row.retention);
  blends.set(mix, { catalogue, blend });
  return blend;
}

/** The same by the other published table, where parts of it stand in one; undefined: none of them does. */
export function blendToo(mix: Mix, catalogue: Catalogue): Blend | undefined {
  const known = blendsToo.get(mix);
  if (known?.catalogue === catalogue) return known.blend;
  const isIn = normalise(mix).some((it) => materialOf(catalogue, it.material).retentionToo !== undefined);
  const blend = isIn ? makeBlend(mix, catalogue, (row) => row.retentionToo ?? row.retention) : undefined;
  blendsToo.set(mix, { catalogue, blend });
  return blend;
}

type Blends = WeakMap<Mix, { readonly catalogue: Catalogue; readonly blend: Blend | undefined }>;
const blends: Blends = new WeakMap();
const blendsToo: Blends = new WeakMap();

function makeBlend(
  mix: Mix,
  catalogue: Catalogue,
  curveOf: (row: Material) => Material['retention'],
): Blend | undefined {
  const parts: { share: number; curve: RetentionCurve }[] = [];
  for (const part of normalise(mix)) {
    const row = materialOf(catalogue, part.material);
    const curve = curveOf(row);
    if (!curve) return undefined;
    parts.push({ share: part.share * (1 - row.settling.value), curve: curve.value });
  }
  const total = parts.reduce((sum, part) => sum + part.share, 0);
  const mean = (of: (curve: RetentionCurve) => number): number =>
    parts.reduce((sum, part) => sum + part.share * of(part.curve), 0) / total;
  const gap = 1 - mix.packingLoss;
  const porosity = Math.max(0.05, 1 - (1 - mean((curve) => curve.saturated)) / gap);
  return {
    porosity,
    held: (suction) => Math.min(porosity, mean((curve) => heldAt(curve, suction)) / gap),
  };
}

/** One soil of a stack, from the bottom up. */
export interface Stratum {
  readonly blend: Blend;
  /** m */
  readonly thickness: number;
}

/** Air under which roots and crew suffocate, m³/m³ (common practice in container growing). */
export const LEAST_AIR = 0.1;

/**
 * Drained and at rest over an open bed, suction at a height equals that height: a coarse layer does not pull water
 * down, so the bottom of the soil stays near saturation whatever lies under it (the perched water table).
 * @param height m above the underside of the soil, or above the water level where that is higher
 * @returns water and air, m³/m³; undefined above the stack
 */
export function drainedAt(strata: readonly Stratum[], height: number) {
  let base = 0;
  for (const { blend, thickness } of strata) {
    if (height <= base + thickness + 1e-9) {
      const water = blend.held(height * 100);
      return { water, air: blend.porosity - water };
    }
    base += thickness;
  }
  return undefined;
}

export interface Drained {
  /** m */
  readonly depth: number;
  /** Mean water once drained, m³/m³: container capacity. */
  readonly capacity: number;
  /** Mean air once drained, m³/m³: air-filled porosity. */
  readonly air: number;
  readonly porosity: number;
}

/**
 * Means over the depth of a drained stack; Simpson's rule with 32 strips a stratum.
 * @param submerged m of the soil's foot that stands in water
 */
export function drainedMeans(strata: readonly Stratum[], submerged = 0): Drained {
  let base = 0;
  let water = 0;
  let pores = 0;
  for (const { blend, thickness } of strata) {
    const strips = 32;
    let sum = 0;
    for (let i = 0; i <= strips; i += 1) {
      const weight = i === 0 || i === strips ? 1 : i % 2 === 1 ? 4 : 2;
      sum += weight * blend.held(Math.max(0, base + (thickness * i) / strips - submerged) * 100);
    }
    water += (sum / (3 * strips)) * thickness;
    pores += blend.porosity * thickness;
    base += thickness;
  }
  const depth = base;
  const capacity = depth > 0 ? water / depth : 0;
  const porosity = depth > 0 ? pores / depth : 0;
  return { depth, capacity, porosity, air: Math.max(0, porosity - capacity) };
}

/**
 * Height over the open bed below which a soil holds less air than roots and crew need, m. It belongs to the mix, not
 * to the depth. Sought to `limit`; that is returned when air never reaches it.
 */
export function airlessHeight(blend: Blend, limit = SOUGHT): number {
  let height = heights.get(blend);
  if (height === undefined) {
    height = seekAirlessHeight(blend);
    heights.set(blend, height);
  }
  return Math.min(height, limit);
}

/** Deeper than any soil that is built, m. */
const SOUGHT = 1;
const heights = new WeakMap<Blend, number>();

function seekAirlessHeight(blend: Blend): number {
  const short = (height: number): boolean => blend.porosity - blend.held(height * 100) < LEAST_AIR;
  if (!short(0)) return 0;
  if (short(SOUGHT)) return SOUGHT;
  let low = 0;
  let high = SOUGHT;
  while (high - low > 1e-5) {
    const middle = (low + high) / 2;
    if (short(middle)) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** The lowest stretch of a stack that stays airless, m: each stratum by its own curve, from the bottom up. */
export function airlessZone(strata: readonly Stratum[], submerged = 0): number {
  let base = 0;
  for (const { blend, thickness } of strata) {
    const reach = submerged + airlessHeight(blend, Math.max(0.01, base + thickness - submerged));
    if (reach < base + thickness - 1e-6) return Math.max(base, reach);
    base += thickness;
  }
  return base;
}

/**
 * Suction at which a squeezed fistful passes, cm of water, by school (common practice): the strict school wants no
 * drop, the generous one a drop or two.
 */
export const SQUEEZE = { strict: 60, generous: 20 } as const;
export type Squeeze = keyof typeof SQUEEZE;
