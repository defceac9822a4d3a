import { createRequire } from 'node:module';
import type { BoxModel } from '@/core/climate';
import { equationsOf, momentsOf, reader, switchTo, type Timetable, type Weather } from '@/core/climate';

/** Its types come with sources that do not pass our compiler: told here instead. */
interface Solver {
  relativeTolerance: number;
  absoluteTolerance: number[];
  maxSteps: number;
  solve(
    f: (t: number, y: number[]) => number[],
    from: number,
    y: readonly number[],
    to: number,
  ): { readonly y: number[]; readonly outcome: number };
}
const odex = createRequire(import.meta.url)('odex') as { readonly Solver: new (n: number) => Solver };

interface Asked {
  readonly box: BoxModel;
  readonly weather: Weather;
  readonly plan: (day: number) => Timetable;
  readonly days: number;
  /** s between two records. */
  readonly every: number;
  readonly start: Float64Array;
  /** Relative, and of each state what its size calls for. */
  readonly tolerance: number;
}

/**
 * The referee: the same equations by a general integrator (extrapolation of Gragg, Bulirsch & Stoer), begun anew at
 * every switch, hour of weather and record. Used by tests and the benchmark only.
 */
export function odexRun({ box, weather, plan, days, every, start, tolerance }: Asked) {
  const system = equationsOf(box);
  system.setRoom(reader(weather));
  const { size } = system;
  const solver = new odex.Solver(size);
  solver.relativeTolerance = tolerance;
  // Temperatures near 20, humidity near 0.01, water from grams to kilograms.
  solver.absoluteTolerance = Array.from(
    { length: size },
    (_, i) =>
      tolerance *
      (i >= 4 && i < 12 ? 1e-2 : i >= system.counted ? 1 : (system.allowed[i] ?? 0) > 0.05 ? 1 : 1e-2),
  );
  solver.maxSteps = 1e6;
  const dy = new Float64Array(size);
  let evaluations = 0;
  const f = (t: number, y: number[]): number[] => {
    evaluations += 1;
    system.evaluate(t, Float64Array.from(y), dy, null);
    return Array.from(dy);
  };
  let y = Array.from(start);
  const records: { t: number; y: number[] }[] = [{ t: 0, y }];
  for (let day = 0; day < days; day += 1) {
    const table = plan(day);
    const marks = new Set([0, ...momentsOf(table), 86_400]);
    for (let t = 3600; t < 86_400; t += 3600) marks.add(t);
    for (let t = every; t < 86_400; t += every) marks.add(t);
    const moments = [...marks].sort((a, b) => a - b);
    for (let i = 0; i + 1 < moments.length; i += 1) {
      const from = moments[i]!;
      const to = moments[i + 1]!;
      switchTo(system, table, from);
      const solved = solver.solve(f, day * 86_400 + from, y, day * 86_400 + to);
      if (solved.outcome !== 0)
        throw new Error(`the referee gave up at ${from} s: outcome ${solved.outcome}`);
      y = solved.y;
      if (to % every === 0) records.push({ t: day * 86_400 + to, y });
    }
  }
  return { records, evaluations };
}
