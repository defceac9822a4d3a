import type { Design } from '../document/schema';
import type { Body, Scene } from '../light/rays';
import type { Placed } from '../pieces/place';
import type { Cell, CellModel, Column } from './box';

/** Column of a side of the box, 0 left and 1 right: the warm one is 0. */
export const columnOfSide = (design: Pick<Design, 'scape'>, side: 0 | 1): Column =>
  (side === 1) === (design.scape.warm === 'right') ? 0 : 1;

/** Cell of the engine for a quarter of the drawing (side · 2 + tier). */
export const cellOfQuarter = (design: Pick<Design, 'scape'>, quarter: number): Cell =>
  (columnOfSide(design, quarter >> 1 === 0 ? 0 : 1) * 2 + (quarter & 1)) as Cell;

/** Share of the box around a body that it covers, seen from above; slender things let most of it through. */
const opaqueOf = ({ solid: { bounds: b, shades } }: Placed): number =>
  Math.min(1, shades / Math.max(1e-6, (b.x1 - b.x0) * (b.y1 - b.y0)));

interface SceneInput {
  readonly design: Design;
  /** By column. */
  readonly groundHeight: readonly [number, number];
  readonly tierHeight: number;
  readonly cells: readonly CellModel[];
  readonly pieces: readonly Placed[];
}

/** A box as rays pass through it: its air with leaves, and what stands in it. */
export function sceneOf({ design, groundHeight, tierHeight, cells, pieces }: SceneInput): Scene {
  const { width, depth, height } = design.enclosure;
  const density = (quarter: number): number => {
    const cell = cells[cellOfQuarter(design, quarter)];
    return cell ? cell.leaves / Math.max(1e-4, cell.floor * cell.height) : 0;
  };
  const bodies = pieces.map((placed): Body => {
    const { bounds: b } = placed.solid;
    const side = (b.x0 + b.x1) / 2 < width / 2 ? 0 : 2;
    return {
      bounds: b,
      opaque: opaqueOf(placed),
      quarter: side + ((b.z0 + b.z1) / 2 < tierHeight ? 0 : 1),
    };
  });
  return {
    width,
    depth,
    height,
    ground: [groundHeight[columnOfSide(design, 0)], groundHeight[columnOfSide(design, 1)]],
    tier: tierHeight,
    leafDensity: [density(0), density(1), density(2), density(3)],
    bodies,
  };
}
