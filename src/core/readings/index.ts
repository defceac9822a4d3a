export * from './series';
export * from './track';
export * from './block';
export * from './sanity';
export * from './alarm';
export * from './record';
export * from './traces';
