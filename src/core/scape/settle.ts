import type { PieceKind } from '../catalogue';
import type { Body, Design, Piece, Support } from '../document/schema';
import { siteAt } from '../ground/bodies';
import { backsOf } from '../pieces/backs';
import { placePieces, type Placed, type Site } from '../pieces/place';
import { overlapShare } from './overlap';
import { axisOf, solidOf, type Bounds, type Solid } from '../pieces/solid';

/** A place reached for: of the underside of the foot; without a height the piece keeps what bears it. */
export interface Towards {
  readonly x: number;
  readonly y: number;
  readonly z?: number;
}

/** Things come to rest on what is so near, m. */
const SNAP = 0.012;
/** Half of a root ball, m (common practice): what stands there needs another place. */
const ROOTS = 0.03;
/** Near enough to a wall to be held by it, m. */
const TOUCH = 0.012;
const MILLIMETRE = 0.001;

const clamp = (value: number, low: number, high: number): number =>
  // A piece larger than its box stands in the middle of it.
  low > high ? (low + high) / 2 : Math.min(high, Math.max(low, value));
const mm = (value: number): number => Math.round(value / MILLIMETRE) * MILLIMETRE;

/** How far a body reaches around its foot, the foot's underside at nothing. */
const reachOf = (body: Body): Bounds => solidOf(body, { x: 0, y: 0 }, 0).bounds;

/** Pieces that stand on this one, on what stands on it, and so on. */
function burdens(pieces: readonly Piece[], id: string): ReadonlySet<string> {
  const all = new Set([id]);
  for (let grown = true; grown;) {
    grown = false;
    for (const { id: own, support } of pieces) {
      if (support.on === 'piece' && all.has(support.piece) && !all.has(own)) {
        all.add(own);
        grown = true;
      }
    }
  }
  return all;
}

/** Inner faces of the box: the glass, and the backgrounds on it. */
function facesOf({
  enclosure,
  scape,
}: Design): Record<'left' | 'right' | 'back' | 'front', readonly number[]> {
  const faces = {
    left: [0],
    right: [enclosure.width],
    back: [enclosure.depth],
    front: [0],
  };
  for (const { background, solid } of backsOf(scape.backgrounds, enclosure)) {
    const { bounds } = solid;
    if (background.wall === 'left') faces.left.push(bounds.x1);
    else if (background.wall === 'right') faces.right.push(bounds.x0);
    else faces.back.push(bounds.y0);
  }
  return faces;
}

/** From where to where a pole runs that is held by the left and the right: the inmost face of either, m. */
export function walledBy(design: Design): readonly [left: number, right: number] {
  const { left, right } = facesOf(design);
  return [Math.max(...left), Math.min(...right)];
}

/** Which wall, or background on it, a body touches. */
function wallAt(bounds: Bounds, design: Design): 'left' | 'right' | 'back' | 'front' | undefined {
  const faces = facesOf(design);
  const far = {
    back: Math.min(...faces.back.map((face) => face - bounds.y1)),
    left: Math.min(...faces.left.map((face) => bounds.x0 - face)),
    right: Math.min(...faces.right.map((face) => face - bounds.x1)),
    front: bounds.y0,
  };
  const [wall, distance] = (Object.entries(far) as [keyof typeof far, number][]).reduce((a, b) =>
    b[1] < a[1] ? b : a,
  );
  return distance <= TOUCH ? wall : undefined;
}

/** Inside the walls; within a centimetre of a face it stands flush with it. */
function inside(body: Body, to: Towards, design: Design): { x: number; y: number } {
  const reach = reachOf(body);
  const { width, depth } = design.enclosure;
  const faces = facesOf(design);
  const flush = (
    at: number,
    low: number,
    high: number,
    lows: readonly number[],
    highs: readonly number[],
  ) => {
    for (const face of lows) if (Math.abs(at + low - face) <= SNAP) return face - low;
    for (const face of highs) if (Math.abs(at + high - face) <= SNAP) return face - high;
    return mm(at);
  };
  const x = flush(clamp(to.x, -reach.x0, width - reach.x1), reach.x0, reach.x1, faces.left, faces.right);
  const y = flush(clamp(to.y, -reach.y0, depth - reach.y1), reach.y0, reach.y1, faces.front, faces.back);
  return {
    x: Math.min(width, Math.max(0, clamp(x, -reach.x0, width - reach.x1))),
    y: Math.min(depth, Math.max(0, clamp(y, -reach.y0, depth - reach.y1))),
  };
}

/**
 * A piece put somewhere comes to rest: on another piece whose top is near, in the ground as deep as it was pushed, on
 * the floor of the box when it is pushed all the way, or on a wall it touches. What nothing holds falls on to what lies
 * below it.
 */
