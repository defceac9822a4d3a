export { type BackResult, type SupplyNeed } from './needs';
export { type PieceResult } from './scape';
export { PAPER_MARGIN, PAPERS, templateOf, type Paper, type Template, type Tile } from './template';
export { openingsOf } from './fits';
export { ARM } from './reach';
