export * from './zones';
export * from './sources';
export * from './field';
export * from './dayLength';
export * from './cavity';
export * from './rays';
