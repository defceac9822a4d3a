import { z } from 'zod';
import { extent, id, metres, offset } from '../fields';

/** From one end of a long piece to the other, seen from above, m. */
const Run = z.strictObject({ x: offset, y: offset });

/**
 * The body of a piece, as large as it is bought. Long ones run from their foot to their head: `run` seen from above,
 * `rise` upwards. Blocks stand on their middle and are turned about it, radians against the clock seen from above.
 */
export const Body = z.discriminatedUnion('shape', [
  z.strictObject({
    shape: z.literal('rod'),
    run: Run,
    rise: offset,
    diameter: extent,
    /** Thickness of the wall of a tube; null when it is solid. */
    wall: extent.nullable(),
  }),
  z.strictObject({
    shape: z.literal('plank'),
    run: Run,
    rise: offset,
    /** Across, level. */
    breadth: extent,
    thickness: extent,
  }),
  z.strictObject({
    shape: z.literal('block'),
    form: z.enum(['box', 'round', 'boulder', 'dome']),
    width: extent,
    depth: extent,
    height: extent,
    turn: z.number().finite().min(-Math.PI).max(Math.PI),
    wall: extent.nullable(),
  }),
]);
export type Body = z.infer<typeof Body>;

/** What bears a piece. Heights are those of the underside of its foot. */
export const Support = z.discriminatedUnion('on', [
  z.strictObject({ on: z.literal('floor') }),
  /** Stands in the ground, so deep below its surface. */
  z.strictObject({ on: z.literal('ground'), sunk: metres }),
  z.strictObject({ on: z.literal('piece'), piece: id }),
  /** Held by a wall, m above the floor. */
  z.strictObject({ on: z.literal('wall'), wall: z.enum(['left', 'right', 'back', 'front']), height: metres }),
  /** Hangs from the lid, m below it. */
  z.strictObject({ on: z.literal('lid'), drop: metres }),
  /** Floats on the water that stands there. */
  z.strictObject({ on: z.literal('water') }),
]);
export type Support = z.infer<typeof Support>;

/** A pump and the way its water goes. SI: m, m³/s. */
export const Pump = z.strictObject({
  /** Height at which nothing comes any more, and what it moves at no height: both as printed on it. */
  maxHead: z.number().finite().min(0.05).max(20),
  maxFlow: z.number().finite().min(1e-6).max(0.01),
  hose: z.strictObject({
    diameter: z.number().finite().min(0.002).max(0.1),
    length: z.number().finite().min(0).max(20),
    bends: z.number().int().min(0).max(40),
  }),
  /** Intake behind sponge or stones, so that nothing is sucked in. */
  guarded: z.boolean(),
});
export type Pump = z.infer<typeof Pump>;
