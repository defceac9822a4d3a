export * from './types';
export * from './lookup';
export * from './report';
export * from './names';
