import { findBackgroundKind, findPieceKind } from '../catalogue';
import { animalIn } from '../brief/age';
import { siteAt } from '../ground/bodies';
import { placePieces } from '../pieces/place';
import { arrange } from '../scape/arrange';
import { underWater } from '../scape/land';
import { clashOf } from '../scape/overlap';
import { fallAsks, fittedPump } from '../scape/pump';
import { downToFloor, isVessel, overGround, RIM, showing } from '../scape/showing';
import { solidOf } from '../pieces/solid';
import { belongs, freePlace, placedSolid, settled, stretched, supportFor, walledBy } from '../scape/settle';
import type { Background, Cutout, Design, Piece, Scape } from '../document/schema';
import { type Edit, nextId } from './shared';
import { clamp } from '../physics/constants';

const inScape = (design: Design, change: Partial<Scape>): Design => ({
  ...design,
  scape: { ...design.scape, ...change },
});

const inPiece = (design: Design, id: string, change: (piece: Piece) => Piece): Design => {
  const pieces = design.scape.pieces.map((piece) => (piece.id === id ? change(piece) : piece));
  return pieces.every((piece, index) => piece === design.scape.pieces[index])
    ? design
    : inScape(design, { pieces });
};

const inBackground = (design: Design, id: string, change: (it: Background) => Background): Design =>
  inScape(design, {
    backgrounds: design.scape.backgrounds.map((it) => (it.id === id ? change(it) : it)),
  });

/** m that what stands on the floor is to show over the ground at the least (common practice). */
const SEEN = 0.04;

/** Puts a piece of a kind into the box: where it is in nobody's way, near the middle or where it was asked for. */
export const addPiece: Edit<{ kind: string; at?: { x: number; y: number } }> = (
  design,
  { kind, at },
  catalogue,
) => {
  const row = findPieceKind(catalogue, kind);
  if (!row || design.scape.pieces.length >= 200) return design;
  const { pieces } = design.scape;
  const alike = pieces.filter((it) => it.kind === kind).length;
  const { width, depth } = design.enclosure;
  const piece: Piece = {
    id: nextId('piece', pieces),
    name: alike > 0 ? `${row.name} ${alike + 1}` : row.name,
    kind,
    at: at ?? { x: width / 2, y: depth / 2 },
    body: row.body,
    support: row.support,
    fixed: row.support.on === 'wall',
    entrance: row.entrance?.value ?? null,
    moist: row.moist ?? false,
    filled: false,
    basking: false,
    drained: true,
    mass: null,
    pump: row.pump ?? null,
  };
  const target =
    piece.support.on === 'wall' && !at
      ? {
          back: { x: width / 2, y: depth },
          front: { x: width / 2, y: 0 },
          left: { x: 0, y: depth / 2 },
          right: { x: width, y: depth / 2 },
        }[piece.support.wall]
      : piece.at;
  const site = siteAt(design);
  const placed = freePlace(design, piece, target, belongs(row));
  const [stands] = placePieces([placed], site);
  // What is to stand on the floor is bought so tall that one sees it.
  const deep =
    stands && site.waterAt(placed.at.x, placed.at.y) === undefined && showing(stands.solid, site) < SEEN;
  const made = deep ? overGround(placed, SEEN, design, site) : placed;
  return inScape(design, { pieces: [...pieces, row.uses.includes('fall') ? pumped(made, design) : made] });
};

/** A fall with the pump and hose that bring its water up to where it stands; as it was where none does. */
function pumped(piece: Piece, design: Design): Piece {
  const solid = placedSolid(design, piece);
  const lift = solid ? Math.max(0, solid.bounds.z1 - design.ground.waterDepth) : 0;
  const pump = piece.pump && fittedPump(fallAsks(piece).flow, lift);
  return pump ? { ...piece, pump } : piece;
}

