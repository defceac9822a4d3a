/**
 * Sparse LU of a matrix whose pattern never changes. The order of elimination and the fill are found once; after that
 * a factorisation is a straight run over index lists. No pivoting: made for the heat and vapour balances of bodies
 * that lose what others gain, whose diagonal outweighs its row at every step length.
 */
export class SparseLu {
  /** Entry of the factors at which each entry of the pattern is put, in the order the pattern was given. */
  private readonly place: Int32Array;
  private readonly diagonal: Int32Array;
  /** In the order of elimination: entry of the row's multiplier, the pivot it is divided by, how many updates follow. */
  private readonly rows: Int32Array;
  /** Entries that are updated; what they are updated by lies side by side behind the pivot. */
  private readonly updates: Int32Array;
  /** Where the entries of each row begin; they lie side by side, by column. */
  private readonly starts: Int32Array;
  private readonly columns: Int32Array;
  private readonly order: Int32Array;
  private readonly factors: Float64Array;

  /** @param entries row and column of each entry; the diagonal is there of itself */
  constructor(
    private readonly n: number,
    entries: readonly (readonly [row: number, column: number])[],
  ) {
    const pattern = Array.from({ length: n }, () => new Set<number>());
    for (const [row, column] of entries) {
      pattern[row]?.add(column);
      pattern[column]?.add(row);
    }
    const order = leastFill(pattern);
    const rank = new Int32Array(n);
    order.forEach((state, at) => (rank[state] = at));
    this.order = Int32Array.from(order);

    // Real fill, by rank, from the pattern as it is.
    const filled = Array.from({ length: n }, () => new Set<number>());
    for (const [row, column] of entries) filled[rank[row] ?? 0]?.add(rank[column] ?? 0);
    for (let pivot = 0; pivot < n; pivot += 1) {
      for (let row = pivot + 1; row < n; row += 1) {
        if (!filled[row]?.has(pivot)) continue;
        filled[pivot]?.forEach((column) => column > pivot && filled[row]?.add(column));
      }
    }
    filled.forEach((columns, row) => columns.add(row));
    const at = new Map<number, number>();
    const index = (row: number, column: number): number => {
      const key = row * n + column;
      let found = at.get(key);
      if (found === undefined) {
        found = at.size;
        at.set(key, found);
      }
      return found;
    };
    filled.forEach((columns, row) =>
      [...columns].sort((a, b) => a - b).forEach((column) => index(row, column)),
    );
    this.place = Int32Array.from(entries, ([row, column]) => index(rank[row] ?? 0, rank[column] ?? 0));
    this.diagonal = Int32Array.from({ length: n }, (_, i) => index(i, i));

    const rows: number[] = [];
    const updates: number[] = [];
    for (let pivot = 0; pivot < n; pivot += 1) {
      const right = [...(filled[pivot] ?? [])].filter((column) => column > pivot).sort((a, b) => a - b);
      for (let row = pivot + 1; row < n; row += 1) {
        if (!filled[row]?.has(pivot)) continue;
        rows.push(index(row, pivot), index(pivot, pivot), right.length);
        for (const column of right) updates.push(index(row, column));
      }
    }
    const starts = [0];
    const columns: number[] = [];
    for (const row of filled) {
      columns.push(...[...row].sort((a, b) => a - b));
      starts.push(columns.length);
    }
    this.rows = Int32Array.from(rows);
    this.updates = Int32Array.from(updates);
    this.starts = Int32Array.from(starts);
    this.columns = Int32Array.from(columns);
    this.factors = new Float64Array(at.size);
    this.sorted = new Float64Array(n);
  }

  private readonly sorted: Float64Array;

  /** Factorises I − scale·J, J given entry by entry in the order of the pattern; entries of one place add up. */
  factorise(values: Float64Array, scale: number): void {
    const { factors, place, rows, updates, diagonal } = this;
    factors.fill(0);
    for (let i = 0; i < diagonal.length; i += 1) factors[diagonal[i]!] = 1;
    for (let i = 0; i < place.length; i += 1) factors[place[i]!]! -= scale * values[i]!;
    let next = 0;
    for (let i = 0; i < rows.length; i += 3) {
      const pivot = rows[i + 1]!;
      const multiplier = factors[rows[i]!]! / factors[pivot]!;
      factors[rows[i]!] = multiplier;
      const end = next + rows[i + 2]!;
      if (multiplier === 0) next = end;
      else
        for (let from = pivot + 1; next < end; next += 1, from += 1)
          factors[updates[next]!]! -= multiplier * factors[from]!;
    }
  }

  /** Solves for a right-hand side, in place. */
  solve(b: Float64Array): void {
    const { factors, starts, columns, diagonal, order, sorted, n } = this;
    for (let row = 0; row < n; row += 1) {
      let sum = b[order[row]!]!;
      const end = diagonal[row]!;
      for (let at = starts[row]!; at < end; at += 1) sum -= factors[at]! * sorted[columns[at]!]!;
      sorted[row] = sum;
    }
    for (let row = n - 1; row >= 0; row -= 1) {
      let sum = sorted[row]!;
      const end = starts[row + 1]!;
      const pivot = diagonal[row]!;
      for (let at = pivot + 1; at < end; at += 1) sum -= factors[at]! * sorted[columns[at]!]!;
      sorted[row] = sum / factors[pivot]!;
    }
    for (let i = 0; i < n; i += 1) b[order[i]!] = sorted[i]!;
  }
}

/** Order of elimination: always what has the fewest neighbours left. */
function leastFill(pattern: readonly ReadonlySet<number>[]): number[] {
  const left = pattern.map((set, own) => new Set([...set].filter((it) => it !== own)));
  const todo = new Set(left.keys());
  const order: number[] = [];
  while (todo.size > 0) {
    let best = -1;
    for (const it of todo) if (best < 0 || (left[it]?.size ?? 0) < (left[best]?.size ?? 0)) best = it;
    const around = [...(left[best] ?? [])];
    for (const it of around) {
      left[it]?.delete(best);
      for (const other of around) if (other !== it) left[it]?.add(other);
    }
    todo.delete(best);
    order.push(best);
  }
  return order;
}
