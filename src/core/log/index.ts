export * from './entry';
export * from './quick';
