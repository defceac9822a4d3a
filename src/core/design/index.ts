export * from './schema';
export * from './edits';
export * from './regions';
export * from './seasonal';
export { mixOfRecipe } from './mixOfRecipe';
export * from './propose';
export * from './whole';
export * from './migrate';
