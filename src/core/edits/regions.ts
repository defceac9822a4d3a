import { everydayMaterial, type Catalogue } from '../catalogue';
import { siteAt } from '../ground/bodies';
import { level, map } from '../ground/corners';
import { boundsOf } from '../ground/floor';
import { keepsDry, nearestLand, underWater } from '../scape/land';
import { makeRoom } from './scape';
import { linerOf, type RegionKind, regionOf } from './regionShapes';
import { allLayers, type Design, type Layer, type Region, type Point } from '../document/schema';
import { type Edit, nextLayerId, nextId, inGround, inRegion, inStack } from './shared';
import { clamp } from '../physics/constants';

/**
 * Puts a region of a kind into the floor, on top of those already there.
 * @param over lays it over a place instead of where its kind usually lies: middle and half its side, m
 */
export const addRegion: Edit<{
  kind: RegionKind;
  over?: { readonly x: number; readonly y: number; readonly reach: number };
}> = (design, { kind, over }, catalogue) => {
  const { regions } = design.ground;
  if (regions.length >= 24) return design;
  const made = regionOf(kind, design, catalogue);
  const used = [...allLayers(design.ground)];
  const layers = made.layers.map((layer): Layer => {
    const numbered = { ...layer, id: nextLayerId(used) };
    used.push(numbered);
    return numbered;
  });
  const alike = regions.filter((region) => region.name.startsWith(made.name)).length;
  const region: Region = {
    ...made,
    ...(over ? { outline: squareOver(design, over) } : {}),
    id: nextId('region', regions),
    name: alike > 0 ? `${made.name} ${alike + 1}` : made.name,
    layers,
  };
  const laid = inGround(design, { regions: [...regions, region] });
  return layers.some((it) => it.kind === 'water') ? outOfWater(laid, design, catalogue) : laid;
};

/** What stood on land before, and stands under water now, goes to the nearest land; what has none stays. */
function outOfWater(laid: Design, before: Design, catalogue: Catalogue): Design {
  const [was, is] = [siteAt(before), siteAt(laid)];
  const drowned = (at: Point): boolean => underWater(is, at) && !underWater(was, at);
  const dry = laid.scape.pieces
    .filter((it) => keepsDry(it, catalogue) && drowned(it.at))
    .reduce((design, { id }) => makeRoom(design, { piece: id }, catalogue), laid);
  const plants = dry.living.plants.map((it) => {
    if (it.spot.on !== 'ground' || !drowned(it.spot.at)) return it;
    const at = nearestLand(dry, is, it.spot.at);
    return at ? { ...it, spot: { ...it.spot, at } } : it;
  });
  return plants.every((it, i) => it === dry.living.plants[i])
    ? dry
    : { ...dry, living: { ...dry.living, plants } };
}

/** Lays a liner under the water of a region and the gravel in it, so that it stays where it is. */
export const lineWater: Edit<{ region: string }> = (design, { region }, catalogue) =>
  inStack(design, region, (layers) => {
    let at = layers.findIndex((it) => it.kind === 'water');
    if (at < 0) return layers;
    while (layers[at - 1]?.kind === 'thin') at -= 1;
    const id = nextLayerId([...allLayers(design.ground)]);
    const liner = linerOf(catalogue, 0.04).map((it): Layer => ({ ...it, id }));
    return [...layers.slice(0, at), ...liner, ...layers.slice(at)];
  });

/** Brings gravel into the water of a region, so that it stands `by` m less deep. */
export const shallowWater: Edit<{ region: string; by: number }> = (design, { region, by }, catalogue) =>
  inStack(design, region, (layers) => {
    const at = layers.findIndex((it) => it.kind === 'water');
    if (at < 0 || by <= 0) return layers;
    const under = layers[at - 1];
    if (under?.kind === 'thin')
      return layers.map((it) =>
        it === under ? { ...under, thickness: map(under.thickness, (own) => own + by) } : it,
      );
    const gravel: Layer = {
      kind: 'thin',
      id: nextLayerId([...allLayers(design.ground)]),
      material: everydayMaterial(catalogue, 'thin').id,
      thickness: level(by),
    };
    return [...layers.slice(0, at), gravel, ...layers.slice(at)];
  });

