import { findRecipe, type Catalogue } from '../catalogue';
import type { Mix } from '../document/schema';

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
