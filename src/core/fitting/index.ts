export * from './fitUv';
export * from './uv';
