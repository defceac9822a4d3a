/**
 * The sparse bookkeeping of the equations: which state changes with which (the Jacobian's places), what is linear and
 * never changes, and flows that move heat or water by fixed shares.
 */
export class Assembly {
  /** Row and column of each entry of the Jacobian. */
  readonly pattern: [number, number][] = [];
  private readonly known = new Map<number, number>();
  readonly linear: { readonly slot: number; readonly value: number }[] = [];
  /** Rows that take up heat from the room's temperature, W/K. */
  readonly outside: { readonly row: number; readonly conductance: number }[] = [];

  /** @param inverse of each state: one over its heat capacity, J/K, or its air, kg; 1 for water */
  constructor(
    private readonly size: number,
    readonly inverse: Float64Array,
  ) {}

  /** Number of an entry of the Jacobian. */
  slot(row: number, column: number): number {
    const key = row * this.size + column;
    let at = this.known.get(key);
    if (at === undefined) {
      at = this.pattern.length;
      this.known.set(key, at);
      this.pattern.push([row, column]);
    }
    return at;
  }
  add(row: number, column: number, value: number): void {
    this.linear.push({ slot: this.slot(row, column), value: value * (this.inverse[row] ?? 1) });
  }
  /** Heat between two bodies by conduction, convection or radiation, W/K. */
  link(i: number, j: number, conductance: number): void {
    if (conductance <= 0) return;
    this.add(i, i, -conductance);
    this.add(i, j, conductance);
    this.add(j, i, conductance);
    this.add(j, j, -conductance);
  }
  /** Heat between a body and the room, W/K; `heatOut` is the state that counts it. */
  toRoom(i: number, conductance: number, heatOut: number): void {
    if (conductance <= 0) return;
    this.add(i, i, -conductance);
    this.add(heatOut, i, conductance);
    this.outside.push({ row: i, conductance }, { row: heatOut, conductance: -conductance });
  }
  /** What moves from one state to others, 1/s, by shares. */
  moves(from: number, rate: number, to: readonly (readonly [state: number, share: number])[]): void {
    this.add(from, from, -rate);
    for (const [state, share] of to) this.add(state, from, rate * share);
  }
  flow(to: readonly (readonly [state: number, amount: number])[], on: readonly number[]): Flow {
    return new Flow(this, to, on);
  }
}

/**
 * Something that moves at a rate, kg/s or W: so much of it to each of some states (negative: away from), and a rate that
 * changes with some states. What is booked adds up in the equations and in the Jacobian alike.
 */
export class Flow {
  /** How the rate changes with each state it depends on, in the order they were named; written before `book`. */
  readonly by: Float64Array;
  private readonly rows: Int32Array;
  private readonly amounts: Float64Array;
  private readonly slots: Int32Array;

  constructor(
    assembly: Assembly,
    to: readonly (readonly [state: number, amount: number])[],
    on: readonly number[],
  ) {
    this.by = new Float64Array(on.length);
    this.rows = Int32Array.from(to, ([state]) => state);
    this.amounts = Float64Array.from(to, ([state, amount]) => amount * (assembly.inverse[state] ?? 1));
    this.slots = Int32Array.from(to.flatMap(([row]) => on.map((column) => assembly.slot(row, column))));
  }

  book(rate: number, dy: Float64Array, jac: Float64Array | null): void {
    const { rows, amounts, by, slots } = this;
    const n = by.length;
    for (let i = 0, at = 0; i < rows.length; i += 1) {
      const amount = amounts[i]!;
      dy[rows[i]!]! += amount * rate;
      if (jac) for (let j = 0; j < n; j += 1, at += 1) jac[slots[at]!]! += amount * by[j]!;
    }
  }
}

/** One room of the physics: adds its rates, and its entries of the Jacobian when they are asked for. */
export interface Part {
  evaluate(y: Float64Array, dy: Float64Array, jac: Float64Array | null): void;
}
