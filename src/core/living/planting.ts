import { grownIn } from '../brief';
import { lawsOf, type Animal, type Catalogue, type Plant, type RegionName } from '../catalogue';
import type { Design, Planted, PlantSpot } from '../document/schema';
import type { GroundResult } from '../ground/layers';
import { asksForPots, fitAt, LIVES, treadOf, type Fit } from './fit';
import { grownSize, nurserySize, PARTED } from '../pieces/growth';
import { placesOf, type Place } from './places';
import { isBromeliad } from './prepare';
import { stratumOf, type Stratum } from './planted';
import type { Survey } from './survey';

/** How much of the floor (of walls: of their area; mounted: of the floor) each stratum should cover once grown. */
export type Targets = Readonly<Record<Stratum, number>>;

/**
 * Cover by way of life, common practice: climbers want walls and height, ground dwellers low cover, diggers open soil
 * with a few strong plants; dry boxes are planted sparsely.
 */
export function targetsOf(animal: Animal | undefined): Targets {
  const life = animal?.life.value ?? 'ground';
  const dry = animal?.ground.value === 'dry';
  const base: Record<typeof life, Targets> = {
    climbing: { carpet: 0.2, middle: 0.3, tall: 0.3, walls: 0.2, mounted: 0.12, water: 0 },
    ground: { carpet: 0.3, middle: 0.3, tall: 0.12, walls: 0.1, mounted: 0.05, water: 0 },
    burrowing: { carpet: 0.1, middle: 0.15, tall: 0.08, walls: 0.05, mounted: 0.03, water: 0 },
    'half-water': { carpet: 0.25, middle: 0.25, tall: 0.1, walls: 0.12, mounted: 0.06, water: 0.15 },
  };
  const own = base[life];
  if (!dry) return own;
  return { carpet: 0.04, middle: own.middle * 0.45, tall: own.tall * 0.6, walls: 0, mounted: 0.02, water: 0 };
}

export interface PlantingInput {
  readonly design: Design;
  readonly ground: GroundResult;
  readonly catalogue: Catalogue;
  readonly survey: Survey;
  readonly region?: RegionName | null;
  readonly targets?: Targets;
}

export interface PlantingChoice {
  readonly planted: Planted;
  readonly fit: Fit;
  readonly stratum: Stratum;
}

export interface Planting {
  readonly chosen: readonly PlantingChoice[];
  readonly cover: Readonly<Record<Stratum, number>>;
  readonly targets: Targets;
  /** Strata that stay bare though they should be covered, and why. */
  readonly short: readonly { readonly stratum: Stratum; readonly because: string }[];
}

/** Plants of a stratum at least, where there is room: one of a kind alone is no planting. */
const LEAST: Targets = { tall: 2, walls: 2, middle: 3, mounted: 2, water: 2, carpet: 2 };

/** What a good choice needs at least; strata that find nothing so good fall back to what just lives. */
const GOOD = 0.55;
/** Plants at the most: a few, and so many for each m² of floor; what is proposed is a start that grows. */
const MOST = { few: 8, perFloor: 60, all: 48 } as const;
/** A proposal keeps this far from the edge at which a plant pines: what is planted changes the box a little. */
const SAFE = LIVES + 0.08;
/** Planted small, and given room for what it becomes: neighbours stand apart by this share of their grown widths. */
const APART = 0.42;

interface Option {
  readonly plant: Plant;
  readonly place: Place;
  readonly fit: Fit;
  readonly stratum: Stratum;
}

function spotOf({ plant, place }: Option, tread: ReturnType<typeof treadOf>): PlantSpot {
  const mm = (value: number): number => Math.round(value * 1000) / 1000;
  const at = { x: mm(place.x), y: mm(place.y) };
  if (place.kind === 'water') return { on: 'water', at };
  if (place.kind === 'piece' && place.piece) return { on: 'piece', piece: place.piece, at };
  if (place.kind === 'wall' && place.wall)
    return {
      on: 'wall',
      wall: place.wall,
      across: mm(place.wall === 'back' ? place.x : place.y),
      height: mm(place.z),
    };
  return { on: 'ground', at, pot: asksForPots(tread) && plant.roots.value > 0 && plant.form !== 'moss' };
}

/**
 * A balanced planting: stratum by stratum, back and tall first, each plant where it does best, no two too close, few of
 * a kind. Nothing is proposed where it would die; a stratum is left bare only when nothing lives there, and says so.
 */
