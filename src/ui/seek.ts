import Fuse from 'fuse.js';

interface Sought {
  readonly at: number;
  readonly names: readonly string[];
}
const kept = new WeakMap<readonly unknown[], Fuse<Sought>>();

/** Rows whose names are near what was typed, best first: slips of spelling are forgiven. All of them for no text. */
export function seek<T>(rows: readonly T[], text: string, names: (row: T) => readonly string[]): T[] {
  const sought = text.trim();
  if (sought === '') return [...rows];
  const fuse =
    kept.get(rows) ??
    new Fuse<Sought>(
      rows.map((row, at) => ({ at, names: names(row) })),
      { keys: ['names'], threshold: 0.36, ignoreLocation: true, ignoreDiacritics: true },
    );
  kept.set(rows, fuse);
  return fuse.search(sought).flatMap(({ item }) => rows[item.at] ?? []);
}
