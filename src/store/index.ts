export * from './database';
export * from './designs';
export * from './settings';
export * from './session';
export * from './persist';
export * from './react';
