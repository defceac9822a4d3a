import { NOW } from '../now';

/** Unit tests begin at the moment the tests live in, and their clock runs on. */
const Real = Date;
const ahead = Real.parse(NOW) - Real.now();
class Shifted extends Real {
  constructor(...told: unknown[]) {
    if (told.length === 0) super(Real.now() + ahead);
    else super(...(told as [number]));
  }
  static override now(): number {
    return Real.now() + ahead;
  }
  static override [Symbol.hasInstance](value: unknown): boolean {
    return value instanceof Real;
  }
}
globalThis.Date = Shifted as DateConstructor;
