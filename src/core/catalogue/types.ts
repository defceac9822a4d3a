import { z } from 'zod';
import { BED_IDS } from './drainage';
import { Basis, Laws, positive, price, Range, sourced } from './basis';
import { ClimateRows } from './climateTypes';
import { Life, LivingRows, ScientificName } from './livingTypes';
import { ScapeRows } from './scapeTypes';

/** The shape of the catalogue. The rows live in `src/catalogue`; the core only needs to know what a row says. */
export * from './basis';
export * from './climateTypes';
export * from './livingTypes';
export * from './scapeTypes';

const share = z.number().min(0).max(1);

/** One way a material is sold. Volumes are what the pack yields loose, ready to use. */
export const Pack = z.discriminatedUnion('form', [
  z.strictObject({ id: z.string(), form: z.literal('bag'), volume: positive, price }),
  z.strictObject({
    id: z.string(),
    form: z.literal('brick'),
    /** Of the dry brick, kg. What it yields follows from this and the loose density, not from the label. */
    dryMass: positive,
    volume: positive,
    price,
  }),
  z.strictObject({ id: z.string(), form: z.literal('roll'), width: positive, length: positive, price }),
  z.strictObject({
    id: z.string(),
    form: z.literal('sheet'),
    width: positive,
    length: positive,
    /** m, where sheets are laid on one another. */
    thickness: positive.optional(),
    price,
  }),
  z.strictObject({ id: z.string(), form: z.literal('pipe'), length: positive, price }),
]);
export type Pack = z.infer<typeof Pack>;
export type VolumePack = Extract<Pack, { volume: number }>;
export type AreaPack = Extract<Pack, { width: number }>;
export type PipePack = Extract<Pack, { form: 'pipe' }>;

export const Role = z.enum([
  ...BED_IDS,
  'support',
  'barrier',
  'mix',
  /** A whole soil out of one bag. */
  'ready-made',
  'thin',
  'paper',
  'moss',
  'litter',
]);
export type Role = z.infer<typeof Role>;

/** van Genuchten's curve; α in 1/cm, water in m³/m³ as placed. */
export const RetentionCurve = z.strictObject({
  residual: share,
  saturated: share,
  alpha: positive,
  n: z.number().gt(1).finite(),
});
export type RetentionCurve = z.infer<typeof RetentionCurve>;

/**
 * Sorts of ingredient, in the order they go into the tub: what soaks first, then coarse pieces, then what is heavy or
 * dusty on damp matter, powders thinly over it, and at the end by hand what is alive or feeds.
 */
export const INGREDIENT_SORTS = [
  'fibre',
  'moss',
  'bark',
  'ready',
  'soil',
  'sand',
  'mineral',
  'char',
  'clay',
  'powder',
  'living',
] as const;

/** What counts of an ingredient once it is part of a mix. */
export const Mixing = z.strictObject({
  sort: z.enum(INGREDIENT_SORTS),
  /** In water. */
  ph: sourced(Range),
  /** Electrical conductivity of its pore water when wet through, dS/m. */
  salts: sourced(z.number().min(0).max(20)),
  /** Share of its volume that breaks down and is lost in a year in the warm and moist. */
  decay: sourced(share),
  /** How well a tunnel dug in it stands once damp: 0 runs like dry sand, 1 stands like clay. A comparison, no unit. */
  hold: sourced(share),
});
export type Mixing = z.infer<typeof Mixing>;

export const MATERIAL_CAUTIONS = [
  'dust',
  'silica',
  'alkaline',
  'legionella',
  'sphagnum',
  'dries-out',
  'collecting',
  'fertiliser',
  'wetting-agent',
  'eaten',
] as const;
export type MaterialCaution = (typeof MATERIAL_CAUTIONS)[number];

export const Material = z.strictObject({
  id: z.string(),
  name: z.string(),
  /** Where in the ground it may lie. */
  roles: z.array(Role).min(1),
  /** Dry, loose, kg/m³. For a barrier, kg/m² of cloth. */
  density: sourced(positive),
  /** Share of its loose volume lost when it settles. */
  settling: sourced(z.number().min(0).max(0.4)),
  /** Water in it as bought, m³ per loose m³. */
  waterReceived: sourced(share),
  /** Water in it when a squeezed fistful glistens, m³ per placed m³. */
  waterMoist: sourced(share),
  /** How it holds water against suction; for all that soil is mixed from. */
  retention: sourced(RetentionCurve).optional(),
  /** The same soil by another published table: what is judged by its curve is judged by both. */
  retentionToo: sourced(RetentionCurve).optional(),
  /** For what soil is mixed from. */
  mixing: Mixing.optional(),
  /** Share of a drainage bed that water can fill. */
  voids: sourced(share).optional(),
  /** Grain size, m. */
  grain: sourced(Range).optional(),
  /** Of a barrier: it holds water, nothing passes through. */
  tight: z.boolean().optional(),
  /** Collected outside, or bought clean: what sterilising is about. */
  collected: z.boolean().optional(),
  peatFree: z.boolean(),
  legal: Laws.optional(),
  cautions: z.array(z.enum(MATERIAL_CAUTIONS)),
  packs: z.array(Pack).min(1),
});
export type Material = z.infer<typeof Material>;

