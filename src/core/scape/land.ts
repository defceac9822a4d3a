import type { Design, Piece, Point } from '../document/schema';
import { findPieceKind, type Catalogue } from '../catalogue';
import type { Site } from '../pieces/place';
import { belongs } from './settle';

/** Steps across and deep at which land is looked for. */
const STEPS = [17, 11] as const;
/** m of water in which the roots of a plant of the soil still stand wet, and no more. */
const WET_FEET = 0.005;

/** Whether a place of the soil lies under open water. */
export const underWater = ({ waterAt, groundAt }: Site, { x, y }: Point): boolean => {
  const level = waterAt(x, y);
  return level !== undefined && level - groundAt(x, y) > WET_FEET;
};

/** The nearest place that no water covers; undefined where all of it does. */
export function nearestLand({ enclosure }: Design, site: Site, from: Point): Point | undefined {
  const [nx, ny] = STEPS;
  const mm = (value: number): number => Math.round(value * 1000) / 1000;
  const far = ({ x, y }: Point): number => Math.hypot(x - from.x, y - from.y);
  return Array.from({ length: nx * ny }, (_, i) => ({
    x: mm((((i % nx) + 0.5) / nx) * enclosure.width),
    y: mm(((Math.floor(i / nx) + 0.5) / ny) * enclosure.depth),
  }))
    .filter((it) => !underWater(site, it))
    .sort((a, b) => far(a) - far(b))[0];
}

/** Cork, moss boxes, cups: what floats up, fills or is of no use under water, and stands on the ground. */
export function keepsDry({ kind, support }: Piece, catalogue: Catalogue): boolean {
  const row = findPieceKind(catalogue, kind);
  return (
    row !== undefined &&
    (support.on === 'ground' || support.on === 'floor') &&
    belongs(row) === 'land' &&
    (row.group === 'cork' || row.moist === true || row.uses.includes('fly-cup'))
  );
}
