import type { Enclosure, Panel } from '../document/schema';
import { floorOf, lidOf, runOf, sideOf, SIDES, type Made } from './shell';

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

/** A pane or board that takes the place of a wall: doors are two, each over half the front. */
export function usualPanel(
  box: Pick<Enclosure, 'width' | 'depth' | 'height' | 'front'>,
  wall: Panel['wall'],
  material: Panel['material'],
): Omit<Panel, 'wall'> {
  const { width, depth, height, front } = box;
  const run = wall === 'top' ? Math.max(width, depth) : runOf(box, wall);
  const long = wall === 'front' && front === 'doors' ? run / 2 : run;
  return { material, thickness: usualWall(material, wall === 'top' ? long : Math.max(long, height)) };
}

/** Outside of the box, m: its inside and its walls; a room built where it stands has no floor of its own. */
export function outsideSize(box: Enclosure): Shape {
  const { width, depth, height, wallThickness: t } = box;
  const floor = box.build === 'walk-in' ? 0 : t;
  // What opens lies within the frame of the box; a gauzed side is a frame as thick as its walls.
  const thick = (side: (typeof SIDES)[number]): number =>
    side === 'front' && box.front === 'doors' ? t : (sideOf(box, side)?.thickness ?? t);
  return {
    width: width + thick('left') + thick('right'),
    depth: depth + thick('front') + thick('back'),
    height: height + floor + (box.top === 'solid' ? lidOf(box).thickness : 0),
  };
}

/** Mass of the box with nothing in it, kg: weighed when known, otherwise its walls, floor and lid. */
export function emptyMass(box: Enclosure): { readonly kg: number; readonly weighed: boolean } {
  if (box.emptyMass !== null) return { kg: box.emptyMass, weighed: true };
  const { width, depth, height } = box;
  const face = (made: Made | null): number =>
    made ? made.thickness * WALL_DENSITY[made.material] : MESH_FACE;
  const sides = SIDES.reduce((sum, side) => sum + runOf(box, side) * height * face(sideOf(box, side)), 0);
  const floor = box.build === 'walk-in' ? 0 : width * depth * face(floorOf(box));
  const roof = width * depth;
  const lid =
    box.top === 'mesh' || box.material === 'mesh'
      ? roof * MESH_LID
      : box.top === 'solid'
        ? roof * face(lidOf(box))
        : 0;
  return { kg: sides + floor + lid, weighed: false };
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
