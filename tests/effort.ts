/**
 * How often what is tried at random is tried: `few` times in every run, `many` in a long one (`npm run test:long`). What
 * has no end is sampled either way; a run that is waited for takes a smaller sample, of the same seed.
 */
export const tries = (few: number, many: number): number =>
  process.env.RINCON_LONG === undefined ? few : many;
