import type { Catalogue } from '@/core/catalogue';
import { animals } from './animals';
import { crew, litters } from './crew';
import { climateRows } from './devices';
import { backgrounds, filters, supplies } from './backgrounds';
import { materials } from './materials';
import { pieces } from './pieces';
import { plants } from './plants';
import { recipes } from './recipes';

/** Everything that ships. */
export const catalogue: Catalogue = {
  animals,
  materials,
  recipes,
  scape: { pieces, backgrounds, supplies, filters },
  climate: climateRows,
  living: { plants, crew, litters },
};
export { BOARDS, SEALS } from './boards';
export { CAUTIONS } from './cautions';
export { withPrices } from './ownPrices';
export { NO_OWN_ROWS, OWN_KINDS, withOwn, type OwnRows } from './withOwn';