/** Shares of the free height, and of the depth, at which a perch is tried, the best first (common practice). */
const PERCH_HEIGHTS = [0.5, 0.7, 0.35, 0.85, 0.6, 0.42, 0.78, 0.25];
const PERCH_DEPTHS = [0.45, 0.65, 0.3, 0.8, 0.15];

/**
 * A branch of a thickness from wall to wall, cut to the width between the faces it is held by; where nothing else runs
 * through it, half-way up the free height first.
 */
export const addPerch: Edit<{ diameter: number }> = (design, { diameter }, catalogue) => {
  const { width, depth, height } = design.enclosure;
  const added = addPiece(design, { kind: 'branch', at: { x: width / 2, y: depth / 2 } }, catalogue);
  const made = added.scape.pieces.at(-1);
  if (!made || added === design) return design;
  const site = siteAt(design);
  const others = placePieces(design.scape.pieces, site);
  const [from, to] = walledBy(design);
  const perch = (up: number, deep: number): Piece => {
    const at = { x: from, y: Math.round(depth * deep * 1000) / 1000 };
    const ground = site.groundAt(width / 2, at.y);
    return {
      ...made,
      at,
      body: { shape: 'rod', run: { x: to - from, y: 0 }, rise: 0, diameter, wall: null },
      support: {
        on: 'wall',
        wall: 'left',
        height: Math.round((ground + (height - ground) * up) * 100) / 100,
      },
      fixed: true,
    };
  };
  const tried = PERCH_HEIGHTS.flatMap((up) => PERCH_DEPTHS.map((deep) => perch(up, deep)));
  const clash = (piece: Piece): number => {
    const solid = placedSolid(design, piece);
    if (!solid) return Infinity;
    return others.reduce((sum, it) => sum + clashOf(solid, it.solid), 0);
  };
  let best = { piece: tried[0] ?? made, by: Infinity };
  for (const piece of tried) {
    const by = clash(piece);
    if (by < best.by - 1e-6) best = { piece, by };
    if (by < 1e-6) break;
  }
  return inPiece(added, made.id, () => best.piece);
};

/** A branch from the ground up against a piece that is hard to get to, as flat as the box lets it. */
export const leanOn: Edit<{ piece: string }> = (design, { piece: id }, catalogue) => {
  const goal = design.scape.pieces.find((it) => it.id === id);
  const solid = goal && placedSolid(design, goal);
  if (!goal || !solid) return design;
  const { width, depth } = design.enclosure;
  const { bounds } = solid;
  // From the corner that is farthest: as flat as it can be.
  const nearest = (from: { x: number; y: number }) => ({
    x: clamp(from.x, bounds.x0, bounds.x1),
    y: clamp(from.y, bounds.y0, bounds.y1),
  });
  const far = ({ x, y }: { x: number; y: number }): number => {
    const to = nearest({ x, y });
    return Math.hypot(to.x - x, to.y - y);
  };
  const [foot] = [0.04, width - 0.04]
    .flatMap((x) => [0.04, depth - 0.04].map((y) => ({ x, y })))
    .sort((one, two) => far(two) - far(one));
  if (!foot) return design;
  const added = addPiece(design, { kind: 'branch', at: foot }, catalogue);
  const made = added.scape.pieces.at(-1);
  if (!made || added === design) return design;
  const edge = nearest(foot);
  const leaned = inPiece(added, made.id, (piece) => ({
    ...piece,
    at: foot,
    body: {
      shape: 'rod',
      run: { x: edge.x - foot.x, y: edge.y - foot.y },
      rise: 0.05,
      diameter: 0.02,
      wall: null,
    },
    support: { on: 'ground', sunk: 0.01 },
    fixed: true,
  }));
  return stretchPiece(
    leaned,
    { piece: made.id, end: 'head', to: { ...edge, z: (bounds.z0 + bounds.z1) / 2 } },
    catalogue,
  );
};

