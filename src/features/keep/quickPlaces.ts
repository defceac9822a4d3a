import type { QuickPlace } from '@/core/log';
import { homeOf, type AnimalRecord } from '@/core/records';

/** Enclosures as a quick line knows them: by name, with the animals that live there. */
export function quickPlaces(
  designs: readonly { readonly id: string; readonly name: string }[],
  animals: readonly AnimalRecord[] | undefined,
): readonly QuickPlace[] {
  const by = new Map<string | null, AnimalRecord[]>();
  for (const it of animals ?? []) by.set(homeOf(it), [...(by.get(homeOf(it)) ?? []), it]);
  return designs.map(({ id, name }) => ({
    id,
    name,
    animals: (by.get(id) ?? []).map((it) => ({ id: it.id, name: it.name })),
  }));
}
