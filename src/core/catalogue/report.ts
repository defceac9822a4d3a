import { BASES, type Basis } from './basis';

/** How many values of some rows stand on each basis. */
export type BasisCount = Readonly<Record<Basis, number>>;

/** Calls with every value that says where it comes from, however deep it lies. */
function eachSourced(rows: unknown, call: (basis: Basis, source: string | undefined) => void): void {
  if (typeof rows !== 'object' || rows === null) return;
  if ('basis' in rows && 'value' in rows) {
    call(rows.basis as Basis, 'source' in rows ? (rows.source as string | undefined) : undefined);
  } else for (const part of Object.values(rows)) eachSourced(part, call);
}

/** Counts every value that says where it comes from. */
export function countBasis(rows: unknown): BasisCount {
  const count = Object.fromEntries(BASES.map((it) => [it, 0])) as Record<Basis, number>;
  eachSourced(rows, (basis) => (count[basis] += 1));
  return count;
}

/** How many values of some rows name each work or rule. */
export function countSources(rows: unknown): ReadonlyMap<string, number> {
  const count = new Map<string, number>();
  eachSourced(rows, (_, source) => {
    if (source !== undefined) count.set(source, (count.get(source) ?? 0) + 1);
  });
  return count;
}

/**
 * Of the values that are no judgement and no price, the share that was measured or stands in a named work. What keepers
 * say is left out of both: it is judged, not looked up. 1 where nothing is left.
 */
export function sourcedShare({ measured, published, cited, estimated }: BasisCount): number {
  const named = measured + published + cited;
  return named + estimated === 0 ? 1 : named / (named + estimated);
}

/** Marks from before there were five: `memory` was an estimate without a rule, `own` the keeper’s. */
function markOf(before: string, isValue: boolean): string {
  if (before === 'memory') return 'estimated';
  // What is no value, as a recipe is none, nobody measured.
  return before === 'own' ? (isValue ? 'measured' : 'practice') : before;
}

/** Rows written by an earlier version, with the marks of this one. All else is left as it is. */
export function withFiveMarks<T>(rows: T): T {
  if (Array.isArray(rows)) return rows.map((it: unknown) => withFiveMarks(it)) as T;
  if (typeof rows !== 'object' || rows === null) return rows;
  return Object.fromEntries(
    Object.entries(rows).map(([key, value]: [string, unknown]) => [
      key,
      key === 'basis' && typeof value === 'string' ? markOf(value, 'value' in rows) : withFiveMarks(value),
    ]),
  ) as T;
}

/** A row made from its likeness: every value of it is estimated, and says from which row. */
export function asLike<T>(row: T, likeness: string): T {
  if (Array.isArray(row)) return row.map((it: unknown) => asLike(it, likeness)) as T;
  if (typeof row !== 'object' || row === null) return row;
  if ('basis' in row && 'value' in row)
    return { ...row, basis: 'estimated', source: `As of ${likeness}, its likeness.` };
  return Object.fromEntries(
    Object.entries(row).map(([key, value]: [string, unknown]) => [key, asLike(value, likeness)]),
  ) as T;
}
