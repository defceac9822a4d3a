import type { Catalogue } from '../catalogue';
import { nozzleRate } from '../climate/misting';
import type { Design } from '../document/schema';

/** Days after which the bottle of the misting system is filled at the latest. */
const FILLED_BY = 7;

/** Whole days that a bottle lasts its nozzles, a week at the most: as long as the design draws from it. */
export function bottleLasts({ climate }: Design, catalogue: Catalogue): number {
  const rate = nozzleRate({ climate }, catalogue);
  const { mist } = climate;
  const seconds = mist.times.reduce((sum, it) => sum + it.seconds, 0) / mist.everyDays;
  const days = ((mist.bottle ?? 0) * 1000) / Math.max(1e-9, rate * seconds);
  return Math.max(1, Math.min(FILLED_BY, Math.floor(days)));
}
