import { z } from 'zod';
import { DRAINAGE_METHOD_IDS } from '../catalogue/drainage';
import { Care } from './careSchema';
import { Climate } from './climateSchema';
import { id, MAX_LENGTH, metres, Point, share, text } from '../fields';
import { Living } from './livingSchema';
import { Plan } from './planSchema';
import { Scape } from './scapeSchema';

export { Point } from '../fields';
export * from './careSchema';
export * from './climateSchema';
export * from './livingSchema';
export * from './planSchema';
export * from './scapeSchema';

/** The document. Everything in SI: metres, kilograms, °C, fractions. Nothing that can be computed is stored. */
export const DESIGN_VERSION = 18;

const size = z.number().finite().min(0.05, 'must be at least 0.05 m').max(MAX_LENGTH);

/** Thickness of a layer at the four corners of the floor, m; bilinear between them. */
export const Corners = z.strictObject({
  frontLeft: metres,
  frontRight: metres,
  backLeft: metres,
  backRight: metres,
});
export type Corners = z.infer<typeof Corners>;

/** A hole for a pipe, round, by its middle. */
export const Hole = z.strictObject({ x: metres, y: metres, diameter: z.number().finite().min(0.002).max(1) });
export type Hole = z.infer<typeof Hole>;

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
    /** For pipes that pass through it; that of a siphon tube is cut besides. */
    holes: z.array(Hole).max(20),
  }),
  layer('substrate', { name: text, mix: Mix, thickness: Corners }),
  layer('thin', { material: id, thickness: Corners }),
  layer('moss', { material: id, thickness: Corners }),
  layer('litter', { material: id, thickness: Corners }),
  layer('water', {
    /** m above the floor; null: as high as the water kept in the box, with which it is one. */
    level: metres.nullable(),
  }),
]);
export type Layer = z.infer<typeof Layer>;
export type LayerKind = Layer['kind'];
/** A layer with a thickness of its own; open water takes what room there is. */
export type ThickLayer = Exclude<Layer, { kind: 'barrier' | 'water' }>;
export type WaterLayer = Extract<Layer, { kind: 'water' }>;
export type BarrierLayer = Extract<Layer, { kind: 'barrier' }>;
export type SubstrateLayer = Extract<Layer, { kind: 'substrate' }>;

/**
 * A part of the floor with its own outline, surface and recipe. Its layers take the place of those that lie in the rest
 * of the box from `replaces` upwards; their corners are those of the upright rectangle around the outline.
 */
export const Region = z.strictObject({
  id,
  name: z.string().min(1).max(80),
  outline: z.array(Point).min(3, 'an outline has at least 3 corners').max(40),
  /** Everything from the floor up; what lies above the barrier; or only what lies on the soil. */
  replaces: z.enum(['all', 'above-barrier', 'topping']),
  /** Share of its soil's depth that is moistened; null: as in the rest of the box. */
  moistShare: share.nullable(),
  layers: z.array(Layer).max(20, 'a region holds at most 20 layers'),
});
export type Region = z.infer<typeof Region>;

export const Wall = z.enum(['left', 'right', 'back', 'front', 'top', 'bottom']);
export type Wall = z.infer<typeof Wall>;

/** A hole to be made in a wall, by its middle: from its left end as one looks at it from outside, and up. */
export const Bore = z.strictObject({
  id,
  use: z.enum(['nozzle', 'cable', 'drain', 'hose', 'fan', 'probe']),
  wall: Wall,
  across: metres,
  up: metres,
  diameter: z.number().finite().min(0.002).max(0.5),
});
export type Bore = z.infer<typeof Bore>;

export const Side = z.enum(['left', 'right', 'back', 'front']);
export type Side = z.infer<typeof Side>;

/** A wall of another make than its box: a window in a timber wall, panes as its doors. */
export const Panel = z.strictObject({
  wall: z.enum([...Side.options, 'top']),
  material: z.enum(['glass', 'acrylic', 'pvc', 'timber']),
  thickness: z.number().finite().min(0.0005).max(0.2),
});
export type Panel = z.infer<typeof Panel>;

