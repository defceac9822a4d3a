import { materialOf, type Catalogue } from '../catalogue';
import type { Design } from '../design/schema';
import { add, level, lowest, meanUnder } from './corners';
import { thicknessOf } from './layers';

export interface Drainage {
  /** Share of the layer that water can fill. */
  readonly voids: number;
  /** Thinnest place of the bed, m. */
  readonly depth: number;
  /** Water kept, m³. */
  readonly held: number;
  /** Water it would take to reach the barrier at its lowest place, m³. */
  readonly capacity: number;
  /** Water level up to the lowest place of the barrier, m; negative when the barrier stands in water. */
  readonly freeboard: number;
}

/**
 * Water in the drainage layer: held = area · φ · mean(min(level, bed)).
 * undefined when the design has no drainage layer.
 */
export function drainageOf(design: Design, catalogue: Catalogue): Drainage | undefined {
  const { layers, waterDepth } = design.ground;
  const index = layers.findIndex((layer) => layer.kind === 'drainage');
  const layer = layers[index];
  if (layer?.kind !== 'drainage') return undefined;
  const base = layers.slice(0, index).reduce((sum, below) => add(sum, thicknessOf(below)), level(0));
  const top = add(base, layer.thickness);
  const voids = materialOf(catalogue, layer.material).voids?.value ?? 0;
  const area = design.enclosure.width * design.enclosure.depth;
  const below = (height: number): number => area * voids * (meanUnder(top, height) - meanUnder(base, height));
  const depth = lowest(top);
  return {
    voids,
    depth,
    held: below(waterDepth),
    capacity: below(depth),
    freeboard: depth - waterDepth,
  };
}
