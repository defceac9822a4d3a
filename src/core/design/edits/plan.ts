import type { Design, Plan } from '../schema';
import type { Edit } from './shared';

const inPlan = (design: Design, change: Partial<Plan>): Design => ({
  ...design,
  plan: { ...design.plan, ...change },
});

/** Day work begins; null: today. */
export const setStart: Edit<{ start: string | null }> = (design, { start }) => inPlan(design, { start });

/** What happened at a step, or is planned for it. A mark that says nothing is taken away. */
export const markStep: Edit<{
  step: string;
  change: Partial<Omit<Plan['marks'][number], 'step'>>;
}> = (design, { step, change }) => {
  const { marks } = design.plan;
  const before = marks.find((it) => it.step === step) ?? { step, done: null, notBefore: null, note: '' };
  const mark = { ...before, ...change, note: (change.note ?? before.note).slice(0, 2000) };
  const rest = marks.filter((it) => it.step !== step);
  const empty = mark.done === null && mark.notBefore === null && mark.note === '';
  return inPlan(design, { marks: empty ? rest : [...rest, mark] });
};

/** Forgets what was done and moved; notes stay. */
export const clearMarks: Edit<Record<never, never>> = (design) =>
  inPlan(design, {
    marks: design.plan.marks.flatMap((it) =>
      it.note === '' ? [] : [{ ...it, done: null, notBefore: null }],
    ),
  });
