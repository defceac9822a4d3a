import { roomClimate } from '../brief';
import { findAnimal, type Catalogue } from '../catalogue';
import { BARE_LIVING, EMPTY_SCAPE, type Design } from '../document/schema';
import { applyEdit } from '../edits/edits';
import { usualPanel, usualWall } from '../enclosure/box';
import { dayPlus } from '../time';
import { proposeDesign, proposeGround, proposeSize } from './propose';
import { LAID_OUT } from './whole';

/** What a keeper says of an enclosure that has stood for long. */
export interface Standing {
  readonly id: string;
  readonly name: string;
  /** null: not said. */
  readonly animal: string | null;
  readonly count: number;
  /** Inside, m; null: not said, and taken as the smallest that suits. */
  readonly size: { readonly width: number; readonly depth: number; readonly height: number } | null;
  readonly material: Design['enclosure']['material'];
  /** Day it has been lived in since; null: not said. */
  readonly since: string | null;
  readonly note: string;
  /** Where it stands; left out: not said. */
  readonly place?: Design['brief']['place'];
}

/**
 * An enclosure that stands already, of which only its box and who lives there are known. Nothing is invented: no ground, no
 * plants, no lamps. What comes round is settled up to the day before, so that nothing is called late that was never told.
 * @param today local day it is written down, ISO 8601
 */
export function standsAlready(told: Standing, today: string, catalogue: Catalogue): Design {
  const animal = findAnimal(catalogue, told.animal);
  const size = told.size ?? proposeSize(animal, told.count);
  const bare = proposeDesign(
    {
      id: told.id,
      name: told.name,
      animal: told.animal,
      count: told.count,
      size,
      room: { kind: null, temperature: null, humidity: null },
    },
    catalogue,
  );
  const { material } = told;
  const panes = material === 'timber' || material === 'pvc';
  return {
    ...bare,
    brief: {
      ...bare.brief,
      stage: told.animal === null ? 'growing-in' : 'inhabited',
      since: told.since !== null && told.since > today ? today : told.since,
      note: told.note,
      place: told.place ?? bare.brief.place,
      described: false,
    },
    enclosure: {
      ...bare.enclosure,
      material,
      wallThickness: usualWall(material, Math.max(size.width, size.depth, size.height)),
      panels: panes ? [{ wall: 'front', ...usualPanel({ ...size, front: 'doors' }, 'front', 'glass') }] : [],
    },
    ground: { ...bare.ground, method: 'none', waterDepth: 0, layers: [], regions: [] },
    scape: EMPTY_SCAPE,
    living: { ...BARE_LIVING, school: 'none', rest: bare.living.rest },
    care: { ...bare.care, settled: dayPlus(today, -1) },
  };
}

/** What usually stands in such an enclosure for such an animal, to be changed to what is there. */
export function usualInside(
  design: Design,
  catalogue: Catalogue,
): Pick<Design, 'ground' | 'scape' | 'climate' | 'living'> {
  const animal = findAnimal(catalogue, design.brief.animal);
  const ground = proposeGround(
    { animal, enclosure: design.enclosure, room: roomClimate(design.brief.room) },
    catalogue,
  );
  const { school } = BARE_LIVING;
  const laid: Design = { ...design, ground, living: { ...design.living, school } };
  const { scape, climate, living } = LAID_OUT.reduce((it, call) => applyEdit(it, call, catalogue), laid);
  return { ground, scape, climate, living };
}
