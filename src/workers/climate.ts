import { grownIn } from '@/core/brief';
import { proxy, wrap, type Remote } from 'comlink';
import type { Week } from '@/core/ahead';
import type { Catalogue } from '@/core/catalogue';
import { type Forecast, type ForecastRequest, type Season } from '@/core/climate';
import type { CalibrationInput, Fit } from '@/core/calibration';
import type { PlaceDay, Yardstick } from '@/core/diagnosis';
import type { MeasuringPlace, Series, Track } from '@/core/readings';
import { type RoomKeeps, type WhatIfId, type WhatIfResult } from '@/core/whatIf';
import type { Design } from '@/core/document';
import type { Field, FieldName, Plane } from '@/core/light';
import type { ClimateApi } from './climate.worker';

interface Helper {
  readonly worker: Worker;
  readonly api: Remote<ClimateApi>;
}

function open(): Helper {
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
  const animal = grownIn(design, catalogue);
  return { ...catalogue, animals: animal ? [animal] : [], recipes: [] };
}

export interface Working<T> {
  readonly done: Promise<T>;
  /** Ends it at once: a worker that computes hears nothing. */
  readonly stop: () => void;
}

function run<T>(hands: readonly Helper[], work: (refuse: (reason: Error) => void) => Promise<T>): Working<T> {
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

let kept: Helper | undefined;

/** A forecast. The worker is kept for the next one; a question that is overtaken is left unanswered. */
export function startForecast(
  design: Design,
  catalogue: Catalogue,
  asked: ForecastRequest,
): Working<Forecast> {
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

export function startWhatIf(
  ids: readonly WhatIfId[],
  design: Design,
  catalogue: Catalogue,
  season: Season,
  room: RoomKeeps,
): Working<WhatIfResult> {
  const hand = open();
  return run([hand], () => hand.api.drill(ids, design, partFor(design, catalogue), season, room));
}

/** What faults are played for: the day of the year, the places that are read, and what they read while nothing was wrong. */
export interface PlayedFaults {
  readonly dayOfYear: number;
  readonly places: readonly MeasuringPlace[];
  readonly usual: ReadonlyMap<MeasuringPlace, PlaceDay>;
}

/** A design played through with every fault it can have. */
export function startYardstick(
  design: Design,
  catalogue: Catalogue,
  asked: PlayedFaults,
): Working<Yardstick> {
  const hand = open();
  return run([hand], () => hand.api.faults(design, partFor(design, catalogue), asked));
}

export function startCalibration(
  asked: CalibrationInput,
  catalogue: Catalogue,
  onProgress: (share: number) => void,
): Working<Fit> {
  const hand = open();
  return run([hand], () => hand.api.calibrate(asked, partFor(asked.design, catalogue), proxy(onProgress)));
}

/** The next seven days of an enclosure, by what its points have read until now. */
export function startWeek(
  design: Design,
  catalogue: Catalogue,
  points: readonly { readonly series: Series; readonly track: Track }[],
  filled: number | null,
  now: number,
): Working<Week | null> {
  const hand = open();
  return run([hand], () => hand.api.week(design, partFor(design, catalogue), points, filled, now));
}