/** Changes a piece by its fields; it stays within the walls. */
export const setPiece: Edit<{
  piece: string;
  change: Partial<Omit<Piece, 'id' | 'at' | 'support'>>;
}> = (design, { piece: id, change }) =>
  inPiece(design, id, (piece) => {
    const next = { ...piece, ...change, name: change.name?.trim().slice(0, 80) || piece.name };
    return change.body ? settled(design, next, next.at) : next;
  });

/** Stands a piece on something else, where it is. */
export const setSupport: Edit<{ piece: string; support: Piece['support'] }> = (
  design,
  { piece: id, support },
) => inPiece(design, id, (piece) => ({ ...piece, support }));

/** Has something else bear a piece: as near as can be to where it stands now. */
export const standOn: Edit<{ piece: string; on: Piece['support']['on'] }> = (design, { piece: id, on }) =>
  inPiece(design, id, (piece) => ({ ...piece, support: supportFor(design, piece, on) }));

/**
 * Stands a piece on the floor of the box, as tall over the ground as it is, and beside what it would run into then; what lies
 * stays where it is.
 */
export const standOnFloor: Edit<{ piece: string }> = (design, { piece: id }) => {
  const site = siteAt(design);
  const placed = placePieces(design.scape.pieces, site).find(({ piece }) => piece.id === id);
  const down = placed && downToFloor(placed, design, site);
  if (!placed || !down) return design;
  const others = inScape(design, { pieces: design.scape.pieces.filter((it) => it.id !== id) });
  const beside = freePlace(others, down, down.at);
  const rim = isVessel(beside) ? showing(solidOf(beside.body, beside.at, 0), site) : 0;
  const stands =
    rim > RIM ? beside : overGround(beside, Math.max(SEEN, showing(placed.solid, site)), design, site);
  return inPiece(design, id, () => stands);
};

/** Moves a piece to the nearest place where it is in nobody’s way, and on land if it belongs there; or it stays. */
export const makeRoom: Edit<{ piece: string }> = (design, { piece: id }, catalogue) => {
  const piece = design.scape.pieces.find((it) => it.id === id);
  if (!piece) return design;
  const row = findPieceKind(catalogue, piece.kind);
  const others = inScape(design, { pieces: design.scape.pieces.filter((it) => it.id !== id) });
  const where = row ? belongs(row) : 'anywhere';
  const moved = freePlace(others, piece, piece.at, where);
  const site = siteAt(design);
  const wrong = ({ at }: Piece): boolean =>
    where !== 'anywhere' && underWater(site, at) !== (where === 'water');
  const clash = (it: Piece): number => {
    const solid = placedSolid(others, it);
    if (!solid) return Infinity;
    return placePieces(others.scape.pieces, site).reduce(
      (most, { solid: by }) => Math.max(most, clashOf(solid, by)),
      0,
    );
  };
  const better = clash(moved) < clash(piece) || (wrong(piece) && !wrong(moved));
  return better ? inPiece(design, id, () => moved) : design;
};

/** Puts a piece somewhere; it comes to rest on what is there (see `settled`). */
export const movePiece: Edit<{ piece: string; to: { x: number; y: number; z?: number } }> = (
  design,
  { piece: id, to },
) => inPiece(design, id, (piece) => settled(design, piece, to));

/** Takes a long piece by one end. */
export const stretchPiece: Edit<{
  piece: string;
  end: 'foot' | 'head';
  to: { x: number; y: number; z: number };
}> = (design, { piece: id, end, to }) => inPiece(design, id, (piece) => stretched(design, piece, end, to));

/** What stood on a piece that is taken out comes down on to what lies below. */
export const removePiece: Edit<{ piece: string }> = (design, { piece: id }) => {
  const left = inScape(design, { pieces: design.scape.pieces.filter((it) => it.id !== id) });
  return left.scape.pieces
    .filter(({ support }) => support.on === 'piece' && support.piece === id)
    .reduce(
      (sum, { id: own }) =>
        inPiece(sum, own, (it) => settled(sum, { ...it, support: { on: 'ground', sunk: 0 } }, it.at)),
      left,
    );
};

