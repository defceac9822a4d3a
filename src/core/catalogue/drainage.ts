import type { Material } from './types';

/** What lies under the soil and drains it. */
export interface Bed {
  /** Role a material has that can lie there. */
  readonly role: BedId;
  /** What a material with that role is for, in words. */
  readonly use: string;
  /** Poured, so that it can be heaped; otherwise it stands level and is sold in sheets. */
  readonly poured: boolean;
  /** It stands on legs. */
  readonly legs: boolean;
  /** It is covered by a sheet of another bed. */
  readonly under: BedId | null;
  /** Share of it that is open to water that rises into the soil's foot. */
  readonly pores: number;
  /** How it is drawn in the section. */
  readonly texture: 'beads' | 'panel' | 'foam';
}

/**
 * Every sort of bed: a new one is a row here, materials with its role in the catalogue, and a method below. Pores of beads
 * as poured are common practice (Scott & Kilgour 1969 give 0.36 at the closest); a panel is open but for its legs.
 */
const BED_ROWS = {
  'bead-bed': {
    use: 'drainage bed',
    poured: true,
    legs: false,
    under: null,
    pores: 0.4,
    texture: 'beads',
  },
  'raised-panel': {
    use: 'raised panel',
    poured: false,
    legs: true,
    under: null,
    pores: 0.9,
    texture: 'panel',
  },
  'foam-grid': {
    use: 'foam under a grid',
    poured: false,
    legs: false,
    under: 'raised-panel',
    pores: 0.9,
    texture: 'foam',
  },
} as const satisfies Record<string, Omit<Bed, 'role' | 'under'> & { readonly under: string | null }>;

export type BedId = keyof typeof BED_ROWS;
export const BED_IDS = Object.keys(BED_ROWS) as [BedId, ...BedId[]];

/** How the floor of an enclosure drains. */
export interface DrainageMethod {
  readonly name: string;
  /** In one line: what one gets by it. */
  readonly why: string;
  /** What is laid under the soil; null: nothing. */
  readonly bed: BedId | null;
  /** Open water covers the floor, and what is land stands in it. */
  readonly openWater: boolean;
  /** Its usual depth: share of the height of the enclosure, between two limits, m (common practice). */
  readonly usual: { readonly share: number; readonly least: number; readonly most: number };
}

/** Every method of drainage, in the order they are offered. */
export const DRAINAGE_METHODS = {
  'bead-bed': {
    name: 'Clay-pebble layer',
    why: 'Water waits under the soil.',
    bed: 'bead-bed',
    openWater: false,
    usual: { share: 0.11, least: 0.04, most: 0.06 },
  },
  'raised-panel': {
    name: 'Raised panel',
    why: 'Lighter; holds more water.',
    bed: 'raised-panel',
    openWater: false,
    usual: { share: 0.15, least: 0.03, most: 0.1 },
  },
  'foam-grid': {
    name: 'Foam and grid',
    why: 'Quick to cut; clogs in time.',
    bed: 'foam-grid',
    openWater: false,
    usual: { share: 0.15, least: 0.03, most: 0.1 },
  },
  'full-water': {
    name: 'Full water',
    why: 'Land stands in open water.',
    bed: 'raised-panel',
    openWater: true,
    usual: { share: 0.2, least: 0.06, most: 0.12 },
  },
  none: {
    name: 'No drainage',
    why: 'Damp below, dry on top.',
    bed: null,
    openWater: false,
    usual: { share: 0, least: 0, most: 0 },
  },
} as const satisfies Record<string, DrainageMethod>;

export type DrainageMethodId = keyof typeof DRAINAGE_METHODS;
export const DRAINAGE_METHOD_IDS = Object.keys(DRAINAGE_METHODS) as [DrainageMethodId, ...DrainageMethodId[]];

export const drainageMethodOf = (id: DrainageMethodId): DrainageMethod => DRAINAGE_METHODS[id];

/** Depth a bed usually has in an enclosure of that height, m. */
export function usualBedDepth(id: DrainageMethodId, height: number): number {
  const { share, least, most } = DRAINAGE_METHODS[id].usual;
  return Math.min(most, Math.max(least, height * share));
}

export const bedOf = (id: BedId): Bed => ({ role: id, ...BED_ROWS[id] });

/** The bed that a material makes; null: it drains nothing, and a finding says so where it lies as one. */
export function bedOfMaterial({ roles }: Pick<Material, 'roles'>): Bed | null {
  const id = BED_IDS.find((it) => roles.includes(it));
  return id ? bedOf(id) : null;
}

/** The method whose floor drains through that bed alone. */
export const methodOfBed = (bed: BedId): DrainageMethodId =>
  DRAINAGE_METHOD_IDS.find((it) => DRAINAGE_METHODS[it].bed === bed && !DRAINAGE_METHODS[it].openWater) ??
  'none';
