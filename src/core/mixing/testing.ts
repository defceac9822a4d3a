import { seededRandom } from '../random';
import { NO_CLIMATE_ROWS, NO_LIVING_ROWS, NO_SCAPE_ROWS, type Catalogue, type Material } from '../catalogue';
import type { Build, MixProblem } from './problem';

/** For tests and the benchmark: made-up ingredients and questions, the same for the same seed. */

const guess = <T>(value: T) => ({ value, basis: 'estimated' as const, source: 'accounts' });

interface Told {
  readonly settling?: number;
  readonly density?: number;
  readonly packs?: readonly (readonly [litres: number, price: number])[];
  readonly peat?: boolean;
  readonly saturated?: number;
  readonly alpha?: number;
  readonly hold?: number;
  readonly ph?: number;
}

export function ingredient(id: string, told: Told = {}): Material {
  const ph = told.ph ?? 6;
  return {
    id,
    name: id,
    roles: ['mix'],
    density: guess(told.density ?? 500),
    settling: guess(told.settling ?? 0),
    waterReceived: guess(0.1),
    waterMoist: guess(0.3),
    retention: guess({
      residual: 0.1,
      saturated: told.saturated ?? 0.8,
      alpha: told.alpha ?? 0.2,
      n: 1.6,
    }),
    mixing: {
      sort: 'soil',
      ph: guess({ low: ph, high: ph }),
      salts: guess(0.3),
      decay: guess(0.1),
      hold: guess(told.hold ?? 0.3),
    },
    peatFree: !told.peat,
    cautions: [],
    packs: (told.packs ?? [[10, 5]]).map(([litres, price], index) => ({
      id: `p${index}`,
      form: 'bag' as const,
      volume: litres / 1000,
      price: guess(price),
    })),
  };
}

export const shopOf = (...materials: Material[]): Catalogue => ({
  animals: [],
  recipes: [],
  scape: NO_SCAPE_ROWS,
  climate: NO_CLIMATE_ROWS,
  living: NO_LIVING_ROWS,
  materials,
});

/** A soil of so many placed litres. */
export const soil = (
  id: string,
  litres: number,
  parts: Readonly<Record<string, number>>,
  told: Partial<Build> = {},
): Build => ({
  id,
  name: id,
  placed: litres / 1000,
  mix: {
    recipe: null,
    parts: Object.entries(parts).map(([material, count]) => ({ material, parts: count })),
    packingLoss: 0,
  },
  besides: [],
  tolerance: 0,
  bands: {},
  state: 'drained',
  ...told,
});

export const ask = (builds: readonly Build[], told: Partial<MixProblem> = {}): MixProblem => ({
  builds,
  goal: 'cheapest',
  shelf: {},
  buyable: null,
  peatFree: false,
  budget: null,
  stretch: null,
  ...told,
});

/** A random shop and a random question put to it. */
export function randomCase(
  seed: number,
  size: { readonly ingredients: number; readonly packs: number; readonly builds: number },
): { readonly catalogue: Catalogue; readonly problem: MixProblem } {
  const next = seededRandom(seed);
  const between = (low: number, high: number): number => low + (high - low) * next();
  const whole = (low: number, high: number): number => Math.floor(between(low, high + 1));
  const cents = (value: number): number => Math.round(value * 100) / 100;
  const materials = Array.from({ length: size.ingredients }, (_, index) =>
    ingredient(`m${index}`, {
      settling: cents(between(0, 0.25)),
      density: Math.round(between(40, 1500)),
      saturated: cents(between(0.4, 0.95)),
      alpha: cents(between(0.02, 3)),
      hold: cents(next()),
      ph: cents(between(4, 8)),
      packs: Array.from({ length: size.packs }, (_, pack) => {
        const litres = whole(2, 12) * (pack + 1);
        return [litres, cents(litres * between(0.3, 1.4))] as const;
      }),
    }),
  );
  const builds = Array.from({ length: size.builds }, (_, index): Build => {
    const chosen = materials.filter(() => next() < 0.5);
    const parts = (chosen.length > 0 ? chosen : materials.slice(0, 1)).map((row) => ({
      material: row.id,
      parts: whole(1, 6),
    }));
    return {
      ...soil(`b${index}`, whole(5, 60), {}),
      mix: { recipe: null, parts, packingLoss: cents(between(0, 0.2)) },
      tolerance: cents(between(0, 0.12)),
      besides: materials.filter(() => next() < 0.3).map((row) => row.id),
      bands: next() < 0.3 ? { density: { low: 50, high: Math.round(between(300, 1400)) } } : {},
    };
  });
  const goals = ['cheapest', 'closest', 'shelf'] as const;
  const shelf = Object.fromEntries(
    materials.filter(() => next() < 0.4).map((row) => [row.id, cents(between(0.5, 20)) / 1000]),
  );
  return {
    catalogue: shopOf(...materials),
    problem: ask(builds, {
      goal: goals[whole(0, 2)] ?? 'cheapest',
      shelf,
      buyable: next() < 0.2 ? materials.filter(() => next() < 0.7).map((row) => row.id) : null,
      budget: next() < 0.2 ? Math.round(between(5, 120)) : null,
    }),
  };
}
