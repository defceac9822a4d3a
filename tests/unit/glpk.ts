import GLPK, { type GLPK as Glpk } from 'glpk.js/node';
import type { Outcome, Program, Run } from '@/core/mixing';

/**
 * The referee: the same program handed to GLPK. Used by tests and the benchmark only.
 * @param seconds after which it gives up, and throws
 */
export async function glpkRun(seconds = 600): Promise<Run> {
  const glpk = await GLPK();
  return (program): Outcome => solved(program, glpk, seconds);
}

function solved({ columns, rows, objective }: Program, glpk: Glpk, seconds: number): Outcome {
  const bounds = (lower: number, upper: number) =>
    lower === upper
      ? { type: glpk.GLP_FX, lb: lower, ub: upper }
      : Number.isFinite(lower) && Number.isFinite(upper)
        ? { type: glpk.GLP_DB, lb: lower, ub: upper }
        : Number.isFinite(lower)
          ? { type: glpk.GLP_LO, lb: lower, ub: 0 }
          : Number.isFinite(upper)
            ? { type: glpk.GLP_UP, lb: 0, ub: upper }
            : { type: glpk.GLP_FR, lb: 0, ub: 0 };
  const name = (index: number): string => `c${index}`;
  const { result } = glpk.solve(
    {
      name: 'mix',
      objective: {
        direction: glpk.GLP_MIN,
        name: 'cost',
        // Every column stands here, at no cost too, so that each has a value.
        vars: columns.map((_, index) => ({ name: name(index), coef: objective[index] ?? 0 })),
      },
      subjectTo: rows
        .filter((row) => row.terms.length > 0)
        .map((row, index) => ({
          name: `r${index}`,
          vars: row.terms.map(([column, coef]) => ({ name: name(column), coef })),
          bnds: bounds(row.lower, row.upper),
        })),
      bounds: columns.map((column, index) => ({ name: name(index), ...bounds(column.lower, column.upper) })),
      generals: columns.flatMap((column, index) => (column.integer ? [name(index)] : [])),
    },
    { mipgap: 0, presol: true, msglev: glpk.GLP_MSG_OFF, tmlim: seconds },
  );
  if (
    result.status === glpk.GLP_NOFEAS ||
    result.status === glpk.GLP_INFEAS ||
    result.status === glpk.GLP_UNDEF
  )
    return { status: 'infeasible' };
  if (result.status !== glpk.GLP_OPT) throw new Error(`GLPK stopped with status ${result.status}`);
  const values = columns.map((column, index) => {
    const value = result.vars[name(index)] ?? 0;
    return column.integer ? Math.round(value) : value;
  });
  const cost = objective.reduce((sum, it, at) => sum + it * (values[at] ?? 0), 0);
  return { status: 'optimal', values, objective: cost };
}
