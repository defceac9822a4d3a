import type { Placed } from '../pieces/place';

const CELLS = 28;

/** A piece that lies so much over the ground still covers what is below it, m. */
const OVERHEAD = 0.35;

/**
 * Share of the floor that lies under something, by whether anything stands over the middle of each cell of a fine grid:
 * what overlaps counts once. Bare places and things one looks into do not cover.
 */
export function coverShare(
  pieces: readonly Placed[],
  box: { readonly width: number; readonly depth: number },
  covers: (piece: Placed) => boolean,
): number {
  const under = new Uint8Array(CELLS * CELLS);
  for (const placed of pieces) {
    const { solid, ground } = placed;
    if (!covers(placed) || solid.bounds.z0 > ground + OVERHEAD) continue;
    const { x0, x1, y0, y1 } = solid.bounds;
    const cell = (at: number, size: number): number => (at / size) * CELLS - 0.5;
    for (
      let i = Math.max(0, Math.ceil(cell(x0, box.width)));
      i <= Math.min(CELLS - 1, cell(x1, box.width));
      i += 1
    ) {
      for (
        let j = Math.max(0, Math.ceil(cell(y0, box.depth)));
        j <= Math.min(CELLS - 1, cell(y1, box.depth));
        j += 1
      ) {
        if (under[i * CELLS + j]) continue;
        if (solid.reachAt(((i + 0.5) / CELLS) * box.width, ((j + 0.5) / CELLS) * box.depth))
          under[i * CELLS + j] = 1;
      }
    }
  }
  return under.reduce((sum, it) => sum + it, 0) / (CELLS * CELLS);
}