export const copyPiece: Edit<{ piece: string }> = (design, { piece: id }) => {
  const { pieces } = design.scape;
  const from = pieces.find((it) => it.id === id);
  if (!from || pieces.length >= 200) return design;
  const copy = { ...from, id: nextId('piece', pieces), name: `${from.name} 2`.slice(0, 80) };
  return inScape(design, { pieces: [...pieces, freePlace(design, copy, from.at, 'anywhere')] });
};

/** A background of a kind on a wall; one that is there on that wall gives way. */
export const addBackground: Edit<{ wall: Background['wall']; kind: string }> = (
  design,
  { wall, kind },
  catalogue,
) => {
  const row = findBackgroundKind(catalogue, kind);
  if (!row) return design;
  const { backgrounds } = design.scape;
  const { low, high } = row.thickness.value;
  const made: Background = {
    id: nextId('background', backgrounds),
    wall,
    kind,
    bottom: 0,
    top: null,
    thickness: Math.round(((low + high) / 2) * 1000) / 1000,
    gap: 0,
    clearance: row.liftsOut ? 0.002 : 0,
    finish: row.finishes[0] ?? 'bare',
    coats: 4,
    cutouts: [],
    finished: null,
  };
  return inScape(design, { backgrounds: [...backgrounds.filter((it) => it.wall !== wall), made] });
};

export const setBackground: Edit<{
  background: string;
  change: Partial<Omit<Background, 'id' | 'wall'>>;
}> = (design, { background: id, change }, catalogue) =>
  inBackground(design, id, (it) => {
    const next = { ...it, ...change };
    const finishes = findBackgroundKind(catalogue, next.kind)?.finishes ?? [next.finish];
    const { width, depth, height } = design.enclosure;
    const thickest = (next.wall === 'back' ? depth : width) / 2;
    return {
      ...next,
      finish: finishes.includes(next.finish) ? next.finish : (finishes[0] ?? 'bare'),
      thickness: clamp(next.thickness, 0.001, thickest),
      gap: clamp(next.gap, 0, thickest),
      clearance: clamp(next.clearance, 0, 0.05),
      coats: clamp(Math.round(next.coats), 1, 8),
      bottom: clamp(next.bottom, 0, Math.max(0, height - 0.02)),
      top: next.top === null || next.top >= height ? null : Math.max(next.top, next.bottom + 0.02),
    };
  });

export const removeBackground: Edit<{ background: string }> = (design, { background: id }) =>
  inScape(design, { backgrounds: design.scape.backgrounds.filter((it) => it.id !== id) });

export const addCutout: Edit<{ background: string; use: Cutout['use'] }> = (design, { background, use }) =>
  inBackground(design, background, (it) =>
    it.cutouts.length >= 20
      ? it
      : {
          ...it,
          cutouts: [
            ...it.cutouts,
            {
              id: nextId('cutout', it.cutouts),
              use,
              shape: use === 'filter' || use === 'planter' ? 'square' : 'round',
              across: 0.05,
              up: 0.05,
              width: 0.03,
              height: 0.03,
            },
          ],
        },
  );

/** What holds for the box as a whole: the warm side, the room above it, the trial with water. */
export const setScape: Edit<Partial<Pick<Scape, 'warm' | 'above' | 'trial'>>> = (design, change) =>
  inScape(design, change);

/** Lays everything out afresh for the animal's way of life. */
export const proposeScape: Edit<Record<string, never>> = (design, _, catalogue) =>
  inScape(design, arrange(design, animalIn(design, catalogue), catalogue));

/** Takes out all that stands in the box, and its backgrounds. */
export const clearScape: Edit<Record<string, never>> = (design) =>
  inScape(design, { pieces: [], backgrounds: [] });
