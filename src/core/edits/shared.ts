import { type Catalogue, everydayMaterial, materialOf, bedOfMaterial } from '../catalogue';
import { map, level, highest } from '../ground/corners';
import { mixOfRecipe } from './mixOfRecipe';
import type { Design, Layer, Region, LayerKind, Mix } from '../document/schema';

/**
 * Named edits: (design, change, catalogue) → design. Pure; an edit that does not apply gives the design back
 * unchanged. They are called by name (see `EditCall`), so that a finding can carry its own remedy as plain data.
 */
export type Edit<C> = (design: Design, change: C, catalogue: Catalogue) => Design;

export const MAX = 10;

export const inBrief = (design: Design, change: Partial<Design['brief']>): Design => ({
  ...design,
  brief: { ...design.brief, ...change },
});

export const inGround = (design: Design, change: Partial<Design['ground']>): Design => ({
  ...design,
  ground: { ...design.ground, ...change },
});

/** Changes layers wherever they lie; regions that do not change stay the same objects. */
export const inLayers = (design: Design, change: (layer: Layer) => Layer): Design => {
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

export const inRegion = (design: Design, id: string, change: (region: Region) => Region): Design =>
  inGround(design, {
    regions: design.ground.regions.map((region) => (region.id === id ? change(region) : region)),
  });

/** Changes the stack of one region, or of the rest of the floor (null). */
export function inStack(design: Design, region: string | null, change: (layers: Layer[]) => Layer[]): Design {
  const stack =
    region === null ? design.ground : design.ground.regions.find((candidate) => candidate.id === region);
  const next = stack && change(stack.layers);
  if (!next || next === stack.layers) return design;
  return region === null
    ? inGround(design, { layers: next })
    : inRegion(design, region, (it) => ({ ...it, layers: next }));
}

/** Which region's stack a layer lies in; null for the rest of the floor. */
export const stackOf = (design: Design, layer: string): string | null =>
  design.ground.regions.find((region) => region.layers.some((it) => it.id === layer))?.id ?? null;

/** Ids count up within a design, so that an edit needs no random source. */
export function nextId(kind: string, used: readonly { readonly id: string }[]): string {
  const numbers = used.map(({ id }) =>
    id.startsWith(`${kind}-`) ? Number(id.slice(kind.length + 1)) || 0 : 0,
  );
  return `${kind}-${Math.max(0, ...numbers) + 1}`;
}

export const nextLayerId = (layers: readonly { readonly id: string }[]): string => nextId('layer', layers);

export function newLayer(kind: LayerKind, layers: readonly Layer[], catalogue: Catalogue): Layer {
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

/** What is not poured stands level. */
export const staysFlat = (layer: Layer, catalogue: Catalogue): boolean =>
  layer.kind === 'drainage' && bedOfMaterial(materialOf(catalogue, layer.material))?.poured === false;

export const isSoil = (layer: Layer): layer is Extract<Layer, { kind: 'substrate' }> =>
  layer.kind === 'substrate';

/** Soil of a stack where it is deepest, m. */
export const deepestSoil = (layers: readonly Layer[]): number =>
  highest(
    map(level(0), (_, corner) =>
      layers.filter(isSoil).reduce((sum, soil) => sum + soil.thickness[corner], 0),
    ),
  );

export const inMix = (design: Design, id: string, change: (mix: Mix) => Mix): Design =>
  inLayers(design, (layer) =>
    layer.id === id && layer.kind === 'substrate' ? { ...layer, mix: change(layer.mix) } : layer,
  );