export function settled(design: Design, piece: Piece, to: Towards): Piece {
  const { enclosure, scape } = design;
  const { body, support } = piece;
  const at = inside(body, to, design);
  const moved = { ...piece, at };
  const site = siteAt(design);
  const carried = burdens(scape.pieces, piece.id);
  const others = placePieces(
    scape.pieces.filter((it) => !carried.has(it.id)),
    site,
  );
  const reach = reachOf(body);
  if (support.on === 'lid' || support.on === 'water') {
    if (to.z === undefined) return moved;
    if (support.on === 'lid') {
      const z = clamp(to.z, -reach.z0, enclosure.height - reach.z1);
      return { ...moved, support: { on: 'lid', drop: mm(enclosure.height - z) } };
    }
    const level = site.waterAt(at.x, at.y);
    if (level !== undefined && Math.abs(to.z - level) < 0.05) return moved;
  }
  const before = placePieces([...others.map((it) => it.piece), piece], site).at(-1);
  if (to.z === undefined) {
    if (support.on === 'floor' || support.on === 'ground') return moved;
    if (support.on === 'piece') {
      const under = others.find((it) => it.piece.id === support.piece);
      if (under?.solid.reachAt(at.x, at.y)) return moved;
    }
  }
  const wanted = clamp(to.z ?? before?.base ?? 0, -reach.z0, enclosure.height - reach.z1);
  return { ...moved, support: restAt(moved, wanted, { design, site, others }) };
}

interface Around {
  readonly design: Design;
  readonly site: Site;
  readonly others: readonly Placed[];
}

function restAt({ body, at }: Piece, z: number, { design, site, others }: Around): Support {
  const ground = site.groundAt(at.x, at.y);
  const { z1: tall } = reachOf(body);
  const under = others
    .flatMap((placed) => {
      const top = placed.solid.reachAt(at.x, at.y)?.[1];
      return top === undefined || top < ground ? [] : [{ id: placed.piece.id, top }];
    })
    .filter((it) => it.top <= z + SNAP && (it.top <= z || it.top + tall <= design.enclosure.height))
    .sort((a, b) => b.top - a.top)[0];
  if (under && Math.abs(under.top - z) <= SNAP) return { on: 'piece', piece: under.id };
  const wall = wallAt(solidOf(body, at, z).bounds, design);
  const rest = under?.top ?? ground;
  if (wall && z > rest + SNAP) return { on: 'wall', wall, height: mm(z) };
  if (under) return { on: 'piece', piece: under.id };
  if (z <= 0.004 && ground > 0) return { on: 'floor' };
  return { on: 'ground', sunk: mm(Math.max(0, ground - z)) };
}

/** Gives a long piece another end; the other stays where it is. Blocks have no ends. */
export function stretched(
  design: Design,
  piece: Piece,
  end: 'foot' | 'head',
  to: { readonly x: number; readonly y: number; readonly z: number },
): Piece {
  const { body } = piece;
  if (body.shape === 'block') return piece;
  const solid = placedSolid(design, piece);
  if (!solid) return piece;
  const { width, depth, height } = design.enclosure;
  const half = (body.shape === 'rod' ? body.diameter : body.thickness) / 2;
  // Its ends are flat: along itself it reaches to the wall, across itself by half its thickness less.
  const fixed = end === 'head' ? solid.foot : solid.head;
  const way = Math.hypot(to.x - fixed.x, to.y - fixed.y, to.z - fixed.z);
  const across = (from: number, till: number): number =>
    way < 1e-6 ? half : half * Math.sqrt(Math.max(0, 1 - ((till - from) / way) ** 2));
  const within = (from: number, till: number, most: number): number => {
    const least = Math.min(across(from, till), most / 2);
    return clamp(till, least, most - least);
  };
  const goal = {
    x: within(fixed.x, to.x, width),
    y: within(fixed.y, to.y, depth),
    z: within(fixed.z, to.z, height),
  };
  const [foot, head] = end === 'head' ? [solid.foot, goal] : [goal, solid.head];
  const run = { x: mm(head.x - foot.x), y: mm(head.y - foot.y) };
  const rise = mm(head.z - foot.z);
  if (Math.hypot(run.x, run.y, rise) < 0.02) return piece;
  const changed: Piece = { ...piece, body: { ...body, run, rise } };
  if (end === 'head') return changed;
  const flat = Math.hypot(run.x, run.y) / axisOf(run, rise).long;
  const lowered = { x: goal.x, y: goal.y, z: goal.z - half * flat };
  const at = { x: goal.x, y: goal.y };
  const site = siteAt(design);
  const carried = burdens(design.scape.pieces, piece.id);
  const others = placePieces(
    design.scape.pieces.filter((it) => !carried.has(it.id)),
    site,
  );
  return {
    ...changed,
    at,
    support: restAt({ ...changed, at }, Math.max(0, lowered.z), { design, site, others }),
  };
}

