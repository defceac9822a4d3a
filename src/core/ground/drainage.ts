import { extremes } from './floor';
import { filledTo, type GroundResult, type LayerResult } from './layers';

export interface Drainage {
  /** The beds and panels, in the order of the layers. */
  readonly beds: readonly LayerResult[];
  /** Share of the first of them that water can fill. */
  readonly voids: number;
  /** Lowest upper side of any of them, m above the floor. */
  readonly depth: number;
  /** Water kept, open water that is one with it included, m³. */
  readonly held: number;
  /** Water it would take to reach the barrier at its lowest place, m³. */
  readonly capacity: number;
  /** Water level up to the lowest place of the barrier, m; negative when the barrier stands in water. */
  readonly freeboard: number;
}

/**
 * Water in what drains: held = φ · the part of the bed under the water level, open water beside it counted whole.
 * undefined when the design has nothing that drains.
 */
export function drainageOf({ layers, parts }: GroundResult, waterDepth: number): Drainage | undefined {
  const beds = layers.filter((it) => it.layer.kind === 'drainage');
  const [first] = beds;
  if (!first) return undefined;
  const areasOf = (bed: LayerResult) =>
    parts.filter((part) => part.stack.includes(bed)).map((it) => it.outline);
  const depth = Math.min(
    ...beds.map((bed) => Math.min(...areasOf(bed).map((area) => extremes(bed.top, bed.field, area).low))),
  );
  const open = layers.filter((it) => it.layer.kind === 'water' && it.layer.level === null);
  const upTo = (level: number): number =>
    beds.reduce((sum, bed) => {
      const share = bed.gross > 0 ? bed.placed / bed.gross : 1;
      return sum + (bed.voids ?? 0) * share * filledTo({ ...bed, over: areasOf(bed) }, level);
    }, 0) + open.reduce((sum, it) => sum + it.area * Math.max(0, level - waterDepth) + it.placed, 0);
  return {
    beds,
    voids: first.voids ?? 0,
    depth: Number.isFinite(depth) ? depth : 0,
    held: upTo(waterDepth),
    capacity: upTo(Math.max(depth, 0)),
    freeboard: depth - waterDepth,
  };
}
