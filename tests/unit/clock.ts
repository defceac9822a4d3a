import { NOW } from '../now';

/** Unit tests begin at the moment the tests live in, and their clock runs on. */
const MARK = Symbol.for('rincon.shifted');
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
// Suites that share a worker are set going once.
if (!(MARK in Real)) {
  Object.defineProperty(Shifted, MARK, { value: true });
  globalThis.Date = Shifted as DateConstructor;
}
