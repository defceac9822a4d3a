import type { Catalogue } from '@/core/catalogue';
import { animals } from './animals';
import { materials } from './materials';
import { recipes } from './recipes';
import { sources } from './sources';

/** Everything that ships. */
export const catalogue: Catalogue = { sources, animals, materials, recipes };
export { BOARDS, SEALS } from './boards';
export { CAUTIONS } from './cautions';
export { withPrices } from './ownPrices';
export { NO_OWN_ROWS, withOwn, type OwnRows } from './withOwn';
export { DEMO_SHELF, demoDesigns } from './demo';
