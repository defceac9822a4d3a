import { findPlant, type Catalogue } from '../catalogue';
import { allWater, layGround } from '../ground/layers';
import { crewHomeOf, proposeCrew } from '../living/crew';
import { proposePlanting } from '../living/planting';
import type { CrewHome } from '../living/population';
import { guessSurvey } from '../living/survey';
import type { Design, Living, Planted, PlantSpot } from '../document/schema';
import { nextId, type Edit } from './shared';
import { clamp } from '../physics/constants';
import { nurserySize } from '../pieces/growth';

const inLiving = (design: Design, change: Partial<Living>): Design => ({
  ...design,
  living: { ...design.living, ...change },
});

const MOST_PLANTS = 200;

/** Within the box, to the millimetre. */
function held(design: Design, spot: PlantSpot): PlantSpot {
  const { width, depth, height } = design.enclosure;
  const mm = (value: number, most: number): number => Math.round(clamp(value, 0, most) * 1000) / 1000;
  if (spot.on === 'wall')
    return {
      ...spot,
      across: mm(spot.across, spot.wall === 'back' ? width : depth),
      height: mm(spot.height, height),
    };
  return { ...spot, at: { x: mm(spot.at.x, width), y: mm(spot.at.y, depth) } };
}

/**
 * Approach, litter, feeding, water, company, moving in: what belongs to no single plant or crew. The approach of none takes the
 * crew out: of plan, list, checks and care alike.
 */
export const setLiving: Edit<Partial<Omit<Living, 'plants' | 'crew'>>> = (design, change) =>
  inLiving(design, change.school === 'none' ? { ...change, crew: [] } : change);

/** How large a patch counts that has just been sown, and a plant not yet named, as a share of what it grows to. */
const [SOWN, UNNAMED] = [0.05, 0.4];

/** Puts a plant in; without a kind it is one that is not yet named. */
export const addPlant: Edit<{ kind: string | null; spot?: PlantSpot; size?: number }> = (
  design,
  { kind, spot, size },
  catalogue,
) => {
  const { plants } = design.living;
  if (plants.length >= MOST_PLANTS) return design;
  const row = findPlant(catalogue, kind);
  const { width, depth } = design.enclosure;
  const floats = row?.form === 'floating' || row?.form === 'submerged';
  const at = { x: width / 2, y: depth * 0.6 };
  const plant: Planted = {
    id: nextId('plant', plants),
    kind,
    name: row?.english ?? 'Plant not yet named',
    spot: held(design, spot ?? (floats ? { on: 'water', at } : { on: 'ground', at, pot: false })),
    size: size ?? (row ? nurserySize(row) : UNNAMED),
    planted: null,
    sown: false,
  };
  return inLiving(design, { plants: [...plants, plant] });
};

/** Changes a plant; only what can be sown is, and its patch begins small. */
export const setPlant: Edit<{ plant: string; change: Partial<Omit<Planted, 'id'>> }> = (
  design,
  { plant, change },
  catalogue,
) =>
  inLiving(design, {
    plants: design.living.plants.map((it) => {
      if (it.id !== plant) return it;
      const kind = change.kind === undefined ? it.kind : change.kind;
      const row = findPlant(catalogue, kind);
      const sown = (change.sown ?? it.sown) && row?.sows !== undefined;
      const began = sown === it.sown ? it.size : sown ? SOWN : row ? nurserySize(row) : UNNAMED;
      const named = change.kind !== undefined ? findPlant(catalogue, change.kind)?.english : undefined;
      return {
        ...it,
        ...change,
        name: (change.name ?? named ?? it.name).trim().slice(0, 80) || it.name,
        size: clamp(change.size ?? began, 0.02, 1.5),
        sown,
        spot: held(design, change.spot ?? it.spot),
      };
    }),
  });

export const removePlant: Edit<{ plant: string }> = (design, { plant }) =>
  inLiving(design, { plants: design.living.plants.filter((it) => it.id !== plant) });

