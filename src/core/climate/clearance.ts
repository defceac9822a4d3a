import { findDeviceKind, findPieceKind, type Catalogue } from '../catalogue';
import type { Design, Device } from '../document/schema';
import type { Placed } from '../pieces/place';

/**
 * m between a lamp or heater and the place it is for, over which it is hung lower, on a wire (common practice in walk-in
 * enclosures).
 */
export const TOO_HIGH = 1.2;

/** m a hot lamp must hang at to keep clear of all that stands under it; 0: nothing does. */
export function clearOver(
  placed: readonly Placed[],
  at: { readonly x: number; readonly y: number },
  clear: number,
): number {
  return Math.max(
    0,
    ...placed
      .filter(
        ({ solid: { bounds: b } }) =>
          at.x > b.x0 - clear && at.x < b.x1 + clear && at.y > b.y0 - clear && at.y < b.y1 + clear,
      )
      .map(({ solid: { bounds } }) => bounds.z1 + clear + 0.005),
  );
}

/** What a hot lamp hangs too near to: a piece that chars or melts, or a wall that does; null: it hangs clear. */
export function tooNear(
  { enclosure }: Design,
  device: Device,
  pieces: readonly Placed[],
  catalogue: Catalogue,
): Placed | 'wall' | null {
  const kind = findDeviceKind(catalogue, device.kind);
  const clear = kind?.clearance?.value;
  if (
    !kind ||
    clear === undefined ||
    kind.form === 'mat' ||
    kind.form === 'cable' ||
    device.power * device.dim < 15
  )
    return null;
  const { x, y, z } = device.at;
  const near = pieces.find(({ piece, solid: { bounds: b } }) => {
    const row = findPieceKind(catalogue, piece.kind);
    if (!row || row.group === 'stone' || row.look === 'clay' || row.look === 'metal' || row.look === 'open')
      return false;
    const dx = Math.max(b.x0 - x, 0, x - b.x1);
    const dy = Math.max(b.y0 - y, 0, y - b.y1);
    const dz = Math.max(b.z0 - z, 0, z - b.z1);
    return Math.hypot(dx, dy, dz) < clear;
  });
  if (near) return near;
  const { material, height, width, depth, top } = enclosure;
  const melts = material === 'acrylic' || material === 'pvc' || material === 'timber';
  const wall = Math.min(x, width - x, y, depth - y, top === 'solid' ? Math.abs(height - z) : Infinity);
  return melts && z < height + 0.02 && wall < clear * 0.6 ? 'wall' : null;
}
