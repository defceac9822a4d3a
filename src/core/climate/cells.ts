import { findBackgroundKind, type Catalogue } from '../catalogue';
import type { Design } from '../document/schema';
import type { Placed } from '../pieces/place';
import type { Cell, CellModel, Column } from './box';
import { lidOf, sideOf, type Made } from '../enclosure/shell';
import { WALL_STUFF } from './walls';

/** J/m²K of the outermost millimetre of wood or foam that follows the air (from memory). */
const HARD_SKIN = 1000;

interface CellInput {
  readonly design: Design;
  readonly cell: Cell;
  readonly groundHeight: readonly [number, number];
  readonly tierHeight: number;
  readonly pieces: readonly Placed[];
  readonly columnAt: (x: number) => Column;
  readonly leafy: number;
  readonly catalogue: Catalogue;
}

/** Air of one tier of one half, and what stands around it. */
export function cellModel({
  design,
  cell,
  groundHeight,
  tierHeight,
  pieces,
  columnAt,
  leafy,
  catalogue,
}: CellInput): CellModel {
  const { width, depth, height, top, topCover } = design.enclosure;
  const column = (cell >> 1) as Column;
  const canopy = (cell & 1) === 1;
  const from = canopy ? tierHeight : groundHeight[column];
  const to = canopy ? height : tierHeight;
  const tall = Math.max(0.01, to - from);
  const floor = (width / 2) * depth;
  const warmRight = design.scape.warm === 'right';
  const outer = (column === 0) === warmRight ? 'right' : 'left';
  const around = [
    { wall: outer, run: depth },
    { wall: 'back', run: width / 2 },
    { wall: 'front', run: width / 2 },
  ] as const;
  const walls = around.flatMap(({ wall, run }) => {
    const made = sideOf(design.enclosure, wall);
    return made ? [{ wall, run, made }] : [];
  });
  const cover = lidOf(design.enclosure);
  const resists = ({ material, thickness }: Made): number => thickness / WALL_STUFF[material].conducts;
  const stores = ({ material, thickness }: Made): number =>
    thickness * WALL_STUFF[material].density * WALL_STUFF[material].heat;
  const side = walls.reduce((sum, { run }) => sum + run, 0) * tall;
  const lid = canopy ? floor * (top === 'solid' ? 1 : topCover) : 0;
  const pane = side + lid;
  const sides = around.reduce((sum, { run }) => sum + run, 0);
  const open = sides * tall - side + (canopy ? floor - lid : 0);
  const behind = (wall: string): number =>
    design.scape.backgrounds.find((it) => it.wall === wall)?.thickness ?? 0;
  // A background insulates its wall.
  const toRoom =
    walls.reduce(
      (sum, { wall, run, made }) => sum + (run * tall) / (resists(made) + 0.13 + behind(wall) / 0.05),
      0,
    ) +
    lid / (resists(cover) + 0.1);
  const own = pieces.filter(({ solid }) => {
    const { x0, x1, z0, z1 } = solid.bounds;
    const z = (z0 + z1) / 2;
    return (
      columnAt((x0 + x1) / 2) === column &&
      z >= (canopy ? tierHeight : -1) &&
      z < (canopy ? height + 1 : tierHeight)
    );
  });
  const backs = design.scape.backgrounds.reduce((sum, it) => {
    const run = it.wall === 'back' ? width / 2 : it.wall === outer ? depth : 0;
    return sum + run * Math.max(0, Math.min(to, it.top ?? height) - Math.max(from, it.bottom));
  }, 0);
  const density = (kind: string): number =>
    catalogue.scape.pieces.find((it) => it.id === kind)?.density.value ?? 600;
  const taken = own.reduce((sum, { solid }) => sum + solid.stuff, 0);
  const hard = own.reduce((sum, { solid }) => sum + Math.min(solid.surface, 0.6), 0) + backs;
  const heat =
    own.reduce((sum, { piece, solid }) => sum + solid.stuff * density(piece.kind) * 1300, 0) +
    backs * 0.01 * 1.2e6;
  // Backgrounds of foam weigh next to nothing.
  const foam = design.scape.backgrounds.some((it) => findBackgroundKind(catalogue, it.kind)?.look === 'foam')
    ? 0.3
    : 1;
  return {
    air: Math.max(1e-3, floor * tall - taken),
    pane: {
      area: pane,
      heat: walls.reduce((sum, { run, made }) => sum + run * tall * stores(made), lid * stores(cover)),
      toRoom,
    },
    open: Math.max(0, open),
    leaves: leafy * floor * 0.5,
    hard: { area: hard, heat: Math.max(hard * HARD_SKIN, Math.min(heat * foam, 60_000)) },
    floor,
    height: tall,
  };
}
