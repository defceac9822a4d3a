import type { Design } from '../document/schema';

/** What a calculation goes by: named values, with the design as one of them. */
export interface Inputs {
  readonly design: Design;
}

/** Keeps results of calculations under a name, as long as what they read stays the same. */
export type Keep = <I extends Inputs, R>(name: string, inputs: I, calculate: (inputs: I) => R) => R;

/** Keeps nothing: everything is calculated. */
export const fresh: Keep = (_, inputs, calculate) => calculate(inputs);

type Seen = Map<PropertyKey, unknown>;

/** An object that notes which of its values were read. */
const noting = <T extends object>(of: T, seen: Seen): T =>
  new Proxy(of, {
    get: (target, key) => {
      const value: unknown = Reflect.get(target, key);
      seen.set(key, value);
      return value;
    },
  });

const unchanged = (seen: Seen, now: object): boolean => {
  for (const [key, value] of seen) if (!Object.is(Reflect.get(now, key), value)) return false;
  return true;
};

interface Held {
  /** Of the inputs, and of the design's own parts. */
  readonly inputs: Seen;
  readonly design: Seen;
  readonly result: unknown;
}

/**
 * A memory of one result a name. A calculation is done again when a value it read, of its inputs or of the design's own
 * parts, is no longer the same object; values below are taken to be never changed in place, as edits leave them.
 */
export function keeping(): Keep {
  const held = new Map<string, Held>();
  return <I extends Inputs, R>(name: string, inputs: I, calculate: (inputs: I) => R): R => {
    const last = held.get(name);
    if (last && unchanged(last.design, inputs.design) && unchanged(last.inputs, inputs))
      return last.result as R;
    const seen: Seen = new Map();
    const ofDesign: Seen = new Map();
    const design = noting(inputs.design, ofDesign);
    const result = calculate(
      new Proxy(inputs, {
        get: (target, key) => {
          if (key === 'design') return design;
          const value: unknown = Reflect.get(target, key);
          seen.set(key, value);
          return value;
        },
      }),
    );
    held.set(name, { inputs: seen, design: ofDesign, result });
    return result;
  };
}
