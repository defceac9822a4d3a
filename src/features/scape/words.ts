import type { PieceKind } from '@/core/catalogue';
import type { Background, Body, Cutout, Piece } from '@/core/document';
import { length } from '@/core/units';
import type { PieceResult } from '@/core/scape';
import type { Reader } from '@/ui/units';

export const GROUP_WORD: Record<PieceKind['group'], string> = {
  wood: 'Wood',
  cork: 'Cork',
  stone: 'Stone',
  shelter: 'Shelters',
  ledge: 'Ledges',
  planter: 'Planters',
  water: 'Water',
  place: 'Places and probes',
};

export const WALL_WORD: Record<Background['wall'], string> = {
  back: 'Back wall',
  left: 'Left wall',
  right: 'Right wall',
};

export const FINISH_WORD: Record<Background['finish'], string> = {
  bare: 'as it is',
  sealer: 'coats of sealer',
  fibre: 'silicone and fibre',
};

export const CUTOUT_WORD: Record<Cutout['use'], string> = {
  drain: 'Drain',
  cable: 'Cable',
  hose: 'Hose',
  nozzle: 'Nozzle',
  probe: 'Probe',
  planter: 'Planter',
  filter: 'Filter',
};

/** What a piece stands on, as one would say it. */
export function standing({ placed }: PieceResult, pieces: readonly Piece[], { write }: Reader): string {
  const { piece, on, base } = placed;
  const { support } = piece;
  switch (on) {
    case 'floor':
      return 'on the floor';
    case 'ground':
      return support.on === 'ground' && support.sunk > 0.0005
        ? `${write(length(support.sunk))} deep in the ground`
        : 'on the ground';
    case 'piece':
      return `on ${(support.on === 'piece' && pieces.find((it) => it.id === support.piece)?.name.toLowerCase()) || 'another piece'}`;
    case 'wall':
      return `${support.on === 'wall' ? support.wall : 'a'} wall, ${write(length(base))} up`;
    case 'lid':
      return 'hangs from the lid';
    case 'water':
      return 'floats';
  }
}

/** A body in three figures: long ones by length and thickness, blocks by width, depth and height. */
export function sizeWords(body: Body, { write }: Pick<Reader, 'write'>): string {
  if (body.shape === 'block')
    return [body.width, body.depth, body.height].map((it) => write(length(it), { bare: true })).join(' × ');
  const long = Math.hypot(body.run.x, body.run.y, body.rise);
  return body.shape === 'rod'
    ? `${write(length(long), { bare: true })} long, ⌀ ${write(length(body.diameter), { bare: true })}`
    : `${write(length(long), { bare: true })} × ${write(length(body.breadth), { bare: true })} × ${write(length(body.thickness), { bare: true })}`;
}
