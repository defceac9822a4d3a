export * from './whatIf';
