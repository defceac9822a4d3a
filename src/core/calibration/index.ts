export * from './types';
export { calibrate } from './calibrate';
export { UnfitRecord } from './checks';
export { inputOf, keptProbes, type KeptProbe, type ProbeTracks } from './probes';
