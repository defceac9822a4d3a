import { z } from 'zod';
import { Body, Pump, Support } from './shapes';
import { positive, price, Range, sourced } from './basis';

/** What a piece is there for. */
export const Use = z.enum([
  'perch',
  'hide',
  'bask',
  'ledge',
  'drink',
  'soak',
  'feed',
  'fly-cup',
  'plant',
  'fall',
  'filter',
  'pump',
  'heat',
  'measure',
  'raft',
]);
export type Use = z.infer<typeof Use>;

export const PIECE_GROUPS = [
  'wood',
  'cork',
  'stone',
  'shelter',
  'ledge',
  'planter',
  'water',
  'place',
] as const;

/** A sort of wood, stone or fitting, as it is usually bought; every size can be changed once it stands. */
export const PieceKind = z.strictObject({
  id: z.string(),
  name: z.string(),
  group: z.enum(PIECE_GROUPS),
  /** What else people call it, or look for when they want it. */
  words: z.array(z.string()).optional(),
  /** What it is good for, one line. */
  why: z.string(),
  look: z.enum([
    'wood',
    'bamboo',
    'cork',
    'stone',
    'slate',
    'clay',
    'plastic',
    'metal',
    'moss',
    'sponge',
    'open',
  ]),
  body: Body,
  support: Support,
  uses: z.array(Use),
  /** Of its own stuff, without what is hollow, kg/m³. */
  density: sourced(positive),
  /** Claws find a hold on it. */
  rough: z.boolean(),
  /** Width of its way in, m, for hides. */
  entrance: sourced(positive).optional(),
  /** Meant to be kept moist inside. */
  moist: z.boolean().optional(),
  /** Fresh, it grows mould for some weeks. */
  moulds: sourced(z.boolean()).optional(),
  /** Runs on mains or low voltage and has a cable. */
  cable: z.boolean().optional(),
  pump: Pump.optional(),
  price,
});
export type PieceKind = z.infer<typeof PieceKind>;

/** Something backgrounds are made with. Amounts in m³, kg, m² or pieces, as `measure` says. */
export const Supply = z.strictObject({
  id: z.string(),
  name: z.string(),
  measure: z.enum(['volume', 'mass', 'area', 'count']),
  /** What one pack gives: of foam the volume it swells to. */
  packs: z
    .array(z.strictObject({ id: z.string(), words: z.string(), amount: sourced(positive), price }))
    .min(1),
});
export type Supply = z.infer<typeof Supply>;

export const BackgroundKind = z.strictObject({
  id: z.string(),
  name: z.string(),
  /** Why someone chooses it, one line. */
  why: z.string(),
  look: z.enum(['foam', 'cork', 'clay', 'rock', 'moss']),
  /** Comes out to be cleaned; otherwise it is bonded to the wall. */
  liftsOut: z.boolean(),
  rough: z.boolean(),
  /** What it is usually made, m. */
  thickness: sourced(Range),
  density: sourced(positive),
  /** Size it is sold in, m; a larger panel is joined. */
  sheet: z.strictObject({ width: positive, height: positive }).optional(),
  finishes: z.array(z.enum(['bare', 'sealer', 'fibre'])).min(1),
  /** What it takes: per m² of it, per m³, per m² and coat, or per m of join and edge. */
  takes: z.array(
    z.strictObject({
      supply: z.string(),
      per: z.enum(['area', 'volume', 'coat', 'edge']),
      rate: sourced(positive),
      /** Only with this finish. */
      finish: z.enum(['sealer', 'fibre']).optional(),
    }),
  ),
  /** Which glues and paints go with it, and which do not. */
  goesWith: z.array(z.strictObject({ what: z.string(), suits: z.boolean(), because: z.string() })),
  /** What has to harden, in order. */
  cures: z.array(
    z.strictObject({
      step: z.string(),
      days: sourced(Range),
      /** Gives off fumes meanwhile. */
      fumes: z.boolean(),
      /** Nothing hardens any more: it is waited for until nothing smells, and a nose decides. */
      airs: z.boolean().optional(),
      /** Once for each coat. */
      each: z.boolean().optional(),
      finish: z.enum(['sealer', 'fibre']).optional(),
    }),
  ),
});
export type BackgroundKind = z.infer<typeof BackgroundKind>;

/** A way to keep water clear, for the table in which they are weighed against each other. */
export const FilterKind = z.strictObject({
  id: z.string(),
  name: z.string(),
  why: z.string(),
  against: z.string(),
  care: z.string(),
  /** Largest body of water it is commonly used for, m³. */
  upTo: sourced(positive),
  /** Times an hour all of the water should pass through it. */
  turnover: sourced(Range),
});
export type FilterKind = z.infer<typeof FilterKind>;

export const ScapeRows = z.strictObject({
  pieces: z.array(PieceKind),
  backgrounds: z.array(BackgroundKind),
  supplies: z.array(Supply),
  filters: z.array(FilterKind),
});
export type ScapeRows = z.infer<typeof ScapeRows>;
export const NO_SCAPE_ROWS: ScapeRows = { pieces: [], backgrounds: [], supplies: [], filters: [] };
