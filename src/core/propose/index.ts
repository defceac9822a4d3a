export * from './propose';
export * from './whole';
export * from './stands';
export * from './copies';
export * from './fork';
