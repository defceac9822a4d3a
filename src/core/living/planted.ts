import { findPlant, type Catalogue, type Plant } from '../catalogue';
import type { Design, Planted } from '../document/schema';
import { siteOf } from '../ground/bodies';
import type { GroundResult } from '../ground/layers';
import { placeLayers } from '../ground/placedLayers';
import { grownSize, hanging, isParted, leafArea, sizeAfter } from '../pieces/growth';

export const STRATA = ['carpet', 'middle', 'tall', 'walls', 'mounted', 'water'] as const;
export type Stratum = (typeof STRATA)[number];

/** A plant where it stands, as large as it is. Lengths in m. */
export interface PlantedResult {
  readonly planted: Planted;
  readonly plant: Plant | undefined;
  readonly x: number;
  readonly y: number;
  readonly z: number;
  /** Now, and grown. */
  readonly height: number;
  readonly width: number;
  readonly grown: { readonly height: number; readonly width: number };
  readonly stratum: Stratum;
  /** It hangs down instead of standing up. */
  readonly hangs: boolean;
}

/** Under what height a ground plant is carpet, and from what height it is tall: shares of the free height. */
const LOW = 0.12;
const TALL = 0.4;

export function stratumOf(plant: Plant | undefined, on: Planted['spot']['on'], free: number): Stratum {
  if (on === 'water') return 'water';
  if (plant?.form === 'climber') return 'walls';
  if (on === 'piece') return 'mounted';
  if (on === 'wall') return 'walls';
  const height = plant ? grownSize(plant).height : 0.15;
  if (plant?.form === 'moss' || height <= Math.max(0.06, free * LOW)) return 'carpet';
  return height >= Math.min(0.4, Math.max(0.14, free * TALL)) ? 'tall' : 'middle';
}

/** Months before anything is seen of what is sown; 0 of what is planted. */
export const sproutMonths = ({ sown }: Planted, plant: Plant | undefined): number => {
  const days = sown ? plant?.sows?.value.days : undefined;
  return days ? (days.low + days.high) / 2 / 30.4 : 0;
};

/** What an unnamed plant is taken for until it is named: a small one of the middle, m. */
const UNNAMED = { height: 0.15, width: 0.15, months: 12 };

/** Every plant where it stands after so many months. A plant whose piece is gone stands on the ground under it. */
export function placePlants(
  design: Design,
  ground: GroundResult,
  catalogue: Catalogue,
  months = 0,
  fitOf: (id: string) => number = () => 0.7,
): readonly PlantedResult[] {
  const { plants } = design.living;
  if (plants.length === 0) return [];
  const { width, depth, height } = design.enclosure;
  const site = siteOf(design, placeLayers(design).stackAt);
  return plants.map((planted): PlantedResult => {
    const { spot } = planted;
    const plant = findPlant(catalogue, planted.kind);
    let [x, y, z] = [0, 0, 0];
    let { on } = spot;
    if (spot.on === 'wall') {
      const back = design.scape.backgrounds.find((it) => it.wall === spot.wall);
      const off = (back?.thickness ?? 0) + (back?.gap ?? 0);
      x = spot.wall === 'back' ? spot.across : spot.wall === 'left' ? off : width - off;
      y = spot.wall === 'back' ? depth - off : spot.across;
      z = Math.min(height, spot.height);
    } else {
      x = Math.min(width, spot.at.x);
      y = Math.min(depth, spot.at.y);
      z = Math.max(site.groundAt(x, y), 0);
      if (spot.on === 'water') z = site.waterAt(x, y) ?? z;
      if (spot.on === 'piece') {
        const solid = ground.pieces.find((it) => it.piece.id === spot.piece)?.solid;
        const reach = solid?.reachAt(x, y);
        if (reach) z = reach[1];
        else if (solid) z = solid.bounds.z1;
        else on = 'ground';
      }
    }
    const fit = fitOf(planted.id);
    const grown = plant ? grownSize(plant, fit) : UNNAMED;
    const share = sizeAfter(
      planted.size,
      plant?.months.value ?? UNNAMED.months,
      Math.max(0, months - sproutMonths(planted, plant)),
      Math.max(0.15, fit),
    );
    const hangs = plant !== undefined && (on === 'wall' || on === 'piece') && hanging(plant);
    const deep =
      plant?.form === 'submerged' ? Math.max(0.01, z - site.groundAt(x, y)) : Number.POSITIVE_INFINITY;
    const tall = Math.min(deep, grown.height * share);
    // Small plants are wider for their height than grown ones of the tall kinds; close enough to draw by.
    return {
      planted,
      plant,
      x,
      y,
      z,
      // What hangs ends at the ground.
      height: hangs ? Math.min(tall, Math.max(0.03, z - site.groundAt(x, y))) : tall,
      width: grown.width * (plant?.form === 'climber' ? 0.4 + 0.6 * share : share),
      grown,
      stratum: stratumOf(plant, on, Math.max(0.1, height - z)),
      hangs,
    };
  });
}

