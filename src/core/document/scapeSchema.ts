import { z } from 'zod';
import { Body, Pump, Support } from '../catalogue/shapes';
import { extent, id, metres, Point } from '../fields';

export { Body, Pump, Support };

export const Piece = z.strictObject({
  id,
  name: z.string().min(1).max(80),
  /** Row of the catalogue it is made of. */
  kind: id,
  /** Its foot, or the middle of a block. */
  at: Point,
  body: Body,
  support: Support,
  /** Glued, screwed or wedged, so that it cannot fall. */
  fixed: z.boolean(),
  /** Width of its way in; null: nothing can hide in it. */
  entrance: extent.nullable(),
  /** Kept moist inside. */
  moist: z.boolean(),
  /** Hollow, and full of soil to its rim: a den to dig in. */
  filled: z.boolean(),
  /** Lies under the lamp. */
  basking: z.boolean(),
  /** Of what is planted: water can leave it below. */
  drained: z.boolean(),
  /** Weighed, kg; null to calculate it. */
  mass: z.number().finite().min(0).max(5000).nullable(),
  pump: Pump.nullable(),
});
export type Piece = z.infer<typeof Piece>;

/** An opening in a background, by its lower left corner, m from the left end of the panel and its foot. */
export const Cutout = z.strictObject({
  id,
  use: z.enum(['drain', 'cable', 'hose', 'nozzle', 'probe', 'planter', 'filter']),
  shape: z.enum(['round', 'square']),
  across: metres,
  up: metres,
  width: extent,
  height: extent,
});
export type Cutout = z.infer<typeof Cutout>;

export const Background = z.strictObject({
  id,
  wall: z.enum(['left', 'right', 'back']),
  kind: id,
  /** m above the floor; `top` null: to the lid. */
  bottom: metres,
  top: metres.nullable(),
  /** Mean thickness. */
  thickness: extent,
  /** Between it and the wall; 0 where it is bonded to it. */
  gap: metres,
  /** How much smaller than its place it is cut, at each edge. */
  clearance: z.number().finite().min(0).max(0.05),
  finish: z.enum(['bare', 'sealer', 'fibre']),
  coats: z.number().int().min(1).max(8),
  cutouts: z.array(Cutout).max(20),
  /** Day its last coat went on; null when not done. */
  finished: z.iso.date().nullable(),
});
export type Background = z.infer<typeof Background>;

/** What stands, lies and hangs in the box. */
export const Scape = z.strictObject({
  /** Side the lamps will warm. */
  warm: z.enum(['left', 'right']),
  backgrounds: z.array(Background).max(6),
  pieces: z.array(Piece).max(200, 'an enclosure holds at most 200 pieces'),
  /** From the top of the box to the shelf or ceiling above it; null when not known. */
  above: metres.nullable(),
  /** Water run for a day before the soil went in, and again after: the day it was found tight. */
  trial: z.strictObject({ before: z.iso.date().nullable(), after: z.iso.date().nullable() }),
});
export type Scape = z.infer<typeof Scape>;

/** Nothing in it yet. */
export const EMPTY_SCAPE: Scape = {
  warm: 'right',
  backgrounds: [],
  pieces: [],
  above: null,
  trial: { before: null, after: null },
};
