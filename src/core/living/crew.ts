import { findCrew, type Catalogue, type CrewKind } from '../catalogue';
import { animalIn } from '../brief';
import { climateModelOf } from '../climate/climateModel';
import type { Design } from '../document/schema';
import type { GroundResult } from '../ground/layers';
import { moistAt, paceAt } from './chain';
import { LIVES } from './fit';
import type { Place } from './places';
import {
  carryingCapacity,
  runCrew,
  sampleCrew,
  type CrewHome,
  type CrewLimit,
  type Hunters,
} from './population';
import { homesOf } from './sharing';
import type { Survey } from './survey';
import { wasteOf } from './waste';

/** Share of what it eats that an animal finds among the crew, by diet (from memory): hunters of small prey most. */
const HUNTS: Readonly<Record<string, number>> = {
  'tiny insects': 0.2,
  insects: 0.08,
  'insects, seldom': 0.03,
  'worms and water animals': 0.05,
  'insects and fruit': 0.06,
  'insects and plants': 0.04,
  'insects and vertebrates': 0.03,
  mixed: 0.05,
};
/** Dry mass of a live insect, share (from memory). */
const DRY = 0.3;

/** Days that crew gets before the animal comes, to breed (common practice: 2 to 4 weeks, better more). */
const QUIET = 42;

/** What hunts the crew of a box; null: nothing. Prey no wider than the gap between the eyes, about an eighth of it. */
export function huntersOf(design: Design, catalogue: Catalogue): Hunters | null {
  const animal = animalIn(design, catalogue);
  const share = HUNTS[animal?.growing?.diet.value ?? ''] ?? 0;
  if (!animal || share === 0) return null;
  const length = animal.length.value.high;
  return {
    count: design.brief.count,
    appetite: (wasteOf(animal).eats * share) / DRY,
    searches: 0.02 * (animal.life.value === 'climbing' ? 0.4 : 1),
    largest: Math.min(0.06, length * (animal.kind === 'frog' ? 0.3 : 0.12)),
    quiet: design.brief.stage === 'inhabited' ? 0 : QUIET,
    indoors: false,
  };
}

/** The home a crew finds in a box. */
export function crewHomeOf(
  design: Design,
  ground: GroundResult,
  catalogue: Catalogue,
  survey: Survey,
): CrewHome {
  const { width, depth } = design.enclosure;
  const model = climateModelOf(design, ground, catalogue);
  const land = model.box.columns.reduce((sum, it) => sum + it.area, 0);
  const soilDepth = model.box.columns.reduce(
    (sum, it) => sum + it.soil.reduce((own, node) => own + node.thickness, 0) / 2,
    0,
  );
  const laid = ground.layers
    .filter((it) => it.layer.kind === 'litter' || it.layer.kind === 'moss')
    .reduce((sum, it) => sum + it.placed, 0);
  const floor = Math.max(0.005, land || width * depth);
  const { living } = design;
  // Refilled where there is some: what lies in no layer feeds nobody.
  const kept = laid > 0 ? Math.max(laid / floor, living.litter.depth) : 0;
  const winter = survey.seasons[0];
  const summer = survey.seasons.at(-1);
  const mean = (pair: readonly [number, number] | undefined): number =>
    ((pair?.[0] ?? 22) + (pair?.[1] ?? 22)) / 2;
  const cold = mean(winter?.soil);
  const warm = mean(summer?.soil);
  const animal = animalIn(design, catalogue);
  const waste = animal ? wasteOf(animal).droppings * design.brief.count * (1 - living.spotClean) : 0;
  // Between the coldest and the warmest season by the month.
  const temperature = Array.from(
    { length: 12 },
    (_, month) => (cold + warm) / 2 - ((warm - cold) / 2) * Math.cos(((month + 0.5 - 1) * Math.PI) / 6),
  );
  const wetness =
    survey.seasons.reduce((sum, it) => sum + (it.wetness[0][1] + it.wetness[1][1]) / 2, 0) /
    Math.max(1, survey.seasons.length);
  const cork = ground.pieces.reduce((sum, it) => sum + it.solid.shades, 0) / floor;
  const { openings } = model;
  return {
    floor,
    temperature,
    wetness,
    depth: soilDepth + kept,
    shelter: Math.min(1, kept / 0.03 + cork * 0.5),
    litter: kept,
    litterK: catalogue.living.litters.find((it) => it.id === living.litter.kind)?.decay.value ?? 0.9,
    waste,
    supplement: living.supplement / 7,
    air: Math.min(1, (openings.low + openings.high + openings.top) / (0.1 * width * depth + 1e-9)),
    hunters: [huntersOf(design, catalogue) ?? []].flat(),
  };
}

export interface CrewChoice {
  readonly kind: CrewKind;
  readonly carries: number;
  readonly limit: CrewLimit;
  /** 0 to 1: how much of a full crowd the place would hold. */
  readonly value: number;
  /** Adults to begin with, by the floor. */
  readonly start: number;
}

const SCHOOL: Readonly<Record<Design['living']['school'], readonly CrewKind['group'][]>> = {
  'springtails-isopods': ['springtail', 'isopod', 'worm', 'millipede'],
  beetles: ['springtail', 'isopod', 'beetle'],
  'roaches-earwigs': ['springtail', 'isopod', 'roach', 'earwig', 'beetle'],
  none: [],
};

/** Kinds that would live here, best first, with what holds each to its number. */
export function crewChoices(home: CrewHome, catalogue: Catalogue): readonly CrewChoice[] {
  return catalogue.living.crew
    .map((kind): CrewChoice => {
      const { adults, limit } = carryingCapacity(kind, home);
      const crowd = kind.crowd.value * home.floor;
      return {
        kind,
        carries: adults,
        limit,
        value: Math.min(1, adults / Math.max(1e-9, crowd * 0.5)),
        start: Math.max(5, Math.round(kind.start.value * home.floor)),
      };
    })
    .sort((a, b) => b.value - a.value || a.kind.id.localeCompare(b.kind.id));
}

