import { grownIn, restOf, restPhase } from '../brief';
import { type Animal, type Catalogue, type Range } from '../catalogue';
import { summarize, bandsOf, type Bands } from '../climate/climateSummary';
import { endsOf } from '../climate/calibrated';
import { ImpossibleClimate } from '../climate/guard';
import { dayOfSeason, type Season } from '../climate/roomProfile';
import { LAND } from '../climate/stores';
import type { Design } from '../document/schema';
import { layGround, type GroundResult } from '../ground/layers';
import { judgeUv } from '../fitting/uv';
import {
  borneIn,
  dying,
  failing,
  harmsIn,
  lastsTheDay,
  ROOMS,
  wantedIn,
  type Answer,
  type DayTold,
  type EndHarm,
  type HeaterTold,
  type Place,
  type SoilTold,
  type Verdict,
} from './answer';
import { dayPlus } from '../time';
import { boundOf } from './bound';
import type { Criterion } from './criteria';
import { judgeCrew, judgePlants, surveyFrom } from './life';
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

/**
 * What is asked in a season in which the animal rests here: it may then be as cold as it rests. Awake on the way there and
 * back it wants what it always wants, so that warmth is no fault either. One that rests elsewhere changes nothing here.
 */
export function asleepIn(
  design: Design,
  animal: Animal,
): (criterion: Criterion, season: Season) => Criterion {
  const rest = restOf(design, animal);
  const cold = rest?.place === 'here' ? rest.temperature?.low : undefined;
  if (cold === undefined) return (it) => it;
  return (criterion, season) => {
    // Any year will do: a rest comes round on the same days.
    const day = dayPlus('2025-01-01', dayOfSeason(season, design.climate.room.latitude) - 1);
    if (criterion.measure !== 'temperature' || restPhase(rest, day)?.phase !== 'rests') return criterion;
    const to = (band: Range): Range => ({ low: Math.min(band.low, cold), high: band.high });
    return { ...criterion, wanted: to(criterion.wanted), borne: to(criterion.borne) };
  };
}

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
  const animal = grownIn(design, catalogue);
  if (!animal) return null;
  const ground = laid ?? layGround(design, catalogue);
  const year = playing
    ? playYear(design, catalogue, ground, playing)
    : playToJudge(design, catalogue, ground, animal);
  const asked = asleepIn(design, animal);
  const places = measure(year, animal, criteriaIn(animal, year), 0, 0, asked).map(placed);
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
  const ends = endsHarm(design, catalogue, ground, animal);
  const settled = ends === null || ends.length === 0;
  const days = daysOf(year, design, bandsOf(animal));
  const kept = settled && lastsTheDay({ days });
  const answer: Answer = bound ? 'cannot' : harms ? 'fails' : wanted && kept ? 'holds' : 'holds-but';
  const sure = alone ? { fine: 0, of: 0 } : roomsCounted({ design, catalogue, ground, harms });
  return {
    answer,
    places,
    uv,
    plants,
    crew,
    bound,
    sure,
    ends,
    survey,
    days,
    heaters: heatersOf(year),
  };
}

/** What harm it does at the ends of what its calibration leaves open, each by a first look in the room as told. */
function endsHarm(
  design: Design,
  catalogue: Catalogue,
  ground: GroundResult,
  animal: Animal,
): Verdict['ends'] {
  const { calibration } = design.climate;
  const ends = endsOf(design);
  if (!ends || !calibration) return null;
  const asked = asleepIn(design, animal);
  return ends.flatMap((factors, i): EndHarm[] => {
    const climate = { ...design.climate, calibration: { ...calibration, ...factors } };
    try {
      const year = playYear({ ...design, climate }, catalogue, ground, GLANCE);
      const places = measure(year, animal, criteriaIn(animal, year), 0, 0, asked)
        .map(placed)
        .filter((it) => !borneIn(it));
      return places.length > 0 ? [{ end: i === 0 ? 'warm' : 'cool', places }] : [];
    } catch (error) {
      // What no enclosure comes to is not how this one is.
      if (error instanceof ImpossibleClimate) return [];
      throw error;
    }
  });
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
    const soilOf = (column: 0 | 1): SoilTold => {
      const { area, soil, start } = model.box.columns[column];
      const land = area > LAND;
      return {
        loses: told.soilLoses[column],
        foot: told.soil[column]?.bottom ?? 0,
        filled: land ? start[3] : 0,
        bound: land ? soil[3].residual : 0,
        volume: land ? area * soil.reduce((sum, it) => sum + it.thickness, 0) : 0,
      };
    };
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
      bottles: told.ownBottles.map(({ device, perDay, days }) => ({ device, perDay, days })),
      soil: [soilOf(0), soilOf(1)] as const,
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
  const animal = grownIn(design, catalogue);
  if (!animal) return { fine: 0, of: 0 };
  const { rest } = playYear(design, catalogue, ground, GLANCE);
  const asked = asleepIn(design, animal);
  const fine = ROOMS.filter((shift, index) => {
    if (index === 0) return !harms;
    const year = playYear(design, catalogue, ground, { ...GLANCE, shift }, rest);
    return measure(year, animal, criteriaIn(animal, year), 0, 0, asked).map(placed).every(borneIn);
  });
  return { fine: fine.length, of: ROOMS.length };
}
