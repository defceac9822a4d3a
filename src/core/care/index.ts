export * from './rule';
export * from './rules';
export * from './due';
export { rrulestr } from './recurrence';
export * from './lampAge';
