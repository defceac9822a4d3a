import type { Room, Stage, Enclosure, Design, Panel, Point } from '../document/schema';
import { usualPanel } from '../enclosure/box';
import { type Edit, inBrief, MAX, inLayers, inGround } from './shared';
import { clamp } from '../physics/constants';

export const rename: Edit<{ name: string }> = (design, { name }) => {
  const trimmed = name.trim().slice(0, 80);
  return trimmed === '' ? design : { ...design, name: trimmed };
};

export const setAnimal: Edit<{ animal: string | null }> = (design, change) => inBrief(design, change);

export const setCount: Edit<{ count: number }> = (design, { count }) =>
  inBrief(design, { count: clamp(Math.round(count), 1, 500) });

export const setRoom: Edit<Partial<Room>> = (design, change) =>
  inBrief(design, { room: { ...design.brief.room, ...change } });

export const setStage: Edit<{ stage: Stage; since: string | null }> = (design, change) =>
  inBrief(design, change);

export const setNote: Edit<{ note: string }> = (design, { note }) =>
  inBrief(design, { note: note.slice(0, 4000) });

/** Where it stands; the shelf is that of its room, and is not known in another one. */
export const setPlace: Edit<Partial<Design['brief']['place']>> = (design, change) => {
  const { place } = design.brief;
  const tidy = (text: string): string => text.trim().replace(/\s+/g, ' ').slice(0, 60);
  const room = tidy(change.room ?? place.room);
  const shelf = change.shelf ?? (room === place.room ? place.shelf : '');
  return inBrief(design, { place: { room, shelf: tidy(shelf) } });
};

export const setPutAway: Edit<{ putAway: boolean }> = (design, change) => inBrief(design, change);

/** What stands in it is written down from here on: as is given, or by hand from nothing. */
export const describe: Edit<{
  parts: Pick<Design, 'ground' | 'scape' | 'climate' | 'living'> | null;
}> = (design, { parts }) => ({ ...inBrief(design, { described: true }), ...parts });

export const setEnclosure: Edit<Partial<Enclosure>> = (design, change) => {
  const enclosure = { ...design.enclosure, ...change };
  return {
    ...fitFloor(design, clamp(enclosure.width, 0.05, MAX), clamp(enclosure.depth, 0.05, MAX)),
    enclosure: {
      ...enclosure,
      width: clamp(enclosure.width, 0.05, MAX),
      depth: clamp(enclosure.depth, 0.05, MAX),
      height: clamp(enclosure.height, 0.05, MAX),
      watertightHeight: clamp(enclosure.watertightHeight, 0, clamp(enclosure.height, 0.05, MAX)),
    },
  };
};

/** What a wall can be made as: as its box is, gauze in a frame, or of a material of its own as thick as is usual. */
export type WallMake = 'box' | 'gauze' | Panel['material'];

/** Makes one wall otherwise than its box; the top is open, gauze or closed by itself. */
export const setWall: Edit<{ wall: Panel['wall']; as: WallMake }> = (design, { wall, as }, catalogue) => {
  const box = design.enclosure;
  const screened = box.screened.filter((it) => it !== wall);
  const panels = box.panels.filter((it) => it.wall !== wall);
  if (as === 'gauze')
    return wall === 'top'
      ? design
      : setEnclosure(design, { screened: [...screened, wall], panels }, catalogue);
  return setEnclosure(
    design,
    { screened, panels: as === 'box' ? panels : [...panels, { wall, ...usualPanel(box, wall, as) }] },
    catalogue,
  );
};

/** Regions, holes and tubes keep their place in the floor when the box changes size. */
function fitFloor(design: Design, width: number, depth: number): Design {
  const wide = width / design.enclosure.width;
  const deep = depth / design.enclosure.depth;
  const { regions, outlet } = design.ground;
  if (wide === 1 && deep === 1) return design;
  const at = ({ x, y }: Point): Point => ({ x: x * wide, y: y * deep });
  const moved = inLayers(design, (layer) =>
    layer.kind === 'barrier' && layer.holes.length > 0
      ? { ...layer, holes: layer.holes.map((hole) => ({ ...hole, ...at(hole) })) }
      : layer,
  );
  return inGround(moved, {
    regions: regions.map((region, index) => ({
      ...(moved.ground.regions[index] ?? region),
      outline: region.outline.map(at),
    })),
    outlet: outlet.kind === 'siphon' ? { ...outlet, at: at(outlet.at) } : outlet,
  });
}
