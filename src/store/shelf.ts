import { ShelfMove } from '@/core/shelf';
import type { RinconDatabase } from './database';
import { readable } from './readable';
import { written } from './written';

/** What a new line of the book says; the rest is filled in. */
export type NewMove = Pick<ShelfMove, 'kind' | 'material' | 'amount' | 'label'> &
  Partial<Pick<ShelfMove, 'design' | 'opened' | 'bestBefore'>>;

/** All lines of the shelf's book, as they were written. */
export const listMoves = async (db: RinconDatabase): Promise<readonly ShelfMove[]> =>
  readable('shelf', await db.shelf.orderBy('at').toArray(), ShelfMove);

/** Writes lines that belong together, all or none; gives the batch they are undone by. */
export async function writeMoves(
  db: RinconDatabase,
  moves: readonly NewMove[],
  makeId: () => string,
  now: number,
): Promise<string> {
  const batch = makeId();
  const lines = moves.map((move): ShelfMove =>
    written(ShelfMove, {
      design: null,
      opened: null,
      bestBefore: null,
      ...move,
      id: makeId(),
      at: now,
      batch,
      undone: false,
    }),
  );
  await db.transaction('rw', db.shelf, () => db.shelf.bulkAdd(lines));
  return batch;
}

/** Takes a whole doing back, or does it again. The lines stay in the book. */
export async function setUndone(db: RinconDatabase, batch: string, undone: boolean): Promise<void> {
  await db.shelf.where('batch').equals(batch).modify({ undone });
}

/** Writes down when a receipt was opened, or should be used by. */
export async function dateMove(
  db: RinconDatabase,
  id: string,
  change: Partial<Pick<ShelfMove, 'opened' | 'bestBefore'>>,
): Promise<void> {
  await db.transaction('rw', db.shelf, async () => {
    const move = await db.shelf.get(id);
    if (move) await db.shelf.put(written(ShelfMove, { ...move, ...change }));
  });
}

/**
 * Takes over the lines of a file for every material nothing is written down about here; where something is, what is
 * written here stands.
 */
export async function takeInMoves(db: RinconDatabase, moves: readonly ShelfMove[]): Promise<void> {
  const known = new Set((await db.shelf.toArray()).map((it) => it.material));
  await db.shelf.bulkPut(moves.filter((move) => !known.has(move.material)));
}
