import { everydayMaterial, findRecipe, materialOf, type Catalogue } from '../catalogue';
import { CORNERS, highest, level, lowest, map, mean, type Corner } from '../ground/corners';
import { normalise } from '../ground/parts';
import type { Squeeze } from '../ground/water';
import type { Corners, Design, Enclosure, Layer, LayerKind, Method, Mix, Room, Stage } from './schema';

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
const inLayers = (design: Design, change: (layer: Layer) => Layer): Design =>
  inGround(design, { layers: design.ground.layers.map(change) });

/** Ids count up within a design, so that an edit needs no random source. */
export function nextLayerId(layers: readonly Layer[]): string {
  const used = layers.map((layer) => Number(/^layer-(\d+)$/.exec(layer.id)?.[1] ?? 0));
  return `layer-${Math.max(0, ...used) + 1}`;
}

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
    ...design,
    enclosure: {
      ...enclosure,
      width: clamp(enclosure.width, 0.05, MAX),
      depth: clamp(enclosure.depth, 0.05, MAX),
      height: clamp(enclosure.height, 0.05, MAX),
      watertightHeight: clamp(enclosure.watertightHeight, 0, clamp(enclosure.height, 0.05, MAX)),
    },
  };
};

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
    design.enclosure.height * (method === 'raised-panel' ? 0.15 : 0.12),
    0.03,
    method === 'raised-panel' ? 0.1 : 0.06,
  );

/** Changes what drains: puts in, swaps or takes out the drainage layer and its barrier. */
const setMethod: Edit<{ method: Method }> = (design, { method }, catalogue) => {
  const { layers } = design.ground;
  if (method === 'none') {
    return inGround(design, {
      method,
      waterDepth: 0,
      drainBore: null,
      layers: layers.filter((layer) => layer.kind !== 'drainage' && layer.kind !== 'barrier'),
    });
  }
  const material = everydayMaterial(catalogue, method).id;
  const standing = layers.find((layer) => layer.kind === 'drainage');
  let next: Layer[] = standing
    ? layers.map((layer) =>
        layer.id === standing.id && layer.kind === 'drainage' ? { ...layer, material } : layer,
      )
    : [
        { kind: 'drainage', id: nextLayerId(layers), material, thickness: level(usualBed(design, method)) },
        ...layers,
      ];
  // A panel is flat: only a bed can be heaped.
  if (method === 'raised-panel') {
    next = next.map((layer) =>
      layer.kind === 'drainage' ? { ...layer, thickness: level(lowest(layer.thickness)) } : layer,
    );
  }
  if (!next.some((layer) => layer.kind === 'barrier')) {
    const at = next.findIndex((layer) => layer.kind === 'drainage');
    next.splice(at + 1, 0, newLayer('barrier', next, catalogue));
  }
  const waterDepth = design.ground.method === 'none' ? 0.012 : design.ground.waterDepth;
  return inGround(design, { method, layers: next, waterDepth });
};

const setWaterDepth: Edit<{ depth: number }> = (design, { depth }) =>
  inGround(design, { waterDepth: clamp(depth, 0, MAX) });
const setSqueeze: Edit<{ squeeze: Squeeze }> = (design, { squeeze }) => inGround(design, { squeeze });
const setMoistShare: Edit<{ share: number }> = (design, { share }) =>
  inGround(design, { moistShare: clamp(share, 0, 1) });
const setDrainBore: Edit<{ bore: number | null }> = (design, { bore }) =>
  inGround(design, { drainBore: bore === null ? null : clamp(bore, 0.002, 0.2) });

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
  }
}

/** The parts of a recipe, as a mix of a design's own. Throws for a recipe the catalogue does not hold. */
export function mixOfRecipe(id: string, catalogue: Catalogue): Mix {
  const recipe = findRecipe(catalogue, id);
  if (!recipe) throw new Error(`no recipe ${id}`);
  return {
    recipe: recipe.id,
    parts: recipe.parts.map((part) => ({ ...part })),
    packingLoss: recipe.packingLoss.value,
  };
}

/** Where a new layer of a kind belongs: counted from the floor. */
const ORDER: Record<LayerKind, number> = {
  drainage: 0,
  barrier: 1,
  thin: 2,
  substrate: 3,
  moss: 4,
  litter: 5,
};

/** Adds a layer where its kind belongs, on top of its like. */
const addLayer: Edit<{ kind: LayerKind }> = (design, { kind }, catalogue) => {
  const { layers } = design.ground;
  if (layers.length >= 60) return design;
  const above = layers.findIndex((layer) => ORDER[layer.kind] > ORDER[kind]);
  const at = above < 0 ? layers.length : above;
  return inGround(design, {
    layers: [...layers.slice(0, at), newLayer(kind, layers, catalogue), ...layers.slice(at)],
    method: kind === 'drainage' && design.ground.method === 'none' ? 'bead-bed' : design.ground.method,
  });
};

