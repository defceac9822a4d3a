export * from './database';
export * from './designs';
export * from './settings';
export * from './shelf';
export * from './session';
export { wholeLog } from './log';
export * from './persist';
export * from './react';
export * from './readings';
