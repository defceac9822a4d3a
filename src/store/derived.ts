import Dexie, { type EntityTable } from 'dexie';

/** What was calculated once and may be thrown away at any time: kept by the hash of what it depends on. */
export interface Derived {
  readonly key: string;
  readonly value: unknown;
  /** ms since 1970, of its last use. */
  readonly used: number;
}

/** Entries that are kept; the longest unused go first. */
const MOST = 600;

class DerivedDatabase extends Dexie {
  entries!: EntityTable<Derived, 'key'>;

  constructor() {
    super('rincon-derived');
    this.version(1).stores({ entries: 'key, used' });
  }
}

let open: DerivedDatabase | undefined;
const database = (): DerivedDatabase => (open ??= new DerivedDatabase());

/** What is kept under keys, in their order; undefined where nothing is, or where the browser keeps nothing. */
export async function readDerivedMany(keys: readonly string[]): Promise<readonly unknown[]> {
  try {
    const found = await database().entries.bulkGet([...keys]);
    return found.map((it) => it?.value);
  } catch {
    return keys.map(() => undefined);
  }
}

/** ms that are waited for values the server has ready: longer, and calculating them here begins. */
const READY = 4000;

/** Under which the moment of the last change is kept; it is never the longest unused. */
const CHANGED = 'last change';
/** ms between two writes of it. */
const MARKED_EVERY = 1000;
let marked = -Infinity;
let changed = -Infinity;
let marking: ReturnType<typeof setTimeout> | undefined;

/** Writes down that something of the builder’s was changed, at once and then once a second at the most. */
export function markChange(now: () => number = Date.now): void {
  // When it was, however much later it is written down.
  changed = now();
  if (marking !== undefined) return;
  const wait = marked + MARKED_EVERY - changed;
  const write = (): void => {
    marking = undefined;
    marked = now();
    database()
      .entries.put({ key: CHANGED, value: changed, used: Number.MAX_SAFE_INTEGER })
      // Where it cannot be kept, a copy is asked for sooner than it need be.
      .catch(() => undefined);
  };
  if (wait <= 0) write();
  else marking = setTimeout(write, wait);
}

/** Notes that all that is here was copied, where no change was ever noted. */
export async function noteCopied(at: number): Promise<void> {
  if ((await lastChange()) === null)
    await database()
      .entries.put({ key: CHANGED, value: at, used: Number.MAX_SAFE_INTEGER })
      .catch(() => undefined);
}

/** When anything was last changed, ms since 1970; null where that is not known. */
export async function lastChange(): Promise<number | null> {
  const [value] = await readDerivedMany([CHANGED]);
  return typeof value === 'number' ? value : null;
}

/** What the server has ready at an address, as JSON; null where there is no server, or none that has it. */
export async function fetched(address: string): Promise<unknown> {
  try {
    const answer = await fetch(address, { signal: AbortSignal.timeout(READY) });
    return answer.ok ? await answer.json() : null;
  } catch {
    return null;
  }
}

/** Takes over values the server has ready, each a list of keys and values. What does not come is calculated here. */
export async function takeDerived(addresses: readonly string[], now: number): Promise<void> {
  await Promise.all(
    addresses.map(async (address) => {
      const all = (await fetched(address)) as readonly Pick<Derived, 'key' | 'value'>[] | null;
      for (const { key, value } of all ?? []) await keepDerived(key, value, now);
    }),
  );
}

/** Keeps a value. A browser that cannot is no trouble: it is calculated again. */
export async function keepDerived(key: string, value: unknown, now: number): Promise<void> {
  try {
    const { entries } = database();
    await entries.put({ key, value, used: now });
    const over = (await entries.count()) - MOST;
    if (over > 0) await entries.bulkDelete(await entries.orderBy('used').limit(over).primaryKeys());
  } catch {
    // Nothing of the builder's is lost with it.
  }
}
