export * from './differences';
export * from './weeks';
