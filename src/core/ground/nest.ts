/** A rectangle to be cut from a roll, m. */
export interface Piece {
  readonly id: string;
  readonly width: number;
  readonly depth: number;
}

export interface Placed extends Piece {
  /** Across the roll, and along it, of the corner nearest the start, m. */
  readonly across: number;
  readonly along: number;
  /** Size as it lies on the roll. */
  readonly breadth: number;
  readonly length: number;
}

export interface Nesting {
  readonly placed: readonly Placed[];
  /** m of roll */
  readonly rollLength: number;
  /** Share of that roll's area which is left over. */
  readonly waste: number;
}

/**
 * Lays pieces side by side on one roll in rows, longest first (first-fit decreasing height), lengthwise or across,
 * whichever takes less roll. Straight cuts only, so that it can be done with scissors.
 * undefined when a piece fits the roll neither way.
 */
export function nestOnRoll(pieces: readonly Piece[], rollWidth: number): Nesting | undefined {
  const ways = [true, false].map((lengthwise) => layRows(pieces, rollWidth, lengthwise));
  return ways.reduce((a, b) => (a === undefined || (b !== undefined && b.rollLength < a.rollLength) ? b : a));
}

interface Row {
  readonly along: number;
  readonly length: number;
  used: number;
}

function layRows(pieces: readonly Piece[], rollWidth: number, lengthwise: boolean): Nesting | undefined {
  const turned = pieces.map((piece) => {
    const long = Math.max(piece.width, piece.depth);
    const short = Math.min(piece.width, piece.depth);
    const across = lengthwise || long > rollWidth + 1e-9 ? short : long;
    return { piece, breadth: across, length: across === short ? long : short };
  });
  if (turned.some((it) => it.breadth > rollWidth + 1e-9)) return undefined;
  turned.sort((a, b) => b.length - a.length || b.breadth - a.breadth || a.piece.id.localeCompare(b.piece.id));

  const rows: Row[] = [];
  const placed: Placed[] = [];
  let end = 0;
  for (const { piece, breadth, length } of turned) {
    let row = rows.find((it) => it.used + breadth <= rollWidth + 1e-9);
    if (!row) {
      row = { along: end, length, used: 0 };
      rows.push(row);
      end += length;
    }
    placed.push({ ...piece, across: row.used, along: row.along, breadth, length });
    row.used += breadth;
  }
  const area = pieces.reduce((sum, piece) => sum + piece.width * piece.depth, 0);
  return { placed, rollLength: end, waste: end > 0 ? 1 - area / (end * rollWidth) : 0 };
}
