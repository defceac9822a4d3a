import { grownIn } from '../brief';
import { type Catalogue } from '../catalogue';
import { ImpossibleClimate } from '../climate/guard';
import type { Design } from '../document/schema';
import { layGround } from '../ground/layers';
import { lackingIn } from './cost';
import { judgeUv, type UvJudged } from '../fitting/uv';
import { type Verdict } from '../verdict/answer';
import { asleepIn, heatersOf, judgeDesign } from '../verdict/verdict';
import { criteriaIn, measure, playYear, type Measured, type Playing, type YearRun } from '../verdict/year';
import { DAY } from '../physics/constants';

/** What a search asks to be played: a first look at a change, or a whole judgement. Plain data: any worker may do it. */
export type Task =
  | {
      readonly ask: 'look';
      readonly design: Design;
      readonly playing: Playing;
      /** Share of the tolerance that is not granted. */
      readonly strict: number;
      readonly near: YearRun['rest'];
      /** What may be lacking at the most: where the first season alone lacks as much, no other is looked at. */
      readonly enough?: number;
    }
  | {
      readonly ask: 'judge';
      readonly design: Design;
      /** Other weathers than those of a verdict. */
      readonly playing?: Playing;
      /** It may turn out not to be wanted: only for a worker that would stand idle. */
      readonly spare?: true;
    };

/** Share of the tolerance that is not granted to what is borne: weather leads further out than a mean day. */
const SAFE = 1.6;

/** What a first look saw. */
export interface Seen {
  /** Not all seasons were looked at: at the least as much is lacking as is told. */
  readonly cut: boolean;
  readonly measured: readonly Measured[];
  readonly uv: UvJudged['answer'] | null;
  readonly rest: YearRun['rest'];
  /** W that each heater needs at most, but for the hardest hours. */
  readonly peaks: Readonly<Record<string, number>>;
  /** W all devices take from the mains in the mean of the seasons seen, and kg of water a day. */
  readonly watts: number;
  readonly water: number;
}

export type Result =
  | { readonly of: 'look'; readonly seen: Seen | null }
  | { readonly of: 'judge'; readonly verdict: Verdict | null }
  /** A spare task that no worker had time for. */
  | { readonly of: 'undone' };

/** Does one task. A climate that cannot be is nothing that could be proposed: null. */
export function perform(task: Task, catalogue: Catalogue): Result {
  try {
    if (task.ask === 'judge')
      return {
        of: 'judge',
        verdict: judgeDesign({
          design: task.design,
          catalogue,
          alone: true,
          ...(task.playing ? { playing: task.playing } : {}),
        }),
      };
    return { of: 'look', seen: look(task, catalogue) };
  } catch (error) {
    if (!(error instanceof ImpossibleClimate)) throw error;
    return task.ask === 'judge' ? { of: 'judge', verdict: null } : { of: 'look', seen: null };
  }
}

function look(
  { design, playing, strict, near, enough = Infinity }: Extract<Task, { ask: 'look' }>,
  catalogue: Catalogue,
): Seen | null {
  const animal = grownIn(design, catalogue);
  if (!animal) return null;
  const ground = layGround(design, catalogue);
  const asked = asleepIn(design, animal);
  const measuredIn = (soFar: YearRun) =>
    measure(soFar, animal, criteriaIn(animal, soFar), strict, SAFE, asked);
  const year = playYear(
    design,
    catalogue,
    ground,
    playing,
    near,
    (soFar) => lackingIn(measuredIn(soFar)) >= enough,
  );
  let [used, water, days] = [0, 0, 0];
  for (const { run } of year.played) {
    used += run.used.reduce((sum, it) => sum + it, 0);
    water += run.drawn.reduce((sum, it) => sum + it, 0);
    days += run.days;
  }
  return {
    cut: playing.seasons.some((it) => year.rest[it] === undefined),
    measured: measuredIn(year),
    uv: judgeUv(design, animal, ground, catalogue)?.answer ?? null,
    rest: year.rest,
    peaks: Object.fromEntries(heatersOf(year).map((it) => [it.device, it.needs])),
    watts: used / Math.max(1, days) / DAY,
    water: water / Math.max(1, days),
  };
}

/** Seen of nothing: no animal, or a climate that cannot be. */
export const NOTHING: Seen = { cut: false, measured: [], uv: null, rest: {}, peaks: {}, watts: 0, water: 0 };
