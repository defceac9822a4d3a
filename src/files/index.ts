export * from './outcome';
export * from './envelope';
export * from './csv';
export * from './templateSvg';
export * from './logger';
export * from './calendar';
