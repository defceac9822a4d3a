export * from './room';
export * from './space';
export * from './age';
export * from './rest';
