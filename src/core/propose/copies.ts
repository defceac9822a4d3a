import { BARE_PLAN, type Design } from '../document/schema';

/**
 * A copy of an enclosure to be made otherwise and compared: as it is built, but planned. Nobody lives in it, nothing was done
 * in it and nothing is due; how it is calibrated, and when its plants were set, is of the same box and stays.
 */
export const variantOf = (design: Design, id: string, name: string): Design => ({
  ...design,
  id,
  name,
  brief: { ...design.brief, stage: 'planned', since: null },
  plan: { ...BARE_PLAN, pace: design.plan.pace, animal: design.plan.animal },
  care: { ...design.care, settled: null },
});