/** Beyond the wanted bands without harm: K over by day and by night, under by day and by night; humidity, 0 to 1. */
export const Borne = z.strictObject({
  hot: z.number().min(0).max(10),
  warmNight: z.number().min(0).max(10),
  cold: z.number().min(0).max(15),
  coldNight: z.number().min(0).max(15),
  dry: share,
  damp: share,
});
export type Borne = z.infer<typeof Borne>;

const Envelope = z.strictObject({
  /** Surface at the basking place, °C; absent for kinds that do not bask. */
  basking: sourced(Range).optional(),
  warm: sourced(Range),
  cool: sourced(Range),
  night: sourced(Range),
  humidityDay: sourced(Range),
  humidityNight: sourced(Range),
  /** Ferguson zone, 1 to 4. */
  uvZone: sourced(z.number().int().min(1).max(4)),
  /** Absent: by the rule of its group. */
  borne: sourced(Borne).optional(),
  /** °C of the air beyond which hours do harm; absent: what it bears by its bands. */
  heat: sourced(z.number().min(10).max(60)).optional(),
});

/** One sex: nose to tail tip, m; kg; years it may live, where that differs. */
const Body = z.strictObject({ length: Range, mass: Range, years: positive.optional() });

export const Animal = z.strictObject({
  id: z.string(),
  english: z.string(),
  scientific: ScientificName,
  kind: z.enum(['frog', 'newt', 'gecko', 'lizard', 'snake', 'tortoise', 'invertebrate']),
  /** Which ground suits it: standing water, wet soil, damp below and drier above, or dry. */
  ground: sourced(z.enum(['half-water', 'wet', 'damp', 'dry'])),
  life: sourced(z.enum(['ground', 'climbing', 'burrowing', 'half-water'])),
  /** Of burrowing kinds: moves through loose sand and leaves no tunnel. */
  swimsInSand: sourced(z.boolean()).optional(),
  /** Nose to tail tip, m. */
  length: sourced(Range),
  mass: sourced(Range),
  climate: Envelope,
  /** Soil it needs to dig, hide or den in, m. */
  digs: sourced(z.number().min(0).max(1)),
  /** Room one adult (or a pair of a pairing kind) needs. */
  space: sourced(z.strictObject({ width: positive, depth: positive, freeHeight: positive })),
  /** Extra floor area for each further adult, share of the first. */
  extraFloor: sourced(z.number().min(0).max(2)),
  company: sourced(z.enum(['alone', 'pairs', 'groups'])),
  water: sourced(z.enum(['drops', 'drops and dish', 'dish', 'soaking dish', 'pool'])),
  /** Thickness of its body: what a way in must let through, m. */
  girth: sourced(positive).optional(),
  /** Keeps under cover and wants much of it. */
  shy: sourced(z.boolean()).optional(),
  /** Wants a hide that is kept moist, to shed or to lay in. */
  moistHide: sourced(z.boolean()).optional(),
  /** Thickness of the branches it sits on, m; absent for kinds that do not perch. */
  perch: sourced(Range).optional(),
  /** The sexes, where they differ. */
  sexes: sourced(z.strictObject({ female: Body, male: Body })).optional(),
  /** Latitudes it lives between, degrees, north positive: how its days lengthen and shorten. */
  latitude: sourced(Range).optional(),
  /** Over the ground a fall from more than this hurts it, m; absent: it falls lightly. */
  fall: sourced(positive).optional(),
  /** The water it lives in: °C, and how deep it may be where it stands, m. */
  pool: sourced(z.strictObject({ temperature: Range, depth: Range })).optional(),
  /** Colour forms whose eyes and skin bear less light; absent: none is common. */
  lightSensitive: sourced(z.string().max(120)).optional(),
  /** What it can go up: smooth panes, only what is rough, or hardly anything. */
  climbs: sourced(z.enum(['glass', 'rough', 'poorly'])).optional(),
  /** Absent of kinds written down before lives were, and of own ones. */
  growing: Life.optional(),
  recipe: z.string(),
  /** Recipe of a second, upper layer. */
  upperRecipe: z.string().optional(),
});
export type Animal = z.infer<typeof Animal>;

export const Recipe = z.strictObject({
  id: z.string(),
  name: z.string(),
  family: z.enum(['wet', 'middle', 'dry']),
  /** Why someone would choose it, one line. */
  why: z.string(),
  parts: z.array(z.strictObject({ material: z.string(), parts: positive })).min(1),
  /** Volume lost because fines fill the gaps between coarse parts. */
  packingLoss: sourced(z.number().min(0).max(0.28)),
  basis: Basis,
});
export type Recipe = z.infer<typeof Recipe>;

/** A work, or a rule that something is estimated by. */
export interface Source {
  readonly id: string;
  readonly citation: string;
  /** What of the program itself rests on it. */
  readonly use?: string;
}

export const Catalogue = z.strictObject({
  animals: z.array(Animal),
  materials: z.array(Material),
  recipes: z.array(Recipe),
  scape: ScapeRows,
  climate: ClimateRows,
  living: LivingRows,
});
export type Catalogue = z.infer<typeof Catalogue>;
