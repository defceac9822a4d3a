import type { RinconDatabase } from './database';
import type { DesignSession } from './session';

/** Sessions whose page was left before their edits had reached storage, by the id of their enclosure. */
let held: ReadonlyMap<string, DesignSession> = new Map();
/** Sessions that are open now. */
const open = new Set<DesignSession>();
let list: readonly DesignSession[] = [];
const listeners = new Set<() => void>();

function tell(next: ReadonlyMap<string, DesignSession>): void {
  held = next;
  list = [...held.values()];
  listeners.forEach((it) => it());
}

const without = (id: string): ReadonlyMap<string, DesignSession> =>
  new Map([...held].filter(([own]) => own !== id));

export const onUnsaved = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => void listeners.delete(listener);
};
/** Sessions that were left and are still not saved; the same list until it changes. */
export const unsavedNow = (): readonly DesignSession[] => list;

/** Sessions that are open now. */
export const openSessions = (): readonly DesignSession[] => [...open];

/** Whether anything would be lost if the page went now. */
export const wouldLose = (): boolean => [...open, ...list].some((it) => it.isUnsaved());

/** The session of an enclosure that was left unsaved: it is gone on with, in the database it writes to. */
export function heldSession(db: RinconDatabase, id: string): DesignSession | undefined {
  const session = held.get(id);
  return session?.db === db ? session : undefined;
}

/**
 * Notes that a session's page is open.
 * @returns to be called as it is left: what is not saved by then is held until it is, or is dropped
 */
export function sessionOpened(session: DesignSession): () => void {
  open.add(session);
  if (held.has(session.id)) tell(without(session.id));
  return () => {
    open.delete(session);
    if (!session.isUnsaved()) return;
    tell(new Map([...held, [session.id, session]]));
    const off = session.subscribe(() => {
      if (held.get(session.id) !== session) off();
      else if (!session.isUnsaved()) {
        off();
        tell(without(session.id));
      } else tell(new Map(held));
    });
  };
}
