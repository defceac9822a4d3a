import type { CrewKind } from '../catalogue';

/**
 * The daily matrix of a kind by age (Leslie 1945, with all adults as one last class): a newborn matures after its days,
 * not the next morning. Rows and columns: each day as an egg, each day as young, then adults. Column a goes to row a + 1
 * with the share that sees the next day; adults stay adults and put eggs or young into row 0.
 */
export interface Chain {
  readonly eggDays: number;
  readonly youngDays: number;
  /** Eggs or young a day of one adult. */
  readonly bears: number;
  readonly youngKeep: number;
  /** Of adults: those that die of age are in it. */
  readonly adultKeep: number;
}

export function chainOf(kind: CrewKind): Chain {
  return {
    eggDays: kind.eggDays.value,
    youngDays: kind.youngDays.value,
    bears: kind.bears.value,
    youngKeep: kind.youngKeep.value,
    adultKeep: Math.min(kind.adultKeep.value, 1 - 1 / kind.adultDays.value),
  };
}

/** Days before a newborn breeds: classes before the adults. */
export const immature = ({ eggDays, youngDays }: Chain): number => eggDays + youngDays;

/** The matrix itself, for those who want its eigenvalues: (immature + 1)², rows first. */
export function matrixOf(chain: Chain): number[][] {
  const n = immature(chain) + 1;
  const rows = Array.from({ length: n }, () => new Array<number>(n).fill(0));
  for (let age = 0; age + 1 < n; age += 1) (rows[age + 1] ?? [])[age] = chain.youngKeep;
  (rows[0] ?? [])[n - 1] = chain.bears;
  (rows[n - 1] ?? [])[n - 1] = chain.adultKeep;
  return rows;
}

/**
 * Growth a day once the ages have settled: the root λ of λ^D (λ − a) = b·y^D for D days before breeding, the matrix's
 * own characteristic equation, by bisection to 1e-12.
 */
export function growthRate(chain: Chain): number {
  const days = immature(chain);
  const { bears, youngKeep, adultKeep } = chain;
  // Divided by λ^D, so that nothing overflows: λ − a − b (y/λ)^D rises with λ.
  const f = (x: number): number => x - adultKeep - bears * (youngKeep / x) ** days;
  let low = Math.max(1e-6, adultKeep);
  let high = Math.max(adultKeep, youngKeep) + bears + 1;
  for (let i = 0; i < 200 && high - low > 1e-13; i += 1) {
    const middle = (low + high) / 2;
    if (f(middle) > 0) high = middle;
    else low = middle;
  }
  return (low + high) / 2;
}

/** How fast a kind develops at a temperature, as a share of its best: rises from `low`, falls to nothing at `high`. */
export function paceAt(
  temperature: number,
  { low, best, high }: { low: number; best: number; high: number },
): number {
  if (temperature <= low || temperature >= high) return 0;
  return temperature <= best ? (temperature - low) / (best - low) : (high - temperature) / (high - best);
}

/** How well the moisture of the soil suits: 1 inside its range, 0 a fifth of the pores outside it. */
export function moistAt(wetness: number, { low, high }: { low: number; high: number }): number {
  const off = wetness < low ? low - wetness : wetness > high ? wetness - high : 0;
  return Math.max(0, 1 - off / 0.2);
}
