import type { Enclosure } from '../document/schema';

/**
 * kg/m³ of what walls are made of. Glass 2500: EN 572-1 (soda-lime glass). The others from memory:
 * acrylic 1190, foamed PVC 550, birch plywood 650. A mesh box is counted by its frame, see below.
 */
const WALL_DENSITY: Record<Exclude<Enclosure['material'], 'mesh'>, number> = {
  glass: 2500,
  acrylic: 1190,
  pvc: 550,
  timber: 650,
};

/** Aluminium frame and gauze, kg per m² of face (memory). */
const MESH_FACE = 1.6;
/** A meshed lid in its frame, kg/m² (memory). */
const MESH_LID = 1.5;

/** Pane or board a box of this size is usually made of, m (common practice, never a rating). */
export function usualWall(material: Enclosure['material'], longest: number): number {
  if (material === 'mesh') return 0.001;
  if (material === 'timber') return longest > 1.2 ? 0.018 : 0.015;
  if (material === 'pvc') return 0.01;
  if (longest <= 0.45) return 0.004;
  if (longest <= 0.9) return 0.005;
  return longest <= 1.2 ? 0.006 : 0.008;
}

/** Outside of the box, m: its inside and its walls; a room built where it stands has no floor of its own. */
export function outsideSize(box: Enclosure): Shape {
  const { width, depth, height, wallThickness: t } = box;
  const floor = box.build === 'walk-in' ? 0 : t;
  return {
    width: width + 2 * t,
    depth: depth + 2 * t,
    height: height + floor + (box.top === 'solid' ? t : 0),
  };
}

/** Length of the walls that are gauze, seen from above, m. */
const gauzeRun = ({ screened, width, depth }: Enclosure): number =>
  screened.reduce((sum, wall) => sum + (wall === 'left' || wall === 'right' ? depth : width), 0);

/** Mass of the box with nothing in it, kg: weighed when known, otherwise its walls, floor and lid. */
export function emptyMass(box: Enclosure): { readonly kg: number; readonly weighed: boolean } {
  if (box.emptyMass !== null) return { kg: box.emptyMass, weighed: true };
  const { width, depth, height, wallThickness: t } = box;
  const gauze = gauzeRun(box) * height;
  const sides = 2 * (width + depth) * height - gauze;
  const floor = box.build === 'walk-in' ? 0 : width * depth;
  const roof = width * depth;
  if (box.material === 'mesh')
    return { kg: (sides + gauze + floor) * MESH_FACE + roof * MESH_LID, weighed: false };
  const lid = box.top === 'solid' ? roof : 0;
  const walls = (sides + floor + lid) * t * WALL_DENSITY[box.material];
  return {
    kg: walls + gauze * MESH_FACE + (box.top === 'mesh' ? roof * MESH_LID : 0),
    weighed: false,
  };
}

/** m³ inside. */
export const interiorVolume = (box: Enclosure): number => box.width * box.depth * box.height;

export interface Shape {
  readonly width: number;
  readonly depth: number;
  readonly height: number;
}

/** Proportions boxes are commonly made in, width : depth : height (common practice). */
const PROPORTIONS: readonly (readonly [number, number, number])[] = [
  [1, 1, 1],
  [4, 3, 4],
  [4, 3, 3],
  [1, 1, 1.5],
  [1, 1, 2],
  [2, 1, 1],
  [3, 2, 1.5],
];

/**
 * Shapes that hold about a stated volume, widest floor last, rounded to 5 mm.
 * A volume alone never says what a box is like: ten gallons may stand tall or lie flat.
 * @param volume m³
 */
export function shapesOf(volume: number): readonly Shape[] {
  const round = (metres: number): number => Math.round(metres / 0.005) * 0.005;
  return PROPORTIONS.map(([w, d, h]) => {
    const scale = Math.cbrt(volume / (w * d * h));
    return { width: round(w * scale), depth: round(d * scale), height: round(h * scale) };
  }).sort((a, b) => a.width * a.depth - b.width * b.depth);
}
