import { findRecipe, everydayMaterial } from '../catalogue';
import { level } from '../ground/corners';
import { mixNeed } from '../ground/mix';
import { normalise } from '../ground/parts';
import { mixOfRecipe } from './mixOfRecipe';
import { type Mix, type Layer, type Schools, allLayers } from '../document/schema';
import { setSoilDepth, addLayer, renameLayer } from './layers';
import { type Edit, inGround, inLayers, inMix, nextLayerId, isSoil } from './shared';
import { clamp } from '../physics/constants';

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

export function peatless(layer: Layer): Layer {
  if (layer.kind !== 'substrate') return layer;
  const mix = withoutPeat(layer.mix);
  return mix === layer.mix ? layer : { ...layer, mix };
}

/** Follows another school. With “coir” the peat of every mix is written as coir; with “keep” recipes get theirs back. */
export const setSchools: Edit<Partial<Schools>> = (design, change, catalogue) => {
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

/** Takes a recipe over as it stands, but for its peat where the builder goes without. */
export const takeRecipe: Edit<{ layer: string; recipe: string }> = (design, { layer, recipe }, catalogue) => {
  if (!findRecipe(catalogue, recipe)) return design;
  const mix = mixOfRecipe(recipe, catalogue);
  const { peat } = design.ground.schools;
  return inMix(design, layer, () => (peat === 'coir' ? withoutPeat(mix) : mix));
};

/** Puts a whole mix, as it stands on the bench, into a soil. */
export const setMix: Edit<{ layer: string; mix: Mix }> = (design, { layer, mix }) =>
  inMix(design, layer, () => mix);

/** Fills a soil with a ready-made mix alone. */
export const useReadyMade: Edit<{ layer: string; material: string }> = (design, { layer, material }) =>
  inMix(design, layer, (mix) => ({ ...mix, recipe: null, parts: [{ material, parts: 1 }], packingLoss: 0 }));

/**
 * Stretches what is left of a ready-made mix: so many loose m³ of it, the rest of the need made up by a recipe. Parts are
 * written in litres.
 * @param placed m³ the layer takes
 */
export const stretchReadyMade: Edit<{
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
export const setDrySoil: Edit<{ soil: 'paper' | { recipe: string; depth: number } }> = (
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
export const setParts: Edit<{ layer: string; material: string; parts: number }> = (design, change) =>
  inMix(design, change.layer, (mix) => {
    const parts = clamp(change.parts, 0, 1e6);
    const known = mix.parts.some((part) => part.material === change.material);
    const next = known
      ? mix.parts.map((part) => (part.material === change.material ? { ...part, parts } : part))
      : [...mix.parts, { material: change.material, parts }];
    return next.length > 30 ? mix : { ...mix, parts: next };
  });

export const removePart: Edit<{ layer: string; material: string }> = (design, change) =>
  inMix(design, change.layer, (mix) => {
    const parts = mix.parts.filter((part) => part.material !== change.material);
    return parts.length === 0 ? mix : { ...mix, parts };
  });

/** Writes the parts as the percentages they come to. */
export const writeAsPercent: Edit<{ layer: string }> = (design, { layer }) =>
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

export const setPackingLoss: Edit<{ layer: string; packingLoss: number }> = (design, change) =>
  inMix(design, change.layer, (mix) => ({ ...mix, packingLoss: clamp(change.packingLoss, 0, 0.28) }));
