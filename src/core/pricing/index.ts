export { quoteOf, type Job, type Quote, type Terms } from './quote';
