import type * as Engine from '@/core/edits';

type Edits = typeof Engine;

let here: Edits | undefined;

/**
 * The edits of the core, fetched when something is to be changed: pages that only show do without them. Asked for before a
 * transaction begins, which would end while it waits for anything but the database.
 * @throws where they cannot be fetched
 */
export async function fetchEdits(): Promise<Edits> {
  here ??= await import('@/core/edits');
  return here;
}

/** The edits as they were fetched before the transaction this is called in. */
export function editsHere(): Edits {
  if (!here) throw new Error('the edits are used before they were fetched');
  return here;
}
