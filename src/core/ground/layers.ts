import { materialOf, type Catalogue } from '../catalogue';
import type { BarrierLayer, Corners, Design, Layer, Mix } from '../design/schema';
import { add, level, mean } from './corners';
import { mixNeed, single, type MixNeed } from './mix';
import { SQUEEZE } from './water';

/** A barrier is a cloth; its millimetre still lifts what lies on it. */
export const BARRIER_THICKNESS = 0.001;

/** kg/m³; fresh water at room temperature. */
export const WATER_DENSITY = 998;

export interface LayerResult {
  readonly layer: Layer;
  /** Thickness at the corners, m. */
  readonly thickness: Corners;
  /** Underside and upper side above the floor, m. */
  readonly base: Corners;
  readonly top: Corners;
  /** In the box, after settling, m³. */
  readonly placed: number;
  /** kg, with nothing but its solids. */
  readonly dryMass: number;
  /** kg, moist as it will stand; the drainage layer with the water kept in it. */
  readonly wetMass: number;
  /** What it takes to fill it; undefined for a barrier and a raised panel, which are cut. */
  readonly need: MixNeed | undefined;
}

export function thicknessOf(layer: Layer): Corners {
  return layer.kind === 'barrier' ? level(BARRIER_THICKNESS) : layer.thickness;
}

function mixOf(layer: Exclude<Layer, BarrierLayer>): Mix {
  return layer.kind === 'substrate' ? layer.mix : single(layer.material);
}

/**
 * Share of each soil layer that is moistened, when the lowest `moistShare` of the whole soil is: by mean depths,
 * exact where the layers slope alike.
 */
function dampShares(design: Design): ReadonlyMap<string, number> {
  const soils = design.ground.layers.filter((layer) => layer.kind === 'substrate');
  const boundary = design.ground.moistShare * soils.reduce((sum, soil) => sum + mean(soil.thickness), 0);
  const shares = new Map<string, number>();
  let base = 0;
  for (const soil of soils) {
    const depth = mean(soil.thickness);
    shares.set(soil.id, depth > 0 ? Math.min(1, Math.max(0, (boundary - base) / depth)) : 1);
    base += depth;
  }
  return shares;
}

/** Materials a layer is made of. */
export function materialsIn(layer: Layer): readonly string[] {
  return layer.kind === 'substrate' ? layer.mix.parts.map((part) => part.material) : [layer.material];
}

/**
 * Stacks the layers from the floor up, corner by corner.
 * @param heldWater m³ of water standing in the drainage layer
 */
export function stackLayers(design: Design, catalogue: Catalogue, heldWater: number): readonly LayerResult[] {
  const area = design.enclosure.width * design.enclosure.depth;
  const damp = dampShares(design);
  let base = level(0);
  let waterLeft = heldWater;
  return design.ground.layers.map((layer) => {
    const thickness = thicknessOf(layer);
    const top = add(base, thickness);
    const placed = area * mean(thickness);
    const standing = { layer, thickness, base, top, placed };
    base = top;

    if (layer.kind === 'barrier') {
      const mass = area * materialOf(catalogue, layer.material).density.value;
      return { ...standing, dryMass: mass, wetMass: mass, need: undefined };
    }
    const moisture = { suction: SQUEEZE[design.ground.squeeze], share: damp.get(layer.id) ?? 1 };
    const need = mixNeed(mixOf(layer), placed, catalogue, moisture);
    if (layer.kind === 'drainage') {
      const water = waterLeft * WATER_DENSITY;
      waterLeft = 0;
      const cut = materialOf(catalogue, layer.material).roles.includes('raised-panel');
      return {
        ...standing,
        dryMass: need.dryMass,
        wetMass: need.dryMass + water,
        need: cut ? undefined : need,
      };
    }
    const wetMass = need.dryMass + need.water * placed * WATER_DENSITY;
    return { ...standing, dryMass: need.dryMass, wetMass, need };
  });
}
