import { findAnimal, type Catalogue } from '../catalogue';
import { summarize, bandsOf, type Bands } from '../climate/climateSummary';
import type { Season } from '../climate/roomProfile';
import type { Design } from '../document/schema';
import { layGround, type GroundResult } from '../ground/layers';
import { CREW_LASTS } from '../living/crew';
import type { Survey } from '../living/survey';
import { boundOf, type Bound } from './bound';
import { BEARS, HOLDS, TOLERANCE, type CriterionId } from './criteria';
import { judgeCrew, judgePlants, surveyFrom, type CrewJudged, type PlantJudged } from './life';
import { judgeUv, type UvJudged } from '../fitting/uv';
import {
  criteriaIn,
  GLANCE,
  measure,
  playToJudge,
  playYear,
  type Measured,
  type Playing,
  type YearRun,
} from './year';

/** Raised whenever the same design may be judged otherwise: what was kept of older ones is forgotten. */
export const ENGINE_VERSION = 24;

/** What is said of a design once its year was played. */
export type Answer = 'holds' | 'holds-but' | 'fails' | 'cannot';

/** One place in one season, without what a reader can work out from the animal. */
export interface Place extends Omit<Measured, 'criterion'> {
  readonly criterion: CriterionId;
  readonly measure: 'temperature' | 'humidity';
  readonly wanted: { readonly low: number; readonly high: number };
  readonly bears: { readonly low: number; readonly high: number };
}

export interface Verdict {
  readonly answer: Answer;
  /** Every place in every season. */
  readonly places: readonly Place[];
  readonly uv: UvJudged | null;
  /** Plants that die or pine, and how surely each crew lasts. */
  readonly plants: readonly PlantJudged[];
  readonly crew: readonly CrewJudged[];
  /** The room is beyond what the kind bears. */
  readonly bound: Bound | null;
  /** Of the rooms as told, and 3 K and 15 points either way: in how many it does no harm. */
  readonly sure: { readonly fine: number; readonly of: number };
  /** As plants and crew find the box. */
  readonly survey: Survey;
  /** What else its days bring, by season. */
  readonly days: readonly DayTold[];
  /** How hard each heater works. */
  readonly heaters: readonly HeaterTold[];
}

export interface DayTold {
  readonly season: Season;
  /** Share of hours with a dish or drops to drink from. */
  readonly dish: number;
  readonly drops: number;
  /** h a day of fogged glass, h of a night with wet leaves. */
  readonly fogged: number;
  readonly wetByNight: number;
  /** Days until the drainage is full; null: never. kg a day it gains. */
  readonly bedDays: number | null;
  readonly bedGain: number;
  /** kg of water and J a day. */
  readonly water: number;
  readonly energy: number;
}

export interface HeaterTold {
  readonly device: string;
  /** W it can give, and gives but for the hardest hours. */
  readonly full: number;
  readonly needs: number;
}

/** Rooms a verdict is tried in: as told, and so much either way. */
export const ROOMS = [
  { temperature: 0, humidity: 0 },
  { temperature: 3, humidity: 0 },
  { temperature: -3, humidity: 0 },
  { temperature: 0, humidity: 0.15 },
  { temperature: 0, humidity: -0.15 },
] as const;

export const wantedIn = (it: Pick<Place, 'inside'>): boolean => it.inside >= HOLDS;
/** Borne: for nearly all hours, and never far beyond for long: five degree-hours a day, 25 point-hours. */
export const borneIn = (it: Pick<Place, 'borne' | 'harm' | 'measure'>): boolean =>
  it.borne >= BEARS && it.harm <= 5 * TOLERANCE[it.measure];

const placed = (it: Measured): Place => {
  const { criterion, ...rest } = it;
  return {
    ...rest,
    criterion: criterion.id,
    measure: criterion.measure,
    wanted: criterion.wanted,
    bears: criterion.borne,
  };
};

/** UV that does harm: too strong, or too weak for kinds that live by sun. */
export const uvHarms = (uv: UvJudged | null): boolean =>
  uv !== null && (uv.answer === 'strong' || (uv.answer === 'weak' && uv.zone >= 3));

/** Plants that die, and crews that do not last. */
export const dying = (plants: readonly PlantJudged[]): readonly PlantJudged[] =>
  plants.filter((it) => it.fit <= 0);
export const failing = (crew: readonly CrewJudged[]): readonly CrewJudged[] =>
  crew.filter((it) => it.lasts < CREW_LASTS.share);

export interface JudgeInput {
  readonly design: Design;
  readonly catalogue: Catalogue;
  readonly ground?: GroundResult;
  /** Otherwise than a verdict is given by. */
  readonly playing?: Playing;
  /** Other rooms are left out: the count then says 0 of 0. */
  readonly alone?: boolean;
}

/**
 * Judges a design with its year: every place of its animal in four seasons, each of three weathers or five (`playToJudge`);
 * UV, plants and crew.
 * Pure, and the same for the same design; about a second.
 * @returns null while no animal is chosen: there is nothing to judge it by
 * @throws ImpossibleClimate where the engine is at fault
 */
