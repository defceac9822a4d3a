import { z } from 'zod';
import { Laws, positive, price, Range, sourced } from './basis';

const share = z.number().min(0).max(1);
/** Genus and species, if need be with a subspecies or variety. */
export const ScientificName = z.string().regex(/^[A-Z][a-z]+ [a-z]+(-[a-z]+)?( [a-z]+(-[a-z]+)?)?$/);

/** Where a kind comes from, coarse enough to choose a planting by. */
export const REGIONS = [
  'north-america',
  'central-america',
  'caribbean',
  'south-america',
  'europe',
  'mediterranean',
  'africa',
  'madagascar',
  'central-asia',
  'south-asia',
  'east-asia',
  'southeast-asia',
  'australasia',
] as const;
export const Region = z.enum(REGIONS);
export type RegionName = z.infer<typeof Region>;

export const PLANT_FORMS = [
  'ground',
  'climber',
  'mounted',
  'moss',
  'marsh',
  'floating',
  'submerged',
  'succulent',
  'grass',
] as const;

/** A plant, by what it becomes and what it bears; sizes in m, light in mol/m² a day, temperature in °C. */
export const Plant = z.strictObject({
  id: z.string(),
  english: z.string(),
  scientific: ScientificName,
  form: z.enum(PLANT_FORMS),
  /** Grown, in a box: of a climber or hanging plant the length it covers or hangs. */
  height: sourced(Range),
  width: sourced(Range),
  /** Months from a fifth of its size to nine tenths of it, where it does well. */
  months: sourced(positive),
  /** It does well inside; how far outside it lives is calculated from these (see fit). */
  light: sourced(Range),
  temperature: sourced(Range),
  humidity: sourced(Range),
  /** Water in its soil, as a share of what the pores hold. */
  wetness: sourced(Range),
  /** kg of an animal that it bears. */
  bears: sourced(positive),
  /** Soil its roots want, m; 0: it needs none. */
  roots: sourced(z.number().min(0).max(0.5)),
  /** `spines`, and `glochids` (barbed hairs of prickly pears): they lodge in mouth, eyes and feet. */
  harm: sourced(z.enum(['none', 'irritant', 'spines', 'glochids', 'toxic'])),
  region: sourced(Region),
  sold: sourced(z.enum(['pot', 'bare', 'cutting', 'mat', 'bulb'])),
  /** Plants that one bought can be divided into. */
  divides: sourced(z.number().int().min(1).max(20)),
  /** It catches small animals: its soil must be lean and free of lime, or it starves. */
  catches: z.boolean().optional(),
  /** Whose food it is. */
  feeds: z.array(z.enum(['grazers', 'leaf insects'])).optional(),
  /** Sown or spread rather than planted: of what, days until green is seen, and m² that a portion covers. */
  sows: sourced(
    z.strictObject({
      by: z.enum(['spores', 'seed', 'pieces']),
      days: Range,
      covers: positive,
      price: positive,
    }),
  ).optional(),
  legal: Laws.optional(),
  price,
});
export type Plant = z.infer<typeof Plant>;

export const CREW_GROUPS = [
  'springtail',
  'isopod',
  'beetle',
  'roach',
  'earwig',
  'millipede',
  'worm',
  'snail',
] as const;

/** A kind that eats what the animal and the plants leave. Days are those at its best temperature. */
export const CrewKind = z.strictObject({
  id: z.string(),
  english: z.string(),
  scientific: ScientificName,
  group: z.enum(CREW_GROUPS),
  /** False: it comes with plants, and nobody asks for it. */
  wanted: z.boolean(),
  habit: sourced(z.enum(['soil', 'litter', 'wood', 'surface'])),
  /** m, and kg live, of an adult. */
  size: sourced(positive),
  mass: sourced(positive),
  temperature: sourced(z.strictObject({ low: z.number(), best: z.number(), high: z.number() })),
  wetness: sourced(Range),
  /** Soil or litter it wants, m. */
  depth: sourced(positive),
  /** Days as an egg (0: born alive), then until it breeds, then as an adult on the mean. */
  eggDays: sourced(z.number().int().min(0)),
  youngDays: sourced(z.number().int().min(1)),
  adultDays: sourced(positive),
  /** Eggs or young a day of one adult (both sexes counted). */
  bears: sourced(positive),
  /** Share of eggs and young, and of adults, that sees the next day, food and room given. */
  youngKeep: sourced(share),
  adultKeep: sourced(share),
  /** kg of dry food a day per kg of live body. */
  eats: sourced(positive),
  /** Shares of litter and wood, of droppings and leftovers, and of mould and what grows on litter. */
  diet: sourced(z.strictObject({ litter: share, waste: share, mould: share })),
  /** Adults a m² of good floor holds at most, and how many to begin with. */
  crowd: sourced(positive),
  start: sourced(z.number().min(0)),
  /** Share of them an animal on the surface can meet. */
  exposed: sourced(share),
  /** It nibbles soft plants and moulting animals when protein is short. */
  protein: z.boolean(),
  climbs: z.boolean(),
  /** It hunts other crew and eats its eggs. */
  hunts: z.boolean().optional(),
  /** It gets out of, or into the house from, an open box. */
  escapes: z.boolean(),
  /** It dwindles in still, closed air. */
  air: z.boolean(),
  region: sourced(Region),
  /**
   * Of those that pupate: days of it at their best temperature, of the days young; the soil it takes, m deep and how damp, as a share of
   * its pores; and whether only a larva that lies by itself does.
   */
  pupates: sourced(
    z.strictObject({ days: z.number().int().min(1), depth: positive, wetness: Range, alone: z.boolean() }),
  ).optional(),
  /** Animals in a culture as bought. */
  culture: sourced(positive),
  legal: Laws.optional(),
  price,
});
export type CrewKind = z.infer<typeof CrewKind>;

