export * from './wares';
export * from './buying';
export { quoteOf, type Quote, type Terms } from './quote';
