export * from './propose';
export * from './whole';
