import { SparseLu } from './sparse';

/** A system of equations dy/dt = f(t, y) with the part of its Jacobian that is stiff. */
export interface System {
  readonly size: number;
  /** States from here on are only counted: nothing depends on them. */
  readonly counted: number;
  /** Row and column of each Jacobian entry that `evaluate` writes; each place once. */
  readonly pattern: readonly (readonly [row: number, column: number])[];
  /** Writes f, and the Jacobian's entries when they are asked for. */
  readonly evaluate: (t: number, y: Float64Array, dy: Float64Array, jacobian: Float64Array | null) => void;
  /**
   * Which side of its corners the state last evaluated lies on, as a number; a system without corners leaves it out. A
   * step across one is taken by the implicit Euler rule, at which the two stages would only throw each other back.
   */
  readonly regime?: () => number;
  /** States, first and last, whose laws bend within a step: soil near saturation. */
  readonly bends?: readonly [first: number, last: number];
  /** How far each state may be off, in its own unit; 0: it is only counted and steers nothing. */
  readonly allowed: Float64Array;
}

/** s of the longest step across a corner. */
const ACROSS = 60;
/** Share of what is allowed from which on a step is looked at for going nowhere, and share of the first stage that is then left. */
const STALLS = 0.1;
const stalls = (first: number, second: number): boolean =>
  Math.abs(1.5 * first + 0.5 * second) < 0.25 * Math.abs(first);
/** s of the shortest. */
const SHORTEST = 0.02;
/** s of the very first step that is tried. */
const FIRST = 10;
/** γ of the L-stable pair. */
const GAMMA = 1 - Math.SQRT1_2;

export interface StepLimits {
  /** s */
  readonly least: number;
  readonly most: number;
  /** How many times what the system allows a step may be off; 1 when it is not said. */
  readonly looser?: number;
}

/**
 * Linearly implicit steps of second order, L-stable with the true Jacobian and of second order with any
 * (ROS2: Verwer, Spee, Blom & Hundsdorfer 1999, SIAM J. Sci. Comput. 20:1456). Every stage is one linear solve, so
 * what is conserved by f and by the Jacobian's columns is conserved to rounding.
 */
export class Stepper {
  private readonly lu: SparseLu;
  private readonly jacobian: Float64Array;
  /** Jacobian entries of what is only counted: row, column, entry. */
  private readonly tally: Int32Array;
  /** Entries of the rest, in the order the factors were told. */
  private readonly core: Int32Array;
  private readonly coreValues: Float64Array;
  private readonly k1: Float64Array;
  private readonly k2: Float64Array;
  private readonly probe: Float64Array;
  private readonly f: Float64Array;
  /** One over what each state may be off; 0 for those that steer nothing. */
  private readonly sharp: Float64Array;
  /** s; what the next step will try. */
  private next = FIRST;
  /** Of all steps so far. */
  readonly count = { taken: 0, refused: 0 };

  constructor(
    private readonly system: System,
    private limits: StepLimits = { least: 0.5, most: 600 },
  ) {
    const { size, pattern, counted } = system;
    const tally: number[] = [];
    const core: number[] = [];
    pattern.forEach(([row, column], entry) => {
      if (row >= counted) tally.push(row, column, entry);
      else core.push(entry);
    });
    this.tally = Int32Array.from(tally);
    this.core = Int32Array.from(core);
    this.coreValues = new Float64Array(core.length);
    this.lu = new SparseLu(
      counted,
      core.map((entry) => pattern[entry]!),
    );
    this.jacobian = new Float64Array(pattern.length);
    this.k1 = new Float64Array(size);
    this.k2 = new Float64Array(size);
    this.probe = new Float64Array(size);
    this.f = new Float64Array(size);
    this.sharp = system.allowed.map((it) => (it > 0 ? 1 / it : 0));
  }

  /** The same equations from the beginning, with other limits. */
  again(limits: StepLimits): this {
    this.limits = limits;
    this.next = FIRST;
    this.count.taken = 0;
    this.count.refused = 0;
    return this;
  }

  /** After something was switched: begins with short steps again. */
  restart(): void {
    this.next = Math.min(this.next, 8);
  }

  private solve(k: Float64Array, scale: number): void {
    const { lu, tally, jacobian } = this;
    lu.solve(k);
    for (let i = 0; i < tally.length; i += 3)
      k[tally[i]!]! += scale * jacobian[tally[i + 2]!]! * k[tally[i + 1]!]!;
  }

