import type { Piece } from '../document/scapeSchema';
import { lifted, solidOf, type Solid } from './solid';

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
  /** The same with its underside on the floor: what it looks like, wherever it stands. */
  readonly grounded: Solid;
  /** Underside of its foot, m above the floor. */
  readonly base: number;
  /** Ground at its foot, m above the floor. */
  readonly ground: number;
  /** What bears it in the end: a piece that is gone leaves what stood on it to the ground. */
  readonly on: Piece['support']['on'];
}

/** Share of its height that floating cork lies under the water (density a quarter of water's). */
const DRAUGHT = 0.25;

/** A piece keeps its solid, and its place, while it stands where it stood: most do while one is dragged. */
const known = new WeakMap<Piece, Placed>();

function placedAt(piece: Piece, base: number, ground: number, on: Placed['on']): Placed {
  const before = known.get(piece);
  if (before?.base === base && before.ground === ground && before.on === on) return before;
  const grounded = before?.grounded ?? solidOf(piece.body, piece.at, 0);
  const solid = before?.base === base ? before.solid : lifted(grounded, base);
  const placed: Placed = { piece, solid, grounded, base, ground, on };
  known.set(piece, placed);
  return placed;
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
    const made = placedAt(piece, base, ground, on);
    placed.set(piece.id, made);
    return made;
  };
  return pieces.map(place);
}

const heightOf = ({ body }: Piece): number => (body.shape === 'block' ? body.height : 0);
