export * from './types';
export * from './drainage';
export * from './lookup';
export * from './report';
export * from './names';
export * from './caution';
export * from './corrections';
