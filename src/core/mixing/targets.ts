import type { Animal, Basis, Range, Recipe } from '../catalogue';
import { MEDIUM_RANGES } from '../ground/mediumRanges';
import type { MixProperties, Property, State } from './properties';

/** What a mix is wanted to be, for the way an animal lives. */
export const FAMILIES = ['wet', 'damp', 'dry', 'tunnels', 'swims'] as const;
export type Family = (typeof FAMILIES)[number];

export interface Target {
  readonly range: Range;
  readonly basis: Basis;
  readonly source?: string;
}

export type Targets = Readonly<Partial<Record<Property, Target>>>;

const nursery = (property: keyof typeof MEDIUM_RANGES): Target => ({
  range: MEDIUM_RANGES[property],
  basis: 'published',
  source: 'yeager-bmp',
});
const practice = (low: number, high: number): Target => ({ range: { low, high }, basis: 'practice' });

/** Easily available water of the ideal substrate, m³/m³ (de Boodt & Verdonck 1972). */
const AVAILABLE: Target = {
  range: { low: 0.2, high: 0.3 },
  basis: 'published',
  source: 'de-boodt-verdonck-1972',
};

const ROOTED: Targets = {
  air: nursery('air'),
  capacity: nursery('capacity'),
  available: AVAILABLE,
  porosity: nursery('porosity'),
  density: nursery('density'),
};

/** Ground that is moistened by hand and never watered through. No published range is known to us. */
const ARID: Targets = {
  air: practice(0.1, 0.35),
  capacity: practice(0.05, 0.25),
  density: practice(700, 1800),
  ph: practice(6, 8),
  salts: practice(0, 1),
  decay: practice(0, 0.08),
};

/**
 * Bands a mix is set against. Wet and damp ground is judged as container media are, by the nursery guide's ranges and the
 * ideal substrate; dry ground by what is common, since mineral soil lies outside both.
 */
export const TARGETS: Readonly<Record<Family, Targets>> = {
  wet: { ...ROOTED, ph: practice(4.8, 6.8), salts: practice(0, 0.8), decay: practice(0, 0.16) },
  damp: {
    ...ROOTED,
    ph: practice(5, 7.2),
    salts: practice(0, 1),
    hold: practice(0.1, 0.6),
    decay: practice(0, 0.2),
  },
  dry: ARID,
  tunnels: { ...ARID, hold: practice(0.4, 1) },
  swims: { ...ARID, hold: practice(0, 0.25) },
};

/** In what state a family's ground is judged. */
export const stateOf = (family: Family): State =>
  family === 'wet' || family === 'damp' ? 'drained' : 'moistened';

/** The family an animal wants; for no animal, that of the recipe. */
export function familyFor(animal: Animal | undefined, recipe?: Recipe['family']): Family {
  if (!animal) return recipe === 'wet' ? 'wet' : recipe === 'dry' ? 'dry' : 'damp';
  const ground = animal.ground.value;
  if (ground === 'wet' || ground === 'half-water') return 'wet';
  if (ground === 'damp') return 'damp';
  if (animal.life.value !== 'burrowing') return 'dry';
  return animal.swimsInSand?.value ? 'swims' : 'tunnels';
}

export type Standing = 'below' | 'within' | 'above';

/** Decimals a property is read with: 0.19 stands within “from 0.19”, whatever follows. */
const STEP: Readonly<Record<Property, number>> = {
  air: 0.01,
  capacity: 0.01,
  available: 0.01,
  porosity: 0.01,
  density: 10,
  ph: 0.1,
  salts: 0.1,
  hold: 0.01,
  decay: 0.01,
};

/** Where a value stands against its band, by the figure a person reads. */
export function standingOf(property: Property, value: number, { low, high }: Range): Standing {
  const shown = Math.round(value / STEP[property]) * STEP[property];
  const slack = STEP[property] * 1e-6;
  return shown < low - slack ? 'below' : shown > high + slack ? 'above' : 'within';
}

/** Properties that lie outside their bands. */
export const missesOf = (properties: MixProperties, targets: Targets) =>
  (Object.entries(targets) as [Property, Target][]).flatMap(([property, target]) => {
    const value = properties[property];
    if (value === undefined) return [];
    const standing = standingOf(property, value, target.range);
    return standing === 'within' ? [] : [{ property, value, target, standing }];
  });
