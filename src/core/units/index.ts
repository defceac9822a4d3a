export * from './units';
export * from './parse';
export * from './format';
export * from './say';
export * from './count';
