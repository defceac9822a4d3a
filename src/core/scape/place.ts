import type { Piece } from '../design/scapeSchema';
import { solidOf, type Solid } from './solid';

/** What pieces stand on, asked place by place; m above the floor. */
export interface Site {
  /** Height of the box inside. */
  readonly height: number;
  /** Upper side of what bears a piece: soil, drainage or the bare floor, not moss, litter or water. */
  readonly groundAt: (x: number, y: number) => number;
  /** Surface of open water there; undefined where there is none. */
  readonly waterAt: (x: number, y: number) => number | undefined;
}

/** A piece where it stands. */
export interface Placed {
  readonly piece: Piece;
  readonly solid: Solid;
  /** Underside of its foot, m above the floor. */
  readonly base: number;
  /** Ground at its foot, m above the floor. */
  readonly ground: number;
  /** What bears it in the end: a piece that is gone leaves what stood on it to the ground. */
  readonly on: Piece['support']['on'];
}

/** Share of its height that floating cork lies under the water (density a quarter of water's). */
const DRAUGHT = 0.25;

/** A piece keeps its solid while it stands where it stood. */
const known = new WeakMap<Piece, { readonly base: number; readonly solid: Solid }>();

function solidAt(piece: Piece, base: number): Solid {
  const before = known.get(piece);
  if (before?.base === base) return before.solid;
  const solid = solidOf(piece.body, piece.at, base);
  known.set(piece, { base, solid });
  return solid;
}

/** Where every piece stands. One that stands on another rises and sinks with it; a ring of them stands on the ground. */
export function placePieces(pieces: readonly Piece[], site: Site): readonly Placed[] {
  const byId = new Map(pieces.map((piece) => [piece.id, piece]));
  const placed = new Map<string, Placed>();
  const open = new Set<string>();

  const place = (piece: Piece): Placed => {
    const done = placed.get(piece.id);
    if (done) return done;
    open.add(piece.id);
    const ground = site.groundAt(piece.at.x, piece.at.y);
    const { support } = piece;
    let on: Placed['on'] = support.on;
    let base = ground;
    if (support.on === 'floor') base = 0;
    else if (support.on === 'ground') base = Math.max(0, ground - support.sunk);
    else if (support.on === 'wall') base = support.height;
    else if (support.on === 'lid') base = Math.max(0, site.height - support.drop);
    else if (support.on === 'water') {
      const level = site.waterAt(piece.at.x, piece.at.y);
      if (level === undefined) on = 'ground';
      else base = Math.max(0, level - DRAUGHT * heightOf(piece));
    } else {
      const under = byId.get(support.piece);
      if (!under || open.has(under.id)) on = 'ground';
      else {
        const { solid } = place(under);
        base = solid.reachAt(piece.at.x, piece.at.y)?.[1] ?? solid.bounds.z1;
      }
    }
    open.delete(piece.id);
    const made: Placed = { piece, solid: solidAt(piece, base), base, ground, on };
    placed.set(piece.id, made);
    return made;
  };
  return pieces.map(place);
}

const heightOf = ({ body }: Piece): number => (body.shape === 'block' ? body.height : 0);
