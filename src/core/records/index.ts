export * from './culture';
export { isLater } from './held';
export * from './records';
