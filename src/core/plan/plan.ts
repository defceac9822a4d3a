import { grownIn, partOn, restOf, type Span } from '../brief';
import { dayAfter, daysTill } from '../time';
import type { Assessment } from '../assess';
import { type Catalogue } from '../catalogue';
import type { Design, PlanMark } from '../document/schema';
import { quarantineDays } from '../living/moveIn';
import { seededRandom } from '../random';
import {
  meanDays,
  sampleWindow,
  schedule,
  type Schedule,
  type Task,
  type Timed,
  type Window,
} from './network';
import { message, type Message, type Quantity } from '../units';
import type { GateId, Step } from './step';
import { stepsOf, takesOf, workDays } from './steps';

/** How far a step is. One that is left out holds nothing up. */
export const STEP_STATES = ['not begun', 'under way', 'waiting', 'done', 'left out'] as const;
export type StepState = (typeof STEP_STATES)[number];

export interface PlannedStep {
  readonly step: Step;
  readonly timed: Timed;
  /** Day its work begins, and day what follows may begin. */
  readonly from: string;
  readonly to: string;
  /** Days of work, the rest of it is waiting. */
  readonly work: number;
  readonly state: StepState;
  readonly begun: string | null;
  /** Day its work was done, from which it waits; and the day by which its wait is likely over. */
  readonly worked: string | null;
  readonly until: string | null;
  readonly done: string | null;
  /** Why it is left out. */
  readonly skipped: string | null;
  readonly notBefore: string | null;
  readonly note: string;
  /** What was read at its points of measuring. */
  readonly read: PlanMark['read'];
  /** What was read and is not as it must be; empty: nothing. */
  readonly outside: readonly Message[];
  /** All that comes before it is done, and every check before it is passed. */
  readonly open: boolean;
}

export interface Gate {
  readonly id: GateId;
  readonly step: string;
  readonly open: boolean;
  /** Why it is shut; or what was left out of it. */
  readonly because: Message;
}