/** A piece as it stands in its design. */
export function placedSolid(design: Design, piece: Piece): Solid | undefined {
  const pieces = design.scape.pieces.some((it) => it.id === piece.id)
    ? design.scape.pieces.map((it) => (it.id === piece.id ? piece : it))
    : [...design.scape.pieces, piece];
  return placePieces(pieces, siteAt(design)).find((it) => it.piece.id === piece.id)?.solid;
}

/**
 * The place nearest to the one asked for at which a piece is in nobody's way; where there is none, the one where it is
 * least so.
 * @param where on land, in open water, or wherever there is room
 */
export function freePlace(
  design: Design,
  piece: Piece,
  target: { readonly x: number; readonly y: number },
  where: 'land' | 'water' | 'anywhere' = 'land',
): Piece {
  const { width, depth } = design.enclosure;
  const site = siteAt(design);
  const others = placePieces(design.scape.pieces, site);
  const backs = backsOf(design.scape.backgrounds, design.enclosure);
  const reach = reachOf(piece.body);
  const planted = design.living.plants.flatMap(({ spot }) => (spot.on === 'ground' ? [spot.at] : []));
  const [nx, ny] = [13, 9];
  let best: { piece: Piece; cost: number } | undefined;
  for (let i = -1; i < nx * ny; i += 1) {
    const wanted =
      i < 0
        ? target
        : {
            x: clamp((((i % nx) + 0.5) / nx) * width, -reach.x0, width - reach.x1),
            y: clamp(((Math.floor(i / nx) + 0.5) / ny) * depth, -reach.y0, depth - reach.y1),
          };
    const at = inside(piece.body, wanted, design);
    const placed = placePieces([...others.map((it) => it.piece), { ...piece, at }], site).at(-1);
    if (!placed) continue;
    const away = Math.hypot(at.x - target.x, at.y - target.y) / Math.hypot(width, depth);
    if (best && away >= best.cost) continue;
    const clash = others.reduce(
      (sum, it) => sum + Math.max(overlapShare(placed.solid, it.solid), overlapShare(it.solid, placed.solid)),
      0,
    );
    const inWater = site.waterAt(at.x, at.y) !== undefined;
    const onPlants = planted.filter(
      (it) =>
        it.x > placed.solid.bounds.x0 - ROOTS &&
        it.x < placed.solid.bounds.x1 + ROOTS &&
        it.y > placed.solid.bounds.y0 - ROOTS &&
        it.y < placed.solid.bounds.y1 + ROOTS,
    ).length;
    const wrong = where !== 'anywhere' && inWater !== (where === 'water');
    const walled = backs.reduce((sum, it) => sum + overlapShare(placed.solid, it.solid), 0);
    const held = piece.support.on === 'wall' || piece.support.on === 'lid';
    const cost = away + clash * 10 + (wrong && !held ? 5 : 0) + (held ? 0 : walled * 10 + onPlants * 0.5);
    if (!best || cost < best.cost) best = { piece: placed.piece, cost };
  }
  return best?.piece ?? piece;
}

/** Where a kind belongs: what works in water in it, dishes and all else on land. */
export const belongs = ({
  uses,
  support,
}: Pick<PieceKind, 'uses' | 'support'>): 'land' | 'water' | 'anywhere' =>
  support.on === 'water' || uses.some((use) => use === 'filter' || use === 'pump' || use === 'heat')
    ? 'water'
    : uses.includes('fall') || support.on === 'floor'
      ? 'anywhere'
      : 'land';

/** What bears a piece once it is told to stand on something else: as near as can be to where it stands now. */
export function supportFor(design: Design, piece: Piece, on: Support['on']): Support {
  const solid = placedSolid(design, piece);
  const base = solid?.bounds.z0 ?? 0;
  const ground = siteAt(design).groundAt(piece.at.x, piece.at.y);
  const { height } = design.enclosure;
  switch (on) {
    case 'floor':
    case 'water':
      return { on };
    case 'ground':
      return { on, sunk: mm(clamp(ground - base, 0, 0.05)) };
    case 'piece': {
      const other = design.scape.pieces.find((it) => it.id !== piece.id);
      return other ? { on, piece: other.id } : piece.support;
    }
    case 'wall':
      return {
        on,
        wall: (solid && wallAt(solid.bounds, design)) ?? 'back',
        height: mm(Math.max(base, ground + 0.05)),
      };
    case 'lid':
      return { on, drop: mm(clamp(height - base, 0.02, height)) };
  }
}
