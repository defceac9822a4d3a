export * from './differences';
export * from './weeks';
export * from './fields';
