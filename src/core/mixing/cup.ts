import type { Material, RetentionCurve, Sourced } from '../catalogue';
import { drainedMeans, heldAt } from '../ground/water';

/**
 * A cup with holes in its base, closed with tape, weighed five times. Masses in kg, the height of the soil in m.
 * The method of the nursery guides (Gessert 1976, Ornamentals Northwest 1(8): 11; Landis 1990, The Container Tree Nursery
 * Manual 2, USDA Agric. Handb. 674): what runs out was air, what stays is the container capacity, both together are pores.
 */
export interface CupReading {
  /** The cup, holes taped, empty. */
  readonly empty: number;
  /** Filled to the mark with water alone: tells how much it holds. */
  readonly water: number;
  /** Filled to the mark with the ingredient, dry or as it is. */
  readonly filled: number;
  /** Soaked from below until water stands at the mark. */
  readonly soaked: number;
  /** After the tape is off and nothing drips any more. */
  readonly drained: number;
  /** Of the ingredient in the cup. */
  readonly height: number;
  /** Dried in an oven until it weighs no less; null when it was dry already. */
  readonly dried: number | null;
}

export interface CupResult {
  /** m³ */
  readonly volume: number;
  /** m³/m³ */
  readonly porosity: number;
  readonly capacity: number;
  readonly air: number;
  /** Dry, kg per m³ in the cup. */
  readonly density: number;
}

export type CupOutcome =
  | { readonly ok: true; readonly result: CupResult }
  | { readonly ok: false; readonly place: keyof CupReading; readonly message: string };

const WATER = 1000;
/** Largest α that is sought, 1/cm. */
const STEEPEST = 1e6;

/** Porosity, container capacity and air from the masses; or which reading cannot be, and why. */
export function readCup(cup: CupReading): CupOutcome {
  const fault = (place: keyof CupReading, message: string): CupOutcome => ({ ok: false, place, message });
  const dry = cup.dried ?? cup.filled;
  if (!(cup.empty > 0)) return fault('empty', 'Weigh the empty cup with its tape.');
  if (cup.water <= cup.empty + 0.02)
    return fault('water', 'With water it must weigh at least 20 g more than empty: fill it to the mark.');
  if (cup.filled <= cup.empty) return fault('filled', 'Filled it must weigh more than empty.');
  if (cup.dried !== null && cup.dried > cup.filled)
    return fault('dried', 'Dried it cannot weigh more than as it was filled in.');
  if (dry <= cup.empty) return fault('dried', 'Dried it must weigh more than the empty cup.');
  if (cup.soaked < cup.filled) return fault('soaked', 'Soaked it cannot weigh less than before.');
  if (cup.drained > cup.soaked) return fault('drained', 'Drained it cannot weigh more than soaked.');
  if (cup.drained < cup.filled && cup.dried === null)
    return fault(
      'drained',
      'Drained it weighs less than as it was filled in: some of it ran out with the water.',
    );
  if (!(cup.height > 0.01)) return fault('height', 'The ingredient must stand at least 1 cm high.');
  const volume = (cup.water - cup.empty) / WATER;
  const porosity = (cup.soaked - dry) / WATER / volume;
  const capacity = (cup.drained - dry) / WATER / volume;
  if (porosity > 1)
    return fault('soaked', 'It took up more water than the cup has room for: the water stood over the mark.');
  if (porosity < 0.2)
    return fault(
      'soaked',
      'Less than a fifth would be pores: let it soak longer, from below, and tap the air out.',
    );
  return {
    ok: true,
    result: {
      volume,
      porosity,
      capacity,
      air: porosity - capacity,
      density: (dry - cup.empty) / volume,
    },
  };
}

/**
 * A curve that agrees with what was measured: the likeness's shape (a steeper one where that cannot let go of so much)
 * with its own pores, and α sought so that its mean over
 * the height of the cup is the measured capacity. Nothing else of it was measured.
 */
export function curveFromCup(
  like: RetentionCurve,
  { porosity, capacity }: CupResult,
  height: number,
): RetentionCurve {
  const saturated = Math.min(0.99, porosity);
  const residual = Math.min(like.residual * (saturated / like.saturated), capacity * 0.9);
  const meanWith = (alpha: number, n: number): number => {
    const curve = { residual, saturated, alpha, n };
    return drainedMeans([
      { blend: { porosity: saturated, held: (h) => heldAt(curve, h) }, thickness: height },
    ]).capacity;
  };
  // Curves that fall off slowly cannot let go of much within a cup, however early they begin: then a steeper one.
  const n =
    [like.n, 1.3, 1.6, 2.2, 3.5].find((it) => it >= like.n && meanWith(STEEPEST, it) <= capacity) ?? 3.5;
  let low = Math.log(1e-4);
  let high = Math.log(STEEPEST);
  // More α, less water: halved until it fits.
  for (let step = 0; step < 100; step += 1) {
    const middle = (low + high) / 2;
    if (meanWith(Math.exp(middle), n) > capacity) low = middle;
    else high = middle;
  }
  return { residual, saturated, alpha: Math.exp((low + high) / 2), n };
}

/** The ingredient as it was measured: what the cup says in place of what its likeness lends. */
export function measured(row: Material, result: CupResult, height: number): Material {
  const told = <T>(value: T): Sourced<T> => ({ value, basis: 'measured' });
  // What was measured stands for itself: no table of its class says otherwise.
  const own = { ...row };
  delete own.retentionToo;
  return {
    ...own,
    // The cup holds it settled, as tapped down; a loose litre is lighter by what it settles.
    density: told(result.density * (1 - row.settling.value)),
    ...(row.retention ? { retention: told(curveFromCup(row.retention.value, result, height)) } : {}),
  };
}
