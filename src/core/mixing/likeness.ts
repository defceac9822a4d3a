import type { Catalogue, Material, RetentionCurve, Sourced } from '../catalogue';

/** How much finer or coarser than its likeness, as a factor on the size of its pieces. */
export const GRADES = {
  'much finer': 0.4,
  finer: 0.65,
  'just as fine': 1,
  coarser: 1.5,
  'much coarser': 2.5,
} as const;
export type Grade = keyof typeof GRADES;

/**
 * A curve for the same stuff in larger or smaller pieces. In similar media the suction that empties a pore goes with one
 * over its size (Miller & Miller 1956, J. Appl. Phys. 27: 324), so α goes with the size of the pieces; pores in all and
 * the shape stay.
 * @param size factor on the size of the pieces, over 0
 */
export const likeCurve = (curve: RetentionCurve, size: number): RetentionCurve => ({
  ...curve,
  alpha: curve.alpha * size,
});

const likened = <T>(value: T, rule: string): Sourced<T> => ({ value, basis: 'estimated', source: rule });

/**
 * An ingredient known only as “like that, but finer”. Everything else is taken over from its likeness: what is finer also
 * settles and holds a little more, by common practice too little to put a figure on.
 */
export function likeness(row: Material, grade: Grade, as: Pick<Material, 'id' | 'name'>): Material {
  const size = GRADES[grade];
  const like = { ...row };
  // What is finer or coarser is no longer of its class.
  if (size !== 1) delete like.retentionToo;
  return {
    ...like,
    ...as,
    ...(row.retention && size !== 1
      ? { retention: likened(likeCurve(row.retention.value, size), 'miller-1956') }
      : {}),
    ...(row.grain && size !== 1
      ? { grain: likened({ low: row.grain.value.low * size, high: row.grain.value.high * size }, 'kin') }
      : {}),
  };
}

/** Ingredients one can liken something to: those whose behaviour is known. */
export const likenesses = (catalogue: Catalogue): readonly Material[] =>
  catalogue.materials.filter((row) => row.retention && row.mixing);
