export * from './cup';
export * from './likeness';
export * from './properties';
export * from './rebalance';
export * from './targets';
export * from './problem';
export type { Outcome, Program, Run } from './program';
export * from './solve';
export * from './sheet';
