import type { Design, PlanMark } from '../document/schema';
import { standingOf } from '../document/standing';
import type { Edit } from './shared';

const inPlan = (design: Design, change: Partial<Design['plan']>): Design => ({
  ...design,
  plan: { ...design.plan, ...change },
});

/** Day work begins; null: today. */
export const setStart: Edit<{ start: string | null }> = (design, { start }) => inPlan(design, { start });

/** What happened at a step, or is planned for it. A mark that says nothing is taken away. */
export const markStep: Edit<{
  step: string;
  change: Partial<Omit<PlanMark, 'step'>>;
}> = (design, { step, change }) => {
  const { marks } = design.plan;
  const before = marks.find((it) => it.step === step) ?? {
    step,
    done: null,
    notBefore: null,
    note: '',
    read: [],
  };
  const mark = {
    ...before,
    ...change,
    note: (change.note ?? before.note).slice(0, 2000),
    read: (change.read ?? before.read).filter((it) => it.value !== ''),
  };
  const rest = marks.filter((it) => it.step !== step);
  const empty = mark.done === null && mark.notBefore === null && mark.note === '' && mark.read.length === 0;
  return inPlan(design, { marks: empty ? rest : [...rest, mark] });
};

/** Forgets what was done and moved; notes stay. */
export const clearMarks: Edit<Record<never, never>> = (design) =>
  inPlan(design, {
    marks: design.plan.marks.flatMap((it) =>
      it.note === '' ? [] : [{ ...it, done: null, notBefore: null }],
    ),
  });

/** Keeps what stands, so that what is changed from now on is a rebuild of it. The plan begins anew. */
export const beginRebuild: Edit<{ since: string }> = (design, { since }) => {
  if (design.plan.standing) return design;
  const { brief, enclosure, ground, scape, climate, living } = design;
  const standing = {
    since,
    animal: brief.animal,
    count: brief.count,
    enclosure,
    ground,
    scape,
    climate,
    living,
  };
  return { ...design, plan: { start: null, marks: [], standing } };
};

/** The rebuild is done: what was wanted stands. */
export const endRebuild: Edit<Record<never, never>> = (design) =>
  design.plan.standing ? inPlan(design, { standing: null, marks: [], start: null }) : design;

/** The rebuild is given up: the box is as it stood. */
export const dropRebuild: Edit<Record<never, never>> = (design) => standingOf(design) ?? design;