export function proposePlanting(asked: PlantingInput): Planting {
  const { design, ground, catalogue, survey, region = design.living.region } = asked;
  const animal = grownIn(design, catalogue);
  const tread = treadOf(animal);
  const places = placesOf(design, ground, catalogue, survey);
  const eats = !tread.grazes ? null : animal?.kind === 'invertebrate' ? 'leaf insects' : 'grazers';
  const { width, depth, height } = design.enclosure;
  const targets = asked.targets ?? targetsOf(animal);
  const floor = width * depth;
  const walls = (width + 2 * depth) * height;
  // What tramples takes its share: more plants than would otherwise do.
  const heavy = Math.min(0.6, Math.max(0, tread.onGround - 0.05));
  const wet = places.some((it) => it.kind === 'water');
  const most = Math.min(MOST.all, Math.round(MOST.few + MOST.perFloor * floor));

  const options: Option[] = [];
  for (const plant of catalogue.living.plants) {
    if (region && plant.region.value !== region) continue;
    if (plant.width.value.low > Math.min(width, depth) * 0.65) continue;
    for (const place of places) {
      const potted = place.kind === 'ground' && asksForPots(tread);
      const fit = fitAt(plant, place, tread, potted);
      if (fit.value < SAFE) continue;
      // One that would be taller than the box is too tall for it; one that stands taller than its place even poor, as well.
      if (place.kind === 'ground' && plant.form !== 'climber') {
        if (plant.height.value.low > place.room) continue;
        if (grownSize(plant, fit.value).height > height - place.z) continue;
      }
      const on = place.kind === 'ground' ? 'ground' : place.kind;
      const stratum = stratumOf(plant, on, Math.max(0.1, height - place.z));
      options.push({ plant, place, fit, stratum });
    }
  }

  const chosen: PlantingChoice[] = [];
  const standing: { x: number; y: number; z: number; wide: number; stratum: Stratum; kind: string }[] = [];
  const cover: Record<Stratum, number> = { carpet: 0, middle: 0, tall: 0, walls: 0, mounted: 0, water: 0 };
  const short: { stratum: Stratum; because: string }[] = [];
  const stands = (it: Option): boolean => {
    const own = grownSize(it.plant, it.fit.value).width;
    return standing.every((other) => {
      const far = Math.hypot(other.x - it.place.x, other.y - it.place.y, other.z - it.place.z);
      // Carpet runs on under what stands over it.
      const share = (other.stratum === 'carpet') !== (it.stratum === 'carpet') ? 0.15 : APART;
      return far >= Math.max(0.015, share * (own + other.wide) * 0.5) || far >= 0.35;
    });
  };
  const lightAt = ({ conditions }: Place): number =>
    conditions.reduce((sum, it) => sum + it.light, 0) / Math.max(1, conditions.length);
  const brightest = Math.max(1e-9, ...places.map(lightAt));
  const order: readonly Stratum[] = ['tall', 'walls', 'middle', 'mounted', 'water', 'carpet'];
  for (const stratum of order) {
    const target =
      (targets[stratum] + (stratum === 'water' && wet && targets.water === 0 ? 0.1 : 0)) * (1 + heavy);
    if (target <= 0 || (stratum === 'water' && !wet)) continue;
    const all = options.filter((it) => it.stratum === stratum);
    const good = all.filter((it) => it.fit.value >= GOOD);
    const pool = good.length > 0 ? good : all;
    const worth = (it: Option): number => {
      const kinds = standing.filter((other) => other.kind === it.plant.id).length;
      // Tall at the back and out of the basking light's way; low towards the front.
      const back = it.place.y / depth;
      const stand =
        stratum === 'tall' ? back : stratum === 'carpet' ? 1 - back * 0.5 : 1 - Math.abs(back - 0.6);
      const room = grownSize(it.plant, it.fit.value).height / Math.max(0.05, it.place.room);
      return (
        it.fit.value +
        0.18 * stand -
        0.22 * kinds -
        (room > 1 ? 0.3 * Math.min(2, room - 1) : 0) -
        // One that would fill the stratum alone leaves no room for others.
        0.5 *
          Math.min(
            1,
            Math.max(
              0,
              ((Math.PI / 4) * grownSize(it.plant, it.fit.value).width ** 2) / floor / target - 0.5,
            ),
          ) -
        (lawsOf(it.plant).includes('invasive') ? 0.15 : 0) +
        // A bromeliad on a branch colours and keeps its shape near the light.
        (stratum === 'mounted' && isBromeliad(it.plant) ? 0.25 * (lightAt(it.place) / brightest) : 0) +
        // What the animal may eat of its planting is planted first.
        (eats && it.plant.feeds?.includes(eats) ? 0.15 : 0) -
        (it.plant.harm.value === 'toxic' ? 0.06 : 0)
      );
    };
    let left = pool.filter(stands);
    let count = 0;
    while (
      (cover[stratum] < target || (count < LEAST[stratum] && cover[stratum] < target * 1.8)) &&
      chosen.length < most &&
      left.length > 0
    ) {
      count += 1;
      let best: Option | undefined;
      let most = -Infinity;
      for (const it of left) {
        const value = worth(it);
        if (value > most) {
          most = value;
          best = it;
        }
      }
      if (!best) break;
      const option = best;
      const wide = grownSize(option.plant, option.fit.value).width;
      const { place } = option;
      const id = `plant-${chosen.length + 1}`;
      chosen.push({
        planted: {
          id,
          kind: option.plant.id,
          name: option.plant.english,
          spot: spotOf(option, tread),
          size: plantedSize(option.plant),
          planted: null,
          sown: false,
        },
        fit: option.fit,
        stratum,
      });
      standing.push({ x: place.x, y: place.y, z: place.z, wide, stratum, kind: option.plant.id });
      cover[stratum] +=
        stratum === 'walls'
          ? (wide * Math.max(wide, Math.min(grownSize(option.plant).height, height)) * 0.7) / walls
          : ((Math.PI / 4) * wide * wide) / floor;
      left = left.filter(stands);
      const kinds = standing.filter((other) => other.kind === option.plant.id).length;
      if (kinds >= 4) left = left.filter((it) => it.plant.id !== option.plant.id);
    }
    if (cover[stratum] === 0) {
      short.push({
        stratum,
        because:
          all.length > 0
            ? 'what would live there finds no room left'
            : region
              ? `no plant of this region lives there; choose any region, or change the light and moisture`
              : 'no plant lives there as the enclosure is; more light or moisture would let some',
      });
    }
  }
  return { chosen, cover, targets, short };
}

/** How large it is put in: as it is bought, or a part of it where it is divided. */
const plantedSize = (plant: Plant): number =>
  Math.max(0.02, Math.round(100 * nurserySize(plant) * (plant.divides.value > 2 ? PARTED : 1)) / 100);
