import type { Catalogue } from '@/core/catalogue';

type Priced = { readonly id: string; readonly price: { readonly value: number } };

/**
 * The catalogue with the builder's own prices in place of the typical ones. Keys are `material/pack`; of all else
 * `supply:id/pack` and, for what is sold one by one, `piece:id/each` and so on.
 */
export function withPrices(base: Catalogue, prices: Readonly<Record<string, number>>): Catalogue {
  if (Object.keys(prices).length === 0) return base;
  const at = <T extends Priced>(key: string, row: T): T => {
    const own = prices[key];
    return own === undefined ? row : { ...row, price: { value: own, basis: 'measured' as const } };
  };
  const each = <T extends Priced>(group: string, rows: readonly T[]): T[] =>
    rows.map((row) => at(`${group}:${row.id}/each`, row));
  return {
    ...base,
    materials: base.materials.map((row) => ({
      ...row,
      packs: row.packs.map((pack) => at(`${row.id}/${pack.id}`, pack)),
    })),
    scape: {
      ...base.scape,
      pieces: each('piece', base.scape.pieces),
      supplies: base.scape.supplies.map((row) => ({
        ...row,
        packs: row.packs.map((pack) => at(`supply:${row.id}/${pack.id}`, pack)),
      })),
    },
    climate: { ...base.climate, devices: each('device', base.climate.devices) },
    living: {
      ...base.living,
      plants: each('plant', base.living.plants),
      crew: each('crew', base.living.crew),
    },
  };
}
