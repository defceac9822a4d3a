export * from './wares';
export * from './buying';
