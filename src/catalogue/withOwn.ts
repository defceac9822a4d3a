import type { Animal, Catalogue, Material, Recipe } from '@/core/catalogue';

/** Rows the builder wrote. One with the id of a shipped row stands in its place. */
export interface OwnRows {
  readonly materials: readonly Material[];
  readonly recipes: readonly Recipe[];
  readonly animals: readonly Animal[];
}

export const NO_OWN_ROWS: OwnRows = { materials: [], recipes: [], animals: [] };

function laidOver<T extends { readonly id: string }>(shipped: readonly T[], own: readonly T[]): T[] {
  const mine = new Map(own.map((row) => [row.id, row]));
  const known = new Set(shipped.map((row) => row.id));
  return [...shipped.map((row) => mine.get(row.id) ?? row), ...own.filter((row) => !known.has(row.id))];
}

/** The catalogue with the builder's own rows. */
export function withOwn(base: Catalogue, own: OwnRows): Catalogue {
  if (own.materials.length + own.recipes.length + own.animals.length === 0) return base;
  return {
    ...base,
    materials: laidOver(base.materials, own.materials),
    recipes: laidOver(base.recipes, own.recipes),
    animals: laidOver(base.animals, own.animals),
  };
}
