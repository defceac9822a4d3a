import type { Sourced } from '@/core/catalogue';

/** What keepers, growers and builders say; no source is claimed. */
export const practice = <T>(value: T): Sourced<T> => ({ value, basis: 'practice' });
/** Read from a work; `source` is an id of the list of works. */
export const published = <T>(value: T, source: string): Sourced<T> => ({ value, basis: 'published', source });
/** The work gives it; the figure is recalled, to be checked there. */
export const cited = <T>(value: T, source: string): Sourced<T> => ({ value, basis: 'cited', source });
/** By a rule; `rule` is an id of the list of rules. */
export const estimated = <T>(value: T, rule: string): Sourced<T> => ({
  value,
  basis: 'estimated',
  source: rule,
});
/** Cited where a work is known to give it, else estimated by the rule. */
export const citedOr = <T>(value: T, source: string | undefined, rule: string): Sourced<T> =>
  source === undefined ? estimated(value, rule) : cited(value, source);

export const range = (low: number, high: number) => ({ low, high });
