import { agingLamps } from '@/core/care';
import type { Catalogue } from '@/core/catalogue';
import type { Design } from '@/core/document';
import type { QuickPlace } from '@/core/log';
import { homeOf, type AnimalRecord } from '@/core/records';

/** Enclosures as a quick line knows them: by name, with the animals that live there and the lamps that age. */
export function quickPlaces(
  designs: readonly Design[],
  animals: readonly AnimalRecord[] | undefined,
  catalogue: Catalogue,
): readonly QuickPlace[] {
  const by = new Map<string | null, AnimalRecord[]>();
  for (const it of animals ?? []) by.set(homeOf(it), [...(by.get(homeOf(it)) ?? []), it]);
  return designs.map((design) => ({
    id: design.id,
    name: design.name,
    room: design.brief.place.room,
    lamps: agingLamps(design, catalogue),
    animals: (by.get(design.id) ?? []).map((it) => ({ id: it.id, name: it.name })),
  }));
}