/** A square round a place, kept within the box, to the millimetre. */
function squareOver(
  { enclosure }: Design,
  { x, y, reach }: { readonly x: number; readonly y: number; readonly reach: number },
): Region['outline'] {
  // To the millimetre, but never short of the wall.
  const mm = (value: number, most: number): number =>
    value >= most ? most : Math.round(Math.max(0, value) * 1000) / 1000;
  const side = reach + 0.02;
  const [x0, x1] = [mm(x - side, enclosure.width), mm(x + side, enclosure.width)];
  const [y0, y1] = [mm(y - side, enclosure.depth), mm(y + side, enclosure.depth)];
  return [
    { x: x0, y: y0 },
    { x: x1, y: y0 },
    { x: x1, y: y1 },
    { x: x0, y: y1 },
  ];
}

export const removeRegion: Edit<{ region: string }> = (design, { region }) => {
  const gone = new Set(
    design.ground.regions.find((it) => it.id === region)?.layers.map((layer) => layer.id) ?? [],
  );
  return inGround(design, {
    regions: design.ground.regions.filter((it) => it.id !== region),
    sunk: design.ground.sunk.filter((it) => !gone.has(it.layer)),
  });
};

export const setRegion: Edit<{
  region: string;
  name?: string;
  replaces?: Region['replaces'];
  moistShare?: number | null;
}> = (design, { region: id, name, replaces, moistShare }) =>
  inRegion(design, id, (region) => ({
    ...region,
    name: name?.trim().slice(0, 80) || region.name,
    replaces: replaces ?? region.replaces,
    moistShare: moistShare === undefined ? region.moistShare : moistShare,
  }));

/** Lays a region over (+1) or under (−1) the next one. */
export const orderRegion: Edit<{ region: string; by: 1 | -1 }> = (design, { region: id, by }) => {
  const regions = [...design.ground.regions];
  const from = regions.findIndex((region) => region.id === id);
  const moved = regions[from];
  const other = regions[from + by];
  if (!moved || !other) return design;
  regions[from] = other;
  regions[from + by] = moved;
  return inGround(design, { regions });
};

/** Gives a region another outline; corners stay within the walls. */
export const setOutline: Edit<{ region: string; outline: readonly Point[] }> = (
  design,
  { region, outline },
) => {
  if (outline.length < 3 || outline.length > 40) return design;
  const { width, depth } = design.enclosure;
  const points = outline.map(({ x, y }) => ({ x: clamp(x, 0, width), y: clamp(y, 0, depth) }));
  return inRegion(design, region, (it) => ({ ...it, outline: points }));
};

/** Moves a region across the floor, stopped by the walls; m to the right and to the back. */
export const moveRegion: Edit<{ region: string; x: number; y: number }> = (design, { region: id, x, y }) => {
  const { width, depth } = design.enclosure;
  return inRegion(design, id, (region) => {
    const box = boundsOf(region.outline);
    const dx = clamp(x, -box.x0, Math.max(-box.x0, width - box.x1));
    const dy = clamp(y, -box.y0, Math.max(-box.y0, depth - box.y1));
    return {
      ...region,
      outline: region.outline.map((point) => ({
        x: clamp(point.x + dx, 0, width),
        y: clamp(point.y + dy, 0, depth),
      })),
    };
  });
};

/** Stretches a region so that the rectangle around it is this one, m. */
export const setBounds: Edit<{ region: string; x: number; y: number; width: number; depth: number }> = (
  design,
  { region: id, x, y, width, depth },
) => {
  const floor = design.enclosure;
  const wide = clamp(width, 0.02, floor.width);
  const deep = clamp(depth, 0.02, floor.depth);
  const left = clamp(x, 0, floor.width - wide);
  const front = clamp(y, 0, floor.depth - deep);
  return inRegion(design, id, (region) => {
    const box = boundsOf(region.outline);
    return {
      ...region,
      outline: region.outline.map((point) => ({
        x: left + ((point.x - box.x0) / (box.x1 - box.x0)) * wide,
        y: front + ((point.y - box.y0) / (box.y1 - box.y0)) * deep,
      })),
    };
  });
};
