/**
 * Ammonia to nitrite to nitrate by two groups of bacteria, after Monod. Rates and half-saturations: Knowles, Downing &
 * Barrett 1965 (J. gen. Microbiol. 38: 263), in the form quoted by later handbooks; T in °C, mg/L as nitrogen.
 */
export const RATES = {
  /** 1/day */
  ammonia: (t: number): number => 10 ** (0.0413 * t - 0.944),
  nitrite: (t: number): number => 10 ** (0.0255 * t - 0.492),
  halfAmmonia: (t: number): number => 10 ** (0.051 * t - 1.158),
  halfNitrite: (t: number): number => 10 ** (0.063 * t - 1.149),
} as const;

/** mg of bacteria for each mg of nitrogen, and their decay, 1/day (from memory). */
const YIELD = { ammonia: 0.15, nitrite: 0.05 } as const;
const DECAY = 0.05;
/** Bacteria, mg dry, that a litre of filter holds, and that sit on glass and stones of a litre of water (from memory). */
const HOLDS = 900;
const BARE = 6;
/** Of the room that bacteria have: what comes along on a ripe sponge; mg/L that settle by themselves where there is only glass. */
const SEED = 0.15;
const SETTLES = 0.002;
/** They settle on what surface there is: a filter catches so many times as many at the most (common practice: some days sooner). */
const CATCHES = 20;
/** Days a pool is fed and tested before it is called ready, however good its water is: fresh, and seeded (common practice). */
const TESTED = { fresh: 14, seeded: 7 } as const;

/** Share of ammonia that is un-ionised, the poisonous part (Emerson et al. 1975, J. Fish. Res. Board Can. 32: 2379). */
export function unionised(ph: number, temperature: number): number {
  const pka = 0.09018 + 2729.92 / (273.2 + temperature);
  return 1 / (1 + 10 ** (pka - ph));
}

export interface NitrogenInput {
  /** m³ */
  readonly volume: number;
  readonly temperature: number;
  /** kg of nitrogen a day that reaches the water. */
  readonly nitrogen: number;
  /** m³ of filter material. */
  readonly filter: number;
  /** kg of nitrogen a day that plants take, ammonia first. */
  readonly plants: number;
  readonly change: number;
  readonly everyDays: number;
  readonly seeded: boolean;
  readonly days: number;
  readonly ph?: number;
}

export interface WaterRun {
  readonly day: readonly number[];
  /** mg/L as nitrogen. */
  readonly ammonia: readonly number[];
  readonly nitrite: readonly number[];
  readonly nitrate: readonly number[];
  /** How far the filter has come, 0 to 1: of the nitrite oxidisers that the load can feed. */
  readonly ripe: readonly number[];
  /** First day from which on both stay under what is harmless; null: not within the time. */
  readonly ready: number | null;
  /** mg of nitrogen: what came in, less what plants and changes took, and what is there; for the balance. */
  readonly balance: { readonly in: number; readonly out: number; readonly there: number };
}

/** In fresh tap water, mg/L of nitrogen (from memory). */
const START = { ammonia: 0.05, nitrate: 2 } as const;

/** Levels taken as harmless: ammonia by its un-ionised part, 0.02 mg/L, and nitrite 0.2 mg/L (common practice). */
export const HARMLESS = { unionised: 0.02, nitrite: 0.2 } as const;

