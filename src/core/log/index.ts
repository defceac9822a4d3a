export * from './entry';
export * from './quick';
export * from './settles';
