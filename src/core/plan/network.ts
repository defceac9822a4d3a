/** Days of something, least, likely and most. */
export interface Days {
  readonly low: number;
  readonly likely: number;
  readonly high: number;
}

/** A step of a plan as the network sees it. */
export interface Task {
  readonly id: string;
  /** Days from its start until what follows may begin: the work and the wait after it. */
  readonly takes: Days;
  readonly after: readonly string[];
  /** Not begun before this day; days from the start of the plan. */
  readonly notBefore?: number;
  /** Day it was really finished, its wait included. */
  readonly finished?: number;
}

export interface Timed {
  readonly id: string;
  readonly start: number;
  readonly end: number;
  /** Latest it may begin, and days it may slip without moving the end (total float). */
  readonly latest: number;
  readonly float: number;
  /** Days it may slip without moving anything after it (free float). */
  readonly free: number;
  readonly critical: boolean;
}

export interface Schedule {
  readonly tasks: readonly Timed[];
  /** Days from the start to the end of the last. */
  readonly length: number;
  /** A chain of steps without float, first to last. */
  readonly path: readonly string[];
}

/**
 * Steps in an order in which each comes after what it waits for. Throws on a ring, naming what stands in it: a plan that
 * waits for itself is a broken build.
 */
export function inOrder(tasks: readonly Task[]): readonly Task[] {
  const byId = new Map(tasks.map((it) => [it.id, it]));
  const state = new Map<string, 'open' | 'done'>();
  const order: Task[] = [];
  const visit = (task: Task, from: readonly string[]): void => {
    const known = state.get(task.id);
    if (known === 'done') return;
    if (known === 'open') throw new Error(`steps wait for each other: ${[...from, task.id].join(' → ')}`);
    state.set(task.id, 'open');
    for (const id of task.after) {
      const before = byId.get(id);
      if (before) visit(before, [...from, task.id]);
    }
    state.set(task.id, 'done');
    order.push(task);
  };
  for (const task of tasks) visit(task, []);
  return order;
}

const EPS = 1e-9;

/** Forward and backward pass (Kelley & Walker 1959): earliest and latest start of every step, floats, a critical path. */
export function schedule(
  tasks: readonly Task[],
  takes: (task: Task) => number = ({ takes: it }) => it.likely,
): Schedule {
  const order = inOrder(tasks);
  const byId = new Map(order.map((it) => [it.id, it]));
  const start = new Map<string, number>();
  const end = new Map<string, number>();
  for (const task of order) {
    const after = task.after.reduce((most, id) => Math.max(most, end.get(id) ?? 0), 0);
    const begin = Math.max(after, task.notBefore ?? 0);
    // What is done is done: its day stands, whatever was planned.
    const finish = task.finished ?? begin + takes(task);
    start.set(task.id, Math.min(begin, finish));
    end.set(task.id, finish);
  }
  const length = Math.max(0, ...end.values());
  const followers = new Map<string, string[]>();
  for (const task of order)
    for (const id of task.after) if (byId.has(id)) followers.set(id, [...(followers.get(id) ?? []), task.id]);
  const latestEnd = new Map<string, number>();
  for (const task of [...order].reverse()) {
    const next = followers.get(task.id) ?? [];
    latestEnd.set(
      task.id,
      next.reduce((least, id) => {
        const own = byId.get(id);
        const long = own ? (end.get(id) ?? 0) - (start.get(id) ?? 0) : 0;
        return Math.min(least, (latestEnd.get(id) ?? length) - long);
      }, length),
    );
  }
  const timed = order.map((task): Timed => {
    const s = start.get(task.id) ?? 0;
    const e = end.get(task.id) ?? 0;
    const float = Math.max(0, (latestEnd.get(task.id) ?? length) - e);
    const next = followers.get(task.id) ?? [];
    const free = next.length === 0 ? length - e : Math.min(...next.map((id) => start.get(id) ?? length)) - e;
    return {
      id: task.id,
      start: s,
      end: e,
      latest: s + float,
      float,
      free: Math.max(0, free),
      critical: float < EPS,
    };
  });
  return { tasks: timed, length, path: pathOf(timed, byId) };
}

/** From the last critical step back to the first. */
function pathOf(timed: readonly Timed[], byId: ReadonlyMap<string, Task>): readonly string[] {
  const at = new Map(timed.map((it) => [it.id, it]));
  const path: string[] = [];
  let now: Timed | undefined = [...timed].filter((it) => it.critical).sort((a, b) => b.end - a.end)[0];
  while (now) {
    path.unshift(now.id);
    const { start } = now;
    const before: readonly Timed[] = (byId.get(now.id)?.after ?? []).flatMap((id) => at.get(id) ?? []);
    now = before
      .filter((it) => it.critical && Math.abs(it.end - start) < 1e-6)
      .sort((a, b) => b.end - a.end)[0];
  }
  return path;
}

/** Mean and variance of a triangular duration. */
export const meanDays = ({ low, likely, high }: Days): number => (low + likely + high) / 3;
export const varianceDays = ({ low: a, likely: c, high: b }: Days): number =>
  (a * a + b * b + c * c - a * b - a * c - b * c) / 18;

/** A duration drawn from its triangle, by the inverse of its distribution; u between 0 and 1. */
export function drawDays({ low, likely, high }: Days, u: number): number {
  if (high <= low) return low;
  const turn = (likely - low) / (high - low);
  return u < turn
    ? low + Math.sqrt(u * (high - low) * (likely - low))
    : high - Math.sqrt((1 - u) * (high - low) * (high - likely));
}

export interface Window {
  /** Days from the start by which one in ten, half and nine in ten plans are through. */
  readonly early: number;
  readonly middle: number;
  readonly late: number;
  readonly mean: number;
  readonly variance: number;
}

/** The end of the plan as a window, not a promise: many plans with durations drawn; `random` gives numbers from 0 to 1. */
export function sampleWindow(tasks: readonly Task[], random: () => number, count = 400): Window {
  const order = inOrder(tasks);
  const ends: number[] = [];
  for (let i = 0; i < count; i += 1) {
    const end = new Map<string, number>();
    let last = 0;
    for (const task of order) {
      const after = task.after.reduce((most, id) => Math.max(most, end.get(id) ?? 0), 0);
      const drawn = drawDays(task.takes, random());
      const finish = task.finished ?? Math.max(after, task.notBefore ?? 0) + drawn;
      end.set(task.id, finish);
      last = Math.max(last, finish);
    }
    ends.push(last);
  }
  ends.sort((a, b) => a - b);
  const at = (part: number): number => ends[Math.min(count - 1, Math.floor(part * count))] ?? 0;
  const mean = ends.reduce((sum, it) => sum + it, 0) / Math.max(1, count);
  return {
    early: at(0.1),
    middle: at(0.5),
    late: at(0.9),
    mean,
    variance: ends.reduce((sum, it) => sum + (it - mean) ** 2, 0) / Math.max(1, count - 1),
  };
}
