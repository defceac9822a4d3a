export * from './network';
export * from './step';
export * from './steps';
export * from './plan';
export * from './rebuild';
export * from './tools';
