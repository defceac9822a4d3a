export { type Solid, type Vec } from './solid';
export { type Back } from './backs';
export * from './growth';
