import { everydayMaterial, findRecipe, materialOf, type Catalogue } from '../catalogue';
import { CORNERS, highest, level, lowest, map, mean, type Corner } from '../ground/corners';
import { normalise } from '../ground/parts';
import type { Squeeze } from '../ground/water';
import { boundsOf } from '../ground/floor';
import { mixNeed } from '../ground/mix';
import { mixOfRecipe } from './mixOfRecipe';
import { regionOf, type RegionKind } from './regions';
import {
  allLayers,
  type Design,
  type Enclosure,
  type Hole,
  type Layer,
  type LayerKind,
  type Method,
  type Mix,
  type Outlet,
  type Point,
  type Region,
  type Room,
  type Schools,
  type Stage,
} from './schema';

/**
 * Named edits: (design, change, catalogue) → design. Pure; an edit that does not apply gives the design back
 * unchanged. They are called by name (see `EditCall`), so that a finding can carry its own remedy as plain data.
 */
type Edit<C> = (design: Design, change: C, catalogue: Catalogue) => Design;

const MAX = 10;
const clamp = (value: number, low: number, high: number): number => Math.min(high, Math.max(low, value));

const inBrief = (design: Design, change: Partial<Design['brief']>): Design => ({
  ...design,
  brief: { ...design.brief, ...change },
});
const inGround = (design: Design, change: Partial<Design['ground']>): Design => ({
  ...design,
  ground: { ...design.ground, ...change },
});
/** Changes layers wherever they lie; regions that do not change stay the same objects. */
const inLayers = (design: Design, change: (layer: Layer) => Layer): Design => {
  const changed = (layers: Layer[]): Layer[] => {
    const next = layers.map(change);
    return next.every((layer, index) => layer === layers[index]) ? layers : next;
  };
  return inGround(design, {
    layers: changed(design.ground.layers),
    regions: design.ground.regions.map((region) => {
      const layers = changed(region.layers);
      return layers === region.layers ? region : { ...region, layers };
    }),
  });
};
const inRegion = (design: Design, id: string, change: (region: Region) => Region): Design =>
  inGround(design, {
    regions: design.ground.regions.map((region) => (region.id === id ? change(region) : region)),
  });
/** Changes the stack of one region, or of the rest of the floor (null). */
function inStack(design: Design, region: string | null, change: (layers: Layer[]) => Layer[]): Design {
  const stack =
    region === null ? design.ground : design.ground.regions.find((candidate) => candidate.id === region);
  const next = stack && change(stack.layers);
  if (!next || next === stack.layers) return design;
  return region === null
    ? inGround(design, { layers: next })
    : inRegion(design, region, (it) => ({ ...it, layers: next }));
}
/** Which region's stack a layer lies in; null for the rest of the floor. */
const stackOf = (design: Design, layer: string): string | null =>
  design.ground.regions.find((region) => region.layers.some((it) => it.id === layer))?.id ?? null;

/** Ids count up within a design, so that an edit needs no random source. */
function nextId(kind: string, used: readonly { readonly id: string }[]): string {
  const numbers = used.map(({ id }) =>
    id.startsWith(`${kind}-`) ? Number(id.slice(kind.length + 1)) || 0 : 0,
  );
  return `${kind}-${Math.max(0, ...numbers) + 1}`;
}
export const nextLayerId = (layers: readonly { readonly id: string }[]): string => nextId('layer', layers);

const rename: Edit<{ name: string }> = (design, { name }) => {
  const trimmed = name.trim().slice(0, 80);
  return trimmed === '' ? design : { ...design, name: trimmed };
};

const setAnimal: Edit<{ animal: string | null }> = (design, change) => inBrief(design, change);
const setCount: Edit<{ count: number }> = (design, { count }) =>
  inBrief(design, { count: clamp(Math.round(count), 1, 500) });
const setRoom: Edit<Partial<Room>> = (design, change) =>
  inBrief(design, { room: { ...design.brief.room, ...change } });
const setStage: Edit<{ stage: Stage; since: string | null }> = (design, change) => inBrief(design, change);
const setNote: Edit<{ note: string }> = (design, { note }) => inBrief(design, { note: note.slice(0, 4000) });

const setPutAway: Edit<{ putAway: boolean }> = (design, change) => inBrief(design, change);

