import type { Animal, Catalogue, CrewKind, Material, Plant, Recipe } from '@/core/catalogue';

/** Rows the builder wrote. One with the id of a shipped row stands in its place. */
export interface OwnRows {
  readonly materials: readonly Material[];
  readonly recipes: readonly Recipe[];
  readonly animals: readonly Animal[];
  readonly plants: readonly Plant[];
  readonly crew: readonly CrewKind[];
}

/** The kinds of own rows, in the order they are read. */
export const OWN_KINDS = [
  'materials',
  'recipes',
  'animals',
  'plants',
  'crew',
] as const satisfies readonly (keyof OwnRows)[];

export const NO_OWN_ROWS: OwnRows = { materials: [], recipes: [], animals: [], plants: [], crew: [] };

function laidOver<T extends { readonly id: string }>(shipped: readonly T[], own: readonly T[]): T[] {
  const mine = new Map(own.map((row) => [row.id, row]));
  const known = new Set(shipped.map((row) => row.id));
  return [...shipped.map((row) => mine.get(row.id) ?? row), ...own.filter((row) => !known.has(row.id))];
}

/** The catalogue with the builder's own rows. */
export function withOwn(base: Catalogue, own: OwnRows): Catalogue {
  if (OWN_KINDS.every((kind) => own[kind].length === 0)) return base;
  return {
    ...base,
    materials: laidOver(base.materials, own.materials),
    recipes: laidOver(base.recipes, own.recipes),
    animals: laidOver(base.animals, own.animals),
    living: {
      ...base.living,
      plants: laidOver(base.living.plants, own.plants),
      crew: laidOver(base.living.crew, own.crew),
    },
  };
}
