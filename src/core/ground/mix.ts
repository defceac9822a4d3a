import { materialOf, type Catalogue } from '../catalogue';
import type { Mix } from '../design/schema';

export interface Share {
  readonly material: string;
  /** Parts as written. */
  readonly written: number;
  /** Share of the loose volume, 0 to 1; all shares sum to one. */
  readonly share: number;
}

/**
 * Parts by volume, scaled to sum to one. 70, 30 and 10 become 63.6, 27.3 and 9.1 %.
 * All-zero parts count as equal, so that a half-typed mix never divides by nothing.
 */
export function normalise(mix: Mix): readonly Share[] {
  const total = mix.parts.reduce((sum, part) => sum + part.parts, 0);
  return mix.parts.map((part) => ({
    material: part.material,
    written: part.parts,
    share: total > 0 ? part.parts / total : 1 / mix.parts.length,
  }));
}

/** True when the parts look like percentages (each 5 to 95, sum over 60) that miss one hundred. */
export function missesHundred(mix: Mix): boolean {
  const total = mix.parts.reduce((sum, part) => sum + part.parts, 0);
  const likePercent = mix.parts.length > 1 && mix.parts.some((part) => part.parts >= 20);
  return likePercent && total > 60 && Math.abs(total - 100) > 0.5;
}

export interface IngredientNeed {
  readonly material: string;
  readonly share: number;
  /** Loose volume to measure out, m³. */
  readonly loose: number;
  readonly dryMass: number;
}

export interface MixNeed {
  readonly ingredients: readonly IngredientNeed[];
  /** Loose volume of all parts together, before packing and settling, m³. */
  readonly loose: number;
  /** Placed volume over loose volume: Σ fᵢ(1 − sᵢ)(1 − p). */
  readonly yield: number;
  /** kg */
  readonly dryMass: number;
  /** Dry, kg per placed m³. */
  readonly placedDensity: number;
  /** Water in it when moist enough to glisten, m³ per placed m³. */
  readonly waterMoist: number;
  /** Water to mix in so that it passes the squeeze test, m³; never negative. */
  readonly waterToMixIn: number;
}

/**
 * What a placed volume of a mix takes: Σ xᵢ(1 − sᵢ)(1 − p) = placed, with xᵢ = fᵢ·x.
 * Solids are conserved: placed density = Σ xᵢρᵢ / placed.
 * @param placed m³ in the box after settling
 */
export function mixNeed(mix: Mix, placed: number, catalogue: Catalogue): MixNeed {
  const shares = normalise(mix).map((part) => ({ ...part, row: materialOf(catalogue, part.material) }));
  const gap = 1 - mix.packingLoss;
  const settled = shares.reduce((sum, part) => sum + part.share * (1 - part.row.settling.value), 0) * gap;
  const loose = placed / settled;
  const ingredients = shares.map((part) => ({
    material: part.material,
    share: part.share,
    loose: loose * part.share,
    dryMass: loose * part.share * part.row.density.value,
  }));
  const dryMass = ingredients.reduce((sum, part) => sum + part.dryMass, 0);
  const waterMoist = shares.reduce((sum, part) => sum + part.share * part.row.waterMoist.value, 0);
  const received = shares.reduce((sum, part) => sum + part.share * part.row.waterReceived.value, 0) * loose;
  return {
    ingredients,
    loose,
    yield: settled,
    dryMass,
    placedDensity: placed > 0 ? dryMass / placed : 0,
    waterMoist,
    waterToMixIn: Math.max(0, waterMoist * placed - received),
  };
}

/** A layer of one material is a mix of one part. */
export const single = (material: string): Mix => ({
  recipe: null,
  parts: [{ material, parts: 1 }],
  packingLoss: 0,
});
