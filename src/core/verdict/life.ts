import { grownIn } from '../brief';
import { type Catalogue } from '../catalogue';
import type { Design } from '../document/schema';
import type { GroundResult } from '../ground/layers';
import { crewHomeOf, crewCourses, culturesOf, crewOf } from '../living/crew';
import { fitOfPlanted, LIVES, treadOf, type Factor } from '../living/fit';
import { conditionsAt } from '../living/places';
import { placePlants } from '../living/planted';
import { seasonOf, type Survey } from '../living/survey';
import { playToJudge, type YearRun } from './year';

export interface PlantJudged {
  readonly id: string;
  readonly name: string;
  readonly fit: number;
  readonly by: Factor;
  readonly season: string;
}

export interface CrewJudged {
  readonly kind: string;
  readonly name: string;
  /** Cultures as sold that are let in. */
  readonly cultures: number;
  /** Share of draws in which it lasts. */
  readonly lasts: number;
  /** Days after which half of the draws stand by themselves; null: they do not. */
  readonly stands: number | null;
}

/** The box as plants and crew find it, from its own year. */
export const surveyFrom = ({ played }: YearRun): Survey => ({
  guessed: false,
  seasons: [...new Set(played.map((it) => it.season))].flatMap((season) => {
    const own = played.filter((it) => it.season === season);
    const [first] = own;
    return first
      ? [
          seasonOf(
            { season, runs: own.map((it) => it.run), light: first.plan(0).day[0] ?? { from: 0, to: 0 } },
            first.model,
          ),
        ]
      : [];
  }),
});

/** The box as plants and crew find it, in the year its verdict is given by: both then say the same of a plant. */
export const surveyOf = (design: Design, ground: GroundResult, catalogue: Catalogue): Survey =>
  surveyFrom(playToJudge(design, catalogue, ground, grownIn(design, catalogue)));

/** Plants that die or pine where they stand: below `LIVES`; 0 is death. */
export function judgePlants(
  design: Design,
  ground: GroundResult,
  catalogue: Catalogue,
  survey: Survey,
): readonly PlantJudged[] {
  if (design.living.plants.length === 0) return [];
  const read = conditionsAt(design, ground, catalogue, survey);
  const tread = treadOf(grownIn(design, catalogue));
  return placePlants(design, ground, catalogue).flatMap((it): PlantJudged[] => {
    if (!it.plant) return [];
    const { fit } = fitOfPlanted(it, read, tread);
    return fit.value >= LIVES
      ? []
      : [{ id: it.planted.id, name: it.planted.name, fit: fit.value, by: fit.by, season: fit.season }];
  });
}

/** How surely each kind of the crew lasts three years. */
export function judgeCrew(
  design: Design,
  ground: GroundResult,
  catalogue: Catalogue,
  survey: Survey,
): readonly CrewJudged[] {
  const crew = crewOf(design, catalogue);
  if (crew.length === 0) return [];
  const home = crewHomeOf(design, ground, catalogue, survey);
  const courses = crewCourses(crew, home);
  return crew.map(({ kind, count }, i) => ({
    kind: kind.id,
    name: kind.english,
    cultures: culturesOf(kind, count),
    lasts: courses[i]?.lasts ?? 0,
    stands: courses[i]?.stands ?? null,
  }));
}
