import type { Catalogue } from '@/core/catalogue';

/** The catalogue with the builder's own prices in place of the typical ones. Keys are `material/pack`. */
export function withPrices(base: Catalogue, prices: Readonly<Record<string, number>>): Catalogue {
  if (Object.keys(prices).length === 0) return base;
  return {
    ...base,
    materials: base.materials.map((row) => ({
      ...row,
      packs: row.packs.map((pack) => {
        const own = prices[`${row.id}/${pack.id}`];
        return own === undefined ? pack : { ...pack, price: { value: own, basis: 'own' as const } };
      }),
    })),
  };
}
