export * from './types';
export * from './diagnose';
export type { PointTrack } from './features';
