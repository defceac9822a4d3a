import { materialOf, type Catalogue } from '../catalogue';
import type { Mix } from '../document/schema';
import { normalise } from './parts';
import { blendOf } from './water';

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
  /** Water in it as it is put in, m³ per placed m³: moist in its damp share, as bought in the rest. */
  readonly water: number;
  /** Water to mix in so that it passes the squeeze test, m³; never negative. */
  readonly waterToMixIn: number;
}

/** How fresh soil is moistened: to what suction, cm of water, and how much of it. */
export interface Moisture {
  readonly suction: number;
  readonly share: number;
}

const WHOLLY_MOIST: Moisture = { suction: 20, share: 1 };

/**
 * What a placed volume of a mix takes: Σ xᵢ(1 − sᵢ)(1 − p) = placed, with xᵢ = fᵢ·x.
 * Solids are conserved: placed density = Σ xᵢρᵢ / placed.
 * @param placed m³ in the box after settling
 */
export function mixNeed(
  mix: Mix,
  placed: number,
  catalogue: Catalogue,
  moisture: Moisture = WHOLLY_MOIST,
): MixNeed {
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
  const moist =
    blendOf(mix, catalogue)?.held(moisture.suction) ??
    shares.reduce((sum, part) => sum + part.share * part.row.waterMoist.value, 0);
  const received = shares.reduce((sum, part) => sum + part.share * part.row.waterReceived.value, 0) * loose;
  return {
    ingredients,
    loose,
    yield: settled,
    dryMass,
    placedDensity: placed > 0 ? dryMass / placed : 0,
    water: placed > 0 ? (moist * placed * moisture.share + received * (1 - moisture.share)) / placed : 0,
    waterToMixIn: Math.max(0, moist * placed - received) * moisture.share,
  };
}

/** Share of a soil’s volume under which water is not worth pouring in (common practice: it comes damp enough). */
const WORTH = 0.004;

/** Whether a soil is moistened when it is mixed: one that goes in dry, or comes damp enough, is not. */
export const isMoistened = ({ waterToMixIn, loose }: MixNeed): boolean => waterToMixIn > WORTH * loose;

/** A layer of one material is a mix of one part. */
export const single = (material: string): Mix => ({
  recipe: null,
  parts: [{ material, parts: 1 }],
  packingLoss: 0,
});
