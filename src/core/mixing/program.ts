/** A mixed-integer linear program, as plain data: any solver can be handed it. All minimise. */
export interface Column {
  readonly name: string;
  readonly lower: number;
  readonly upper: number;
  readonly integer: boolean;
}

/** lower ≤ Σ coefficient · column ≤ upper. */
export interface Row {
  readonly name: string;
  readonly lower: number;
  readonly upper: number;
  /** Column index and coefficient; a column at most once. */
  readonly terms: readonly (readonly [column: number, coefficient: number])[];
}

export interface Program {
  readonly columns: readonly Column[];
  readonly rows: readonly Row[];
  /** Cost of each column. */
  readonly objective: readonly number[];
}

export type Outcome =
  | { readonly status: 'optimal'; readonly values: readonly number[]; readonly objective: number }
  | { readonly status: 'infeasible' };

/**
 * Solves one program to the optimum.
 * @param onGap hears how far the best found is from the best possible, as a share
 * @param start values that already keep to every row, to go on from
 */
export type Run = (
  program: Program,
  onGap?: (gap: number) => void,
  start?: readonly number[],
) => Outcome | Promise<Outcome>;

/** Collects columns and rows under names. */
export class Builder {
  private readonly columns: Column[] = [];
  private readonly rows: Row[] = [];

  /** A quantity to be found; its index. */
  column(name: string, upper = Infinity, integer = false, lower = 0): number {
    this.columns.push({ name, lower, upper, integer });
    return this.columns.length - 1;
  }

  /** Terms of one column are added up. */
  row(name: string, lower: number, upper: number, terms: readonly (readonly [number, number])[]): void {
    const sum = new Map<number, number>();
    for (const [column, by] of terms) sum.set(column, (sum.get(column) ?? 0) + by);
    this.rows.push({ name, lower, upper, terms: [...sum].filter(([, by]) => Math.abs(by) > 1e-12) });
  }

  /** The program with these costs; columns left out cost nothing. */
  program(costs: readonly (readonly [number, number])[]): Program {
    const objective = this.columns.map(() => 0);
    for (const [column, cost] of costs) objective[column] = (objective[column] ?? 0) + cost;
    return { columns: [...this.columns], rows: [...this.rows], objective };
  }
}