/** Leaves and wood that lie on the soil. */
export const LitterKind = z.strictObject({
  id: z.string(),
  english: z.string(),
  sort: z.enum(['leaf', 'wood']),
  /** Olson's k, 1/year, at 20 °C and moist. */
  decay: sourced(positive),
  mould: sourced(z.enum(['little', 'some', 'much'])),
  note: z.string(),
});
export type LitterKind = z.infer<typeof LitterKind>;

export const LivingRows = z.strictObject({
  plants: z.array(Plant),
  crew: z.array(CrewKind),
  litters: z.array(LitterKind),
});
export type LivingRows = z.infer<typeof LivingRows>;
export const NO_LIVING_ROWS: LivingRows = { plants: [], crew: [], litters: [] };

/** What animals eat, as far as it changes how they are fed. */
export const DIETS = [
  'tiny insects',
  'insects',
  'insects, seldom',
  'insects and fruit',
  'insects and plants',
  'insects and vertebrates',
  'worms and water animals',
  'fish and worms',
  'vertebrates',
  'plants',
  'mixed',
  'litter',
  'leaves',
] as const;

/** What goes wrong in a group. */
export const CAUTIONS = ['males fight', 'females fight', 'fights over food', 'eats smaller ones'] as const;

/** What eggs are buried in. */
export const LAYING_MEDIA = ['sand and soil', 'soil', 'leaf mould', 'moss'] as const;

/** How a kind of animal grows, breeds and is kept; what Company and size is made from. */
export const Life = z.strictObject({
  region: sourced(Region),
  /** Hatched or newborn, nose to tail tip, m. */
  hatched: sourced(positive),
  monthsToAdult: sourced(positive),
  years: sourced(positive),
  young: sourced(z.enum(['eggs', 'spawn', 'live'])),
  brood: sourced(Range),
  /** Where it lays or bears. */
  lays: sourced(z.string()),
  /** °C and days that eggs or spawn need; absent for those born alive. */
  incubation: sourced(z.strictObject({ temperature: Range, days: Range })).optional(),
  sexes: sourced(z.enum(['alone', 'pair', 'one male', 'females', 'any'])),
  /**
   * Damp soil that it buries its eggs in: m deep, of what, and how damp, as a share of what its pores hold; and whether it
   * lays without a mate too. Absent: it buries none.
   */
  laying: sourced(
    z.strictObject({
      depth: positive,
      alone: z.boolean(),
      medium: z.enum(LAYING_MEDIA).optional(),
      wetness: Range.optional(),
    }),
  ).optional(),
  /**
   * Winter rest: whether it is needed, usual, or led for breeding only; weeks from cooling to warming up, °C while it rests
   * and hours of light. Absent: it has none.
   */
  rest: sourced(
    z.strictObject({
      need: z.enum(['needed', 'usual', 'breeding']),
      weeks: Range,
      temperature: Range,
      light: z.number().min(0).max(24),
    }),
  ).optional(),
  handling: sourced(z.enum(['never', 'rarely', 'weekly', 'often'])),
  diet: sourced(z.enum(DIETS)),
  cautions: sourced(z.array(z.enum(CAUTIONS))),
  /** What it does to hands; absent: nothing that is known. */
  defence: sourced(z.enum(['skin poison', 'hairs', 'sting', 'bite'])).optional(),
  legal: Laws.optional(),
});
export type Life = z.infer<typeof Life>;
