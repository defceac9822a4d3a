import type { Animal, Plant, Range } from '../catalogue';
import { hanging } from '../pieces/growth';
import type { Place } from './places';
import type { PlantedResult } from './planted';

/** What can keep a plant from living at a place. */
export const FACTORS = [
  'light',
  'strong light',
  'cold',
  'heat',
  'dry air',
  'damp air',
  'dry soil',
  'wet soil',
  'root depth',
  'rich soil',
  'shallow water',
  'height',
  'hold',
  'weight',
  'digging',
  'eaten',
  'spines',
] as const;
export type Factor = (typeof FACTORS)[number];

/** How far beyond its good range a plant still lives, from memory: then it is 0, and it dies. */
export const SLACK = {
  /** Of the least and the most light. */
  dim: 0.4,
  bright: 2,
  /** K */
  cold: 6,
  heat: 6,
  /** Share of humidity. */
  air: 0.25,
  /** Share of the pores. */
  soil: 0.22,
} as const;

export interface Fit {
  /** 0: it dies; 1: nothing is wanting. The worst of its single fits, never an average (Liebig's minimum). */
  readonly value: number;
  /** What limits it. */
  readonly by: Factor;
  readonly season: string;
}

/** 1 from `low` on, down to 0 at `dies`. */
const rising = (value: number, dies: number, low: number): number =>
  value >= low ? 1 : value <= dies ? 0 : (value - dies) / Math.max(1e-9, low - dies);
const falling = (value: number, high: number, dies: number): number =>
  value <= high ? 1 : value >= dies ? 0 : (dies - value) / Math.max(1e-9, dies - high);

/** How an animal bears on what grows where it goes. */
export interface Tread {
  /** kg that steps on ground plants and on what grows on pieces and walls. */
  readonly onGround: number;
  readonly onHigh: number;
  /** m it digs. */
  readonly digs: number;
  readonly digger: boolean;
  readonly grazes: boolean;
  /** Spines lodge in its skin, mouth and eyes. */
  readonly pricked: boolean;
}

const GRAZERS = new Set(['plants', 'mixed', 'insects and plants', 'leaves', 'litter']);

export function treadOf(animal: Animal | undefined): Tread {
  const mass = animal?.mass.value.high ?? 0;
  const high = animal?.life.value === 'climbing' || animal?.perch !== undefined;
  const diet = animal?.growing?.diet.value;
  return {
    onGround: animal?.life.value === 'climbing' ? mass * 0.5 : mass,
    // What climbs spreads its weight over several stems.
    onHigh: high ? mass * 0.6 : 0,
    digs: animal?.digs.value ?? 0,
    digger: animal?.life.value === 'burrowing',
    grazes: diet !== undefined && GRAZERS.has(diet),
    pricked: animal !== undefined && animal.kind !== 'invertebrate',
  };
}

/** Whether its soil is dug over so that a root that stands free in it is dug up. */
export const asksForPots = ({ digs, digger }: Pick<Tread, 'digs' | 'digger'>): boolean =>
  digger || digs > 0.05;

/** How well roots so deep, m, hold what stands free in such soil, 0 to 1. */
export const heldAgainstDigging = (
  roots: number,
  { digs, digger }: Pick<Tread, 'digs' | 'digger'>,
): number => (digger ? 0.45 : rising(roots, digs * 0.1, digs * 0.6));

/** It has spines or barbed hairs. */
export const pricks = ({ harm }: Plant): boolean => harm.value === 'spines' || harm.value === 'glochids';

/** Which places a form can be put at all. */
export const GOES: Readonly<Record<Plant['form'], readonly Place['kind'][]>> = {
  ground: ['ground'],
  succulent: ['ground'],
  grass: ['ground'],
  climber: ['ground', 'wall'],
  mounted: ['wall', 'piece'],
  moss: ['ground', 'piece', 'wall'],
  marsh: ['ground', 'water'],
  floating: ['water'],
  submerged: ['water'],
};

/** m of water a marsh plant can stand in, potted or on a stone. */
const WADES = 0.06;
/** m of water that what lives under water floats free in. */
const SWIMS = 0.05;

/** Salts (dS/m) and pH from which what catches its food suffers, and at which it dies (common practice: lean and lime-free). */
const LEAN = { salts: [0.35, 0.8], ph: [6.3, 7.5] } as const;

