import type { Corners, Design, Ground, Layer, Region } from '../document/schema';
import type { Site } from '../pieces/place';
import type { Solid } from '../pieces/solid';
import { heightAt, type Rect } from './floor';
import { placeLayers, type PlacedLayer } from './placedLayers';

/** What pieces of a design stand on, without what they weigh or displace. */
export const siteAt = (design: Design): Site => siteOf(design, placeLayers(design).stackAt);

/** Bears what stands on it: not moss, litter or water, which give way. */
const bears = ({ layer }: PlacedLayer): boolean =>
  layer.kind !== 'water' && layer.kind !== 'moss' && layer.kind !== 'litter';

export function siteOf(
  { enclosure, ground }: Design,
  stackAt: (x: number, y: number) => readonly PlacedLayer[],
): Site {
  // A hair inside the walls, where every place belongs to a part.
  const inside = (at: number, size: number): number => Math.min(size - 1e-6, Math.max(1e-6, at));
  const at = (x: number, y: number) => {
    const [u, v] = [inside(x, enclosure.width), inside(y, enclosure.depth)];
    return { stack: stackAt(u, v), u, v };
  };
  return {
    height: enclosure.height,
    groundAt: (x, y) => {
      const { stack, u, v } = at(x, y);
      const top = stack.findLast(bears);
      return top ? heightAt(top.top, top.field, u, v) : 0;
    },
    waterAt: (x, y) => {
      const { stack, u, v } = at(x, y);
      const water = stack.findLast((it) => it.layer.kind === 'water');
      if (water?.layer.kind !== 'water') return undefined;
      const surface = water.layer.level ?? ground.waterDepth;
      return heightAt(water.base, water.field, u, v) < surface ? surface : undefined;
    },
  };
}

interface Measured {
  readonly layers: readonly Layer[];
  readonly regions: readonly Region[];
  readonly waterDepth: number;
  readonly enclosure: Design['enclosure'];
  readonly volumes: ReadonlyMap<string, number>;
}
const measured = new WeakMap<Solid, Measured>();

/**
 * m³ of a body within each layer, column by column of it; what is left is in the air. The columns add up to the body,
 * so that what is displaced and what stands free close on it to rounding.
 */
export function bodyIn(
  solid: Solid,
  { ground, enclosure }: Design,
  stackAt: (x: number, y: number) => readonly PlacedLayer[],
): ReadonlyMap<string, number> {
  const before = measured.get(solid);
  // While another piece is dragged, this one stands in the very same ground.
  if (
    before?.layers === ground.layers &&
    before.regions === ground.regions &&
    before.waterDepth === ground.waterDepth &&
    before.enclosure === enclosure
  )
    return before.volumes;
  const volumes = new Map<string, number>();
  for (const { x, y, area, low, high } of solid.columns) {
    if (x < 0 || y < 0 || x > enclosure.width || y > enclosure.depth) continue;
    for (const { layer, base, top, field } of stackAt(x, y)) {
      const from = heightAt(base, field, x, y);
      if (from >= high) break;
      const thick = Math.min(high, layerTop(layer, top, field, x, y, from, ground)) - Math.max(low, from);
      if (thick > 0) volumes.set(layer.id, (volumes.get(layer.id) ?? 0) + thick * area);
    }
  }
  const { layers, regions, waterDepth } = ground;
  measured.set(solid, { layers, regions, waterDepth, enclosure, volumes });
  return volumes;
}

/** Upper side of a layer at a place; open water is level where its bed is not. */
function layerTop(
  layer: Layer,
  top: Corners,
  field: Rect,
  x: number,
  y: number,
  from: number,
  ground: Ground,
): number {
  return layer.kind === 'water'
    ? Math.max(from, layer.level ?? ground.waterDepth)
    : heightAt(top, field, x, y);
}
