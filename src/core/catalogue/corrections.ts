import equal from 'fast-deep-equal';
import type { Basis } from './basis';
import type { Animal, CrewKind, Material, Plant } from './types';

/** Tables whose rows can be corrected value by value. */
export interface CorrectedRows {
  readonly materials: readonly Material[];
  readonly animals: readonly Animal[];
  readonly plants: readonly Plant[];
  readonly crew: readonly CrewKind[];
}
export type CorrectedTable = keyof CorrectedRows;
export const CORRECTED_TABLES = [
  'animals',
  'plants',
  'crew',
  'materials',
] as const satisfies readonly CorrectedTable[];

/** A value with where it comes from, or one without such a mark: a name, a yes or no. */
export type Corrected =
  | { readonly value: unknown; readonly basis: Basis; readonly source?: string | undefined }
  | string
  | number
  | boolean
  | null
  /** The row has no such value. */
  | Gone;

export interface Gone {
  readonly gone: true;
}
const GONE: Gone = { gone: true };
export const isGone = (value: Corrected | undefined): value is Gone =>
  typeof value === 'object' && value !== null && 'gone' in value;

/** One value of one row that differs from what ships. */
export interface Correction {
  readonly table: CorrectedTable;
  /** Id of the row, and its English name for who reads the file. */
  readonly row: string;
  readonly name: string;
  /** Path in the row: `climate.warm`. */
  readonly field: string;
  readonly value: Corrected;
}

const isRecord = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
const isSourced = (value: unknown): boolean => isRecord(value) && 'value' in value && 'basis' in value;

/** Every value of a row that stands for itself, by its path. Lists are left out: they are no single value. */
export function valuesOf(row: unknown, path = ''): ReadonlyMap<string, Corrected> {
  const found = new Map<string, Corrected>();
  if (!isRecord(row)) return found;
  for (const [key, value] of Object.entries(row)) {
    const at = path === '' ? key : `${path}.${key}`;
    if (at === 'id') continue;
    if (isSourced(value) || !(typeof value === 'object' && value !== null)) {
      if (value !== undefined) found.set(at, value as Corrected);
    } else for (const [inner, it] of valuesOf(value, at)) found.set(inner, it);
  }
  return found;
}

/** The value of a row at a path; undefined where it has none. */
export const valueAt = (row: unknown, field: string): Corrected | undefined => valuesOf(row).get(field);

/** A row with another value at a path, with one more, or without it; the row itself where there is nothing to hold it. */
export function corrected<T>(row: T, field: string, value: Corrected): T {
  const [first = '', ...rest] = field.split('.');
  if (!isRecord(row)) return row;
  if (rest.length === 0) {
    const others = Object.entries(row).filter(([key]) => key !== first);
    return (isGone(value) ? Object.fromEntries(others) : { ...row, [first]: value }) as T;
  }
  return Object.hasOwn(row, first) ? { ...row, [first]: corrected(row[first], rest.join('.'), value) } : row;
}

/** All values in which one's own rows differ from those that ship under the same id. */
export function correctionsOf(shipped: CorrectedRows, own: CorrectedRows): readonly Correction[] {
  return CORRECTED_TABLES.flatMap((table) => {
    const ships = new Map<string, Material | Animal | Plant | CrewKind>(
      shipped[table].map((it) => [it.id, it]),
    );
    return own[table].flatMap((row): Correction[] => {
      const before = ships.get(row.id);
      if (!before) return [];
      const was = valuesOf(before);
      const now = valuesOf(row);
      const name = 'english' in row ? row.english : row.name;
      const lost = [...was.keys()].filter((field) => !now.has(field));
      return [
        ...[...now].flatMap(([field, value]) =>
          equal(was.get(field), value) ? [] : [{ table, row: row.id, name, field, value }],
        ),
        ...lost.map((field) => ({ table, row: row.id, name, field, value: GONE })),
      ];
    });
  });
}
