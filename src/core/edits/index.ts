export * from './edits';
export * from './regionShapes';
export * from './coverEdit';
export { mixOfRecipe } from './mixOfRecipe';
export { whatTurns, type TurnedPieces } from './turn';
