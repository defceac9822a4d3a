import type { Catalogue } from '../catalogue';
import type { Design } from '../document/schema';
import { ENGINE_VERSION } from './version';

const DAY = /^\d{4}-\d{2}-\d{2}$/;

/**
 * Names of a record in one order: a design says the same in whatever order a file or an edit left it. On which day something
 * was planted or lit a verdict does not depend, only on whether it was.
 */
const inOrder = (_: string, value: unknown): unknown =>
  typeof value === 'object' && value !== null && !Array.isArray(value)
    ? Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1)))
    : typeof value === 'string' && DAY.test(value)
      ? 'a day'
      : value;

/** All of a design that its verdict depends on, as text: names, notes, care and what was done of the plan are not. */
export function dependsOn({ brief, enclosure, ground, scape, climate, living }: Design): string {
  const { animal, count, room, stage } = brief;
  return JSON.stringify(
    [ENGINE_VERSION, animal, count, room, stage, enclosure, ground, scape, climate, living],
    inOrder,
  );
}

/** What of a row no verdict depends on: what it costs, and where its values come from. */
const ASIDE: ReadonlySet<string> = new Set(['price', 'basis', 'source', 'recipes']);

/** The rows a verdict depends on, as text. */
export const rowsOf = (catalogue: Catalogue): string =>
  JSON.stringify(catalogue, (key, value: unknown) => (ASIDE.has(key) ? undefined : value));
