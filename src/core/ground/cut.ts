import type { AreaPack } from '../catalogue';
import type { BarrierLayer, Enclosure } from '../document/schema';

export interface Cut {
  /** Finished piece, m. */
  readonly width: number;
  readonly depth: number;
  /** Strips laid side by side to make it. */
  readonly strips: number;
  /** Which side of the floor the strips run along. */
  readonly along: 'width' | 'depth';
  /** Each strip: breadth cut from the roll, and length. */
  readonly stripBreadth: number;
  readonly stripLength: number;
  /** m of roll this takes. */
  readonly rollLength: number;
  /** Share of the roll's area that is left over. */
  readonly waste: number;
}

/** Finished size of a barrier: the floor, plus the upturn on all four sides. */
export function barrierSize(layer: BarrierLayer, box: Pick<Enclosure, 'width' | 'depth'>) {
  const rise = layer.edge === 'upturned' ? 2 * layer.upturn : 0;
  return { width: box.width + rise, depth: box.depth + rise };
}

/**
 * Cuts a rectangle from a roll: strips as broad as the roll, overlapping where they meet, whichever way round
 * takes fewer strips, then less roll: a join is where soil gets through. n strips cover n·roll − (n − 1)·overlap.
 */
export function cutFromRoll(
  piece: { readonly width: number; readonly depth: number },
  rollWidth: number,
  overlap: number,
): Cut {
  if (overlap >= rollWidth) throw new RangeError('the overlap must be less than the roll is wide');
  const option = (along: 'width' | 'depth'): Cut => {
    const stripLength = piece[along];
    const across = along === 'width' ? piece.depth : piece.width;
    const strips = Math.max(1, Math.ceil((across - overlap) / (rollWidth - overlap) - 1e-9));
    const rollLength = strips * stripLength;
    return {
      ...piece,
      strips,
      along,
      stripBreadth: (across + (strips - 1) * overlap) / strips,
      stripLength,
      rollLength,
      waste: 1 - (piece.width * piece.depth) / (rollLength * rollWidth),
    };
  };
  const [a, b] = [option('width'), option('depth')];
  return a.strips < b.strips || (a.strips === b.strips && a.rollLength <= b.rollLength) ? a : b;
}

/**
 * Sheets butted edge to edge to cover a floor, whichever way round takes fewer.
 * An offcut is not reused: panels are cut through their ribs and only a factory edge stands well.
 */
export function sheetsFor(
  piece: { readonly width: number; readonly depth: number },
  sheet: Pick<AreaPack, 'width' | 'length'>,
): number {
  const tiles = (across: number, along: number): number =>
    Math.ceil(piece.width / across - 1e-9) * Math.ceil(piece.depth / along - 1e-9);
  return Math.min(tiles(sheet.width, sheet.length), tiles(sheet.length, sheet.width));
}