/** Water of a pool day by day from the first feeding on; Runge–Kutta of the fourth order, an hour a step or less. */
export function runWater(asked: NitrogenInput): WaterRun {
  const { temperature: t, days, seeded, ph = 7.4 } = asked;
  const litres = Math.max(0.1, asked.volume * 1000);
  const mA = RATES.ammonia(t);
  const mN = RATES.nitrite(t);
  const kA = RATES.halfAmmonia(t);
  const kN = RATES.halfNitrite(t);
  const fed = (asked.nitrogen * 1e6) / litres;
  const plants = (asked.plants * 1e6) / litres;
  const room = (HOLDS * asked.filter * 1000 + BARE * litres) / litres;
  const seed = seeded ? room * SEED : SETTLES * Math.min(CATCHES, room / BARE);
  // Ammonia, nitrite, nitrate, ammonia oxidisers, nitrite oxidisers; mg/L.
  let y = [START.ammonia, 0, START.nitrate, seed, seed * 0.4];
  let out = 0;
  const begun = START.ammonia + START.nitrate;
  const slope = ([a = 0, n = 0, o = 0, xa = 0, xn = 0]: readonly number[]): number[] => {
    const free = Math.max(0, 1 - (xa + xn) / room);
    const growsA = (mA * a) / (kA + Math.max(0, a));
    const growsN = (mN * n) / (kN + Math.max(0, n));
    const eatsA = (growsA * xa) / YIELD.ammonia;
    const eatsN = (growsN * xn) / YIELD.nitrite;
    const plantA = (plants * a) / (a + 0.05);
    const plantO = (Math.max(0, plants - plantA) * o) / (o + 0.5);
    return [
      fed - eatsA - plantA,
      eatsA - eatsN,
      eatsN - plantO,
      xa * (growsA * free - DECAY),
      xn * (growsN * free - DECAY),
      plantA + plantO,
    ];
  };
  const day: number[] = [];
  const series = {
    ammonia: [] as number[],
    nitrite: [] as number[],
    nitrate: [] as number[],
    ripe: [] as number[],
  };
  const canFeed = (fed * YIELD.nitrite) / DECAY;
  const record = (at: number): void => {
    day.push(at);
    series.ammonia.push(y[0] ?? 0);
    series.nitrite.push(y[1] ?? 0);
    series.nitrate.push(y[2] ?? 0);
    series.ripe.push(Math.min(1, (y[4] ?? 0) / Math.max(1e-9, Math.min(room * 0.3, canFeed) * 0.8)));
  };
  record(0);
  for (let d = 1; d <= days; d += 1) {
    // Steps no longer than what the fastest of the two rates bears.
    const quick = Math.max(
      (mA * (y[3] ?? 0)) / (YIELD.ammonia * kA),
      (mN * (y[4] ?? 0)) / (YIELD.nitrite * kN),
      plants / 0.05,
    );
    const steps = Math.min(2000, Math.max(24, Math.ceil(quick * 1.2)));
    const dt = 1 / steps;
    for (let step = 0; step < steps; step += 1) {
      const k1 = slope(y);
      const k2 = slope(y.map((it, i) => it + (dt / 2) * (k1[i] ?? 0)));
      const k3 = slope(y.map((it, i) => it + (dt / 2) * (k2[i] ?? 0)));
      const k4 = slope(y.map((it, i) => it + dt * (k3[i] ?? 0)));
      const mean = (i: number): number =>
        (dt / 6) * ((k1[i] ?? 0) + 2 * (k2[i] ?? 0) + 2 * (k3[i] ?? 0) + (k4[i] ?? 0));
      y = y.map((it, i) => it + mean(i));
      out += mean(5);
    }
    if (asked.change > 0 && d % asked.everyDays === 0) {
      for (const i of [0, 1, 2]) {
        out += (y[i] ?? 0) * asked.change;
        y[i] = (y[i] ?? 0) * (1 - asked.change);
      }
    }
    record(d);
  }
  const poison = unionised(ph, t);
  let ready: number | null = null;
  // From the last bad day on; and never before it has been fed and tested for its first weeks.
  for (let i = day.length - 1; i >= 0; i -= 1) {
    const bad =
      (series.ammonia[i] ?? 0) * poison > HARMLESS.unionised || (series.nitrite[i] ?? 0) > HARMLESS.nitrite;
    if (bad) break;
    ready = day[i] ?? null;
  }
  if (ready !== null) ready = Math.max(ready, seeded ? TESTED.seeded : TESTED.fresh);
  if (ready !== null && ready > days - 3) ready = null;
  return {
    day,
    ...series,
    ready,
    balance: {
      in: begun + fed * days,
      out,
      there: (y[0] ?? 0) + (y[1] ?? 0) + (y[2] ?? 0),
    },
  };
}
