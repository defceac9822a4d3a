export * from './room';
export * from './space';
export * from './age';
