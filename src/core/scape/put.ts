import { findPieceKind, type Animal, type Catalogue, type PieceKind } from '../catalogue';
import type { Body, Design, Piece, Support } from '../document/schema';
import { goesIn } from './fits';
import type { Site } from '../pieces/place';
import { overGround } from './showing';
import { belongs, freePlace } from './settle';
import type { Wants } from './wants';

export const clamp = (value: number, low: number, high: number): number =>
  Math.min(Math.max(low, high), Math.max(low, value));
export const mm = (value: number): number => Math.round(value * 1000) / 1000;

/** What a box is laid out with, one thing after the other. */
export interface Plan {
  design: Design;
  readonly animal: Animal | undefined;
  readonly wants: Wants;
  readonly catalogue: Catalogue;
  readonly site: Site;
  /** m from the left for a share of the way from the cool to the warm side. */
  readonly across: (share: number) => number;
  /** Highest ground, m. */
  readonly ground: number;
  /** Moss and litter on it, m: what stands on the soil stands in them. */
  readonly topping: number;
}

export interface Wish {
  readonly kind: string;
  readonly body?: Body;
  readonly at: { readonly x: number; readonly y: number };
  readonly support?: Support;
  readonly name?: string;
  readonly entrance?: number | null;
  readonly moist?: boolean;
  readonly basking?: boolean;
  /** m it is to reach over the ground it stands in: for what stands on the floor of the box. */
  readonly shows?: number;
}

/** Smaller by tenths until it goes through the door. */
export function fitted(body: Body, design: Design): Body {
  const shrink = (by: number): Body =>
    body.shape === 'block'
      ? { ...body, width: mm(body.width * by), depth: mm(body.depth * by), height: mm(body.height * by) }
      : body.shape === 'rod'
        ? { ...body, diameter: mm(body.diameter * by) }
        : { ...body, breadth: mm(body.breadth * by) };
  for (let by = 1; by > 0.25; by -= 0.1) {
    const next = by === 1 ? body : shrink(by);
    if (goesIn(next, design.enclosure)) return next;
  }
  return shrink(0.25);
}

/** Puts a thing in, near where it is wished and in nobody's way. */
export function put(plan: Plan, wish: Wish): void {
  const row = findPieceKind(plan.catalogue, wish.kind);
  if (!row) return;
  const { pieces } = plan.design.scape;
  const count = pieces.filter((it) => it.kind === wish.kind).length;
  const body = fitted(wish.body ?? row.body, plan.design);
  const piece: Piece = {
    id: `piece-${pieces.length + 1}`,
    name: wish.name ?? (count > 0 ? `${row.name} ${count + 1}` : row.name),
    kind: row.id,
    at: { x: mm(wish.at.x), y: mm(wish.at.y) },
    body,
    support: wish.support ?? row.support,
    // Its stones are glued to one another.
    fixed: (wish.support ?? row.support).on === 'wall' || row.id === 'basking-stack',
    entrance: wish.entrance === undefined ? (row.entrance?.value ?? null) : wish.entrance,
    moist: wish.moist ?? row.moist ?? false,
    filled: false,
    basking: wish.basking ?? false,
    drained: true,
    mass: null,
    pump: row.pump ?? null,
  };
  const free = (it: Piece): Piece => freePlace(plan.design, it, piece.at, belongs(row));
  const first = free(piece);
  // As tall as its place asks; what is taller may find its own place elsewhere.
  const tall = wish.shows === undefined ? first : free(overGround(first, wish.shows, plan.design, plan.site));
  const placed = wish.shows === undefined ? tall : overGround(tall, wish.shows, plan.design, plan.site);
  plan.design = { ...plan.design, scape: { ...plan.design.scape, pieces: [...pieces, placed] } };
}

/** A block of a kind, as large as is wanted and as the box allows. */
export function block(
  row: PieceKind | undefined,
  width: number,
  depth: number,
  height: number,
  plan: Plan,
): Body {
  const { enclosure } = plan.design;
  const body = row?.body;
  if (body?.shape !== 'block') throw new Error('a block was asked for');
  const room = enclosure.height - plan.ground;
  return {
    ...body,
    width: mm(clamp(width, 0.04, enclosure.width * 0.32)),
    depth: mm(clamp(depth, 0.04, enclosure.depth * 0.36)),
    height: mm(clamp(height, 0.02, Math.max(0.03, room * 0.4))),
  };
}

/** A hide about as large as the animal wants it: its walls touch it, it can turn, and the way in lets it through. */
export function hide(plan: Plan, kind: string, at: { x: number; y: number }, more: Partial<Wish> = {}): void {
  const row = findPieceKind(plan.catalogue, kind);
  if (!row) return;
  const { girth, length } = plan.wants;
  const coiled = plan.animal?.kind === 'snake' ? 0.22 : plan.animal?.kind === 'frog' ? 1.6 : 0.75;
  const wide = Math.max(0.08, girth * 3.4, length * coiled);
  const tall = Math.max(0.04, girth * 2.2) + plan.topping;
  const entrance = mm(clamp(girth * 2, girth * 1.2, girth * 3));
  if (row.body.shape === 'block') {
    const body = block(row, wide, wide * 0.8, tall, plan);
    // One enters it on the ground, wherever it stands.
    const shows = row.support.on === 'floor' && body.shape === 'block' ? { shows: body.height } : {};
    put(plan, { kind, body, at, entrance, ...shows, ...more });
  } else if (row.body.shape === 'rod') {
    const long = clamp(wide * 1.2, 0.08, plan.design.enclosure.width * 0.4);
    const diameter = mm(Math.max(0.03, entrance + 0.02) + plan.topping);
    put(plan, {
      kind,
      body: { ...row.body, run: { x: mm(long), y: 0 }, rise: 0, diameter, wall: mm(diameter * 0.12) },
      at: { x: at.x - long / 2, y: at.y },
      entrance,
      ...more,
    });
  } else put(plan, { kind, at, entrance, ...more });
}

/** Rod from one wall to another, its ends held by them. */
export function span(
  plan: Plan,
  kind: string,
  y: number,
  low: number,
  high: number,
  more: Partial<Wish> = {},
): void {
  const { enclosure } = plan.design;
  const { perch, girth } = plan.wants;
  const diameter = mm(perch ? (perch.low + perch.high) / 2 : clamp(girth, 0.012, 0.05));
  const at = { x: diameter / 2, y };
  const walled: Support = { on: 'wall', wall: 'left', height: mm(low) };
  put(plan, {
    kind,
    body: {
      shape: 'rod',
      run: { x: mm(enclosure.width - diameter), y: 0 },
      rise: mm(high - low),
      diameter,
      wall: null,
    },
    at,
    support: walled,
    ...more,
  });
}