/** Single fits of a plant at a place; the worst is its fit. Kept flat and free of objects: thousands are asked at once. */
export function fitAt(plant: Plant, place: Place, tread: Tread, potted = false): Fit {
  let value = 1;
  let by: Factor = 'light';
  let season = '';
  const worse = (own: number, factor: Factor, when: string): void => {
    if (own < value) {
      value = own;
      by = factor;
      season = when;
    }
  };
  const light: Range = plant.light.value;
  const temperature: Range = plant.temperature.value;
  const humidity: Range = plant.humidity.value;
  const wetness: Range = plant.wetness.value;
  if (!GOES[plant.form].includes(place.kind)) return { value: 0, by: 'hold', season: '' };
  for (const it of place.conditions) {
    worse(rising(it.light, light.low * SLACK.dim, light.low), 'light', it.season);
    worse(falling(it.light, light.high, light.high * SLACK.bright), 'strong light', it.season);
    worse(rising(it.cold, temperature.low - SLACK.cold, temperature.low - 2), 'cold', it.season);
    worse(rising(it.day, temperature.low - SLACK.cold, temperature.low), 'cold', it.season);
    worse(falling(it.hot, temperature.high + 2, temperature.high + SLACK.heat), 'heat', it.season);
    worse(falling(it.day, temperature.high, temperature.high + SLACK.heat), 'heat', it.season);
    worse(rising(it.humidity, humidity.low - SLACK.air, humidity.low), 'dry air', it.season);
    worse(falling(it.humidity, humidity.high, humidity.high + SLACK.air), 'damp air', it.season);
    if (it.wetness !== null && plant.form !== 'floating' && plant.form !== 'submerged') {
      worse(
        rising(it.wetness, Math.max(-0.01, wetness.low - SLACK.soil), wetness.low),
        'dry soil',
        it.season,
      );
      worse(falling(it.wetness, wetness.high, wetness.high + SLACK.soil), 'wet soil', it.season);
    }
  }
  const roots = plant.roots.value;
  if (place.kind === 'ground' && roots > 0) {
    worse(rising(place.depth, roots * 0.25, roots * 0.8), 'root depth', '');
    if (asksForPots(tread) && !potted) {
      worse(heldAgainstDigging(roots, tread), 'digging', '');
    }
  }
  if (place.kind === 'water' && plant.form === 'marsh')
    worse(falling(place.depth, WADES, WADES * 2.5), 'wet soil', '');
  if (plant.form === 'submerged') worse(rising(place.depth, 0, SWIMS), 'shallow water', '');
  if (plant.catches && place.soil && !potted) {
    worse(falling(place.soil.salts, ...LEAN.salts), 'rich soil', '');
    worse(falling(place.soil.ph, ...LEAN.ph), 'rich soil', '');
  }
  const tall = plant.form === 'climber' ? Math.min(plant.height.value.low, 0.25) : plant.height.value.low;
  const room = hanging(plant) ? place.below : place.room;
  // What lives under water bends along its surface.
  if (plant.form !== 'submerged') worse(rising(room, tall * 0.35, tall * 0.8), 'height', '');
  if (place.kind === 'wall' || place.kind === 'piece') {
    if (!place.rough) worse(plant.form === 'climber' ? 0.6 : 0, 'hold', '');
  }
  const weight = place.kind === 'ground' ? tread.onGround : place.kind === 'water' ? 0 : tread.onHigh;
  // Twice what it bears bends it, eight times flattens it.
  worse(Math.max(0.15, falling(weight / plant.bears.value, 1.5, 10)), 'weight', '');
  if (tread.pricked && pricks(plant)) worse(0, 'spines', '');
  if (tread.grazes)
    worse(plant.harm.value === 'toxic' ? 0 : plant.harm.value === 'irritant' ? 0.3 : 0.75, 'eaten', '');
  return { value, by, season };
}

/** Fits of all plants at all places: value and number of the limiting factor, plant by plant. */
export interface FitTable {
  readonly values: Float32Array;
  readonly by: Uint8Array;
  readonly places: number;
}

export function fitTable(plants: readonly Plant[], places: readonly Place[], tread: Tread): FitTable {
  const values = new Float32Array(plants.length * places.length);
  const by = new Uint8Array(values.length);
  plants.forEach((plant, row) => {
    places.forEach((place, column) => {
      const fit = fitAt(plant, place, tread);
      values[row * places.length + column] = fit.value;
      by[row * places.length + column] = FACTORS.indexOf(fit.by);
    });
  });
  return { values, by, places: places.length };
}

export interface Ranked {
  readonly plant: Plant;
  /** Best place, its fit, and how many places it lives at (fit of at least `LIVES`). */
  readonly best: Fit;
  readonly place: Place | undefined;
  readonly places: number;
}

/** From here on a plant is taken to live, if not at its best. */
export const LIVES = 0.25;

/** All plants, those that suit most places best first; those that cannot live here last, with what keeps them from it. */
export function rankPlants(
  plants: readonly Plant[],
  places: readonly Place[],
  tread: Tread,
): readonly Ranked[] {
  const ranked = plants.map((plant): Ranked => {
    let best: Fit = { value: -1, by: 'hold', season: '' };
    let at: Place | undefined;
    let count = 0;
    for (const place of places) {
      if (!GOES[plant.form].includes(place.kind)) continue;
      const fit = fitAt(plant, place, tread);
      if (fit.value >= LIVES) count += 1;
      if (fit.value > best.value) {
        best = fit;
        at = place;
      }
    }
    return { plant, best: best.value < 0 ? { ...best, value: 0 } : best, place: at, places: count };
  });
  return ranked.sort(
    (a, b) => b.best.value - a.best.value || b.places - a.places || a.plant.id.localeCompare(b.plant.id),
  );
}

/** How a plant does where it stands, and the light there; an unnamed one is not judged. */
export function fitOfPlanted(
  it: PlantedResult,
  read: (plant: PlantedResult) => Place,
  tread: Tread,
): { readonly fit: Fit; readonly light: number } {
  const place = read(it);
  const light = place.conditions[0]?.light ?? 0;
  const { spot } = it.planted;
  if (!it.plant) return { fit: { value: 0.7, by: 'light', season: '' }, light };
  return { fit: fitAt(it.plant, place, tread, spot.on === 'ground' && spot.pot), light };
}