export const Enclosure = z.strictObject({
  /** A box that is carried, or a room of its own built where it stands. */
  build: z.enum(['box', 'walk-in']),
  /** Inside, as it stands. */
  width: size,
  depth: size,
  height: size,
  /** `on-end`: a box made to lie, stood on its short side, so that its lid is now the front. */
  stands: z.enum(['upright', 'on-end']),
  material: z.enum(['glass', 'acrylic', 'pvc', 'timber', 'mesh']),
  wallThickness: z.number().finite().min(0.0005).max(0.2),
  /** Walls that are gauze in a frame though the box is not. */
  screened: z.array(Side).max(4),
  /** Walls of another make than the box, at most one each; of the front it is what opens. Gauze goes before it. */
  panels: z.array(Panel).max(5),
  top: z.enum(['open', 'mesh', 'solid']),
  /** Share of an open or meshed top that is covered. */
  topCover: share,
  front: z.enum(['fixed', 'doors']),
  /** How high the walls hold water, m; 0 when the floor does not. */
  watertightHeight: metres,
  /** Weighed mass with nothing inside, kg; null to estimate it. */
  emptyMass: z.number().finite().min(0).max(5000).nullable(),
  /** What the stand or shelf is rated for, kg; null when not known. */
  standRating: z.number().finite().min(0).max(50_000).nullable(),
  /** How it is to be made, for the glazier or joiner. */
  made: z.strictObject({
    doors: z.enum(['sliding', 'hinged']),
    /** Height of the gauzed strip under the doors and of the one over the back, m; 0 without. */
    ventLow: metres,
    ventHigh: metres,
    bores: z.array(Bore).max(40),
    /** What a timber box is made of, and what keeps the wet out of it. */
    board: z.enum(['birch-plywood', 'softwood-plywood', 'melamine', 'osb', 'solid-softwood']),
    seal: z.enum(['none', 'varnish', 'epoxy', 'liner']),
  }),
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

const Ground = z.strictObject({
  method: z.enum(DRAINAGE_METHOD_IDS),
  /** Depth of standing water kept in the drainage layer and in open water that is one with it, m above the floor. */
  waterDepth: metres,
  /** How the water can leave. */
  outlet: z.discriminatedUnion('kind', [
    z.strictObject({ kind: z.literal('none') }),
    /** A bored drain: inside diameter, and its lower edge above the floor, m. */
    z.strictObject({
      kind: z.literal('drain'),
      bore: z.number().finite().min(0.002).max(0.2),
      height: metres,
    }),
    /** A tube that stands on the floor and reaches through the soil: outside diameter, by its middle. */
    z.strictObject({
      kind: z.literal('siphon'),
      diameter: z.number().finite().min(0.005).max(0.3),
      at: Point,
    }),
    /** A corner of soil in a basket that lifts out. */
    z.strictObject({
      kind: z.literal('lift-out'),
      corner: z.enum(['frontLeft', 'frontRight', 'backLeft', 'backRight']),
      width: z.number().finite().min(0.02).max(MAX_LENGTH),
      depth: z.number().finite().min(0.02).max(MAX_LENGTH),
    }),
  ]),
  /** What a raised panel stands on. */
  panel: z.strictObject({
    /** Most that two legs stand apart, m. */
    spacing: z.number().finite().min(0.03).max(1),
    /** Outside diameter of a leg, m. */
    leg: z.number().finite().min(0.005).max(0.2),
    /** What the sheet is rated for between such legs, kg/m²; null when its maker says nothing. */
    rating: z.number().finite().min(1).max(10_000).nullable(),
  }),
  /** Which school of the squeeze test fresh soil is moistened by. */
  squeeze: z.enum(['strict', 'generous']),
  /** Share of the soil's depth, from below, that is moistened; the rest goes in as it was bought. */
  moistShare: share,
  /** From the floor up. */
  layers: z.array(Layer).max(60, 'an enclosure holds at most 60 layers'),
  /** Parts of the floor that differ; a later one lies over an earlier one. */
  regions: z.array(Region).max(24, 'an enclosure holds at most 24 regions'),
  /** Wood, stone and the like sunk into a layer: what it displaces, m³, and weighs, kg. */
  sunk: z
    .array(
      z.strictObject({
        id,
        name: z.string().min(1).max(80),
        layer: id,
        volume: z.number().finite().min(0).max(10),
        mass: z.number().finite().min(0).max(5000).nullable(),
      }),
    )
    .max(60),
  /** Which school is followed where practitioners differ. */
  schools: z.strictObject({
    peat: z.enum(['keep', 'coir']),
    renewal: z.enum(['top-up', 'replace']),
    collected: z.enum(['bake', 'boil', 'alive']),
    microbes: z.enum(['arrive', 'bring']),
  }),
});
export type Ground = z.infer<typeof Ground>;

/** What stood before a rebuild began: all that is needed to say what comes out of it and what stays. */
export const Standing = z.strictObject({
  /** Day it was kept, ISO 8601. */
  since: z.iso.date(),
  animal: id.nullable(),
  count: z.number().int().min(1).max(500),
  enclosure: Enclosure,
  ground: Ground,
  scape: Scape,
  climate: Climate,
  living: Living,
});
export type Standing = z.infer<typeof Standing>;

/** Edits and screens find things by id: two of one name would be changed together. */
function uniqueIds(
  { ground, scape, climate, living }: Pick<Standing, 'ground' | 'scape' | 'climate' | 'living'>,
  place: readonly string[],
  context: z.RefinementCtx,
): void {
  const layers = new Set<string>();
  const once = (
    seen: Set<string>,
    list: readonly { readonly id: string }[],
    path: readonly (string | number)[],
    what: string,
  ): void =>
    list.forEach(({ id: own }, index) => {
      if (seen.has(own)) {
        context.addIssue({
          code: 'custom',
          path: [...place, ...path, index, 'id'],
          message: `${what} is called “${own}” too. Give each an id of its own`,
        });
      }
      seen.add(own);
    });
  once(layers, ground.layers, ['ground', 'layers'], 'another layer');
  ground.regions.forEach((region, index) =>
    once(layers, region.layers, ['ground', 'regions', index, 'layers'], 'another layer'),
  );
  once(new Set(), scape.pieces, ['scape', 'pieces'], 'another');
  once(new Set(), scape.backgrounds, ['scape', 'backgrounds'], 'another');
  once(new Set(), climate.devices, ['climate', 'devices'], 'another');
  once(new Set(), climate.vents, ['climate', 'vents'], 'another');
  once(new Set(), living.plants, ['living', 'plants'], 'another');
}

export const Design = z
  .strictObject({
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
      /** Where it stands, in its keeper's words; empty: not told. */
      place: z.strictObject({ room: z.string().max(60), shelf: z.string().max(60) }),
      /** Off the rack, but kept. */
      putAway: z.boolean(),
      /** What stands in it is written down; false: only its box and who lives there, nothing else is known of it. */
      described: z.boolean(),
    }),
    enclosure: Enclosure,
    ground: Ground,
    scape: Scape,
    climate: Climate,
    living: Living,
    plan: z.strictObject({
      ...Plan.shape,
      /** Set while a standing box is rebuilt into what the rest of the document says. */
      standing: Standing.nullable(),
    }),
    care: Care,
  })
  .superRefine((design, context) => {
    uniqueIds(design, [], context);
    if (design.plan.standing) uniqueIds(design.plan.standing, ['plan', 'standing'], context);
  });
export type Design = z.infer<typeof Design>;
export type Method = Ground['method'];
export type Outlet = Ground['outlet'];
export type Schools = Ground['schools'];

/** Every layer of a design, those of its regions after those of the rest. */
export const allLayers = (ground: Pick<Ground, 'layers' | 'regions'>): readonly Layer[] =>
  ground.regions.length === 0
    ? ground.layers
    : [...ground.layers, ...ground.regions.flatMap((region) => region.layers)];

/** Materials a layer is made of. */
export function materialsIn(layer: Layer): readonly string[] {
  if (layer.kind === 'water') return [];
  return layer.kind === 'substrate' ? layer.mix.parts.map((part) => part.material) : [layer.material];
}
