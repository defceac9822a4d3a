import { findPieceKind, type Animal, type Catalogue, type PieceKind, type Use } from '../catalogue';
import type { Design, Piece, Scape } from '../document/schema';
import { soilIn } from '../ground/filled';
import type { GroundResult } from '../ground/layers';
import { WATER_DENSITY } from '../physics/constants';
import { coverShare } from './cover';
import { goesIn, sticksOut } from './fits';
import { backResult, suppliesFor, type BackResult, type SupplyNeed } from './needs';
import type { Placed } from '../pieces/place';
import { workingPoint, type Working } from './pump';
import { isVessel } from './showing';
import { SNUG, wantsOf, type Wants } from './wants';

export type Zone = 'warm' | 'cool';

export interface Hide {
  readonly zone: Zone;
  readonly moist: boolean;
  /** m */
  readonly entrance: number;
  readonly fit: 'tight' | 'snug' | 'wide';
}

/** What a piece comes to where it stands. */
export interface PieceResult {
  readonly placed: Placed;
  readonly kind: PieceKind | undefined;
  readonly uses: readonly Use[];
  /** kg, weighed or calculated from its stuff. */
  readonly mass: number;
  /** m³ of soil a planter takes, or what is filled as a den. */
  readonly fill: number;
  /** m³ of water a dish or a tub holds. */
  readonly holds: number;
  /** m³ of it under the ground, and in water. */
  readonly buried: number;
  readonly wet: number;
  /** Through the doors or the top. */
  readonly goesIn: boolean;
  /** m beyond the walls or the lid. */
  readonly sticksOut: number;
  readonly zone: Zone;
  readonly hide: Hide | undefined;
  /** Of what has a pump: what comes out above, m from the water up. */
  readonly water: { readonly lift: number; readonly working: Working } | undefined;
}

/** Everything that follows from what stands in the box. */
export interface ScapeResult {
  readonly pieces: readonly PieceResult[];
  readonly backs: readonly BackResult[];
  readonly supplies: readonly SupplyNeed[];
  /** kg of all of it. */
  readonly mass: number;
  /** Share of the floor under something. */
  readonly cover: number;
  /** m left between the backgrounds, and m³ they take. */
  readonly inside: { readonly width: number; readonly depth: number; readonly lost: number };
  readonly wants: Wants;
}

/** Share of a dish or tub that is filled (common practice: not to the brim). */
const FILLED = 0.8;
/** Moist soil in a planter, kg/m³ (from memory). */
const PLANTER_SOIL = 800;

export const zoneOf = (x: number, width: number, warm: 'left' | 'right'): Zone =>
  x >= width / 2 === (warm === 'right') ? 'warm' : 'cool';

/** What a piece gives cover with: things one hides in, and what stands broad over the ground. */
const COVERS = (kind: PieceKind | undefined): boolean => kind?.look !== 'open' && kind?.group !== 'water';

export function scapeOf(
  design: Design,
  ground: GroundResult,
  animal: Animal | undefined,
  catalogue: Catalogue,
): ScapeResult {
  const wants = wantsOf(animal);
  const soils = new Set(ground.layers.filter((it) => it.layer.kind !== 'water').map((it) => it.layer.id));
  const pieces = ground.pieces.map((placed) =>
    pieceResult(placed, { design, ground, wants, soils, catalogue }),
  );
  const backs = ground.backs.map((back) => backResult(back, catalogue));
  const supplies = suppliesFor(backs, catalogue);
  const { width, depth } = design.enclosure;
  const stands = (wall: 'left' | 'right' | 'back'): number =>
    design.scape.backgrounds
      .filter((it) => it.wall === wall)
      .reduce((most, it) => Math.max(most, it.thickness + it.gap), 0);
  return {
    pieces,
    backs,
    supplies,
    mass: pieces.reduce((sum, it) => sum + it.mass, 0) + backs.reduce((sum, it) => sum + it.mass, 0),
    cover: coverShare(ground.pieces, design.enclosure, ({ piece }) =>
      COVERS(findPieceKind(catalogue, piece.kind)),
    ),
    inside: {
      width: Math.max(0, width - stands('left') - stands('right')),
      depth: Math.max(0, depth - stands('back')),
      lost: ground.backs.reduce((sum, it) => sum + it.takes, 0),
    },
    wants,
  };
}

interface Setting {
  readonly design: Design;
  readonly ground: GroundResult;
  readonly wants: Wants;
  readonly soils: ReadonlySet<string>;
  readonly catalogue: Catalogue;
}

/** Made anew only when the piece, the ground in it or the box has changed. */
const results = new WeakMap<
  Placed,
  {
    readonly within: ReadonlyMap<string, number> | undefined;
    readonly enclosure: Design['enclosure'];
    readonly warm: Scape['warm'];
    readonly water: number;
    readonly girth: number;
    readonly catalogue: Catalogue;
    readonly result: PieceResult;
  }
>();

function pieceResult(placed: Placed, setting: Setting): PieceResult {
  const { design, ground, wants, catalogue } = setting;
  const within = ground.within.get(placed.piece.id);
  const { enclosure, scape } = design;
  const water = design.ground.waterDepth;
  const before = results.get(placed);
  if (
    before &&
    before.within === within &&
    before.enclosure === enclosure &&
    before.warm === scape.warm &&
    before.water === water &&
    before.girth === wants.girth &&
    before.catalogue === catalogue
  )
    return before.result;
  const result = resultFor(placed, setting);
  results.set(placed, { within, enclosure, warm: scape.warm, water, girth: wants.girth, catalogue, result });
  return result;
}

function resultFor(placed: Placed, { design, ground, wants, soils, catalogue }: Setting): PieceResult {
  const { piece, solid } = placed;
  const kind = findPieceKind(catalogue, piece.kind);
  const { enclosure, scape } = design;
  const uses = kind?.uses ?? [];
  const fill = soilIn(placed, catalogue);
  const vessel =
    isVessel(piece) && !uses.includes('fall') && uses.some((it) => it === 'drink' || it === 'soak');
  const holds = vessel ? solid.encloses * FILLED : 0;
  let buried = 0;
  let wet = 0;
  for (const [layer, volume] of ground.within.get(piece.id) ?? []) {
    if (soils.has(layer)) buried += volume;
    else wet += volume;
  }
  const zone = zoneOf((solid.bounds.x0 + solid.bounds.x1) / 2, enclosure.width, scape.warm);
  return {
    placed,
    kind,
    uses,
    mass:
      (piece.mass ?? solid.stuff * (kind?.density.value ?? 0)) + fill * PLANTER_SOIL + holds * WATER_DENSITY,
    fill,
    holds,
    buried,
    wet,
    goesIn: goesIn(piece.body, enclosure),
    sticksOut: sticksOut(solid.bounds, enclosure),
    zone,
    hide: hideOf(piece, zone, wants),
    water: piece.pump ? waterOf(placed, piece.pump, design) : undefined,
  };
}

function hideOf(piece: Piece, zone: Zone, { girth }: Wants): Hide | undefined {
  const { entrance, moist } = piece;
  if (entrance === null) return undefined;
  const share = entrance / girth;
  return { zone, moist, entrance, fit: share < SNUG.least ? 'tight' : share > SNUG.most ? 'wide' : 'snug' };
}

/** From the water it stands in up to where it comes out. */
function waterOf({ solid }: Placed, pump: NonNullable<Piece['pump']>, { ground }: Design) {
  const lift = Math.max(0, solid.bounds.z1 - ground.waterDepth);
  return { lift, working: workingPoint(pump, lift) };
}
