import {
  bedOf,
  bedOfMaterial,
  drainageMethodOf,
  everydayMaterial,
  materialOf,
  methodOfBed,
  usualBedDepth,
  type BedId,
  type Catalogue,
} from '../catalogue';
import { level, lowest, map, mean } from '../ground/corners';
import type { Squeeze } from '../ground/water';
import {
  type Design,
  type Method,
  type Layer,
  allLayers,
  type Region,
  type Outlet,
  type Hole,
} from '../document/schema';
import { nextLayerId, newLayer, type Edit, inGround, nextId, MAX, inLayers } from './shared';
import { clamp } from '../physics/constants';

const isDrained = (kind: Layer['kind']): boolean => kind === 'drainage' || kind === 'barrier';

/** m from kept water up to the soil, with something to spare (common practice). */
const FREEBOARD = 0.015;

/** Puts a bed under a stack, or swaps the one that lies there, and sees to its barrier. */
function drainStack(design: Design, layers: Layer[], bed: BedId, catalogue: Catalogue): Layer[] {
  const all = allLayers(design.ground);
  const material = everydayMaterial(catalogue, bed).id;
  const standing = layers.find((layer) => layer.kind === 'drainage');
  let next: Layer[] = standing
    ? layers.map((layer) =>
        layer.id === standing.id && layer.kind === 'drainage' ? { ...layer, material } : layer,
      )
    : [
        {
          kind: 'drainage',
          id: nextLayerId([...all, ...layers]),
          material,
          thickness: level(usualBedDepth(methodOfBed(bed), design.enclosure.height)),
        },
        ...layers,
      ];
  // Only what is poured can be heaped.
  if (!bedOf(bed).poured) {
    next = next.map((layer) =>
      layer.kind === 'drainage' ? { ...layer, thickness: level(lowest(layer.thickness)) } : layer,
    );
  }
  if (!next.some((layer) => layer.kind === 'barrier')) {
    const at = next.findIndex((layer) => layer.kind === 'drainage');
    next.splice(at + 1, 0, newLayer('barrier', [...all, ...next], catalogue));
  }
  return next;
}

/** Changes what drains: puts in, swaps or takes out the drainage layer and its barrier, or floods the floor. */
export const setMethod: Edit<{ method: Method }> = (design, { method }, catalogue) => {
  if (method === design.ground.method) return design;
  // Out of the water first: the land goes back to being all of the floor.
  const before = drainageMethodOf(design.ground.method);
  const dry = before.openWater ? landToFloor(design) : design;
  const { layers } = dry.ground;
  const waterDepth = before.bed === null || before.openWater ? 0.012 : dry.ground.waterDepth;
  const { bed, openWater } = drainageMethodOf(method);
  if (bed === null) {
    return inGround(dry, {
      method,
      waterDepth: 0,
      outlet: { kind: 'none' },
      layers: layers.filter((layer) => !isDrained(layer.kind)),
      regions: dry.ground.regions.map((region) => ({
        ...region,
        layers: region.layers.filter((layer) => !isDrained(layer.kind)),
      })),
    });
  }
  if (openWater) return floodFloor(dry, method, bed, catalogue);
  return inGround(dry, { method, layers: drainStack(dry, layers, bed, catalogue), waterDepth });
};

/** Open water over the floor, and what lay there as land on a panel at the back. */
function floodFloor(design: Design, method: Method, bed: BedId, catalogue: Catalogue): Design {
  const { width, depth, height } = design.enclosure;
  const { ground } = design;
  const stack = drainStack(
    design,
    ground.layers.filter((layer) => layer.kind !== 'drainage'),
    bed,
    catalogue,
  );
  const waterDepth = clamp(height * 0.14, 0.03, 0.12);
  const panel = Math.max(0.05, Math.round((waterDepth + 0.02) * 1000) / 1000);
  const layers = stack.map((layer) =>
    layer.kind === 'drainage' ? { ...layer, thickness: level(panel) } : layer,
  );
  const land: Region = {
    id: nextId('region', ground.regions),
    name: 'Land',
    outline: [
      { x: 0, y: depth * 0.45 },
      { x: width, y: depth * 0.45 },
      { x: width, y: depth },
      { x: 0, y: depth },
    ],
    replaces: 'all',
    moistShare: null,
    layers,
  };
  return inGround(design, {
    method,
    waterDepth,
    layers: [{ kind: 'water', id: nextLayerId([...allLayers(ground), ...layers]), level: null }],
    regions: [land, ...ground.regions],
  });
}

