import type { Design, Piece } from '../document/schema';
import type { Placed, Site } from '../pieces/place';
import { solidOf, type Solid } from '../pieces/solid';
import { goesIn } from './fits';

const MILLIMETRE = 0.001;
/** m of a vessel’s rim over the ground that keep soil out of it (common practice). */
export const RIM = 0.02;
/** m left under the lid. */
const UNDER_LID = 0.02;
const mm = (value: number): number => Math.round(value / MILLIMETRE) * MILLIMETRE;

/** m by which a body reaches over the ground where it does so most; 0 and less: all of it is buried. */
export const showing = ({ columns }: Pick<Solid, 'columns'>, { groundAt }: Pick<Site, 'groundAt'>): number =>
  columns.reduce((most, { x, y, high }) => Math.max(most, high - groundAt(x, y)), -Infinity);

/** Highest ground that a body stands in, m above the floor. */
export const highestUnder = (
  { columns }: Pick<Solid, 'columns'>,
  { groundAt }: Pick<Site, 'groundAt'>,
): number => columns.reduce((most, { x, y }) => Math.max(most, groundAt(x, y)), 0);

/**
 * A block on the floor, so tall that it reaches over the ground it stands in; narrower where it would go through no
 * door, and no taller than its box.
 */
export function overGround(piece: Piece, shows: number, { enclosure }: Design, site: Site): Piece {
  const { body, support } = piece;
  if (body.shape !== 'block' || support.on !== 'floor') return piece;
  const ground = highestUnder(solidOf(body, piece.at, 0), site);
  const height = mm(Math.min(Math.max(MILLIMETRE, ground + shows), enclosure.height - UNDER_LID));
  for (let by = 1; by > 0.25; by -= 0.1) {
    const next = { ...body, width: mm(body.width * by), depth: mm(body.depth * by), height };
    if (goesIn(next, enclosure)) return { ...piece, body: next };
  }
  return { ...piece, body: { ...body, height } };
}

/** Open above and hollow: a dish, a tub, a planter. */
export const isVessel = ({ body, entrance }: Pick<Piece, 'body' | 'entrance'>): boolean =>
  body.shape === 'block' && body.wall !== null && entrance === null;

/**
 * What stands in the ground, down on the floor of the box and as tall over the ground as it was; null for what lies: it
 * would be buried whole.
 */
export function downToFloor({ piece, solid, base }: Placed, design: Design, site: Site): Piece | null {
  const { body } = piece;
  const down: Piece = { ...piece, support: { on: 'floor' } };
  // A tub that is tall enough is let in; no one builds it taller for that.
  if (isVessel(piece) && showing(solidOf(body, piece.at, 0), site) > RIM) return down;
  if (body.shape === 'block') return overGround(down, showing(solid, site), design, site);
  return body.rise > base ? { ...down, body: { ...body, rise: mm(body.rise + base) } } : null;
}
