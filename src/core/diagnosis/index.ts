export * from './types';
export * from './diagnose';
