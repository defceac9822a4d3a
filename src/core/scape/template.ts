import type { Cutout } from '../document/scapeSchema';
import type { BackResult } from './needs';

/** Sheets of paper, portrait, m: ISO 216 A4, and US letter (8.5 × 11 in). */
export const PAPERS = {
  A4: { width: 0.21, height: 0.297 },
  Letter: { width: 0.2159, height: 0.2794 },
} as const;
export type Paper = keyof typeof PAPERS;

/** Printers leave so much of a sheet white, m. */
export const PAPER_MARGIN = 0.01;
/** Neighbours show so much of each other, m. */
const OVERLAP = 0.01;

/** One sheet of a template: the piece of the panel it shows, m from the panel's lower left corner. */
export interface Tile {
  /** “B3”: row by letter from the top, column by number from the left. */
  readonly name: string;
  readonly row: number;
  readonly column: number;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** A panel drawn to be cut, in its own measure: x to the right, y up, m. */
export interface Template {
  readonly width: number;
  readonly height: number;
  readonly cutouts: readonly Cutout[];
  readonly joins: BackResult['joins'];
  readonly paper: Paper;
  readonly landscape: boolean;
  readonly tiles: readonly Tile[];
  /** What of a sheet is drawn on, m. */
  readonly printed: { readonly width: number; readonly height: number };
  /** Where crosses stand on which neighbouring sheets are laid on one another, m on the panel. */
  readonly marks: readonly { readonly x: number; readonly y: number }[];
}

/**
 * A panel cut into sheets of paper that overlap by a centimetre; portrait or landscape, whichever takes fewer. Every
 * overlap carries crosses that stand on both of its sheets.
 */
export function templateOf({ back, joins }: BackResult, paper: Paper): Template {
  const { width, height, background } = back;
  const { cutouts } = background;
  const laid = [false, true].map((landscape) => {
    const size = PAPERS[paper];
    const printed = {
      width: (landscape ? size.height : size.width) - 2 * PAPER_MARGIN,
      height: (landscape ? size.width : size.height) - 2 * PAPER_MARGIN,
    };
    const count = (length: number, page: number): number =>
      length <= page + 1e-9 ? 1 : Math.ceil((length - OVERLAP) / (page - OVERLAP) - 1e-9);
    return {
      landscape,
      printed,
      columns: count(width, printed.width),
      rows: count(height, printed.height),
    };
  });
  const [portrait, landscape] = laid;
  if (!portrait || !landscape) throw new Error('two ways of laying paper');
  const { printed, columns, rows, ...way } =
    portrait.columns * portrait.rows <= landscape.columns * landscape.rows ? portrait : landscape;
  const stepX = printed.width - OVERLAP;
  const stepY = printed.height - OVERLAP;

  const tiles: Tile[] = [];
  for (let row = 0; row < rows; row += 1) {
    for (let column = 0; column < columns; column += 1) {
      // Counted from the top, as one lays sheets out; measured from the foot, as the panel is.
      const fromFoot = rows - 1 - row;
      const x = column * stepX;
      const y = fromFoot * stepY;
      tiles.push({
        name: `${rowName(row)}${column + 1}`,
        row,
        column,
        x,
        y,
        width: Math.min(printed.width, width - x),
        height: Math.min(printed.height, height - y),
      });
    }
  }
  const marks: { x: number; y: number }[] = [];
  for (let column = 1; column < columns; column += 1) {
    const x = column * stepX + OVERLAP / 2;
    for (let row = 0; row < rows; row += 1) {
      const low = row * stepY;
      const high = Math.min(height, low + printed.height);
      for (const share of [0.25, 0.75]) marks.push({ x, y: low + (high - low) * share });
    }
  }
  for (let row = 1; row < rows; row += 1) {
    const y = row * stepY + OVERLAP / 2;
    for (let column = 0; column < columns; column += 1) {
      const left = column * stepX;
      const right = Math.min(width, left + printed.width);
      for (const share of [0.25, 0.75]) marks.push({ x: left + (right - left) * share, y });
    }
  }
  return { width, height, cutouts, joins, paper, landscape: way.landscape, tiles, printed, marks };
}

/** A to Z, then AA, AB … */
function rowName(row: number): string {
  const letter = String.fromCharCode(65 + (row % 26));
  return row < 26 ? letter : `${rowName(Math.floor(row / 26) - 1)}${letter}`;
}
