import type { Catalogue } from '../catalogue';
import { applyEdit, type EditCall } from '../edits/edits';
import { proposeDesign } from './propose';
import type { Design } from '../document/schema';

/** What is laid out once the ground is: what stands in the box, what makes its climate, and what lives there beside the animal. */
export const LAID_OUT: readonly EditCall[] = [
  { edit: 'proposeScape', change: {} },
  { edit: 'proposeClimate', change: {} },
  { edit: 'proposeLiving', change: {} },
];

/**
 * A first design with all that belongs to it, from three answers. Nothing of it is played yet: see `proposeWhatHolds`.
 * @param edits made to the bare box before the rest is laid out
 */
export const proposeWhole = (
  answers: Parameters<typeof proposeDesign>[0],
  catalogue: Catalogue,
  edits: readonly EditCall[] = [],
): Design =>
  [...edits, ...LAID_OUT].reduce(
    (design, call) => applyEdit(design, call, catalogue),
    proposeDesign(answers, catalogue),
  );
