import type { Entry } from './entry';

/**
 * Lines that are the doing of a rule itself, however they were written down: typed in a hurry or ticked. A weight is of one
 * animal, and a cleaning of one thing: those are not.
 */
const DOING: Partial<Record<Entry['kind'], string>> = {
  feed: 'feed',
  mist: 'mist',
  'water-test': 'water-test',
  crew: 'crew-seen',
  lamp: 'uv-meter',
};

/** The rule a line settles; of one that is of a single animal, only the one that it names. */
export const settledBy = ({ rule, kind, animal }: Pick<Entry, 'rule' | 'kind' | 'animal'>): string | null =>
  rule ?? (animal === null ? (DOING[kind] ?? null) : null);