export function judgeDesign({ design, catalogue, ground: laid, playing, alone }: JudgeInput): Verdict | null {
  const animal = findAnimal(catalogue, design.brief.animal);
  if (!animal) return null;
  const ground = laid ?? layGround(design, catalogue);
  const year = playing
    ? playYear(design, catalogue, ground, playing)
    : playToJudge(design, catalogue, ground, animal);
  const places = measure(year, animal, criteriaIn(animal, year)).map(placed);
  const uv = judgeUv(design, animal, ground, catalogue);
  const survey = surveyFrom(year);
  const plants = judgePlants(design, ground, catalogue, survey);
  const crew = judgeCrew(design, ground, catalogue, survey);
  const harms = harmsIn({ places, uv });
  const bound = harms ? boundOf(design, animal, catalogue) : null;
  const wanted =
    places.every(wantedIn) &&
    (uv === null || uv.answer === 'inside') &&
    dying(plants).length === 0 &&
    failing(crew).length === 0;
  const answer: Answer = bound ? 'cannot' : harms ? 'fails' : wanted ? 'holds' : 'holds-but';
  const sure = alone ? { fine: 0, of: 0 } : roomsCounted({ design, catalogue, ground, harms });
  return {
    answer,
    places,
    uv,
    plants,
    crew,
    bound,
    sure,
    survey,
    days: daysOf(year, design, bandsOf(animal)),
    heaters: heatersOf(year),
  };
}

function daysOf({ played }: YearRun, design: Design, bands: Bands): readonly DayTold[] {
  const { bottle } = design.climate.mist;
  return [...new Map(played.map((it) => [it.season, it])).values()].map(({ season, run, plan, model }) => {
    const told = summarize({
      run,
      box: model.box,
      bands,
      plan,
      bottle: bottle === null ? null : bottle * 1000,
      bedFull: model.bedFull,
    });
    return {
      season,
      dish: told.drinkDish,
      drops: told.drinkDrops,
      fogged: told.foggedPerDay,
      wetByNight: told.wetByNight,
      bedDays: told.bedDays,
      bedGain: told.bedGain,
      water: told.waterPerDay,
      energy: told.energyPerDay,
    };
  });
}

/** Share of the hours over which a heater may need more than is told of it. */
const HARDEST = 0.05;

export function heatersOf({ played }: Pick<YearRun, 'played'>): readonly HeaterTold[] {
  const needs = new Map<string, { full: number; needs: number }>();
  for (const { run, model } of played)
    model.heaterDevices.forEach(({ id, power, dim }, index) => {
      const all = Float32Array.from(run.powers[index] ?? []).sort();
      const hardest = all[Math.floor((1 - HARDEST) * (all.length - 1))] ?? 0;
      const known = needs.get(id) ?? { full: 0, needs: 0 };
      needs.set(id, {
        full: Math.max(known.full, power * dim),
        needs: Math.max(known.needs, hardest),
      });
    });
  return [...needs].map(([device, it]) => ({ device, ...it }));
}

/**
 * How sure a verdict is: in how many rooms the box does no harm, each by a first look: as told, 3 K and 15 points off.
 * It takes as long as the verdict nearly, so that it may be counted after it.
 * @param harms whether it does harm in the room as told
 */
export function roomsCounted({
  design,
  catalogue,
  ground = layGround(design, catalogue),
  harms,
}: {
  readonly design: Design;
  readonly catalogue: Catalogue;
  readonly ground?: GroundResult;
  readonly harms: boolean;
}): Verdict['sure'] {
  const animal = findAnimal(catalogue, design.brief.animal);
  if (!animal) return { fine: 0, of: 0 };
  const { rest } = playYear(design, catalogue, ground, GLANCE);
  const fine = ROOMS.filter((shift, index) => {
    if (index === 0) return !harms;
    const year = playYear(design, catalogue, ground, { ...GLANCE, shift }, rest);
    return measure(year, animal, criteriaIn(animal, year)).map(placed).every(borneIn);
  });
  return { fine: fine.length, of: ROOMS.length };
}

/** Whether a verdict tells of harm. */
export const harmsIn = ({ places, uv }: Pick<Verdict, 'places' | 'uv'>): boolean =>
  places.some((it) => !borneIn(it)) || uvHarms(uv);

/** The place that is furthest from what is wanted; undefined where all hold. */
export function worstPlace({ places }: Pick<Verdict, 'places'>): Place | undefined {
  return [...places]
    .filter((it) => !wantedIn(it))
    .sort(
      (a, b) =>
        Number(borneIn(a)) - Number(borneIn(b)) ||
        b.harm / TOLERANCE[b.measure] - a.harm / TOLERANCE[a.measure] ||
        b.weight / TOLERANCE[b.measure] - a.weight / TOLERANCE[a.measure] ||
        SEASON_ORDER.indexOf(a.season) - SEASON_ORDER.indexOf(b.season),
    )[0];
}
const SEASON_ORDER: readonly Season[] = ['winter', 'summer', 'spring', 'autumn'];
