export * from './rule';
export * from './rules';