  /**
   * One implicit Euler step across a corner: linear in what is stiff, and of no second stage that a corner could mislead.
   * Shortened until what the end would change of it, once damped, is within what is allowed.
   * @returns s that it took
   */
  private across(y: Float64Array, t: number, longest: number, looser: number): number {
    const { system, lu, coreValues, k1, k2, probe, f, sharp } = this;
    const { size, counted } = system;
    for (let h = longest; ; h /= 4) {
      lu.factorise(coreValues, h);
      k1.set(f);
      this.solve(k1, h);
      for (let i = 0; i < size; i += 1) probe[i] = y[i]! + h * k1[i]!;
      system.evaluate(t + h, probe, k2, null);
      for (let i = 0; i < counted; i += 1) k2[i]! -= k1[i]!;
      lu.solve(k2);
      let error = 0;
      for (let i = 0; i < counted; i += 1) {
        const off = Math.abs(0.5 * h * k2[i]!) * sharp[i]!;
        if (off <= error) continue;
        error = off;
        if (Number.isNaN(off)) break;
      }
      if (!(error <= looser) && h > SHORTEST) {
        this.count.refused += 1;
        continue;
      }
      y.set(probe);
      this.count.taken += 1;
      this.next = 2 * h;
      return h;
    }
  }

  /** Brings y from one moment to another, s, in as many steps as it takes. f must be smooth between the two. */
  advance(y: Float64Array, from: number, to: number): void {
    const { system, lu, jacobian, core, coreValues, k1, k2, probe, f, limits } = this;
    const { size, counted } = system;
    const { sharp } = this;
    const { looser = 1 } = limits;
    let t = from;
    while (to - t > 1e-5) {
      const left = to - t;
      // Alike to the end of the stretch, unless an error says otherwise.
      let h = left / Math.max(1, Math.ceil(left / this.next - 1e-9));
      system.evaluate(t, y, f, jacobian);
      const side = system.regime?.();
      for (let i = 0; i < core.length; i += 1) coreValues[i] = jacobian[core[i]!]!;
      for (;;) {
        const scale = GAMMA * h;
        lu.factorise(coreValues, scale);
        k1.set(f);
        this.solve(k1, scale);
        for (let i = 0; i < size; i += 1) probe[i] = y[i]! + h * k1[i]!;
        system.evaluate(t + h, probe, k2, null);
        if (side !== system.regime?.()) {
          h = this.across(y, t, Math.min(h, ACROSS), looser);
          break;
        }
        for (let i = 0; i < size; i += 1) k2[i]! -= 2 * k1[i]!;
        this.solve(k2, scale);
        // The first-order result y + h·k1 is what the second is judged by.
        let error = 0;
        let worst = 0;
        for (let i = 0; i < counted; i += 1) {
          const off = Math.abs(0.5 * h * (k1[i]! + k2[i]!)) * sharp[i]!;
          if (off <= error) continue;
          error = off;
          worst = i;
          // Not a number: no later state may hide it.
          if (Number.isNaN(off)) break;
        }
        if (Number.isNaN(error))
          throw new Error(`the sums of the enclosure went out of bounds at ${t.toFixed(0)} s`);
        error /= looser;
        const grow = error > 0 ? 0.85 / Math.sqrt(error) : 4;
        // Where the second stage takes back what the first gave, a law bends between the two (soil near saturation): such
        // steps would be taken for ever and go nowhere.
        const bends = worst >= (system.bends?.[0] ?? Infinity) && worst <= (system.bends?.[1] ?? -1);
        if (bends && error <= 1 && error > STALLS && stalls(k1[worst]!, k2[worst]!)) {
          h = this.across(y, t, Math.min(h, ACROSS), looser);
          break;
        }
        if (error <= 1 || h <= limits.least) {
          for (let i = 0; i < size; i += 1) {
            const next = y[i]! + h * (1.5 * k1[i]! + 0.5 * k2[i]!);
            // A film dries for ever; numbers too small to matter would only slow the machine.
            y[i] = next < 1e-30 && next > -1e-30 ? 0 : next;
          }
          this.count.taken += 1;
          const wanted = Math.min(limits.most, Math.max(limits.least, h * Math.min(4, grow)));
          // A step cut short by an event says little about the next.
          this.next = h < 0.6 * this.next ? Math.max(wanted, 0.9 * this.next) : wanted;
          break;
        }
        this.count.refused += 1;
        h = Math.max(limits.least, h * Math.max(0.2, grow));
        this.next = h;
      }
      t += h;
    }
  }
}