/** Takes a layer out. Without its drainage layer a box has no drainage, and no water to keep. */
const removeLayer: Edit<{ layer: string }> = (design, { layer: id }) => {
  const layers = design.ground.layers.filter((layer) => layer.id !== id);
  const drained = layers.some((layer) => layer.kind === 'drainage');
  return inGround(design, drained ? { layers } : { layers, method: 'none', waterDepth: 0, drainBore: null });
};

/** Moves a layer one place: +1 up, −1 down. */
const moveLayer: Edit<{ layer: string; by: 1 | -1 }> = (design, { layer: id, by }) => {
  const layers = [...design.ground.layers];
  const from = layers.findIndex((layer) => layer.id === id);
  const to = from + by;
  const moved = layers[from];
  const other = layers[to];
  if (!moved || !other) return design;
  layers[from] = other;
  layers[to] = moved;
  return inGround(design, { layers });
};

/** Sets the thickness at the named corners, m. A raised panel stays flat. */
const setThickness: Edit<{ layer: string; corners: readonly Corner[]; thickness: number }> = (
  design,
  change,
) => {
  const thickness = clamp(change.thickness, 0, MAX);
  return inLayers(design, (layer) => {
    if (layer.id !== change.layer || layer.kind === 'barrier') return layer;
    const flat = layer.kind === 'drainage' && design.ground.method === 'raised-panel';
    const corners: readonly Corner[] = flat ? CORNERS : change.corners;
    const changed = map(layer.thickness, (value, corner) => (corners.includes(corner) ? thickness : value));
    return { ...layer, thickness: changed };
  });
};

/** Raises or lowers the named corners by so much, m: what dragging one end of a layer does. */
const shiftThickness: Edit<{ layer: string; corners: readonly Corner[]; by: number }> = (design, change) =>
  inLayers(design, (layer) => {
    if (layer.id !== change.layer || layer.kind === 'barrier') return layer;
    const flat = layer.kind === 'drainage' && design.ground.method === 'raised-panel';
    const corners: readonly Corner[] = flat ? CORNERS : change.corners;
    const changed = map(layer.thickness, (value, corner) =>
      corners.includes(corner) ? clamp(value + change.by, 0, MAX) : value,
    );
    return { ...layer, thickness: changed };
  });

/** Soil only: every substrate layer, scaled so that together they stand this deep where they are deepest. */
const setSoilDepth: Edit<{ deepest: number }> = (design, { deepest }, catalogue) => {
  const soils = design.ground.layers.filter((layer) => layer.kind === 'substrate');
  if (soils.length === 0) {
    const added = addLayer(design, { kind: 'substrate' }, catalogue);
    return setSoilDepth(added, { deepest }, catalogue);
  }
  const stack: Corners = map(level(0), (_, corner) =>
    soils.reduce((sum, soil) => sum + soil.thickness[corner], 0),
  );
  const now = highest(stack);
  return inLayers(design, (layer) => {
    if (layer.kind !== 'substrate') return layer;
    const scaled =
      now > 0 ? map(layer.thickness, (value) => (value * deepest) / now) : level(deepest / soils.length);
    return { ...layer, thickness: scaled };
  });
};

const setLayerMaterial: Edit<{ layer: string; material: string }> = (design, change, catalogue) => {
  const changed = inLayers(design, (layer) =>
    layer.id === change.layer && layer.kind !== 'substrate' ? { ...layer, material: change.material } : layer,
  );
  const drainage = changed.ground.layers.find((layer) => layer.kind === 'drainage');
  if (drainage?.id !== change.layer || drainage.kind !== 'drainage') return changed;
  const panel = materialOf(catalogue, change.material).roles.includes('raised-panel');
  return inGround(
    { ...changed },
    {
      method: panel ? 'raised-panel' : 'bead-bed',
      layers: changed.ground.layers.map((layer) =>
        panel && layer.kind === 'drainage' ? { ...layer, thickness: level(mean(layer.thickness)) } : layer,
      ),
    },
  );
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

const useRecipe: Edit<{ layer: string; recipe: string }> = (design, { layer, recipe }, catalogue) =>
  findRecipe(catalogue, recipe) ? inMix(design, layer, () => mixOfRecipe(recipe, catalogue)) : design;

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

/** Replaces the ground whole, with the box and room kept: how a fresh proposal is taken over. */
const setGround: Edit<{ ground: Design['ground'] }> = (design, { ground }) => ({ ...design, ground });

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
  setDrainBore,
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
  useRecipe,
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
  setDrainBore: 'drain',
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
  setParts: 'parts of the mix',
  removePart: 'ingredient taken out',
  writeAsPercent: 'parts of the mix',
  setPackingLoss: 'packing loss',
  setGround: 'whole ground',
};