/** Parts a plant: half of it stays, the other half goes in beside it. */
export const dividePlant: Edit<{ plant: string }> = (design, { plant }) => {
  const { plants } = design.living;
  const whole = plants.find((it) => it.id === plant);
  if (!whole || plants.length >= MOST_PLANTS) return design;
  const size = Math.max(0.02, Math.round(whole.size * 50) / 100);
  const beside = (by: number): PlantSpot =>
    whole.spot.on === 'wall'
      ? { ...whole.spot, across: whole.spot.across + by }
      : { ...whole.spot, at: { x: whole.spot.at.x + by, y: whole.spot.at.y } };
  const room = whole.spot.on === 'wall' ? whole.spot.across : whole.spot.at.x;
  const part: Planted = {
    ...whole,
    id: nextId('plant', plants),
    size,
    spot: held(design, beside(room > design.enclosure.width / 2 ? -0.06 : 0.06)),
  };
  return inLiving(design, {
    plants: [...plants.map((it) => (it.id === plant ? { ...it, size } : it)), part],
  });
};

export const clearPlants: Edit<Record<never, never>> = (design) => inLiving(design, { plants: [] });

/** Takes over a planting; what is already planted in the box stays. */
export const adoptPlanting: Edit<{ plants: readonly Planted[] }> = (design, { plants }) => {
  const standing = design.living.plants.filter((it) => it.planted !== null);
  const taken = new Set(standing.map((it) => it.id));
  let count = 0;
  const fresh = plants.map((it) => {
    let id = it.id;
    while (taken.has(id)) {
      count += 1;
      id = `plant-${plants.length + count}`;
    }
    taken.add(id);
    return { ...it, id, spot: held(design, it.spot) };
  });
  return inLiving(design, { plants: [...standing, ...fresh].slice(0, MOST_PLANTS) });
};

/** How many of a kind are let in; none takes it out. */
export const setCrew: Edit<{ kind: string; count: number; on?: string | null }> = (
  design,
  { kind, count, on },
) => {
  const { crew } = design.living;
  const whole = Math.round(clamp(count, 0, 100_000));
  if (whole === 0) return inLiving(design, { crew: crew.filter((it) => it.kind !== kind) });
  const known = crew.find((it) => it.kind === kind);
  if (!known) {
    return crew.length >= 12
      ? design
      : inLiving(design, { crew: [...crew, { kind, count: whole, on: on ?? null }] });
  }
  return inLiving(design, {
    crew: crew.map((it) =>
      it.kind === kind ? { ...it, count: whole, on: on === undefined ? it.on : on } : it,
    ),
  });
};

export const adoptCrew: Edit<{ crew: Living['crew'] }> = (design, { crew }) => inLiving(design, { crew });

/** kg a week of dry food that is put down for a crew without litter, the least first (common practice). */
const FED = [0, 0.002, 0.005] as const;

/** The crew that lasts, and what it is fed: where no litter lies it lives on droppings and on what is put down. */
function crewAndFood(design: Design, home: CrewHome, catalogue: Catalogue) {
  const own = design.living.supplement;
  const fed = home.litter > 0 ? [own] : [own, ...FED.filter((it) => it > own)];
  const tried = fed.map((supplement) => ({
    supplement,
    crew: proposeCrew(design, { ...home, supplement: supplement / 7 }, catalogue),
  }));
  const most = Math.max(...tried.map(({ crew }) => crew.length));
  return tried.find(({ crew }) => crew.length === most) ?? { supplement: own, crew: [] };
}

/** Plants and crew for the animal, from the climate it is meant to have: a start before that is calculated. */
export const proposeLiving: Edit<Record<never, never>> = (design, _, catalogue) => {
  const ground = layGround(design, catalogue);
  const survey = guessSurvey(design, ground, catalogue);
  const { chosen } = proposePlanting({ design, ground, catalogue, survey });
  const planted = adoptPlanting(design, { plants: chosen.map((it) => it.planted) }, catalogue);
  const home = crewHomeOf(planted, ground, catalogue, survey);
  const { crew, supplement } = allWater(ground)
    ? { crew: [], supplement: design.living.supplement }
    : crewAndFood(planted, home, catalogue);
  const { males, females } = design.living.company;
  const pool = design.ground.method === 'full-water';
  return inLiving(planted, {
    crew: [...crew],
    supplement,
    water:
      pool && design.living.water.filter === null
        ? { ...design.living.water, filter: 'sponge' }
        : design.living.water,
    company: { ...design.living.company, males, females },
  });
};
