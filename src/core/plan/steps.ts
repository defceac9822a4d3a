import type { Assessment } from '../assess';
import type { Catalogue } from '../catalogue';
import type { Design } from '../document/schema';
import { materialsIn } from '../document/schema';
import { boxSteps } from './boxSteps';
import { groundSteps } from './groundSteps';
import { livingSteps } from './livingSteps';
import type { Days } from './network';
import { rebuildOf } from './rebuild';
import { rebuildSteps } from './rebuildSteps';
import { settlingSteps } from './settlingSteps';
import type { Step } from './step';
import { workOn } from './work';

const MINUTE = 1 / (24 * 60);

/** Every id a design holds that some step must put in. */
export function heldBy(design: Design): ReadonlySet<string> {
  const layers = [...design.ground.layers, ...design.ground.regions.flatMap((it) => it.layers)];
  return new Set([
    ...layers.flatMap(materialsIn),
    ...design.scape.pieces.map((it) => it.id),
    ...design.scape.backgrounds.map((it) => it.id),
    ...design.climate.devices.map((it) => it.id),
    ...design.living.plants.map((it) => it.id),
    ...design.living.crew.map((it) => it.kind),
  ]);
}

/**
 * The whole build from a design, in the order of work: each step with what goes in, how long it takes by hand, what is
 * waited for, and what comes before it; of a rebuild, only what is changed. Times of work are common practice; waits those of what was chosen.
 */
export function stepsOf(design: Design, assessment: Assessment, catalogue: Catalogue): readonly Step[] {
  const work = workOn(design, assessment, catalogue);
  const smell = boxSteps(work);
  const filled = livingSteps(work, groundSteps(work, smell));
  settlingSteps(work, smell, filled);
  const rebuild = rebuildOf(design, assessment, catalogue);
  return rebuild ? rebuildSteps(work.steps, rebuild, design, assessment, catalogue) : work.steps;
}

/** Days of work: four hours are a day at the bench, shared out. */
export const workDays = (minutes: number): number => Math.max(minutes * MINUTE, minutes / 240);

/** What a step takes from its start to the start of what follows. */
export function takesOf({ hands, wait }: Step): Days {
  const work = workDays(hands);
  return {
    low: work + (wait?.low ?? 0),
    likely: work + (wait?.likely ?? 0),
    high: work * 1.5 + (wait?.high ?? 0),
  };
}
