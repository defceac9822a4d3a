export * from './criteria';
export * from './year';
export * from './life';
export * from './bound';
export * from './verdict';
export * from './findings';
export * from './words';
export * from './depends';
