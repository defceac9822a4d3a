import type { Assessment } from '../assess';
import { findAnimal, type Catalogue } from '../catalogue';
import type { Design, PlanMark } from '../document/schema';
import { quarantineDays } from '../living/moveIn';
import { seededRandom } from '../random';
import { sampleWindow, schedule, type Schedule, type Task, type Timed, type Window } from './network';
import type { GateId, Step } from './step';
import { stepsOf, takesOf, workDays } from './steps';
import { DAY_MS } from '../physics/constants';

/** Whole days between two dates, ISO 8601. */
export const daysBetween = (from: string, to: string): number =>
  Math.round((Date.parse(to) - Date.parse(from)) / DAY_MS);

/** The date so many days after another; parts of a day count as the day they fall in. */
export const dayAfter = (from: string, days: number): string =>
  new Date(Date.parse(from) + Math.floor(days + 1e-6) * DAY_MS).toISOString().slice(0, 10);

export interface PlannedStep {
  readonly step: Step;
  readonly timed: Timed;
  /** Day its work begins, and day what follows may begin. */
  readonly from: string;
  readonly to: string;
  /** Days of work, the rest of it is waiting. */
  readonly work: number;
  readonly done: string | null;
  readonly notBefore: string | null;
  readonly note: string;
  /** What was read at its points of measuring. */
  readonly read: PlanMark['read'];
  /** All that comes before it is done. */
  readonly open: boolean;
}

export interface Gate {
  readonly id: GateId;
  readonly step: string;
  readonly open: boolean;
  /** Why it is shut. */
  readonly because: string;
}

export interface BuildPlan {
  readonly start: string;
  readonly steps: readonly PlannedStep[];
  readonly schedule: Schedule;
  readonly path: ReadonlySet<string>;
  /** Of moving in: likely day, and the window it falls into. */
  readonly moveIn: string;
  readonly window: Window;
  readonly early: string;
  readonly late: string;
  readonly gates: readonly Gate[];
  /** Minutes of work in all, and of what is not done. */
  readonly hands: number;
  readonly left: number;
}

const WORDS: Record<GateId, string> = {
  smell: 'it was not yet found to smell of nothing',
  band: 'its climate was not yet measured in band for a week',
  crew: 'the crew was not yet seen with young',
  rooted: 'the plants were not yet found rooted',
  water: 'the water was not yet tested clean',
  locks: 'locks, gaps and gauze were not yet looked over',
  quarantine: 'its quarantine is not over',
  tests: 'its tests are not clear',
};

/** The plan of a build as it stands today: what is done counts as done, the rest goes on from it. */
export function planOf(
  design: Design,
  assessment: Assessment,
  catalogue: Catalogue,
  today: string,
): BuildPlan {
  const steps = stepsOf(design, assessment, catalogue);
  const marks = new Map(design.plan.marks.map((it) => [it.step, it]));
  const { quarantine, tested } = design.living.moveIn;
  const animal = findAnimal(catalogue, design.brief.animal);
  const doneOf = (step: Step): string | null => {
    const mark = marks.get(step.id)?.done ?? null;
    if (mark !== null) return mark;
    // What Living knows of the animal counts here too.
    if (step.id === 'tests') return tested;
    if (step.id === 'quarantine' && quarantine !== null) {
      const over = dayAfter(quarantine, quarantineDays(animal)[0]);
      return over <= today ? over : null;
    }
    return null;
  };
  const done = new Map(steps.map((it) => [it.id, doneOf(it)]));
  // The first step that is ticked fixes the day work began: a plan nobody dated would slide along with today. What is
  // known of the animal may be older than any work.
  const first = steps
    .map((it) => marks.get(it.id)?.done ?? today)
    .reduce((least, it) => (it < least ? it : least), today);
  const typed = design.plan.start ?? first;
  const start = first < typed ? first : typed;
  const now = Math.max(0, daysBetween(start, today));
  const tasks = steps.map((step): Task => {
    const own = done.get(step.id) ?? null;
    const mark = marks.get(step.id);
    const planned = mark?.notBefore ? daysBetween(start, mark.notBefore) : 0;
    const begun = step.id === 'quarantine' && quarantine !== null ? daysBetween(start, quarantine) : null;
    return {
      id: step.id,
      takes: takesOf(step),
      after: step.after,
      ...(own !== null
        ? { finished: Math.max(0, daysBetween(start, own)) }
        : { notBefore: begun ?? Math.max(planned, now) }),
    };
  });
  const timing = schedule(tasks);
  const timed = new Map(timing.tasks.map((it) => [it.id, it]));
  const untilMoveIn = tasks.filter((it) => it.id !== 'first-week');
  const window = sampleWindow(untilMoveIn, seededRandom(20_261_125));
  const isDone = (id: string): boolean => (done.get(id) ?? null) !== null;
  const planned = steps.map((step): PlannedStep => {
    const own = timed.get(step.id) ?? {
      id: step.id,
      start: 0,
      end: 0,
      latest: 0,
      float: 0,
      free: 0,
      critical: false,
    };
    const mark = marks.get(step.id);
    return {
      step,
      timed: own,
      from: dayAfter(start, own.start),
      to: dayAfter(start, own.end),
      work: workDays(step.hands),
      done: done.get(step.id) ?? null,
      notBefore: mark?.notBefore ?? null,
      note: mark?.note ?? '',
      read: mark?.read ?? [],
      open: step.after.every(isDone),
    };
  });
  const home = timed.get('move-in');
  return {
    start,
    steps: planned,
    schedule: timing,
    path: new Set(timing.path),
    moveIn: dayAfter(start, home?.start ?? timing.length),
    window,
    early: dayAfter(start, window.early),
    late: dayAfter(start, window.late),
    gates: steps.flatMap((step): Gate[] =>
      step.gate ? [{ id: step.gate, step: step.id, open: isDone(step.id), because: WORDS[step.gate] }] : [],
    ),
    hands: steps.reduce((sum, it) => sum + it.hands, 0),
    left: steps.reduce((sum, it) => sum + (isDone(it.id) ? 0 : it.hands), 0),
  };
}
