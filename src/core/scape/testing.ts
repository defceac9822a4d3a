import fc from 'fast-check';
import type { Body } from '../document/scapeSchema';

/** Any body of a size that could stand in a box. For tests. */
export const anyBody = (): fc.Arbitrary<Body> => {
  const size = fc.double({ min: 0.02, max: 0.4, noNaN: true });
  const run = fc.record({
    x: fc.double({ min: -0.4, max: 0.4, noNaN: true }),
    y: fc.double({ min: -0.3, max: 0.3, noNaN: true }),
  });
  const rise = fc.double({ min: -0.05, max: 0.4, noNaN: true });
  return fc.oneof(
    fc.record({
      shape: fc.constant('rod' as const),
      run,
      rise,
      diameter: fc.double({ min: 0.01, max: 0.12, noNaN: true }),
      wall: fc.constant(null),
    }),
    fc.record({
      shape: fc.constant('plank' as const),
      run,
      rise,
      breadth: fc.double({ min: 0.02, max: 0.2, noNaN: true }),
      thickness: fc.double({ min: 0.005, max: 0.05, noNaN: true }),
    }),
    fc.record({
      shape: fc.constant('block' as const),
      form: fc.constantFrom('box' as const, 'round' as const, 'boulder' as const, 'dome' as const),
      width: size,
      depth: size,
      height: size,
      turn: fc.double({ min: -3, max: 3, noNaN: true }),
      wall: fc.constant(null),
    }),
  );
};
