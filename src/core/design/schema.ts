import { z } from 'zod';

/** The document. Everything in SI: metres, kilograms, °C, fractions. Nothing that can be computed is stored. */
export const DESIGN_VERSION = 2;

const MAX_LENGTH = 10;
const metres = z.number().finite().min(0).max(MAX_LENGTH);
const size = z.number().finite().min(0.05, 'must be at least 0.05 m').max(MAX_LENGTH);
const share = z.number().finite().min(0).max(1);
const id = z.string().min(1).max(80);
const text = z.string().max(200);

/** Thickness of a layer at the four corners of the floor, m; bilinear between them. */
export const Corners = z.strictObject({
  frontLeft: metres,
  frontRight: metres,
  backLeft: metres,
  backRight: metres,
});
export type Corners = z.infer<typeof Corners>;

/** Parts by volume, loose; they need not sum to anything. */
export const Mix = z.strictObject({
  /** The recipe it started from, if any. */
  recipe: id.nullable(),
  parts: z
    .array(z.strictObject({ material: id, parts: z.number().finite().min(0).max(1e6) }))
    .min(1)
    .max(30),
  packingLoss: z.number().finite().min(0).max(0.28),
});
export type Mix = z.infer<typeof Mix>;

const layer = <K extends string, S extends z.ZodRawShape>(kind: K, shape: S) =>
  z.strictObject({ kind: z.literal(kind), id, ...shape });

export const Layer = z.discriminatedUnion('kind', [
  layer('drainage', { material: id, thickness: Corners }),
  layer('barrier', {
    material: id,
    /** Flat to the floor, or turned up at the walls by `upturn`. */
    edge: z.enum(['flat', 'upturned']),
    upturn: metres,
    /** Where two strips meet. */
    overlap: metres,
  }),
  layer('substrate', { name: text, mix: Mix, thickness: Corners }),
  layer('thin', { material: id, thickness: Corners }),
  layer('moss', { material: id, thickness: Corners }),
  layer('litter', { material: id, thickness: Corners }),
]);
export type Layer = z.infer<typeof Layer>;
export type LayerKind = Layer['kind'];
export type ThickLayer = Exclude<Layer, { kind: 'barrier' }>;
export type BarrierLayer = Extract<Layer, { kind: 'barrier' }>;
export type SubstrateLayer = Extract<Layer, { kind: 'substrate' }>;

export const Enclosure = z.strictObject({
  /** Inside, as it stands. */
  width: size,
  depth: size,
  height: size,
  /** `on-end`: a box made to lie, stood on its short side, so that its lid is now the front. */
  stands: z.enum(['upright', 'on-end']),
  material: z.enum(['glass', 'acrylic', 'pvc', 'timber', 'mesh']),
  wallThickness: z.number().finite().min(0.0005).max(0.2),
  top: z.enum(['open', 'mesh', 'solid']),
  /** Share of an open or meshed top that is covered. */
  topCover: share,
  front: z.enum(['fixed', 'doors']),
  /** How high the walls hold water, m; 0 when the floor does not. */
  watertightHeight: metres,
  /** Weighed mass with nothing inside, kg; null to estimate it. */
  emptyMass: z.number().finite().min(0).max(5000).nullable(),
});
export type Enclosure = z.infer<typeof Enclosure>;

export const Room = z.strictObject({
  /** The answer to “how is the room”; null for “do not know yet”. */
  kind: z.enum(['dry', 'middle', 'humid']).nullable(),
  /** Measured, °C; null to go by the kind of room. */
  temperature: z.number().finite().min(-20).max(60).nullable(),
  /** Measured relative humidity; null to go by the kind of room. */
  humidity: share.nullable(),
});
export type Room = z.infer<typeof Room>;

export const Stage = z.enum(['planned', 'building', 'curing', 'growing-in', 'inhabited']);
export type Stage = z.infer<typeof Stage>;

export const Design = z.strictObject({
  format: z.literal('rincon-enclosure'),
  version: z.literal(DESIGN_VERSION),
  id,
  name: z.string().min(1).max(80),
  brief: z.strictObject({
    animal: id.nullable(),
    count: z.number().int().min(1).max(500),
    room: Room,
    stage: Stage,
    /** Day the stage began, ISO 8601; null when not written down. */
    since: z.iso.date().nullable(),
    note: z.string().max(4000),
    /** Off the rack, but kept. */
    putAway: z.boolean(),
  }),
  enclosure: Enclosure,
  ground: z.strictObject({
    method: z.enum(['bead-bed', 'raised-panel', 'none']),
    /** Depth of standing water kept in the drainage layer, m above the floor. */
    waterDepth: metres,
    /** Inside diameter of the drain, m; null without one. */
    drainBore: z.number().finite().min(0.002).max(0.2).nullable(),
    /** Which school of the squeeze test fresh soil is moistened by. */
    squeeze: z.enum(['strict', 'generous']),
    /** Share of the soil's depth, from below, that is moistened; the rest goes in as it was bought. */
    moistShare: share,
    /** From the floor up. */
    layers: z.array(Layer).max(60, 'a box holds at most 60 layers'),
  }),
});
export type Design = z.infer<typeof Design>;
export type Method = Design['ground']['method'];