/** The first land of a flooded floor becomes the ground of all of it again. */
function landToFloor(design: Design): Design {
  const land = design.ground.regions.find((region) => region.layers.some((it) => it.kind === 'substrate'));
  return inGround(design, {
    layers: land?.layers ?? design.ground.layers.filter((layer) => layer.kind !== 'water'),
    regions: design.ground.regions.filter((region) => region !== land),
  });
}

export const setWaterDepth: Edit<{ depth: number }> = (design, { depth }) =>
  inGround(design, { waterDepth: clamp(depth, 0, MAX) });

/** Keeps so much water, m, and makes the bed deep enough that what lies over it stays out of it. */
export const keepWater: Edit<{ depth: number }> = (design, { depth }, catalogue) => {
  const kept = setWaterDepth(design, { depth }, catalogue);
  const least = Math.ceil((depth + FREEBOARD) * 200 - 1e-6) / 200;
  return inLayers(kept, (layer) =>
    layer.kind === 'drainage'
      ? { ...layer, thickness: map(layer.thickness, (it) => Math.max(it, Math.min(least, MAX))) }
      : layer,
  );
};

export const setSqueeze: Edit<{ squeeze: Squeeze }> = (design, { squeeze }) => inGround(design, { squeeze });

export const setMoistShare: Edit<{ share: number }> = (design, { share }) =>
  inGround(design, { moistShare: clamp(share, 0, 1) });

export const setOutlet: Edit<{ outlet: Outlet }> = (design, { outlet }) => inGround(design, { outlet });

export const setPanel: Edit<Partial<Design['ground']['panel']>> = (design, change) =>
  inGround(design, {
    panel: {
      spacing: clamp(change.spacing ?? design.ground.panel.spacing, 0.03, 1),
      leg: clamp(change.leg ?? design.ground.panel.leg, 0.005, 0.2),
      rating: change.rating === undefined ? design.ground.panel.rating : change.rating,
    },
  });

export const setHoles: Edit<{ layer: string; holes: readonly Hole[] }> = (design, { layer: id, holes }) =>
  inLayers(design, (layer) =>
    layer.id === id && layer.kind === 'barrier'
      ? { ...layer, holes: holes.slice(0, 20).map((it) => ({ ...it })) }
      : layer,
  );

export const setWaterLevel: Edit<{ layer: string; level: number | null }> = (
  design,
  { layer: id, level: to },
) =>
  inLayers(design, (layer) =>
    layer.id === id && layer.kind === 'water'
      ? { ...layer, level: to === null ? null : clamp(to, 0, MAX) }
      : layer,
  );

/**
 * Gives a layer another material. That of the main drainage layer says what the method is; what drains nothing is not
 * laid as one.
 */
export const setLayerMaterial: Edit<{ layer: string; material: string }> = (design, change, catalogue) => {
  const bed = bedOfMaterial(materialOf(catalogue, change.material));
  const changed = inLayers(design, (layer) => {
    if (layer.id !== change.layer || layer.kind === 'substrate' || layer.kind === 'water') return layer;
    if (layer.kind !== 'drainage') return { ...layer, material: change.material };
    if (!bed) return layer;
    const next = { ...layer, material: change.material };
    return bed.poured ? next : { ...next, thickness: level(mean(next.thickness)) };
  });
  const main = changed.ground.layers.find((layer) => layer.kind === 'drainage');
  return bed && main?.id === change.layer ? inGround(changed, { method: methodOfBed(bed.role) }) : changed;
};

export const setBarrier: Edit<{
  layer: string;
  edge?: 'flat' | 'upturned';
  upturn?: number;
  overlap?: number;
}> = (design, { layer: id, ...change }) =>
  inLayers(design, (layer) =>
    layer.id === id && layer.kind === 'barrier'
      ? {
          ...layer,
          edge: change.edge ?? layer.edge,
          upturn: clamp(change.upturn ?? layer.upturn, 0, 0.3),
          overlap: clamp(change.overlap ?? layer.overlap, 0, 0.3),
        }
      : layer,
  );
