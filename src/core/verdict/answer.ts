import type { Season } from '../climate/roomProfile';
import type { UvJudged } from '../fitting/uv';
import { CREW_LASTS } from '../living/crew';
import type { Survey } from '../living/survey';
import type { Bound } from './bound';
import { BEARS, HOLDS, TOLERANCE, type CriterionId } from './criteria';
import type { CrewJudged, PlantJudged } from './life';
import type { Measured } from './year';

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
  /**
   * Of a calibrated box, the ends of what its readings leave open at which it does harm, with what is worst there; null: it
   * is not calibrated.
   */
  readonly ends: readonly EndHarm[] | null;
  /** As plants and crew find the box. */
  readonly survey: Survey;
  /** What else its days bring, by season. */
  readonly days: readonly DayTold[];
  /** How hard each heater works. */
  readonly heaters: readonly HeaterTold[];
}

/** An end of what a calibration leaves open: the box at its warmest and dampest, or its coolest and driest. */
export interface EndHarm {
  readonly end: 'warm' | 'cool';
  /** Places that are not borne there, in the season in which each is worst. */
  readonly places: readonly Place[];
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
  /** What stands in a bottle of its own: kg a day it gives, and days that lasts; null: it does not run. */
  readonly bottles: readonly {
    readonly device: string;
    readonly perDay: number;
    readonly days: number | null;
  }[];
  /** The soil of the warm and the cool half. */
  readonly soil: readonly [SoilTold, SoilTold];
}

/** Soil of one half in a season. */
export interface SoilTold {
  /** kg a day it loses as it stands; less than nothing: it gains. */
  readonly loses: number;
  /** Water at its foot now and as it was filled, m³/m³; 0 where there is none. */
  readonly foot: number;
  readonly filled: number;
  /** What of it nothing draws out, m³/m³. */
  readonly bound: number;
  /** m³ of it. */
  readonly volume: number;
}

/** Days a fogger must run on one filling for its keeper to be let sleep, and to be at work. */
export const LEAST_BOTTLE = 1;
/** Whether everything that stands in a bottle runs on it from one day to the next. */
export const lastsTheDay = ({ days }: Pick<Verdict, 'days'>): boolean =>
  days.every(({ bottles }) => bottles.every((it) => it.days === null || it.days >= LEAST_BOTTLE));

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

/** UV that does harm: too strong, or too weak for kinds that live by sun. */
export const uvHarms = (uv: UvJudged | null): boolean =>
  uv !== null && (uv.answer === 'strong' || (uv.answer === 'weak' && uv.zone >= 3));

/** Plants that die, and crews that do not last. */
export const dying = (plants: readonly PlantJudged[]): readonly PlantJudged[] =>
  plants.filter((it) => it.fit <= 0);
export const failing = (crew: readonly CrewJudged[]): readonly CrewJudged[] =>
  crew.filter((it) => it.lasts < CREW_LASTS.share);

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
