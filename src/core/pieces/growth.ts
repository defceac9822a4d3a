import { findPlant, type Catalogue, type Plant } from '../catalogue';
import type { Design } from '../document/schema';

/**
 * Logistic growth: the share of its full size that a plant has reached after so many months, having begun at `start`.
 * `months` is how long it takes from a fifth to nine tenths where it does well; where it does less well, growth is
 * slowed by its fit.
 */
export function sizeAfter(start: number, months: number, elapsed: number, fit = 1): number {
  if (start >= 1) return start;
  const rate = Math.log((0.9 / 0.1) * (0.8 / 0.2)) / months;
  return 1 / (1 + (1 / start - 1) * Math.exp(-rate * fit * elapsed));
}

/** Months until it has reached a size, the inverse of `sizeAfter`; 0: it has already; null: it never does. */
export function monthsUntil(start: number, months: number, size: number, fit = 1): number | null {
  if (size <= start) return 0;
  if (size >= 1 || fit <= 0) return null;
  const rate = Math.log((0.9 / 0.1) * (0.8 / 0.2)) / months;
  return Math.log((1 / start - 1) / (1 / size - 1)) / (rate * fit);
}

/** What it grows to here: between its least and its most, by how well it does. */
export function grownSize(plant: Plant, fit = 0.6): { readonly height: number; readonly width: number } {
  const at = ({ low, high }: { low: number; high: number }): number =>
    low + (high - low) * Math.min(1, Math.max(0, fit));
  return { height: at(plant.height.value), width: at(plant.width.value) };
}

/** Share of its floor that a plant's leaves cover, both sides of a leaf counted once, by form (from memory). */
const LEAF_AREA: Record<Plant['form'], number> = {
  ground: 2.2,
  climber: 1.6,
  mounted: 1.5,
  moss: 1,
  marsh: 2,
  floating: 1,
  submerged: 1.5,
  succulent: 1.2,
  grass: 1.8,
};

/** It hangs from what it is tied to: mounted, and much longer than wide. */
export const hanging = (plant: Plant): boolean =>
  plant.form === 'mounted' && plant.height.value.high > 1.6 * plant.width.value.high;

/** How tall and wide plants are sold, m, by how they are sold (common practice): a young one in a pot of 9 to 12 cm, at most half grown. */
const SOLD: Record<Plant['sold']['value'], { readonly height: number; readonly width: number }> = {
  pot: { height: 0.16, width: 0.13 },
  bare: { height: 0.12, width: 0.12 },
  cutting: { height: 0.1, width: 0.08 },
  mat: { height: 0.05, width: 0.15 },
  bulb: { height: 0.06, width: 0.06 },
};

/** How large it is bought, as a share of what it grows to. Of what climbs or hangs its length counts. */
export function nurserySize(plant: Plant): number {
  const sold = SOLD[plant.sold.value];
  const grown = grownSize(plant);
  const tall = sold.height / grown.height;
  const share = plant.form === 'climber' || hanging(plant) ? tall : Math.min(tall, sold.width / grown.width);
  return Math.round(100 * Math.min(0.5, Math.max(0.08, share))) / 100;
}

/** Of the size it is bought in: a part of one that was divided. */
export const PARTED = 0.6;

/** Whether it goes in so small that it is a part of one bought. */
export const isParted = (plant: Plant, size: number): boolean =>
  plant.divides.value > 2 && size <= nurserySize(plant) * (PARTED + 0.1);

/** m² of leaves of a plant so wide. */
export const leafArea = (plant: Plant, width: number): number =>
  LEAF_AREA[plant.form] * (Math.PI / 4) * width * width;
export const leafIndex = (plant: Plant): number => LEAF_AREA[plant.form];

/** m² of leaves of all plants of a design as large as they are planted, each side counted once. */
export const leavesOf = (design: Design, catalogue: Catalogue): number =>
  design.living.plants.reduce((sum, { kind, size }) => {
    const plant = findPlant(catalogue, kind);
    return plant ? sum + leafArea(plant, grownSize(plant).width * size) : sum;
  }, 0);
