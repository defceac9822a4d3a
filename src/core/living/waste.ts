import type { Animal, Basis, CrewKind } from '../catalogue';

/**
 * Field metabolic rate of free-living reptiles, kJ a day, M in g (Nagy 2001, Nutr. Abstr. Rev. B 71: 21R, all reptiles).
 */
export const reptileFmr = (grams: number): number => 0.196 * grams ** 0.889;

/** Share of the field rate that a kept animal spends (common practice: half). */
const CAPTIVE = 0.5;
/** kJ that can be used of a g of dry food, by diet (from memory: insects 18, vertebrates 19, plants 9, mixed 14). */
const USABLE: Readonly<Record<string, number>> = {
  vertebrates: 19,
  'fish and worms': 19,
  plants: 9,
  leaves: 8,
  litter: 4,
  mixed: 14,
};
/** Share of dry food that comes out again, and nitrogen in dry food (from memory). */
const COMES_OUT: Readonly<Record<string, number>> = {
  plants: 0.45,
  leaves: 0.55,
  litter: 0.75,
  vertebrates: 0.15,
  'fish and worms': 0.15,
};
const NITROGEN: Readonly<Record<string, number>> = {
  plants: 0.03,
  leaves: 0.03,
  litter: 0.012,
  vertebrates: 0.1,
  'fish and worms': 0.1,
};

/** What one animal eats and leaves a day. Masses in kg dry, energy in kJ. */
export interface Waste {
  readonly energy: number;
  readonly eats: number;
  readonly droppings: number;
  /** Of droppings and urates or urine, kg. */
  readonly nitrogen: number;
  /** Of the rate it is calculated from. */
  readonly basis: Basis;
  readonly source: string;
}

/** Amphibians spend about a third of what a reptile of their mass does, invertebrates a sixth (from memory). */
const OTHERS: Partial<Record<Animal['kind'], number>> = { frog: 0.35, newt: 0.2, invertebrate: 0.15 };

export function wasteOf(animal: Animal, mass = (animal.mass.value.low + animal.mass.value.high) / 2): Waste {
  const diet = animal.growing?.diet.value ?? 'insects';
  const other = OTHERS[animal.kind];
  const energy = reptileFmr(mass * 1000) * (other ?? 1) * CAPTIVE;
  const eats = energy / (USABLE[diet] ?? 18) / 1000;
  return {
    energy,
    eats,
    droppings: eats * (COMES_OUT[diet] ?? 0.2),
    nitrogen: eats * (NITROGEN[diet] ?? 0.1),
    basis: other === undefined ? 'published' : 'estimated',
    source: other === undefined ? 'nagy-2001' : 'kin',
  };
}

/** Droppings a m² of moist living soil breaks down by itself, kg dry a day (from memory). */
const SOIL_TAKES = 0.0012;
/** Nitrogen a m² of growing leaves takes up a day, kg (from memory). */
const LEAF_TAKES = 0.00005;

export interface Load {
  /** kg dry a day that are left lying, and what crew and soil can take. */
  readonly left: number;
  readonly crew: number;
  readonly soil: number;
  /** left ÷ (crew + soil): under 1 it is dealt with. */
  readonly load: number;
  /** kg of nitrogen a day that comes down, and that plants take up. */
  readonly nitrogen: number;
  readonly plants: number;
}

export interface LoadInput {
  readonly waste: Waste | undefined;
  readonly count: number;
  /** Share the keeper lifts out. */
  readonly spotClean: number;
  readonly floor: number;
  /** Share of the pores filled; dry soil hardly works. */
  readonly wetness: number;
  /** m² of leaves. */
  readonly leaves: number;
  readonly crew: readonly { readonly kind: CrewKind; readonly adults: number }[];
}

/** What the animals leave against what crew and soil can take. */
export function loadOf({ waste, count, spotClean, floor, wetness, leaves, crew }: LoadInput): Load {
  const left = (waste?.droppings ?? 0) * count * (1 - spotClean);
  const takes = crew.reduce(
    (sum, { kind, adults }) => sum + adults * kind.mass.value * kind.eats.value * 1.6 * kind.diet.value.waste,
    0,
  );
  const soil = SOIL_TAKES * floor * Math.min(1, Math.max(0.05, wetness / 0.4));
  return {
    left,
    crew: takes,
    soil,
    load: left / Math.max(1e-12, takes + soil),
    nitrogen: (waste?.nitrogen ?? 0) * count * (1 - spotClean * 0.7),
    plants: LEAF_TAKES * leaves,
  };
}
