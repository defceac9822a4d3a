import equal from 'fast-deep-equal';
import { UNTOUCHED, type Design, type PlanMark } from '../document/schema';
import { standingOf } from '../document/standing';
import type { Edit } from './shared';

const inPlan = (design: Design, change: Partial<Design['plan']>): Design => ({
  ...design,
  plan: { ...design.plan, ...change },
});

/** How long is waited, and where the animal is. */
export const setPlan: Edit<Partial<Pick<Design['plan'], 'pace' | 'animal'>>> = (design, change) =>
  inPlan(design, change);

/** Day work begins; null: today. */
export const setStart: Edit<{ start: string | null }> = (design, { start }) => inPlan(design, { start });

/**
 * What happened at a step, or is planned for it. A mark that says nothing is taken away. What is done is not left out, and
 * what is left out is not done. Quarantine and tests are written down in Living too: it is the same day.
 */
export const markStep: Edit<MarkChange> = (design, change) => marked(design, change);

interface MarkChange {
  readonly step: string;
  readonly change: Partial<Omit<PlanMark, 'step'>>;
}

function marked(design: Design, { step, change }: MarkChange): Design {
  const { marks } = design.plan;
  const before = marks.find((it) => it.step === step) ?? { step, ...UNTOUCHED };
  const isDone = Boolean(change.begun ?? change.worked ?? change.done);
  const mark: PlanMark = {
    ...before,
    ...(typeof change.skipped === 'string' ? { begun: null, worked: null, done: null } : {}),
    ...(isDone ? { skipped: null } : {}),
    ...change,
    note: (change.note ?? before.note).slice(0, 2000),
    read: (change.read ?? before.read).filter((it) => it.value !== '' || it.number !== null),
  };
  const rest = marks.filter((it) => it.step !== step);
  const isEmpty = equal(mark, { step, ...UNTOUCHED });
  const written = inPlan(design, { marks: isEmpty ? rest : [...rest, mark] });
  const next =
    change.done === undefined ? written : putIn(written, step, { from: before.done, to: mark.done });
  const { moveIn } = design.living;
  const known =
    step === 'quarantine' && change.worked !== undefined
      ? { ...moveIn, quarantine: mark.worked }
      : step === 'tests' && change.done !== undefined
        ? { ...moveIn, tested: mark.done }
        : moveIn;
  return known === moveIn ? next : { ...next, living: { ...next.living, moveIn: known } };
}

/**
 * What a step puts in is in from the day it was done: plants are planted, lamps are lit. What was said of one by itself
 * stays; taken back, it is as it was.
 */
function putIn(
  design: Design,
  step: string,
  { from, to }: { readonly from: string | null; readonly to: string | null },
): Design {
  const { standing } = design.plan;
  // Of a rebuild only what is new goes in.
  const stood = new Set(
    [...(standing?.living.plants ?? []), ...(standing?.climate.devices ?? [])].map((it) => it.id),
  );
  const day = (id: string, own: string | null): string | null =>
    !stood.has(id) && (own === null || own === from) ? to : own;
  if (step === 'plant' || step === 'sow')
    return {
      ...design,
      living: {
        ...design.living,
        plants: design.living.plants.map((it) =>
          it.sown === (step === 'sow') ? { ...it, planted: day(it.id, it.planted) } : it,
        ),
      },
    };
  if (step === 'climate')
    return {
      ...design,
      climate: {
        ...design.climate,
        devices: design.climate.devices.map((it) => ({ ...it, since: day(it.id, it.since) })),
      },
    };
  return design;
}

/**
 * So many animals came in on a day: the enclosure is lived in from then on, and their care begins.
 * @param although why, where a check was still shut; empty: none was
 */
export const moveIn: Edit<{ on: string; count: number; although: string }> = (
  design,
  { on, count, although },
) => {
  const before = design.plan.marks.find((it) => it.step === 'move-in');
  const note = [before?.note, although].filter(Boolean).join(' ');
  const next = marked(design, { step: 'move-in', change: { done: on, note } });
  return { ...next, brief: { ...next.brief, stage: 'inhabited', since: on, count } };
};

/** Forgets what was done and moved; notes stay. */
export const clearMarks: Edit<Record<never, never>> = (design) =>
  inPlan(design, {
    marks: design.plan.marks.flatMap((it) =>
      it.note === '' ? [] : [{ step: it.step, ...UNTOUCHED, note: it.note, read: it.read }],
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
  return inPlan(design, { start: null, marks: [], standing });
};

/** The rebuild was done by a day: what was wanted stands, and what is new of it is in since then. */
export const endRebuild: Edit<{ on: string }> = (design, { on }) => {
  if (!design.plan.standing) return design;
  const filled = ['plant', 'climate'].reduce((it, step) => putIn(it, step, { from: null, to: on }), design);
  return inPlan(filled, { standing: null, marks: [], start: null });
};

/** The rebuild is given up: the box is as it stood. */
export const dropRebuild: Edit<Record<never, never>> = (design) => standingOf(design) ?? design;
