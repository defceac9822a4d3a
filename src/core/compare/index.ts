export * from './differences';
export * from './weeks';
export * from './leaves';
export * from './paired';
export * from './planned';
