import type { Sourced } from '@/core/catalogue';

/** From memory, to be confirmed against a published account. */
export const memory = <T>(value: T): Sourced<T> => ({ value, basis: 'memory' });
/** Common practice of the trade; no source is claimed. */
export const practice = <T>(value: T): Sourced<T> => ({ value, basis: 'practice' });
/** Published; `source` is a key of the sources list. */
export const published = <T>(value: T, source: string): Sourced<T> => ({ value, basis: 'published', source });

export const range = (low: number, high: number) => ({ low, high });
