export * as corners from './corners';
export { type Corner, type Edge } from './corners';
export * from './mix';
export * from './layers';
export * from './drainage';
export * from './cut';
export * from './packs';
export * from './shopping';
export * from './enclosure';
