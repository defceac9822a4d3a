export * from './room';
export * from './space';
