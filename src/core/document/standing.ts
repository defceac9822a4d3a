import { BARE_PLAN, type Design } from './schema';

/** The design as it stood before its rebuild began; undefined when none is going on. */
export function standingOf(design: Design): Design | undefined {
  const { standing } = design.plan;
  if (!standing) return undefined;
  const { animal, count, enclosure, ground, scape, climate, living } = standing;
  return {
    ...design,
    brief: { ...design.brief, animal, count },
    enclosure,
    ground,
    scape,
    climate,
    living,
    plan: { ...BARE_PLAN, pace: design.plan.pace, animal: design.plan.animal },
  };
}