export interface LivingResult {
  readonly plants: readonly PlantedResult[];
  /** Share of the floor that each stratum covers as it stands now; of walls, share of their area. */
  readonly cover: Readonly<Record<Stratum, number>>;
  /** m² of leaves, each side counted once. */
  readonly leaves: number;
}

export function coverOf(
  design: Design,
  plants: readonly PlantedResult[],
  size: 'now' | 'grown' = 'now',
): Readonly<Record<Stratum, number>> {
  const { width, depth, height } = design.enclosure;
  const floor = width * depth;
  const walls = (width + 2 * depth) * height;
  const cover: Record<Stratum, number> = { carpet: 0, middle: 0, tall: 0, walls: 0, mounted: 0, water: 0 };
  for (const it of plants) {
    const wide = size === 'now' ? it.width : it.grown.width;
    const high = size === 'now' ? it.height : it.grown.height;
    if (it.stratum === 'walls') cover.walls += (wide * Math.max(wide, high) * 0.7) / walls;
    else cover[it.stratum] += ((Math.PI / 4) * wide * wide) / floor;
  }
  return cover;
}

/** Places still to be planted, by kind; the small ones are parted from bought plants. */
export function plantsToBuy(
  plants: readonly PlantedResult[],
  wanted: (id: string) => boolean = () => true,
): readonly { readonly id: string; readonly plant: Plant; readonly stand: number; readonly small: number }[] {
  const counts = new Map<string, { id: string; plant: Plant; stand: number; small: number }>();
  for (const { plant, planted } of plants) {
    if (!plant || planted.sown || planted.planted !== null || !wanted(planted.id)) continue;
    const row = counts.get(plant.id) ?? { id: plant.id, plant, stand: 0, small: 0 };
    row.stand += 1;
    if (isParted(plant, planted.size)) row.small += 1;
    counts.set(plant.id, row);
  }
  return [...counts.values()];
}

/** Still to be sown: m² of each kind. */
export function sownToBuy(
  plants: readonly PlantedResult[],
  wanted: (id: string) => boolean = () => true,
): readonly { readonly plant: Plant; readonly area: number }[] {
  const areas = new Map<Plant, number>();
  for (const { plant, planted, grown } of plants)
    if (plant?.sows && planted.sown && planted.planted === null && wanted(planted.id))
      areas.set(plant, (areas.get(plant) ?? 0) + (Math.PI / 4) * grown.width ** 2);
  return [...areas].map(([plant, area]) => ({ plant, area }));
}

/** How many to buy for so many places, of which the small ones are parted from bought plants. */
export const boughtFor = ({
  plant,
  stand,
  small,
}: {
  readonly plant: Plant;
  readonly stand: number;
  readonly small: number;
}): number => stand - small + Math.ceil(small / plant.divides.value);

export function livingOf(design: Design, ground: GroundResult, catalogue: Catalogue): LivingResult {
  const plants = placePlants(design, ground, catalogue);
  return {
    plants,
    cover: coverOf(design, plants),
    leaves: plants.reduce((sum, it) => sum + (it.plant ? leafArea(it.plant, it.width) : 0), 0),
  };
}