const setEnclosure: Edit<Partial<Enclosure>> = (design, change) => {
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

/** Stands the box on its short side, or back: width and height change places, and the lid becomes the front. */
const turnEnclosure: Edit<Record<never, never>> = (design) => {
  const { enclosure } = design;
  return setEnclosure(
    design,
    {
      width: enclosure.height,
      height: enclosure.width,
      stands: enclosure.stands === 'upright' ? 'on-end' : 'upright',
    } satisfies Partial<Enclosure>,
    NO_CATALOGUE,
  );
};
const NO_CATALOGUE: Catalogue = { sources: [], animals: [], materials: [], recipes: [] };

const usualBed = (design: Design, method: Method): number =>
  clamp(
    design.enclosure.height * (method === 'bead-bed' ? 0.12 : 0.15),
    0.03,
    method === 'bead-bed' ? 0.06 : 0.1,
  );

const isDrained = (kind: Layer['kind']): boolean => kind === 'drainage' || kind === 'barrier';

/** Puts a drainage layer of a method under a stack, or swaps the one that lies there, and sees to its barrier. */
function drainStack(
  design: Design,
  layers: Layer[],
  method: Exclude<Method, 'none' | 'full-water'>,
  catalogue: Catalogue,
): Layer[] {
  const all = allLayers(design.ground);
  const material = everydayMaterial(catalogue, method).id;
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
          thickness: level(usualBed(design, method)),
        },
        ...layers,
      ];
  // A panel is flat: only a bed can be heaped.
  if (method !== 'bead-bed') {
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
const setMethod: Edit<{ method: Method }> = (design, { method }, catalogue) => {
  if (method === design.ground.method) return design;
  // Out of the water first: the land goes back to being all of the floor.
  const dry = design.ground.method === 'full-water' ? landToFloor(design) : design;
  const { layers } = dry.ground;
  const waterDepth =
    design.ground.method === 'none' || design.ground.method === 'full-water' ? 0.012 : dry.ground.waterDepth;
  if (method === 'none') {
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
  if (method === 'full-water') return floodFloor(dry, catalogue);
  return inGround(dry, { method, layers: drainStack(dry, layers, method, catalogue), waterDepth });
};

/** Open water over the floor, and what lay there as land on a panel at the back. */
function floodFloor(design: Design, catalogue: Catalogue): Design {
  const { width, depth, height } = design.enclosure;
  const { ground } = design;
  const stack = drainStack(
    design,
    ground.layers.filter((layer) => layer.kind !== 'drainage'),
    'raised-panel',
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
    method: 'full-water',
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

const setWaterDepth: Edit<{ depth: number }> = (design, { depth }) =>
  inGround(design, { waterDepth: clamp(depth, 0, MAX) });
const setSqueeze: Edit<{ squeeze: Squeeze }> = (design, { squeeze }) => inGround(design, { squeeze });
const setMoistShare: Edit<{ share: number }> = (design, { share }) =>
  inGround(design, { moistShare: clamp(share, 0, 1) });
const setOutlet: Edit<{ outlet: Outlet }> = (design, { outlet }) => inGround(design, { outlet });
const setPanel: Edit<Partial<Design['ground']['panel']>> = (design, change) =>
  inGround(design, {
    panel: {
      spacing: clamp(change.spacing ?? design.ground.panel.spacing, 0.03, 1),
      leg: clamp(change.leg ?? design.ground.panel.leg, 0.005, 0.2),
      rating: change.rating === undefined ? design.ground.panel.rating : change.rating,
    },
  });

/** Writes peat as coir in a mix; parts of coir already there are added up. */
function withoutPeat(mix: Mix): Mix {
  if (!mix.parts.some((part) => part.material === 'peat')) return mix;
  const peat = mix.parts.reduce((sum, part) => sum + (part.material === 'peat' ? part.parts : 0), 0);
  const coir = mix.parts.find((part) => part.material === 'coir');
  return {
    ...mix,
    parts: coir
      ? mix.parts
          .filter((part) => part.material !== 'peat')
          .map((part) => (part === coir ? { ...part, parts: part.parts + peat } : part))
      : mix.parts.map((part) => (part.material === 'peat' ? { ...part, material: 'coir' } : part)),
  };
}

function peatless(layer: Layer): Layer {
  if (layer.kind !== 'substrate') return layer;
  const mix = withoutPeat(layer.mix);
  return mix === layer.mix ? layer : { ...layer, mix };
}

/** Follows another school. With “coir” the peat of every mix is written as coir; with “keep” recipes get theirs back. */
const setSchools: Edit<Partial<Schools>> = (design, change, catalogue) => {
  const schools = { ...design.ground.schools, ...change };
  const next = inGround(design, { schools });
  if (change.peat === undefined || change.peat === design.ground.schools.peat) return next;
  return inLayers(next, (layer) => {
    if (layer.kind !== 'substrate') return layer;
    if (change.peat === 'coir') return peatless(layer);
    const recipe = findRecipe(catalogue, layer.mix.recipe);
    if (!recipe) return layer;
    const original = mixOfRecipe(recipe.id, catalogue);
    const swapped = withoutPeat(original);
    const same = swapped !== original && JSON.stringify(swapped.parts) === JSON.stringify(layer.mix.parts);
    return same ? { ...layer, mix: { ...layer.mix, parts: original.parts } } : layer;
  });
};

/** Puts a region of a kind into the floor, on top of those already there. */
const addRegion: Edit<{ kind: RegionKind }> = (design, { kind }, catalogue) => {
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
    id: nextId('region', regions),
    name: alike > 0 ? `${made.name} ${alike + 1}` : made.name,
    layers,
  };
  return inGround(design, { regions: [...regions, region] });
};
const removeRegion: Edit<{ region: string }> = (design, { region }) => {
  const gone = new Set(
    design.ground.regions.find((it) => it.id === region)?.layers.map((layer) => layer.id) ?? [],
  );
  return inGround(design, {
    regions: design.ground.regions.filter((it) => it.id !== region),
    sunk: design.ground.sunk.filter((it) => !gone.has(it.layer)),
  });
};
const setRegion: Edit<{
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
const orderRegion: Edit<{ region: string; by: 1 | -1 }> = (design, { region: id, by }) => {
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
const setOutline: Edit<{ region: string; outline: readonly Point[] }> = (design, { region, outline }) => {
  if (outline.length < 3 || outline.length > 40) return design;
  const { width, depth } = design.enclosure;
  const points = outline.map(({ x, y }) => ({ x: clamp(x, 0, width), y: clamp(y, 0, depth) }));
  return inRegion(design, region, (it) => ({ ...it, outline: points }));
};
/** Moves a region across the floor, stopped by the walls; m to the right and to the back. */
const moveRegion: Edit<{ region: string; x: number; y: number }> = (design, { region: id, x, y }) => {
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
const setBounds: Edit<{ region: string; x: number; y: number; width: number; depth: number }> = (
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

const addSunk: Edit<{ layer: string; name: string; volume: number; mass: number | null }> = (
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
const setSunk: Edit<{
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
const removeSunk: Edit<{ piece: string }> = (design, { piece }) =>
  inGround(design, { sunk: design.ground.sunk.filter((it) => it.id !== piece) });

const setHoles: Edit<{ layer: string; holes: readonly Hole[] }> = (design, { layer: id, holes }) =>
  inLayers(design, (layer) =>
    layer.id === id && layer.kind === 'barrier'
      ? { ...layer, holes: holes.slice(0, 20).map((it) => ({ ...it })) }
      : layer,
  );
const setWaterLevel: Edit<{ layer: string; level: number | null }> = (design, { layer: id, level: to }) =>
  inLayers(design, (layer) =>
    layer.id === id && layer.kind === 'water'
      ? { ...layer, level: to === null ? null : clamp(to, 0, MAX) }
      : layer,
  );

function newLayer(kind: LayerKind, layers: readonly Layer[], catalogue: Catalogue): Layer {
  const id = nextLayerId(layers);
  switch (kind) {
    case 'drainage':
      return { kind, id, material: everydayMaterial(catalogue, 'bead-bed').id, thickness: level(0.05) };
    case 'barrier':
      return {
        kind,
        id,
        material: everydayMaterial(catalogue, 'barrier').id,
        edge: 'upturned',
        upturn: 0.025,
        overlap: 0.05,
        holes: [],
      };
    case 'substrate': {
      const recipe = catalogue.recipes[0];
      if (!recipe) throw new Error('the catalogue has no recipe');
      return { kind, id, name: 'Soil', mix: mixOfRecipe(recipe.id, catalogue), thickness: level(0.04) };
    }
    case 'thin':
      return { kind, id, material: everydayMaterial(catalogue, 'thin').id, thickness: level(0.01) };
    case 'moss':
      return { kind, id, material: everydayMaterial(catalogue, 'moss').id, thickness: level(0.015) };
    case 'litter':
      return { kind, id, material: everydayMaterial(catalogue, 'litter').id, thickness: level(0.012) };
    case 'water':
      return { kind, id, level: null };
  }
}

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
const addLayer: Edit<{ kind: LayerKind; region?: string }> = (design, { kind, region = null }, catalogue) => {
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
const removeLayer: Edit<{ layer: string }> = (design, { layer: id }) => {
  const next = inStack(design, stackOf(design, id), (layers) => layers.filter((layer) => layer.id !== id));
  const sunk = design.ground.sunk.filter((it) => it.layer !== id);
  const wet = allLayers(next.ground).some((layer) => layer.kind === 'drainage' || layer.kind === 'water');
  return inGround(next, wet ? { sunk } : { sunk, method: 'none', waterDepth: 0, outlet: { kind: 'none' } });
};

/** Moves a layer one place within its stack: +1 up, −1 down. */
const moveLayer: Edit<{ layer: string; by: 1 | -1 }> = (design, { layer: id, by }) =>
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

/** A panel stands level, and so does a foam with its grid. */
const staysFlat = (layer: Layer, catalogue: Catalogue): boolean =>
  layer.kind === 'drainage' &&
  materialOf(catalogue, layer.material).roles.some((role) => role === 'raised-panel' || role === 'foam-grid');

/** Sets the thickness at the named corners, m. A raised panel stays flat. */
const setThickness: Edit<{ layer: string; corners: readonly Corner[]; thickness: number }> = (
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
const shiftThickness: Edit<{ layer: string; corners: readonly Corner[]; by: number }> = (
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

const isSoil = (layer: Layer): layer is Extract<Layer, { kind: 'substrate' }> => layer.kind === 'substrate';

/** Soil of a stack where it is deepest, m. */
const deepestSoil = (layers: readonly Layer[]): number =>
  highest(
    map(level(0), (_, corner) =>
      layers.filter(isSoil).reduce((sum, soil) => sum + soil.thickness[corner], 0),
    ),
  );

/**
 * Soil only: every substrate layer of the main soil, scaled so that together they stand this deep where they are
 * deepest. The main soil is that of the rest of the floor, or of the deepest region where that has none. A region that
 * is deeper comes down to the same.
 */
const setSoilDepth: Edit<{ deepest: number }> = (design, { deepest }, catalogue) => {
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

/** Gives a layer another material. That of the main drainage layer says what the method is. */
const setLayerMaterial: Edit<{ layer: string; material: string }> = (design, change, catalogue) => {
  const changed = inLayers(design, (layer) => {
    if (layer.id !== change.layer || layer.kind === 'substrate' || layer.kind === 'water') return layer;
    const next = { ...layer, material: change.material };
    return next.kind === 'drainage' && staysFlat(next, catalogue)
      ? { ...next, thickness: level(mean(next.thickness)) }
      : next;
  });
  const main = changed.ground.layers.find((layer) => layer.kind === 'drainage');
  if (main?.id !== change.layer) return changed;
  const { roles } = materialOf(catalogue, change.material);
  const method = (['raised-panel', 'foam-grid'] as const).find((role) => roles.includes(role)) ?? 'bead-bed';
  return inGround(changed, { method });
};

const setBarrier: Edit<{ layer: string; edge?: 'flat' | 'upturned'; upturn?: number; overlap?: number }> = (
  design,
  { layer: id, ...change },
) =>
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

const inMix = (design: Design, id: string, change: (mix: Mix) => Mix): Design =>
  inLayers(design, (layer) =>
    layer.id === id && layer.kind === 'substrate' ? { ...layer, mix: change(layer.mix) } : layer,
  );

const renameLayer: Edit<{ layer: string; name: string }> = (design, { layer: id, name }) =>
  inLayers(design, (layer) =>
    layer.id === id && layer.kind === 'substrate'
      ? { ...layer, name: name.trim().slice(0, 200) || layer.name }
      : layer,
  );

/** Takes a recipe over as it stands, but for its peat where the builder goes without. */
const takeRecipe: Edit<{ layer: string; recipe: string }> = (design, { layer, recipe }, catalogue) => {
  if (!findRecipe(catalogue, recipe)) return design;
  const mix = mixOfRecipe(recipe, catalogue);
  const { peat } = design.ground.schools;
  return inMix(design, layer, () => (peat === 'coir' ? withoutPeat(mix) : mix));
};

/** Fills a soil with a ready-made mix alone. */
const useReadyMade: Edit<{ layer: string; material: string }> = (design, { layer, material }) =>
  inMix(design, layer, (mix) => ({ ...mix, recipe: null, parts: [{ material, parts: 1 }], packingLoss: 0 }));

/**
 * Stretches what is left of a ready-made mix: so many loose m³ of it, the rest of the need made up by a recipe. Parts are
 * written in litres.
 * @param placed m³ the layer takes
 */
const stretchReadyMade: Edit<{
  layer: string;
  material: string;
  have: number;
  recipe: string;
  placed: number;
}> = (design, { layer, material, have, recipe, placed }, catalogue) => {
  if (!findRecipe(catalogue, recipe)) return design;
  const own = mixOfRecipe(recipe, catalogue);
  const alone = mixNeed(
    { ...own, recipe: null, parts: [{ material, parts: 1 }], packingLoss: 0 },
    placed,
    catalogue,
  );
  // Each loose litre in hand fills so much of the place; the recipe fills what is left.
  const left = Math.max(0, placed - have * alone.yield);
  const rest = mixNeed(own, left, catalogue);
  const parts = rest.ingredients.map((it) => ({
    material: it.material,
    parts: Math.round(it.loose * 1e5) / 100,
  }));
  return inMix(design, layer, () => ({
    recipe: null,
    packingLoss: own.packingLoss * (placed > 0 ? left / placed : 1),
    parts: [
      { material, parts: Math.round(Math.min(have, alone.loose) * 1e5) / 100 },
      ...parts.filter((part) => part.material !== material && part.parts > 0),
    ],
  }));
};

/** Soil of a dry box by another school: a recipe, or plain paper until the animal is known to be healthy. */
const setDrySoil: Edit<{ soil: 'paper' | { recipe: string; depth: number } }> = (
  design,
  { soil },
  catalogue,
) => {
  const { layers } = design.ground;
  const paper = everydayMaterial(catalogue, 'paper').id;
  const others = layers.filter((layer) => layer.kind === 'drainage' || layer.kind === 'barrier');
  if (soil === 'paper') {
    const sheet: Layer = {
      kind: 'thin',
      id: nextLayerId(allLayers(design.ground)),
      material: paper,
      thickness: level(0.001),
    };
    return inGround(design, { layers: [...others, sheet] });
  }
  const bare = inGround(design, {
    layers: layers.filter((layer) => !(layer.kind === 'thin' && layer.material === paper)),
  });
  const filled = bare.ground.layers.some(isSoil)
    ? bare
    : setSoilDepth(addLayer(bare, { kind: 'substrate' }, catalogue), { deepest: soil.depth }, catalogue);
  const main = filled.ground.layers.find(isSoil);
  if (!main) return filled;
  const name = findRecipe(catalogue, soil.recipe)?.name ?? main.name;
  return renameLayer(
    takeRecipe(filled, { layer: main.id, recipe: soil.recipe }, catalogue),
    { layer: main.id, name },
    catalogue,
  );
};

/** Sets the parts of one ingredient; adds the ingredient when it is new. */
const setParts: Edit<{ layer: string; material: string; parts: number }> = (design, change) =>
  inMix(design, change.layer, (mix) => {
    const parts = clamp(change.parts, 0, 1e6);
    const known = mix.parts.some((part) => part.material === change.material);
    const next = known
      ? mix.parts.map((part) => (part.material === change.material ? { ...part, parts } : part))
      : [...mix.parts, { material: change.material, parts }];
    return next.length > 30 ? mix : { ...mix, parts: next };
  });

const removePart: Edit<{ layer: string; material: string }> = (design, change) =>
  inMix(design, change.layer, (mix) => {
    const parts = mix.parts.filter((part) => part.material !== change.material);
    return parts.length === 0 ? mix : { ...mix, parts };
  });

/** Writes the parts as the percentages they come to. */
const writeAsPercent: Edit<{ layer: string }> = (design, { layer }) =>
  inMix(design, layer, (mix) => {
    const parts = normalise(mix).map((part) => ({
      material: part.material,
      parts: Math.round(part.share * 1000) / 10,
    }));
    // Rounding may leave a tenth over; the largest part takes it.
    const off = Math.round((100 - parts.reduce((sum, part) => sum + part.parts, 0)) * 10) / 10;
    const largest = parts.reduce((a, b) => (b.parts > a.parts ? b : a));
    return {
      ...mix,
      parts: parts.map((part) =>
        part === largest ? { ...part, parts: Math.round((part.parts + off) * 10) / 10 } : part,
      ),
    };
  });

const setPackingLoss: Edit<{ layer: string; packingLoss: number }> = (design, change) =>
  inMix(design, change.layer, (mix) => ({ ...mix, packingLoss: clamp(change.packingLoss, 0, 0.28) }));

/** Replaces the ground whole: how a fresh proposal is taken over. Box, room and the schools that are followed stay. */
const setGround: Edit<{ ground: Design['ground'] }> = (design, { ground }) => {
  const { schools } = design.ground;
  const next = { ...design, ground: { ...ground, schools } };
  return schools.peat === 'coir' ? inLayers(next, peatless) : next;
};

export const EDITS = {
  rename,
  setAnimal,
  setCount,
  setRoom,
  setStage,
  setNote,
  setPutAway,
  setEnclosure,
  turnEnclosure,
  setMethod,
  setWaterDepth,
  setOutlet,
  setPanel,
  setSchools,
  addRegion,
  removeRegion,
  setRegion,
  orderRegion,
  setOutline,
  moveRegion,
  setBounds,
  addSunk,
  setSunk,
  removeSunk,
  setHoles,
  setWaterLevel,
  setSqueeze,
  setMoistShare,
  addLayer,
  removeLayer,
  moveLayer,
  setThickness,
  shiftThickness,
  setSoilDepth,
  setLayerMaterial,
  setBarrier,
  renameLayer,
  useRecipe: takeRecipe,
  useReadyMade,
  stretchReadyMade,
  setDrySoil,
  setParts,
  removePart,
  writeAsPercent,
  setPackingLoss,
  setGround,
};

export type EditName = keyof typeof EDITS;

/** An edit as plain data: its name and what it changes. */
export type EditCall = {
  [N in EditName]: { readonly edit: N; readonly change: Parameters<(typeof EDITS)[N]>[1] };
}[EditName];

/** Carries out a named edit. Returns the same object when nothing changed. */
export function applyEdit(design: Design, call: EditCall, catalogue: Catalogue): Design {
  // The union of calls pairs each name with its own change; the compiler cannot see that through the index.
  const edit = EDITS[call.edit] as Edit<EditCall['change']>;
  return edit(design, call.change, catalogue);
}

/** What undo and redo call each edit. */
export const EDIT_LABELS: Record<EditName, string> = {
  rename: 'name',
  setAnimal: 'animal',
  setCount: 'number of animals',
  setRoom: 'room',
  setStage: 'stage',
  setNote: 'note',
  setPutAway: 'put away or brought back',
  setEnclosure: 'enclosure',
  turnEnclosure: 'which way up',
  setMethod: 'drainage method',
  setWaterDepth: 'water depth',
  setOutlet: 'way out for the water',
  setPanel: 'what the panel stands on',
  setSchools: 'school followed',
  addRegion: 'new region',
  removeRegion: 'region taken out',
  setRegion: 'region',
  orderRegion: 'order of regions',
  setOutline: 'outline of a region',
  moveRegion: 'place of a region',
  setBounds: 'size of a region',
  addSunk: 'piece sunk in the soil',
  setSunk: 'piece sunk in the soil',
  removeSunk: 'sunk piece taken out',
  setHoles: 'holes in the barrier',
  setWaterLevel: 'water level',
  setSqueeze: 'squeeze test',
  setMoistShare: 'how much of the soil is damp',
  addLayer: 'new layer',
  removeLayer: 'layer taken out',
  moveLayer: 'order of layers',
  setThickness: 'layer depth',
  shiftThickness: 'layer depth',
  setSoilDepth: 'soil depth',
  setLayerMaterial: 'material',
  setBarrier: 'barrier',
  renameLayer: 'layer name',
  useRecipe: 'recipe',
  useReadyMade: 'ready-made mix',
  stretchReadyMade: 'ready-made mix stretched',
  setDrySoil: 'soil of a dry box',
  setParts: 'parts of the mix',
  removePart: 'ingredient taken out',
  writeAsPercent: 'parts of the mix',
  setPackingLoss: 'packing loss',
  setGround: 'whole ground',
};
