import { map, type Corner, CORNERS, level } from '../ground/corners';
import { type LayerKind, allLayers } from '../document/schema';
import {
  type Edit,
  inGround,
  nextId,
  MAX,
  newLayer,
  inStack,
  stackOf,
  inLayers,
  staysFlat,
  isSoil,
  deepestSoil,
} from './shared';
import { clamp } from '../physics/constants';

export const addSunk: Edit<{ layer: string; name: string; volume: number; mass: number | null }> = (
  design,
  { layer, name, volume, mass },
) => {
  const { sunk } = design.ground;
  if (sunk.length >= 60) return design;
  return inGround(design, {
    sunk: [
      ...sunk,
      {
        id: nextId('piece', sunk),
        name: name.trim().slice(0, 80) || 'Piece',
        layer,
        volume: clamp(volume, 0, MAX),
        mass,
      },
    ],
  });
};

export const setSunk: Edit<{
  piece: string;
  name?: string;
  layer?: string;
  volume?: number;
  mass?: number | null;
}> = (design, { piece, ...change }) =>
  inGround(design, {
    sunk: design.ground.sunk.map((it) =>
      it.id === piece
        ? {
            ...it,
            name: change.name?.trim().slice(0, 80) || it.name,
            layer: change.layer ?? it.layer,
            volume: clamp(change.volume ?? it.volume, 0, MAX),
            mass: change.mass === undefined ? it.mass : change.mass,
          }
        : it,
    ),
  });

export const removeSunk: Edit<{ piece: string }> = (design, { piece }) =>
  inGround(design, { sunk: design.ground.sunk.filter((it) => it.id !== piece) });

/** Where a new layer of a kind belongs: counted from the floor. */
const ORDER: Record<LayerKind, number> = {
  drainage: 0,
  barrier: 1,
  thin: 2,
  substrate: 3,
  moss: 4,
  litter: 5,
  water: 6,
};

/** Adds a layer where its kind belongs, on top of its like: to the rest of the floor, or to a region. */
export const addLayer: Edit<{ kind: LayerKind; region?: string }> = (
  design,
  { kind, region = null },
  catalogue,
) => {
  const added = newLayer(kind, allLayers(design.ground), catalogue);
  const next = inStack(design, region, (layers) => {
    if (layers.length >= (region === null ? 60 : 20)) return layers;
    const above = layers.findIndex((layer) => ORDER[layer.kind] > ORDER[kind]);
    const at = above < 0 ? layers.length : above;
    return [...layers.slice(0, at), added, ...layers.slice(at)];
  });
  const drains = kind === 'drainage' && region === null && design.ground.method === 'none';
  return drains ? inGround(next, { method: 'bead-bed' }) : next;
};

/** Takes a layer out. Without anything that drains a box has no drainage, and no water to keep. */
export const removeLayer: Edit<{ layer: string }> = (design, { layer: id }) => {
  const next = inStack(design, stackOf(design, id), (layers) => layers.filter((layer) => layer.id !== id));
  const sunk = design.ground.sunk.filter((it) => it.layer !== id);
  const wet = allLayers(next.ground).some((layer) => layer.kind === 'drainage' || layer.kind === 'water');
  return inGround(next, wet ? { sunk } : { sunk, method: 'none', waterDepth: 0, outlet: { kind: 'none' } });
};

/** Moves a layer one place within its stack: +1 up, −1 down. */
export const moveLayer: Edit<{ layer: string; by: 1 | -1 }> = (design, { layer: id, by }) =>
  inStack(design, stackOf(design, id), (stack) => {
    const layers = [...stack];
    const from = layers.findIndex((layer) => layer.id === id);
    const moved = layers[from];
    const other = layers[from + by];
    if (!moved || !other) return stack;
    layers[from] = other;
    layers[from + by] = moved;
    return layers;
  });

/** Sets the thickness at the named corners, m. A raised panel stays flat. */
export const setThickness: Edit<{ layer: string; corners: readonly Corner[]; thickness: number }> = (
  design,
  change,
  catalogue,
) => {
  const thickness = clamp(change.thickness, 0, MAX);
  return inLayers(design, (layer) => {
    if (layer.id !== change.layer || layer.kind === 'barrier' || layer.kind === 'water') return layer;
    const flat = staysFlat(layer, catalogue);
    const corners: readonly Corner[] = flat ? CORNERS : change.corners;
    const changed = map(layer.thickness, (value, corner) => (corners.includes(corner) ? thickness : value));
    return { ...layer, thickness: changed };
  });
};

/** Raises or lowers the named corners by so much, m: what dragging one end of a layer does. */
export const shiftThickness: Edit<{ layer: string; corners: readonly Corner[]; by: number }> = (
  design,
  change,
  catalogue,
) =>
  inLayers(design, (layer) => {
    if (layer.id !== change.layer || layer.kind === 'barrier' || layer.kind === 'water') return layer;
    const flat = staysFlat(layer, catalogue);
    const corners: readonly Corner[] = flat ? CORNERS : change.corners;
    const changed = map(layer.thickness, (value, corner) =>
      corners.includes(corner) ? clamp(value + change.by, 0, MAX) : value,
    );
    return { ...layer, thickness: changed };
  });

/**
 * Soil only: every substrate layer of the main soil, scaled so that together they stand this deep where they are
 * deepest. The main soil is that of the rest of the floor, or of the deepest region where that has none. A region that
 * is deeper comes down to the same.
 */
export const setSoilDepth: Edit<{ deepest: number }> = (design, { deepest }, catalogue) => {
  const { layers, regions } = design.ground;
  const stacks = [{ id: null as string | null, layers }, ...regions];
  const soils = stacks.filter((stack) => stack.layers.some(isSoil));
  const main = soils.reduce<(typeof stacks)[number] | undefined>(
    (a, b) => (a?.id === null || (a !== undefined && deepestSoil(a.layers) >= deepestSoil(b.layers)) ? a : b),
    undefined,
  );
  if (!main) return setSoilDepth(addLayer(design, { kind: 'substrate' }, catalogue), { deepest }, catalogue);
  return soils.reduce((next, stack) => {
    const now = deepestSoil(stack.layers);
    if (stack.id !== main.id && now <= deepest) return next;
    const count = stack.layers.filter(isSoil).length;
    return inStack(next, stack.id, (own) =>
      own.map((layer) =>
        isSoil(layer)
          ? {
              ...layer,
              thickness:
                now > 0 ? map(layer.thickness, (value) => (value * deepest) / now) : level(deepest / count),
            }
          : layer,
      ),
    );
  }, design);
};

export const renameLayer: Edit<{ layer: string; name: string }> = (design, { layer: id, name }) =>
  inLayers(design, (layer) =>
    layer.id === id && layer.kind === 'substrate'
      ? { ...layer, name: name.trim().slice(0, 200) || layer.name }
      : layer,
  );
