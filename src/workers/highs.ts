import type { Highs, ModelData } from 'highs';
import type { Outcome, Program, Run } from '@/core/mixing';

/** The program column by column, as HiGHS takes it. */
function dataOf({ columns, rows, objective }: Program, { constants }: Highs): ModelData {
  const byColumn: [row: number, value: number][][] = columns.map(() => []);
  rows.forEach(({ terms }, row) => terms.forEach(([column, value]) => byColumn[column]?.push([row, value])));
  const starts = [0];
  const indices: number[] = [];
  const values: number[] = [];
  for (const entries of byColumn) {
    for (const [row, value] of entries) {
      indices.push(row);
      values.push(value);
    }
    starts.push(indices.length);
  }
  return {
    numCols: columns.length,
    numRows: rows.length,
    sense: constants.objectiveSense.minimize,
    colCost: [...objective],
    colLower: columns.map((it) => it.lower),
    colUpper: columns.map((it) => it.upper),
    rowLower: rows.map((it) => it.lower),
    rowUpper: rows.map((it) => it.upper),
    integrality: columns.map((it) =>
      it.integer ? constants.variableType.integer : constants.variableType.continuous,
    ),
    matrix: {
      format: 'csc',
      numRows: rows.length,
      numCols: columns.length,
      starts,
      indices,
      values,
    },
  };
}

/**
 * Solves by HiGHS to the true optimum: no gap is allowed, and the seed is fixed, so that the same question has the same
 * answer every time. Throws when the solver itself fails.
 */
export const runWith =
  (highs: Highs): Run =>
  (program, onGap, start): Outcome =>
    highs.withModel((model): Outcome => {
      model.options.set('output_flag', false);
      model.options.set('mip_rel_gap', 0);
      model.options.set('mip_abs_gap', 1e-9);
      model.options.set('mip_feasibility_tolerance', 1e-9);
      model.options.set('primal_feasibility_tolerance', 1e-9);
      model.options.set('random_seed', 1);
      // Small and dense programs: presolving them takes longer than it saves (see npm run bench).
      model.options.set('presolve', 'off');
      model.passModel(dataOf(program, highs));
      if (start) model.setSolution({ colValue: [...start] });
      const { modelStatus, callbackType } = highs.constants;
      const { modelStatus: status } = model.run({
        [callbackType.mipLogging](event) {
          const gap = event.data.mip_gap;
          if (gap !== undefined && Number.isFinite(gap)) onGap?.(Math.min(1, Math.max(0, gap)));
          return undefined;
        },
      });
      if (status === modelStatus.infeasible || status === modelStatus.unboundedOrInfeasible) {
        return { status: 'infeasible' };
      }
      if (status !== modelStatus.optimal) throw new Error(`the solver stopped with status ${status}`);
      const values = [...model.getSolution().colValue];
      const objective = program.objective.reduce((sum, cost, at) => sum + cost * (values[at] ?? 0), 0);
      return { status: 'optimal', values, objective };
    });
