export { crossingsOf, type Crossing } from './crossings';
export { lookAhead } from './ahead';
export type { AheadPoint, Outlook } from './types';
export * from './week';