export interface BuildPlan {
  readonly start: string;
  readonly steps: readonly PlannedStep[];
  readonly schedule: Schedule;
  readonly path: ReadonlySet<string>;
  /** Of moving in: the day before which half of all plans are through, and the window it falls into. */
  readonly moveIn: string;
  readonly window: Window;
  readonly early: string;
  readonly late: string;
  /** The winter rest that moving in would fall into, from the last meal to the first; null: into none. */
  readonly restsThen: Span | null;
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

/** What was read and lies outside what it must lie within. */
export const outsideOf = (step: Step, read: PlanMark['read']): readonly Message[] =>
  step.measures.flatMap(({ what, band }): Message[] => {
    const value = read.find((it) => it.what === what)?.number ?? null;
    if (!band || value === null) return [];
    const quantity = (si: number): Quantity => ({ kind: 'quantity', measure: band.unit, si });
    if (band.low !== null && value < band.low)
      return [message`${what} was ${quantity(value)}, under ${quantity(band.low)}`];
    return band.high !== null && value > band.high
      ? [message`${what} was ${quantity(value)}, over ${quantity(band.high)}`]
      : [];
  });

/** A step with what is written down about it, as it stands on a day. */
interface Stood extends Pick<
  PlannedStep,
  'step' | 'state' | 'begun' | 'worked' | 'done' | 'skipped' | 'outside'
> {
  readonly mark: PlanMark | undefined;
}

function standsOn(design: Design, catalogue: Catalogue, today: string): (step: Step) => Stood {
  const marks = new Map(design.plan.marks.map((it) => [it.step, it]));
  const { quarantine, tested } = design.living.moveIn;
  const animal = grownIn(design, catalogue);
  return (step) => {
    const mark = marks.get(step.id);
    const { begun = null, skipped = null } = mark ?? {};
    // What Living knows of the animal counts here too.
    const worked = (step.id === 'quarantine' ? quarantine : null) ?? mark?.worked ?? null;
    const over = (): string | null => {
      if (step.id === 'tests') return tested;
      if (worked === null) return null;
      if (step.wait === null) return worked;
      if (step.id !== 'quarantine') return null;
      const day = dayAfter(worked, quarantineDays(animal)[0]);
      return day <= today ? day : null;
    };
    const outside = outsideOf(step, mark?.read ?? []);
    // What was read outside its band is to be read again: it is not done, whatever was ticked.
    const done = outside.length > 0 ? null : (mark?.done ?? over());
    const state: StepState =
      done !== null
        ? 'done'
        : skipped !== null
          ? 'left out'
          : worked !== null
            ? 'waiting'
            : begun !== null || typeof mark?.done === 'string'
              ? 'under way'
              : 'not begun';
    return { step, mark, state, begun, worked, done, skipped, outside };
  };
}

/** A step as the network sees it: what is done stands, what is begun goes on from there, the rest lies before it. */
function taskOf(
  { step, state, mark, begun, worked, done }: Stood,
  start: string,
  today: string,
  arrives: string | null,
): Task {
  const day = (of: string): number => daysTill(start, of);
  const now = Math.max(0, day(today));
  const takes = takesOf(step);
  // What is sent comes on its day.
  const fixed = step.id === 'arrives' && arrives !== null ? day(arrives) : null;
  const own = { id: step.id, after: step.after };
  switch (state) {
    case 'done':
      return { ...own, takes, finished: Math.max(0, day(done ?? today)) };
    case 'left out':
      return { ...own, takes: { low: 0, likely: 0, high: 0 } };
    case 'waiting':
    case 'under way': {
      // It went on whatever comes before it; what it should have taken and has not is not over before today.
      const since = Math.min(day(worked ?? begun ?? today), now);
      const left = state === 'waiting' ? (step.wait ?? takes) : takes;
      const upTo = (days: number): number => Math.max(days, now - since);
      return {
        id: step.id,
        after: [],
        notBefore: since,
        takes: { low: upTo(left.low), likely: upTo(left.likely), high: upTo(left.high) },
      };
    }
    case 'not begun': {
      const planned = mark?.notBefore ? day(mark.notBefore) : (fixed ?? 0);
      return { ...own, takes, notBefore: Math.max(planned, now) };
    }
  }
}

/** The plan of a build as it stands today: what is done counts as done, the rest goes on from it. */
export function planOf(
  design: Design,
  assessment: Assessment,
  catalogue: Catalogue,
  today: string,
): BuildPlan {
  const steps = stepsOf(design, assessment, catalogue);
  const stood = steps.map(standsOn(design, catalogue, today));
  // The first step that is ticked fixes the day work began: a plan nobody dated would slide along with today. What is
  // known of the animal may be older than any work.
  const first = stood
    .flatMap(({ mark }) => [mark?.begun, mark?.worked, mark?.done])
    .reduce<string>((least, it) => (it && it < least ? it : least), today);
  const typed = design.plan.start ?? first;
  const start = first < typed ? first : typed;
  const tasks = stood.map((it) => taskOf(it, start, today, design.plan.animal.day));
  // Means of the triangles: with every step at its likeliest a plan ends before nearly all that are drawn.
  const timing = schedule(tasks, ({ takes }) => meanDays(takes));
  const timed = new Map(timing.tasks.map((it) => [it.id, it]));
  const untilMoveIn = tasks.filter((it) => it.id !== 'first-week');
  const window = sampleWindow(untilMoveIn, seededRandom(20_261_125));
  const settled = new Set(
    stood.filter(({ state }) => state === 'done' || state === 'left out').map(({ step }) => step.id),
  );
  const planned = stood.map(({ step, mark, ...own }): PlannedStep => {
    const at = timed.get(step.id) ?? NOWHERE;
    return {
      ...own,
      step,
      timed: at,
      from: dayAfter(start, at.start),
      to: dayAfter(start, at.end),
      work: workDays(step.hands),
      until: own.state === 'waiting' ? dayAfter(start, at.end) : null,
      notBefore: mark?.notBefore ?? null,
      note: mark?.note ?? '',
      read: mark?.read ?? [],
      open: step.after.every((id) => settled.has(id)),
    };
  });
  const home = stood.find(({ step }) => step.id === 'move-in')?.done ?? null;
  const moveIn = home ?? dayAfter(start, window.middle);
  return {
    start,
    steps: planned,
    schedule: timing,
    path: new Set(timing.path),
    moveIn,
    window,
    early: dayAfter(start, window.early),
    late: dayAfter(start, window.late),
    restsThen: home === null ? restAt(design, catalogue, moveIn) : null,
    gates: planned.flatMap((it) => gateOf(it) ?? []),
    hands: steps.reduce((sum, it) => sum + it.hands, 0),
    left: steps.reduce((sum, it) => sum + (settled.has(it.id) ? 0 : it.hands), 0),
  };
}

/** The winter rest of its animal that a day falls into, were it led by then. */
function restAt({ brief, living }: Design, catalogue: Catalogue, day: string): Span | null {
  if (!living.rest) return null;
  const led = {
    brief: { ...brief, stage: 'planned' as const },
    living: { ...living, rest: { ...living.rest, since: null } },
  };
  const rest = restOf(led, grownIn(led, catalogue));
  return rest && partOn(rest.fasts, day);
}

const NOWHERE: Timed = { id: '', start: 0, end: 0, latest: 0, float: 0, free: 0, critical: false };

/** A check before moving in: passed, or why not. One that was left out is not passed. */
function gateOf({ step, state, skipped, outside }: PlannedStep): Gate | null {
  if (!step.gate) return null;
  const own = { id: step.gate, step: step.id };
  if (state === 'done') return { ...own, open: true, because: [] };
  const [first] = outside;
  const because =
    first ?? (skipped === null ? message`${WORDS[step.gate]}` : leftOut(WORDS[step.gate], skipped));
  return { ...own, open: false, because };
}

const leftOut = (what: string, why: string): Message =>
  why === '' ? message`${what}: left out` : message`${what}: left out, ${why}`;
