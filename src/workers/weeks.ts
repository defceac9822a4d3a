import type { Week } from '@/core/ahead';
import type { Catalogue } from '@/core/catalogue';
import type { Design } from '@/core/document';
import { DAY, HOUR, type Series, type Track } from '@/core/readings';
import { keepDerived, readDerivedMany } from '@/store';
import { startWeek } from './climate';
import { verdictKey } from './verdictKey';

/** What a week to come is asked of. */
export interface WeekAsked {
  readonly design: Design;
  readonly catalogue: Catalogue;
  readonly points: readonly Series[];
  /** ms since 1970 of the last reading of any of them. */
  readonly last: number;
  /** ms since 1970 at which the log has the bottle filled last; null: it does not say. */
  readonly filled: number | null;
}

/** `none`: nothing can be looked ahead from; `failed`: why not. */
export type WeekState =
  | { readonly at: 'working' }
  | { readonly at: 'ready'; readonly week: Week }
  | { readonly at: 'none' }
  | { readonly at: 'failed'; readonly message: string };

/** How a week is calculated: raised with it, so that none that was kept is of an older way. */
const VERSION = 3;
/** ms for which a week stands, whatever is read meanwhile. */
const STANDS = 6 * HOUR;
/** ms of readings it is calculated from. */
const BACK = 21 * DAY;
/** ms before the first is begun: what is due today is shown before what may come. */
const PATIENCE = 1200;
/** Weeks held in memory. */
const MOST = 200;

const WORKING: WeekState = { at: 'working' };
const states = new Map<string, WeekState>();
const queue = new Map<string, { readonly asked: WeekAsked; readonly read: Read; wishes: number }>();
const listeners = new Set<() => void>();
let isBusy = false;
let news = 0;

/** A week as it is kept, with what it is of. */
interface Kept {
  readonly key: string;
  readonly week: Week | null;
}

type Read = (series: string, from: number) => Promise<Track>;

/** What a week depends on: the box, who lives in it, what is read and until when, and when the bottle was filled. */
export const weekKey = ({ design, catalogue, points, last, filled }: WeekAsked): string =>
  JSON.stringify([
    'week',
    VERSION,
    verdictKey(design, catalogue),
    points.map(({ id, quantity, place, at, alarm }) => [id, quantity, place, at, alarm]),
    Math.floor(last / STANDS),
    filled,
  ]);

export const onWeeks = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => void listeners.delete(listener);
};
/** A number that is another one whenever a week has come in. */
export const weekNews = (): number => news;
export const weekNow = (key: string): WeekState => states.get(key) ?? WORKING;

/**
 * Asks for a week, from what was kept or from a worker; one at a time, behind all that is asked for at once.
 * @returns takes the wish back
 */
export function wantWeek(asked: WeekAsked, read: Read): () => void {
  if (typeof Worker === 'undefined') return () => undefined;
  const key = weekKey(asked);
  if (states.has(key)) return () => undefined;
  const waiting = queue.get(key);
  if (waiting) waiting.wishes += 1;
  else queue.set(key, { asked, read, wishes: 1 });
  setTimeout(() => void work(), PATIENCE);
  return () => {
    const left = queue.get(key);
    if (!left) return;
    left.wishes -= 1;
    if (left.wishes <= 0) queue.delete(key);
  };
}

async function work(): Promise<void> {
  if (isBusy) return;
  isBusy = true;
  for (let next = [...queue][0]; next; next = [...queue][0]) {
    const [key, { asked, read }] = next;
    remember(key, await answered(key, asked, read));
    queue.delete(key);
  }
  isBusy = false;
}

async function answered(key: string, asked: WeekAsked, read: Read): Promise<WeekState> {
  try {
    // One is kept of each enclosure: more would push out what is kept of others.
    const place = `week of ${asked.design.id}`;
    const [kept] = (await readDerivedMany([place])) as readonly (Kept | undefined)[];
    const week = kept?.key === key ? kept.week : await calculated(asked, read);
    if (kept?.key !== key) void keepDerived(place, { key, week } satisfies Kept, Date.now());
    return week === null ? { at: 'none' } : { at: 'ready', week };
  } catch (error) {
    return { at: 'failed', message: error instanceof Error ? error.message : String(error) };
  }
}

async function calculated(
  { design, catalogue, points, last, filled }: WeekAsked,
  read: Read,
): Promise<Week | null> {
  const tracks = await Promise.all(
    points.map(async (series) => ({ series, track: await read(series.id, last - BACK) })),
  );
  return startWeek(design, catalogue, tracks, filled, Date.now()).done;
}

function remember(key: string, state: WeekState): void {
  states.set(key, state);
  if (states.size > MOST) {
    const [oldest] = states.keys();
    if (oldest !== undefined) states.delete(oldest);
  }
  news += 1;
  listeners.forEach((it) => it());
}
