export * from './cost';
export * from './look';
export * from './moves';
export * from './propose';
export * from './search';
export * from './uv';
export * from './find';
export * from './remedies';
