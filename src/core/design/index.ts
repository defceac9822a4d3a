export * from './schema';
export * from './edits';
export * from './propose';
export * from './migrate';
