export * from './units';
export * from './decimal';
export * from './parse';
export * from './format';
export * from './message';
export * from './prose';
export * from './count';
export * from './clock';
