import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { seededRandom } from '../random';
import { drawDays, inOrder, meanDays, sampleWindow, schedule, varianceDays, type Task } from './network';

const fixed = (days: number) => ({ low: days, likely: days, high: days });
const task = (id: string, days: number, ...after: string[]): Task => ({ id, takes: fixed(days), after });

describe('the critical path', () => {
  // A network as textbooks of operations research set it, worked by hand: A3 → B4, A → C2; B → D5; C → E1; D, E → F2.
  const tasks = [
    task('A', 3),
    task('B', 4, 'A'),
    task('C', 2, 'A'),
    task('D', 5, 'B'),
    task('E', 1, 'C'),
    task('F', 2, 'D', 'E'),
  ];
  it('of a textbook network with known floats (forward and backward pass, Kelley & Walker 1959)', () => {
    const { tasks: timed, length, path } = schedule(tasks);
    expect(length).toBe(14);
    expect(path).toEqual(['A', 'B', 'D', 'F']);
    const of = (id: string) => timed.find((it) => it.id === id)!;
    expect(timed.map((it) => [it.id, it.start, it.end, it.float])).toEqual(
      expect.arrayContaining([
        ['A', 0, 3, 0],
        ['B', 3, 7, 0],
        ['C', 3, 5, 6],
        ['D', 7, 12, 0],
        ['E', 5, 6, 6],
        ['F', 12, 14, 0],
      ]),
    );
    // C may slip without moving the end, not without moving E.
    expect(of('C').free).toBe(0);
    expect(of('E').free).toBe(6);
    expect(of('C').latest).toBe(9);
  });
  it('a step done late moves what follows it; one done early does not move what waits for others', () => {
    const late = schedule(tasks.map((it) => (it.id === 'B' ? { ...it, finished: 10 } : it)));
    expect(late.length).toBe(17);
    const early = schedule(tasks.map((it) => (it.id === 'C' ? { ...it, finished: 4 } : it)));
    expect(early.length).toBe(14);
    expect(schedule(tasks.map((it) => (it.id === 'E' ? { ...it, notBefore: 20 } : it))).length).toBe(23);
  });
  it('steps that wait for each other are refused by name', () => {
    expect(() => inOrder([task('A', 1, 'B'), task('B', 1, 'A')])).toThrow(/A → B → A/);
  });
  it('no step begins before what it waits for; slipping by its float leaves the end, by more moves it', () => {
    const nets = fc
      .array(fc.tuple(fc.integer({ min: 0, max: 12 }), fc.array(fc.nat(30), { maxLength: 3 })), {
        minLength: 2,
        maxLength: 14,
      })
      .map((rows) =>
        rows.map(([days, before], index) =>
          task(`t${index}`, days, ...(index === 0 ? [] : [...new Set(before.map((it) => `t${it % index}`))])),
        ),
      );
    fc.assert(
      fc.property(nets, fc.nat(13), (net, pick) => {
        const plan = schedule(net);
        for (const it of plan.tasks)
          for (const id of net.find((own) => own.id === it.id)!.after)
            expect(it.start).toBeGreaterThanOrEqual(plan.tasks.find((own) => own.id === id)!.end);
        const one = plan.tasks[pick % plan.tasks.length]!;
        const slipped = (by: number) =>
          schedule(net.map((it) => (it.id === one.id ? { ...it, notBefore: one.start + by } : it))).length;
        expect(slipped(one.float)).toBe(plan.length);
        expect(slipped(one.float + 1)).toBe(plan.length + 1);
        expect(plan.path.length).toBeGreaterThan(0);
      }),
    );
  });
});

describe('the window', () => {
  it('of a chain has the sum of the means and of the variances of its triangles', () => {
    const days = [
      { low: 1, likely: 2, high: 6 },
      { low: 14, likely: 28, high: 56 },
      { low: 3, likely: 7, high: 8 },
    ];
    const chain = days.map((takes, i): Task => ({ id: `${i}`, takes, after: i === 0 ? [] : [`${i - 1}`] }));
    const { mean, variance, early, middle, late } = sampleWindow(chain, seededRandom(7), 40_000);
    const analytic = days.reduce((sum, it) => sum + meanDays(it), 0);
    const spread = days.reduce((sum, it) => sum + varianceDays(it), 0);
    // Four standard errors of the mean.
    expect(Math.abs(mean - analytic)).toBeLessThan(4 * Math.sqrt(spread / 40_000));
    expect(variance / spread).toBeGreaterThan(0.96);
    expect(variance / spread).toBeLessThan(1.04);
    expect(early < middle && middle < late).toBe(true);
  });
  it('draws stay within their triangle, likeliest where it peaks, and are the same for the same seed', () => {
    const days = { low: 2, likely: 3, high: 10 };
    fc.assert(
      fc.property(fc.double({ min: 0, max: 1, noNaN: true }), (u) => {
        expect(drawDays(days, u)).toBeGreaterThanOrEqual(2);
        expect(drawDays(days, u)).toBeLessThanOrEqual(10);
      }),
    );
    expect(drawDays(days, 1 / 8)).toBeCloseTo(3, 12);
    expect(drawDays(fixed(4), 0.7)).toBe(4);
    const net = [task('A', 3), { id: 'B', takes: days, after: ['A'] }];
    expect(sampleWindow(net, seededRandom(1))).toEqual(sampleWindow(net, seededRandom(1)));
  });
});
