export * from './schema';
export * from './seasonal';
export * from './migrate';
export * from './refusal';
export * from './merge';
