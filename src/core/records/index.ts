export * from './records';
