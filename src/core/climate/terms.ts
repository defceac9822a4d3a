import { AT } from './states';
import type { BoxModel, Column } from './box';
import { LAND } from './stores';

/** Gathers the places of the Jacobian, and the terms that are linear and never change. */
export class Terms {
  readonly pattern: [number, number][] = [];
  private readonly known = new Map<number, number>();
  readonly linear: { slot: number; row: number; column: number; value: number }[] = [];
  /** Rows that take up heat from the room's temperature, W/K. */
  readonly outside: { row: number; conductance: number }[] = [];

  constructor(
    private readonly size: number,
    private readonly inverse: Float64Array,
  ) {}

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
    this.linear.push({ slot: this.slot(row, column), row, column, value: value * this.inverse[row]! });
  }
  /** Heat by conduction, convection or radiation, W/K. */
  link(i: number, j: number, conductance: number): void {
    this.add(i, i, -conductance);
    this.add(i, j, conductance);
    this.add(j, i, conductance);
    this.add(j, j, -conductance);
  }
  /** Heat lost to the room, W/K. */
  toRoom(i: number, conductance: number, heatOut: number): void {
    this.add(i, i, -conductance);
    this.add(heatOut, i, conductance);
    this.outside.push({ row: i, conductance }, { row: heatOut, conductance: -conductance });
  }
  /** What moves from one state to others, 1/s, by shares. */
  moves(from: number, rate: number, to: readonly (readonly [state: number, share: number])[]): void {
    this.add(from, from, -rate);
    for (const [state, share] of to) this.add(state, from, rate * share);
  }
  /** The nine places of an evaporation: of temperature, store and air, each by each. */
  passing(t: number, store: number, w: number): number[] {
    return [t, store, w].flatMap((row) => [t, store, w].map((column) => this.slot(row, column)));
  }
}

/** Where mist, fog and drops end up in a column that may be all water. */
export const landing = (box: BoxModel, column: Column): number =>
  box.columns[column].area > LAND ? AT.soilWater(column, 0) : AT.pool(column);
