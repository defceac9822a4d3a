import * as library from 'rrule';

/**
 * The recurrence rules of RFC 5545. The package is written in two ways: bundlers see its names, Node’s own loader puts
 * them under `default`.
 */
const { RRule: Rule, rrulestr: read } =
  (library as unknown as { readonly default?: typeof library }).default ?? library;

export const rrulestr = read;
export const RRule = Rule;
