import { inverse, Matrix, solve } from 'ml-matrix';
import { ImpossibleClimate } from '../climate';

/** Where least squares came to. */
export interface Least<T> {
  readonly point: readonly number[];
  /** What was made there. */
  readonly made: T;
  /** Change of each residual by each unknown, and what the unknowns are known to, at that point. */
  readonly slopes: Matrix;
  readonly covariance: Matrix;
}

interface Sought<T> {
  /** Unknowns are each 0 by what is thought before, give or take so much. */
  readonly spread: readonly number[];
  /** How far each is moved to see what it does. */
  readonly step: readonly number[];
  readonly make: (point: readonly number[]) => T;
  /** Each about 1 where the model is as good as it can be. */
  readonly residuals: (made: T) => readonly number[];
  /** How many readings the residuals are worth, each weighted down to what it tells anew. */
  readonly worth: number;
  /** How often it is made at the most. */
  readonly most: number;
  readonly onMade: (count: number) => void;
}

/** Farthest an unknown goes at once, and at all, in spreads of what is thought before. */
const [STRIDE, FARTHEST] = [1.5, 4];
/** Share of the sum by which a round must better it to go on. */
const ENOUGH = 2e-3;

/**
 * Damped least squares with what is thought before as one more reading of each unknown (Levenberg 1944, Marquardt 1963).
 * Slopes are measured once and then carried along by what each step showed (Broyden 1965, Math. Comp. 19: 577); they are
 * measured anew where that leads nowhere.
 */
export function leastSquares<T>(asked: Sought<T>): Least<T> {
  const { spread, step, most } = asked;
  const count = spread.length;
  const prior = Matrix.diag(spread.map((it) => 1 / it ** 2));
  let made = 0;
  const make = (point: readonly number[]): T => {
    made += 1;
    asked.onMade(made);
    return asked.make(point);
  };
  const column = (values: readonly number[]): Matrix => Matrix.columnVector([...values]);
  const costOf = (residuals: readonly number[], point: readonly number[]): number =>
    residuals.reduce((sum, it) => sum + it * it, 0) +
    point.reduce((sum, it, i) => sum + (it / (spread[i] ?? 1)) ** 2, 0);
  let point: readonly number[] = spread.map(() => 0);
  let here = make(point);
  let r = asked.residuals(here);
  let cost = costOf(r, point);
  const measured = (): Matrix => {
    const slopes = Matrix.zeros(r.length, count);
    for (let k = 0; k < count; k += 1) {
      const own = step[k] ?? 0.05;
      const moved = (by: number): T | null =>
        tried(() => make(point.map((it, i) => (i === k ? it + by : it))));
      const there = moved(own);
      const by = there === null ? -own : own;
      const found = there ?? moved(by);
      if (found === null) continue;
      asked.residuals(found).forEach((it, i) => slopes.set(i, k, (it - (r[i] ?? 0)) / by));
    }
    return slopes;
  };
  let slopes = measured();
  let fresh = true;
  let damping = 0.01;
  while (made < most) {
    const normal = slopes.transpose().mmul(slopes);
    const damped = normal.clone();
    for (let k = 0; k < count; k += 1) damped.set(k, k, damped.get(k, k) * (1 + damping));
    const down = slopes
      .transpose()
      .mmul(column(r))
      .add(prior.mmul(column(point)))
      .mul(-1);
    const move = solve(damped.add(prior), down).to1DArray();
    const next = point.map((it, k) => {
      const own = spread[k] ?? 1;
      const by = Math.min(STRIDE * own, Math.max(-STRIDE * own, move[k] ?? 0));
      return Math.min(FARTHEST * own, Math.max(-FARTHEST * own, it + by));
    });
    const there = tried(() => make(next));
    const off = there === null ? null : asked.residuals(there);
    const other = off === null ? Infinity : costOf(off, next);
    if (there !== null && off !== null && other < cost) {
      const went = column(next.map((it, k) => it - (point[k] ?? 0)));
      const length = went.dot(went);
      const missed = column(off.map((it, i) => it - (r[i] ?? 0))).sub(slopes.mmul(went));
      if (length > 0) slopes = Matrix.add(slopes, missed.mmul(went.transpose()).mul(1 / length));
      const gained = (cost - other) / cost;
      [point, here, r, cost] = [next, there, off, other];
      damping = Math.max(1e-4, damping / 5);
      if (gained < ENOUGH && fresh) break;
      fresh = gained >= ENOUGH ? false : fresh;
      if (gained >= ENOUGH) continue;
    } else if (fresh) {
      damping *= 6;
      if (damping > 1e3) break;
      continue;
    }
    if (made + count >= most) break;
    slopes = measured();
    fresh = true;
  }
  // Where the model is worse than it could be all is known less well.
  const misfit = Math.max(1, r.reduce((sum, it) => sum + it * it, 0) / Math.max(1, asked.worth));
  const covariance = inverse(
    slopes
      .transpose()
      .mmul(slopes)
      .mul(1 / misfit)
      .add(prior),
  );
  return { point, made: here, slopes, covariance };
}

/** null: no enclosure comes to that. */
function tried<T>(make: () => T): T | null {
  try {
    return make();
  } catch (error) {
    if (error instanceof ImpossibleClimate) return null;
    throw error;
  }
}