/** Cultures of a kind that are let in at the most: it breeds on from them. */
const CULTURES = 2;
/** Years a proposed crew must last, draws it is tried in, and the share in which it does. */
export const CREW_LASTS = { months: 36, draws: 10, share: 0.9 } as const;

/** How surely a number of a kind lasts, as a share of draws, and after how many days half of them stand by themselves. */
export function crewCourse(
  kind: CrewKind,
  home: CrewHome,
  start: number,
): { readonly lasts: number; readonly stands: number | null } {
  const asked = { kind, home, start, months: CREW_LASTS.months, every: 30 };
  const { collapse, stands } = sampleCrew(asked, CREW_LASTS.draws, 1);
  return { lasts: 1 - collapse, stands };
}

/** As `crewCourse`, of each of several kinds that live there together. */
export function crewCourses(
  crew: readonly { readonly kind: CrewKind; readonly count: number }[],
  home: CrewHome,
): readonly ReturnType<typeof crewCourse>[] {
  const homes = homesOf(
    crew.map((it) => it.kind),
    home,
  );
  return crew.map(({ kind, count }, i) => crewCourse(kind, homes[i] ?? home, count));
}

/**
 * A balanced crew of the school that is followed: one of each of its groups, in the portions it is sold in, one culture or
 * two, and only such as lasts from them.
 */
export function proposeCrew(
  design: Design,
  home: CrewHome,
  catalogue: Catalogue,
): readonly { readonly kind: string; readonly count: number; readonly on: null }[] {
  const groups = SCHOOL[design.living.school];
  const all = crewChoices(home, catalogue).filter(
    ({ kind, value }) => kind.wanted && !kind.escapes && groups.includes(kind.group) && value > 0.15,
  );
  const chosen: { readonly kind: CrewKind; readonly count: number }[] = [];
  for (const group of groups.slice(0, design.living.school === 'springtails-isopods' ? 2 : 4)) {
    // By what is left of it after two years; giants and nibblers of soft plants stand back.
    const ranked = all
      .filter((it) => it.kind.group === group)
      .map((it) => {
        const count = portionOf(it.kind, it.start);
        const run = runCrew({ kind: it.kind, home, start: count, months: 24 });
        const ends = Math.min(1, (run.adults.at(-1) ?? 0) / Math.max(1, it.carries));
        const gives = Math.min(1, (it.carries * it.kind.mass.value * it.kind.eats.value) / 2e-6);
        return { it, count, worth: it.value * 0.5 + ends + gives * 0.5 - (it.kind.protein ? 0.3 : 0) };
      })
      .sort((a, b) => b.worth - a.worth);
    // Neither it nor those chosen before may die out beside each other.
    const best = ranked.find(({ it, count }) =>
      crewCourses([...chosen, { kind: it.kind, count }], home).every(
        ({ lasts }) => lasts >= CREW_LASTS.share,
      ),
    );
    if (best) chosen.push({ kind: best.it.kind, count: best.count });
  }
  return chosen.map(({ kind, count }) => ({ kind: kind.id, count, on: null }));
}

/** Animals in as many cultures as a floor is begun with, two at the most. */
const portionOf = (kind: CrewKind, start: number): number =>
  Math.min(CULTURES, Math.max(1, Math.ceil(start / kind.culture.value))) * kind.culture.value;

/** Cultures as sold that so many of a kind are. */
export const culturesOf = (kind: CrewKind, count: number): number =>
  Math.max(1, Math.ceil(count / kind.culture.value - 1e-9));

export const crewOf = (design: Design, catalogue: Catalogue) =>
  design.living.crew.flatMap((it) => {
    const kind = findCrew(catalogue, it.kind);
    return kind ? [{ ...it, kind }] : [];
  });

/** How a kind fares at a place of the ground: the worst of moisture, warmth and depth, through the seasons. */
export function crewFitAt(kind: CrewKind, place: Place): { readonly value: number; readonly by: CrewLimit } {
  if (place.kind !== 'ground') return { value: 0, by: 'room' };
  let worst: { value: number; by: CrewLimit } = { value: 1, by: 'room' };
  const worse = (value: number, by: CrewLimit): void => {
    if (value < worst.value) worst = { value, by };
  };
  worse(Math.min(1, place.depth / kind.depth.value), 'depth');
  for (const air of place.conditions) {
    worse(moistAt(air.wetness ?? 0, kind.wetness.value), 'moisture');
    // It need not breed in every season, but it must not die in any.
    const { low, high } = kind.temperature.value;
    worse(air.cold < low - 4 || air.day > high ? 0 : 1, 'warmth');
    worse(Math.min(1, 0.3 + paceAt((air.day + air.night) / 2, kind.temperature.value)), 'warmth');
  }
  return worst;
}

/** Where on the ground a kind lives: how many of its places, and the best of them. */
export function crewPlaces(
  kind: CrewKind,
  places: readonly Place[],
): { readonly lives: number; readonly of: number; readonly best: Place | undefined; readonly by: CrewLimit } {
  const ground = places.filter((it) => it.kind === 'ground');
  let best: Place | undefined;
  let most = -1;
  let by: CrewLimit = 'room';
  let lives = 0;
  for (const place of ground) {
    const fit = crewFitAt(kind, place);
    if (fit.value >= LIVES) lives += 1;
    if (fit.value > most) {
      most = fit.value;
      best = place;
      by = fit.by;
    }
  }
  return { lives, of: ground.length, best, by };
}
