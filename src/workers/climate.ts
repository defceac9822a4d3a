import { proxy, wrap, type Remote } from 'comlink';
import type { Catalogue } from '@/core/catalogue';
import {
  candidatesFor,
  choicesOf,
  roundsFor,
  weeksFor,
  type CalibrateAsked,
  type Choice,
  type DrillId,
  type DrillResult,
  type Fit,
  type Forecast,
  type ForecastAsked,
  type Score,
  type Season,
  type SolveAsked,
  type Task,
} from '@/core/climate';
import { findAnimal } from '@/core/catalogue';
import type { Design } from '@/core/design';
import type { Field, FieldName, Plane } from '@/core/light';
import type { ClimateApi } from './climate.worker';

interface Hand {
  readonly worker: Worker;
  readonly api: Remote<ClimateApi>;
}

function open(): Hand {
  const worker = new Worker(new URL('./climate.worker.ts', import.meta.url), { type: 'module' });
  return { worker, api: wrap<ClimateApi>(worker) };
}

/** Said by work that was stopped. */
export class ClimateStopped extends Error {
  constructor() {
    super('stopped');
  }
}

/** Only what a design needs of the catalogue: all animals would be copied for nothing. */
function partFor(design: Design, catalogue: Catalogue): Catalogue {
  const animal = findAnimal(catalogue, design.brief.animal);
  return { ...catalogue, animals: animal ? [animal] : [], recipes: [], sources: [] };
}

export interface Working<T> {
  readonly done: Promise<T>;
  /** Ends it at once: a worker that computes hears nothing. */
  readonly stop: () => void;
}

function run<T>(hands: readonly Hand[], work: (refuse: (reason: Error) => void) => Promise<T>): Working<T> {
  let reject: (reason: Error) => void = () => undefined;
  const stopped = new Promise<never>((_, refuse) => {
    reject = refuse;
  });
  const end = (): void => hands.forEach(({ worker }) => worker.terminate());
  for (const { worker } of hands) {
    worker.addEventListener('error', (event) => {
      end();
      reject(new Error(event.message || 'the worker could not be loaded'));
    });
  }
  return {
    done: Promise.race([work(reject), stopped]).finally(end),
    stop: () => {
      end();
      reject(new ClimateStopped());
    },
  };
}

let kept: Hand | undefined;

/** A forecast. The worker is kept for the next one; a question that is overtaken is left unanswered. */
export function startForecast(design: Design, catalogue: Catalogue, asked: ForecastAsked): Working<Forecast> {
  kept ??= open();
  const hand = kept;
  let reject: (reason: Error) => void = () => undefined;
  const stopped = new Promise<never>((_, refuse) => {
    reject = refuse;
  });
  // The worker outlives many questions: each takes its listener away when it is answered.
  const fails = (event: ErrorEvent): void => {
    if (kept === hand) kept = undefined;
    reject(new Error(event.message || 'the worker could not be loaded'));
  };
  hand.worker.addEventListener('error', fails);
  return {
    done: Promise.race([hand.api.forecast(design, partFor(design, catalogue), asked), stopped]).finally(() =>
      hand.worker.removeEventListener('error', fails),
    ),
    stop: () => {
      // A year takes seconds: what nobody waits for is not worth finishing.
      if (asked.span === 'year') {
        hand.worker.terminate();
        if (kept === hand) kept = undefined;
      }
      reject(new ClimateStopped());
    },
  };
}

/** Light with shadows, from the same worker as forecasts. */
export function lightField(
  design: Design,
  catalogue: Catalogue,
  name: FieldName,
  plane: Plane,
  size: { readonly columns: number; readonly rows: number },
  today: string,
): Promise<Field> {
  kept ??= open();
  return kept.api.light(design, partFor(design, catalogue), name, plane, size, today);
}

export function startDrill(
  id: DrillId,
  design: Design,
  catalogue: Catalogue,
  season: Season,
): Working<DrillResult> {
  const hand = open();
  return run([hand], () => hand.api.drill(id, design, partFor(design, catalogue), season));
}

export function startCalibration(
  asked: CalibrateAsked,
  catalogue: Catalogue,
  onProgress: (share: number) => void,
): Working<Fit> {
  const hand = open();
  return run([hand], () => hand.api.calibrate(asked, partFor(asked.design, catalogue), proxy(onProgress)));
}

export interface SolveProgress {
  /** 0 to 1 */
  readonly share: number;
  readonly round: number;
  readonly rounds: number;
  readonly left: number;
  /** The best so far. */
  readonly best: Score | null;
}

/**
 * Finds schedules with two workers. Tasks are dealt out in order and their scores put back by number, so that the
 * answer does not hang on which worker is quicker.
 */
export function startSchedule(
  asked: SolveAsked,
  catalogue: Catalogue,
  onProgress: (progress: SolveProgress) => void,
): Working<{ readonly choices: readonly Choice[]; readonly seconds: number }> {
  const hands = [open(), open()];
  const began = performance.now();
  const part = partFor(asked.design, catalogue);
  return run(hands, async () => {
    await Promise.all(hands.map(({ api }) => api.ask(asked, part)));
    const weeks = weeksFor(asked.weeks, asked.seed);
    const rounds = roundsFor(asked.candidates, asked.weeks);
    let left = candidatesFor(asked, catalogue).map((candidate, index) => ({ index, candidate }));
    let scores: Score[] = [];
    // Days of weather in all, to tell how far it is.
    const cost = rounds.map(
      ({ weeks: count, days }, i) =>
        (i === 0 ? left.length : (rounds[i - 1]?.keeps ?? 3)) *
        (count * days + (i === 0 ? 1 : i === 1 ? 18 : 0) * Math.min(4, count)),
    );
    const total = cost.reduce((sum, it) => sum + it, 0);
    let done = 0;
    for (const [round, { weeks: count, days, keeps }] of rounds.entries()) {
      const found: (Score & { readonly index: number })[] = [];
      const queue = left.map((it): Task => ({
        ...it,
        weeks: weeks.slice(0, count),
        days,
        quick: round === 0,
      }));
      let next = 0;
      let told = 0;
      const work = async ({ api }: Hand): Promise<void> => {
        while (next < queue.length) {
          const task = queue[next];
          next += 1;
          if (!task) break;
          const score = await api.score(task);
          found.push({ ...score, index: task.index });
          const now = performance.now();
          if (now - told > 120 || found.length === queue.length) {
            told = now;
            const best = found.reduce((a, b) =>
              b.cost < a.cost || (b.cost === a.cost && b.index < a.index) ? b : a,
            );
            onProgress({
              share: Math.min(1, (done + ((cost[round] ?? 0) * found.length) / queue.length) / total),
              round: round + 1,
              rounds: rounds.length,
              left: queue.length - found.length,
              best,
            });
          }
        }
      };
      await Promise.all(hands.map(work));
      done += cost[round] ?? 0;
      found.sort((a, b) => a.cost - b.cost || a.index - b.index);
      scores = found;
      const goOn = found.slice(0, round === rounds.length - 1 ? found.length : keeps);
      left = goOn.map(({ index, candidate }) => ({ index, candidate }));
    }
    return { choices: choicesOf(scores), seconds: (performance.now() - began) / 1000 };
  });
}
