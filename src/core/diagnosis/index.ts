export * from './types';
export * from './diagnose';
export { playingFaults, type PlaceDay, type Yardstick } from './yardstick';
export { usualDays } from './observed';
export type { PointTrack } from './features';
export { afterRemedy, lastRemedy, ruleOfCause, type AfterRemedy } from './remedy';
