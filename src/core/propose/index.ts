export * from './propose';
export * from './whole';
export * from './fork';
